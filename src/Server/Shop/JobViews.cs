using System.Collections.Concurrent;
using System.Text.Json;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Route;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>Who signed a step, as it stands now. Version counts its sign-offs and undos.</summary>
internal sealed record StepState(
    string StepId,
    bool Signed,
    string By,
    string At,
    long? Count,
    string? OverrideReason,
    long Version
);

/// <summary>How a station stands.</summary>
internal sealed record StationState(
    Station Station,
    string Summary,
    bool Trouble,
    int Steps,
    int SignedSteps,
    bool Complete,
    string? By,
    string? At
);

/// <param name="Face">front or back, with the place it is pinned to; null for a photo of the whole.</param>
internal sealed record PhotoInfo(long Id, string? StepId, string By, string At, double? XMm, double? YMm, Face? Face);

internal sealed record RunningTimer(
    long Id,
    long JobId,
    string StepId,
    string Label,
    string StartedAt,
    long Seconds,
    string EndsAt
);

/// <summary>A whole job: what is planned, what is done.</summary>
internal sealed record JobView(
    long Id,
    string Title,
    string? Client,
    string Bench,
    string? PasteId,
    IReadOnlyList<LaidPad> PadChoices,
    long Version,
    string OpenedBy,
    string OpenedAt,
    Board Board,
    Block? Block,
    JobPlan Plan,
    IReadOnlyList<StationState> Route,
    IReadOnlyList<StepState> Steps,
    IReadOnlyList<StepEvent> History,
    IReadOnlyList<ReadingRow> Readings,
    IReadOnlyList<NoteRow> Notes,
    IReadOnlyList<PhotoInfo> Photos,
    IReadOnlyList<RunningTimer> Timers,
    string ServerTime
)
{
    public required JobSheetSet Sheets { get; init; }
}

/// <summary>Puts a job together from its rows; plans are kept until something they rest on changes.</summary>
internal sealed class JobViews(Jobs jobs, JobPapers papers, JobSheets sheets, ShopMemory shop, TimeProvider time)
{
    private readonly ConcurrentDictionary<long, (object Key, JobPlan Plan)> _plans = new();

    public JobView View(long id, CancellationToken cancel = default)
    {
        var row = jobs.Get(id);
        var events = jobs.Events(id);
        var readings = papers.Readings(id);
        var set = JobSheetSet.Of(sheets.All(id));
        var (plan, board, block, choices) = Plan(row, readings, set, events, cancel);
        var states = States(events);
        return new(
            row.Id,
            row.Title,
            row.Client,
            row.Bench,
            row.PasteId,
            choices,
            row.Version,
            row.OpenedBy,
            row.OpenedAt,
            board,
            block,
            plan,
            Route(plan, states),
            [.. states.Values],
            events,
            readings,
            papers.Notes(id),
            [
                .. papers
                    .Photos(id)
                    .Select(p => new PhotoInfo(
                        p.Id,
                        p.StepId,
                        p.ByInitials,
                        p.At,
                        p.XMm,
                        p.YMm,
                        p.Face is null ? null
                            : p.Face == "back" ? Core.Boards.Face.Back
                            : Core.Boards.Face.Front
                    )),
            ],
            Timers(papers.Running(id)),
            Now()
        )
        {
            Sheets = set,
        };
    }

    public string Now() =>
        time.GetUtcNow()
            .UtcDateTime.ToString("yyyy-MM-dd'T'HH:mm:ss.fff'Z'", System.Globalization.CultureInfo.InvariantCulture);

    public JobPlan PlanOf(long id, CancellationToken cancel = default) =>
        Plan(jobs.Get(id), papers.Readings(id), JobSheetSet.Of(sheets.All(id)), jobs.Events(id), cancel).Plan;

    public static Dictionary<string, StepState> States(IReadOnlyList<StepEvent> events) =>
        events
            .GroupBy(e => e.StepId)
            .ToDictionary(
                g => g.Key,
                g =>
                {
                    var last = g.Last();
                    return new StepState(
                        g.Key,
                        last.Kind == "done",
                        last.ByInitials,
                        last.At,
                        last.Count,
                        last.OverrideReason,
                        g.Count()
                    );
                }
            );

