using System.Collections.Concurrent;
using System.Text.Json;
using System.Text.Json.Serialization;
using FaithfulBracket.Core.Care;
using FaithfulBracket.Core.Kit;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Schedule;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Words.Shop;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>A job as it lies on a bench.</summary>
/// <param name="Waits">What it waits for, in words.</param>
/// <param name="NextStep">The next thing to do; null when all is signed.</param>
internal sealed record BenchJob(
    long Id,
    string Title,
    string? Client,
    string Bench,
    string BoardName,
    string? BlockName,
    Station Station,
    string Waits,
    bool Trouble,
    string? NextStep,
    IReadOnlyList<StationState> Route,
    bool Finished,
    string? LastBy,
    string? LastAt
)
{
    /// <summary>What kind of work it is, and in words; null for a job that cannot be planned.</summary>
    public JobKind? Kind { get; init; }
    public string? KindName { get; init; }

    /// <summary>Its steps as blocks of work; empty for a job that cannot be planned.</summary>
    [JsonIgnore]
    public IReadOnlyList<WorkBlock> Work { get; init; } = [];

    /// <summary>What it needs of kits and drawer.</summary>
    [JsonIgnore]
    public IReadOnlyList<KitLine> Needs { get; init; } = [];

    /// <summary>When it is due again; null for a job that cannot be planned.</summary>
    [JsonIgnore]
    public CareDates? Care { get; init; }

    /// <summary>How it came out so far; null for a job that cannot be planned.</summary>
    [JsonIgnore]
    public JobOutcome? Outcome { get; init; }

    /// <summary>What its proof says of its blocks.</summary>
    [JsonIgnore]
    public IReadOnlyList<BlockMeasured> Measured { get; init; } = [];
}

/// <summary>An entry as it is kept: what the bench index shows, and what the day is planned from.</summary>
internal sealed record KeptBenchJob(
    BenchJob Shown,
    IReadOnlyList<WorkBlock> Work,
    IReadOnlyList<KitLine> Needs,
    CareDates? Care,
    JobOutcome? Outcome,
    IReadOnlyList<BlockMeasured> Measured
)
{
    public static string Write(BenchJob job) =>
        JsonSerializer.Serialize(
            new KeptBenchJob(job, job.Work, job.Needs, job.Care, job.Outcome, job.Measured),
            DocumentJson.Options
        );

    /// <summary>Also an entry from before the day was planned: it is that job without work.</summary>
    public static BenchJob Read(string content) =>
        JsonSerializer.Deserialize<KeptBenchJob>(content, DocumentJson.Options) is { Shown: { } shown } kept
            ? shown with
            {
                Work = kept.Work ?? [],
                Needs = kept.Needs ?? [],
                Care = kept.Care,
                Outcome = kept.Outcome,
                Measured = kept.Measured ?? [],
            }
            : Bare(content);

    /// <summary>
    /// What the bench index shows alone: of a shop's every job the work would be read to be thrown away.
    /// </summary>
    public static BenchJob ReadShown(string content) =>
        JsonSerializer.Deserialize<ShownBenchJob>(content, DocumentJson.Options)!.Shown ?? Bare(content);

    private static BenchJob Bare(string content) =>
        JsonSerializer.Deserialize<BenchJob>(content, DocumentJson.Options)!;

    private sealed record ShownBenchJob(BenchJob? Shown);
}

