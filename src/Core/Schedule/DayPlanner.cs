using System.Diagnostics;
using FaithfulBracket.Core.Words.Schedule;
using Google.OrTools.Sat;

namespace FaithfulBracket.Core.Schedule;

/// <summary>
/// Plans the bench's day by constraint programming: shortest finish, then least lateness, then the earliest sum of the
/// jobs' finishes. One worker and a budget of work instead of a clock, so that the same day has the same plan; what
/// has begun is never moved.
/// </summary>
public static class DayPlanner
{
    public const int MaxJobs = 100,
        MaxOperations = 1000,
        MaxHands = 20;
    public const double MaxMinutes = 20_000;
    public static string InWords => DayPlannerWords.LimitsBodyOfMiBJobsOperations;

    /// <summary>Deterministic work of the three questions, in the solver's own measure.</summary>
    private static readonly double[] Budget = [0.1, 0.05, 0.05];

    /// <summary>
    /// Operations from which a day is large, and what share of the budget a large and a small one get.
    /// </summary>
    private const int Large = 250;
    private const double LargeShare = 0.05,
        SmallShare = 4;

    /// <summary>Shortest finish, then least lateness, then the earliest sum of the jobs' finishes.</summary>
    /// <exception cref="InputException">See <see cref="DayGrid.Create"/>.</exception>
    public static DayPlan Plan(ShopDay day, CancellationToken cancel = default)
    {
        var grid = DayGrid.Create(day);
        if (grid.Ops.Count == 0)
            return new(0, 0, true, [], []);
        var finish = Asked(grid, new(ListRule.LongestFirst(grid)), Goal.Finish, cancel);
        var held = new Held(finish.Starts) { Finish = Finish(grid, finish.Starts) };
        var late = Asked(grid, held, Goal.Lateness, cancel);
        held = held with { Starts = late.Starts, Lateness = Lateness(grid, late.Starts) };
        var sum = Asked(grid, held, Goal.Sum, cancel);
        cancel.ThrowIfCancellationRequested();
        var end = held.Finish!.Value;
        var bound = Math.Min(Math.Max(finish.Bound, Least(grid)), end);
        if (!grid.IsExact)
            return ToPlan(grid, sum.Starts, Math.Min(end, Least(DayGrid.Create(day, shorter: true))), proven: false);
        return ToPlan(grid, sum.Starts, bound, (finish.Proven || bound == end) && late.Proven && sum.Proven);
    }

    /// <summary>
    /// Least lateness, then the earliest sum of the jobs' finishes: whoever is promised something does not ask when
    /// the shop is empty. Another order than job by job is taken only where it is worth the going to and fro.
    /// </summary>
    /// <exception cref="InputException">See <see cref="DayGrid.Create"/>.</exception>
    /// <param name="search">
    /// Whether a better order than job by job is looked for; without, the answer comes at once.
    /// </param>
    public static DayPlan PlanPromises(ShopDay day, bool search = true, CancellationToken cancel = default)
    {
        var grid = DayGrid.Create(day);
        if (grid.Ops.Count == 0)
            return new(0, 0, true, [], []);
        if (!search)
            return JobByJob(grid);
        var rule = ListRule.JobByJob(grid);
        var held = new Held(rule);
        var pinned = grid.Ops.Any(o => o.Pin is not null);
        if (pinned)
        {
            var round = ListRule.JobByJob(grid, pins: true);
            var asked = ListRule.Holds(grid, round)
                ? new Answer(round, 0, false)
                : Asked(grid, held with { Pins = true, Clock = new(PinsS) }, Goal.Lateness, cancel, always: true);
            held = asked.Found ? held with { Starts = asked.Starts, Pins = true } : held;
        }
        held = held with { Clock = new(ScreenS) };
        var late = Asked(grid, held, Goal.Lateness, cancel);
        if (late.Found && Lateness(grid, late.Starts) < Lateness(grid, held.Starts))
            held = held with { Starts = late.Starts };
        held = held with { Lateness = Lateness(grid, held.Starts) };
        var sum = Asked(grid, held, Goal.Sum, cancel);
        var better = Sum(grid, sum.Starts) < Sum(grid, held.Starts) * (1 - WorthShare);
        cancel.ThrowIfCancellationRequested();
        return ToPlan(
            grid,
            better ? sum.Starts : held.Starts,
            Least(grid),
            grid.IsExact && late.Proven && sum.Proven
        ) with
        {
            PinsHold = !pinned || held.Pins,
        };
    }

    private static DayPlan JobByJob(DayGrid grid)
    {
        var pinned = ListRule.JobByJob(grid, pins: true);
        var hold = ListRule.Holds(grid, pinned);
        return ToPlan(grid, hold ? pinned : ListRule.JobByJob(grid), Least(grid), proven: false) with
        {
            PinsHold = hold,
        };
    }

    /// <summary>
    /// What the questions may take while a screen waits, s: whether pins can be held, and then the others together. A
    /// day that is seen in a shop takes a tenth.
    /// </summary>
    private const double PinsS = 1.5,
        ScreenS = 0.8;

