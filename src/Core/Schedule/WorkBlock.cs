using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Schedule;

/// <summary>How many steps of one kind are left, how many pieces they count, and the short waits in them, s.</summary>
public sealed record StepsLeft(StepKind Kind, int Steps, int Pieces, int WaitS);

/// <summary>Steps of one station that are done in one go, and the wait that follows them.</summary>
/// <param name="Key">The first step's id: it stays the same while steps are signed.</param>
/// <param name="Title">Of the first step that is open.</param>
/// <param name="Left">What is still to do, by kind; empty when only the wait is left.</param>
/// <param name="WaitS">Seconds to wait after it; null without a wait.</param>
/// <param name="Wait">What is waited for, in words.</param>
/// <param name="WaitStep">The step whose wait it is.</param>
/// <param name="After">Keys of blocks whose waits have to be over before this one.</param>
/// <param name="AfterHands">Keys of blocks that have to be done before this one; their waits need not be over.</param>
public sealed record WorkBlock(
    string Key,
    Station Station,
    string Title,
    IReadOnlyList<StepsLeft> Left,
    int Steps,
    int Signed,
    int? WaitS,
    string? Wait,
    string? WaitStep,
    string? Tool,
    IReadOnlyList<string> After,
    IReadOnlyList<string> AfterHands
)
{
    /// <summary>The first and last signature in it, and whose the last is; null before the first.</summary>
    public string? FirstAt { get; init; }
    public string? LastAt { get; init; }
    public string? LastBy { get; init; }

    public bool Done => Left.Count == 0;
}

/// <summary>
/// A job's steps as blocks of work: a new one at each station, after each wait worth leaving the bench for and at
/// each change of a shared tool.
/// </summary>
public static class WorkBlocks
{
    /// <summary>Hands stay with a wait shorter than this, s.</summary>
    public const int MinWaitS = 300;

    public const string Jig = "jig",
        TorqueDriver = "torque driver",
        Gauge = "pressure gauge";

    /// <summary>The tool that a shop has only so many of; null where none is needed.</summary>
    public static string? ToolOf(StepKind kind) =>
        kind switch
        {
            StepKind.Warm or StepKind.Shear => Jig,
            StepKind.Turn => TorqueDriver,
            StepKind.LeakTest => Gauge,
            _ => null,
        };

    /// <param name="steps">In working order.</param>
    /// <param name="signedAt">Who signed a step and when; null for an open one.</param>
    public static IReadOnlyList<WorkBlock> Create(
        IReadOnlyList<WorkStep> steps,
        Func<StepId, (string By, string At)?> signedAt
    )
    {
        var groups = Groups(steps);
        var behind = Behind(groups);
        return
        [
            .. groups.Select(
                (g, i) => Block(g, Keys(groups, behind[i]), Keys(groups, HandsBefore(behind, i)), signedAt)
            ),
        ];
    }

    private static List<List<WorkStep>> Groups(IReadOnlyList<WorkStep> steps)
    {
        var groups = new List<List<WorkStep>>();
        foreach (var step in steps)
        {
            var last = groups.Count > 0 ? groups[^1][^1] : null;
            if (
                last is null
                || last.Station != step.Station
                || last.TimerS >= MinWaitS
                || ToolOf(last.Kind) != ToolOf(step.Kind)
            )
                groups.Add([]);
            groups[^1].Add(step);
        }
        return groups;
    }

    private static List<string> Keys(List<List<WorkStep>> groups, IEnumerable<int> of) =>
        [.. of.Select(i => groups[i][0].Id.ToString())];

    private static WorkBlock Block(
        List<WorkStep> group,
        List<string> after,
        List<string> afterHands,
        Func<StepId, (string By, string At)?> signedAt
    )
    {
        var open = group.Where(s => signedAt(s.Id) is null).ToList();
        var signatures = group.Select(s => signedAt(s.Id)).OfType<(string By, string At)>().OrderBy(s => s.At).ToList();
        var waits = Waits(group) ? group[^1] : null;
        return new(
            group[0].Id.ToString(),
            group[0].Station,
            (open.Count > 0 ? open[0] : group[0]).Title,
            [
                .. open.GroupBy(s => s.Kind)
                    .Select(g => new StepsLeft(
                        g.Key,
                        g.Count(),
                        g.Sum(s => Math.Max(1, s.Count ?? 1)),
                        g.Sum(s => s.TimerS is { } w and < MinWaitS ? w : 0)
                    )),
            ],
            group.Count,
            group.Count - open.Count,
            waits?.TimerS,
            waits?.Title,
            waits?.Id.ToString(),
            ToolOf(group[0].Kind),
            after,
            afterHands
        )
        {
            FirstAt = signatures.Count > 0 ? signatures[0].At : null,
            LastAt = signatures.Count > 0 ? signatures[^1].At : null,
            LastBy = signatures.Count > 0 ? signatures[^1].By : null,
        };
    }

    /// <summary>
    /// Of each block the waits it is behind: those of its own station, those its steps are locked by, and from the mounting on all of
    /// them. Other work goes on meanwhile.
    /// </summary>
    private static List<SortedSet<int>> Behind(List<List<WorkStep>> groups)
    {
        var of = groups.SelectMany((g, i) => g.Select(s => (s.Id, i))).ToDictionary(x => x.Id, x => x.i);
        var behind = new List<SortedSet<int>>();
        for (var b = 0; b < groups.Count; b++)
        {
            var station = groups[b][0].Station;
            var waits = new SortedSet<int>(
                Enumerable
                    .Range(0, b)
                    .Where(i => Waits(groups[i]) && (groups[i][0].Station == station || station >= Station.Mount))
            );
            foreach (var locked in groups[b].SelectMany(s => s.Locks))
                if (of.TryGetValue(locked, out var at) && at < b)
                {
                    waits.UnionWith(behind[at]);
                    if (Waits(groups[at]))
                        waits.Add(at);
                }
            behind.Add(waits);
        }
        return behind;
    }

    private static bool Waits(List<WorkStep> group) => group[^1].TimerS >= MinWaitS;

    /// <summary>The blocks before it, but those that are behind a wait which it is not behind itself.</summary>
    private static IEnumerable<int> HandsBefore(List<SortedSet<int>> behind, int block) =>
        Enumerable.Range(0, block).Where(i => behind[i].IsSubsetOf(behind[block]));
}
