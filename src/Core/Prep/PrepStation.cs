using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Words.Prep;

namespace FaithfulBracket.Core.Prep;

/// <summary>What to check with one pair laid on dry.</summary>
public sealed record PairPrep(string Pair, string Board, IReadOnlyList<DryFitCheck> DryFit);

public sealed record PrepResult(IReadOnlyList<PairPrep> Pairs, StationPlan Sheet);

/// <summary>
/// Prep: every contact face cleaned, with the remover's stated wait; the block made ready; the dry fit.
/// </summary>
public sealed class PrepStation : IStation<PrepResult>
{
    private static readonly (PartKind Kind, string Name, string Words, string Detail)[] Faces =
    [
        (PartKind.Die, "die", "the die", PrepStationWords.WipeFromEdgeInwardWithFresh),
        (PartKind.Lid, "lid", "the lid", PrepStationWords.WipeUntilClothStaysClean),
        (PartKind.Memory, "memory", "the memory", PrepStationWords.ResidueLiftsPadsAndTiltsBlock),
        (PartKind.PowerStage, "power-stage", "the power stages", PrepStationWords.OldPadCrumbsOutOfCorners),
        (PartKind.Inductor, "inductor", "the inductors", PrepStationWords.OnlyTopFacesTouchPads),
        (PartKind.BridgeChip, "bridge-chip", "the bridge chip", PrepStationWords.WipeUntilClothStaysClean),
        (PartKind.Controller, "controller", "the controllers", PrepStationWords.OnlyTopFacesTouchPads),
    ];

    public PrepResult Plan(PlanContext context, EarlierResults earlier)
    {
        var (order, drawer, ways, shop) = (context.Order, context.Drawer, context.Ways, context.Shop);
        var match = earlier.Get<MatchResult>();
        var steps = new List<WorkStep>();
        var pairs = new List<PairPrep>();
        var faces = 0;
        var sinks = StuckSinks.Find(match);
        foreach (var (fit, on) in match.Laid())
        {
            var pair = order.Pairs.First(p => p.Key == fit.Key);
            var scope = order.ScopeOf(pair, on.Board);
            var checks = DryFit.Create(on.Laid, on.Fit);
            pairs.Add(new(fit.Key, on.Board, checks));
            var stuck = sinks.Where(s => s.Pair == fit.Key && s.Board == on.Board).Select(s => s.Part.Id).ToHashSet();
            var cleaned = Clean(on, stuck, scope, drawer, ways, shop, MetalOn(order, on)).ToList();
            faces += cleaned.Count;
            var seat = earlier.SeatOf(fit.Key, on.Board);
            var socket = seat is null ? null : new SocketPrep(order, seat, ways);
            if (seat is not null)
                steps.AddRange(DelidPrep.Opening(order, seat, ways, shop));
            // a processor that is in its socket stays there
            if (seat is { Bare: false } && !SeatedBoard.IsIn(order.Find(on.Board)!))
                steps.AddRange(socket!.Processor());
            steps.AddRange(cleaned.Select(s => s with { Board = on.Board, Pair = fit.Key }));
            if (seat is { Bare: true })
                steps.AddRange([
                    .. DelidPrep.Coating(order, seat, shop),
                    // one that had no lid to lose never left its socket
                    .. Stays(order, seat) ? [] : socket!.Processor(),
                    socket!.Frame(),
                ]);
            steps.AddRange(socket?.Rebuild() ?? []);
            // the block itself is made ready once, however many boards it lies on
            if (fit.On[0].Board == on.Board && order.Boxes.Contains(pair))
                steps.AddRange([.. OpenedBlock.Steps(order, pair), Block(order, pair)]);
            steps.AddRange(socket?.Behind() ?? []);
            steps.Add(Dry(order, pair, on, scope, checks));
        }
        if (steps.Count == 0)
            return new([], new(Station.Prep, $"waits for a block", true, []));
        return new(
            pairs,
            new(Station.Prep, PrepStationWords.ToCleanDryFit(HowMany.Count(faces, "face")), false, steps)
        );
    }

    private static bool Stays(WorkOrder order, SeatPlan seat) =>
        order.Find(seat.Board) is { Seated: { } seated } piece
        && SeatedBoard.IsIn(piece)
        && HeightChain.Lid(seated.Processor) is null;

    /// <summary>Parts that the stock cooler was set on with liquid metal.</summary>
    private static HashSet<string> MetalOn(WorkOrder order, BoardFit on) =>
        (order.Assembly ?? on.Laid.Board.Assembly)?.Bonds.Where(b => b.Metal).SelectMany(b => b.Parts).ToHashSet()
        ?? [];

