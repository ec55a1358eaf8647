using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Sockets;

/// <summary>What a block leaves free of the memory and expansion slots round it.</summary>
/// <param name="Under">Slots and plugs that lie under the block.</param>
/// <param name="Nearest">The nearest of the others; null when all are under it.</param>
/// <param name="RoomMm">From the block's edge to it, mm in plan.</param>
public sealed record SlotRoom(IReadOnlyList<string> Under, string? Nearest, double RoomMm)
{
    /// <param name="turnDeg">How the block is turned.</param>
    /// <returns>Null where no slot is known.</returns>
    public static SlotRoom? Compute(Board? board, Block block, double turnDeg)
    {
        var slots = (board?.Parts ?? []).Where(p => p is { Kind: PartKind.Connector, Face: Face.Front }).ToList();
        var turned = new Placement(0, 0, turnDeg);
        var plates = block.Plates.Where(p => p.Face == Face.Front).Select(p => turned.Apply(p.Outline)).ToList();
        if (slots.Count == 0 || plates.Count == 0)
            return null;
        var rooms = slots
            .Select(s => (s.Id, Mm: plates.Min(p => PolygonOverlap.Area(p, s.Top()) > 0 ? 0 : Apart(p, s.Top()))))
            .OrderBy(r => r.Mm)
            .ToList();
        var free = rooms.Where(r => r.Mm > 0).ToList();
        return new(
            [.. rooms.Where(r => r.Mm <= 0).Select(r => r.Id)],
            free.Count > 0 ? free[0].Id : null,
            free.Count > 0 ? free[0].Mm : 0
        );
    }

    /// <summary>Least distance of two outlines that do not meet: from a corner of one to a side of the other.</summary>
    private static double Apart(Polygon a, Polygon b) => Math.Min(CornerToSides(a, b), CornerToSides(b, a));

    private static double CornerToSides(Polygon corners, Polygon sides)
    {
        var least = double.PositiveInfinity;
        foreach (var c in corners.Points)
            for (int i = 0, j = sides.Points.Count - 1; i < sides.Points.Count; j = i++)
            {
                Point2 from = sides.Points[j],
                    along = sides.Points[i] - from;
                var t = along.Dot(along) is > 0 and var l ? Math.Clamp((c - from).Dot(along) / l, 0, 1) : 0;
                least = Math.Min(least, (c - from - along * t).Length);
            }
        return least;
    }
}
