using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Sockets;

/// <summary>A block's resistance from the wet side of its base to the coolant, out of a curve measured from a die to the coolant.</summary>
public static class BehindBase
{
    /// <summary>What is left is never less than this share of the curve: a base cannot be all of it.</summary>
    private const double MinShare = 0.2;

    /// <param name="flowLPerMin">Flow at which the curve is read, L/min.</param>
    /// <param name="land">The face that was heated when the curve was taken.</param>
    /// <returns>K/W; null where the block states no curve.</returns>
    public static double? KPerW(Block block, double flowLPerMin, Polygon land)
    {
        if (block.Flow is not { } f)
            return null;
        var whole = f.AKPerW + f.BKPerW * Math.Pow(flowLPerMin, -f.N);
        var plate = block.ColdPlate;
        var fins = (plate?.FinArea ?? plate?.FlowArea)?.Area ?? land.Area;
        var behind = 1 / (whole * fins * 1e-6);
        var ownBase = Spreading.Layer(land.Area, fins, plate?.BaseMm ?? 3, plate?.KWPerMK ?? 390, behind);
        return Math.Max(MinShare * whole, whole - ownBase);
    }
}
