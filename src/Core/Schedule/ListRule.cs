namespace FaithfulBracket.Core.Schedule;

/// <summary>A plan by one rule: always the ready operation with the longest way still to go, as early as hands and tools allow.</summary>
internal static class ListRule
{
    public static long[] Starts(DayGrid grid)
    {
        var ops = grid.Ops;
        var tail = Tails(ops);
        var starts = new long[ops.Count];
        var placed = new List<int>();
        foreach (var i in Enumerable.Range(0, ops.Count).Where(i => ops[i].Begun is not null))
        {
            starts[i] = ops[i].Begun!.Value;
            placed.Add(i);
        }
        var left = Enumerable.Range(0, ops.Count).Where(i => ops[i].Begun is null).ToList();
        while (left.Count > 0)
        {
            var next = left.Where(i => ops[i].Before.All(placed.Contains))
                .OrderByDescending(i => tail[i])
                .ThenBy(i => i)
                .First();
            var earliest = ops[next].Before.Select(b => starts[b] + ops[b].Length).Append(ops[next].Release).Max();
            starts[next] = Earliest(grid, starts, placed, next, earliest);
            placed.Add(next);
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
        var times = placed.Select(p => starts[p] + ops[p].Length).Where(t => t > from).Append(from).Distinct().Order();
        foreach (var t in times)
            if (Fits(grid, starts, placed, next, t))
                return t;
        return times.Last();
    }

    private static bool Fits(DayGrid grid, long[] starts, List<int> placed, int next, long at)
    {
        var (ops, own) = (grid.Ops, grid.Ops[next]);
        var tool = grid.Day.Tools.FirstOrDefault(t => t.Id == own.Of.Tool);
        var inside = placed.Where(p => starts[p] < at + own.Length && at < starts[p] + ops[p].Length).ToList();
        foreach (var t in inside.Select(p => Math.Max(at, starts[p])).Append(at))
        {
            var now = inside.Where(p => starts[p] <= t && t < starts[p] + ops[p].Length).ToList();
            if (own.Of.Hands > 0 && now.Sum(p => ops[p].Of.Hands) + own.Of.Hands > grid.Day.Hands)
                return false;
            if (tool is not null && now.Count(p => ops[p].Of.Tool == tool.Id) + 1 > tool.Count)
                return false;
        }
        return true;
    }
}
