using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Blocks.Assumed;

/// <summary>Parts that one land serves: alike, equally high, side by side, with nothing else between them.</summary>
internal static class LandGroups
{
    /// <summary>Room between neighbours of one land, mm, and the share of a land that may lie over nothing.</summary>
    private const double NeighbourMm = 8,
        MaxEmpty = 0.45,
        SameHeightMm = 0.05;

    /// <summary>Of more parts than these each has a land of its own.</summary>
    private const int MaxGrouped = 300;

    /// <param name="all">Every part that stands on the face, served or not.</param>
    public static List<IReadOnlyList<Part>> Group(IReadOnlyList<Part> served, IEnumerable<Part> all)
    {
        List<Part> standing = [.. all];
        List<List<Part>> groups = [.. served.Select(p => new List<Part> { p })];
        while (served.Count <= MaxGrouped && Pair(groups, standing) is var (a, b))
        {
            groups[a].AddRange(groups[b]);
            groups.RemoveAt(b);
        }
        return [.. groups];
    }

    public static Bounds Around(IEnumerable<Part> parts) => Bounds.From([.. parts.SelectMany(p => p.Top().Points)]);

    private static (int A, int B)? Pair(List<List<Part>> groups, List<Part> standing)
    {
        for (var a = 0; a < groups.Count; a++)
        for (var b = a + 1; b < groups.Count; b++)
            if (Alike(groups[a][0], groups[b][0]) && Together(groups[a], groups[b], standing))
                return (a, b);
        return null;
    }

    private static bool Alike(Part a, Part b) =>
        a.Kind == b.Kind
        && a.Kind is not (PartKind.Die or PartKind.Lid or PartKind.Unknown)
        && !a.HeightUnknown
        && !b.HeightUnknown
        && Math.Abs(a.HeightMm - b.HeightMm) <= SameHeightMm;

    private static bool Together(List<Part> a, List<Part> b, List<Part> standing)
    {
        if (!Around(a).Grown(NeighbourMm).Meets(Around(b)))
            return false;
        List<Part> both = [.. a, .. b];
        var box = Around(both);
        return both.Sum(p => p.Top().Area) >= (1 - MaxEmpty) * box.Width * box.Height
            && !standing.Exists(p => !both.Contains(p) && box.Meets(p.Top().Bounds));
    }
}
