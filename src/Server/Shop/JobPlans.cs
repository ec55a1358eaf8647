using System.Collections.Concurrent;
using System.Text.Json;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Back;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>A job's plan with the state it was calculated from.</summary>
/// <param name="Stamp">See <see cref="JobStamps"/>; equal stamps, equal plans.</param>
/// <param name="Documents">The documents as they stood.</param>
internal sealed record PlannedJob(
    JobRow Row,
    string Stamp,
    WorkOrder Order,
    JobPlan Plan,
    IReadOnlyList<DocumentStand> Documents,
    JobSheetSet Sheets,
    bool Finished
)
{
    /// <summary>What every contact was forecast to be when the job was finished; null of an open one.</summary>
    public IReadOnlyList<ForecastContact>? Contacts { get; init; }
}

/// <summary>A finished job as it was signed.</summary>
/// <param name="Contacts">Forecast of every contact; null of a job that was finished before they were kept.</param>
internal sealed record JobRecord(
    WorkOrder Order,
    JobPlan Plan,
    IReadOnlyList<DocumentStand> Documents,
    IReadOnlyList<ForecastContact>? Contacts = null
);

/// <summary>
/// Plans of jobs, kept until something they rest on changes. A finished job's plan is the one it was signed with.
/// </summary>
internal sealed class JobPlans(
    Store.Jobs jobs,
    JobEntries papers,
    JobSheets sheets,
    SignOffs signOffs,
    Corrections corrections,
    JobStamps stamps,
    JobOrders orders,
    LibraryCache shop,
    PlateMemory plates,
    LocalTimes times
)
{
    private const int MaxKept = 500;

    private readonly ConcurrentDictionary<long, PlannedJob> _kept = new();
    private readonly ConcurrentDictionary<long, Back> _standing = new();

    /// <summary>A job's plan with the way back from what was signed of it.</summary>
    private sealed record Back(PlannedJob From, IReadOnlySet<StepId> Signed, PlannedJob Planned);

    /// <summary>The job with the way back from where it stands now.</summary>
    /// <exception cref="NotFoundException">No such job, or a document of it is gone.</exception>
    public PlannedJob Standing(long id, CancellationToken cancel)
    {
        var planned = Get(id, cancel);
        return Stands(planned, StepStands.Signed(SignOffService.Read(planned.Plan, signOffs.Events(id))));
    }

    /// <summary>
    /// The job with the way back from where its signed steps leave it; a finished one with that which it was finished
    /// with.
    /// </summary>
    public PlannedJob Stands(PlannedJob planned, IReadOnlySet<StepId> signed)
    {
        if (planned.Finished)
            return planned;
        if (
            _standing.TryGetValue(planned.Row.Id, out var kept)
            && ReferenceEquals(kept.From, planned)
            && kept.Signed.SetEquals(signed)
        )
            return kept.Planned;
        var stands = planned with { Plan = BackPlan.Onto(planned.Order, planned.Plan, planned.Sheets.AsFound, signed) };
        if (_standing.Count > MaxKept)
            _standing.Clear();
        _standing[planned.Row.Id] = new(planned, signed, stands);
        return stands;
    }

    /// <exception cref="NotFoundException">No such job, or a document of it is gone.</exception>
    public PlannedJob Get(long id, CancellationToken cancel = default)
    {
        var stamp = stamps.Compute(id);
        if (_kept.TryGetValue(id, out var kept) && kept.Stamp == stamp)
            return kept;
        var record = signOffs.RecordOf(id);
        var row = jobs.Get(id);
        var set = JobSheetSet.From(sheets.All(id));
        var planned = record is null ? Plan(row, stamp, set, cancel) : Corrected(Signed(row, stamp, set, record));
        if (_kept.Count > MaxKept)
            _kept.Clear();
        _kept[id] = planned;
        return planned;
    }

    /// <summary>The plan as it comes out today, also of a finished job: for questions that change nothing.</summary>
    public PlannedJob Today(long id, CancellationToken cancel = default)
    {
        var planned = Get(id, cancel);
        return planned.Finished ? Plan(planned.Row, planned.Stamp, planned.Sheets, cancel) : planned;
    }

    private static PlannedJob Signed(JobRow row, string stamp, JobSheetSet set, string record)
    {
        var signed = JsonSerializer.Deserialize<JobRecord>(record, DocumentJson.Options)!;
        return new(row, stamp, signed.Order, signed.Plan, signed.Documents, set, true) { Contacts = signed.Contacts };
    }

    /// <summary>
    /// A finished job whose readings were corrected: its verdict follows from those that still count of the ones it
    /// was finished with; its steps stay as they were signed.
    /// </summary>
    private PlannedJob Corrected(PlannedJob planned)
    {
        var id = planned.Row.Id;
        if (!corrections.All(id).Any(c => c.Kind is Corrections.Reading or Corrections.Log))
            return planned;
        var finished = signOffs.FinishedAt(id);
        var readings = papers.Readings(id).Where(r => string.CompareOrdinal(r.At, finished) <= 0);
        return planned with
        {
            Plan = planned.Plan with
            {
                Prove = ProveStation.Again(
                    planned.Plan.Prove,
                    planned.Order,
                    planned.Plan.Pads,
                    [.. readings.Select(r => Reading(r, shop.Settings, times, planned.Sheets, planned.Order))],
                    plates.Compute
                ),
            },
        };
    }

    /// <summary>The plan of an open job as it would come out with other settings.</summary>
    public JobPlan With(long id, ShopSettings settings, CancellationToken cancel)
    {
        var row = jobs.Get(id);
        var set = JobSheetSet.From(sheets.All(id));
        return Plan(row, set, orders.Create(row, set.Assembly, settings), settings, cancel);
    }

    /// <summary>The plan of an open job as it would come out with another document in the library.</summary>
    public JobPlan With(long id, TriedDocument document, CancellationToken cancel)
    {
        var row = jobs.Get(id);
        var set = JobSheetSet.From(sheets.All(id));
        return Plan(row, set, orders.Create(row, set.Assembly, tried: document), shop.Settings, cancel);
    }

    private PlannedJob Plan(JobRow row, string stamp, JobSheetSet set, CancellationToken cancel)
    {
        var order = orders.Create(row, set.Assembly);
        var plan = Plan(row, set, order, shop.Settings, cancel);
        return new(row, stamp, order, plan, orders.Documents(row, order), set, false);
    }

    private JobPlan Plan(
        JobRow row,
        JobSheetSet set,
        WorkOrder order,
        ShopSettings settings,
        CancellationToken cancel
    ) => JobPlanner.Plan(Context(row, set, order, settings), cancel);

    private JobContext Context(JobRow row, JobSheetSet set, WorkOrder order, ShopSettings settings) =>
        new()
        {
            Order = order,
            Shop = settings,
            Drawer = shop.DrawerUnder(settings),
            PadChoices = JsonSerializer.Deserialize<List<LaidPad>>(row.PadChoices, DocumentJson.Options)!,
            PasteId = row.PasteId,
            Ways = set.Ways,
            Begun = set.Cutting,
            AsFound = set.AsFound,
            TeardownOrder = set.Order,
            Readings = [.. papers.Readings(row.Id).Select(r => Reading(r, settings, times, set, order))],
            Complaint = set.Proof.Complaint,
            Plates = plates.Compute,
        };

    /// <summary>What each way of cutting the pads costs a job.</summary>
    public IReadOnlyList<CutWeight> WeighCuts(long id, CancellationToken cancel)
    {
        var job = Today(id, cancel);
        return JobPlanner.WeighCuts(Context(job.Row, job.Sheets, job.Order, shop.Settings), job.Plan, cancel);
    }

    /// <summary>Without what the logger takes, and what the sensors are known to be off by.</summary>
    internal static Reading Reading(
        ReadingRow r,
        ShopSettings settings,
        LocalTimes times,
        JobSheetSet sheets,
        WorkOrder order
    ) => SensorOffsets.Without(AsRead(r, settings, times), sheets.Proof.Offsets, order.First.Key);

    private static Reading AsRead(ReadingRow r, ShopSettings settings, LocalTimes times) =>
        new(
            Enum.Parse<Phase>(r.Phase, ignoreCase: true),
            r.RoomC,
            r.CoolantC,
            r.DieC,
            r.HotspotC,
            r.MemoryC,
            Math.Max(1, r.PowerW - settings.LoggerW),
            r.FlowLMin,
            r.Note
        )
        {
            Board = r.Board,
            PowerStageC = r.PowerStageC,
            Conditions = r.Conditions,
            On = times.Date(r.At),
        };
}
