namespace FaithfulBracket.Core.Prove;

public enum Phase
{
    Before,
    After,
}

/// <summary>Steady temperatures under one load. Temperatures °C, power W, flow L/min.</summary>
/// <param name="CoolantC">Coolant at the block's inlet; null for an air cooler.</param>
public sealed record Reading(
    Phase Phase,
    double RoomC,
    double? CoolantC,
    double DieC,
    double? HotspotC,
    double? MemoryC,
    double PowerW,
    double? FlowLMin,
    string? Note
)
{
    /// <summary>Key of the board it was taken on; null for the first of the order.</summary>
    public string? Board { get; init; }

    /// <summary>The day it was taken; null where none is kept.</summary>
    public DateOnly? On { get; init; }

    /// <summary>Under what it was read; null where nobody said.</summary>
    public RunConditions? Conditions { get; init; }

    /// <summary>The warmest power stage; null where no sensor shows it.</summary>
    public double? PowerStageC { get; init; }
}
