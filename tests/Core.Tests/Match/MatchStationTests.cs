using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What the station says of an order: the worst pair, what is left bare, what stands between.</summary>
public class MatchStationTests
{
    private static readonly WorkOrder Two = new()
    {
        Pieces = [new("A", Sample.Board()), new("B", Sample.Board())],
        Pairs = [new("P", Sample.Block(), "A"), new("Q", Sample.Block(), "B")],
    };

    private static Block Bad =>
        Sample.Block() with
        {
            Plates =
            [
                Sample.Block().Plates[0] with
                {
                    Holes = [.. Sample.Block().Plates[0].Holes.Select(h => h with { ScrewMm = 3 })],
                },
            ],
        };

    private static MatchResult Of(WorkOrder order) => MatchStation.Judge(order, new ShopSettings());

    [Fact]
    public void All_that_seat_are_counted_and_the_worst_is_named()
    {
        var all = Of(Two);
        Assert.Equal(("all 2 blocks seat", false), (all.Sheet.Summary, all.Sheet.Trouble));
        Assert.Equal([("P", "A"), ("Q", "B")], all.Laid().Select(l => (l.Pair.Key, l.On.Board)));
        var bad = Of(Two with { Pairs = [Two.Pairs[0], Two.Pairs[1] with { Block = Bad }] });
        Assert.Equal(("Q: screws do not line up", true), (bad.Sheet.Summary, bad.Sheet.Trouble));
        Assert.Equal(Verdict.Clashes, bad.Order!.Verdict);
        // one alone is told by itself
        Assert.Equal("screws do not line up", Of(WorkOrder.Plain(Sample.Board(), Bad)).Sheet.Summary);
        var none = Of(WorkOrder.Plain(Sample.Board()));
        Assert.Equal(("choose a block", true), (none.Sheet.Summary, none.Sheet.Trouble));
        Assert.Empty(none.Laid());
    }

    [Fact]
    public void Parts_that_no_block_covers_need_sinks_though_every_block_seats()
    {
        var hot = Sample.Board(more: Sample.Part("Q1", PartKind.PowerStage, -50, 0, 4, 4, 0.8, Cooling.Must));
        var order = Of(Two with { Pieces = [Two.Pieces[0], new("B", hot)] });
        Assert.Equal(("all seat, 1 part needs a sink", false), (order.Sheet.Summary, order.Sheet.Trouble));
        Assert.Equal(Verdict.SeatsWithWork, order.Order!.Verdict);
        Assert.Equal([new UncoveredPart("B", "Q1")], order.Order.Uncovered);
        // a clash is not made better by it
        var worse = Of(
            Two with
            {
                Pieces = [Two.Pieces[0], new("B", hot)],
                Pairs = [Two.Pairs[0] with { Block = Bad }, Two.Pairs[1]],
            }
        );
        Assert.Equal(Verdict.Clashes, worse.Order!.Verdict);
    }

    [Fact]
    public void The_verdict_is_read_and_accepted_or_signed_knowing_it()
    {
        var steps = Of(Two with { Pairs = [Two.Pairs[0], Two.Pairs[1] with { Block = Bad }] }).Sheet.Steps;
        Assert.Equal(["label", "label", "verdict", "verdict"], steps.Select(s => s.Id.Target));
        Assert.Equal("Read the verdict on Brineworks Full and accept it", steps[2].Title);
        Assert.Null(steps[2].Caution);
        Assert.StartsWith("All 4 screws pass", steps[2].Detail, StringComparison.Ordinal);
        Assert.Equal(("A", "P", Face.Front), (steps[2].Board, steps[2].Pair, steps[2].Face));
        Assert.EndsWith("choose another block, or sign knowing it", steps[3].Title, StringComparison.Ordinal);
        Assert.NotNull(steps[3].Caution);
        Assert.Equal(2, steps[3].Targets.Count);
        Assert.StartsWith("S", steps[3].Targets[0], StringComparison.Ordinal);
        Assert.Equal(
            "Board code and revision, not the model name: one model is sold on several boards.",
            steps[0].Detail
        );
        Assert.Equal("The label agrees", steps[0].Done);
        var bare = Of(
            WorkOrder.Plain(Sample.Board() with { BoardCode = "", Revision = "" }, Sample.Block())
        ).Sheet.Steps[0];
        Assert.StartsWith("No label on this board", bare.Title, StringComparison.Ordinal);
        Assert.StartsWith("Holes, die and the parts round it decide", bare.Detail, StringComparison.Ordinal);
    }

