using System.Globalization;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Schedule;

namespace FaithfulBracket.Core.Schedule;

/// <summary>
/// Plans the day from the jobs' own steps: each job in one person's hands, waits filled with other work, what has begun left where it
/// is.
/// </summary>
public static class BenchDayPlanner
{
    /// <summary>Most jobs planned at once: those promised, then those begun, then the oldest.</summary>
    public const int MaxJobs = 40;

    /// <summary>What is told one by one; the rest is counted.</summary>
    private const int MaxNamed = 4;

    private const string WaitOf = "/wait";

    /// <summary>What looking at a wait that is over takes, minutes.</summary>
    private const double LookMin = 1;

    /// <param name="search">Whether a better order than job by job is looked for; without, the answer comes at once.</param>
    public static BenchDayPlan Plan(DayQuestion q, bool search = true, CancellationToken cancel = default)
    {
        var jobs = Chosen(q);
        var hands = q.Hands.Count > 0 ? q.Hands : ["?"];
        var now = q.Hours.ToMinutes(q.Now);
        var whose = Whose(jobs, hands, q.Pace);
        var begun = Begun(jobs, whose, q);
        List<BenchWork> work =
        [
            .. jobs.Select(j => Work(j, whose[j.Id], begun.GetValueOrDefault(whose[j.Id]), now, q))
                .Where(w => w.Operations.Count > 0),
        ];
        var plan = DayPlanner.PlanPromises(new(hands.Count, work, InHand(q.Tools, work)), search, cancel);
        var drawn = new Drawn(q, jobs, whose, plan, work);
        var planned = jobs.Select(j => j.Id).ToHashSet();
        List<DayJobEnd> ends =
        [
            .. jobs.Select(drawn.End),
            .. q
                .Jobs.Where(j => !planned.Contains(j.Id))
                .Select(j => new DayJobEnd(
                    j.Id,
                    j.Title,
                    null,
                    null,
                    j.Promised,
                    0,
                    j.Held is { } why ? (Message)$"held: {why}" : BenchDayPlannerWords.NotPlannedTooManyJobsBefore
                )),
        ];
        return new(
            q.Now,
            hands,
            [.. q.Jobs.SelectMany(j => Done(j, q)).OrderBy(d => d.StartAt)],
            drawn.Work(),
            drawn.Waits(),
            ends,
            Headline(ends, q),
            [.. Warnings(ends, plan, q)],
            Sure(q.Pace, plan),
            plan.Proven
        );
    }

    /// <summary>There are at least as many of a tool as are in somebody's hand already, whatever the settings say.</summary>
    private static List<SharedTool> InHand(IReadOnlyList<SharedTool> tools, List<BenchWork> work) =>
        [
            .. tools.Select(t =>
                t with
                {
                    Count = Math.Max(
                        t.Count,
                        work.SelectMany(w => w.Operations).Count(o => o.Tool == t.Id && o.BegunMin is not null)
                    ),
                }
            ),
        ];

    private static List<DayJob> Chosen(DayQuestion q) =>
        [
            .. q
                .Jobs.Where(j => j.Held is null && j.Blocks.Any(b => !b.Done))
                .OrderBy(j => j.Promised is null)
                .ThenBy(j => j.Promised)
                .ThenBy(j => j.LastBy is null)
                .ThenBy(j => j.Id)
                .Take(MaxJobs)
                .OrderBy(j => j.Id),
        ];

