using FaithfulBracket.Core.Words.Pads.Cutting;

namespace FaithfulBracket.Core.Pads.Cutting;

/// <summary>
/// Plans edge-to-edge cuts. Objective in order: everything placed, fewest new sheets, largest single leftover, fewest cuts.
/// A rectangle that the pieces fill exactly is sought first; else the best of many seeded greedy passes is taken.
/// </summary>
public static class CutPlanner
{
    /// <summary>Lengths closer than this are equal, mm.</summary>
    public const double Epsilon = 1e-6;

    public const int MaxLines = 500,
        MaxPieces = 1000;

    public static string InWords => CutPlannerWords.LimitsKindsOfPiecePiecesTogether;

    private const int DefaultPasses = 600,
        MinPasses = 24;

    /// <summary>Passes times pieces squared: what a group may cost.</summary>
    private const long MaxGreedyWork = 100_000_000;
    private const int PerfectBudget = 300_000;

    public static CutPlan Plan(
        IReadOnlyList<CutPiece> pieces,
        IReadOnlyList<CutStock> stock,
        ulong seed = 1,
        int passes = DefaultPasses,
        CancellationToken cancel = default
    )
    {
        Check(pieces, stock);
        var sheets = new List<CutSheet>();
        var unplaced = new List<UnplacedPiece>();
        var left = stock.Select(s => s.Count).ToArray();
        foreach (
            var group in pieces
                .Where(p => p.Count > 0)
                .GroupBy(p => (p.ThicknessMm, p.Material))
                .OrderBy(g => g.Key.Material is null)
        )
        {
            var (thickness, material) = group.Key;
            var usable = Enumerable
                .Range(0, stock.Count)
                .Where(i =>
                    Math.Abs(stock[i].ThicknessMm - thickness) < Epsilon
                    && (material is null || stock[i].Material is null || stock[i].Material == material)
                )
                .OrderByDescending(i => stock[i].Offcut)
                .ThenBy(i => stock[i].WidthMm * stock[i].DepthMm)
                .ToList();
            var items = group.SelectMany(p => Enumerable.Repeat(p, p.Count)).ToList();
            var result = new Group(
                items,
                [.. usable.Where(i => left[i] > 0 && items.Exists(p => Holds(stock[i], p)))],
                left,
                stock,
                seed,
                Math.Clamp((int)(MaxGreedyWork / ((long)items.Count * items.Count)), MinPasses, passes),
                cancel
            ).Solve();
            foreach (var s in result.Opened)
                left[s.Stock]--;
            sheets.AddRange(result.Opened.Select(s => Describe(s.Root, stock[s.Stock], items)));
            unplaced.AddRange(
                result
                    .Unplaced.GroupBy(i => items[i].Id)
                    .Select(g => new UnplacedPiece(g.Key, WhyNot(items[g.First()], usable, stock, g.Count())))
            );
        }
        var placed = sheets.Sum(s => s.Placements.Sum(p => p.WidthMm * p.DepthMm));
        var used = sheets.Sum(s => s.WidthMm * s.DepthMm);
        return new(sheets, unplaced, sheets.Count(s => !s.Offcut), used > 0 ? Math.Max(0, 1 - placed / used) : 0);
    }

    /// <exception cref="InputException">More is asked than can be planned in a moment.</exception>
    private static void Check(IReadOnlyList<CutPiece> pieces, IReadOnlyList<CutStock> stock)
    {
        List<InputFault> faults = [];
        if (pieces.Count > MaxLines)
            faults.Add(new("pieces", CutPlannerWords.ExpectedAtMostKindsOfPiece(MaxLines, pieces.Count)));
        if (stock.Count > MaxLines)
            faults.Add(new("stock", CutPlannerWords.ExpectedAtMostKindsOfSheet(MaxLines, stock.Count)));
        if (pieces.Sum(p => (long)p.Count) > MaxPieces)
            faults.Add(
                new(
                    "pieces",
                    CutPlannerWords.ExpectedAtMostPiecesTogetherFound(MaxPieces, pieces.Sum(p => (long)p.Count))
                )
            );
        if (faults.Count > 0)
            throw new InputException(faults);
    }

    private static bool Holds(CutStock s, CutPiece p) =>
        GreedyFill.Holds(s.WidthMm, s.DepthMm, p.WidthMm, p.DepthMm)
        || GreedyFill.Holds(s.WidthMm, s.DepthMm, p.DepthMm, p.WidthMm);

    private static Message WhyNot(CutPiece piece, List<int> usable, IReadOnlyList<CutStock> stock, int count)
    {
        var what = FormattableString.Invariant(
            $"{piece.ThicknessMm:0.0#} mm{(piece.Material is null ? "" : " " + piece.Material)}"
        );
        if (usable.Count == 0)
            return $"No {what} is in stock.";
        var largest = usable.Any(i => Holds(stock[i], piece));
        return largest
            ? CutPlannerWords.InStockIsUsedUp(what, count)
            : CutPlannerWords.NoSheetIsLargeEnough(what, piece.WidthMm, piece.DepthMm);
    }

