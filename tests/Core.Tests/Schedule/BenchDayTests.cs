using FaithfulBracket.Core.Kit;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Schedule;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>The day from the jobs' own steps: times learned, blocks of work, waits filled, promises, pins, nights.</summary>
public class BenchDayTests
{
    private static readonly DateOnly Thursday = new(2026, 11, 26);
    private static readonly ShopHours Hours = new(8, 18, 5, Thursday);

    private static DateTime At(int hour, int minute = 0, int days = 0) =>
        Thursday.ToDateTime(new(hour, minute)).AddDays(days);

    private static WorkStep Step(
        Station station,
        string target,
        StepKind kind,
        int? timerS = null,
        int? count = null,
        params string[] locks
    ) =>
        new()
        {
            Id = new(station, null, target),
            Kind = kind,
            Title = $"{kind} {target}",
            Done = "Done",
            TimerS = timerS,
            Count = count,
            Locks = [.. locks.Select(l => StepId.TryParse(l, out var id) ? id : throw new ArgumentException(l))],
        };

    private static IReadOnlyList<WorkBlock> Blocks(IReadOnlyList<WorkStep> steps, params string[] signed) =>
        WorkBlocks.Create(steps, id => signed.Contains(id.ToString()) ? ("QA", "2026-11-26T09:00:00Z") : null);

    private static DayJob Job(long id, IReadOnlyList<WorkBlock> blocks, DateTime? promised = null) =>
        new(id, $"Job {id}", blocks, [], promised, null, null, null, null);

    private static DayQuestion Ask(DateTime now, string[] hands, params DayJob[] jobs) =>
        new(
            now,
            Hours with
            {
                Today = DateOnly.FromDateTime(now),
            },
            hands,
            jobs,
            [],
            [new(WorkBlocks.Jig, 1), new(WorkBlocks.TorqueDriver, 1), new(WorkBlocks.Gauge, 1)],
            StepMinutes.Default
        );

    /// <summary>A soak between two pieces of work at Prep, cutting at Pads that does not rest on it, and the mounting.</summary>
    private static readonly IReadOnlyList<WorkStep> Soaking =
    [
        Step(Station.Prep, "scrape", StepKind.Scrape, timerS: 1200),
        Step(Station.Prep, "wipe", StepKind.Clean),
        Step(Station.Pads, "cut", StepKind.Cut, count: 20),
        Step(Station.Mount, "lower", StepKind.Lower),
    ];

    [Fact]
    public void Minutes_of_work_and_the_clock_are_each_others_inverse_across_nights_and_weekends()
    {
        for (var minute = 0.0; minute < 6000; minute += 37)
        {
            Assert.Equal(minute, Hours.ToMinutes(Hours.ToClock(minute, true)), 1e-6);
            Assert.Equal(minute, Hours.ToMinutes(Hours.ToClock(minute, false)), 1e-6);
        }
        // ten hours of Thursday and ten of Friday: what begins next begins on Monday, what ends then ended on Friday
        Assert.Equal(new DateTime(2026, 11, 30, 8, 0, 0), Hours.ToClock(1200, true));
        Assert.Equal(new DateTime(2026, 11, 27, 18, 0, 0), Hours.ToClock(1200, false));
        Assert.Equal(600, Hours.ToMinutes(At(23)));
        Assert.Equal(-60, Hours.ToMinutes(At(7)));
    }

    [Fact]
    public void The_shops_own_median_counts_from_five_signed_steps_on_without_waits_and_breaks()
    {
        var at = new DateTimeOffset(2026, 11, 26, 8, 0, 0, TimeSpan.Zero);
        var signed = new List<SignedPace> { new(1, "QA", StepKind.Read, null, at, 0) };
        // 4, 5, 6, 7 and 8 minutes of cleaning, ten of remover inside the fourth; then a lunch that is none
        foreach (var (minutes, wait) in new[] { (4, 0), (5, 0), (6, 0), (17, 10), (8, 0), (60, 0) })
            signed.Add(new(1, "QA", StepKind.Clean, null, at = at.AddMinutes(minutes), wait));
        // somebody else's in between changes nothing
        signed.Add(new(2, "ML", StepKind.Clean, null, at.AddMinutes(-50), 0));
        var pace = StepMinutes.Learn(signed);
        Assert.Equal(new StepPace(StepKind.Clean, 6, 5), pace.Estimate(StepKind.Clean));
        Assert.Equal(0, pace.Estimate(StepKind.Read).Seen);
        Assert.Equal(0, StepMinutes.Learn(signed.Take(5)).Estimate(StepKind.Clean).Seen);
    }

