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
    /// Job after job: those promised by their promise, then what has begun, then the shortest; a later job fills the gaps of those before
    /// it.
    /// </summary>
    /// <param name="pins">Whether pinned work is laid at its pin first, and the rest round it; see <see cref="Holds"/>.</param>
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
        var placed = new List<int>();
        var isPlaced = new bool[ops.Count];
        bool Stands(int i) => ops[i].Begun is not null || pins && ops[i].Pin is not null;
        foreach (var i in Enumerable.Range(0, ops.Count).Where(Stands))
        {
            starts[i] = ops[i].Begun ?? ops[i].Pin!.Value;
            placed.Add(i);
            isPlaced[i] = true;
        }
        var left = Enumerable.Range(0, ops.Count).Where(i => !Stands(i)).ToList();
        while (left.Count > 0)
        {
            var next = left.Where(i => ops[i].Before.All(b => isPlaced[b]))
                .OrderBy(i => rank[i])
                .ThenBy(i => i)
                .First();
            var earliest = ops[next].Before.Select(b => starts[b] + ops[b].Length).Append(ops[next].Release).Max();
            starts[next] = Earliest(grid, starts, placed, next, earliest);
            placed.Add(next);
            isPlaced[next] = true;
            left.Remove(next);
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

    private static long Earliest(DayGrid grid, long[] starts, List<int> placed, int next, long from)
    {
        var ops = grid.Ops;
        placed = Rivals(grid, placed, next);
        var times = placed.Select(p => starts[p] + ops[p].Length).Where(t => t > from).Append(from).Distinct().Order();
        foreach (var t in times)
            if (Fits(grid, starts, placed, next, t))
                return t;
        return times.Last();
    }

    /// <summary>
    /// What is placed that may want the same hands or tool. Where everybody's work is their own, nobody is in anybody else's way:
    /// there are as many pairs of hands as people.
    /// </summary>
    private static List<int> Rivals(DayGrid grid, List<int> placed, int next)
    {
        var own = grid.Ops[next].Of;
        var named = own.By is not null && grid.OwnWork;
        return
        [
            .. placed.Where(p =>
                grid.Ops[p].Of is var other
                && (
                    own.Hands > 0 && other.Hands > 0 && (!named || other.By == own.By)
                    || own.Tool is not null && other.Tool == own.Tool
                )
            ),
        ];
    }

    private static bool Fits(DayGrid grid, long[] starts, List<int> placed, int next, long at)
    {
        var (ops, own) = (grid.Ops, grid.Ops[next]);
        var shared = grid.Shared.Where(s => s.Takes(own.Of) > 0).ToList();
        var inside = placed.Where(p => starts[p] < at + own.Length && at < starts[p] + ops[p].Length).ToList();
        foreach (var t in inside.Select(p => Math.Max(at, starts[p])).Append(at))
        {
            var now = inside.Where(p => starts[p] <= t && t < starts[p] + ops[p].Length).ToList();
            if (own.Of.Hands > 0 && now.Sum(p => ops[p].Of.Hands) + own.Of.Hands > grid.Day.Hands)
                return false;
            if (shared.Exists(s => now.Sum(p => s.Takes(ops[p].Of)) + s.Takes(own.Of) > s.Count))
                return false;
        }
        return true;
    }
}
