using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Match;

/// <summary>A sink of a block's kit and the part of a board that it is stuck on.</summary>
public sealed record StuckSink(string Pair, string Board, Part Part, PassiveSink Sink);

/// <summary>The sinks that an order's verdict counts on, once for each part that no block covers.</summary>
public static class StuckSinks
{
    public static IReadOnlyList<StuckSink> Find(MatchResult match) =>
        [.. Bare(match).Where(b => b.Sink is not null).Select(b => new StuckSink(b.Pair, b.Board, b.Part, b.Sink!))];

    /// <summary>
    /// Parts that need a sink and for which the kits hold none, or the board leaves no room. Dies and lids take no sink
    /// that is stuck on, and what no stock piece covered keeps what cools it.
    /// </summary>
    public static IReadOnlyList<(string Board, Part Part)> Missing(WorkOrder order, MatchResult match) =>
        [
            .. Bare(match)
                .Where(b =>
                    b.Sink is null
                    && b.Part.Kind is not (PartKind.Die or PartKind.Lid)
                    && (order.Assembly ?? order.Find(b.Board)!.Board.Assembly)?.Bonds.Any(x =>
                        x.Parts.Contains(b.Part.Id)
                    ) != false
                )
                .Select(b => (b.Board, b.Part)),
        ];

    private static IEnumerable<(string Pair, string Board, Part Part, PassiveSink? Sink)> Bare(MatchResult match) =>
        match
            .Laid()
            .SelectMany(l =>
                l.On.Fit.Uncovered.Select(id =>
                    (
                        Pair: l.Pair.Key,
                        l.On.Board,
                        Part: l.On.Laid.Board.FindPart(id),
                        Sink: l.On.Fit.Sinks.FirstOrDefault(s => s.Part == id)
                    )
                )
            )
            .Where(b =>
                b.Part is not null
                && match.Order?.Uncovered.Any(u => u.Board == b.Board && u.Part == b.Part.Id) != false
            )
            .OrderBy(b => b.Sink is null)
            .DistinctBy(b => (b.Board, b.Part!.Id))
            .Select(b => (b.Pair, b.Board, b.Part!, b.Sink));
}
