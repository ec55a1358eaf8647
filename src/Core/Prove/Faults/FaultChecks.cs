namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>The one look or reading that settles a suspicion, and the one that tells two apart.</summary>
public static class FaultChecks
{
    public static string Name(FaultKind kind) =>
        kind switch
        {
            FaultKind.None => "nothing wrong",
            FaultKind.FilmLeft => "film left on a pad",
            FaultKind.PadMissing => "pad missing",
            FaultKind.PadThin => "pad too thin",
            FaultKind.PasteVoid => "a corner without paste",
            FaultKind.Tilt => "block tilted",
            FaultKind.Floats => "block floats",
            FaultKind.LowFlow => "less flow than told",
            FaultKind.Air => "air in the fins",
            FaultKind.PumpOut => "paste pumped out",
            _ => "sensor or power misread",
        };

    public static string Of(FaultKind kind, IReadOnlyList<string> parts, string? corner) =>
        kind switch
        {
            FaultKind.None => "Nothing to look for: run it once more and keep the reading.",
            FaultKind.FilmLeft =>
                $"Look along the edge at {Named(parts)}: a film shows as a bright line. Lift only if it does.",
            FaultKind.PadMissing => $"Look along the edge at {Named(parts)}: light comes through where no pad lies.",
            FaultKind.PadThin =>
                $"Look along the edge at {Named(parts)} with a feeler gauge: a pad that is too thin stays loose.",
            FaultKind.PasteVoid => $"Lift and read the imprint on {Named(parts)}.",
            FaultKind.Tilt => $"Measure the gap at all four corners: the {corner} one stands high.",
            FaultKind.Floats =>
                "Measure the gap under the block at two sides: more than drawn all round means a pad is too thick.",
            FaultKind.LowFlow => "Read the flow at a meter, then the same load at another pump speed.",
            FaultKind.Air => "Tilt the machine with the pump running until no bubble comes, then read again.",
            FaultKind.PumpOut =>
                $"Compare with the reading of the day it was pasted; lift and read the imprint on {Named(parts)}.",
            _ => parts.Count > 0
                ? $"Read {Named(parts)} with a second sensor, or swap the two leads."
                : "Measure the power at the plug or the cable, not in software.",
        };

    /// <summary>Less likely than this the second is no matter.</summary>
    private const double WorthTelling = 0.05;

    /// <summary>What one does first, cheapest first: read, look, then lift.</summary>
    public static string Between(IReadOnlyList<FaultHypothesis> ranked)
    {
        if (ranked.Count == 0)
            return Of(FaultKind.None, [], null);
        if (ranked.Count == 1 || ranked[1].Probability < WorthTelling)
            return ranked[0].Check;
        var (a, b) = (ranked[0], ranked[1]);
        return Cost(a.Kind) <= Cost(b.Kind) && a.Kind != FaultKind.None ? a.Check
            : b.Kind != FaultKind.None ? b.Check
            : a.Check;
    }

    /// <summary>Readings cost nothing, looks little, a lift fresh pads and paste.</summary>
    private static int Cost(FaultKind kind) =>
        kind switch
        {
            FaultKind.Misread or FaultKind.LowFlow or FaultKind.Air => 0,
            FaultKind.None => 1,
            FaultKind.PasteVoid or FaultKind.PumpOut => 3,
            _ => 2,
        };

    private static string Named(IReadOnlyList<string> parts) => string.Join(" or ", parts.Take(6));
}
