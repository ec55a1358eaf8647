using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Match;

/// <summary>Stock back plates that come back: which of the block's screws go through them.</summary>
internal static class StockPlates
{
    /// <summary>A stock screw this near a hole sits in it, mm.</summary>
    private const double SamePlaceMm = 1.2;

    public static IReadOnlyList<StockPlate> Find(WorkOrder order, Workpiece piece, Block block, FitResult fit)
    {
        var assembly = order.Assembly ?? piece.Board.Assembly;
        if (assembly is null || !block.Plates.Any(p => p.Face == Face.Front))
            return [];
        var plates = new List<StockPlate>();
        foreach (
            var plate in assembly.Pieces.Where(p =>
                p is { Returns: true, Face: Face.Back } && (p.Board ?? order.First.Key) == piece.Key
            )
        )
        {
            var groups = assembly.Fasteners.Where(f => f.Joins.Contains(plate.Id)).ToList();
            var holes = piece.Board.Holes.Where(h => groups.Exists(g => SitsIn(g, h))).Select(h => h.Id).ToHashSet();
            var uses = fit
                .Screws.Where(s => s.BoardHole is { } hole && holes.Contains(hole))
                .Select(s => s.BlockHole)
                .ToList();
            if (uses.Count > 0)
                plates.Add(
                    new(
                        plate.Id,
                        plate.Name,
                        uses,
                        [
                            .. assembly
                                .Bonds.Where(b => b.Kind == BondKind.Pads && b.Between.Contains(plate.Id))
                                .SelectMany(b => b.Parts),
                        ]
                    )
                );
        }
        return plates;
    }

    private static bool SitsIn(FastenerGroup group, BoardHole hole) =>
        group.Holes.Contains(hole.Id) || group.Places.Any(p => (p - hole.At).Length <= SamePlaceMm);
}