    /// <summary>A job stays with whom it was given to, else with who signed last, else it goes to whom has least to do.</summary>
    private static Dictionary<long, string> Whose(
        IReadOnlyList<DayJob> jobs,
        IReadOnlyList<string> hands,
        StepMinutes pace
    )
    {
        var whose = new Dictionary<long, string>();
        var load = hands.ToDictionary(h => h, _ => 0.0);
        foreach (var job in jobs)
            if (
                (
                    hands.Contains(job.Hands) ? job.Hands
                    : hands.Contains(job.LastBy) ? job.LastBy
                    : null
                ) is
                { } by
            )
            {
                whose[job.Id] = by;
                load[by] += Minutes(job, pace);
            }
        foreach (
            var job in jobs.Where(j => !whose.ContainsKey(j.Id))
                .OrderByDescending(j => Minutes(j, pace))
                .ThenBy(j => j.Id)
        )
        {
            var by = hands.MinBy(h => load[h])!;
            whose[job.Id] = by;
            load[by] += Minutes(job, pace);
        }
        return whose;
    }

    private static double Minutes(DayJob job, StepMinutes pace) => job.Blocks.Sum(b => Minutes(b, pace));

    public static double Minutes(WorkBlock block, StepMinutes pace) =>
        block.Left.Sum(l =>
            pace.Estimate(l.Kind).Minutes * (StepMinutes.PerPiece(l.Kind) ? l.Pieces : l.Steps) + l.WaitS / 60.0
        );

    /// <summary>The block that each person is in the middle of: of the job they signed in last, not long ago.</summary>
    private static Dictionary<string, (long Job, string Key, DateTime Since)> Begun(
        IReadOnlyList<DayJob> jobs,
        Dictionary<long, string> whose,
        DayQuestion q
    )
    {
        var begun = new Dictionary<string, (long, string, DateTime)>();
        foreach (var person in jobs.GroupBy(j => whose[j.Id]))
        {
            var last = person.Where(j => j.LastBy == person.Key && j.LastAt is not null).MaxBy(j => j.LastAt);
            if (last is null || q.Now - last.LastAt > StepMinutes.Longest)
                continue;
            var next = last.Blocks.FirstOrDefault(b => !b.Done);
            var held =
                next is not null && Running(last, next) is { } wait && wait.EndsAt > q.Now
                || last.Waits.Any(w => w.EndsAt > q.Now && Blocks(last, w, next));
            if (next is not null && !held)
                begun[person.Key] = (last.Id, next.Key, last.LastAt!.Value);
        }
        return begun;
    }

    private static bool Blocks(DayJob job, RunningWait wait, WorkBlock? next) =>
        job.Blocks.FirstOrDefault(b => b.WaitStep == wait.StepId) is { } of && next?.After.Contains(of.Key) == true;

    private static BenchWork Work(
        DayJob job,
        string by,
        (long Job, string Key, DateTime Since) begun,
        double now,
        DayQuestion q
    )
    {
        var operations = new List<BenchOperation>();
        var open = new HashSet<string>();
        var looks = new HashSet<string>();
        foreach (var b in job.Blocks)
        {
            var running = Running(job, b);
            var minutes = Math.Ceiling(Minutes(b, q.Pace));
            var onlyWait = !b.Done && running is not null && b.Signed == b.Steps - 1;
            if (running is not null && running.EndsAt > q.Now)
            {
                var from = q.Hours.ToMinutes(running.StartedAt);
                var waiting = Math.Max(1, Math.Ceiling(q.Hours.ToMinutes(running.EndsAt) - from));
                open.Add(b.Key + WaitOf);
                operations.Add(new(b.Key + WaitOf, waiting, 0, [], null, Math.Floor(from)));
            }
            if (b.Done)
                continue;
            var own = begun.Job == job.Id && begun.Key == b.Key && begun.Key is not null;
            if (onlyWait && running!.StepId == b.WaitStep)
                minutes = LookMin;
            var since = own ? Math.Floor(q.Hours.ToMinutes(begun.Since)) : 0;
            List<string> after =
            [
                .. b.After.Select(a => a + WaitOf).Where(open.Contains),
                // what is left of a wait's own step is the look when it is over
                .. b.After.Where(looks.Contains),
                .. b.AfterHands.Where(open.Contains),
            ];
            if ((onlyWait || running?.StepId != b.WaitStep) && open.Contains(b.Key + WaitOf))
                after.Add(b.Key + WaitOf);
            operations.Add(
                new(
                    b.Key,
                    // what has begun and takes longer than thought ends soon
                    own ? Math.Max(minutes, Math.Ceiling(now - since) + LookMin) : minutes,
                    1,
                    after,
                    b.Tool,
                    own ? since : null
                )
                {
                    By = by,
                    PinMin = own ? null : Pin(job.Id, b.Key, now, q),
                }
            );
            (onlyWait ? looks : open).Add(b.Key);
            if (b.WaitS is { } wait && running is null)
            {
                open.Add(b.Key + WaitOf);
                operations.Add(new(b.Key + WaitOf, Math.Ceiling(wait / 60.0), 0, [b.Key]));
            }
        }
        return new(
            job.Id.ToString(CultureInfo.InvariantCulture),
            operations,
            Math.Ceiling(now),
            job.Promised is { } promised ? Math.Floor(q.Hours.ToMinutes(promised)) : null
        );
    }

