using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Core.Pads;

public enum PadState
{
    Good,
    Starved,
    Crushed,
}

/// <summary>One thickness of one material tried in a gap.</summary>
/// <param name="SquashMin">Least squash over the worst-case band: thinnest pad, widest gap.</param>
/// <param name="SquashMax">Most squash over the worst-case band: thickest pad, narrowest gap.</param>
/// <param name="MissBy">How far the band leaves the material's window, in squash; 0 when good.</param>
/// <param name="Source">kit, drawer or declared.</param>
public sealed record PadFit(
    double ThicknessMm,
    string Material,
    double SquashMin,
    double SquashMax,
    PadState State,
    double MissBy,
    string Source
)
{
    /// <summary>Gaps that the material's window lets this pad fill, mm.</summary>
    public required double FillsMinMm { get; init; }
    public required double FillsMaxMm { get; init; }

    /// <summary>Whether the pad reaches across the band's narrowest gap.</summary>
    internal bool Touches => SquashMax > 0;

    /// <summary>Whether the band's widest gap leaves no room for any pad.</summary>
    internal bool Flat => SquashMin >= 1;

    /// <summary>The squash as it is told: below nothing a pad does not touch, past the whole of it nothing is left to squash.</summary>
    public string SquashText =>
        !Touches ? "no touch"
        : Flat ? "flat"
        : FormattableString.Invariant($"{Percent(SquashMin):0}–{Percent(SquashMax):0} %");

    internal static double Percent(double squash) => 100 * Math.Clamp(squash, 0, 1);
}

/// <summary>Squash = (thickness − gap)/thickness, not clamped; the pad's own tolerance widens the band.</summary>
public static class PadSquash
{
    private const double ThinnestShare = 0.01;

    public static PadFit In(double gapMinMm, double gapMaxMm, double thicknessMm, PadMaterial material, string source)
    {
        // a pad that may not be there at all still has a figure: it is told as thin as makes no difference
        double thin = Math.Max(thicknessMm - material.ThicknessTolMm, thicknessMm * ThinnestShare),
            thick = thicknessMm + material.ThicknessTolMm;
        double least = (thin - gapMaxMm) / thin,
            most = (thick - gapMinMm) / thick;
        double under = Math.Max(0, material.SquashMin - least),
            over = Math.Max(0, most - material.SquashMax);
        const double rounding = 1e-9;
        var state =
            under <= rounding && over <= rounding ? PadState.Good
            : under >= over ? PadState.Starved
            : PadState.Crushed;
        return new(
            thicknessMm,
            material.Id,
            least,
            most,
            state,
            state == PadState.Good ? 0 : Math.Max(under, over),
            source
        )
        {
            FillsMinMm = thicknessMm * (1 - material.SquashMax),
            FillsMaxMm = thicknessMm * (1 - material.SquashMin),
        };
    }
}
