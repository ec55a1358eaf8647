using FaithfulBracket.Core.Pads.Seating;

namespace FaithfulBracket.Core.Mount;

/// <summary>A turn to choose. More than is left goes home.</summary>
public sealed record PracticeTurn(string Words, double Turns);

/// <param name="Turns">Left until home.</param>
public sealed record ScrewLeft(string Hole, double Turns);

/// <summary>A tightening by hand, move by move, beside the cross and beside one corner home first.</summary>
/// <param name="Score">Out of 100 once every screw is home.</param>
public sealed record PracticeResult(
    IReadOnlyList<TighteningMove> Moves,
    IReadOnlyList<ScrewLeft> Left,
    bool AllHome,
    Worst Worst,
    double? Score,
    double CrossScore,
    double CornerScore,
    Worst CrossWorst,
    Worst CornerWorst,
    int CrossMoves,
    double TiltLimitDeg,
    double? PeakLimitMPa
)
{
    /// <summary>Turns to choose from.</summary>
    public IReadOnlyList<PracticeTurn> Choices { get; } =
    [new("a quarter", 0.25), new("half", 0.5), new("one", 1), new("home", 100)];

    /// <summary>Whether a die lies under paste, so that a pressure at its edge means something.</summary>
    public bool PressesDie { get; init; }

    /// <summary>The worst edge pressure so far, as it is told; null where no die is pressed.</summary>
    public string? WorstEdge => PressesDie ? EdgePressure.InWords(Worst.PeakMPa, PeakLimitMPa) : null;

    /// <summary>Whether an edge went past what its die allows.</summary>
    public bool EdgeOver => PressesDie && PeakLimitMPa is { } limit && Worst.PeakMPa > limit;
}

/// <summary>Half for the pressure at the die's edge, three tenths for tilt, two for how few moves it took.</summary>
public static class PracticeScore
{
    /// <param name="least">Peak and tilt of the recommended way: doing as well is full marks, not doing better.</param>
    public static double Score(
        Worst worst,
        int moves,
        Worst least,
        int leastMoves,
        double tiltLimitDeg,
        double? peakLimitMPa
    )
    {
        static double Share(double allowed, double reached) => reached <= allowed ? 1 : allowed / reached;
        var peak = Math.Max(least.PeakMPa, 1e-9);
        // past the die's limit nothing is left of that half
        var pressure = peakLimitMPa is { } limit && worst.PeakMPa > limit ? 0 : Share(peak, worst.PeakMPa);
        return 100
            * (
                0.5 * pressure
                + 0.3 * Share(Math.Max(least.TiltDeg, 0.02 * tiltLimitDeg), worst.TiltDeg)
                + 0.2 * Share(leastMoves, moves)
            );
    }
}