    /// <summary>The wait that runs in a block: its own, or one that somebody started at a step in the midst of it.</summary>
    private static RunningWait? Running(DayJob job, WorkBlock b)
    {
        if (job.Waits.FirstOrDefault(w => w.StepId == b.WaitStep) is { } own)
            return own;
        var first = job.Blocks.FirstOrDefault(x => !x.Done && x.Station == b.Station);
        return first == b
            ? job.Waits.FirstOrDefault(w =>
                job.Blocks.All(x => x.WaitStep != w.StepId)
                && StepId.TryParse(w.StepId, out var id)
                && id.Station == b.Station
            )
            : null;
    }

    /// <summary>A pin in the past pins nothing.</summary>
    private static double? Pin(long job, string key, double now, DayQuestion q) =>
        q.Pins.FirstOrDefault(p => p.Job == job && p.Key == key) is { } pin
        && q.Hours.ToMinutes(pin.At) is var at
        && at > now
            ? Math.Ceiling(at)
            : null;

    private static IEnumerable<DayDone> Done(DayJob job, DayQuestion q) =>
        from b in job.Blocks
        where b is { FirstAt: not null, LastAt: not null, LastBy: not null }
        let first = Local(b.FirstAt!, q)
        let last = Local(b.LastAt!, q)
        where last.Date == q.Now.Date
        select new DayDone(job.Id, job.Title, b.Station, b.LastBy!, first, last, b.Signed);

    /// <summary>An instant as the shop's clock shows it; the shop's clock and its time zone are the question's.</summary>
    private static DateTime Local(string at, DayQuestion q) =>
        DateTime.SpecifyKind(
            DateTimeOffset.Parse(at, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal).UtcDateTime
                + q.ZoneOffset,
            DateTimeKind.Unspecified
        );

    private static string Headline(IReadOnlyList<DayJobEnd> ends, DayQuestion q)
    {
        if (!ends.Any(e => e.EndAt is not null))
            return ends.Count == 0 ? BenchDayPlannerWords.NothingOnBenches : BenchDayPlannerWords.NothingCanGo;
        var last = ends.Where(e => e.EndAt is not null).MaxBy(e => e.EndAt)?.EndAt;
        var late = ends.Where(e => e.LateMin > 0).ToList();
        if (late.Count > 0)
            return late.Count == 1 ? late[0].Text : BenchDayPlannerWords.JobsWillBeLate(late.Count);
        var done = last is { } at ? $"All done {DayWords.When(at, q.Now)}" : "All done";
        var slack = ends.Where(e => e is { Promised: not null, EndAt: not null })
            .Select(e => e.Promised - e.EndAt)
            .Min();
        return slack is { } s
            ? BenchDayPlannerWords.EveryPromiseKeptByOrMore(done, DayWords.Span(s.TotalMinutes))
            : done;
    }