    private static IEnumerable<WorkStep> Clean(
        BoardFit on,
        HashSet<string> sinks,
        string? scope,
        Drawer drawer,
        Ways ways,
        ShopSettings shop,
        HashSet<string> metal
    )
    {
        var remover = drawer.Consumables.FirstOrDefault(x => x.WaitS is not null);
        var wait = remover?.WaitS ?? shop.RemoverWaitS;
        HashSet<string> contacts = [.. on.Laid.Contacts(), .. sinks];
        var metalOff = 0;
        // a module stands on its edge: both of its faces are reached; of any other board the front is done first
        var atOnce = on.Laid.Board.Kind == BoardKind.MemoryModule;
        var groups = Faces
            .SelectMany(f =>
                on.Laid.Board.Parts.Where(p => p.Kind == f.Kind && contacts.Contains(p.Id))
                    .GroupBy(p => atOnce ? Face.Front : p.Face)
                    .Select(g => (Of: f, Parts: g.ToList(), Face: g.Key))
            )
            .OrderBy(g => g.Face)
            .ToList();
        foreach (var ((kind, name, words, detail), parts, face) in groups)
        {
            var behind = face == Face.Back && groups.Exists(g => g.Of.Kind == kind && g.Face == Face.Front);
            if (parts.Exists(p => metal.Contains(p.Id)))
                yield return MetalOff(
                    scope,
                    metalOff++ == 0 ? "metal-off" : $"metal-off-{name}{(behind ? "-back" : "")}",
                    parts,
                    words
                );
            var soaks = ways.Cleaning switch
            {
                Cleaning.Alcohol => false,
                Cleaning.Remover => true,
                _ => kind is PartKind.Die or PartKind.Lid,
            };
            yield return new()
            {
                Id = new(Station.Prep, scope, $"clean-{name}{(behind ? "-back" : "")}"),
                Kind = StepKind.Clean,
                Title = PrepStationWords.Clean(
                    parts.Count == 1 ? $"the {PartNames.Describe(kind)}" : words,
                    behind ? PrepStationWords.BehindBoard : "",
                    parts.Count > 1 ? PrepStationWords.Faces(parts.Count) : ""
                ),
                Detail = soaks
                    ? PrepStationWords.OnWaitWipe(remover?.Name ?? "remover", wait, detail)
                    : PrepStationWords.AlcoholAndLintFreeCloth(detail),
                Caution = PrepStationWords.AlcoholIsFlammable,
                Done = "Clean",
                Face = parts[0].Face,
                Targets = [.. parts.Select(p => p.Id)],
                TimerS = soaks ? wait : null,
                Facts = soaks ? [new($"{wait} s", "wait before wiping")] : [],
            };
        }
    }

    /// <summary>Factory metal is taken up, not spread.</summary>
    private static WorkStep MetalOff(string? scope, string target, List<Part> parts, string words) =>
        new()
        {
            Id = new(Station.Prep, scope, target),
            Kind = StepKind.Clean,
            Title = PrepStationWords.TakeFactorysLiquidMetalOffThen(words),
            Detail = PrepStationWords.SwabItTogetherWithPlastic,
            Caution = PrepStationWords.GalliumGlovesAndTrayOffAluminium,
            Done = PrepStationWords.NoMetalLeft,
            Face = parts[0].Face,
            Targets = [.. parts.Select(p => p.Id)],
        };

    private static WorkStep Block(WorkOrder order, Pair pair)
    {
        var metal = pair.Block.ColdPlate?.Metal;
        return new()
        {
            Id = new(Station.Prep, order.ScopeOf(pair), "block"),
            Kind = StepKind.Prepare,
            Pair = pair.Key,
            Done = PrepStationWords.BlockIsClean,
            Title = PrepStationWords.TakeProtectiveStickerOffWipeLands(order.Name(pair)),
            Detail =
                metal is null ? null
                : metal.Contains("nickel", StringComparison.OrdinalIgnoreCase) ? PrepStationWords.ColdPlate(metal)
                : PrepStationWords.ColdPlateBareCopperTarnishes(metal),
        };
    }

    private static WorkStep Dry(
        WorkOrder order,
        Pair pair,
        BoardFit on,
        string? scope,
        IReadOnlyList<DryFitCheck> checks
    ) =>
        new()
        {
            Id = new(Station.Prep, scope, "dry-fit"),
            Kind = StepKind.DryFit,
            Board = on.Board,
            Pair = pair.Key,
            Done = PrepStationWords.DryFitGood,
            Title = PrepStationWords.DryFit(order.Name(pair), order.On(on.Board), HowMany.Count(checks.Count, "check")),
            Detail = Message.Join(
                checks
                    .Where(d => d.State == DryFitState.Look)
                    .Take(2)
                    .Select(d => d.Text)
                    .DefaultIfEmpty(PrepStationWords.DocumentsSeeNothingInWay)
            ),
            Caution = checks.FirstOrDefault(d => d.State == DryFitState.Trouble)?.Text,
            Count = checks.Count,
            Counted = CountOf.Checks,
            Targets = [.. checks.SelectMany(d => d.Parts).Distinct()],
        };
}
