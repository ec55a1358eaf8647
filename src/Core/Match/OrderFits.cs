using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Match;

namespace FaithfulBracket.Core.Match;

/// <summary>
/// Judges a whole order: where each block goes, each pair on each of its boards, what no pair covers, and what stands
/// between them. One board and one block comes out as <see cref="Fit"/> judges it.
/// </summary>
public static class OrderFits
{
    /// <exception cref="OperationCanceledException">The draws were stopped.</exception>
    public static OrderFit Judge(WorkOrder order, FitSettings? settings = null, CancellationToken cancel = default)
    {
        settings ??= new();
        var laid = OrderPlacement.Place(order, settings, cancel);
        var covered = Covered(laid, order.Assembly);
        var pairs = new List<PairFit>();
        foreach (var pair in order.Pairs)
        {
            cancel.ThrowIfCancellationRequested();
            pairs.Add(Judge(order, pair, [.. laid.Where(l => l.Pair.Key == pair.Key)], covered, settings, cancel));
        }
        pairs = CooledBehind.Find(order, pairs);
        var between = Between.Find(order, pairs);
        var uncovered = order
            .Pieces.SelectMany(p =>
                laid.Where(l => l.Piece.Key == p.Key)
                    .SelectMany(l => l.Laid.Coverage.Select(c => c.Part))
                    .Distinct()
                    .Where(part => !covered[p.Key].Contains(part))
                    .Select(part => new UncoveredPart(p.Key, part))
            )
            .ToList();
        var reasons = between
            .Select(b => new Reason(Name(b.Code), b.Text, [b.A, b.B]) { Weight = Weight.Clash })
            .Concat(pairs.SelectMany(p => p.On).SelectMany(o => o.Fit.Reasons))
            .ToList();
        var verdict = pairs.Select(p => p.Verdict).DefaultIfEmpty(Verdict.Unproven).Max();
        if (between.Count > 0)
            verdict = Verdict.Clashes;
        else if (uncovered.Count > 0 && verdict == Verdict.Seats)
            verdict = Verdict.SeatsWithWork;
        var grades = pairs.SelectMany(p => p.On).Select(o => o.Fit.Grade).ToList();
        return new(verdict, grades.Count > 0 ? grades.Max() : null, pairs, uncovered, between, reasons)
        {
            Machine = MachineRoom.Compute(order, pairs),
        };
    }

    private static Dictionary<string, HashSet<string>> Covered(IReadOnlyList<LaidOn> laid, Assembly? card) =>
        laid.GroupBy(l => l.Piece.Key)
            .ToDictionary(
                g => g.Key,
                g =>
                    g.SelectMany(l => l.Laid.Coverage)
                        .Where(c => c.Share >= LandPairing.MinShare)
                        .Select(c => c.Part)
                        // a card's own assembly names its boards
                        .Concat(StockCooling.Find(card, g.Key))
                        .ToHashSet()
            );

    private static PairFit Judge(
        WorkOrder order,
        Pair pair,
        List<LaidOn> on,
        Dictionary<string, HashSet<string>> covered,
        FitSettings settings,
        CancellationToken cancel
    )
    {
        var boards = new List<BoardFit>();
        var plates = new List<PlateFit>();
        foreach (var (piece, _, block, laid) in on)
        {
            laid.LeaveToOthers(covered[piece.Key]);
            var fit = Fit.Judge(piece.Board, block, laid, settings, cancel);
            var carrying = block with { StockPlates = StockPlates.Find(order, piece, block, fit) };
            boards.Add(new(piece.Key, fit) { Laid = new(piece.Board, carrying, fit.Placement) });
            foreach (var p in laid.Plates)
            {
                var own = p.Plate.Holes.Select(h => h.Id).ToHashSet();
                plates.Add(
                    new(
                        p.Plate.Id,
                        piece.Key,
                        p.PlaneMm,
                        fit.Placement,
                        [.. fit.Screws.Where(s => own.Contains(s.BlockHole))],
                        p.Clashes,
                        p.Tight
                    )
                );
            }
        }
        var worst = boards.MaxBy(b => b.Fit.Verdict);
        var sequence = pair.Block.Plates.Select(p => p.Id).ToList();
        return new(
            pair.Key,
            pair.Block.Id,
            worst?.Fit.Verdict ?? Verdict.Clashes,
            worst is null ? OrderFitsWords.BoardIsMissing
                : boards.Count > 1 ? (Message)$"{worst.Board}: {worst.Fit.Summary}"
                : worst.Fit.Summary,
            [.. plates.OrderBy(p => sequence.IndexOf(p.Plate))],
            boards
        );
    }

    /// <summary>Code of a reason for what stands between.</summary>
    public static string Name(BetweenCode code) =>
        code switch
        {
            BetweenCode.JoinMiss => "join-miss",
            BetweenCode.LinkMiss => "link-miss",
            _ => code.ToString().ToLowerInvariant(),
        };
}
