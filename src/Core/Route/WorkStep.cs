using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Route;

/// <summary>A figure to read at the bench.</summary>
public sealed record Fact(string Value, string Label);

/// <summary>One thing to do, one sign-off.</summary>
public sealed record WorkStep
{
    /// <summary>Stable within the job: station, dot, target.</summary>
    public required string Id { get; init; }
    public required Station Station { get; init; }

    /// <summary>What to do, one sentence.</summary>
    public required string Title { get; init; }

    /// <summary>Why, or how, in a sentence.</summary>
    public string? Detail { get; init; }

    /// <summary>What can hurt or break here.</summary>
    public string? Caution { get; init; }

    /// <summary>What the button says when it is done.</summary>
    public required string Done { get; init; }
    public Face Face { get; init; }

    /// <summary>Ids of parts and holes to light up.</summary>
    public IReadOnlyList<string> Targets { get; init; } = [];
    public string? Driver { get; init; }

    /// <summary>Screws or films to count; null when there is nothing to count.</summary>
    public int? Count { get; init; }

    /// <summary>Seconds to wait once started; null without a wait.</summary>
    public int? TimerS { get; init; }
    public IReadOnlyList<Fact> Facts { get; init; } = [];

    /// <summary>What a torque driver should show; null where nothing is turned.</summary>
    public Mount.TurnTarget? Turn { get; init; }

    /// <summary>Steps that must be signed before this one.</summary>
    public IReadOnlyList<string> Locks { get; init; } = [];
}

/// <summary>A station of one job: its steps and what it stands at.</summary>
/// <param name="Summary">What it waits for or how it ended, in three or four words.</param>
/// <param name="Trouble">Whether the summary names something wrong.</param>
public sealed record StationPlan(Station Station, string Summary, bool Trouble, IReadOnlyList<WorkStep> Steps);
