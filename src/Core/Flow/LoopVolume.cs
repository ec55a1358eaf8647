using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Flow;

namespace FaithfulBracket.Core.Flow;

/// <summary>How much a loop holds, mL: hose by its bore and length, tank and radiator by the shop's word, blocks by their size.</summary>
/// <param name="BlocksMl">Estimated from their outlines: half as much or half again.</param>
public sealed record LoopVolume(double BlocksMl, double HoseMl, double ReservoirMl, double RadiatorMl)
{
    /// <summary>A block's channels, taken over the whole of its plates, mm.</summary>
    private const double ChannelMm = 1;

    /// <summary>How far the estimate of the blocks may be off, as a share.</summary>
    private const double BlockShare = 0.5;

    public double TotalMl => Math.Round(BlocksMl + HoseMl + ReservoirMl + RadiatorMl);

    /// <summary>What the estimate of the blocks leaves open, mL to either side.</summary>
    public double OffMl => Math.Ceiling(BlocksMl * BlockShare);

    public Message Text =>
        LoopVolumeWords.AboutHoseReservoirRadiatorInBlocks(TotalMl, OffMl, HoseMl, ReservoirMl, RadiatorMl, BlocksMl);

    /// <returns>Null while no block is chosen.</returns>
    public static LoopVolume? Compute(WorkOrder order, ShopSettings shop) =>
        order.Boxes.Count == 0
            ? null
            : new(
                order.Boxes.Sum(p => Blocks(p.Block)),
                Bore(shop.HoseInnerMm) * shop.HoseM,
                shop.ReservoirMl,
                shop.RadiatorMl
            );

    /// <summary>mm²; times a length in m it is mL.</summary>
    private static double Bore(double innerMm) => Math.PI / 4 * innerMm * innerMm;

    /// <summary>What has no port holds no coolant.</summary>
    private static double Blocks(Block block) =>
        block.Ports.Count == 0 ? 0 : block.Plates.Sum(p => p.Outline.Area) * ChannelMm / 1000;
}
