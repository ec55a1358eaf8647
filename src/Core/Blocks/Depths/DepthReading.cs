namespace FaithfulBracket.Core.Blocks.Depths;

/// <summary>What a step is told by.</summary>
public enum DepthKind
{
    /// <summary>Depth gauge or caliper over a straight edge.</summary>
    Gauge,

    /// <summary>A soft pad or putty, pressed at home and measured.</summary>
    Impression,

    /// <summary>The pad that a manual gives for the land.</summary>
    Manual,
}

/// <summary>Heights against which impressions and manuals tell a step. mm, σ one standard deviation.</summary>
/// <param name="DieHeightMm">Top of the die above the board.</param>
/// <param name="FilmMm">Paste on the die with everything home.</param>
public sealed record DepthFrame(
    double DieHeightMm,
    double DieSigmaMm = DepthFrame.UsualHeightSigmaMm,
    double FilmMm = DepthFrame.UsualFilmMm,
    double FilmSigmaMm = DepthFrame.UsualFilmSigmaMm
)
{
    public const double UsualHeightSigmaMm = 0.02,
        UsualFilmMm = 0.03,
        UsualFilmSigmaMm = 0.01;

    /// <summary>Of what every impression and manual shares.</summary>
    public double Variance => DieSigmaMm * DieSigmaMm + FilmSigmaMm * FilmSigmaMm;
}

/// <summary>One source of a land's step: its value, the errors of its own and those that it shares. mm.</summary>
/// <param name="OwnVariance">Of errors that no other reading has, mm².</param>
/// <param name="PartSigmaMm">
/// Of the height of the part under the land; null where the step was measured against the die land itself, and neither
/// die nor film comes in.
/// </param>
public sealed record DepthReading(string Land, DepthKind Kind, double StepMm, double OwnVariance, double? PartSigmaMm)
{
    public const double UsualToolSigmaMm = 0.02,
        UsualEdgeSigmaMm = 0.01,
        UsualImpressionSigmaMm = 0.03;

    /// <summary>Land against die land over one straight edge: σ² = 2·σ_tool² + σ_edge².</summary>
    public static DepthReading Gauge(
        string land,
        double readingMm,
        double dieReadingMm,
        double toolSigmaMm = UsualToolSigmaMm,
        double edgeSigmaMm = UsualEdgeSigmaMm
    ) =>
        new(
            land,
            DepthKind.Gauge,
            readingMm - dieReadingMm,
            2 * toolSigmaMm * toolSigmaMm + edgeSigmaMm * edgeSigmaMm,
            null
        );

    /// <summary>What is left of a pressed pad, before it sprang back: step = t/(1 + s) + h_part − h_die − film.</summary>
    /// <param name="leftMm">Measured after it was taken off.</param>
    /// <param name="springBack">Share by which it grew since.</param>
    /// <param name="sigmaMm">Of the corrected thickness.</param>
    public static DepthReading Impression(
        DepthFrame frame,
        string land,
        double leftMm,
        double springBack,
        double partHeightMm,
        double sigmaMm = UsualImpressionSigmaMm,
        double partSigmaMm = DepthFrame.UsualHeightSigmaMm
    ) =>
        new(
            land,
            DepthKind.Impression,
            leftMm / (1 + springBack) + partHeightMm - frame.DieHeightMm - frame.FilmMm,
            sigmaMm * sigmaMm,
            partSigmaMm
        );

    /// <summary>
    /// A pad of thickness T that works between squash m and M: the gap lies in [T(1 − M), T(1 − m)], taken as uniform,
    /// σ = width/√12.
    /// </summary>
    public static DepthReading Manual(
        DepthFrame frame,
        string land,
        double padMm,
        double squashMin,
        double squashMax,
        double partHeightMm,
        double partSigmaMm = DepthFrame.UsualHeightSigmaMm
    )
    {
        var width = padMm * (squashMax - squashMin);
        return new(
            land,
            DepthKind.Manual,
            padMm * (1 - (squashMin + squashMax) / 2) + partHeightMm - frame.DieHeightMm - frame.FilmMm,
            width * width / 12,
            partSigmaMm
        );
    }
}