    [Fact]
    public void Steps_signed_together_share_their_time_by_what_each_counts()
    {
        var at = new DateTimeOffset(2026, 11, 26, 8, 0, 0, TimeSpan.Zero);
        var signed = new List<SignedPace> { new(1, "QA", StepKind.Read, null, at, 0) };
        for (var i = 1; i <= 5; i++)
        {
            // four turns and a step of eight screws, ten minutes for all: 4 × 0.4 against 8 × 0.5
            for (var k = 0; k < 4; k++)
                signed.Add(new(1, "QA", StepKind.Turn, null, at.AddMinutes(10 * i), 0));
            signed.Add(new(1, "QA", StepKind.Unscrew, 8, at.AddMinutes(10 * i).AddSeconds(1), 0));
        }
        var pace = StepMinutes.Learn(signed);
        Assert.Equal(10 * 0.4 / 5.6, pace.Estimate(StepKind.Turn).Minutes, 0.02);
        Assert.Equal(10 * 0.5 / 5.6, pace.Estimate(StepKind.Unscrew).Minutes, 0.02);
        Assert.Equal(8 * pace.Estimate(StepKind.Unscrew).Minutes, pace.Estimate(StepKind.Unscrew, 8));
    }

    [Fact]
    public void Blocks_end_at_stations_waits_and_shared_tools_and_keep_their_name_while_they_are_signed()
    {
        IReadOnlyList<WorkStep> steps =
        [
            .. Soaking,
            Step(Station.Mount, "turn-1", StepKind.Turn),
            Step(Station.Mount, "turn-2", StepKind.Turn),
            Step(Station.Prove, "leak", StepKind.LeakTest, timerS: 900),
        ];
        var blocks = Blocks(steps);
        Assert.Equal(
            ["prep.scrape", "prep.wipe", "pads.cut", "mount.lower", "mount.turn-1", "prove.leak"],
            blocks.Select(b => b.Key)
        );
        Assert.Equal([null, null, null, null, WorkBlocks.TorqueDriver, WorkBlocks.Gauge], blocks.Select(b => b.Tool));
        // the soak holds up its own station and the mounting, not the cutting
        Assert.Contains("prep.scrape", blocks[1].After);
        Assert.DoesNotContain("prep.scrape", blocks[2].After);
        Assert.Contains("prep.scrape", blocks[3].After);
        var half = Blocks(steps, "mount.turn-1")[4];
        Assert.Equal("mount.turn-1", half.Key);
        Assert.Equal((2, 1, "Turn turn-2"), (half.Steps, half.Signed, half.Title));
        // a minute of remover is no wait to leave the bench for
        Assert.Equal(
            60,
            Assert
                .Single(
                    Blocks([Step(Station.Prep, "a", StepKind.Clean, 60), Step(Station.Prep, "b", StepKind.Clean)])[
                        0
                    ].Left
                )
                .WaitS
        );
    }

    [Fact]
    public void A_wait_is_filled_by_the_same_job_where_it_may_and_by_another_where_there_is_room()
    {
        var plan = BenchDayPlanner.Plan(
            Ask(At(9), ["QA"], Job(1, Blocks(Soaking)), Job(2, Blocks([Step(Station.Match, "read", StepKind.Read)])))
        );
        var wait = Assert.Single(plan.Waits);
        Assert.False(wait.Running);
        Assert.Equal(20, (wait.EndAt - wait.StartAt).TotalMinutes);
        Assert.Contains(wait.Meanwhile, m => m is { Job: 1, Station: Station.Pads, Fits: true });
        var wipe = plan.Work.Single(w => w.Key == "prep.wipe");
        Assert.True(wipe.StartAt >= wait.EndAt);
        Assert.True(plan.Work.Single(w => w.Key == "mount.lower").StartAt >= wipe.EndAt);
        AssertOneThingAtATime(plan);
    }

    [Fact]
    public void A_wait_that_runs_ends_when_it_ends_and_only_the_look_is_left()
    {
        var job = Job(1, Blocks(Soaking)) with
        {
            Waits = [new("prep.scrape", "alloy on the solder", At(8, 50), 20)],
            LastBy = "QA",
            LastAt = At(8, 50),
        };
        var plan = BenchDayPlanner.Plan(Ask(At(9), ["QA"], job));
        var wait = Assert.Single(plan.Waits);
        Assert.Equal((true, At(9, 10), "alloy on the solder"), (wait.Running, wait.EndAt, wait.Label));
        var look = plan.Work.Single(w => w.Key == "prep.scrape");
        Assert.True(look.StartAt >= At(9, 10));
        Assert.Equal(1, look.Minutes);
        Assert.False(look.Begun);
        // the cutting goes on meanwhile
        Assert.True(plan.Work.Single(w => w.Key == "pads.cut").StartAt < At(9, 10));
    }

