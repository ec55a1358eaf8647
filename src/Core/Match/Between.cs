using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Match;

namespace FaithfulBracket.Core.Match;

/// <summary>What stands between pairs: plates that overlap, bridging fittings, the room between two boards, ribbons.</summary>
public static class Between
{
    /// <summary>Plates of two pairs on one face may share this much, mm².</summary>
    public const double MaxOverlapMm2 = 0.5;

    public static IReadOnlyList<BetweenFault> Find(WorkOrder order, IReadOnlyList<PairFit> pairs) =>
        [
            .. Overlaps(order, pairs),
            .. Joins(order, pairs),
            .. Spacing(order, pairs),
            .. Ribbons(order, pairs),
            .. MachineRoom.Faults(order, pairs),
        ];

    private static IEnumerable<(PairFit Pair, string Board, Face Face, Polygon Outline)> Outlines(
        WorkOrder order,
        IReadOnlyList<PairFit> pairs
    ) =>
        from pair in pairs
        let block = order.Pairs.First(p => p.Key == pair.Key).Block
        from plate in pair.Plates
        let own = block.Plates.First(p => p.Id == plate.Plate)
        select (pair, plate.Board, own.Face, plate.Placement.Apply(own.Outline));

    private static IEnumerable<BetweenFault> Overlaps(WorkOrder order, IReadOnlyList<PairFit> pairs)
    {
        var all = Outlines(order, pairs).ToList();
        foreach (var (a, i) in pairs.Select((p, i) => (p, i)))
        foreach (var b in pairs.Skip(i + 1))
        {
            var area = (
                from x in all
                where x.Pair == a
                from y in all
                where y.Pair == b && x.Board == y.Board && x.Face == y.Face
                select PolygonOverlap.Area(x.Outline, y.Outline)
            ).Sum();
            if (area > MaxOverlapMm2)
                yield return new(
                    BetweenCode.Overlap,
                    a.Key,
                    b.Key,
                    BetweenWords.BlocksAndLieOverEachOther(a.Key, b.Key, area),
                    AreaMm2: area
                );
        }
    }

    private static IEnumerable<BetweenFault> Joins(WorkOrder order, IReadOnlyList<PairFit> pairs)
    {
        foreach (var pair in order.Pairs)
        foreach (var join in pair.Block.Joins)
        {
            var others = order.Pairs.Where(p =>
                p.Key != pair.Key && (p.Key == join.To.Block || p.Block.Id == join.To.Block)
            );
            var reach = others
                .Select(o =>
                    (Other: o, From: PortAt(order, pairs, pair, join.Port), To: PortAt(order, pairs, o, join.To.Port))
                )
                .Where(x => x is { From: not null, To: not null })
                .Select(x => (x.Other, MissMm: (x.From!.Value - x.To!.Value).Length - join.LengthMm))
                .ToList();
            if (reach.Count == 0)
                continue;
            var (other, miss) = reach.MinBy(x => Math.Abs(x.MissMm));
            if (Math.Abs(miss) > join.TolMm + 1e-9)
                yield return new(
                    BetweenCode.JoinMiss,
                    pair.Key,
                    other.Key,
                    BetweenWords.FittingIsLong(
                        join.Id,
                        join.LengthMm,
                        join.Port,
                        pair.Key,
                        join.To.Port,
                        other.Key,
                        join.LengthMm + miss,
                        Math.Abs(miss),
                        miss > 0 ? "far" : "near",
                        join.TolMm
                    ),
                    MissMm: Math.Abs(miss)
                );
        }
    }

    /// <summary>A port in the frame of the card's first board; null where the block lies on no board or has no such port.</summary>
    private static Point2? PortAt(WorkOrder order, IReadOnlyList<PairFit> pairs, Pair pair, string port)
    {
        var on = pairs.First(p => p.Key == pair.Key).On;
        return on.Count > 0 && pair.Block.Ports.FirstOrDefault(p => p.Id == port) is { } found
            ? order.Find(on[0].Board)!.InFirst(on[0].Fit.Placement.Apply(found.At))
            : null;
    }

    /// <summary>A block clamped between two boards is as thick as they allow.</summary>
    private static IEnumerable<BetweenFault> Spacing(WorkOrder order, IReadOnlyList<PairFit> pairs)
    {
        foreach (var pair in pairs.Where(p => p.Plates.Count > 1))
        {
            var block = order.Pairs.First(p => p.Key == pair.Key).Block;
            var first = pair.Plates[0];
            foreach (var plate in pair.Plates.Skip(1).Where(p => p.Board != first.Board))
            {
                if (
                    block.Plates.First(p => p.Id == plate.Plate).CoreMm is not { } core
                    || (order.Find(plate.Board)!.Pose ?? order.Find(first.Board)!.Pose) is not { } pose
                    || first.PlaneMm is not { } a
                    || plate.PlaneMm is not { } b
                )
                    continue;
                var miss = a + core + b - pose.SpacingMm;
                if (Math.Abs(miss) > pose.SpacingTolMm + 1e-9)
                    yield return new(
                        BetweenCode.Spacing,
                        first.Board,
                        plate.Board,
                        BetweenWords.BoardsAndLieApart(
                            first.Board,
                            plate.Board,
                            pose.SpacingMm,
                            pair.Key,
                            a + core + b,
                            Math.Abs(miss),
                            miss > 0 ? "thick" : "thin",
                            pose.SpacingTolMm
                        ),
                        MissMm: miss
                    );
            }
        }
    }

    private static IEnumerable<BetweenFault> Ribbons(WorkOrder order, IReadOnlyList<PairFit> pairs)
    {
        var all = Outlines(order, pairs).ToList();
        foreach (var ribbon in order.Ribbons)
        {
            if (order.Find(ribbon.From.Board) is not { } from || order.Find(ribbon.To.Board) is not { } to)
                continue;
            var strip = Strip(from.InFirst(ribbon.From.At), to.InFirst(ribbon.To.At), ribbon.WidthMm);
            foreach (var pair in pairs)
            {
                var area = all.Where(x => x.Pair == pair && (x.Board == from.Key || x.Board == to.Key))
                    .Select(x => PolygonOverlap.Area(InFirst(order.Find(x.Board)!, x.Outline), strip))
                    .DefaultIfEmpty(0)
                    .Max();
                if (area > MaxOverlapMm2)
                    yield return new(
                        BetweenCode.Ribbon,
                        ribbon.Id,
                        pair.Key,
                        BetweenWords.LiesUnderBlock(ribbon.Name, ribbon.Id, pair.Key, area),
                        AreaMm2: area
                    );
            }
        }
    }

    private static Polygon InFirst(Workpiece piece, Polygon p) => new([.. p.Points.Select(piece.InFirst)]);

    /// <summary>The ribbon in plan: as wide as it is, from plug to plug; as deep as wide where it stands upright.</summary>
    private static Polygon Strip(Point2 from, Point2 to, double widthMm)
    {
        var length = (to - from).Length;
        Point2 middle = new((from.X + to.X) / 2, (from.Y + to.Y) / 2);
        var turn = length > 1e-9 ? Math.Atan2(to.Y - from.Y, to.X - from.X) * 180 / Math.PI : 0;
        return Polygon.Rectangle(middle, Math.Max(length, widthMm), widthMm, turn);
    }
}
