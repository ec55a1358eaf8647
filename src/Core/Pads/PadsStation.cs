using System.Text.Json.Serialization;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Cutting;
using FaithfulBracket.Core.Pads.Seating;

namespace FaithfulBracket.Core.Pads;

/// <summary>The pads of one pair on one of its boards, and how the block rests on them.</summary>
/// <param name="Pair">Key of the pair.</param>
/// <param name="Board">Key of the board.</param>
/// <param name="Seating">Null where no paste is known or the block cannot come to rest.</param>
public sealed record PairPads(
    string Pair,
    string Board,
    GapsResult Gaps,
    IReadOnlyList<PlacedPad> Pads,
    SeatingResult? Seating
)
{
    /// <summary>What seating, tightening and every what-if calculate from; null without paste.</summary>
    [JsonIgnore]
    public StackUp? Stack { get; init; }

    /// <summary>A memory module between carriers; null for everything that is screwed down.</summary>
    [JsonIgnore]
    public CarriedModule? Carried { get; init; }

    /// <summary>What pads and seating come to, in a few words.</summary>
    public Message Verdict =>
        Seating is { ScrewsStrip: true } ? (Message)$"Screws strip first"
        : Seating is { Floats: true } ? (Message)$"The block floats"
        : Misfits > 0 ? (Message)$"{HowMany.Count(Misfits, "pad does", "pads do")} not fit"
        : Pads.Count == 0 ? (Message)$"No pads"
        : (Message)$"Every pad touches";

    /// <summary>Whether that has to be mended first.</summary>
    public bool Wrong => Seating is { ScrewsStrip: true } or { Floats: true } || Misfits > 0;

    private int Misfits => Pads.Count(p => p.Fit?.State != PadState.Good);
}

/// <param name="Pieces">Pieces to cut: one for each pad, or strips.</param>
/// <param name="Cutting">One pool of stock for the whole order; null where no pad is laid.</param>
public sealed record PadsResult(
    IReadOnlyList<PairPads> Pairs,
    IReadOnlyList<PadPiece> Pieces,
    CutPlan? Cutting,
    StationPlan Sheet,
    IReadOnlyList<Diagnostic> Troubles
)
{
    /// <summary>Every pad of the order.</summary>
    [JsonIgnore]
    public IEnumerable<PlacedPad> Pads => Pairs.SelectMany(p => p.Pads);

    public PairPads? Find(string pair, string board) => Pairs.FirstOrDefault(p => p.Pair == pair && p.Board == board);
}

/// <summary>Pads: which pad fills which gap, how the block rests on them, and which pieces are cut from what.</summary>
public sealed class PadsStation : IStation<PadsResult>
{
    /// <summary>Pads that somebody chose instead of the calculated ones.</summary>
    public IReadOnlyList<LaidPad> Choices { get; init; } = [];

    /// <summary>The cut plan that somebody has begun to cut; null while nothing is cut.</summary>
    public BegunCutting? Begun { get; init; }