    private static CutSheet Describe(CutNode root, CutStock stock, List<CutPiece> items)
    {
        var placements = new List<CutPlacement>();
        var cuts = new List<Cut>();
        var leftovers = new List<Leftover>();
        void Walk(CutNode n)
        {
            var r = n.Rect;
            if (n.First is not null)
            {
                cuts.Add(
                    n.Axis == 'x'
                        ? new(cuts.Count + 1, 'x', n.At, r.Y, r.Y + r.H)
                        : new(cuts.Count + 1, 'y', n.At, r.X, r.X + r.W)
                );
                Walk(n.First);
                Walk(n.Second!);
            }
            else if (n.Piece >= 0)
            {
                // the sheet may be wider than the piece by less than can be cut
                var p = items[n.Piece];
                var (w, d) = n.Rotated ? (p.DepthMm, p.WidthMm) : (p.WidthMm, p.DepthMm);
                placements.Add(new(p.Id, r.X, r.Y, w, d, n.Rotated));
            }
            else
                leftovers.Add(new(r.X, r.Y, r.W, r.H));
        }
        Walk(root);
        return new(stock.Id, stock.Offcut, stock.WidthMm, stock.DepthMm, placements, cuts, leftovers)
        {
            ThicknessMm = stock.ThicknessMm,
            Material = stock.Material,
        };
    }

    /// <summary>Pieces of one thickness and material against the sheets that serve them.</summary>
    private sealed class Group(
        List<CutPiece> items,
        List<int> bins,
        int[] left,
        IReadOnlyList<CutStock> stock,
        ulong seed,
        int passes,
        CancellationToken cancel
    )
    {
        private readonly (double W, double H)[] _pieces = [.. items.Select(p => (p.WidthMm, p.DepthMm))];
        private readonly (double W, double H, int Count)[] _bins =
        [
            .. bins.Select(b => (stock[b].WidthMm, stock[b].DepthMm, left[b])),
        ];

        public sealed record Result(List<(int Stock, CutNode Root)> Opened, List<int> Unplaced);

        public Result Solve()
        {
            // nothing is better than a sheet filled without waste, but offcuts that hold all without a new sheet
            var best = Perfect();
            if (best is { Opened: [var (filled, _)] } && (stock[filled].Offcut || !bins.Exists(b => stock[b].Offcut)))
                return best;
            var bestScore = best is null
                ? default
                : Score([.. best.Opened.Select(o => (bins.IndexOf(o.Stock), o.Root))], []);
            var draws = new Match.NormalDraws(seed);
            List<bool> offcut = [.. bins.Select(b => stock[b].Offcut)];
            for (var pass = 0; pass < passes; pass++)
            {
                if ((pass & 15) == 0)
                    cancel.ThrowIfCancellationRequested();
                var run = GreedyFill.Run(
                    _pieces,
                    Order(pass, draws),
                    _bins,
                    (FreeChoice)(pass % 3),
                    (SplitRule)(pass / 3 % 3),
                    best is null ? null : new(offcut, bestScore.Item1, bestScore.Item2, -bestScore.Item3)
                );
                if (run is not var (opened, unplaced))
                    continue;
                var score = Score(opened, unplaced);
                if (best is not null && score.CompareTo(bestScore) >= 0)
                    continue;
                best = new([.. opened.Select(o => (bins[o.Sheet], o.Root))], unplaced);
                bestScore = score;
            }
            return best ?? new([], [.. Enumerable.Range(0, items.Count)]);
        }

        private Result? Perfect()
        {
            if (_pieces.Length > PerfectSets.MaxPieces)
                return null;
            var area = _pieces.Sum(p => p.W * p.H);
            for (var b = 0; b < _bins.Length; b++)
            {
                if (Math.Abs(_bins[b].W * _bins[b].H - area) > 1e-6 * area)
                    continue;
                if (new PerfectSets(_bins[b].W, _bins[b].H, PerfectBudget).Solve(_pieces, cancel) is { } root)
                    return new([(bins[b], root)], []);
            }
            return null;
        }

        private List<int> Order(int pass, Match.NormalDraws draws)
        {
            var key = pass / 9 % 4;
            var noise = pass < 36 ? 0 : 0.05 + 0.35 * draws.Uniform();
            var ranks = new double[_pieces.Length];
            for (var i = 0; i < ranks.Length; i++)
            {
                var (w, h) = _pieces[i];
                var side = key switch
                {
                    1 => Math.Max(w, h),
                    2 => Math.Min(w, h),
                    _ => (w + h) / 2,
                };
                ranks[i] = -(key == 0 ? w * h : side * side) * (noise == 0 ? 1 : 1 + noise * draws.Next());
            }
            // of equals the first comes first
            return [.. Enumerable.Range(0, ranks.Length).OrderBy(i => ranks[i])];
        }

        private (int, int, double, int) Score(List<(int Sheet, CutNode Root)> opened, List<int> unplaced)
        {
            double largest = 0;
            int cuts = 0;
            void Walk(CutNode n)
            {
                if (n.First is null)
                {
                    if (n.Piece < 0)
                        largest = Math.Max(largest, n.Rect.Area);
                    return;
                }
                cuts++;
                Walk(n.First);
                Walk(n.Second!);
            }
            foreach (var (_, root) in opened)
                Walk(root);
            return (unplaced.Count, opened.Count(o => !stock[bins[o.Sheet]].Offcut), -largest, cuts);
        }
    }
}
