using System.Text.Json.Serialization;

namespace FaithfulBracket.Core.Boards;

/// <summary>
/// The carrier that a die or chip is built on: soldered to the board over its whole outline, about the part's centre
/// and rotation, it stiffens the board and hands the load on over that outline.
/// </summary>
/// <param name="EMPa">Young's modulus, MPa.</param>
/// <param name="Joined">How much the solder makes it one plate with the board, 0 to 1.</param>
public sealed record Substrate(
    double WidthMm,
    double DepthMm,
    double ThicknessMm,
    [property: JsonPropertyName("eMPa")] double EMPa = Substrate.DieEMPa,
    double Joined = Substrate.UsualJoined
)
{
    public const double DieEMPa = 26_000,
        ChipEMPa = 15_000,
        SocketEMPa = 12_000,
        UsualJoined = 0.5;

    /// <summary>Thickness of a socket's frame, mm.</summary>
    public const double SocketMm = 4;

    /// <summary>How far solder joints may make less or more of it than usual.</summary>
    public const double MinJoined = 0.3,
        MaxJoined = 0.8;

    private const double DieRimMm = 10,
        LidRimMm = 2,
        DieMm = 1.2,
        ChipMm = 0.8;

    /// <summary>What a part has: as stated, or as its kind usually has; null where it has none.</summary>
    /// <param name="board">The board it is soldered to.</param>
    public static Substrate? From(Part part, Board board) =>
        part.NoSubstrate ? null
        : part.Substrate is { } stated ? stated
        : part.Kind switch
        {
            PartKind.Die when board.Kind is BoardKind.GraphicsCard or BoardKind.ConsoleBoard && part.Under is null =>
                new(part.WidthMm + 2 * DieRimMm, part.DepthMm + 2 * DieRimMm, DieMm),
            PartKind.Lid when board.Kind is BoardKind.GraphicsCard or BoardKind.ConsoleBoard => new(
                part.WidthMm + 2 * LidRimMm,
                part.DepthMm + 2 * LidRimMm,
                DieMm
            ),
            PartKind.Memory or PartKind.Controller => new(part.WidthMm, part.DepthMm, ChipMm, ChipEMPa),
            _ => null,
        };
}
