using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What sits in every hole at each stage, and which lengths belong there.</summary>
public class HoleLedgerTests
{
    private static Board WithStock(double length) =>
        Sample.Board() with
        {
            Assembly = new()
            {
                Pieces = [new("cooler", "cooler", Face.Front)],
                Fasteners =
                [
                    new()
                    {
                        Id = "F1",
                        Driver = "T6",
                        Thread = "M2.5",
                        LengthMm = length,
                        Count = 4,
                        Face = Face.Back,
                        Joins = ["cooler", "board"],
                        Holes = ["H1", "H2", "H3", "H4"],
                    },
                ],
            },
        };

    /// <summary>Screws that hold the plate at 2.13 mm, thread 4 mm deep, two of them through a back plate.</summary>
    private static Blocks.Block Block(double kitLength) =>
        Sample.Block() with
        {
            BackPlate = new() { Id = "back", UsesHoles = ["S3", "S4"] },
            Kit = new() { Screws = [new("M2.5", kitLength, 4, "T6", "plastic")] },
            Plates =
            [
                Sample.Block().Plates[0] with
                {
                    Holes =
                    [
                        .. Sample
                            .Block()
                            .Plates[0]
                            .Holes.Select(h =>
                                h with
                                {
                                    Spring = null,
                                    StopMm = 2.13,
                                    EngageMm = 4,
                                    Washer = "plastic",
                                }
                            ),
                    ],
                },
            ],
        };

    private static IReadOnlyList<HoleRow> Rows(double kit, double stock)
    {
        var (b, k) = (WithStock(stock), Block(kit));
        return HoleLedger.Create(b, b.Assembly!.Fasteners, [(k, Fit.Judge(b, k))]);
    }

    [Fact]
    public void Every_hole_is_told_at_every_stage()
    {
        var rows = Rows(6, 5);
        Assert.Equal(4, rows.Count);
        Assert.StartsWith("stock M2.5 × 5", rows[0].Stages[0].What, StringComparison.Ordinal);
        Assert.All(rows, r => Assert.Equal("empty", r.Stages[1].What));
        Assert.Equal(2, rows.Count(r => r.Stages[2].What.Contains("until the back plate", StringComparison.Ordinal)));
        Assert.Equal(2, rows.Count(r => r.Stages[3].What.Contains("through the back plate", StringComparison.Ordinal)));
        Assert.All(rows, r => Assert.Contains("to the board", r.Washer, StringComparison.Ordinal));
        Assert.All(rows, r => Assert.Null(r.Trouble));
    }

    [Fact]
    public void Lengths_are_caught_by_board_gap_and_thread()
    {
        // 1.6 board + 2.13 plate + 4 thread: 7.73 at most; two pitches of 0.45 at least
        Assert.Equal((4.63, 7.73), (Rows(6, 5)[0].ShortestMm, Rows(6, 5)[0].LongestMm));
        Assert.Contains("0.3 mm too long", Rows(8, 5)[0].Trouble, StringComparison.Ordinal);
        Assert.Contains("too little thread", Rows(4.5, 5)[0].Trouble, StringComparison.Ordinal);
        Assert.Contains("stock screw of group F1 is 2.3 mm too long", Rows(6, 10)[0].Trouble, StringComparison.Ordinal);
    }

    private static WorkStep Act(Station station, StepKind kind, string target, string? board = null) =>
        new()
        {
            Id = new(station, null, target),
            Kind = kind,
            Title = $"{target}",
            Done = "Done",
            Board = board,
        };

    [Fact]
    public void A_board_is_at_the_stage_that_its_signed_steps_brought_it_to()
    {
        WorkStep[] steps =
        [
            Act(Station.Teardown, StepKind.Unscrew, "F1"),
            Act(Station.Teardown, StepKind.Lift, "cooler"),
            Act(Station.Mount, StepKind.Start, "start", "A"),
            Act(Station.Mount, StepKind.BackPlate, "back-plate", "A"),
            Act(Station.Mount, StepKind.Start, "other", "B"),
        ];
        HoleStage At(params int[] signed) =>
            HoleLedger.StageOf("A", steps, signed.Select(i => steps[i].Id).ToHashSet());
        Assert.Equal(HoleStage.Stock, At());
        Assert.Equal(HoleStage.Stock, At(0));
        Assert.Equal(HoleStage.Stripped, At(0, 1));
        Assert.Equal(HoleStage.Stripped, At(0, 1, 4));
        Assert.Equal(HoleStage.Block, At(0, 1, 2));
        Assert.Equal(HoleStage.BackPlate, At(0, 1, 2, 3));
        // a bare board was never stripped
        Assert.Equal(HoleStage.Stock, HoleLedger.StageOf("A", steps.Skip(2), new HashSet<StepId>()));
    }

    private static HoleRow First(Blocks.Block block, Board? board = null, IReadOnlyList<FastenerGroup>? stock = null)
    {
        var b = board ?? Sample.Board();
        return HoleLedger.Create(b, stock ?? [], [(block, Fit.Judge(b, block))])[0];
    }

