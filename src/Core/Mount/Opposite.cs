using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Mount;

/// <summary>Screws that two hands turn at once: each with the one across the middle.</summary>
internal static class Opposite
{
    /// <summary>How far the middle of two may lie from the middle of all, as a share of the way from there to a screw.</summary>
    private const double MaxShare = 0.2;

    /// <summary>A crossing order by twos.</summary>
    /// <returns>Null where a screw has none across the middle from it, right after it in the order.</returns>
    public static IReadOnlyList<IReadOnlyList<BlockHole>>? InOrder(IReadOnlyList<BlockHole> order)
    {
        if (order.Count < 2 || order.Count % 2 != 0)
            return null;
        Point2 middle = new(order.Average(h => h.At.X), order.Average(h => h.At.Y));
        List<BlockHole[]> pairs = [.. order.Chunk(2)];
        return pairs.TrueForAll(p =>
            (new Point2((p[0].At.X + p[1].At.X) / 2, (p[0].At.Y + p[1].At.Y) / 2) - middle).Length
            <= MaxShare * (p[0].At - middle).Length
        )
            ? pairs
            : null;
    }
}
