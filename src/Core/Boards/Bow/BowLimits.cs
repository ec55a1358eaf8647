using FaithfulBracket.Core.Words.Boards.Bow;

namespace FaithfulBracket.Core.Boards.Bow;

/// <summary>What a plate may ask for; past it the answer would take minutes, and is refused in words.</summary>
public static class BowLimits
{
    public const int MinElements = 16,
        MaxElements = 20_000,
        MaxCorners = 2000,
        MaxSupports = 100,
        MaxLoads = 500,
        MaxProbes = 1000,
        MaxLayers = 200;

    /// <summary>Longer than this many times its width, an outline is a rod and no plate.</summary>
    public const double MaxSlender = 100;

    /// <summary>Work of one factoring: half the multiplications.</summary>
    private const double MaxWork = 4e10;

    public static string InWords => BowLimitsWords.LimitsElementsCornersSupportsLoads;

    /// <exception cref="InputException">Too much is asked.</exception>
    public static void Check(BowProblem p)
    {
        List<InputFault> faults = [];
        void AtMost(string field, int count, int most, string what)
        {
            if (count > most)
                faults.Add(new(field, BowLimitsWords.ExpectedAtMostFound(most, what, count)));
        }
        AtMost("outline", p.Outline.Points.Count, MaxCorners, "corners");
        AtMost("supports", p.Supports.Count, MaxSupports, "supports");
        AtMost("loads", p.Loads.Count, MaxLoads, "loads");
        AtMost("stiff", p.Layers.Count, MaxLayers, "layers");
        AtMost("probes", p.Probes.Count, MaxProbes, "probes");
        AtMost("elements", p.Elements, MaxElements, "elements");
        var b = p.Outline.Bounds;
        if (Math.Max(b.Width, b.Height) > MaxSlender * Math.Min(b.Width, b.Height))
            faults.Add(new("outline", BowLimitsWords.MoreThanTimesAsLong(MaxSlender)));
        if (faults.Count > 0)
            throw new InputException(faults);
    }

    internal static void CheckWork(double work)
    {
        if (work > MaxWork)
            throw new InputException("elements", BowLimitsWords.ThisOutlineWithSoManyElements);
    }
}
