using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Mount;

namespace FaithfulBracket.Core.Mount;

/// <summary>When one looks at the holes.</summary>
public enum HoleStage
{
    Stock,
    Stripped,
    Block,
    BackPlate,
}

/// <param name="What">What sits in the hole; "empty" for nothing.</param>
public sealed record HoleContent(HoleStage Stage, string What);

/// <summary>One hole of the board through the whole job.</summary>
/// <param name="BlockHole">The block's screw that uses it; null when it stays free.</param>
/// <param name="Washer">Which washer and which side lies to the board; null without one.</param>
/// <param name="ShortestMm">Least screw length with two threads of hold; null where the documents do not say.</param>
/// <param name="LongestMm">More than this runs against the bottom of the thread, mm.</param>
/// <param name="Trouble">A length that does not belong here, in a sentence.</param>
public sealed record HoleRow(
    string Hole,
    double X,
    double Y,
    string? BlockHole,
    IReadOnlyList<HoleContent> Stages,
    string? Washer,
    double? ShortestMm,
    double? LongestMm,
    string? Trouble
);

/// <summary>What sits in every hole at each stage, and which screw lengths belong there.</summary>
public static class HoleLedger
{
    private const double InHoleMm = 1.2;

    /// <summary>The stage that the holes of one board are at.</summary>
    public static HoleStage StageOf(string board, IEnumerable<WorkStep> steps, IReadOnlySet<StepId> signed)
    {
        var own = steps.Where(s => s.Board == board || s.Station == Station.Teardown).ToList();
        bool Done(StepKind kind) => own.Exists(s => s.Kind == kind && signed.Contains(s.Id));
        var stripped = own.Where(s => s.Station == Station.Teardown).ToList();
        return Done(StepKind.BackPlate) ? HoleStage.BackPlate
            : Done(StepKind.Start) ? HoleStage.Block
            : stripped.Count > 0 && stripped.TrueForAll(s => signed.Contains(s.Id)) ? HoleStage.Stripped
            : HoleStage.Stock;
    }

    /// <param name="stockScrews">Stock screws that sit in this board.</param>
    /// <param name="pairs">Every block laid on this board, with how it fits.</param>
    public static IReadOnlyList<HoleRow> Create(
        Board board,
        IReadOnlyList<FastenerGroup> stockScrews,
        IReadOnlyList<(Block Block, FitResult Fit)> pairs
    )
    {
        var screws = (
            from pair in pairs
            from plate in pair.Block.Plates
            from hole in plate.Holes
            select (Plate: plate, Hole: hole, pair.Block, pair.Fit)
        ).ToList();
        return
        [
            .. board.Holes.Select(hole =>
            {
                var stock = stockScrews.FirstOrDefault(f =>
                    f.Holes.Contains(hole.Id) || f.Places.Any(p => (p - hole.At).Length <= InHoleMm)
                );
                var own = screws.FirstOrDefault(s =>
                    s.Fit.Screws.Any(f => f.BoardHole == hole.Id && f.BlockHole == s.Hole.Id)
                );
                var back = own.Hole is not null && BehindScrews.Held(own.Block).Contains(own.Hole.Id);
                var kit = own.Hole is null
                    ? null
                    : own.Block.Kit?.Screws.FirstOrDefault(s => s.Thread == own.Hole.Thread);
                var (least, most) = own.Hole is null
                    ? (null, null)
                    : Lengths(board, own.Plate, own.Hole, own.Fit.PlaneMm);
                return new HoleRow(
                    hole.Id,
                    hole.X,
                    hole.Y,
                    own.Hole?.Id,
                    [
                        new(HoleStage.Stock, stock is null ? "empty" : Stock(stock)),
                        new(HoleStage.Stripped, "empty"),
                        new(
                            HoleStage.Block,
                            own.Hole is null ? "empty"
                                : back ? HoleLedgerWords.EmptyUntilBackPlate
                                : Screw(own.Hole, kit)
                        ),
                        new(
                            HoleStage.BackPlate,
                            own.Hole is null ? "empty"
                                : back ? HoleLedgerWords.ThroughBackPlate(Screw(own.Hole, kit))
                                : Screw(own.Hole, kit)
                        ),
                    ],
                    own.Hole?.Washer is { } w ? HoleLedgerWords.WasherSideToBoard(w) : null,
                    least,
                    most,
                    own.Hole is null ? null : Fault(own.Hole, kit, stock, least, most)
                );
            }),
        ];
    }

    private static string Stock(FastenerGroup f) =>
        FormattableString.Invariant(
            $"stock {f.Thread ?? f.Driver}{(f.LengthMm is { } l ? $" × {l:0.#}" : "")}, group {f.Id}"
        );

    private static string Screw(BlockHole h, KitScrew? kit)
    {
        if (h.Role == HoleRole.Standoff)
            return $"standoff {h.Thread}";
        var nut = h.Finish == "nut" ? ", with a nut" : "";
        return FormattableString.Invariant(
            $"{h.Thread ?? $"{h.ScrewMm:0.#} mm"}{(kit?.LengthMm is { } l ? $" × {l:0.#}" : "")}{(h.Spring is not null ? ", sprung" : "")}{nut}"
        );
    }

    /// <summary>Board and the height at which the plate holds, then the thread's depth.</summary>
    private static (double? Least, double? Most) Lengths(Board board, Plate plate, BlockHole hole, double? planeMm)
    {
        if (
            hole.Spring is not null
            || hole.EngageMm is not { } depth
            || (hole.StopMm ?? plate.StandoffMm ?? planeMm) is not { } height
        )
            return (null, null);
        var through = board.ThicknessMm + height;
        return (
            Math.Round(through + Math.Min(depth, 2 * ScrewThread.Parse(hole.Thread, hole.ScrewMm).PitchMm), 2),
            Math.Round(through + depth, 2)
        );
    }

    private static string? Fault(BlockHole hole, KitScrew? kit, FastenerGroup? stock, double? least, double? most)
    {
        if (kit?.LengthMm is { } l && most is { } longest && l > longest)
            return HoleLedgerWords.KitsScrewIsTooLong(l, l - longest, hole.Id);
        if (kit?.LengthMm is { } s && least is { } shortest && s < shortest)
            return HoleLedgerWords.KitsScrewReaches(
                s,
                Math.Max(0, s - shortest + 2 * ScrewThread.Parse(hole.Thread, hole.ScrewMm).PitchMm),
                hole.Id
            );
        if (stock is { LengthMm: { } old } && stock.Thread == hole.Thread && most is { } m && old > m)
            return HoleLedgerWords.StockScrewOfGroupIsToo(stock.Id, old - m);
        return null;
    }
}