    public static IReadOnlyList<RunningTimer> Timers(IReadOnlyList<TimerRow> rows) =>
        [
            .. rows.Select(t => new RunningTimer(
                t.Id,
                t.JobId,
                t.StepId,
                t.Label,
                t.StartedAt,
                t.Seconds,
                DateTime
                    .Parse(t.StartedAt, null, System.Globalization.DateTimeStyles.RoundtripKind)
                    .AddSeconds(t.Seconds)
                    .ToString("yyyy-MM-dd'T'HH:mm:ss.fff'Z'", System.Globalization.CultureInfo.InvariantCulture)
            )),
        ];

    public static IReadOnlyList<StationState> Route(JobPlan plan, Dictionary<string, StepState> states) =>
        [
            .. plan.Stations.Select(s =>
            {
                var signed = s
                    .Steps.Select(x => states.GetValueOrDefault(x.Id))
                    .OfType<StepState>()
                    .Where(x => x.Signed)
                    .ToList();
                // a station with nothing to do is done once the block is chosen
                var complete = s.Steps.Count > 0 ? signed.Count == s.Steps.Count : !s.Trouble && plan.Fit is not null;
                var last = signed.MaxBy(x => x.At);
                return new StationState(
                    s.Station,
                    Words(s, signed, complete),
                    s.Trouble && !complete,
                    s.Steps.Count,
                    signed.Count,
                    complete,
                    last?.By,
                    last?.At
                );
            }),
        ];

    /// <summary>Outcome once signed, progress while under way, else what the station waits for.</summary>
    private static string Words(StationPlan s, List<StepState> signed, bool complete)
    {
        if (s.Station == Station.Teardown && signed.Count > 0)
        {
            var counted = signed.Sum(x => x.Count ?? 0);
            var all = s.Steps.Sum(x => x.Count ?? 0);
            return $"{counted} of {all} screws in tray";
        }
        if (complete || signed.Count == 0 || s.Trouble)
            return s.Summary;
        return $"{signed.Count} of {s.Steps.Count} steps signed";
    }

    private (JobPlan Plan, Board Board, Block? Block, IReadOnlyList<LaidPad> Choices) Plan(
        JobRow row,
        IReadOnlyList<ReadingRow> readings,
        JobSheetSet set,
        IReadOnlyList<StepEvent> events,
        CancellationToken cancel
    )
    {
        var board =
            shop.Boards.GetValueOrDefault(row.BoardId)
            ?? throw new NotHereException($"The library has no board \"{row.BoardId}\".");
        // what was recorded while stripping stands in for what the document does not say
        if (set.Assembly is { } recorded)
            board = board with { Assembly = recorded };
        var block = row.BlockId is null ? null : shop.Blocks.GetValueOrDefault(row.BlockId);
        var choices = JsonSerializer.Deserialize<List<LaidPad>>(row.PadChoices, DocumentJson.Options)!;
        // a cut plan stands once a cut is signed, and only as long as one is
        var begun =
            set.Cutting is not null
            && States(events).Values.Any(s => s.Signed && s.StepId.StartsWith("pads.cut-", StringComparison.Ordinal));
        var key = (row.Version, shop.Edition, string.Join(',', readings.Select(r => r.Id)), set.Key, begun);
        if (_plans.TryGetValue(row.Id, out var kept) && kept.Key.Equals(key))
            return (kept.Plan, board, block, choices);
        var plan = JobPlanner.Plan(
            new()
            {
                Board = board,
                Block = block,
                Drawer = shop.Drawer,
                PadChoices = choices.ToDictionary(c => c.Part),
                PasteId = row.PasteId,
                Ways = set.Ways,
                Begun = begun ? set.Cutting : null,
                AsFound = set.AsFound,
                TeardownOrder = set.Order,
                Readings =
                [
                    .. readings.Select(r => new Reading(
                        Enum.Parse<Phase>(r.Phase, ignoreCase: true),
                        r.RoomC,
                        r.CoolantC,
                        r.DieC,
                        r.HotspotC,
                        r.MemoryC,
                        r.PowerW,
                        r.FlowLMin,
                        r.Note
                    )),
                ],
            },
            cancel: cancel
        );
        _plans[row.Id] = (key, plan);
        return (plan, board, block, choices);
    }
}
