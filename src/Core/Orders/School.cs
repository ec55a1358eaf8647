using System.Text.Json.Serialization;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Words.Orders;

namespace FaithfulBracket.Core.Orders;

/// <summary>One way of doing it.</summary>
/// <param name="Why">Its reason, in a sentence.</param>
public sealed record SchoolWay(string Id, string Name, Message Why)
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
                .Select(s => Possible(order, s))
                .OrderBy(s => s.Station),
        ];

    /// <summary>A plate can lie behind the board before any screw only where the board is lowered.</summary>
    private static School Possible(WorkOrder order, School school) =>
        school.Id == BackPlateScrewsId && Mover(order) == WhoMoves.Block
            ? school with
            {
                Ways = [.. school.Ways.Where(w => !w.Take(new()).PlateFirst)],
            }
            : school;

    private const string BackPlateScrewsId = "back-plate-screws";

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
            BackPlateScrewsId => Any(b => b.BackPlate is not null),
            // a bare die is pressed by studs from behind, which no thumb turns
            "nuts-by" => order.Pieces.Any(p => p.Seated is { Bare: false }),
            "stock-pads" => order
                .Pieces.Select(p => p.Board.Assembly)
                .Append(order.Assembly)
                .Any(a => a?.Pieces.Any(p => p.Returns || p.Face == Face.Back) == true)
                && Any(b => b.Carriers.Count == 0),
            "loosening" => order
                .Pieces.Select(p => p.Board.Assembly)
                .Append(order.Assembly)
                .Any(a => a is not null && Rings.HasPeers(a)),
            "ribbon" => RibbonStay.Possible(order).Count > 0,
            "increments" or "tightness" or "pressing" => Any(b => b.Plates.Any(p => p.Holes.Count > 0)),
            _ => true,
        };
    }

    private static readonly School Modules = new(
        "modules-in",
        Station.Mount,
        SchoolWords.WhenModulesGoIntoTheirSlots,
        "first",
        [
            Way(
                "first",
                SchoolWords.OneByOneBlockAfter,
                SchoolWords.EachLatchIsHeardByItself,
                w => w with { ModulesIn = ModulesIn.First }
            ),
            Way(
                "with-block",
                SchoolWords.AllAtOnceUnderTheirBlock,
                SchoolWords.BoltsAreTurnedOnBench,
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
                    SchoolWords.HolesStayInSight,
                    w => w with { WhoMoves = WhoMoves.Board }
                ),
                Way(
                    "block",
                    "block onto board",
                    SchoolWords.MainboardLiesStillInTray,
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
            SchoolWords.HowBlocksFollowEachOther,
            LoopOf(order) == LoopJoin.Parallel ? "parallel" : "series",
            [
                Way(
                    "series",
                    SchoolWords.OneAfterOther,
                    SchoolWords.EveryBlockGetsWholeFlow,
                    w => w with { Loop = LoopJoin.Series }
                ),
                Way(
                    "parallel",
                    "side by side",
                    SchoolWords.LessDropSameInletForAll,
                    w => w with { Loop = LoopJoin.Parallel }
                ),
            ]
        );

    internal static SchoolWay Way(string id, string name, Message why, Func<Ways, Ways> take) =>
        new(id, name, why) { Take = take };

    private static readonly School[] Common =
    [
        new(
            "cleaning",
            Station.Prep,
            SchoolWords.WhatCleansFaces,
            "remover-on-paste",
            [
                Way(
                    "remover-on-paste",
                    SchoolWords.RemoverOnOldPasteAlcohol,
                    SchoolWords.PasteLetsGoInOneWipe,
                    w => w with { Cleaning = Cleaning.RemoverOnPaste }
                ),
                Way(
                    "alcohol",
                    SchoolWords.AlcoholEveryContactFace,
                    SchoolWords.ResidueAnywhereLiftsPadAndTilts,
                    w => w with { Cleaning = Cleaning.Alcohol }
                ),
                Way(
                    "remover",
                    SchoolWords.RemoverFirstOnEveryFace,
                    SchoolWords.OldPasteComesOff,
                    w => w with { Cleaning = Cleaning.Remover }
                ),
            ]
        ),
        new(
            CutId,
            Station.Pads,
            SchoolWords.HowPadsAreCut,
            "each",
            [
                Way(
                    "each",
                    SchoolWords.PieceForEachPart,
                    SchoolWords.MinWasteAndEachPartsSquash,
                    w => w with { Cut = PadCutting.Each }
                ),
                Way(
                    "strips",
                    SchoolWords.WholeStripsOverRow,
                    SchoolWords.FewerPiecesToPeelAndLay,
                    w => w with { Cut = PadCutting.Strips }
                ),
            ]
        ),
        new(
            "films",
            Station.Pads,
            SchoolWords.WhenOuterFilmsComeOff,
            "outer-last",
            [
                Way(
                    "outer-last",
                    SchoolWords.LastRightBeforeBlockCloses,
                    SchoolWords.NothingSettlesOnOpenPad,
                    w => w with { Films = PadFilms.OuterLast }
                ),
                Way("both", "both at laying", SchoolWords.EachPadIsFinished, w => w with { Films = PadFilms.Both }),
            ]
        ),
        new(
            "pads-on",
            Station.Pads,
            SchoolWords.WherePadsAreLaid,
            "by-tack",
            [
                Way(
                    "by-tack",
                    SchoolWords.ByTackySide,
                    SchoolWords.TackySideHoldsWherePart,
                    w => w with { PadsOn = PadsOn.ByTack }
                ),
                Way(
                    "board",
                    "on the board",
                    SchoolWords.PartShowsWherePadBelongs,
                    w => w with { PadsOn = PadsOn.Board }
                ),
                Way(
                    "block",
                    "on the block",
                    SchoolWords.MarkedPocketsMakePlacingEasier,
                    w => w with { PadsOn = PadsOn.Block }
                ),
            ]
        ),
        new(
            "paste-die",
            Station.Paste,
            SchoolWords.PasteOnBareSilicon,
            "spread",
            [
                Way(
                    "spread",
                    SchoolWords.SpreadToFullCover,
                    SchoolWords.BareSiliconHasNothingThatCarries,
                    w => w with { PasteDie = PasteWay.Spread }
                ),
                Way(
                    "cross",
                    "a cross, pressed out",
                    SchoolWords.NoAirIsShut,
                    w => w with { PasteDie = PasteWay.Cross }
                ),
                Way(
                    "line",
                    SchoolWords.OneLinePressedOut,
                    SchoolWords.RightForLongNarrowDie,
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
                    SchoolWords.ReachesCornersOfSquareLid,
                    w => w with { PasteLid = PasteWay.Cross }
                ),
                Way("dot", "one dot", SchoolWords.CannotShutInAir, w => w with { PasteLid = PasteWay.Dot }),
                Way("line", "one line", SchoolWords.FollowsLongDieUnderLid, w => w with { PasteLid = PasteWay.Line }),
                Way("spread", "spread", SchoolWords.SureOfFullCover, w => w with { PasteLid = PasteWay.Spread }),
            ]
        ),
        new(
            "increments",
            Station.Mount,
            SchoolWords.HowFarAtTime,
            "simulated",
            [
                Way(
                    "simulated",
                    SchoolWords.LargestEvenStepInBounds,
                    SchoolWords.SimulationKeepsTiltAndEdgePressure,
                    w => w with { Increments = Increments.Simulated }
                ),
                Way(
                    "quarter",
                    "quarter turns",
                    SchoolWords.SlowAndEvenWhateverSprings,
                    w => w with { Increments = Increments.Quarter }
                ),
                Way(
                    "two",
                    SchoolWords.TwoTurnsThenOpposite,
                    SchoolWords.QuickOnLongSprings,
                    w => w with { Increments = Increments.Two }
                ),
                Way(
                    "home",
                    SchoolWords.EachToStop,
                    SchoolWords.OnlyWhereStopsAreShort,
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
                    SchoolWords.ToHardStopElseSimulatedLoad,
                    SchoolWords.EvennessMattersMoreThanTightness,
                    w => w with { Tightness = Tightness.Stop }
                ),
                Way(
                    "grip",
                    SchoolWords.UntilItGripsThenLittleMore,
                    SchoolWords.ForScrewsWithoutStopAndWithout,
                    w => w with { Tightness = Tightness.Grip }
                ),
            ]
        ),
        new(
            "pressing",
            Station.Mount,
            SchoolWords.PressingDownWhileScrewing,
            "none",
            [
                Way("none", "none", SchoolWords.SpringsSetLoad, w => w with { Pressing = Pressing.None }),
                Way(
                    "light",
                    SchoolWords.LightInMiddle,
                    SchoolWords.HelpsShortSpringsToCatch,
                    w => w with { Pressing = Pressing.Light }
                ),
            ]
        ),
        new(
            BackPlateScrewsId,
            Station.Mount,
            SchoolWords.ScrewsThatBackPlateNeeds,
            "out",
            [
                Way(
                    "out",
                    SchoolWords.LeftOutUntil,
                    SchoolWords.TheyHoldBackPlate,
                    w => w with { BackPlateScrews = BackPlateScrews.Out }
                ),
                Way(
                    "all",
                    SchoolWords.AllInThenSomeOut,
                    SchoolWords.BlockIsHeldEverywhereWhileBoard,
                    w => w with { BackPlateScrews = BackPlateScrews.All }
                ),
                Way(
                    "first",
                    SchoolWords.PlateBehindBeforeAnyScrew,
                    SchoolWords.EveryScrewIsTurnedOnce,
                    w => w with { BackPlateScrews = BackPlateScrews.First }
                ),
            ]
        ),
        new(
            "loosening",
            Station.Teardown,
            SchoolWords.InWhichOrderScrewsComeOut,
            "ring-last",
            [
                Way(
                    "ring-last",
                    SchoolWords.DieRingLast,
                    SchoolWords.CoolerStaysFlatWhileSpringsLetGo,
                    w => w with { Loosening = Loosening.RingLast }
                ),
                Way(
                    "core-outward",
                    SchoolWords.FromCoreOutward,
                    SchoolWords.StandoffsCarryCooler,
                    w => w with { Loosening = Loosening.CoreOutward }
                ),
            ]
        ),
        new(
            "ribbon",
            Station.Teardown,
            SchoolWords.RibbonBetweenBoards,
            "unplug",
            [
                Way(
                    "unplug",
                    SchoolWords.UnplugRibbon,
                    SchoolWords.EachBoardIsTurnedByItself,
                    w => w with { Ribbon = RibbonBetween.Unplug }
                ),
                Way(
                    "stay",
                    SchoolWords.LeaveRibbonPlugged,
                    SchoolWords.NoLatchIsOpenedBoardsOpenLikeBook,
                    w => w with { Ribbon = RibbonBetween.Stay }
                ),
            ]
        ),
        new(
            "imprint",
            Station.Prove,
            SchoolWords.LookingAtImprint,
            "no-lift",
            [
                Way(
                    "no-lift",
                    SchoolWords.NoLiftUnlessProofIsPoor,
                    SchoolWords.EveryLiftCostsFreshPads,
                    w => w with { Imprint = ImprintCheck.NoLift }
                ),
                Way(
                    "lift",
                    SchoolWords.LiftOnceReadItMountAgain,
                    SchoolWords.ImprintShowsFilmAndPads,
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
                    SchoolWords.PressedPadsDoNotComeBack,
                    w => w with { StockPads = StockPads.Replace }
                ),
                Way(
                    "reuse",
                    SchoolWords.KeepThoseOfBackPlate,
                    SchoolWords.IntactAndUndisturbedTheyFit,
                    w => w with { StockPads = StockPads.Reuse }
                ),
            ]
        ),
    ];
}
