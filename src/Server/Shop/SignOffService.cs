using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Cutting;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Walk;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Teardown;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Words.Shop;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>A step may not be signed, or not taken back, as things stand.</summary>
internal sealed class LockedException(string message, IReadOnlyList<StepId> waitsFor, IReadOnlyList<StepId> restsOn)
    : Exception(message)
{
    public IReadOnlyList<StepId> WaitsFor { get; } = waitsFor;
    public IReadOnlyList<StepId> RestsOn { get; } = restsOn;
}

/// <summary>
/// Signs steps and takes them back. The plan is calculated and its rules are judged before the writing transaction;
/// inside it the judgement holds if the same still stands, else it is judged there again. When anything the plan rests
/// on changed meanwhile, it is calculated again.
/// </summary>
internal sealed class SignOffService(JobPlans plans, SignOffs signOffs, LocalTimes times)
{
    private const int MaxTries = 6;
    private const string Changing = SignOffServiceWords.ThisJobKeepsChangingWhileYou;

    /// <summary>Sign-offs as the core reads them; an id that nobody can read is left out.</summary>
    public static IReadOnlyList<SignEvent> Read(JobPlan plan, IReadOnlyList<StepEvent> events) =>
        StepStands.Gathered(
            plan,
            [
                .. events
                    .Select(e =>
                        StepId.TryParse(e.StepId, out var id)
                            ? new SignEvent(
                                id,
                                e.Kind == StepEvent.Done,
                                e.ByInitials,
                                e.At,
                                (int?)e.Count,
                                Basis(e.Signed)
                            )
                            : null
                    )
                    .OfType<SignEvent>(),
            ]
        );

    public static SignedBasis? Basis(string? signed) =>
        signed is null ? null : JsonSerializer.Deserialize<SignedBasis>(signed, DocumentJson.Options);

    /// <param name="seen">Events of the step that the caller has seen.</param>
    /// <exception cref="LockedException">A lock is closed or the count is off, and no reason is given.</exception>
    /// <exception cref="ConcurrencyException">Somebody else signed or took back the step meanwhile.</exception>
    public StepEvent Sign(
        long jobId,
        StepId id,
        string by,
        int? count,
        string? overrideReason,
        long seen,
        Sending? sending,
        CancellationToken cancel
    )
    {
        var asked = new NewStepEvent(id.ToString(), StepEvent.Done, by, count, Reason(overrideReason), null);
        return Write(
            jobId,
            asked,
            sending,
            (planned, stand) =>
            {
                var events = Read(planned.Plan, stand.Events);
                planned = plans.Stands(planned, StepStands.Signed(events));
                ThrowConflict(stand.Events, id, seen);
                RefuseStanding(planned, events, id);
                switch (SignOff.Sign(planned.Plan, StepStands.Signed(events), id, count, overrideReason))
                {
                    case SignOutcome.NotInPlan gone:
                        throw new InputException("/stepId", gone.Why);
                    case SignOutcome.Locked locked:
                        throw new LockedException(locked.Why, locked.WaitsFor, []);
                    case SignOutcome.Granted granted:
                        return Signed(planned, stand, asked, granted.Step, events);
                    default:
                        throw new InvalidOperationException("Signing has no other outcome.");
                }
            },
            cancel
        ).Event!;
    }

    /// <param name="with">All steps that rest on it, which are taken back with it, and no other.</param>
    /// <param name="versions">
    /// Events of those steps that the caller has seen, by id; a step that is not in it is not compared.
    /// </param>
    /// <exception cref="LockedException">
    /// It is not signed, or other signed steps rest on it than were named.
    /// </exception>
    public StepEvent TakeBack(
        long jobId,
        StepId id,
        string by,
        string? reason,
        IReadOnlyCollection<StepId> with,
        IReadOnlyDictionary<string, long> versions,
        long seen,
        Sending? sending,
        CancellationToken cancel
    )
    {
        var asked = new NewStepEvent(id.ToString(), StepEvent.Undone, by, null, Reason(reason), null);
        return Write(
            jobId,
            asked,
            sending,
            (planned, stand) =>
            {
                var before = Read(planned.Plan, stand.Events);
                var signed = StepStands.Signed(before);
                planned = plans.Stands(planned, signed);
                ThrowConflict(stand.Events, id, seen);
                foreach (var s in with)
                    if (versions.TryGetValue(s.ToString(), out var version))
                        ThrowConflict(stand.Events, s, version);
                if (!signed.Contains(id))
                    throw new LockedException(SignOffServiceWords.ThisStepIsNotSigned, [], []);
                if (SignOff.TakeBack(planned.Plan, signed, id, with) is SignOutcome.RestsOn resting)
                    throw new LockedException(resting.Why, [], resting.Steps);
                List<NewStepEvent> events =
                [
                    asked,
                    .. with.Where(s => s != id && signed.Contains(s))
                        .Distinct()
                        .Select(s => asked with { StepId = s.ToString() }),
                ];
                var gone = events.Select(e => e.StepId).ToHashSet();
                return new(events, Uncut(planned, stand, gone), Reopens: planned.Finished);
            },
            cancel
        ).Event!;
    }