    /// <summary>Runs from when it is made.</summary>
    private sealed class ScreenClock(double seconds)
    {
        /// <summary>What a question gets at least, s.</summary>
        private const double MinS = 0.05;

        private readonly Stopwatch _since = Stopwatch.StartNew();

        public double LeftS => Math.Max(MinS, seconds - _since.Elapsed.TotalSeconds);
    }

    /// <summary>
    /// An order that ends the jobs less than this share earlier is not worth leaving a job for another.
    /// </summary>
    private const double WorthShare = 0.02;

    private static DayPlan ToPlan(DayGrid grid, long[] starts, long bound, bool proven) =>
        new(
            grid.Minutes(Finish(grid, starts)),
            grid.Minutes(bound),
            proven,
            [
                .. grid
                    .Ops.Select(
                        (o, i) =>
                            new PlannedOperation(
                                o.Job.Id,
                                o.Of.Id,
                                grid.Minutes(starts[i]),
                                grid.Minutes(starts[i] + o.Length)
                            )
                    )
                    .OrderBy(p => p.StartMin),
            ],
            During(grid, starts)
        );

    private enum Goal
    {
        Finish,
        Lateness,
        Sum,
    }

    /// <param name="Found">Whether the solver found these starts itself.</param>
    private sealed record Answer(long[] Starts, long Bound, bool Proven, bool Found = true);

    private static long Finish(DayGrid grid, long[] starts) => grid.Ops.Select((o, i) => starts[i] + o.Length).Max();

    private static Dictionary<string, long> JobEnds(DayGrid grid, long[] starts) =>
        grid
            .Ops.Select((o, i) => (o.Job.Id, End: starts[i] + o.Length))
            .GroupBy(x => x.Id)
            .ToDictionary(g => g.Key, g => g.Max(x => x.End));

    private static long Lateness(DayGrid grid, long[] starts)
    {
        var ends = JobEnds(grid, starts);
        return grid
            .Day.Jobs.Where(j => j.DueMin is not null && ends.ContainsKey(j.Id))
            .Sum(j => Math.Max(0, ends[j.Id] - grid.Ticks(j.DueMin!.Value)));
    }

    private static long Sum(DayGrid grid, long[] starts) => JobEnds(grid, starts).Values.Sum();

    /// <summary>What an answer may not be worse in.</summary>
    /// <param name="Starts">A plan that is known.</param>
    /// <param name="Pins">Whether pinned work begins at its pin.</param>
    /// <param name="Clock">
    /// Runs where a screen waits, and there the same day need not have the same plan.
    /// </param>
    private sealed record Held(
        long[] Starts,
        long? Finish = null,
        long? Lateness = null,
        bool Pins = false,
        ScreenClock? Clock = null
    );

    /// <summary>One of the questions, the earlier ones' answers held.</summary>
    /// <param name="always">Whether the solver is asked though nothing was promised.</param>
    private static Answer Asked(DayGrid grid, Held held, Goal goal, CancellationToken cancel, bool always = false)
    {
        cancel.ThrowIfCancellationRequested();
        var (known, pins) = (held.Starts, held.Pins);
        if (goal == Goal.Lateness && !always && Lateness(grid, known) == 0)
            return new(known, 0, true);
        var model = new CpModel();
        // where the finish is free a better plan may end later than the one that is known
        var free = held.Finish is null && goal != Goal.Finish;
        var horizon = Math.Max(Finish(grid, known), held.Finish ?? 0) + (free ? grid.Ops.Sum(o => o.Length) : 0);
        var low = Math.Min(0, known.Min());
        var starts = new List<IntVar>();
        var spans = new List<IntervalVar>();
        foreach (var (op, i) in grid.Ops.Select((o, i) => (o, i)))
        {
            var start = op.Begun is { } begun
                ? model.NewConstant(begun)
                : model.NewIntVar(Math.Min(op.Release, known[i]), horizon, "");
            if (op.Begun is null)
                model.Add(start >= op.Release);
            if (pins && op is { Begun: null, Pin: { } pin })
                model.Add(start == pin);
            starts.Add(start);
            spans.Add(model.NewFixedSizeIntervalVar(start, op.Length, ""));
            model.AddHint(start, known[i]);
        }
        foreach (var (op, i) in grid.Ops.Select((o, i) => (o, i)))
        foreach (var b in op.Before.Where(_ => op.Begun is null))
            model.Add(starts[i] >= starts[b] + grid.Ops[b].Length);
        Hold(model, spans, grid.Ops.Select(o => o.Of.Hands).ToList(), grid.Day.Hands);
        foreach (var shared in grid.Shared)
            Hold(model, spans, grid.Ops.Select(o => shared.Takes(o.Of)).ToList(), shared.Count);
        var end = model.NewIntVar(low, horizon, "");
        foreach (var (op, i) in grid.Ops.Select((o, i) => (o, i)))
            model.Add(end >= starts[i] + op.Length);
        model.Add(end >= Least(grid));
        if (held.Finish is { } most)
            model.Add(end <= most);
        var ends = JobEnds(model, grid, starts, low, horizon);
        var late = new List<LinearExpr>();
        foreach (var job in grid.Day.Jobs.Where(j => j.DueMin is not null && ends.ContainsKey(j.Id)))
        {
            var over = model.NewIntVar(0, Math.Max(0, horizon - grid.Ticks(job.DueMin!.Value)) + 1, "");
            model.Add(over >= ends[job.Id] - grid.Ticks(job.DueMin!.Value));
            late.Add(over);
        }
        if (held.Lateness is { } total && late.Count > 0)
            model.Add(LinearExpr.Sum(late) <= total);
        model.Minimize(
            goal switch
            {
                Goal.Finish => end,
                Goal.Lateness => LinearExpr.Sum(late),
                _ => LinearExpr.Sum(ends.Values),
            }
        );
        using var solver = new CpSolver();
        var large = grid.Ops.Count > Large;
        solver.StringParameters = DayPlannerWords.NumWorkersRandomSeed(
            Budget[(int)goal] * (large ? LargeShare : SmallShare)
        );
        // of a large day preparing the model takes longer than what it saves
        if (large)
            solver.StringParameters += " cp_model_presolve:false cp_model_probing_level:0 symmetry_level:0";
        // another question follows the first of two: it leaves half
        if (held.Clock is { } clock)
            solver.StringParameters += FormattableString.Invariant(
                $" max_time_in_seconds:{(goal == Goal.Sum || always ? clock.LeftS : clock.LeftS / 2)}"
            );
        // who no longer waits for the day stops its search
        using var leaves = cancel.Register(solver.StopSearch);
        var status = solver.Solve(model);
        cancel.ThrowIfCancellationRequested();
        if (status is not (CpSolverStatus.Optimal or CpSolverStatus.Feasible))
            return new(known, 0, false, Found: false);
        var found = starts.Select(s => solver.Value(s)).ToArray();
        return new(found, (long)Math.Ceiling(solver.BestObjectiveBound - 1e-6), status == CpSolverStatus.Optimal);
    }