    private static Blocks.Block With(Func<Blocks.BlockHole, Blocks.BlockHole> change, Blocks.KitContents? kit = null)
    {
        var block = Sample.Block();
        return block with
        {
            Kit = kit,
            Plates = [block.Plates[0] with { Holes = [.. block.Plates[0].Holes.Select(change)] }],
        };
    }

    [Fact]
    public void What_sits_in_a_hole_is_said_by_thread_length_spring_and_nut()
    {
        string Says(Func<Blocks.BlockHole, Blocks.BlockHole> change, Blocks.KitContents? kit = null) =>
            First(With(change, kit)).Stages[2].What;
        var six = new Blocks.KitContents { Screws = [new("M3", 9, 4, "T6", null), new("M2.5", 6, 4, "T6", null)] };
        Assert.Equal("M2.5, sprung", Says(h => h));
        Assert.Equal("M2.5 × 6, sprung", Says(h => h, six));
        Assert.Equal("M2.5 × 6", Says(h => h with { Spring = null }, six));
        Assert.Equal("M2.5, sprung, with a nut", Says(h => h with { Finish = "nut" }));
        var other = new Blocks.KitContents { Screws = [new("M3", 9, 4, "T6", null)] };
        Assert.Equal("M2.5, sprung", Says(h => h, other));
        Assert.Equal("2.5 mm", Says(h => h with { Thread = null, Spring = null }));
        Assert.Equal("standoff M2.5", Says(h => h with { Role = HoleRole.Standoff }));
    }

    [Fact]
    public void A_hole_that_no_screw_uses_stays_empty_and_has_no_lengths()
    {
        var board = Sample.Board();
        var more = board with { Holes = [new("H9", 0, 45, 2.8, HoleRole.Perimeter), .. board.Holes] };
        var row = First(Block(6), more);
        Assert.Equal(("H9", (string?)null, (string?)null), (row.Hole, row.BlockHole, row.Trouble));
        Assert.All(row.Stages, s => Assert.Equal("empty", s.What));
        Assert.Equal(((double?)null, (double?)null, (string?)null), (row.ShortestMm, row.LongestMm, row.Washer));
        Assert.Null(First(With(h => h)).Washer);
    }

    [Fact]
    public void A_stock_screw_is_known_by_its_hole_or_by_a_place_within_a_millimetre()
    {
        static FastenerGroup Group(double x, string? thread = null) =>
            new()
            {
                Id = "F7",
                Driver = "T6",
                Thread = thread,
                Count = 1,
                Face = Face.Back,
                Joins = ["cooler", "board"],
                Places = [new(80, 80), new(x, -29)],
            };
        Assert.Equal("stock T6, group F7", First(Block(6), null, [Group(-30.2)]).Stages[0].What);
        Assert.Equal("stock M2, group F7", First(Block(6), null, [Group(-28, "M2")]).Stages[0].What);
        Assert.Equal("empty", First(Block(6), null, [Group(-30.3)]).Stages[0].What);
    }

    [Fact]
    public void A_sprung_screw_and_one_of_unknown_depth_have_no_length_to_be_told()
    {
        Assert.Null(First(With(h => h with { EngageMm = 4, StopMm = 2 })).LongestMm);
        Assert.Null(First(With(h => h with { Spring = null, StopMm = 2 })).LongestMm);
        // without a stop the plate's own height over the board counts: 2.1 of the die and its film
        var high = First(With(h => h with { Spring = null, EngageMm = 4, StopMm = null }));
        Assert.Equal(1.6 + 2.1 + 4, high.LongestMm!.Value, 0.06);
        // a plate on standoffs stands as high as they are
        var raised = With(h => h with { Spring = null, EngageMm = 4, StopMm = null });
        raised = raised with { Plates = [raised.Plates[0] with { Seat = Blocks.Seat.Standoff, StandoffMm = 3 }] };
        Assert.Equal(8.6, First(raised).LongestMm!.Value, 9);
        // less depth than two threads: all of it
        Assert.Equal(
            (4.2, 4.2),
            First(With(h => h with { Spring = null, EngageMm = 0.6, StopMm = 2 })) is var r
                ? (r.ShortestMm!.Value, r.LongestMm!.Value)
                : default
        );
    }

    [Fact]
    public void A_kit_screw_at_the_very_ends_is_right_and_a_stock_screw_of_another_thread_is_no_danger()
    {
        Assert.Null(Rows(7.73, 5)[0].Trouble);
        Assert.Null(Rows(4.63, 5)[0].Trouble);
        Assert.Equal("The kit's 4.5 mm screw reaches 0.8 mm into S1: too little thread.", Rows(4.5, 5)[0].Trouble);
        var (b, k) = (WithStock(10), Block(6));
        var other = b.Assembly!.Fasteners.Select(f => f with { Thread = "M3" }).ToList();
        Assert.Null(HoleLedger.Create(b, other, [(k, Fit.Judge(b, k))])[0].Trouble);
    }
}