    public PadsResult Plan(PlanContext context, EarlierResults earlier)
    {
        var (order, drawer, ways, cancel) = (context.Order, context.Drawer, context.Ways, context.Cancel);
        var match = earlier.Get<MatchResult>();
        var troubles = new Diagnostics(Station.Pads);
        var materials = drawer.MaterialById();
        var paste = context.Paste?.Material;
        var stock = drawer.Pads.Select(p => new StockedPad(p.ThicknessMm, p.Material)).Distinct().ToList();
        var pairs = new List<PairPads>();
        var strips = ways.Cut == PadCutting.Strips;
        foreach (var (fit, on) in match.Laid())
        {
            var scope = order.ScopeOf(order.Pairs.First(p => p.Key == fit.Key), on.Board);
            if (troubles.Try(scope, () => Gaps.Compute(on.Laid, materials, stock)) is not { } gaps)
                continue;
            var own = Choices
                .Where(c => (c.Board ?? order.First.Key) == on.Board)
                .DistinctBy(c => c.Part)
                .ToDictionary(c => c.Part);
            var before = pairs.Sum(p => p.Pads.Count);
            var pads = PadLayout.Compute(on.Laid, gaps, own, materials, fit.Key, on.Board, before);
            // carriers are held by their pads: nothing is screwed that could come to rest
            var screwed = on.Laid.Block.Plates.Any(p => p.Holes.Count > 0);
            var stack =
                paste is null || !screwed
                    ? null
                    : new StackUp(on.Laid, [.. pads.Select(p => p.Laid)], materials, paste)
                    {
                        Bridges = strips ? Bridges(on.Laid.Board, pads) : [],
                        BridgeShare = context.Shop.StripBridgeShare,
                    };
            pairs.Add(
                new(
                    fit.Key,
                    on.Board,
                    gaps,
                    pads,
                    stack is null
                        ? null
                        : troubles.Try(scope, () => SeatingSolver.Solve(stack.Finished(), cancel: cancel))
                )
                {
                    Stack = stack,
                    Carried = Carried(on.Laid, pads, materials, match),
                }
            );
        }
        List<PadPiece> pieces =
        [
            .. pairs
                .SelectMany(p => PadPieces.Compute(order.Find(p.Board)!.Board, p.Pads, strips))
                .Select(p => p with { Half = PadSteps.Into(order.Pairs.First(x => x.Key == p.Pair), p, ways)?.Id }),
            .. EdgePads.Pieces(order, i => PadLayout.Letter(pairs.Sum(p => p.Pads.Count) + i)),
        ];
        var cutting = pieces.Count == 0 ? null : Cut(order, pieces, drawer, Begun, cancel);
        var sheet = PadSteps.Create(order, pairs, pieces, cutting, ways);
        return new(pairs, pieces, cutting, sheet, troubles.List);
    }

    private static CarriedModule? Carried(
        LaidBlock laid,
        IReadOnlyList<PlacedPad> pads,
        IReadOnlyDictionary<string, PadMaterial> materials,
        MatchResult match
    ) =>
        laid.Block.Carriers.Count == 0 || laid.Board.Kind != BoardKind.MemoryModule
            ? null
            : new(
                laid,
                [.. pads.Select(p => p.Laid)],
                materials,
                match
                    .Laid()
                    .Where(l => !ReferenceEquals(l.On.Laid, laid) && l.On.Laid.Block.Id == laid.Block.Id)
                    .Sum(l => l.On.Laid.Board.Parts.Sum(p => p.DissipationW))
            );

    private static IReadOnlyList<PadBridge> Bridges(Boards.Board board, IReadOnlyList<PlacedPad> pads) =>
        [.. PadStrips.Rows(board, pads).SelectMany(r => PadStrips.Bridges(board, r))];

    private static CutPlan Cut(
        WorkOrder order,
        List<PadPiece> pieces,
        Drawer drawer,
        BegunCutting? begun,
        CancellationToken cancel
    )
    {
        List<CutPiece> cut =
        [
            .. pieces.Select(p => new CutPiece(p.Id, p.WidthMm, p.DepthMm, p.ThicknessMm, p.Material, 1)),
        ];
        var stock = Stock(order, drawer);
        return begun is null ? CutPlanner.Plan(cut, stock, cancel: cancel) : begun.Continue(cut, stock, cancel);
    }

    /// <summary>The drawer's offcuts and sheets, and what came with each block; every sheet stands here once.</summary>
    private static List<CutStock> Stock(WorkOrder order, Drawer drawer) =>
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
            .. order.Boxes.SelectMany(pair =>
                (pair.Block.Kit?.Pads ?? []).Select(
                    (p, i) =>
                        new CutStock(
                            order.ScopeOf(pair) is { } scope ? $"kit-{scope}-{i + 1}" : $"kit-{i + 1}",
                            p.WidthMm,
                            p.DepthMm,
                            p.ThicknessMm,
                            p.Material,
                            p.Count,
                            false
                        )
                )
            ),
        ];
}
