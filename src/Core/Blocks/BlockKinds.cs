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