    private static IEnumerable<Message> Warnings(IReadOnlyList<DayJobEnd> ends, DayPlan plan, DayQuestion q)
    {
        // one alone stands in the headline
        var late = ends.Where(e => e.LateMin > 0).OrderByDescending(e => e.LateMin).ToList();
        if (late.Count > 1)
            foreach (var e in late.Take(MaxNamed))
                yield return e.Text + Message.Stop;
        if (late.Count > MaxNamed)
            yield return BenchDayPlannerWords.MoreWillBeLate(late.Count - MaxNamed);
        if (!plan.PinsHold)
            yield return BenchDayPlannerWords.NotEveryPinCanBeHeld;
        if (q.Jobs.Count(j => j.Held is null && j.Blocks.Any(b => !b.Done)) is var open && open > MaxJobs)
            yield return BenchDayPlannerWords.OfOpenJobsArePlanned(MaxJobs, open);
        if (q.Hands.Count == 0)
            yield return BenchDayPlannerWords.NobodyIsAtBench;
    }

    private static IReadOnlyList<string> Sure(StepMinutes pace, DayPlan plan)
    {
        var learned = pace.Learned.OrderByDescending(p => p.Seen).ToList();
        var named = string.Join(", ", learned.Take(MaxNamed).Select(p => $"{p.Seen} × {DayWords.Format(p.Kind)}"));
        var more = learned.Count > MaxNamed ? $" and {learned.Count - MaxNamed} kinds more" : "";
        return
        [
            learned.Count == 0
                ? BenchDayPlannerWords.TimesAreDefaults(StepMinutes.MinSeen)
                : BenchDayPlannerWords.TimesAreYourOwnMedians(named, more),
            plan.Proven
                ? BenchDayPlannerWords.NoOrderOfTheseJobsEnds
                : BenchDayPlannerWords.BestOrderFoundInTimeAllowed,
        ];
    }

