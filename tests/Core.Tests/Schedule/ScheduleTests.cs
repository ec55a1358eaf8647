using FaithfulBracket.Core.Schedule;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>The bench's day against exhaustive search, an independent checker, and cases by hand.</summary>
public class ScheduleTests
{
    private static BenchOperation Do(string id, double minutes, string? tool = null, string[]? after = null) =>
        new(id, minutes, 1, after, tool);

    private static BenchOperation Wait(string id, double minutes) => new(id, minutes, 0);

    [Fact]
    public void A_wait_of_one_job_is_filled_with_the_hands_work_of_another()
    {
        // A: 10 at the bench, 60 of soak, 10; B: 40 at the bench. One pair of hands: 80 minutes, B inside the soak
        var day = new ShopDay(
            1,
            [new("A", [Do("clean", 10), Wait("soak", 60), Do("wipe", 10)]), new("B", [Do("pads", 40)])],
            []
        );
        var plan = DayPlanner.Plan(day);
        Assert.Equal(80, plan.FinishMin);
        Assert.Equal(80, plan.BoundMin);
        Assert.True(plan.Proven);
        Assert.Equal([new("B", "pads", "A/soak")], plan.Meanwhile);
        // the earliest sum of finishes puts B right after the first ten minutes
        Assert.Equal(10, plan.Operations.Single(o => o.Job == "B").StartMin);
        Checked(day, plan);
    }

    [Fact]
    public void A_shared_tool_parts_what_two_pairs_of_hands_could_do_at_once()
    {
        var day = new ShopDay(
            2,
            [new("A", [Do("turn", 30, "driver")]), new("B", [Do("turn", 20, "driver")]), new("C", [Do("cut", 50)])],
            [new("driver", 1)]
        );
        var plan = DayPlanner.Plan(day);
        Assert.Equal(50, plan.FinishMin);
        // the shorter first: 20 + 50 + 50 against 30 + 50 + 50
        Assert.Equal(0, plan.Operations.Single(o => o.Job == "B").StartMin);
        Checked(day, plan);
    }

    [Fact]
    public void A_promise_is_kept_before_the_others_are_sooner()
    {
        var day = new ShopDay(1, [new("A", [Do("a", 10)]), new("B", [Do("b", 30)], DueMin: 30)], []);
        var plan = DayPlanner.Plan(day);
        Assert.Equal(0, plan.Operations.Single(o => o.Job == "B").StartMin);
        Assert.Equal(40, plan.FinishMin);
    }

    [Fact]
    public void What_has_begun_is_not_moved_and_hands_work_round_it()
    {
        var day = new ShopDay(
            1,
            [new("A", [Do("a", 30) with { BegunMin = 5 }, Do("then", 10)]), new("B", [Do("b", 20)], ReleaseMin: 12.5)],
            []
        );
        var plan = DayPlanner.Plan(day);
        Assert.Equal(5, plan.Operations.Single(o => o.Id == "a").StartMin);
        Assert.True(plan.Operations.Single(o => o.Id == "b").StartMin >= 35);
        Assert.Equal(65, plan.FinishMin);
        Checked(day, plan);
    }

    [Fact]
    public void Operations_wait_for_those_of_other_jobs_and_circles_are_refused()
    {
        var day = new ShopDay(
            2,
            [new("A", [Do("a", 15)]), new("B", [Do("b", 5, after: ["A/a"]), Do("free", 5, after: [])])],
            []
        );
        var plan = DayPlanner.Plan(day);
        Assert.Equal(15, plan.Operations.Single(o => o.Id == "b").StartMin);
        Assert.Equal(0, plan.Operations.Single(o => o.Id == "free").StartMin);
        Assert.Throws<InputException>(() =>
            DayPlanner.Plan(new(1, [new("A", [Do("x", 1, after: ["y"]), Do("y", 1, after: ["x"])])], []))
        );
        var lost = Assert.Throws<InputException>(() =>
            DayPlanner.Plan(new(1, [new("A", [Do("x", 1, after: ["nobody"])])], []))
        );
        Assert.Equal("jobs/0/operations/0/after/0", lost.Faults[0].Field);
    }