/// <summary>Makes and keeps what the bench index shows of each job.</summary>
internal sealed class BenchSummaries(
    ShopDatabase database,
    Store.Jobs jobs,
    JobSummaries kept,
    JobStamps stamps,
    JobViews views,
    JobCare care,
    LeakTests leaks,
    LocalTimes times,
    ILogger<BenchSummaries> log
) : IDisposable
{
    private readonly CommitWatch _watch = new(database);
    private readonly Lock _looking = new();
    private IReadOnlyList<BenchJob>? _shown;
    private readonly Lock[] _gates = [.. Enumerable.Range(0, Gates).Select(_ => new Lock())];
    private const int Gates = 64;

    /// <summary>Renews one job's summary; a job that cannot be planned gets one that says so.</summary>
    public void Renew(long id, CancellationToken cancel = default)
    {
        // one after another: what was looked at first may not be written last
        lock (_gates[id % Gates])
            RenewNow(id, cancel);
    }

    private readonly ConcurrentDictionary<long, bool> _later = new();

    /// <summary>
    /// Renews one job's summary now, or in the background where that fails: what it was made from is stored already.
    /// </summary>
    public void RenewOrLater(long id)
    {
        try
        {
            Renew(id);
        }
        catch (Exception e) when (e is Microsoft.Data.Sqlite.SqliteException or IOException or NotFoundException)
        {
            _later[id] = true;
            log.LogWarning(e, "The bench entry of job {Job} is renewed later", id);
        }
    }

    public bool HasLater => !_later.IsEmpty;

    /// <summary>Jobs whose summary could not be written; each is tried once more.</summary>
    public IReadOnlyList<long> TakeLater() => [.. _later.Keys.Where(id => _later.TryRemove(id, out _))];

    private void RenewNow(long id, CancellationToken cancel)
    {
        var stamp = stamps.Compute(id);
        BenchJob entry;
        JobWords? words = null;
        try
        {
            var view = views.View(id, cancel);
            var outcome = JobPast.Outcome(view, leaks.All(id), times);
            entry = Entry(view) with
            {
                Care = care.Compute(id, null, cancel),
                Outcome = outcome,
                Measured = JobPast.Measured(view),
            };
            words = JobPast.Words(view, outcome, times);
        }
        catch (Exception e) when (e is not OperationCanceledException)
        {
            log.LogWarning(e, "Job {Job} cannot be planned", id);
            entry = Unplannable(jobs.Get(id), e.Message);
        }
        kept.Put(id, stamp, KeptBenchJob.Write(entry), entry.Finished, words);
    }

    /// <summary>Finished jobs that lie on the shelf; the rest is found by its words.</summary>
    private const int MaxFinished = 60;

    /// <summary>
    /// Every open job in the order of the benches, then the newest finished, as the index shows them; one without a
    /// summary yet is told as such. Read anew only after something was written: every page asks for it.
    /// </summary>
    public IReadOnlyList<BenchJob> Shown()
    {
        lock (_looking)
        {
            if (_watch.Changed())
                _shown = null;
            return _shown ??= Ordered(kept.Lying(MaxFinished), KeptBenchJob.ReadShown);
        }
    }

    /// <summary>Every open job, with its work.</summary>
    public IReadOnlyList<BenchJob> Open() => Ordered(kept.Lying(0), KeptBenchJob.Read);

    private IReadOnlyList<BenchJob> Ordered(IReadOnlyList<JobSummaryRow> rows, Func<string, BenchJob> read) =>
        [
            .. rows.Select(s => read(s.Content))
                .Concat(jobs.Unsummed().Select(Waiting))
                // one may have got its summary between the two looks
                .DistinctBy(j => j.Id)
                .OrderBy(j => j.Finished)
                .ThenBy(j => j.Bench, StringComparer.Ordinal)
                .ThenBy(j => j.Id),
        ];

    /// <summary>What finished jobs are due for, all of them.</summary>
    public IEnumerable<BenchJob> Finished() => kept.Finished().Select(s => KeptBenchJob.Read(s.Content));

    /// <summary>Some jobs; one without an entry yet is left out.</summary>
    public IReadOnlyList<BenchJob> Compute(IReadOnlyCollection<long> ids) =>
        [.. kept.List(ids).Select(s => KeptBenchJob.Read(s.Content))];

    public void Dispose() => _watch.Dispose();

    private static BenchJob Waiting(JobRow j) => Bare(j, "is being calculated", false);

    private static BenchJob Unplannable(JobRow j, string why) =>
        Bare(j, BenchSummariesWords.CanNotBePlanned(why), true);

    private static BenchJob Bare(JobRow j, string waits, bool trouble) =>
        new(
            j.Id,
            j.Title,
            j.Client,
            j.Bench,
            j.BoardId ?? j.CardId ?? "",
            j.BlockId,
            Station.Match,
            waits,
            trouble,
            null,
            [],
            false,
            null,
            null
        );

    private static BenchJob Entry(JobView v)
    {
        var signed = v.Steps.Where(s => s.Signed).Select(s => s.StepId).ToHashSet();
        var station = v.Finished ? null : v.Route.FirstOrDefault(r => !r.Complete || r.LookAgain > 0);
        var open = v.Steps.Where(s => !s.Signed || s.LookAgain).Select(s => s.StepId).ToHashSet();
        var next = v
            .Stations.FirstOrDefault(s => s.Station == station?.Station)
            ?.Steps.FirstOrDefault(s => open.Contains(s.Id));
        var last = v.History.Count > 0 ? v.History[^1] : null;
        var done = v
            .History.Where(h => h.Kind == StepEvent.Done)
            .GroupBy(h => h.StepId)
            .ToDictionary(g => g.Key, g => g.Last());
        (string, string)? At(StepId id) =>
            signed.Contains(id) && done.TryGetValue(id.ToString(), out var h) ? (h.By, h.DoneAt ?? h.At) : null;
        return new(
            v.Id,
            v.Title,
            v.Client,
            v.Bench,
            OrderNames.Boards(v.Order),
            OrderNames.Blocks(v.Order),
            station?.Station ?? Station.Care,
            station is null ? v.Plan.Prove.First?.Verdict ?? "all signed" : station.Summary,
            station?.Trouble ?? false,
            next?.Title,
            v.Route,
            station is null,
            last?.By,
            last is null ? null : last.DoneAt ?? last.At
        )
        {
            Kind = v.Kind,
            KindName = v.KindName,
            Work = station is null ? [] : WorkBlocks.Create([.. v.Plan.Steps], At),
            Needs = station is null ? [] : v.Plan.Kit.Lines,
        };
    }
}

