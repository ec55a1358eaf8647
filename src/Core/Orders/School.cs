using System.Text.Json.Serialization;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Orders;

/// <summary>One way of doing it.</summary>
/// <param name="Why">Its reason, in a sentence.</param>
public sealed record SchoolWay(string Id, string Name, string Why)
{
    /// <summary>The choices with this way taken.</summary>
    [JsonIgnore]
    public Func<Ways, Ways> Take { get; init; } = w => w;
}

/// <summary>A question on which good installers disagree; both ways are supported.</summary>
/// <param name="Default">The way taken unless somebody chooses.</param>
public sealed record School(string Id, Station Station, string Question, string Default, IReadOnlyList<SchoolWay> Ways);

/// <summary>Where installers disagree: the ways, the defaults and their reasons.</summary>
public static class Schools
{
    /// <summary>A card is lowered onto its block; a block onto a mainboard that lies in its tray.</summary>
    public static WhoMoves Mover(WorkOrder order) =>
        order.First.Board.Kind is BoardKind.GraphicsCard or BoardKind.MemoryModule ? WhoMoves.Board : WhoMoves.Block;

    private const string CutId = "cut";

    /// <summary>A module's chips stand in one row of one height: one strip a side.</summary>
    public static PadCutting CutOf(WorkOrder order) =>
        order.Pairs.Count > 0 && order.Pairs.All(p => p.Block.Carriers.Count > 0) ? PadCutting.Strips : PadCutting.Each;

    /// <summary>The questions that apply to an order.</summary>
    public static IReadOnlyList<School> For(WorkOrder order) =>
        [
            .. new[] { WhoMovesOf(order) }
                .Concat(
                    Common.Select(s =>
                        s.Id == CutId && CutOf(order) == PadCutting.Strips ? s with { Default = "strips" } : s
                    )
                )
                .Concat(order.Boxes.Count > 1 ? [LoopSchool(order)] : [])
                .Concat(order.Machine is null && order.Pairs.Any(p => p.Block.Carriers.Count > 0) ? [Modules] : [])
                .Concat(order.Pieces.Any(p => p.Seated is not null) ? SocketSchools.Socket : [])
                .Concat(order.Pieces.Any(p => p.Seated is { Bare: true }) ? SocketSchools.BareDie : [])
                .Where(s => Matters(order, s.Id))
                .OrderBy(s => s.Station),
        ];

    /// <summary>Whether anything on the bench is done one way or the other; all are asked while no block is chosen.</summary>
    private static bool Matters(WorkOrder order, string school)
    {
        List<Block> blocks = [.. order.Pairs.Select(p => p.Block)];
        bool Any(Func<Block, bool> on) => blocks.Count == 0 || blocks.Exists(b => on(b));
        bool Parts(PartKind kind) => order.Pieces.Any(p => p.Board.Parts.Any(x => x.Kind == kind));
        static bool Has(Block b, Through through) => b.Plates.Any(p => p.Lands.Any(l => l.Through == through));
        var pasted = Any(b => b.Sockets.Count > 0 || Has(b, Through.Paste) || Has(b, Through.LiquidMetal));
        return school switch
        {
            "paste-die" => pasted
                && (
                    Parts(PartKind.Die)
                    || Parts(PartKind.BridgeChip)
                    || order.Pieces.Any(p => p.Seated is { Bare: true })
                ),
            "paste-lid" => pasted && (Parts(PartKind.Lid) || order.Pieces.Any(p => p.Seated is { Bare: false })),
            CutId or "pads-on" => Any(b => Has(b, Through.Pad) || b.Carriers.Count > 0),
            "films" => Any(b => Has(b, Through.Pad) && b.Carriers.Count == 0 && b.Halves.Count == 0),
            "back-plate-screws" => Any(b => b.BackPlate is not null),
            "stock-pads" => order
                .Pieces.Select(p => p.Board.Assembly)
                .Append(order.Assembly)
                .Any(a => a?.Pieces.Any(p => p.Returns || p.Face == Face.Back) == true)
                && Any(b => b.Carriers.Count == 0),
            "increments" or "tightness" or "pressing" => Any(b => b.Plates.Any(p => p.Holes.Count > 0)),
            _ => true,
        };
    }

    private static readonly School Modules = new(
        "modules-in",
        Station.Mount,
        "When modules go into their slots",
        "first",
        [
            Way(
                "first",
                "one by one, the block after",
                "Each latch is heard by itself, and nothing heavy hangs on a slot while it is pressed.",
                w => w with { ModulesIn = ModulesIn.First }
            ),
            Way(
                "with-block",
                "all at once under their block",
                "The bolts are turned on the bench, where there is room for the hand.",
                w => w with { ModulesIn = ModulesIn.WithBlock }
            ),
        ]
    );