    /// <summary>A plan's operations as they are drawn.</summary>
    private sealed class Drawn(
        DayQuestion q,
        IReadOnlyList<DayJob> jobs,
        Dictionary<long, string> whose,
        DayPlan plan,
        List<BenchWork> work
    )
    {
        private readonly Dictionary<(string, string), PlannedOperation> _at = plan.Operations.ToDictionary(o =>
            (o.Job, o.Id)
        );
        private readonly Dictionary<(string, string), BenchOperation> _op = work.SelectMany(w =>
                w.Operations.Select(o => (Key: (w.Id, o.Id), o))
            )
            .ToDictionary(x => x.Key, x => x.o);

        private static string Id(DayJob j) => j.Id.ToString(CultureInfo.InvariantCulture);

        private IEnumerable<(DayJob Job, WorkBlock Block, PlannedOperation At)> Planned(string suffix) =>
            from j in jobs
            from b in j.Blocks
            where _at.ContainsKey((Id(j), b.Key + suffix))
            select (j, b, _at[(Id(j), b.Key + suffix)]);

        public IReadOnlyList<DayWork> Work() =>
            [
                .. Planned("")
                    .Select(x => new DayWork(
                        x.Job.Id,
                        x.Job.Title,
                        x.Block.Key,
                        x.Block.Station,
                        x.Block.Title,
                        whose[x.Job.Id],
                        q.Hours.ToClock(x.At.StartMin, true),
                        q.Hours.ToClock(x.At.EndMin, false),
                        x.At.EndMin - x.At.StartMin,
                        _op[(Id(x.Job), x.Block.Key)].BegunMin is not null,
                        _op[(Id(x.Job), x.Block.Key)].PinMin is not null
                    )
                    {
                        Signed = x.Block.Signed,
                        Steps = x.Block.Steps,
                    })
                    .OrderBy(w => w.StartAt),
            ];

        public IReadOnlyList<DayWait> Waits() =>
            [
                .. Planned(WaitOf)
                    .Select(x =>
                    {
                        var running = Running(x.Job, x.Block);
                        return new DayWait(
                            x.Job.Id,
                            x.Job.Title,
                            running?.StepId ?? x.Block.WaitStep!,
                            running?.Label ?? x.Block.Wait!,
                            whose[x.Job.Id],
                            running?.StartedAt ?? q.Hours.ToClock(x.At.StartMin, true),
                            running?.EndsAt ?? q.Hours.ToClock(x.At.EndMin, false),
                            running is not null,
                            Meanwhile(x.Job, x.At)
                        );
                    })
                    .OrderBy(w => w.EndAt),
            ];

        private List<DayMeanwhile> Meanwhile(DayJob of, PlannedOperation wait)
        {
            var by = whose[of.Id];
            return
            [
                .. Planned("")
                    .Where(x => whose[x.Job.Id] == by && x.At.StartMin < wait.EndMin && x.At.EndMin > wait.StartMin)
                    .OrderBy(x => x.At.StartMin)
                    .Take(3)
                    .Select(x =>
                    {
                        var fits = x.At.EndMin <= wait.EndMin;
                        var minutes = x.At.EndMin - x.At.StartMin;
                        return new DayMeanwhile(
                            x.Job.Id,
                            x.Job.Title,
                            x.Block.Station,
                            x.Block.Title,
                            minutes,
                            fits,
                            fits
                                ? BenchDayPlannerWords.EndsBeforeWait(DayWords.Span(minutes))
                                : BenchDayPlannerWords.GoesOnAfterWait(
                                    DayWords.Span(minutes),
                                    DayWords.Span(x.At.EndMin - wait.EndMin)
                                )
                        );
                    }),
            ];
        }

        public DayJobEnd End(DayJob job)
        {
            var own = plan.Operations.Where(o => o.Job == Id(job)).ToList();
            double? end = own.Count > 0 ? own.Max(o => o.EndMin) : null;
            var late =
                end is { } e && job.Promised is { } due ? Math.Max(0, e - Math.Floor(q.Hours.ToMinutes(due))) : 0;
            DateTime? endAt = end is { } m ? q.Hours.ToClock(m, false) : null;
            return new(
                job.Id,
                job.Title,
                whose.GetValueOrDefault(job.Id),
                endAt,
                job.Promised,
                late,
                Text(job, endAt, late)
            );
        }

        private Message Text(DayJob job, DateTime? endAt, double late) =>
            (endAt, job.Promised) switch
            {
                ({ } end, { } due) when late > 0 => BenchDayPlannerWords.DoneOfWorkPastPromise(
                    job.Title,
                    DayWords.When(end, q.Now),
                    DayWords.Span(late),
                    DayWords.When(due, q.Now)
                ),
                ({ } end, { } due) => (Message)
                    $"done {DayWords.When(end, q.Now)}, promised {DayWords.When(due, q.Now)}",
                ({ } end, null) => (Message)$"done {DayWords.When(end, q.Now)}",
                _ => (Message)$"not planned",
            };
    }
}

/// <summary>Times of a day in words.</summary>
public static class DayWords
{
    public static string When(DateTime at, DateTime now) =>
        (at.Date - now.Date).Days switch
        {
            0 => at.ToString("HH:mm", CultureInfo.InvariantCulture),
            1 => at.ToString("'tomorrow' HH:mm", CultureInfo.InvariantCulture),
            > 1 and < 7 => at.ToString("dddd HH:mm", CultureInfo.InvariantCulture),
            _ => at.ToString("d MMM HH:mm", CultureInfo.InvariantCulture),
        };

    /// <summary>A kind of step: DryFit is dry fit.</summary>
    public static string Format(StepKind kind) =>
        string.Concat(kind.ToString().Select((c, i) => i > 0 && char.IsUpper(c) ? $" {c}" : $"{c}")).ToLowerInvariant();

    public static string Span(double minutes) =>
        minutes < 90
            ? FormattableString.Invariant($"{Math.Round(minutes):0} min")
            : FormattableString.Invariant($"{Math.Floor(Math.Round(minutes) / 60):0} h {Math.Round(minutes) % 60:00}");
}
