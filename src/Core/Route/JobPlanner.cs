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
        T? Try<T>(Func<T> compute, string what)
            where T : class
        {
            try
            {
                return compute();
            }
            catch (InputException e)
            {
                troubles.Add($"{what}: {string.Join(" ", e.Faults.Select(f => f.Message))}");
                return null;
            }
        }
        var (board, evidence) = Pads.Stock.StockEvidence.Apply(context.Board, context.AsFound);
        var (block, drawer) = (context.Block, context.Drawer);
        var plan = new JobPlan
        {
            Evidence = evidence,
            Schools = Schools.For(board),
            Teardown = board.Assembly is null
                ? null
                : Try(() => TeardownPlanner.Plan(board, context.TeardownOrder, cancel), "Teardown"),
            BestTeardown =
                board.Assembly is null || context.TeardownOrder is null
                    ? null
                    : Try(() => TeardownPlanner.Plan(board, null, cancel), "Teardown"),
        };
        if (block is not null)
        {
            var stock = drawer.Pads.Select(p => new StockedPad(p.ThicknessMm, p.Material)).Distinct().ToList();
            var gaps = Try(() => Gaps.Of(board, block, context.Materials, stock), "Pads");
            var pads = gaps is null ? [] : PadLayout.Of(board, block, gaps, context.PadChoices, context.Materials);
            var all = pads.Select(p => new LaidPad(p.Part, p.ThicknessMm, p.Material)).ToList();
            var laid = pads.Where(p => p.Face == Boards.Face.Front)
                .Select(p => new LaidPad(p.Part, p.ThicknessMm, p.Material))
                .ToList();
            // pads behind the board count once a back plate with standoffs carries them
            var seatedPads = block.BackPlate?.StandoffMm is not null ? all : laid;
            var pieces = PadPieces.Of(board, pads, context.Way("cut") == "strips");
            var paste = context.Paste;
            var seating = paste is null
                ? null
                : Try(
                    () => SeatingSolver.Solve(board, block, seatedPads, context.Materials, paste.Material),
                    "Seating"
                );
            var faces = seating is null || paste is null ? [] : Faces(context, seating, paste, shop);
            plan = plan with
            {
                Fit = Fit.Judge(board, block, new(MinClearanceMm: shop.MinClearanceMm), cancel),
                Gaps = gaps,
                Pads = pads,
                Pieces = pieces,
                Cutting =
                    pads.Count == 0 ? null
                    : context.Begun is { } begun ? begun.Continue(Pieces(pieces), Stock(block, drawer), cancel)
                    : CutPlanner.Plan(Pieces(pieces), Stock(block, drawer), cancel: cancel),
                Seating = seating,
                Paste = faces,
                Kit = KitCheck.Of(board, block, drawer, pads, faces.Sum(f => f.Amount.MassG)),
                Tightening =
                    paste is null || seating is null
                        ? null
                        : Try(
                            () =>
                                Tightening.Simulate(
                                    board,
                                    context.Way("back-plate-screws") == "all" ? block : WithoutBackPlateScrews(block),
                                    laid,
                                    context.Materials,
                                    paste.Material,
                                    TurnsOf(context.Way("increments")),
                                    cancel: cancel
                                ),
                            "Mount"
                        ),
                Comparison = Comparison.Of(context.Readings, block.Flow, FilmResistance(context, seating)),
            };
        }
        plan = plan with
        {
            Troubles = troubles,
            Holes = HoleLedger.Of(board, block, plan.Fit),
            DryFit = block is null || plan.Fit is null ? [] : Prep.DryFit.Of(board, block, plan.Fit),
        };
        plan = plan with { Restore = RestoreSteps.Of(context, plan) };
        return plan with { Stations = [.. Stations(context, plan, shop)] };
    }

    /// <summary>The block as it is screwed down first: screws that also hold the back plate stay out.</summary>
    private static Block WithoutBackPlateScrews(Block block) =>
        block.BackPlate is not { UsesHoles.Count: > 0 } back
            ? block
            : block with
            {
                Plates =
                [
                    .. block.Plates.Select(p =>
                        p with
                        {
                            Holes = [.. p.Holes.Where(h => !back.UsesHoles.Contains(h.Id))],
                        }
                    ),
                ],
            };

    /// <summary>Turns at a time by school; null for the simulated step.</summary>
    private static double? TurnsOf(string way) =>
        way switch
        {
            "quarter" => 0.25,
            "two" => 2,
            "home" => 100,
            _ => null,
        };

    private static List<PasteFace> Faces(JobContext context, SeatingResult seating, PasteStock paste, ShopSettings shop)
    {
        var faces = new List<PasteFace>();
        foreach (var die in seating.Dies.Where(d => d.LoadN > 0))
        {
            var part = context.Board.FindPart(die.Part)!;
            var amount = PasteAmount.For(part.Top().Area, paste.Material, die.LoadN, shop.PasteMargin, shop.BeadMm);
            var surface = PasteMethods.SurfaceOf(part);
            var school = PasteMethods.SchoolOf(part);
            var liquid = paste.Material.LiquidMetal;
            if (liquid)
                amount = amount with
                {
                    BondLineUm = PasteMethods.LiquidFilmUm,
                    VolumeMl = 2 * PasteMethods.LiquidPerFaceUl(amount.AreaMm2) / 1000,
                    MassG = 2 * PasteMethods.LiquidPerFaceUl(amount.AreaMm2) / 1000 * paste.Material.DensityGPerMl,
                };
            var (refusals, cautions) = liquid
                ? PasteMethods.LiquidMetal(context.Board, context.Block!, part)
                : ([], []);
            var method = liquid ? "film" : context.Way(school);
            faces.Add(
                new(
                    die.Part,
                    paste.Id,
                    die.LoadN,
                    amount,
                    method,
                    liquid
                        ? "Liquid metal: a thin film on the die and on the contact patch."
                        : PasteMethods.Why(surface, method, part),
                    paste.GramsLeft,
                    amount.MassG > 0 ? (int)Math.Floor(paste.GramsLeft / amount.MassG) : 0
                )
                {
                    Surface = surface,
                    School = school,
                    LiquidPerFaceUl = liquid ? PasteMethods.LiquidPerFaceUl(amount.AreaMm2) : null,
                    Refusals = refusals,
                    Cautions = cautions,
                }
            );
        }
        return faces;
    }

    /// <summary>Film thickness over conductivity and area of the hottest die, K/W.</summary>
    private static double? FilmResistance(JobContext context, SeatingResult? seating)
    {
        if (seating is not { Dies.Count: > 0 } || context.Paste is not { } paste)
            return null;
        var die = seating.Dies.MaxBy(d => context.Board.FindPart(d.Part)!.DissipationW)!;
        var area = context.Board.FindPart(die.Part)!.Top().Area;
        return die.BondLinesUm.Average() / 1000 / (paste.Material.ConductivityWPerMK / 1000 * area);
    }

    private static List<CutPiece> Pieces(IReadOnlyList<PadPiece> pieces) =>
        [.. pieces.Select(p => new CutPiece(p.Id, p.WidthMm, p.DepthMm, p.ThicknessMm, p.Material, 1))];

    /// <summary>Offcuts first, then what came with the block, then the drawer's sheets.</summary>
    private static List<CutStock> Stock(Block block, Drawer drawer) =>
        [
            .. drawer.Pads.Select(p => new CutStock(
                p.Id,
                p.WidthMm,
                p.DepthMm,
                p.ThicknessMm,
                p.Material,
                p.Count,
                p.Offcut
            )),
            .. (block.Kit?.Pads ?? []).Select(
                (p, i) => new CutStock($"kit-{i + 1}", p.WidthMm, p.DepthMm, p.ThicknessMm, p.Material, p.Count, false)
            ),
        ];

    private static IEnumerable<StationPlan> Stations(JobContext c, JobPlan plan, ShopSettings shop)
    {
        yield return MatchSteps.Of(c, plan);
        yield return KitSteps.Of(plan);
        yield return TeardownSteps.Of(plan);
        yield return Prep.PrepSteps.Of(c, plan, shop);
        yield return PadSteps.Of(c, plan);
        yield return PasteSteps.Of(c, plan, shop);
        yield return MountSteps.Of(c, plan);
        yield return ProveSteps.Of(c, plan);
        yield return Care.CareSteps.Of(c, plan, shop);
    }
}
