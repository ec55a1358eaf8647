using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Plans;

/// <summary>A sign-off or its undo, as it was written.</summary>
/// <param name="Done">True for a sign-off, false where it was taken back.</param>
public sealed record SignEvent(StepId Step, bool Done, string By, string At, int? Count, SignedBasis? Basis)
{
    /// <summary>Whether it was gathered from sign-offs under an earlier form of the plan: nobody wrote it as such.</summary>
    public bool Gathered { get; init; }
}

/// <summary>How one step of the plan stands.</summary>
/// <param name="Version">Sign-offs and undos so far.</param>
/// <param name="LookAgain">Whether it stands signed on something that changed since.</param>
/// <param name="Changed">What changed, a sentence each.</param>
public sealed record StepStand(
    StepId StepId,
    Station Station,
    string Title,
    bool Signed,
    string? By,
    string? At,
    int? Count,
    int Version,
    bool LookAgain,
    IReadOnlyList<string> Changed
)
{
    public required StepKind Kind { get; init; }
    public int? Pass { get; init; }
    public int? Passes { get; init; }

    /// <summary>Which face of each board is up after the turn with which the step begins.</summary>
    public IReadOnlyDictionary<string, Face>? Up { get; init; }
    public IReadOnlyList<Act> Acts { get; init; } = [];
}

/// <summary>How every step of a plan stands, from the sign-offs in their order.</summary>
public static class StepStands
{
    /// <summary>Steps that stand signed.</summary>
    public static IReadOnlySet<StepId> Signed(IEnumerable<SignEvent> events) =>
        // in the order in which they were signed last
        events
            .Select((e, i) => (e, i))
            .GroupBy(x => x.e.Step)
            .Where(g => g.Last().e.Done)
            .OrderBy(g => g.Last().i)
            .Select(g => g.Key)
            .ToHashSet();

    /// <summary>
    /// The sign-offs with those of earlier forms of the plan: a step stands signed where every step that it once was
    /// stands signed, until somebody signs or undoes it itself.
    /// </summary>
    public static IReadOnlyList<SignEvent> Gathered(JobPlan plan, IReadOnlyList<SignEvent> events)
    {
        var once = plan.Steps.Where(s => s.Once.Count > 0).ToList();
        if (once.Count == 0 || events.Count == 0)
            return events;
        var last = events.GroupBy(e => e.Step).ToDictionary(g => g.Key, g => g.Last());
        return
        [
            .. events,
            .. once.Where(s => !last.ContainsKey(s.Id) && s.Once.All(o => last.TryGetValue(o, out var e) && e.Done))
                .Select(s =>
                {
                    var of = last[s.Once[^1]];
                    return of with { Step = s.Id, Count = s.Count, Basis = Joined(s, of), Gathered = true };
                }),
        ];
    }

    /// <summary>The documents that the last of them was signed on; its words were those of one screw.</summary>
    private static SignedBasis? Joined(WorkStep step, SignEvent last) =>
        last.Basis is { } basis ? basis with { Title = null, Facts = [], Count = step.Count } : null;

    /// <param name="documents">Every document of the job as it stands now.</param>
    public static IReadOnlyList<StepStand> Compute(
        IEnumerable<WorkStep> steps,
        IReadOnlyList<SignEvent> events,
        IReadOnlyList<DocumentStand> documents
    )
    {
        var byStep = events.GroupBy(e => e.Step).ToDictionary(g => g.Key, g => g.ToList());
        return [.. steps.Select(s => Compute(s, byStep.GetValueOrDefault(s.Id) ?? [], documents))];
    }

    /// <summary>
    /// Whether a job is finished: every step of the plan is signed and none has to be looked at again. What was signed
    /// under an earlier plan stays in the record as such.
    /// </summary>
    public static bool IsFinished(
        JobPlan plan,
        IReadOnlyList<SignEvent> events,
        IReadOnlyList<DocumentStand> documents
    ) => Compute(plan.Steps, events, documents).All(s => s is { Signed: true, LookAgain: false });

    private static StepStand Compute(WorkStep step, List<SignEvent> own, IReadOnlyList<DocumentStand> documents)
    {
        var last = own.Count > 0 ? own[^1] : null;
        var signed = last is { Done: true };
        var changed = signed && last!.Basis is { } basis ? basis.ChangedBy(step, documents) : [];
        return new(
            step.Id,
            step.Station,
            step.Told,
            signed,
            last?.By,
            last?.At,
            last?.Count,
            own.Count(e => !e.Gathered),
            changed.Count > 0,
            changed
        )
        {
            Kind = step.Kind,
            Pass = step.Pass,
            Passes = step.Passes,
            Up = step.Up,
            Acts = step.Acts,
        };
    }
}
