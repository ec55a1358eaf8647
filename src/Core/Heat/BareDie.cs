using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Sockets;

namespace FaithfulBracket.Core.Heat;

/// <summary>
/// A bare die under a block for sockets: its land is as large as a lid, and its heat has to spread in the base from the die to there.
/// The block's curve holds for heat that comes in evenly over the land.
/// </summary>
internal static class BareDie
{
    /// <summary>The base's own part settles in a few rounds; something of the curve is always the water's.</summary>
    private const int Rounds = 4;

    private const double MinShare = 0.2;

    /// <summary>What the spreading in the base adds for one watt of the die, K/W; 0 for every other part and block.</summary>
    public static double KPerW(BlockHeat heat, HeatedPart part)
    {
        var block = heat.Laid.Block;
        if (
            block.Kind is not (BlockKind.Processor or BlockKind.DirectDie or BlockKind.OnePiece)
            || part.Part.Kind != PartKind.Die
            || part.Pairing.Land.Through == Through.Pad
            || heat.Laid.Board.Kind == BoardKind.GraphicsCard
            || heat.LandRise(part) is not { } rise
        )
            return 0;
        var land = part.Pairing.Land.Outline.Area;
        var watts = heat.Parts.Where(p => p.Pairing.Land.Id == part.Pairing.Land.Id).Sum(p => p.Watts);
        if (watts <= 0 || part.Watts <= 0)
            return 0;
        var (plate, share) = (block.ColdPlate, part.Watts / watts);
        var fins = (plate?.FinArea ?? plate?.FlowArea)?.Area ?? land;
        var (mm, k) = (plate?.BaseMm ?? BlockHeat.UnstatedBaseMm, plate?.KWPerMK ?? DirectDie.CopperWPerMK);
        // what is left of the curve behind the base, when the heat comes in over the whole land
        double whole = rise / watts,
            wet = whole;
        double Base(double from, double of) => Spreading.Layer(from, of * fins, mm, k, 1 / (wet * fins * 1e-6));
        for (var round = 0; round < Rounds; round++)
            wet = Math.Max(MinShare * whole, whole - Base(land, 1));
        return Math.Max(0, Base(part.CoveredMm2, share) - Base(share * land, share));
    }
}