    [Fact]
    public void What_somebody_is_in_the_middle_of_is_not_moved_and_a_late_step_pushes_only_what_follows()
    {
        IReadOnlyList<WorkStep> steps = [Step(Station.Kit, "count", StepKind.Count), .. Soaking];
        var job = Job(1, Blocks(steps, "kit.count")) with { LastBy = "QA", LastAt = At(8, 30) };
        var early = BenchDayPlanner.Plan(Ask(At(8, 35), ["QA"], job));
        var begun = early.Work.Single(w => w.Begun);
        Assert.Equal(("prep.scrape", At(8, 30), At(8, 40)), (begun.Key, begun.StartAt, begun.EndAt));
        // ten minutes were thought, twenty-five have gone: it still began then, and ends soon
        var late = BenchDayPlanner.Plan(Ask(At(8, 55), ["QA"], job));
        begun = late.Work.Single(w => w.Begun);
        Assert.Equal((At(8, 30), At(8, 56)), (begun.StartAt, begun.EndAt));
        Assert.True(late.Work.Single(w => w.Key == "prep.wipe").StartAt >= At(9, 16));
        // left for an hour, it is not under way any more
        Assert.DoesNotContain(BenchDayPlanner.Plan(Ask(At(10), ["QA"], job)).Work, w => w.Begun);
    }

    [Fact]
    public void A_promise_goes_first_and_one_that_can_not_be_kept_is_told_with_its_minutes()
    {
        IReadOnlyList<WorkStep> work =
        [
            Step(Station.Match, "read", StepKind.Read),
            Step(Station.Prep, "scrape", StepKind.Scrape),
        ];
        DayJob First(DateTime due) => Job(2, Blocks(work), due);
        var kept = BenchDayPlanner.Plan(Ask(At(9), ["QA"], Job(1, Blocks(work)), First(At(9, 15))));
        Assert.Equal(2, kept.Work[0].Job);
        Assert.Equal("All done 09:24, every promise kept by 3 min or more", kept.Headline);
        var late = BenchDayPlanner.Plan(Ask(At(9), ["QA"], Job(1, Blocks(work)), First(At(9, 5))));
        Assert.Equal(7, late.Jobs.Single(j => j.Job == 2).LateMin);
        Assert.Equal("Job 2: done 09:12, 7 min of work past its promise of 09:05", late.Headline);
        // at the end of the day the night is no lateness of its own: 10 minutes of work go on tomorrow
        var night = BenchDayPlanner.Plan(Ask(At(17, 58), ["QA"], First(At(18))));
        Assert.Equal(10, night.Jobs[0].LateMin);
        Assert.Equal(At(8, 10, 1), night.Jobs[0].EndAt);
    }

    [Fact]
    public void A_job_stays_with_who_signed_last_or_was_named_and_the_rest_is_shared()
    {
        IReadOnlyList<WorkStep> work = [Step(Station.Prep, "scrape", StepKind.Scrape)];
        var plan = BenchDayPlanner.Plan(
            Ask(
                At(9),
                ["ML", "QA"],
                Job(1, Blocks(work)) with
                {
                    LastBy = "QA",
                    LastAt = At(8, 0, -1),
                },
                Job(2, Blocks(work)) with
                {
                    Hands = "QA",
                    LastBy = "ML",
                    LastAt = At(8, 0, -1),
                },
                Job(3, Blocks(work)),
                Job(4, Blocks(work)) with
                {
                    LastBy = "RV",
                },
                Job(5, Blocks(work)) with
                {
                    Held = "4 screws missing",
                }
            )
        );
        Assert.Equal(["QA", "QA", "ML", "ML", null], plan.Jobs.Select(j => j.By));
        Assert.Equal("held: 4 screws missing", plan.Jobs[4].Text);
        AssertOneThingAtATime(plan);
    }

    [Fact]
    public void Two_who_turn_at_once_with_one_driver_in_the_settings_are_planned_all_the_same()
    {
        IReadOnlyList<WorkStep> steps =
        [
            Step(Station.Mount, "start", StepKind.Start),
            Step(Station.Mount, "turn", StepKind.Turn),
        ];
        DayJob Turning(long id, string by) =>
            Job(id, Blocks(steps, "mount.start")) with
            {
                LastBy = by,
                LastAt = At(8, 55),
            };
        var plan = BenchDayPlanner.Plan(Ask(At(9), ["ML", "QA"], Turning(1, "QA"), Turning(2, "ML")));
        Assert.Equal(2, plan.Work.Count(w => w.Begun));
    }

