using System.Globalization;
using System.Text.Json;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Walk;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <param name="Face">front or back, with the place it is pinned to; null for a photo of the whole.</param>
internal sealed record PhotoInfo(
    long Id,
    string? StepId,
    string By,
    string At,
    double? XMm,
    double? YMm,
    Face? Face,
    FigureSource? Source
);

internal sealed record RunningTimer(
    long Id,
    long JobId,
    string StepId,
    string Label,
    string StartedAt,
    long Seconds,
    string EndsAt
);

/// <summary>One entry of a job's history: who signed or took back what, and on which documents.</summary>
internal sealed record HistoryEntry(
    long Id,
    string StepId,
    string Kind,
    string By,
    string At,
    long? Count,
    string? OverrideReason,
    string? DoneAt,
    string? DeviceAt,
    SignedBasis? Signed
);

/// <summary>A signed step that the plan does not have any more.</summary>
/// <param name="Station">Null where the id is of no station.</param>
internal sealed record GoneStep(string StepId, Station? Station, string Title, string By, string At, long Version);

/// <summary>Which stage the holes of a board are at.</summary>
internal sealed record BoardStage(string Board, HoleStage Stage);

/// <summary>A whole job: what is planned, what is done.</summary>
/// <param name="Steps">Every step of the plan in working order, as it stands.</param>
/// <param name="WayBack">Steps of the way back to stock, as they stand.</param>
/// <param name="Gone">Signed steps that the plan does not have any more: to look at again.</param>
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
    bool Finished,
    string BoardName,
    string? BlockName,
    WorkOrder Order,
    Board Board,
    Block? Block,
    JobPlan Plan,
    IReadOnlyList<StationPlan> Stations,
    IReadOnlyList<StationState> Route,
    IReadOnlyList<StepStand> Steps,
    IReadOnlyList<StepStand> WayBack,
    IReadOnlyList<GoneStep> Gone,
    IReadOnlyList<BoardStage> HoleStages,
    IReadOnlyList<HistoryEntry> History,
    IReadOnlyList<ReadingRow> Readings,
    IReadOnlyList<NoteRow> Notes,
    IReadOnlyList<PhotoInfo> Photos,
    IReadOnlyList<RunningTimer> Timers,
    string ServerTime
)
{
    public required JobSheetSet Sheets { get; init; }

    /// <summary>What was opened and is open now.</summary>
    public IReadOnlyList<OpenEnd> OpenEnds { get; init; } = [];

    /// <summary>What was corrected after the job was finished.</summary>
    public required IReadOnlyList<CorrectionRow> Corrections { get; init; }

    /// <summary>What kind of work it is, and in words.</summary>
    public required JobKind Kind { get; init; }
    public string KindName => JobKinds.Words(Kind);

    /// <summary>Logs that were kept, without their samples.</summary>
    public required IReadOnlyList<JobLogRow> Logs { get; init; }

    public required IReadOnlyList<LeakTestRow> LeakTests { get; init; }

    /// <summary>What a torque driver turned, without its samples.</summary>
    public required IReadOnlyList<DriverTurnView> DriverTurns { get; init; }

    /// <summary>Off the benches.</summary>
    public required bool Archived { get; init; }

    /// <summary>Of everything above; <see cref="JobShell"/> has another one as soon as something of it changes.</summary>
    public required string Tag { get; init; }

    /// <summary>Documents that were kept anew since the job was planned from them; none of a finished job.</summary>
    public required IReadOnlyList<NewerDocument> Newer { get; init; }
}