    /// <summary>
    /// Notes one thing that came off and that nobody had described: it joins the assembly, and is signed if it is out,
    /// together.
    /// </summary>
    /// <param name="version">Of the assembly sheet, as the caller saw it.</param>
    /// <returns>What was noted.</returns>
    public string Strip(long jobId, StripNote note, bool done, string by, long version, CancellationToken cancel)
    {
        var target = "";
        Write(
            jobId,
            new("", StepEvent.Done, by, null, null, null),
            null,
            (planned, stand) =>
            {
                if (planned.Finished)
                    throw new JobFinishedException(SignOffServiceWords.ThisJobIsFinished);
                if (stand.Stamp != planned.Stamp)
                    throw new ConcurrencyException(Changing);
                (target, var write) = Noted(
                    planned,
                    stand,
                    note,
                    done,
                    new("", StepEvent.Done, by, null, null, null),
                    version
                );
                return write;
            },
            cancel
        );
        return target;
    }

    private static (string Target, SignWrite Write) Noted(
        PlannedJob planned,
        JobStandRow stand,
        StripNote note,
        bool done,
        NewStepEvent asked,
        long version
    )
    {
        var order = planned.Order;
        var signed = StepStands.Signed(Read(planned.Plan, stand.Events));
        var (noted, target) = StripRecord.Note(order, signed, note);
        var after = StripRecord.With(order, noted);
        var teardown = TeardownStation.TakeApart(after, ways: Ways.From(after, planned.Sheets.Ways));
        var id = TeardownStation.StepOf(null, target);
        var step = BenchScene.Locked(after, teardown).FirstOrDefault(s => s.Id == id);
        if (teardown.Troubles.Count > 0 || step is null)
            throw new InputException(
                "",
                teardown
                    .Troubles.Select(t => t.Text.ToString())
                    .FirstOrDefault(SignOffServiceWords.ItCanNotBeTakenApart)
            );
        var open = step.Locks.Where(l => !signed.Contains(l)).ToList();
        if (done && open.Count > 0)
            throw new LockedException(
                $"Locked: {string.Join(", ", open.Select(o => o.Target))} still {(open.Count == 1 ? "holds" : "hold")} it.",
                open,
                []
            );
        var basis = SignedBasis.From(step, planned.Documents);
        List<NewStepEvent> events = done
            ?
            [
                asked with
                {
                    StepId = id.ToString(),
                    Count = step.Count,
                    Signed = JsonSerializer.Serialize(basis, DocumentJson.Options),
                },
            ]
            : [];
        return (
            target,
            new(events, (JobSheetSet.AssemblyKind, JsonSerializer.Serialize(noted, DocumentJson.Options), version))
        );
    }

    private SignAnswer Write(
        long jobId,
        NewStepEvent asked,
        Sending? sending,
        Func<PlannedJob, JobStandRow, SignWrite> judge,
        CancellationToken cancel
    )
    {
        for (var attempt = 0; attempt < MaxTries; attempt++)
        {
            var planned = plans.Get(jobId, cancel);
            var ahead = signOffs.Stand(jobId);
            var judged = Ahead(planned, ahead, judge);
            cancel.ThrowIfCancellationRequested();
            var written = signOffs.Write(
                jobId,
                asked,
                sending,
                stand =>
                    stand.Stamp != planned.Stamp && !planned.Finished ? null
                    : judged is not null && stand.SameAs(ahead) ? judged
                    : judge(planned, stand)
            );
            if (written is not null)
                return written;
        }
        throw new ConcurrencyException(Changing);
    }

