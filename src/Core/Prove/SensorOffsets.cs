using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Prove;

/// <summary>
/// What a sensor of one board reads over the truth, K: told by a card that lay cold in the room for hours, where every
/// sensor ought to say the room.
/// </summary>
/// <param name="Board">Key of the board; null for the first.</param>
/// <param name="Sensor">Die, memory or power stage.</param>
/// <param name="ReadsHighK">From −20 to 20; below 0 where it reads low.</param>
public sealed record SensorOffset(string? Board, PartKind Sensor, double ReadsHighK);

/// <summary>Readings as they are without what their sensors are known to be off by.</summary>
public static class SensorOffsets
{
    /// <summary>More than this is no offset but a broken sensor, K.</summary>
    public const double MaxK = 20;

    /// <param name="first">Key of the job's first board: what names no board is its.</param>
    public static Reading Without(Reading reading, IReadOnlyList<SensorOffset> offsets, string first)
    {
        double? Off(PartKind kind) =>
            offsets.FirstOrDefault(o => o.Sensor == kind && (o.Board ?? first) == (reading.Board ?? first))?.ReadsHighK;
        return reading with
        {
            DieC = reading.DieC - (Off(PartKind.Die) ?? 0),
            // the hotspot is read by the same chip
            HotspotC = reading.HotspotC - (Off(PartKind.Die) ?? 0),
            MemoryC = reading.MemoryC - (Off(PartKind.Memory) ?? 0),
            PowerStageC = reading.PowerStageC - (Off(PartKind.PowerStage) ?? 0),
        };
    }
}
