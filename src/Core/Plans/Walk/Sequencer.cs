using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Plans.Walk;

/// <summary>What an order of steps costs, the first difference decides.</summary>
/// <param name="Dropped">What falls at a turn because both hands hold other things.</param>
/// <param name="Turns">Boards turned over.</param>
/// <param name="Drivers">Changes of the driver in the hand.</param>
/// <param name="Left">Times that one thread is left for another before it is done.</param>
/// <param name="Exposed">Clean faces, paste and open pads that wait, summed over the steps.</param>
/// <param name="Moved">Pairs of steps in the other order than the station's.</param>
internal readonly record struct SequenceCost(int Dropped, int Turns, int Drivers, int Left, int Exposed, int Moved)
    : IComparable<SequenceCost>
{
    public int CompareTo(SequenceCost other) =>
        (Dropped, Turns, Drivers, Left, Exposed, Moved).CompareTo(
            (other.Dropped, other.Turns, other.Drivers, other.Left, other.Exposed, other.Moved)
        );

    public static SequenceCost operator +(SequenceCost a, SequenceCost b) =>
        new(
            a.Dropped + b.Dropped,
            a.Turns + b.Turns,
            a.Drivers + b.Drivers,
            a.Left + b.Left,
            a.Exposed + b.Exposed,
            a.Moved + b.Moved
        );
}

/// <summary>One step done from a state: its acts, where it leaves the bench, what it costs.</summary>
internal sealed record SequenceMove(BenchState After, string? Driver, SequenceCost Cost);

/// <summary>
/// Orders what one station asks for: by what each act needs, then by the fewest turns of a board, the fewest changes of
/// driver, one thread finished before the next is begun, and the shortest wait of an open face. Steps that belong together
/// keep their order among themselves (<see cref="StepThreads"/>). Shortest path (Dijkstra 1959) over how far each thread has
/// come, which face of each board is up and which driver is in the hand.
/// </summary>
/// <param name="move">A step done from a state; null where a need fails.</param>
internal sealed class Sequencer(Func<BenchState, string?, WorkStep, SequenceMove?> move)
{
    /// <summary>Where the threads can stand in more ways than this, the station's own order is kept.</summary>
    public const int MaxStands = 300;

    private sealed record Node(IReadOnlyList<int> At, int Last, BenchState State, string? Driver)
    {
        public string Key { get; } =
            string.Join(',', At)
            + '|'
            + Last
            + '|'
            + string.Join(
                ',',
                State.Up.OrderBy(u => u.Key, StringComparer.Ordinal).Select(u => $"{u.Key}{(int)u.Value}")
            )
            + '|'
            + string.Join(',', State.Held.Select(h => h.ToString()).Order(StringComparer.Ordinal))
            + '|'
            + Driver;
    }

    /// <param name="threads">Steps that keep their order among themselves, in the order in which the station does them.</param>
    /// <returns>Every step once; null where no order meets every need, or where there are too many to look at.</returns>
    public (IReadOnlyList<WorkStep> Steps, SequenceCost Cost)? Order(
        IReadOnlyList<IReadOnlyList<WorkStep>> threads,
        BenchState start,
        string? driver,
        CancellationToken cancel = default
    )
    {
        if (threads.Aggregate(1L, (n, t) => Math.Min(MaxStands + 1L, n * (t.Count + 1))) > MaxStands)
            return null;
        var first = new Node([.. threads.Select(_ => 0)], -1, start, driver);
        var cost = new Dictionary<string, SequenceCost> { [first.Key] = default };
        var from = new Dictionary<string, (Node Before, WorkStep Step)>();
        var queue = new PriorityQueue<Node, SequenceCost>();
        queue.Enqueue(first, default);
        while (queue.TryDequeue(out var node, out var spent))
        {
            cancel.ThrowIfCancellationRequested();
            if (spent.CompareTo(cost[node.Key]) > 0)
                continue;
            var open = Enumerable.Range(0, threads.Count).Where(t => node.At[t] < threads[t].Count).ToList();
            if (open.Count == 0)
                return (Unroll(node, from), spent);
            foreach (var t in open)
            {
                var step = threads[t][node.At[t]];
                if (move(node.State, node.Driver, step) is not { } done)
                    continue;
                var next = new Node([.. node.At.Select((at, i) => i == t ? at + 1 : at)], t, done.After, done.Driver);
                var left = node.Last >= 0 && t != node.Last && open.Contains(node.Last);
                var total =
                    spent
                    + done.Cost with
                    {
                        Left = left ? 1 : 0,
                        Moved = open.TakeWhile(o => o < t).Sum(o => threads[o].Count - node.At[o]),
                    };
                if (cost.TryGetValue(next.Key, out var known) && known.CompareTo(total) <= 0)
                    continue;
                cost[next.Key] = total;
                from[next.Key] = (node, step);
                queue.Enqueue(next, total);
            }
        }
        return null;
    }

    private static List<WorkStep> Unroll(Node last, Dictionary<string, (Node Before, WorkStep Step)> from)
    {
        var steps = new List<WorkStep>();
        for (var node = last; from.TryGetValue(node.Key, out var before); node = before.Before)
            steps.Add(before.Step);
        steps.Reverse();
        return steps;
    }
}
