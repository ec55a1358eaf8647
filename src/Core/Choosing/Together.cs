using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;

namespace FaithfulBracket.Core.Choosing;

/// <summary>A block of a combination, as often as it is taken.</summary>
public sealed record TogetherBlock(string BlockId, string Name, BlockKind Kind, int Count);

/// <summary>Blocks that together go on one board.</summary>
/// <param name="Uncovered">Hot parts that none of them covers.</param>
/// <param name="UncoveredW">Their heat, W.</param>
/// <param name="Total">Complete kits of all; null where a block's price is not known.</param>
public sealed record TogetherChoice(
    IReadOnlyList<TogetherBlock> Blocks,
    Verdict Verdict,
    Message Summary,
    IReadOnlyList<string> Uncovered,
    double UncoveredW,
    double? Total,
    string Currency
);

/// <summary>
/// The whole board: which blocks of the library cover its hot parts together. Every block is tried at each place it goes through; sets
/// are built part by part, hottest first; the best sets are judged as a job with them would be.
/// </summary>
public static class Together
{
    /// <summary>Sets judged in full and told.</summary>
    public const int Most = 6;

    private const int MaxBlocks = 6,
        MaxSteps = 4000;

    private sealed record Option(Block Block, IReadOnlySet<string> Covers);

    /// <param name="order">One board, a processor in its socket or none; its own pairs are left out.</param>
    public static IReadOnlyList<TogetherChoice> Compute(
        WorkOrder order,
        IReadOnlyList<Block> blocks,
        KitPrices prices,
        ShopSettings shop,
        CancellationToken cancel = default
    )
    {
        var settings = FitSettings.From(shop);
        var hot = Hot(order.First);
        var options = Options(order, blocks, hot.Keys.ToHashSet(), settings, cancel);
        var sets = new Sets(hot, options).Found();
        return
        [
            .. sets.Take(Most)
                .Select(set => Judge(order, set, hot, prices, shop, cancel))
                .OrderBy(c => c.Verdict == Verdict.Clashes)
                .ThenBy(c => Math.Round(c.UncoveredW, 3))
                .ThenBy(c => c.Total ?? double.MaxValue),
        ];
    }

    /// <summary>Parts of the front that want cooling, with their heat, W.</summary>
    private static Dictionary<string, double> Hot(Workpiece piece)
    {
        var board = piece.Seated is { } seated ? SeatedBoard.Create(seated, null, onlyProcessor: false) : piece.Board;
        return board
            .Parts.Where(p => p.Cool != Cooling.No && p.Face == Face.Front)
            .ToDictionary(p => p.Id, p => p.DissipationW);
    }

    private static WorkOrder With(WorkOrder order, IEnumerable<Block> blocks) =>
        SeatedOrder.Compose(
            order with
            {
                Pairs = [.. blocks.Select((b, i) => new Pair($"{(char)(Pair.FirstKey[0] + i)}", b))],
            }
        );

    private static List<Option> Options(
        WorkOrder order,
        IReadOnlyList<Block> blocks,
        HashSet<string> hot,
        FitSettings settings,
        CancellationToken cancel
    )
    {
        var options = new List<Option>();
        var bare = order.First.Seated?.Bare == true;
        foreach (var block in blocks.Where(b => b.Plates.Count > 0 && b.Plates.All(p => p.Board is null)))
        {
            cancel.ThrowIfCancellationRequested();
            var composed = With(order, [block]);
            var (board, laid) = (composed.First.Board, composed.Pairs[0].Block);
            var onSocket = SeatedOrder.GoesOnSockets(block);
            if (
                onSocket && !block.Sockets.Any(s => s.Socket == board.Socket)
                || block.Kind == BlockKind.DirectDie && !bare
                || board.PositionSigmaMm <= 0 && !new HoleDistances(board).MayLineUp(laid)
            )
                continue;
            foreach (var place in Laying.Through(board, laid, settings, everywhere: !onSocket))
            {
                var covers = place
                    .Coverage.Where(c => c.Share >= LandPairing.MinShare && hot.Contains(c.Part))
                    .Select(c => c.Part)
                    .ToHashSet();
                if (place.Clashes.Count == 0 && covers.Count > 0)
                    options.Add(new(block, covers));
            }
        }
        return options;
    }

