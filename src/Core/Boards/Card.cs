using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Boards;

/// <summary>Several boards in one card. The first board is the frame.</summary>
public sealed record Card
{
    public required string Id { get; init; }
    public required string Maker { get; init; }
    public required string Model { get; init; }
    public required string BoardCode { get; init; }
    public required string Revision { get; init; }
    public required BoardKind Kind { get; init; }
    public required IReadOnlyList<CardBoard> Boards { get; init; }
    public IReadOnlyList<Ribbon> Ribbons { get; init; } = [];

    /// <summary>The stock assembly; its pieces may name a board key. "board" is the first board.</summary>
    public Assembly? Assembly { get; init; }
}

/// <param name="Pose">Null for the first board.</param>
public sealed record CardBoard(string Key, Board Board, BoardPose? Pose = null);

/// <summary>How a board sits to the first of its card.</summary>
/// <param name="Flipped">Whether its front faces the first board's front; its point (x, y) then lies at (xMm − x, yMm + y).</param>
/// <param name="SpacingMm">From the first board's front surface to this board's front surface, mm.</param>
public sealed record BoardPose(bool Flipped, double XMm, double YMm, double SpacingMm, double SpacingTolMm = 0);

/// <summary>A flat lead that ties two boards. Widths and slack mm.</summary>
public sealed record Ribbon(
    string Id,
    string Name,
    RibbonEnd From,
    RibbonEnd To,
    double WidthMm,
    double? SlackMm = null
);

/// <param name="Board">Key of the board it is plugged into.</param>
public sealed record RibbonEnd(string Board, double X, double Y)
{
    [System.Text.Json.Serialization.JsonIgnore]
    public Point2 At => new(X, Y);
}
