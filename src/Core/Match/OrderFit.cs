using System.Text.Json.Serialization;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match;

/// <summary>One plate of a pair on its board. The placement is told in that board's own frame.</summary>
/// <param name="Board">Key of the board.</param>
/// <param name="PlaneMm">Height of its reference plane above the board, mm; null when nothing fixes it.</param>
public sealed record PlateFit(
    string Plate,
    string Board,
    double? PlaneMm,
    Placement Placement,
    IReadOnlyList<ScrewFit> Screws,
    IReadOnlyList<PartMargin> Clashes,
    IReadOnlyList<PartMargin> Tight
);

/// <summary>A pair on one of its boards.</summary>
/// <param name="Board">Key of the board.</param>
public sealed record BoardFit(string Board, FitResult Fit)
{
    /// <summary>What later stations calculate from.</summary>
    [JsonIgnore]
    public LaidBlock Laid { get; init; } = null!;
}

/// <summary>How one pair seats: the worst of its boards.</summary>
/// <param name="Summary">The verdict in a few words.</param>
public sealed record PairFit(
    string Key,
    string Block,
    Verdict Verdict,
    Message Summary,
    IReadOnlyList<PlateFit> Plates,
    IReadOnlyList<BoardFit> On
);

/// <summary>A hot part that no pair of the order covers.</summary>
public sealed record UncoveredPart(string Board, string Part);

/// <summary>What stands between two pairs, or between a pair and what else lies in the card.</summary>
public enum BetweenCode
{
    Overlap,
    JoinMiss,
    Spacing,
    Ribbon,
    LinkMiss,
    Slot,
}

/// <param name="A">Key of a pair or board, or id of a ribbon.</param>
/// <param name="MissMm">How much too long (+) or too short the fitting or the spacing is, mm.</param>
/// <param name="AreaMm2">How much two outlines share, mm².</param>
public sealed record BetweenFault(
    BetweenCode Code,
    string A,
    string B,
    Message Text,
    double? MissMm = null,
    double? AreaMm2 = null
);

/// <summary>The answer to "do these blocks seat on these boards, together".</summary>
public sealed record OrderFit(
    Verdict Verdict,
    EvidenceGrade? Grade,
    IReadOnlyList<PairFit> Pairs,
    IReadOnlyList<UncoveredPart> Uncovered,
    IReadOnlyList<BetweenFault> Between,
    IReadOnlyList<Reason> Reasons
)
{
    /// <summary>How the cards of a machine stand to each other; null without one.</summary>
    public MachineStand? Machine { get; init; }
}
