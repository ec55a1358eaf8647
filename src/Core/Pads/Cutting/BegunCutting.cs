namespace FaithfulBracket.Core.Pads.Cutting;

/// <summary>A cut plan that stands because somebody has begun to cut it.</summary>
/// <param name="PutAway">Numbers of the sheets, from 1, whose leftovers lie in the drawer.</param>
public sealed record BegunCutting(CutPlan Plan, IReadOnlyList<int> PutAway)
{
    /// <summary>What stands once a cut of the plan is signed; null where it stands already.</summary>
    /// <param name="had">What stood before; null at the first cut.</param>
    public static BegunCutting? Begin(CutPlan plan, BegunCutting? had) =>
        // sheets added after the first cut join the plan once they are cut too
        had is not null
        && had.Plan.Sheets.Count == plan.Sheets.Count
            ? null
            : new(plan, had?.PutAway ?? []);

    /// <summary>
    /// The plan as begun, and sheets more for pieces it does not hold: pads changed since, so their pieces have to be cut anew.
    /// </summary>
    /// <param name="stock">As it lies in the drawer now; sheets under the knife are taken off it unless they were put away.</param>
    public CutPlan Continue(
        IReadOnlyList<CutPiece> pieces,
        IReadOnlyList<CutStock> stock,
        CancellationToken cancel = default
    )
    {
        var cut = Plan
            .Sheets.SelectMany(s =>
                s.Placements.Select(p =>
                    (
                        p.PieceId,
                        Short: Math.Min(p.WidthMm, p.DepthMm),
                        Long: Math.Max(p.WidthMm, p.DepthMm),
                        s.ThicknessMm,
                        s.Material
                    )
                )
            )
            .ToList();
        var missing = pieces
            .Where(p =>
            {
                var at = cut.FindIndex(c =>
                    c.PieceId == p.Id
                    && Math.Abs(c.Short - Math.Min(p.WidthMm, p.DepthMm)) < CutPlanner.Epsilon
                    && Math.Abs(c.Long - Math.Max(p.WidthMm, p.DepthMm)) < CutPlanner.Epsilon
                    && (c.ThicknessMm is not { } t || Math.Abs(t - p.ThicknessMm) < CutPlanner.Epsilon)
                    && (c.Material is null || p.Material is null || c.Material == p.Material)
                );
                if (at >= 0)
                    cut.RemoveAt(at);
                return at < 0;
            })
            .ToList();
        if (missing.Count == 0)
            return Plan;
        var underTheKnife = Plan
            .Sheets.Where((_, i) => !PutAway.Contains(i + 1))
            .GroupBy(s => s.StockId)
            .ToDictionary(g => g.Key, g => g.Count());
        var more = CutPlanner.Plan(
            missing,
            [
                .. stock.Select(s =>
                    underTheKnife.TryGetValue(s.Id, out var n) ? s with { Count = Math.Max(0, s.Count - n) } : s
                ),
            ],
            cancel: cancel
        );
        List<CutSheet> sheets = [.. Plan.Sheets, .. more.Sheets];
        double placed = sheets.Sum(s => s.Placements.Sum(p => p.WidthMm * p.DepthMm)),
            used = sheets.Sum(s => s.WidthMm * s.DepthMm);
        return new(sheets, more.Unplaced, sheets.Count(s => !s.Offcut), used > 0 ? Math.Max(0, 1 - placed / used) : 0);
    }
}
