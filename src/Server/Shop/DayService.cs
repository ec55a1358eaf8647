using System.Globalization;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Schedule;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <param name="Stale">Whether the next one is being planned already.</param>
internal sealed record DayAnswer(BenchDayPlan Plan, bool Stale);

/// <summary>The bench's day: planned from the jobs' open steps, again whenever something was written or a minute has passed.</summary>
internal sealed class DayService(
    ShopDatabase database,
    BenchSummaries summaries,
    JobEntries papers,
    DayEntries days,
    SignOffs signOffs,
    Signers signers,
    LibraryCache shop,
    TimeProvider time
) : IDisposable
{
    /// <summary>Sign-offs that times are learned from.</summary>
    private const int MaxPaces = 20_000;

    /// <summary>How long somebody waits for the day; the search goes on for who asks next.</summary>
    private static readonly TimeSpan MaxWait = TimeSpan.FromSeconds(1);

    private readonly SemaphoreSlim _one = new(1);
    private readonly CancellationTokenSource _closes = new();
    private readonly CommitWatch _watch = new(database);
    private (DateTime Minute, long Round, BenchDayPlan Plan)? _kept;
    private volatile BenchDayPlan? _newest;
    private long _round;
    private volatile Tuple<long, StepMinutes>? _pace;

    /// <summary>
    /// The day as it stands; those who ask while it is being planned share the next plan, whatever is written meanwhile.
    /// Who would wait long gets the newest plan there is, or the day job by job before the first, and is told so.
    /// </summary>
    public async Task<DayAnswer> PlanAsync(CancellationToken cancel)
    {
        var planning = NextAsync();
        try
        {
            return new(await planning.WaitAsync(MaxWait, cancel), Stale: false);
        }
        catch (TimeoutException)
        {
            return new(_newest ?? Quick(cancel), Stale: true);
        }
    }

    /// <summary>The day job by job, at once.</summary>
    public BenchDayPlan Quick(CancellationToken cancel) =>
        BenchDayPlanner.Plan(Question(Local(time.GetUtcNow())), search: false, cancel);

    /// <summary>Everybody's plan: it takes no longer than the search may, and does not end with the one who asked.</summary>
    private async Task<BenchDayPlan> NextAsync()
    {
        var asked = Interlocked.Read(ref _round);
        await _one.WaitAsync(_closes.Token);
        try
        {
            // read and planned since this was asked
            if (_kept is { } fresh && fresh.Round > asked)
                return fresh.Plan;
            var now = Local(time.GetUtcNow());
            var minute = now.AddTicks(-(now.Ticks % TimeSpan.TicksPerMinute));
            if (!_watch.Changed() && _kept is { } kept && kept.Minute == minute)
                return kept.Plan;
            _kept = null;
            var round = Interlocked.Increment(ref _round);
            var plan = await Task.Run(() => BenchDayPlanner.Plan(Question(now), search: true, _closes.Token));
            _kept = (minute, round, plan);
            _newest = plan;
            return plan;
        }
        finally
        {
            _one.Release();
        }
    }

    /// <summary>What has to be ordered for the jobs as a day has them.</summary>
    public IReadOnlyList<OrderLine> Orders(BenchDayPlan plan)
    {
        var begins = plan
            .Work.GroupBy(w => w.Job)
            .ToDictionary(
                g => g.Key,
                g => g.GroupBy(w => w.Station).ToDictionary(s => s.Key, s => s.Min(w => w.StartAt))
            );
        return OrderList.Compute(
            [
                .. Open()
                    .Select(j => new JobNeeds(
                        j.Id,
                        j.Title,
                        j.Needs,
                        // a job that waits for something needs it now
                        begins.GetValueOrDefault(j.Id)
                            ?? j.Route.Where(r => !r.Complete).ToDictionary(r => r.Station, _ => plan.Now)
                    )),
            ],
            shop.Drawer,
            plan.Now
        );
    }

    /// <summary>An instant on the shop's own clock.</summary>
    public DateTime Local(DateTimeOffset at) =>
        DateTime.SpecifyKind(TimeZoneInfo.ConvertTime(at, time.LocalTimeZone).DateTime, DateTimeKind.Unspecified);

    /// <summary>A time on the shop's own clock as an instant.</summary>
    public DateTimeOffset Instant(DateTime local)
    {
        var at = DateTime.SpecifyKind(local, DateTimeKind.Unspecified);
        return new(at, time.LocalTimeZone.GetUtcOffset(at));
    }

    private IReadOnlyList<BenchJob> Open() => summaries.Open();

    private DayQuestion Question(DateTime now)
    {
        var settings = shop.Settings;
        var kept = days.All().ToDictionary(d => d.JobId);
        var waits = papers
            .Running()
            .GroupBy(t => t.JobId)
            .ToDictionary(
                g => g.Key,
                g => g.Select(t => new RunningWait(t.StepId, t.Label, Local(t.StartedAt), t.Seconds / 60.0)).ToList()
            );
        return new(
            now,
            new(settings.DayFromH, settings.DayToH, settings.DaysAWeek, DateOnly.FromDateTime(now)),
            [.. signers.All().Where(s => s is { Works: true, LeftAt: null }).Select(s => s.Initials)],
            [
                .. Open()
                    .Select(j => new DayJob(
                        j.Id,
                        j.Title,
                        j.Work,
                        waits.GetValueOrDefault(j.Id) ?? [],
                        kept.GetValueOrDefault(j.Id)?.DueAt is { } due ? Local(due) : null,
                        kept.GetValueOrDefault(j.Id)?.Initials,
                        j.LastBy,
                        j.LastAt is { } at ? Local(at) : null,
                        Held(j)
                    )),
            ],
            [.. days.Pins().Select(p => new DayPin(p.JobId, p.BlockKey, Local(p.StartAt)))],
            [
                new(WorkBlocks.Jig, settings.Jigs),
                new(WorkBlocks.TorqueDriver, settings.TorqueDrivers),
                new(WorkBlocks.Gauge, settings.Gauges),
            ],
            Pace()
        )
        {
            ZoneOffset = time.LocalTimeZone.GetUtcOffset(time.GetUtcNow()),
        };
    }

    /// <summary>What is wrong at the station it stands at; a step to look at again is work like any other.</summary>
    private static string? Held(BenchJob j) =>
        j.Work.Count == 0 || j.Trouble && j.Route.FirstOrDefault(r => r.Station == j.Station) is not { LookAgain: > 0 }
            ? j.Waits
            : null;

    private StepMinutes Pace()
    {
        var newest = signOffs.Newest();
        if (_pace is { } kept && kept.Item1 == newest)
            return kept.Item2;
        var pace = StepMinutes.Learn(
            signOffs
                .Paces(MaxPaces)
                .Select(p =>
                    Enum.TryParse<StepKind>(p.StepKind, ignoreCase: true, out var kind)
                        ? new SignedPace(p.JobId, p.ByInitials, kind, (int?)p.Count, Parse(p.At), p.WaitS / 60.0)
                        : null
                )
                .OfType<SignedPace>()
        );
        _pace = new(newest, pace);
        return pace;
    }

    private DateTime Local(string at) => Local(Parse(at));

    private static DateTimeOffset Parse(string at) =>
        DateTimeOffset.Parse(at, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal);

    public void Dispose()
    {
        _closes.Cancel();
        _closes.Dispose();
        _watch.Dispose();
        _one.Dispose();
    }
}
