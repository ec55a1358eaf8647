using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Mount;

/// <summary>The order in which screws are turned: the die ring in a cross, then rings outward in opposite pairs.</summary>
public static class ScrewOrder
{
    /// <summary>Holes of one ring lie in a cross round the centre: each next one is the furthest from the last, pairs opposite.</summary>
    public static IReadOnlyList<BlockHole> Compute(IReadOnlyList<BlockHole> holes)
    {
        var centre = Centre(holes.Where(h => Ring(h) == holes.Min(Ring)));
        return [.. holes.GroupBy(Ring).OrderBy(g => g.Key).SelectMany(g => Cross([.. g], centre))];
    }

    /// <summary>The ring as given; else retention is 1, standoffs 2, the perimeter 3, the bracket 4.</summary>
    public static int Ring(BlockHole hole) =>
        hole.Ring
        ?? hole.Role switch
        {
            HoleRole.Retention => 1,
            HoleRole.Standoff => 2,
            HoleRole.Perimeter => 3,
            _ => 4,
        };

    private static Point2 Centre(IEnumerable<BlockHole> holes)
    {
        var list = holes.ToList();
        return list.Count == 0 ? default : new(list.Average(h => h.X), list.Average(h => h.Y));
    }

    private static IEnumerable<BlockHole> Cross(List<BlockHole> ring, Point2 centre)
    {
        var left = ring.OrderBy(h => (h.At - centre).Length)
            .ThenBy(h => Math.Atan2(h.Y - centre.Y, h.X - centre.X))
            .ToList();
        while (left.Count > 0)
        {
            var first = left[0];
            left.RemoveAt(0);
            yield return first;
            var arm = first.At - centre;
            // its opposite: the direction most nearly through the centre, then the like distance
            var opposite = left.Where(h => arm.Dot(h.At - centre) < 0).MinBy(h => (h.At - centre + arm).Length);
            if (opposite is null)
                continue;
            left.Remove(opposite);
            yield return opposite;
        }
    }
}
