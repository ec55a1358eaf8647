using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>How numbers without a point are read: digits before and after it, and which zeros stand.</summary>
internal readonly record struct DrillDigits(int Integers, int Decimals, bool LeadingKept)
{
    private const double MinBoardMm = LayoutReader.MinBoardMm,
        MaxBoardMm = LayoutReader.MaxBoardMm,
        BesideMm = 15;

    /// <summary>
    /// Reads a drill file whose header does not settle the digits: of the layouts in use, the one whose board has a believable size
    /// and agrees with what the other files of the export say.
    /// </summary>
    public static void Read(TextFile file, LayoutOptions options, LengthUnit unit, LayoutDraft draft)
    {
        var others = draft.Places();
        var tried = new List<(DrillDigits Digits, LayoutDraft Draft, Bounds? Size, double Miss)>();
        foreach (var digits in ExcellonReader.Layouts(file, options, unit))
        {
            var alone = new LayoutDraft();
            ExcellonReader.Read(file, options, alone, digits);
            var size =
                alone.Holes.Count == 0
                    ? (Bounds?)null
                    : Bounds.From([.. alone.Holes.Select(h => new Point2(h.X, h.Y))]);
            tried.Add((digits, alone, size, Miss(alone, size, others) + 0.05 * tried.Count));
        }
        var best = tried.MinBy(t => t.Miss);
        draft.Take(best.Draft);
        if (best.Size is not { } s)
            return;
        var rival = tried
            .Where(t => t.Size is { } other && Math.Abs(other.Width - s.Width) > 0.01 * s.Width)
            .OrderBy(t => t.Miss)
            .FirstOrDefault();
        draft.Assume(
            DrillDigitsWords.HowNumbersAreWritten(file.Name, best.Digits.InWords, s.Width, s.Height)
                + (rival.Size is { } r ? DrillDigitsWords.WouldMakeIt(rival.Digits.InWords, r.Width, r.Height) : "")
                + ". Override with digits=."
        );
    }

    private string InWords =>
        DrillDigitsWords.DigitsWithZerosLeftOut(Integers, Decimals, LeadingKept ? "trailing" : "leading");

    /// <summary>How far a reading is from what can be believed; 0 when nothing speaks against it.</summary>
    private static double Miss(LayoutDraft alone, Bounds? size, IReadOnlyList<Point2> others)
    {
        if (size is not { } s)
            return 0;
        var longest = Math.Max(s.Width, s.Height);
        var miss =
            longest < MinBoardMm ? 1 + Math.Log(MinBoardMm / Math.Max(longest, 1e-6))
            : longest > MaxBoardMm ? 1 + Math.Log(longest / MaxBoardMm)
            : 0;
        if (others.Count < 2)
            return miss;
        var b = Bounds.From(others);
        var near = b.Grown(BesideMm);
        var inside = alone.Holes.Count(h =>
            h.X >= near.MinX && h.X <= near.MaxX && h.Y >= near.MinY && h.Y <= near.MaxY
        );
        return miss
            + 3 * (1 - (double)inside / alone.Holes.Count)
            + Math.Abs(Math.Log(Math.Max(longest, 1e-6) / Math.Max(Math.Max(b.Width, b.Height), 1e-6)));
    }
}
