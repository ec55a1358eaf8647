namespace FaithfulBracket.Core.Boards;

/// <summary>Several cards in one machine: which slot each stands in, and the rigid links between their blocks' ports. Lengths mm.</summary>
public sealed record Machine
{
    /// <summary>Where no pitch is stated, from slot to slot.</summary>
    public const double PlainPitchMm = 20.32;

    public required string Id { get; init; }
    public required string Name { get; init; }
    public required IReadOnlyList<MachineCard> Cards { get; init; }
    public double SlotPitchMm { get; init; } = PlainPitchMm;

    /// <summary>Slots of the case, from 1; null where nobody says.</summary>
    public int? Slots { get; init; }
    public IReadOnlyList<MachineLink> Links { get; init; } = [];
}

/// <summary>A card of a machine: a job of the shop, or a board with its block.</summary>
/// <param name="Key">Its letter; A for the first.</param>
/// <param name="Job">Number of the job it is done in; null where board and block are named.</param>
/// <param name="Card">Id of a card of several boards.</param>
/// <param name="Board">Id of its board.</param>
/// <param name="Block">Id of its block.</param>
/// <param name="Slot">The slot its board stands in, from 1.</param>
public sealed record MachineCard(string Key, int? Job, string? Card, string? Board, string? Block, int Slot);

/// <summary>A rigid link or bridge between two ports.</summary>
/// <param name="MinMm">Shortest it can be pushed to.</param>
/// <param name="MaxMm">Longest it can be drawn to and still seal.</param>
/// <param name="OffsetMm">How far the two ports may stand beside each other.</param>
public sealed record MachineLink(MachineLinkEnd From, MachineLinkEnd To, double MinMm, double MaxMm, double OffsetMm);

/// <param name="Card">Key of the card.</param>
/// <param name="Port">Port of its block.</param>
public sealed record MachineLinkEnd(string Card, string Port);