/// <summary>Renews summaries in the background when something they rest on changed; never a finished job's.</summary>
internal sealed class BenchRenewal(
    BenchSummaries summaries,
    JobStamps stamps,
    ShopDatabase database,
    RequestTracker calls,
    TimeProvider time,
    ILogger<BenchRenewal> log
) : BackgroundService
{
    private static readonly TimeSpan Look = TimeSpan.FromMilliseconds(250);

    /// <summary>Looks until what could not be written is tried again.</summary>
    private const int Again = 40;
    private int _renewing;

    /// <summary>Jobs whose summary is of an earlier state.</summary>
    public int Renewing => Volatile.Read(ref _renewing);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var watch = new CommitWatch(database);
        var changed = true;
        var looks = 0;
        while (!stoppingToken.IsCancellationRequested)
        {
            if (changed)
                await RenewAsync(stoppingToken);
            await Task.Delay(Look, time, stoppingToken);
            changed = watch.Changed() || ++looks % Again == 0 && summaries.HasLater;
        }
    }

    private async Task RenewAsync(CancellationToken stop)
    {
        try
        {
            var stale = stamps.Stale().Union(summaries.TakeLater()).ToList();
            Volatile.Write(ref _renewing, stale.Count);
            foreach (var id in stale)
            {
                // a page that is asked for meanwhile comes first
                await calls.QuietAsync(time, stop);
                summaries.RenewOrLater(id);
                Interlocked.Decrement(ref _renewing);
            }
        }
        catch (Exception e) when (e is not OperationCanceledException)
        {
            log.LogError(e, "The bench index could not be renewed");
        }
        finally
        {
            Volatile.Write(ref _renewing, 0);
        }
    }
}