    [Fact]
    public void Random_days_hold_every_rule_by_an_independent_look()
    {
        for (var seed = 1; seed <= 60; seed++)
        {
            var rng = new Random(seed);
            var jobs = Enumerable
                .Range(1, 2 + rng.Next(5))
                .Select(id =>
                {
                    List<WorkStep> steps =
                    [
                        .. Enum.GetValues<Station>()
                            .SelectMany(s =>
                                Enumerable
                                    .Range(0, rng.Next(4))
                                    .Select(i =>
                                        Step(
                                            s,
                                            $"x{i}",
                                            (StepKind)rng.Next(Enum.GetValues<StepKind>().Length),
                                            rng.Next(6) == 0 ? 300 + rng.Next(3000) : null
                                        )
                                    )
                            ),
                    ];
                    var done = steps.Take(rng.Next(steps.Count + 1)).Select(s => s.Id.ToString()).ToArray();
                    return Job(id, Blocks(steps, done), rng.Next(2) == 0 ? At(9 + rng.Next(9)) : null);
                })
                .ToArray();
            var plan = BenchDayPlanner.Plan(
                Ask(At(8 + rng.Next(10), rng.Next(60)), ["ML", "QA"], jobs),
                search: seed % 2 == 0
            );
            AssertOneThingAtATime(plan);
            foreach (var job in jobs)
            {
                var at = plan.Work.Where(w => w.Job == job.Id).ToDictionary(w => w.Key);
                Assert.Equal(job.Blocks.Count(b => !b.Done), at.Count);
                foreach (var b in job.Blocks.Where(b => !b.Done))
                {
                    foreach (var before in b.AfterHands.Where(at.ContainsKey))
                        Assert.True(at[b.Key].StartAt >= at[before].EndAt, $"{seed}: {b.Key} after {before}");
                }
                foreach (var b in job.Blocks.Where(b => !b.Done))
                foreach (var before in b.After.Where(at.ContainsKey))
                {
                    var wait = plan.Waits.SingleOrDefault(w =>
                        w.Job == job.Id && w.StepId == job.Blocks.Single(x => x.Key == before).WaitStep
                    );
                    Assert.True(
                        at[b.Key].StartAt >= (wait?.EndAt ?? at[before].EndAt),
                        $"{seed}: {b.Key} after {before}"
                    );
                }
            }
            Assert.All(plan.Work, w => Assert.True(w.StartAt >= plan.Now && w.EndAt >= w.StartAt));
        }
    }

    private static void AssertOneThingAtATime(BenchDayPlan plan)
    {
        foreach (var by in plan.Work.GroupBy(w => w.By))
        {
            var inOrder = by.OrderBy(w => w.StartAt).ThenBy(w => w.EndAt).ToList();
            for (var i = 1; i < inOrder.Count; i++)
                Assert.True(inOrder[i].StartAt >= inOrder[i - 1].EndAt, $"{by.Key}: {inOrder[i].Key}");
        }
    }

    [Fact]
    public void What_to_order_is_what_the_planned_jobs_need_beyond_kits_and_drawer_with_the_first_that_finds_too_little()
    {
        var drawer = new Drawer
        {
            Pads = [new("p", "soft", 1, 90, 50, 1, false)],
            Consumables = [new("plug", "port plug", 2, "", 4, null)],
        };
        JobNeeds Needs(long id, int hour, params KitLine[] lines) =>
            new(
                id,
                $"Job {id}",
                lines,
                new Dictionary<Station, DateTime> { [Station.Pads] = At(hour), [Station.Mount] = At(hour + 1) }
            );
        KitLine Pad(double need, double kit) => new("pads", "pad 1.0 mm soft", need, "cm²", kit, 45, 0);
        var lines = OrderList.Compute(
            [
                Needs(3, 15, Pad(30, 0), new("screws", "screws M2.5", 8, "", 8, 0, 0)),
                Needs(1, 9, Pad(30, 10)),
                Needs(2, 11, Pad(40, 0), new("paste", "paste", 2, "g", 0, 1, 0)),
            ],
            drawer,
            At(8)
        );
        var pads = lines.Single(l => l.Group == "pads");
        // when job 2 comes, job 1 has taken twenty of the 45 cm² beyond its kit; all three want twice what lies there: one sheet more
        Assert.Equal((90, 45, 45, "1 sheet of 90 × 50 mm"), (pads.Need, pads.Stock, pads.Short, pads.Buy));
        Assert.Equal((At(11), "by 11:00"), (pads.RunsOutAt, pads.RunsOut));
        Assert.Equal(["Job 2", "Job 1", "Job 3"], pads.Jobs);
        // no paste station is left in job 2, the kit holds the screws; what the drawer runs short of stands all the same
        Assert.DoesNotContain(lines, l => l.Group is "paste" or "screws");
        Assert.Equal("low now", lines.Single(l => l.Name == "port plug").RunsOut);
    }
}
