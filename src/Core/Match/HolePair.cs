using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match;

/// <summary>One screw hole of the block and the board hole it has to meet.</summary>
/// <param name="Block">Hole centre in the block frame, mm.</param>
/// <param name="Board">Hole centre in the board frame, mm.</param>
/// <param name="SlackMm">(hole Ø − screw Ø)/2, mm.</param>
/// <param name="SlotHalfMm">Half the slot's reach, mm; 0 for a round hole.</param>
/// <param name="SlotRadians">Direction of the slot.</param>
public readonly record struct HolePair(
    Point2 Block,
    Point2 Board,
    double SlackMm,
    double SlotHalfMm = 0,
    double SlotRadians = 0
)
{
    /// <summary>No slack is less than this, so that a ratio is never over nothing, mm.</summary>
    public const double MinSlackMm = 1e-6;

    /// <summary>From the nearest point of the hole's centre line to the screw, mm.</summary>
    public Point2 Miss(in Placement placement)
    {
        var d = placement.Apply(Block) - Board;
        if (SlotHalfMm <= 0)
            return d;
        var along = new Point2(Math.Cos(SlotRadians), Math.Sin(SlotRadians));
        return d - along * Math.Clamp(d.Dot(along), -SlotHalfMm, SlotHalfMm);
    }
}
