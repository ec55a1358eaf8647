namespace FaithfulBracket.Core.Schedule;

/// <summary>Plans by one rule, each operation as early as hands and tools allow.</summary>
internal static class ListRule
{
    /// <summary>Always the ready operation with the longest way still to go.</summary>
    public static long[] LongestFirst(DayGrid grid)
    {
        var tail = Tails(grid.Ops);
        return Starts(grid, [.. tail.Select(t => -(double)t)]);
    }

    /// <summary>
    /// Job after job: those promised by their promise, then what has begun, then the shortest; a later job fills the
    /// gaps of those before it.
    /// </summary>
    /// <param name="pins">
    /// Whether pinned work is laid at its pin first, and the rest round it; see <see cref="Holds"/>.
    /// </param>
    public static long[] JobByJob(DayGrid grid, bool pins = false)
    {
        var rank = grid
            .Ops.GroupBy(o => o.Job)
            .OrderBy(g => g.Key.DueMin ?? double.MaxValue)
            .ThenBy(g => g.All(o => o.Begun is null || o.Of.Hands == 0))
            .ThenBy(g => g.Where(o => o.Of.Hands > 0).Sum(o => o.Length))
            .Select((g, i) => (g.Key.Id, i))
            .ToDictionary(x => x.Id, x => (double)x.i);
        return Starts(grid, [.. grid.Ops.Select(o => rank[o.Job.Id])], pins);
    }

    /// <summary>Whether everything begins where it is pinned, after what it waits for.</summary>
    public static bool Holds(DayGrid grid, long[] starts) =>
        Enumerable
            .Range(0, grid.Ops.Count)
            .All(i =>
                grid.Ops[i] is var op
                && (
                    op.Begun is not null
                    || (op.Pin is not { } pin || starts[i] == pin)
                        && op.Before.All(b => starts[b] + grid.Ops[b].Length <= starts[i])
                )
            );

    /// <param name="rank">Of each operation: the lowest that is ready is placed next.</param>
    private static long[] Starts(DayGrid grid, double[] rank, bool pins = false)
    {
        var ops = grid.Ops;
        var starts = new long[ops.Count];
        var (hands, shared) = (new Usage(grid.Day.Hands), grid.Shared.Select(s => new Usage(s.Count)).ToArray());
        var (waitsFor, after) = (new int[ops.Count], new List<int>[ops.Count]);
        var ready = new PriorityQueue<int, (double Rank, int Index)>();
        bool Stands(int i) => ops[i].Begun is not null || pins && ops[i].Pin is not null;
        void Place(int i, long at)
        {
            starts[i] = at;
            // where everybody's work is their own there are hands for all of them
            if (!grid.OwnWork)
                hands.Add(at, ops[i].Length, ops[i].Of.Hands);
            for (var k = 0; k < shared.Length; k++)
                shared[k].Add(at, ops[i].Length, grid.Shared[k].Takes(ops[i].Of));
            foreach (var next in after[i] ?? [])
                if (--waitsFor[next] == 0 && !Stands(next))
                    ready.Enqueue(next, (rank[next], next));
        }
        for (var i = 0; i < ops.Count; i++)
        {
            waitsFor[i] = ops[i].Before.Count;
            foreach (var b in ops[i].Before)
                (after[b] ??= []).Add(i);
        }
        for (var i = 0; i < ops.Count; i++)
            if (!Stands(i) && waitsFor[i] == 0)
                ready.Enqueue(i, (rank[i], i));
        for (var i = 0; i < ops.Count; i++)
            if (Stands(i))
                Place(i, ops[i].Begun ?? ops[i].Pin!.Value);
        while (ready.TryDequeue(out var next, out _))
        {
            var earliest = ops[next].Before.Select(b => starts[b] + ops[b].Length).Append(ops[next].Release).Max();
            Place(next, Earliest(grid, hands, shared, next, earliest));
        }
        return starts;
    }

    /// <summary>Longest way from an operation's start to the end of what waits for it.</summary>
    private static long[] Tails(IReadOnlyList<DayGrid.Op> ops)
    {
        var tail = ops.Select(o => o.Length).ToArray();
        for (var changed = true; changed; )
        {
            changed = false;
            for (var i = 0; i < ops.Count; i++)
                foreach (var b in ops[i].Before)
                    if (tail[b] < ops[b].Length + tail[i])
                    {
                        tail[b] = ops[b].Length + tail[i];
                        changed = true;
                    }
        }
        return tail;
    }

    private static long Earliest(DayGrid grid, Usage hands, Usage[] shared, int next, long from)
    {
        var op = grid.Ops[next];
        var asks = new List<(Usage Of, int Amount)>();
        if (!grid.OwnWork && op.Of.Hands > 0)
            asks.Add((hands, op.Of.Hands));
        for (var k = 0; k < shared.Length; k++)
            if (grid.Shared[k].Takes(op.Of) is > 0 and var amount)
                asks.Add((shared[k], amount));
        var at = from;
        for (var moved = op.Length > 0; moved; )
        {
            moved = false;
            foreach (var (of, amount) in asks)
                if (of.NextAfterConflict(at, op.Length, amount) is { } later)
                    (at, moved) = (later, true);
        }
        return at;
    }
}
