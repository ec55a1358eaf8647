namespace FaithfulBracket.Core.Blocks;

public enum BlockKind
{
    FullCover,
    CoreOnly,
    OnePiece,
    Chip,
    PowerStage,
    Processor,
    DirectDie,
    Memory,
    TwoHalf,
    BackPlate,
}

/// <summary>What fixes the plate's height: the die it rests on, or standoffs.</summary>
public enum Seat
{
    Die,
    Standoff,
}

/// <summary>What lies between a land and its part.</summary>
public enum Through
{
    Paste,
    Pad,
    LiquidMetal,
}

/// <summary>How a figure of a block came to be known, the least sure first.</summary>
public enum FigureGrade
{
    /// <summary>Taken from the board that it is for; nobody has looked.</summary>
    Assumed,

    /// <summary>From the maker's manual.</summary>
    Manual,

    /// <summary>By gauge, caliper or impression.</summary>
    Measured,

    /// <summary>Borne out by a finished job.</summary>
    Proved,
}