    private static ShopDay Random(int seed, int most)
    {
        var rng = new Random(seed);
        var jobs = new List<BenchWork>();
        var left = most;
        for (var j = 0; left > 0 && j < 4; j++)
        {
            var count = Math.Min(left, 1 + rng.Next(3));
            left -= count;
            jobs.Add(
                new(
                    $"J{j}",
                    [
                        .. Enumerable
                            .Range(0, count)
                            .Select(o => new BenchOperation(
                                $"o{o}",
                                1 + rng.Next(9),
                                rng.Next(4) == 0 ? 0 : 1,
                                rng.Next(5) == 0 ? [] : null,
                                rng.Next(3) == 0 ? "jig" : null
                            )),
                    ],
                    rng.Next(3) == 0 ? rng.Next(6) : 0,
                    rng.Next(2) == 0 ? 5 + rng.Next(20) : null
                )
            );
        }
        return new(1 + rng.Next(2), jobs, [new("jig", 1)]);
    }

    /// <summary>Finish, lateness and sum of finishes over every order of the operations, each put as early as it goes.</summary>
    /// <param name="promises">Whether lateness counts before the finish.</param>
    private static (double Finish, double Late, double Sum) Exhaustive(ShopDay day, bool promises = false)
    {
        var ops = day.Jobs.SelectMany(j => j.Operations.Select((o, i) => (Job: j, Op: o, At: i))).ToList();
        var best = (Finish: double.MaxValue, Late: double.MaxValue, Sum: double.MaxValue);
        var starts = new double[ops.Count];
        void Go(List<int> placed)
        {
            if (placed.Count == ops.Count)
            {
                var ends = day.Jobs.ToDictionary(
                    j => j.Id,
                    j =>
                        Enumerable
                            .Range(0, ops.Count)
                            .Where(i => ops[i].Job == j)
                            .Max(i => starts[i] + ops[i].Op.Minutes)
                );
                var now = (
                    ends.Values.Max(),
                    day.Jobs.Sum(j => j.DueMin is { } d ? Math.Max(0, ends[j.Id] - d) : 0),
                    ends.Values.Sum()
                );
                if (promises ? (now.Item2, now.Item3).CompareTo((best.Late, best.Sum)) < 0 : now.CompareTo(best) < 0)
                    best = now;
                return;
            }
            for (var i = 0; i < ops.Count; i++)
            {
                var (job, op, at) = ops[i];
                if (placed.Contains(i))
                    continue;
                var before = op.After is null && at > 0 ? i - 1 : -1;
                if (before >= 0 && !placed.Contains(before))
                    continue;
                var from = Math.Max(job.ReleaseMin, before < 0 ? 0 : starts[before] + ops[before].Op.Minutes);
                bool Free(double t)
                {
                    for (var u = t; u < t + op.Minutes; u++)
                    {
                        var now = placed.Where(p => starts[p] <= u && u < starts[p] + ops[p].Op.Minutes).ToList();
                        if (op.Hands > 0 && now.Sum(p => ops[p].Op.Hands) >= day.Hands)
                            return false;
                        if (op.Tool is not null && now.Exists(p => ops[p].Op.Tool == op.Tool))
                            return false;
                    }
                    return true;
                }
                while (!Free(from))
                    from++;
                starts[i] = from;
                placed.Add(i);
                Go(placed);
                placed.RemoveAt(placed.Count - 1);
            }
        }
        Go([]);
        return best;
    }

