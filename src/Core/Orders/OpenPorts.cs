using FaithfulBracket.Core.Blocks;

namespace FaithfulBracket.Core.Orders;

/// <summary>Ports of a block that nothing uses and that are plugged.</summary>
public static class OpenPorts
{
    /// <summary>Ports that the loop goes in and out by.</summary>
    private const int InAndOut = 2;

    /// <summary>How many ports of one pair are left open: those that neither a link or bridging fitting nor the loop takes.</summary>
    public static int Count(WorkOrder order, Pair pair)
    {
        var ports = pair.Block.Ports.Count;
        var joined = Joined(order);
        var ends = joined.Count(j => j.A == pair.Key) + joined.Count(j => j.B == pair.Key);
        if (ends == 0)
            return Math.Max(0, ports - InAndOut);
        var chain = Chain(joined, pair.Key, order);
        // side by side the first takes in and out; one after the other the first takes in, the last lets out
        var loop = joined.GroupBy(j => j).Any(g => g.Count() > 1)
            ? pair.Key == chain[0]
                ? InAndOut
                : 0
            : (pair.Key == chain[0] ? 1 : 0) + (pair.Key == chain[^1] ? 1 : 0);
        return Math.Max(0, ports - ends - loop);
    }

    /// <summary>Ports that are closed with a plug: the last of those that nothing joins.</summary>
    public static IReadOnlyList<Port> Plugged(WorkOrder order, Pair pair) =>
        [.. Free(order, pair).TakeLast(Count(order, pair))];

    /// <summary>Ports that a fitting of the loop is screwed into.</summary>
    public static IReadOnlyList<Port> Used(WorkOrder order, Pair pair) =>
        [.. Free(order, pair).SkipLast(Count(order, pair))];

    /// <summary>Ports that neither a link nor a bridging fitting ends in.</summary>
    private static List<Port> Free(WorkOrder order, Pair pair)
    {
        var card = pair.On ?? order.First.Key;
        var taken = pair.Block.Joins.Where(j => Other(order, pair, j) is not null).Select(j => j.Port);
        var from = order
            .Pairs.SelectMany(p => p.Block.Joins.Where(j => Other(order, p, j)?.Key == pair.Key))
            .Select(j => j.To.Port);
        var linked = (order.Machine?.Links ?? [])
            .SelectMany(l => new[] { l.From, l.To })
            .Where(e => e.Card == card)
            .Select(e => e.Port);
        var ends = taken.Concat(from).Concat(linked).ToHashSet();
        return [.. pair.Block.Ports.Where(p => !ends.Contains(p.Id))];
    }

    /// <summary>Which pairs a rigid link or a bridging fitting joins, each as often as it does.</summary>
    private static List<(string A, string B)> Joined(WorkOrder order)
    {
        static (string, string) Ordered(string a, string b) => string.CompareOrdinal(a, b) <= 0 ? (a, b) : (b, a);
        string? PairOn(string card) => order.Pairs.FirstOrDefault(p => (p.On ?? order.First.Key) == card)?.Key;
        return
        [
            .. from link in order.Machine?.Links ?? []
            let a = PairOn(link.From.Card)
            let b = PairOn(link.To.Card)
            where a is not null && b is not null
            select Ordered(a, b),
            .. from pair in order.Pairs
            from fitting in pair.Block.Joins
            let other = Other(order, pair, fitting)
            where other is not null
            select Ordered(pair.Key, other.Key),
        ];
    }

    /// <summary>The pair at the other end of a bridging fitting; null where the order has none.</summary>
    public static Pair? Other(WorkOrder order, Pair pair, Join fitting) =>
        order.Pairs.FirstOrDefault(p =>
            p.Key != pair.Key && (p.Key == fitting.To.Block || p.Block.Id == fitting.To.Block)
        );

    /// <summary>Everything joined to a pair, in the order's own order.</summary>
    private static List<string> Chain(List<(string A, string B)> joined, string from, WorkOrder order)
    {
        HashSet<string> seen = [from];
        for (var grown = true; grown; )
        {
            grown = false;
            foreach (var (a, b) in joined)
                if (seen.Contains(a) != seen.Contains(b))
                    grown |= seen.Add(a) | seen.Add(b);
        }
        return [.. order.Pairs.Select(p => p.Key).Where(seen.Contains)];
    }
}