    private static TogetherChoice Judge(
        WorkOrder order,
        IReadOnlyList<Block> set,
        Dictionary<string, double> hot,
        KitPrices prices,
        ShopSettings shop,
        CancellationToken cancel
    )
    {
        var tried = With(order, set);
        var seats = SeatPlans.Compute(tried, Materials.Drawer.Empty, shop, null, cancel);
        var match = SeatedMatch.With(tried, MatchStation.Judge(tried, shop, cancel), seats);
        var covered = match
            .Order!.Pairs.SelectMany(p => p.On)
            .SelectMany(o => o.Fit.Coverage)
            .Where(c => c.Share >= LandPairing.MinShare)
            .Select(c => c.Part)
            .ToHashSet();
        var bare = hot.Keys.Where(p => !covered.Contains(p)).Order(StringComparer.Ordinal).ToList();
        var board = tried.First.Board;
        return new(
            [
                .. set.GroupBy(b => b.Id)
                    .Select(g => new TogetherBlock(
                        g.Key,
                        $"{g.First().Maker} {g.First().Model}",
                        g.First().Kind,
                        g.Count()
                    )),
            ],
            match.Order.Verdict,
            match.Sheet.Summary,
            bare,
            bare.Sum(p => hot[p]),
            Sets.Price(set, board, prices),
            set[0].Price?.Currency ?? prices.Currency
        );
    }

    /// <summary>Sets of blocks, built part by part.</summary>
    private sealed class Sets(Dictionary<string, double> hot, List<Option> options)
    {
        private readonly List<string> _order = [.. hot.OrderByDescending(h => h.Value).Select(h => h.Key)];
        private readonly Dictionary<string, (List<Block> Blocks, double LeftW, double Price)> _found = [];
        private int _budget = MaxSteps;

        public IEnumerable<IReadOnlyList<Block>> Found()
        {
            Go(0, [], []);
            return _found
                .Values.OrderBy(f => Math.Round(f.LeftW, 3))
                .ThenBy(f => f.Blocks.Count)
                .ThenBy(f => f.Price)
                .Select(f => f.Blocks);
        }

        private void Go(int at, List<Option> chosen, HashSet<string> covered)
        {
            if (--_budget < 0)
                return;
            while (at < _order.Count && covered.Contains(_order[at]))
                at++;
            if (at == _order.Count)
            {
                Keep(chosen, covered);
                return;
            }
            var part = _order[at];
            if (chosen.Count < MaxBlocks)
                foreach (var option in options.Where(o => o.Covers.Contains(part) && !o.Covers.Overlaps(covered)))
                    Go(at + 1, [.. chosen, option], [.. covered, .. option.Covers]);
            // or it is left to what it has
            Go(at + 1, chosen, covered);
        }

        private void Keep(List<Option> chosen, HashSet<string> covered)
        {
            // a bridging fitting without its other end is an open loop
            if (
                chosen.Count == 0
                || chosen.Exists(o => o.Block.Joins.Any(j => !chosen.Exists(x => x.Block.Id == j.To.Block)))
            )
                return;
            List<Block> blocks = [.. chosen.Select(o => o.Block).OrderBy(b => b.Id, StringComparer.Ordinal)];
            var key = string.Join("|", blocks.Select(b => b.Id));
            var left = hot.Where(h => !covered.Contains(h.Key)).Sum(h => h.Value);
            if (!_found.TryGetValue(key, out var had) || left < had.LeftW)
                _found[key] = (blocks, left, blocks.Sum(b => b.Price?.Amount ?? 0));
        }

        public static double? Price(IReadOnlyList<Block> set, Board board, KitPrices prices) =>
            set.All(b => b.Price is not null)
                ? Math.Round(set.SelectMany(b => Comparing.Cost(board, b, prices)).Sum(c => c.Amount), 2)
                : null;
    }
}