    [Fact]
    public void Five_hundred_small_days_are_planned_as_well_as_exhaustive_search_can()
    {
        for (var seed = 1; seed <= 500; seed++)
        {
            var day = Random(seed, 6);
            var plan = DayPlanner.Plan(day);
            var (finish, late, sum) = Exhaustive(day);
            var ends = day.Jobs.ToDictionary(
                j => j.Id,
                j => plan.Operations.Where(o => o.Job == j.Id).Max(o => o.EndMin)
            );
            Assert.True(plan.Proven, $"day {seed}");
            Assert.Equal(finish, plan.FinishMin);
            Assert.Equal(finish, plan.BoundMin);
            Assert.Equal(late, day.Jobs.Sum(j => j.DueMin is { } d ? Math.Max(0, ends[j.Id] - d) : 0));
            Assert.Equal(sum, ends.Values.Sum());
            Checked(day, plan);
        }
    }

    [Theory]
    [InlineData(0.25)]
    [InlineData(0.37)]
    [InlineData(1 / 3.0)]
    public void A_day_in_parts_of_minutes_is_planned_as_the_same_day_in_whole_ones(double by)
    {
        for (var seed = 1; seed <= 60; seed++)
        {
            var whole = Random(seed, 7);
            var parts = whole with
            {
                Jobs =
                [
                    .. whole.Jobs.Select(j =>
                        j with
                        {
                            ReleaseMin = j.ReleaseMin * by,
                            DueMin = j.DueMin * by,
                            Operations = [.. j.Operations.Select(o => o with { Minutes = o.Minutes * by })],
                        }
                    ),
                ],
            };
            var (a, b) = (DayPlanner.Plan(whole), DayPlanner.Plan(parts));
            Assert.Equal(a.FinishMin * by, b.FinishMin, 1e-6);
            // what cannot be told in ticks is never called proven
            Assert.True(b.BoundMin <= b.FinishMin + 1e-9);
            if (b.Proven)
                Assert.Equal(b.FinishMin, b.BoundMin, 1e-6);
        }
    }

    [Fact]
    public void Two_hundred_small_days_keep_their_promises_as_well_as_exhaustive_search_can()
    {
        for (var seed = 1; seed <= 200; seed++)
        {
            var day = Random(seed, 6);
            var plan = DayPlanner.PlanPromises(day);
            var (_, late, sum) = Exhaustive(day, promises: true);
            var ends = day.Jobs.ToDictionary(
                j => j.Id,
                j => plan.Operations.Where(o => o.Job == j.Id).Max(o => o.EndMin)
            );
            Assert.Equal(late, day.Jobs.Sum(j => j.DueMin is { } d ? Math.Max(0, ends[j.Id] - d) : 0));
            // another order is taken only where it is worth more than two in a hundred
            Assert.InRange(ends.Values.Sum(), sum, sum / 0.98);
            Checked(day, plan);
        }
    }