    private static School WhoMovesOf(WorkOrder order) =>
        new(
            "who-moves",
            Station.Mount,
            "Who moves",
            Mover(order) == WhoMoves.Board ? "board" : "block",
            [
                Way(
                    "board",
                    "board onto block",
                    "Holes stay in sight from above, and a card is lighter than its block.",
                    w => w with { WhoMoves = WhoMoves.Board }
                ),
                Way(
                    "block",
                    "block onto board",
                    "A mainboard lies still in its tray; pads on the board stay where they were laid.",
                    w => w with { WhoMoves = WhoMoves.Block }
                ),
            ]
        );

    /// <summary>Two links between the same two cards carry in and out: side by side. One link leads on: one after the other.</summary>
    public static LoopJoin LoopOf(WorkOrder order) =>
        order.Machine is { } machine
        && machine
            .Links.GroupBy(l =>
                string.CompareOrdinal(l.From.Card, l.To.Card) < 0 ? (l.From.Card, l.To.Card) : (l.To.Card, l.From.Card)
            )
            .Any(g => g.Count() > 1)
            ? LoopJoin.Parallel
            : LoopJoin.Series;

    private static School LoopSchool(WorkOrder order) =>
        new(
            "loop",
            Station.Match,
            "How the blocks follow each other",
            LoopOf(order) == LoopJoin.Parallel ? "parallel" : "series",
            [
                Way(
                    "series",
                    "one after the other",
                    "Every block gets the whole flow; the later ones get it a little warmer.",
                    w => w with { Loop = LoopJoin.Series }
                ),
                Way(
                    "parallel",
                    "side by side",
                    "Less drop, the same inlet for all; the freest block takes the most.",
                    w => w with { Loop = LoopJoin.Parallel }
                ),
            ]
        );

    internal static SchoolWay Way(string id, string name, string why, Func<Ways, Ways> take) =>
        new(id, name, why) { Take = take };

