using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Mount;

/// <summary>Blocks joined by a rigid fitting: joined before either is screwed down, evened against each other afterwards.</summary>
internal static class Bridging
{
    /// <summary>Joins that begin at a pair and find their other end in the order.</summary>
    private static IEnumerable<(Pair From, Join Join, Pair To)> Of(WorkOrder order) =>
        from pair in order.Pairs
        from fitting in pair.Block.Joins
        let other = OpenPorts.Other(order, pair, fitting)
        where other is not null
        select (pair, fitting, other);

    /// <summary>Before the first of two joined blocks is lowered.</summary>
    public static IEnumerable<WorkStep> Before(WorkOrder order, Pair pair) =>
        from j in Of(order)
        where FirstOf(order, j.From, j.To).Key == pair.Key
        select new WorkStep
        {
            Id = new(Station.Mount, order.ScopeOf(j.From), $"join-{j.Join.Id}"),
            Kind = StepKind.Fit,
            Board = BoardOf(order, j.From),
            Pair = j.From.Key,
            Title =
                $"Join {order.Name(j.From)} and {order.Name(j.To)} by fitting {j.Join.Id}, port {j.Join.Port} to port {j.Join.To.Port}",
            Detail = FormattableString.Invariant(
                $"In this order: spacer on the fitting, first O-ring in its groove, into port {j.Join.Port}; second O-ring, then the other block onto it by hand. {j.Join.LengthMm:0.0} mm from port to port, ±{j.Join.TolMm:0.0} mm."
            ),
            Caution = "An O-ring that rolls leaks later: wet it, push straight, look all round.",
            Done = "Joined, both rings seated",
            Facts =
            [
                new("2", "O-rings"),
                new(FormattableString.Invariant($"{j.Join.LengthMm:0.0} mm"), "port to port"),
            ],
        };

    /// <summary>Once all screws are home.</summary>
    public static IEnumerable<WorkStep> Steps(WorkOrder order) =>
        from j in Of(order)
        let screws = j.From.Block.Plates.Concat(j.To.Block.Plates).Sum(p => p.Holes.Count)
        select new WorkStep
        {
            Id = new(Station.Mount, order.ScopeOf(j.From), $"even-{j.Join.Id}"),
            Kind = StepKind.Look,
            Board = BoardOf(order, j.From),
            Pair = j.From.Key,
            Title = $"Even the {screws} screws of {order.Name(j.From)} and {order.Name(j.To)} against each other",
            Detail =
                "A joined block that is lower pulls the fitting askew: the fitting stands square to both, its rings not in sight.",
            Done = "Square to both",
            Targets = [.. j.From.Block.Plates.Concat(j.To.Block.Plates).SelectMany(p => p.Holes).Select(h => h.Id)],
        };

    private static Pair FirstOf(WorkOrder order, Pair a, Pair b) =>
        order.Pairs.First(p => p.Key == a.Key || p.Key == b.Key);

    private static string BoardOf(WorkOrder order, Pair pair) =>
        pair.BoardKeys(order) is [var first, ..] ? first : order.First.Key;
}