    /// <summary>
    /// Judges before the write lock is held, so that others need not wait for it; it counts only where the same still
    /// stands then. Null where it refuses: what refuses is said on what stands under the lock.
    /// </summary>
    private static SignWrite? Ahead(
        PlannedJob planned,
        JobStandRow stand,
        Func<PlannedJob, JobStandRow, SignWrite> judge
    )
    {
        if (stand.Stamp != planned.Stamp && !planned.Finished)
            return null;
        try
        {
            return judge(planned, stand);
        }
        catch (Exception e)
            when (e is LockedException or ConcurrencyException or InputException or JobFinishedException)
        {
            return null;
        }
    }

    private SignWrite Signed(
        PlannedJob planned,
        JobStandRow stand,
        NewStepEvent asked,
        WorkStep step,
        IReadOnlyList<SignEvent> events
    )
    {
        var basis = SignedBasis.From(step, planned.Documents);
        var write = new SignWrite([asked with { Signed = JsonSerializer.Serialize(basis, DocumentJson.Options) }]);
        if (
            step.Kind == StepKind.Cut
            && planned.Plan.Pads.Cutting is { } cutting
            && BegunCutting.Begin(cutting, planned.Sheets.Cutting) is { } begun
        )
            write = write with
            {
                Sheet = (
                    JobSheetSet.CuttingKind,
                    JsonSerializer.Serialize(begun, DocumentJson.Options),
                    JobSheetSet.From(stand.Sheets).VersionOf(JobSheetSet.CuttingKind)
                ),
            };
        return Finishing(planned, write, events);
    }

    /// <summary>
    /// With the finished job as it is signed, where nothing is left to sign or to look at again after these events.
    /// </summary>
    private SignWrite Finishing(PlannedJob planned, SignWrite write, IReadOnlyList<SignEvent> before)
    {
        if (planned.Finished)
            return write;
        List<SignEvent> after =
        [
            .. before,
            .. write.Events.Select(e => new SignEvent(
                StepId.TryParse(e.StepId, out var id) ? id : default,
                e.Kind == StepEvent.Done,
                e.By,
                "",
                (int?)e.Count,
                Basis(e.Signed)
            )),
        ];
        return StepStands.IsFinished(planned.Plan, after, planned.Documents)
            ? write with
            {
                Record = JsonSerializer.Serialize(
                    new JobRecord(
                        planned.Order,
                        plans.Stands(planned, StepStands.Signed(after)).Plan,
                        planned.Documents,
                        Passport.Contacts(planned.Order, planned.Plan.Pads.Pairs)
                    ),
                    DocumentJson.Options
                ),
            }
            : write;
    }

    /// <summary>The begun cut plan goes with the last of its cuts.</summary>
    private static (string, string, long)? Uncut(PlannedJob planned, JobStandRow stand, HashSet<string> gone)
    {
        if (planned.Sheets.Cutting is null)
            return null;
        var signed = StepStands.Signed(Read(planned.Plan, stand.Events));
        var cuts = planned.Plan.Steps.Where(s => s.Kind == StepKind.Cut).Select(s => s.Id).ToList();
        return
            cuts.Exists(c => gone.Contains(c.ToString()))
            && !cuts.Exists(c => signed.Contains(c) && !gone.Contains(c.ToString()))
            ? (JobSheetSet.CuttingKind, "null", JobSheetSet.From(stand.Sheets).VersionOf(JobSheetSet.CuttingKind))
            : null;
    }

    private void ThrowConflict(IReadOnlyList<StepEvent> events, StepId id, long seen)
    {
        var own = events.Where(e => e.StepId == id.ToString()).ToList();
        if (own.Count == seen)
            return;
        var last = own.Count > 0 ? own[^1] : null;
        throw new ConcurrencyException(
            last is null
                ? SignOffServiceWords.ThisStepChangedMeanwhile
                : SignOffServiceWords.ThisStepAtWhileYouWere(
                    last.ByInitials,
                    last.Kind == StepEvent.Done ? "signed" : "took back",
                    times.Clock(last.DoneAt ?? last.At)
                )
        );
    }

    /// <summary>A step that stands signed is not signed twice; one to look at again may be.</summary>
    private void RefuseStanding(PlannedJob planned, IReadOnlyList<SignEvent> events, StepId id)
    {
        if (
            planned.Plan.Find(id) is { } step
            && StepStands.Compute([step], events, planned.Documents)[0] is { Signed: true, LookAgain: false } stand
        )
            throw new LockedException(SignOffServiceWords.SignedThisAlready(stand.By, times.Clock(stand.At!)), [], []);
    }

    private static string? Reason(string? text) => string.IsNullOrWhiteSpace(text) ? null : text;
}
