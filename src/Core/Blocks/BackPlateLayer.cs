using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Blocks;

/// <summary>A block's back plate as a layer of the board it holds.</summary>
public static class BackPlateLayer
{
    /// <summary>Between the screws that hold it, those of the socket among them; null where it stiffens nothing.</summary>
    public static BowLayer? Compute(Board board, BoardStiffness laminate, Block block, Placement placement)
    {
        if (block.BackPlate is not { } back)
            return null;
        var hull = ConvexHull.Create([
            .. block
                .Plates.SelectMany(p => p.Holes)
                .Where(h => back.UsesHoles.Contains(h.Id) || h.Role == HoleRole.Retention)
                .Select(h => placement.Apply(h.At)),
        ]);
        return hull is null ? null
            : back.ThicknessMm is { } mm ? BoardLayers.Screwed(hull, mm, back.EMPa)
            : back.StiffnessFactor > 1 ? BoardLayers.Times(hull, back.StiffnessFactor, board, laminate)
            : null;
    }
}
