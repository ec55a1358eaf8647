using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Schedule;

/// <summary>A wait that runs.</summary>
public sealed record RunningWait(string StepId, string Label, DateTime StartedAt, double Minutes)
{
    public DateTime EndsAt => StartedAt.AddMinutes(Minutes);
}

/// <summary>An open job as the day is planned from it. Times are on the shop's own clock.</summary>
/// <param name="Hands">Whose it is; null for whoever has least to do.</param>
/// <param name="LastBy">Who signed last.</param>
/// <param name="Held">What has to be decided or bought before work goes on, in words; null where it goes on.</param>
public sealed record DayJob(
    long Id,
    string Title,
    IReadOnlyList<WorkBlock> Blocks,
    IReadOnlyList<RunningWait> Waits,
    DateTime? Promised,
    string? Hands,
    string? LastBy,
    DateTime? LastAt,
    string? Held
);

/// <summary>Work that is to begin at a time.</summary>
public sealed record DayPin(long Job, string Key, DateTime At);

/// <summary>Everything a day is planned from.</summary>
/// <param name="Now">On the shop's own clock.</param>
/// <param name="Hands">Who works.</param>
public sealed record DayQuestion(
    DateTime Now,
    ShopHours Hours,
    IReadOnlyList<string> Hands,
    IReadOnlyList<DayJob> Jobs,
    IReadOnlyList<DayPin> Pins,
    IReadOnlyList<SharedTool> Tools,
    StepMinutes Pace
)
{
    /// <summary>What the shop's clock is ahead of universal time.</summary>
    public TimeSpan ZoneOffset { get; init; }
}

/// <summary>One stretch of work in somebody's day.</summary>
/// <param name="Title">The first thing to do in it.</param>
/// <param name="Minutes">Of hands, as calculated.</param>
public sealed record DayWork(
    long Job,
    string JobTitle,
    string Key,
    Station Station,
    string Title,
    string By,
    DateTime StartAt,
    DateTime EndAt,
    double Minutes,
    bool Begun,
    bool Pinned
)
{
    /// <summary>Steps of it that are signed, of how many.</summary>
    public int Signed { get; init; }
    public int Steps { get; init; }
}

/// <summary>A wait in somebody's day, and what hands do meanwhile.</summary>
/// <param name="Running">Whether it has been started.</param>
public sealed record DayWait(
    long Job,
    string JobTitle,
    string StepId,
    string Label,
    string By,
    DateTime StartAt,
    DateTime EndAt,
    bool Running,
    IReadOnlyList<DayMeanwhile> Meanwhile
);

/// <param name="Fits">Whether it ends before the wait does.</param>
public sealed record DayMeanwhile(
    long Job,
    string JobTitle,
    Station Station,
    string Title,
    double Minutes,
    bool Fits,
    Message Text
);

/// <summary>How a job comes out.</summary>
/// <param name="By">Whose it is; null for a job that is not planned.</param>
/// <param name="EndAt">Null for a job that is not planned.</param>
/// <param name="LateMin">Past its promise, working time; 0 when it holds or none was given.</param>
public sealed record DayJobEnd(
    long Job,
    string Title,
    string? By,
    DateTime? EndAt,
    DateTime? Promised,
    double LateMin,
    Message Text
);

/// <summary>Work that was done today.</summary>
public sealed record DayDone(
    long Job,
    string JobTitle,
    Station Station,
    string By,
    DateTime StartAt,
    DateTime EndAt,
    int Signed
);

/// <summary>The bench's day as it is planned.</summary>
/// <param name="Headline">How it comes out, in a sentence.</param>
/// <param name="Warnings">What will be late, and pins that could not be held.</param>
/// <param name="Sure">What the times rest on.</param>
public sealed record BenchDayPlan(
    DateTime Now,
    IReadOnlyList<string> Hands,
    IReadOnlyList<DayDone> Done,
    IReadOnlyList<DayWork> Work,
    IReadOnlyList<DayWait> Waits,
    IReadOnlyList<DayJobEnd> Jobs,
    string Headline,
    IReadOnlyList<Message> Warnings,
    IReadOnlyList<string> Sure,
    bool Proven
);
