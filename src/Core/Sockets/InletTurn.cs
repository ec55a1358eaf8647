using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Sockets;

/// <summary>Which way round the cold inlet lies over the hot dies.</summary>
public static class InletTurn
{
    /// <summary>A turn has to bring the inlet this much nearer than any other, mm.</summary>
    private const double ClearlyMm = 1;

    /// <returns>Degrees; null where the block names no inlet, or two turns are as good.</returns>
    public static double? Find(Board processor, Block block)
    {
        var dies = HeightChain.Dies(processor);
        if (dies.Count == 0 || block.Ports.FirstOrDefault(p => p.Role == "in") is not { } inlet)
            return null;
        var shares = PowerShares.Compute(dies);
        var hot = dies.Zip(shares).Aggregate(default(Point2), (sum, d) => sum + d.First.Top().Centroid * d.Second);
        var turns = block
            .Rotations.Select(r => (Turn: r, Mm: (new Placement(0, 0, r).Apply(inlet.At) - hot).Length))
            .OrderBy(t => t.Mm)
            .ToList();
        return turns.Count == 1 || turns.Count > 1 && turns[1].Mm - turns[0].Mm >= ClearlyMm ? turns[0].Turn : null;
    }
}
