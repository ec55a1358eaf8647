using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Flow;

/// <summary>The loop of a whole order: each block with the heat of what it covers.</summary>
public static class OrderLoop
{
    /// <returns>Null while no block is chosen or none states its drop.</returns>
    public static LoopResult? Compute(WorkOrder order, MatchResult match, Ways ways, ShopSettings shop)
    {
        var blocks = new List<LoopBlock>();
        var unknown = new List<string>();
        foreach (var pair in order.Boxes)
            if (pair.Block.Flow is { } flow && DropCurve.Compute(flow.DropKPaAt) is { } drop)
                blocks.Add(new(pair.Key, drop, Watts(order, match, pair)));
            else
                unknown.Add(pair.Key);
        var pump = new Pump(shop.PumpHeadKPa, shop.PumpFreeLMin, shop.LoopRestKPa);
        return LoopFlow.Compute(blocks, ways.Loop == LoopJoin.Parallel, pump) is { } loop
            ? loop with
            {
                Unknown = unknown,
            }
            : null;
    }

    /// <summary>Heat of the parts that a block's lands cover, W; of all its modules where it bridges several.</summary>
    private static double Watts(WorkOrder order, MatchResult match, Pair box)
    {
        bool Own(string key) =>
            key == box.Key
            || box.Block.Carriers.Count > 0 && order.Pairs.Any(p => p.Key == key && p.Block.Id == box.Block.Id);
        return match
            .Laid()
            .Where(l => Own(l.Pair.Key))
            .Sum(l =>
                l.On.Fit.Coverage.Where(c => c.Share >= LandPairing.MinShare)
                    .Sum(c => l.On.Laid.Board.FindPart(c.Part)?.DissipationW ?? 0)
            );
    }
}