    [Fact]
    public void Two_hundred_days_without_a_search_are_possible_and_claim_nothing()
    {
        for (var seed = 1; seed <= 200; seed++)
        {
            var day = Random(seed, 12);
            var plan = DayPlanner.PlanPromises(day, search: false);
            Assert.False(plan.Proven);
            Assert.InRange(plan.BoundMin, 0, plan.FinishMin);
            Checked(day, plan);
        }
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void Pinned_work_begins_at_its_pin_and_the_rest_goes_round_it(bool search)
    {
        var day = new ShopDay(
            1,
            [new("A", [Do("a", 20), Do("b", 20) with { PinMin = 60 }]), new("B", [Do("c", 30), Do("d", 30)])],
            []
        );
        var plan = DayPlanner.PlanPromises(day, search);
        Assert.True(plan.PinsHold);
        Assert.Equal(60, plan.Operations.Single(o => o.Id == "b").StartMin);
        Checked(day, plan);
        // what has to come before it does not end in time: it begins as soon after as it can, and that is told
        var late = new ShopDay(1, [new("A", [Do("a", 90), Do("b", 20) with { PinMin = 60 }])], []);
        var second = DayPlanner.PlanPromises(late, search);
        Assert.False(second.PinsHold);
        Assert.Equal(90, second.Operations.Single(o => o.Id == "b").StartMin);
        Checked(late, second);
    }

    [Fact]
    public void One_person_does_one_thing_at_a_time_and_nobody_else_does_it_for_them()
    {
        var day = new ShopDay(
            2,
            [
                new("A", [Do("a", 30) with { By = "QA" }]),
                new("B", [Do("b", 30) with { By = "QA" }]),
                new("C", [Do("c", 10) with { By = "ML" }]),
            ],
            []
        );
        var plan = DayPlanner.PlanPromises(day);
        Assert.Equal(60, plan.FinishMin);
        Assert.Equal(0, plan.Operations.Single(o => o.Id == "c").StartMin);
        Checked(day, plan);
    }

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    public void A_day_of_ten_jobs_of_forty_operations_holds_and_is_no_worse_than_one_after_the_other(int seed)
    {
        var rng = new Random(seed);
        var day = new ShopDay(
            2,
            [
                .. Enumerable
                    .Range(0, 10)
                    .Select(j => new BenchWork(
                        $"J{j}",
                        [
                            .. Enumerable
                                .Range(0, 40)
                                .Select(o => new BenchOperation(
                                    $"o{o}",
                                    1 + rng.Next(12),
                                    rng.Next(6) == 0 ? 0 : 1,
                                    null,
                                    rng.Next(10) == 0 ? "driver" : null
                                )),
                        ],
                        0,
                        rng.Next(2) == 0 ? 600 : null
                    )),
            ],
            [new("driver", 1)]
        );
        var plan = DayPlanner.Plan(day);
        Checked(day, plan);
        Assert.True(plan.BoundMin <= plan.FinishMin);
        // all hands' work over two pairs of hands is a bound of its own
        var work = day.Jobs.SelectMany(j => j.Operations).Where(o => o.Hands > 0).Sum(o => o.Minutes) / 2;
        Assert.InRange(plan.FinishMin, work, 1.1 * work);
    }

    /// <summary>Every rule again, minute by minute, by other means than the planner's.</summary>
    private static void Checked(ShopDay day, DayPlan plan)
    {
        var at = plan.Operations.ToDictionary(o => $"{o.Job}/{o.Id}");
        Assert.Equal(day.Jobs.Sum(j => j.Operations.Count), at.Count);
        foreach (var job in day.Jobs)
            for (var i = 0; i < job.Operations.Count; i++)
            {
                var op = job.Operations[i];
                var own = at[$"{job.Id}/{op.Id}"];
                Assert.Equal(op.Minutes, own.EndMin - own.StartMin, 0.02);
                if (op.BegunMin is { } begun)
                {
                    Assert.Equal(begun, own.StartMin);
                    continue;
                }
                Assert.True(own.StartMin >= job.ReleaseMin - 1e-9);
                IReadOnlyList<string> before = op.After ?? (i == 0 ? [] : [job.Operations[i - 1].Id]);
                foreach (var name in before)
                    Assert.True(
                        (at.GetValueOrDefault($"{job.Id}/{name}") ?? at[name]).EndMin <= own.StartMin + 1e-9,
                        $"{job.Id}/{op.Id} before {name}"
                    );
            }
        var of = day.Jobs.SelectMany(j => j.Operations.Select(o => (Key: $"{j.Id}/{o.Id}", Op: o))).ToList();
        foreach (var t in at.Values.Select(o => o.StartMin).Distinct())
        {
            var now = of.Where(o => at[o.Key].StartMin <= t && t < at[o.Key].EndMin).ToList();
            Assert.True(now.Sum(o => o.Op.Hands) <= day.Hands, $"hands at {t}");
            foreach (var by in now.Where(o => o.Op.By is not null).GroupBy(o => o.Op.By))
                Assert.True(by.Sum(o => o.Op.Hands) <= 1, $"{by.Key} at {t}");
            foreach (var tool in day.Tools)
                Assert.True(now.Count(o => o.Op.Tool == tool.Id) <= tool.Count, $"{tool.Id} at {t}");
        }
        Assert.Equal(at.Values.Max(o => o.EndMin), plan.FinishMin, 0.02);
    }
}