    private static void Hold(CpModel model, List<IntervalVar> spans, List<int> demands, int capacity)
    {
        var held = spans.Zip(demands).Where(x => x.Second > 0).ToList();
        if (held.Sum(h => h.Second) <= capacity)
            return;
        var cumulative = model.AddCumulative(capacity);
        foreach (var (span, demand) in held)
            cumulative.AddDemand(span, demand);
    }

    private static Dictionary<string, IntVar> JobEnds(
        CpModel model,
        DayGrid grid,
        List<IntVar> starts,
        long low,
        long horizon
    )
    {
        var ends = new Dictionary<string, IntVar>();
        foreach (var (op, i) in grid.Ops.Select((o, i) => (o, i)))
        {
            if (!ends.TryGetValue(op.Job.Id, out var end))
                ends[op.Job.Id] = end = model.NewIntVar(low, horizon, "");
            model.Add(end >= starts[i] + op.Length);
        }
        return ends;
    }

    /// <summary>
    /// Nothing ends before the longest chain, nor before all hands and every tool have done their work.
    /// </summary>
    private static long Least(DayGrid grid)
    {
        var first = grid.Ops.Min(o => o.Begun ?? o.Release);
        long After(Func<BenchOperation, int> takes, int count) =>
            first + (grid.Ops.Sum(o => o.Length * takes(o.Of)) + count - 1) / count;
        return grid
            .Shared.Select(t => After(t.Takes, t.Count))
            .Append(After(o => o.Hands, grid.Day.Hands))
            .Append(Chain(grid))
            .Max();
    }

    private static long Chain(DayGrid grid)
    {
        var end = new long[grid.Ops.Count];
        for (var changed = true; changed; )
        {
            changed = false;
            for (var i = 0; i < grid.Ops.Count; i++)
            {
                var op = grid.Ops[i];
                var start = op.Begun ?? op.Before.Select(b => end[b]).Append(op.Release).Max();
                if (start + op.Length > end[i])
                {
                    end[i] = start + op.Length;
                    changed = true;
                }
            }
        }
        return end.Max();
    }

    /// <summary>For every wait what hands do while it runs.</summary>
    private static List<Meanwhile> During(DayGrid grid, long[] starts)
    {
        var list = new List<Meanwhile>();
        for (var w = 0; w < grid.Ops.Count; w++)
        {
            var wait = grid.Ops[w];
            if (wait.Of.Hands > 0 || wait.Length == 0)
                continue;
            foreach (
                var i in Enumerable
                    .Range(0, grid.Ops.Count)
                    .Where(i =>
                        grid.Ops[i].Of.Hands > 0
                        && starts[i] < starts[w] + wait.Length
                        && starts[w] < starts[i] + grid.Ops[i].Length
                    )
                    .OrderBy(i => starts[i])
            )
                list.Add(new(grid.Ops[i].Job.Id, grid.Ops[i].Of.Id, $"{wait.Job.Id}/{wait.Of.Id}"));
        }
        return list;
    }
}
