using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;

namespace FaithfulBracket.Core.Pads;

/// <summary>What of a strip lies over no part: the stretch between two neighbours of its row.</summary>
/// <param name="From">Part before it, whose pad the strip continues.</param>
/// <param name="To">Part after it.</param>
/// <param name="Outline">In the board's frame.</param>
public sealed record PadBridge(string From, string To, Polygon Outline);

/// <summary>
/// Rows of parts that one strip may lie over: one face, land, thickness and material; close together; nothing between
/// them that the strip would rest on; heights that its squash takes up.
/// </summary>
public static class PadStrips
{
    /// <summary>Parts further apart than this get pieces of their own, mm.</summary>
    public const double MaxBetweenMm = 12;

    /// <summary>Middles further out of line than this make no row, mm.</summary>
    public const double SameRowMm = 0.6;

    /// <summary>Every pad once, in rows; a pad that may join nothing is a row of one.</summary>
    public static IReadOnlyList<IReadOnlyList<PlacedPad>> Rows(Board board, IReadOnlyList<PlacedPad> pads)
    {
        var rows = new List<IReadOnlyList<PlacedPad>>();
        var taken = new HashSet<string>();
        foreach (var pad in pads.Where(p => !taken.Contains(p.Part)))
        {
            var row = Row(board, [.. pads.Where(p => p.Part == pad.Part || !taken.Contains(p.Part))], pad);
            taken.UnionWith(row.Select(p => p.Part));
            rows.Add(row);
        }
        return rows;
    }

    /// <summary>The stretches of a row that lie over no part.</summary>
    public static IEnumerable<PadBridge> Bridges(Board board, IReadOnlyList<PlacedPad> row)
    {
        for (var i = 0; i + 1 < row.Count; i++)
            if (Between(Top(board, row[i]), Top(board, row[i + 1])) is { } outline)
                yield return new(row[i].Part, row[i + 1].Part, outline);
    }

    /// <summary>The longest row through a pad, along x or along y; of equals the one along x.</summary>
    private static List<PlacedPad> Row(Board board, IReadOnlyList<PlacedPad> free, PlacedPad seed)
    {
        var like = free.Where(p => OneStrip(seed, p)).ToList();
        List<PlacedPad> best = [seed];
        foreach (var alongX in (ReadOnlySpan<bool>)[true, false])
        {
            var middle = Across(Top(board, seed), alongX);
            var line = like.Where(p => Math.Abs(Across(Top(board, p), alongX) - middle) <= SameRowMm)
                .OrderBy(p => Along(Top(board, p), alongX).Low)
                .ToList();
            var at = line.FindIndex(p => p.Part == seed.Part);
            int from = at,
                to = at;
            while (from > 0 && Joins(board, line[(from - 1)..(to + 1)], 0, alongX))
                from--;
            while (to + 1 < line.Count && Joins(board, line[from..(to + 2)], to - from, alongX))
                to++;
            if (to - from + 1 > best.Count)
                best = line[from..(to + 1)];
        }
        return best;
    }

    private static bool OneStrip(PlacedPad a, PlacedPad b) =>
        a.Part == b.Part
        || (a.Face, a.Land, a.Pair, a.Material) == (b.Face, b.Land, b.Pair, b.Material)
            && Math.Abs(a.ThicknessMm - b.ThicknessMm) < 1e-6;

    /// <summary>Whether a strip may lie over the row, asked where it grows: between the parts at an index and the next.</summary>
    private static bool Joins(Board board, List<PlacedPad> row, int index, bool alongX)
    {
        var parts = row.ConvertAll(p => board.FindPart(p.Part)!);
        var (a, b) = (parts[index], parts[index + 1]);
        var (before, after) = (Along(a.Top().Bounds, alongX).High, Along(b.Top().Bounds, alongX).Low);
        if (after - before > MaxBetweenMm)
            return false;
        // the squash that the material works in is all that takes up different heights
        var takesUp = row.Min(p => p.Fit is { } fit ? fit.FillsMaxMm - fit.FillsMinMm : 0);
        if (parts.Max(p => p.HeightMm) - parts.Min(p => p.HeightMm) > takesUp + 1e-9)
            return false;
        if (row.Exists(p => p.Fit is { State: not PadState.Good }))
            return false;
        // under the strip there is room up to the lower of its two neighbours
        return Between(a.Top().Bounds, b.Top().Bounds) is not { } bridge
            || !board.Parts.Any(p =>
                p.Face == a.Face
                && p.Id != a.Id
                && p.Id != b.Id
                && p.HeightMm + p.HeightTolMm > Math.Min(a.HeightMm, b.HeightMm)
                && PolygonOverlap.Area(bridge, p.Top()) > PolygonOverlap.TouchMm2
            );
    }

    /// <summary>The rectangle between two tops, as wide as both; null where they touch.</summary>
    private static Polygon? Between(Bounds a, Bounds b)
    {
        var alongX =
            Math.Max(a.MinX, b.MinX) - Math.Min(a.MaxX, b.MaxX) > Math.Max(a.MinY, b.MinY) - Math.Min(a.MaxY, b.MaxY);
        var (low, high) = alongX
            ? (Math.Min(a.MaxX, b.MaxX), Math.Max(a.MinX, b.MinX))
            : (Math.Min(a.MaxY, b.MaxY), Math.Max(a.MinY, b.MinY));
        if (high - low <= 1e-9)
            return null;
        var (left, right) = alongX
            ? (Math.Min(a.MinY, b.MinY), Math.Max(a.MaxY, b.MaxY))
            : (Math.Min(a.MinX, b.MinX), Math.Max(a.MaxX, b.MaxX));
        double along = (low + high) / 2,
            across = (left + right) / 2;
        return alongX
            ? Polygon.Rectangle(new(along, across), high - low, right - left)
            : Polygon.Rectangle(new(across, along), right - left, high - low);
    }

    private static Bounds Top(Board board, PlacedPad pad) => board.FindPart(pad.Part)!.Top().Bounds;

    private static double Across(Bounds b, bool alongX) => alongX ? (b.MinY + b.MaxY) / 2 : (b.MinX + b.MaxX) / 2;

    private static (double Low, double High) Along(Bounds b, bool alongX) =>
        alongX ? (b.MinX, b.MaxX) : (b.MinY, b.MaxY);
}