/// <summary>Puts a job together from its rows and its plan.</summary>
internal sealed class JobViews(
    JobPlans plans,
    SignOffs signOffs,
    JobEntries papers,
    JobLogs logs,
    LeakTests leaks,
    DriverTurns turns,
    Corrections corrections,
    NewerDocuments newer,
    JobShells shells,
    TimeProvider time
)
{
    public JobView View(long id, CancellationToken cancel = default)
    {
        // before anything is read: what changes meanwhile makes it old, never new
        var tag = shells.Tag(id);
        var planned = plans.Get(id, cancel);
        var row = planned.Row;
        var events = signOffs.Events(id);
        var read = SignOffService.Read(planned.Plan, events);
        var plan = plans.Stands(planned, StepStands.Signed(read)).Plan;
        var stands = StepStands.Compute(plan.Steps, read, planned.Documents);
        return new(
            row.Id,
            row.Title,
            row.Client,
            row.Bench,
            row.PasteId,
            JsonSerializer.Deserialize<List<LaidPad>>(row.PadChoices, DocumentJson.Options)!,
            row.Version,
            row.OpenedBy,
            row.OpenedAt,
            planned.Finished,
            OrderNames.Boards(planned.Order),
            OrderNames.Blocks(planned.Order),
            planned.Order,
            planned.Order.First.Board,
            planned.Order.Pairs.Count > 0 ? planned.Order.Pairs[0].Block : null,
            plan,
            plan.Stations,
            RouteCard.Create(plan, stands),
            stands,
            StepStands.Compute(plan.Care.Restore, read, planned.Documents),
            GoneFrom(plan, events),
            [
                .. planned.Order.Pieces.Select(p => new BoardStage(
                    p.Key,
                    HoleLedger.StageOf(p.Key, plan.Steps, StepStands.Signed(read))
                )),
            ],
            [.. events.Select(History)],
            papers.Readings(id),
            papers.Notes(id),
            [.. papers.Photos(id).Select(Photo)],
            Timers(papers.Running(id)),
            Now()
        )
        {
            Tag = tag,
            Sheets = planned.Sheets,
            OpenEnds = LooseEnds.Open([.. plan.Steps], StepStands.Signed(read)),
            Corrections = corrections.All(id),
            Kind = JobKinds.Classify(planned.Order),
            Archived = row.ArchivedAt is not null,
            Newer = planned.Finished ? [] : newer.Find(id, planned.Order),
            Logs = logs.All(id),
            LeakTests = leaks.All(id),
            DriverTurns = [.. turns.All(id).Select(t => DriverTurnView.From(t, plan))],
        };
    }

    public string Now() => Instant(time.GetUtcNow().UtcDateTime);

    private static string Instant(DateTime utc) =>
        utc.ToString("yyyy-MM-dd'T'HH:mm:ss.fff'Z'", CultureInfo.InvariantCulture);

    private static HistoryEntry History(StepEvent e) =>
        new(
            e.Id,
            e.StepId,
            e.Kind,
            e.ByInitials,
            e.At,
            e.Count,
            e.OverrideReason,
            e.DoneAt,
            e.DeviceAt,
            SignOffService.Basis(e.Signed)
        );

    private static PhotoInfo Photo(PhotoRow p) =>
        new(
            p.Id,
            p.StepId,
            p.ByInitials,
            p.At,
            p.XMm,
            p.YMm,
            p.Face is null ? null
                : p.Face == "back" ? Face.Back
                : Face.Front,
            p.Source
        );

    private static IReadOnlyList<GoneStep> GoneFrom(JobPlan plan, IReadOnlyList<StepEvent> events)
    {
        var planned = plan.Steps.Concat(plan.Care.Restore).Select(s => s.Id.ToString()).ToHashSet();
        return
        [
            .. events
                .GroupBy(e => e.StepId)
                .Where(g => !planned.Contains(g.Key) && g.Last().Kind == StepEvent.Done)
                .Select(g => new GoneStep(
                    g.Key,
                    StepId.TryParse(g.Key, out var id) ? id.Station : null,
                    SignOffService.Basis(g.Last().Signed)?.Title ?? g.Key,
                    g.Last().ByInitials,
                    g.Last().At,
                    g.Count()
                )),
        ];
    }

    public static IReadOnlyList<RunningTimer> Timers(IReadOnlyList<TimerRow> rows) =>
        [
            .. rows.Select(t => new RunningTimer(
                t.Id,
                t.JobId,
                t.StepId,
                t.Label,
                t.StartedAt,
                t.Seconds,
                Instant(DateTime.Parse(t.StartedAt, null, DateTimeStyles.RoundtripKind).AddSeconds(t.Seconds))
            )),
        ];
}
