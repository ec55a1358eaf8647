using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Kit;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Cutting;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Paste;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Teardown;

namespace FaithfulBracket.Core.Route;

/// <summary>Reckons every station of a job from its board, block, drawer and readings.</summary>
public static class JobPlanner
{
    public static JobPlan Plan(JobContext context, ShopSettings? shop = null, CancellationToken cancel = default)
    {
        shop ??= new();
        var troubles = new List<string>();
        T? Try<T>(Func<T> compute, string what) where T : class
        {
            try { return compute(); }
            catch (InputException e) { troubles.Add($"{what}: {string.Join(" ", e.Faults.Select(f => f.Message))}"); return null; }
        }
        var (board, block, drawer) = (context.Board, context.Block, context.Drawer);
        var plan = new JobPlan { Teardown = board.Assembly is null ? null : Try(() => TeardownPlanner.Plan(board, cancel), "Teardown") };
        if (block is not null)
        {
            var stock = drawer.Pads.Select(p => new StockedPad(p.ThicknessMm, p.Material)).Distinct().ToList();
            var gaps = Try(() => Gaps.Of(board, block, context.Materials, stock), "Pads");
            var pads = gaps is null ? [] : PadLayout.Of(board, block, gaps, context.PadChoices, context.Materials);
            var laid = pads.Where(p => p.Face == Boards.Face.Front).Select(p => new LaidPad(p.Part, p.ThicknessMm, p.Material)).ToList();
            var paste = context.Paste;
            var seating = paste is null ? null : Try(() => SeatingSolver.Solve(board, block, laid, context.Materials, paste.Material), "Seating");
            var faces = seating is null || paste is null ? [] : Faces(context, seating, paste, shop);
            plan = plan with
            {
                Fit = Fit.Judge(board, block, new(MinClearanceMm: shop.MinClearanceMm), cancel),
                Gaps = gaps,
                Pads = pads,
                Cutting = pads.Count == 0 ? null : CutPlanner.Plan(Pieces(pads), Stock(block, drawer), cancel: cancel),
                Seating = seating,
                Paste = faces,
                Kit = KitCheck.Of(board, block, drawer, pads, faces.Sum(f => f.Amount.MassG)),
                Tightening = paste is null || seating is null ? null : Try(() => Tightening.Simulate(board, WithoutBackPlateScrews(block), laid, context.Materials, paste.Material, cancel: cancel), "Mount"),
                Comparison = Comparison.Of(context.Readings, block.Flow, FilmResistance(context, seating)),
            };
        }
        plan = plan with { Troubles = troubles };
        return plan with { Stations = [.. Stations(context, plan, shop)] };
    }

    /// <summary>The block as it is screwed down first: screws that also hold the back plate stay out.</summary>
    private static Block WithoutBackPlateScrews(Block block) => block.BackPlate is not { UsesHoles.Count: > 0 } back ? block
        : block with { Plates = [.. block.Plates.Select(p => p with { Holes = [.. p.Holes.Where(h => !back.UsesHoles.Contains(h.Id))] })] };

    private static List<PasteFace> Faces(JobContext context, SeatingResult seating, PasteStock paste, ShopSettings shop)
    {
        var faces = new List<PasteFace>();
        foreach (var die in seating.Dies.Where(d => d.LoadN > 0))
        {
            var part = context.Board.FindPart(die.Part)!;
            var amount = PasteAmount.For(part.Top().Area, paste.Material, die.LoadN, shop.PasteMargin, shop.BeadMm);
            var bare = part.Kind == Boards.PartKind.Die;
            faces.Add(new(die.Part, paste.Id, die.LoadN, amount, bare ? "spread" : "cross",
                bare ? "Bare silicon: every square millimetre covered, thin and even; a pattern may leave a corner bare." : "A lid spreads the heat: a pattern or a spread both do.",
                paste.GramsLeft, amount.MassG > 0 ? (int)Math.Floor(paste.GramsLeft / amount.MassG) : 0));
        }
        return faces;
    }

    /// <summary>Film thickness over conductivity and area of the hottest die, K/W.</summary>
    private static double? FilmResistance(JobContext context, SeatingResult? seating)
    {
        if (seating is not { Dies.Count: > 0 } || context.Paste is not { } paste) return null;
        var die = seating.Dies.MaxBy(d => context.Board.FindPart(d.Part)!.DissipationW)!;
        var area = context.Board.FindPart(die.Part)!.Top().Area;
        return die.BondLinesUm.Average() / 1000 / (paste.Material.ConductivityWPerMK / 1000 * area);
    }

    private static List<CutPiece> Pieces(IReadOnlyList<PlacedPad> pads) =>
        [.. pads.Select(p => new CutPiece(p.Letter, p.WidthMm, p.DepthMm, p.ThicknessMm, p.Material, 1))];

    /// <summary>Offcuts first, then what came with the block, then the drawer's sheets.</summary>
    private static List<CutStock> Stock(Block block, Drawer drawer) =>
        [.. drawer.Pads.Select(p => new CutStock(p.Id, p.WidthMm, p.DepthMm, p.ThicknessMm, p.Material, p.Count, p.Offcut)),
         .. (block.Kit?.Pads ?? []).Select((p, i) => new CutStock($"kit-{i + 1}", p.WidthMm, p.DepthMm, p.ThicknessMm, p.Material, p.Count, false))];

    private static IEnumerable<StationPlan> Stations(JobContext c, JobPlan plan, ShopSettings shop)
    {
        yield return MatchSteps.Of(c, plan);
        yield return KitSteps.Of(plan);
        yield return TeardownSteps.Of(plan);
        yield return Prep.PrepSteps.Of(c, plan, shop);
        yield return PadSteps.Of(plan);
        yield return PasteSteps.Of(c, plan, shop);
        yield return MountSteps.Of(c, plan);
        yield return ProveSteps.Of(plan);
        yield return Care.CareSteps.Of(c, plan, shop);
    }
}
