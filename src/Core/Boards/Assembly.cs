using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Boards;

/// <summary>
/// What the stock cooler is made of and what holds it: pieces, fastener groups, leads and bonds. The board itself is
/// "board".
/// </summary>
public sealed record Assembly
{
    /// <summary>The id that stands for the board in <c>joins</c> and <c>between</c>.</summary>
    public const string BoardId = "board";

    public IReadOnlyList<Piece> Pieces { get; init; } = [];
    public IReadOnlyList<FastenerGroup> Fasteners { get; init; } = [];
    public IReadOnlyList<Lead> Leads { get; init; } = [];
    public IReadOnlyList<Bond> Bonds { get; init; } = [];

    /// <summary>Extra precedence: the second comes after the first.</summary>
    public IReadOnlyList<Precedence> After { get; init; } = [];
}

public sealed record Piece(string Id, string Name, Face Face)
{
    /// <summary>Fitted again after the block.</summary>
    public bool Returns { get; init; }

    /// <summary>
    /// Blocks that sit on it, by the id of their document or their key in the order: it is fitted again before them. Null where
    /// none does.
    /// </summary>
    public IReadOnlyList<string>? Carries { get; init; }

    /// <summary>Never comes off.</summary>
    public bool Stays { get; init; }

    /// <summary>Key of the board of a card it lies on; null for the first.</summary>
    public string? Board { get; init; }
}

/// <summary>Like screws that are taken out in one go.</summary>
public sealed record FastenerGroup
{
    public required string Id { get; init; }

    /// <summary>Driver tip: T6, PH1, SL2, HEX1.5, NUT4.</summary>
    public required string Driver { get; init; }
    public string? Thread { get; init; }
    public double? LengthMm { get; init; }
    public required int Count { get; init; }
    public IReadOnlyList<Point2> Places { get; init; } = [];
    public IReadOnlyList<string> Holes { get; init; } = [];
    public required Face Face { get; init; }
    public IReadOnlyList<string> Joins { get; init; } = [];

    /// <summary>The piece or group that must be gone before these can be reached.</summary>
    public string? HiddenBy { get; init; }

    /// <summary>"retention" for the ring round the die.</summary>
    public string? Ring { get; init; }
    public bool SpringLoaded { get; init; }

    /// <summary>Under a warranty seal.</summary>
    public bool Seal { get; init; }

    /// <summary>Key of the board of a card it sits in; null for the first.</summary>
    public string? Board { get; init; }
}

/// <summary>A cable or ribbon that ties two pieces together. Slack in mm.</summary>
public sealed record Lead(
    string Id,
    string Name,
    IReadOnlyList<string> Between,
    string Latch,
    double? SlackMm,
    Face Face,
    string? HiddenBy = null
)
{
    /// <summary>Its plug on the board, mm; null when nobody noted it.</summary>
    public Point2? At { get; init; }

    /// <summary>What it is fastened to afterwards; null where it stays with its piece.</summary>
    public string? MovesTo { get; init; }

    /// <summary>Key of the board of a card it is plugged into; null for the first.</summary>
    public string? Board { get; init; }
}

/// <summary>Something that sticks two pieces together.</summary>
public sealed record Bond(
    string Id,
    IReadOnlyList<string> Between,
    BondKind Kind,
    double? PadMm,
    IReadOnlyList<string> Parts,
    bool Warm
)
{
    /// <summary>Whether the paste is liquid metal.</summary>
    public bool Metal { get; init; }

    /// <summary>Key of the board of a card that its parts are on; null for the board of the piece.</summary>
    public string? Board { get; init; }
}

/// <summary><paramref name="Second"/> may only be done after <paramref name="First"/>.</summary>
public sealed record Precedence(string First, string Second);
