namespace FaithfulBracket.Core.Schedule;

/// <summary>One thing to do at the bench, or one wait.</summary>
/// <param name="Minutes">How long it takes.</param>
/// <param name="Hands">Pairs of hands it needs; 0 for a wait.</param>
/// <param name="After">What has to be done before it: ids of its own job, or "job/id"; null takes the one before it in its job.</param>
/// <param name="Tool">A tool that there are only so many of.</param>
/// <param name="BegunMin">The minute it began; null where it has not.</param>
public sealed record BenchOperation(
    string Id,
    double Minutes,
    int Hands,
    IReadOnlyList<string>? After = null,
    string? Tool = null,
    double? BegunMin = null
)
{
    /// <summary>Whose hands; null for whoever is free.</summary>
    public string? By { get; init; }

    /// <summary>The minute it has to begin at; null where it may begin at any.</summary>
    public double? PinMin { get; init; }
}

/// <param name="ReleaseMin">Not before this minute.</param>
/// <param name="DueMin">Promised for this minute; null without a promise.</param>
public sealed record BenchWork(
    string Id,
    IReadOnlyList<BenchOperation> Operations,
    double ReleaseMin = 0,
    double? DueMin = null
);

public sealed record SharedTool(string Id, int Count);

/// <summary>A day to be planned.</summary>
/// <param name="Hands">Pairs of hands in the shop.</param>
public sealed record ShopDay(int Hands, IReadOnlyList<BenchWork> Jobs, IReadOnlyList<SharedTool> Tools);

public sealed record PlannedOperation(string Job, string Id, double StartMin, double EndMin);

/// <summary>What hands can do while a wait runs.</summary>
/// <param name="During">"job/id" of the wait.</param>
public sealed record Meanwhile(string Job, string Id, string During);

/// <param name="FinishMin">When the last operation ends.</param>
/// <param name="BoundMin">No plan ends before this minute.</param>
/// <param name="Proven">Whether no plan is better: finish, then lateness, then the jobs' own finishes.</param>
public sealed record DayPlan(
    double FinishMin,
    double BoundMin,
    bool Proven,
    IReadOnlyList<PlannedOperation> Operations,
    IReadOnlyList<Meanwhile> Meanwhile
)
{
    /// <summary>False where no plan was found that begins everything at its pinned minute: then nothing begins before it.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool PinsHold { get; init; } = true;
}