    [Fact]
    public void A_block_whose_plates_all_lie_behind_is_read_from_behind()
    {
        Block Behind(params Face[] faces) =>
            Sample.Block() with
            {
                Plates =
                [
                    .. faces.Select(
                        (f, i) =>
                            Sample.Block().Plates[0] with
                            {
                                Id = $"p{i}",
                                Face = f,
                                Lands = [],
                                Seat = Seat.Standoff,
                                StandoffMm = 2,
                            }
                    ),
                ],
            };
        Face? Read(Block b) =>
            Of(WorkOrder.Plain(Sample.Board(), b)).Sheet.Steps.Single(s => s.Id.Target == "verdict").Face;
        Assert.Equal(Face.Back, Read(Behind(Face.Back)));
        Assert.Equal(Face.Front, Read(Behind(Face.Back, Face.Front)));
        Assert.Equal(Face.Front, Read(Behind(Face.Front)));
    }

    [Fact]
    public void A_block_for_a_board_that_is_not_here_says_so()
    {
        var block = Sample.Block() with { Plates = [Sample.Block().Plates[0] with { Board = "elsewhere" }] };
        var order = Of(WorkOrder.Plain(Sample.Board(), block));
        var pair = order.Order!.Pairs[0];
        Assert.Equal((Verdict.Clashes, "its board is not here"), (pair.Verdict, pair.Summary));
        Assert.Null(order.Order.Grade);
        Assert.Equal(
            "Its plates are made for a board that is not in this order.",
            order.Sheet.Steps.Single(s => s.Id.Target == "verdict").Detail
        );
    }

    [Fact]
    public void The_grade_of_an_order_is_that_of_its_weakest_word()
    {
        var word = Two with { Pieces = [Two.Pieces[0], new("B", Sample.Board() with { BoardCode = "HT-2" })] };
        Assert.Equal(EvidenceGrade.A, Of(Two).Order!.Grade);
        Assert.Equal(EvidenceGrade.B, Of(word).Order!.Grade);
    }

    [Fact]
    public void A_pair_on_two_boards_is_as_good_as_its_worse_one()
    {
        // the second board's chips stand into their lands
        var order = WorkOrderTests.Clamped(20, 100, 10);
        var clear = Of(order).Order!.Pairs[0];
        Assert.Equal(2, clear.On.Count);
        Assert.Equal($"{clear.On[0].Board}: {clear.On[0].Fit.Summary}", clear.Summary);
        var second = order.Pieces[1];
        var tall = second with
        {
            Board = second.Board with
            {
                Parts =
                [
                    .. second.Board.Parts.Select(p =>
                        p.Kind == PartKind.Memory ? p with { HeightMm = p.HeightMm + 1 } : p
                    ),
                ],
            },
        };
        var worse = Of(order with { Pieces = [order.Pieces[0], tall] }).Order!.Pairs[0];
        var worst = worse.On.MaxBy(o => o.Fit.Verdict)!;
        Assert.True(worst.Fit.Verdict > worse.On.Min(o => o.Fit.Verdict));
        Assert.Equal("B", worst.Board);
        Assert.Equal((worst.Fit.Verdict, $"{worst.Board}: {worst.Fit.Summary}"), (worse.Verdict, worse.Summary));
    }
}
