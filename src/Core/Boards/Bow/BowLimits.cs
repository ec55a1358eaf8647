using FaithfulBracket.Core.Words.Boards.Bow;

namespace FaithfulBracket.Core.Boards.Bow;

/// <summary>What a plate may ask for; past it the answer would take minutes, and is refused in words.</summary>
public static class BowLimits
{
    public const int LeastElements = 16,
        MostElements = 20_000,
        MostCorners = 2000,
        MostSupports = 100,
        MostLoads = 500,
        MostProbes = 1000,
        MostLayers = 200;

    /// <summary>Longer than this many times its width, an outline is a rod and no plate.</summary>
    public const double MostSlender = 100;

    /// <summary>Work of one factoring: half the multiplications.</summary>
    private const double MostWork = 4e10;

    public const string InWords = BowLimitsWords.LimitsElementsCornersSupportsLoads;

    /// <exception cref="InputException">Too much is asked.</exception>
    public static void Check(BowProblem p)
    {
        List<InputFault> faults = [];
        void AtMost(string field, int count, int most, string what)
        {
            if (count > most)
                faults.Add(new(field, BowLimitsWords.ExpectedAtMostFound(most, what, count)));
        }
        AtMost("outline", p.Outline.Points.Count, MostCorners, "corners");
        AtMost("supports", p.Supports.Count, MostSupports, "supports");
        AtMost("loads", p.Loads.Count, MostLoads, "loads");
        AtMost("stiff", p.Layers.Count, MostLayers, "layers");
        AtMost("probes", p.Probes.Count, MostProbes, "probes");
        AtMost("elements", p.Elements, MostElements, "elements");
        var b = p.Outline.Bounds;
        if (Math.Max(b.Width, b.Height) > MostSlender * Math.Min(b.Width, b.Height))
            faults.Add(new("outline", BowLimitsWords.MoreThanTimesAsLong(MostSlender)));
        if (faults.Count > 0)
            throw new InputException(faults);
    }

    internal static void CheckWork(double work)
    {
        if (work > MostWork)
            throw new InputException("elements", BowLimitsWords.ThisOutlineWithSoManyElements);
    }
}