    private static readonly School[] Common =
    [
        new(
            "cleaning",
            Station.Prep,
            "What cleans the faces",
            "remover-on-paste",
            [
                Way(
                    "remover-on-paste",
                    "remover on old paste, alcohol on the rest",
                    "Paste lets go in one wipe; pads leave nothing that alcohol does not take.",
                    w => w with { Cleaning = Cleaning.RemoverOnPaste }
                ),
                Way(
                    "alcohol",
                    "alcohol, every contact face",
                    "Residue anywhere lifts a pad and tilts the block.",
                    w => w with { Cleaning = Cleaning.Alcohol }
                ),
                Way(
                    "remover",
                    "remover first, on every face",
                    "Old paste comes off in one wipe; it has to wait, and alcohol follows all the same.",
                    w => w with { Cleaning = Cleaning.Remover }
                ),
            ]
        ),
        new(
            CutId,
            Station.Pads,
            "How pads are cut",
            "each",
            [
                Way(
                    "each",
                    "a piece for each part",
                    "Least waste, and each part's squash is its own.",
                    w => w with { Cut = PadCutting.Each }
                ),
                Way(
                    "strips",
                    "whole strips over a row",
                    "Fewer pieces to peel and lay; the strip also covers what lies between the chips.",
                    w => w with { Cut = PadCutting.Strips }
                ),
            ]
        ),
        new(
            "films",
            Station.Pads,
            "When the outer films come off",
            "outer-last",
            [
                Way(
                    "outer-last",
                    "last, right before the block closes",
                    "Nothing settles on an open pad; the films are counted at the block.",
                    w => w with { Films = PadFilms.OuterLast }
                ),
                Way(
                    "both",
                    "both at laying",
                    "Each pad is finished in one go; keep dust and lint away until the block is on.",
                    w => w with { Films = PadFilms.Both }
                ),
            ]
        ),
        new(
            "pads-on",
            Station.Pads,
            "Where pads are laid",
            "by-tack",
            [
                Way(
                    "by-tack",
                    "by the tacky side",
                    "The tacky side holds where the part is turned over: that decides board or block.",
                    w => w with { PadsOn = PadsOn.ByTack }
                ),
                Way(
                    "board",
                    "on the board",
                    "The part shows where the pad belongs; nothing falls when the plate comes down.",
                    w => w with { PadsOn = PadsOn.Board }
                ),
                Way(
                    "block",
                    "on the block",
                    "Marked pockets make placing easier, and a board that is turned over loses none.",
                    w => w with { PadsOn = PadsOn.Block }
                ),
            ]
        ),
        new(
            "paste-die",
            Station.Paste,
            "Paste on bare silicon",
            "spread",
            [
                Way(
                    "spread",
                    "spread to full cover",
                    "Bare silicon has nothing that carries heat sideways: a corner without paste overheats.",
                    w => w with { PasteDie = PasteWay.Spread }
                ),
                Way(
                    "cross",
                    "a cross, pressed out",
                    "No air is shut in, and the clamp makes the film; look at what the simulation leaves bare.",
                    w => w with { PasteDie = PasteWay.Cross }
                ),
                Way(
                    "line",
                    "one line, pressed out",
                    "Right for a long narrow die.",
                    w => w with { PasteDie = PasteWay.Line }
                ),
            ]
        ),
        new(
            "paste-lid",
            Station.Paste,
            "Paste on a lid",
            "cross",
            [
                Way(
                    "cross",
                    "a cross",
                    "Reaches the corners of a square lid with the least excess.",
                    w => w with { PasteLid = PasteWay.Cross }
                ),
                Way(
                    "dot",
                    "one dot",
                    "Cannot shut in air; leaves the corners of a large lid bare, which matters little.",
                    w => w with { PasteLid = PasteWay.Dot }
                ),
                Way("line", "one line", "Follows a long die under the lid.", w => w with { PasteLid = PasteWay.Line }),
                Way(
                    "spread",
                    "spread",
                    "Sure of full cover; takes a steady hand.",
                    w => w with { PasteLid = PasteWay.Spread }
                ),
            ]
        ),
        new(
            "increments",
            Station.Mount,
            "How far at a time",
            "simulated",
            [
                Way(
                    "simulated",
                    "the largest even step in bounds",
                    "The simulation keeps tilt and edge pressure within limits with the fewest moves.",
                    w => w with { Increments = Increments.Simulated }
                ),
                Way(
                    "quarter",
                    "quarter turns",
                    "Slow and even whatever the springs are.",
                    w => w with { Increments = Increments.Quarter }
                ),
                Way(
                    "two",
                    "two turns, then the opposite",
                    "Quick on long springs; watch the tilt it shows.",
                    w => w with { Increments = Increments.Two }
                ),
                Way(
                    "home",
                    "each to its stop",
                    "Only where stops are short: see what the edge has to take.",
                    w => w with { Increments = Increments.Home }
                ),
            ]
        ),
        new(
            "tightness",
            Station.Mount,
            "How tight",
            "stop",
            [
                Way(
                    "stop",
                    "to the hard stop, else the simulated load",
                    "Evenness matters more than tightness; a shank that stops makes every screw the same.",
                    w => w with { Tightness = Tightness.Stop }
                ),
                Way(
                    "grip",
                    "until it grips, then a little more",
                    "For screws without a stop and without figures: the same little more on each.",
                    w => w with { Tightness = Tightness.Grip }
                ),
            ]
        ),
        new(
            "pressing",
            Station.Mount,
            "Pressing down while screwing",
            "none",
            [
                Way(
                    "none",
                    "none",
                    "The springs do it; a thumb on one corner is a load nobody reckoned.",
                    w => w with { Pressing = Pressing.None }
                ),
                Way(
                    "light",
                    "light, in the middle",
                    "Helps short springs to catch; only over the die, never at a corner.",
                    w => w with { Pressing = Pressing.Light }
                ),
            ]
        ),
        new(
            "back-plate-screws",
            Station.Mount,
            "Screws that the back plate needs",
            "out",
            [
                Way(
                    "out",
                    "left out until it is on",
                    "They hold the back plate: put in early they have to come out again under load.",
                    w => w with { BackPlateScrews = BackPlateScrews.Out }
                ),
                Way(
                    "all",
                    "all in, then some out",
                    "The block is held everywhere while the board is handled.",
                    w => w with { BackPlateScrews = BackPlateScrews.All }
                ),
            ]
        ),
        new(
            "imprint",
            Station.Prove,
            "Looking at the imprint",
            "no-lift",
            [
                Way(
                    "no-lift",
                    "no lift unless proof is poor",
                    "Every lift costs fresh pads and paste and another chance to chip a die.",
                    w => w with { Imprint = ImprintCheck.NoLift }
                ),
                Way(
                    "lift",
                    "lift once, read it, mount again",
                    "The imprint shows film and pads as they are; fresh pads and paste go on for the second time.",
                    w => w with { Imprint = ImprintCheck.Lift }
                ),
            ]
        ),
        new(
            "stock-pads",
            Station.Care,
            "Stock pads",
            "replace",
            [
                Way(
                    "replace",
                    "replace",
                    "Pressed pads do not come back to their thickness.",
                    w => w with { StockPads = StockPads.Replace }
                ),
                Way(
                    "reuse",
                    "keep those of the back plate",
                    "Intact and undisturbed, they fit where they were.",
                    w => w with { StockPads = StockPads.Reuse }
                ),
            ]
        ),
    ];
}
