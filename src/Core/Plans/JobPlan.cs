using System.Text.Json.Serialization;
using FaithfulBracket.Core.Care;
using FaithfulBracket.Core.Flow;
using FaithfulBracket.Core.Kit;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Stock;
using FaithfulBracket.Core.Paste;
using FaithfulBracket.Core.Prep;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Teardown;

namespace FaithfulBracket.Core.Plans;

/// <summary>What the stock pads say of one board's parts.</summary>
public sealed record BoardEvidence(string Board, IReadOnlyList<PartEvidence> Parts);

/// <summary>Everything calculated for one job, station by station.</summary>
public sealed record JobPlan
{
    public required MatchResult Match { get; init; }
    public required KitResult Kit { get; init; }
    public required TeardownResult Teardown { get; init; }
    public required PrepResult Prep { get; init; }
    public required PadsResult Pads { get; init; }
    public required PasteResult Paste { get; init; }
    public required MountResult Mount { get; init; }
    public required ProveResult Prove { get; init; }
    public required CareResult Care { get; init; }

    /// <summary>Blocks on processors in their sockets.</summary>
    public IReadOnlyList<SeatPlan> Seats { get; init; } = [];

    /// <summary>What each block gets of the loop's flow; null where no block states its drop.</summary>
    public LoopResult? Loop { get; init; }

    /// <summary>What the stock pads say of the parts' heights.</summary>
    public IReadOnlyList<BoardEvidence> Evidence { get; init; } = [];

    /// <summary>Questions on which installers disagree, for this order.</summary>
    public IReadOnlyList<School> Schools { get; init; } = [];

    /// <summary>What could not be calculated, and why.</summary>
    public IReadOnlyList<Diagnostic> Troubles { get; init; } = [];

    /// <summary>The nine stations in working order.</summary>
    [JsonIgnore]
    public IReadOnlyList<StationPlan> Stations =>
        [
            Match.Sheet,
            Kit.Sheet,
            Teardown.Sheet,
            Prep.Sheet,
            Pads.Sheet,
            Paste.Sheet,
            Mount.Sheet,
            Prove.Sheet,
            Care.Sheet,
        ];

    /// <summary>Every step in working order.</summary>
    [JsonIgnore]
    public IEnumerable<WorkStep> Steps => Stations.SelectMany(s => s.Steps);

    /// <summary>A step of the nine stations or of the way back to stock; null when the plan has none of that name.</summary>
    public WorkStep? Find(StepId id) => Steps.Concat(Care.Restore).FirstOrDefault(s => s.Id == id);
}
