using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Match;

/// <summary>
/// A cooled back plate is a pair of its own: where its screws go through the board, those of the front block are left
/// out.
/// </summary>
internal static class CooledBehind
{
    public static List<PairFit> Find(WorkOrder order, List<PairFit> pairs)
    {
        var behind = order.Pairs.Where(p => p.Block.Kind == BlockKind.BackPlate).ToList();
        return behind.Count == 0 ? pairs : pairs.ConvertAll(front => Held(order, front, behind, pairs));
    }

    private static PairFit Held(WorkOrder order, PairFit front, List<Pair> behind, List<PairFit> pairs)
    {
        if (behind.Exists(b => b.Key == front.Key))
            return front;
        return front with
        {
            On =
            [
                .. front.On.Select(on =>
                    behind.Aggregate(on, (left, back) => Held(order, left, back, pairs.Find(p => p.Key == back.Key)))
                ),
            ],
        };
    }

    private static BoardFit Held(WorkOrder order, BoardFit front, Pair back, PairFit? plate)
    {
        if (plate?.On.FirstOrDefault(o => o.Board == front.Board) is not { } on)
            return front;
        var taken = on.Fit.Screws.Where(s => s.Passes).Select(s => s.BoardHole).ToHashSet();
        List<string> shared =
        [
            .. front
                .Fit.Screws.Where(s => s.BoardHole is not null && taken.Contains(s.BoardHole))
                .Select(s => s.BlockHole),
        ];
        if (shared.Count == 0)
            return front;
        var block = front.Laid.Block;
        return front with
        {
            Laid = front.Laid with
            {
                Block = block with
                {
                    StockPlates =
                    [
                        .. block.StockPlates,
                        new(back.Block.Id, order.Name(back), shared, []) { Pair = back.Key },
                    ],
                },
            },
        };
    }
}
