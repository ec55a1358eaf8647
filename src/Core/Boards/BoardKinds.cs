using System.Text.Json.Serialization;

namespace FaithfulBracket.Core.Boards;

public enum BoardKind
{
    GraphicsCard,
    Mainboard,
    MemoryModule,
    ConsoleBoard,
    Processor,
}

public enum Face
{
    Front,
    Back,
}

/// <summary>What a hole in the board is for.</summary>
public enum HoleRole
{
    Retention,
    Perimeter,
    Bracket,
    Standoff,
}

public enum PartKind
{
    Die,
    Lid,
    Memory,
    PowerStage,
    Inductor,
    BridgeChip,
    Controller,
    Capacitor,
    Connector,
    Cover,
    Empty,
    Other,

    /// <summary>Nobody has said yet what it is.</summary>
    Unknown,
}

/// <summary>Whether a part has to be cooled.</summary>
public enum Cooling
{
    No,
    Should,
    Must,
}

public enum BondKind
{
    Pads,
    Paste,
    Clips,
    Tape,
    Snug,
}

/// <summary>
/// How the shop knows the board: A statement, B surveyed, C traced from a photo, D twin by resemblance, E opinion on
/// pictures.
/// </summary>
public enum EvidenceGrade
{
    [JsonStringEnumMemberName("A")]
    A,

    [JsonStringEnumMemberName("B")]
    B,

    [JsonStringEnumMemberName("C")]
    C,

    [JsonStringEnumMemberName("D")]
    D,

    [JsonStringEnumMemberName("E")]
    E,
}
