using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Orders;

/// <summary>A figure to read at the bench.</summary>
public sealed record Fact(string Value, string Label);

/// <summary>One thing to do, one sign-off. Its figures are fields; its words are made from them last.</summary>
public sealed record WorkStep
{
    public required StepId Id { get; init; }
    public required StepKind Kind { get; init; }
    public Station Station => Id.Station;

    /// <summary>What to do, one sentence.</summary>
    public required Message Title { get; init; }

    /// <summary>What is done before it: switched off, turned over and held; null where nothing is.</summary>
    public Message? First { get; init; }

    /// <summary>What to do, with what comes first said first.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public Message Told => First is { } first ? StepSentences.FirstThen(first, Title) : Title;

    /// <summary>Why, or how, in a sentence.</summary>
    public Message? Detail { get; init; }

    /// <summary>What it looks and feels like when it is right.</summary>
    public Message? Feel
    {
        get => field ?? ExpectedFeel.Find(Kind);
        init;
    }

    /// <summary>What can hurt or break here.</summary>
    public Message? Caution { get; init; }

    /// <summary>What the button says when it is done.</summary>
    public required string Done { get; init; }

    /// <summary>Key of the board that lies on the mat for it; null where no board is needed.</summary>
    public string? Board { get; init; }

    /// <summary>Key of the pair it belongs to; null where none is meant.</summary>
    public string? Pair { get; init; }
    public Face Face { get; init; }

    /// <summary>Ids of parts, holes, screw groups, leads and pieces to light up.</summary>
    public IReadOnlyList<string> Targets { get; init; } = [];

    /// <summary>Places to light that have no part of their own: the plug of a lead, the middle of a screw group.</summary>
    public IReadOnlyList<Point2> Places { get; init; } = [];
    public string? Driver { get; init; }

    /// <summary>How many to count; null when there is nothing to count.</summary>
    public int? Count { get; init; }
    public CountOf? Counted { get; init; }

    /// <summary>Whether any number from one on will do, and <see cref="Count"/> is what it usually takes.</summary>
    public bool CountsOpen => Counted is CountOf.Strokes or CountOf.Rounds;

    /// <summary>Seconds to wait once started; null without a wait.</summary>
    public int? TimerS { get; init; }
    public IReadOnlyList<Fact> Facts { get; init; } = [];

    /// <summary>The screws of a pass in the order in which they are turned; empty for anything else.</summary>
    public IReadOnlyList<ScrewTurn> Turns { get; init; } = [];

    /// <summary>Which pass over the ring this is, of how many.</summary>
    public int? Pass { get; init; }
    public int? Passes { get; init; }

    /// <summary>Steps of earlier plans that together were this one: where all of them are signed, it is.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IReadOnlyList<StepId> Once { get; init; } = [];

    /// <summary>
    /// What it belongs to inside its station: steps of one thread keep their order, those of several may be done in any
    /// that their acts allow. Null where block and board say it.
    /// </summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string? Thread { get; init; }

    /// <summary>How paste is put on; null where none is.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public PasteWay? Paste { get; init; }

    /// <summary>Number of the cutting sheet, from 1.</summary>
    public int? Sheet { get; init; }

    /// <summary>Pieces of pad that are cut or laid, by letter.</summary>
    public IReadOnlyList<string> Pieces { get; init; } = [];

    /// <summary>What its picture shows; null where the mat does.</summary>
    public StepPicture? Picture { get; init; }

    /// <summary>What is done to which thing, in order; empty for a step of reading or deciding.</summary>
    public IReadOnlyList<Act> Acts { get; init; } = [];

    /// <summary>
    /// Which face of each board is up after the turn with which the step begins; null where no board is laid down.
    /// </summary>
    public IReadOnlyDictionary<string, Face>? Up { get; init; }

    /// <summary>Steps that must be signed before this one.</summary>
    public IReadOnlyList<StepId> Locks { get; init; } = [];
}

/// <summary>A station of one job: its steps and what it stands at.</summary>
/// <param name="Summary">What it waits for or how it ended, in three or four words.</param>
/// <param name="Trouble">Whether the summary names something wrong.</param>
public sealed record StationPlan(Station Station, Message Summary, bool Trouble, IReadOnlyList<WorkStep> Steps);
