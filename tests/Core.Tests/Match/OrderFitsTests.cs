using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>An order's verdict, grade and reasons from those of its pairs and of what stands between.</summary>
public class OrderFitsTests
{
    private static Block Named(string id, Func<Plate, Plate>? plate = null) =>
        Sample.Block() with
        {
            Id = id,
            Plates = [(plate ?? (p => p))(Sample.Block().Plates[0])],
        };

    private static readonly WorkOrder Two = new()
    {
        Pieces = [new("A", Sample.Board()), new("B", Sample.Board())],
        Pairs = [new("P", Named("p"), "A"), new("Q", Named("q"), "B")],
    };

    private static Plate Wide(Plate p) => p with { Holes = [.. p.Holes.Select(h => h with { ScrewMm = 3 })] };

    [Fact]
    public void The_worst_pairs_verdict_and_the_weakest_grade_are_the_orders()
    {
        var good = OrderFits.Judge(Two);
        Assert.Equal((Verdict.Seats, EvidenceGrade.A), (good.Verdict, good.Grade!.Value));
        Assert.Empty(good.Uncovered);
        Assert.Empty(good.Between);
        Assert.Equal(["P", "Q"], good.Pairs.Select(p => p.Key));
        var bad = OrderFits.Judge(Two with { Pairs = [Two.Pairs[0] with { Block = Named("p", Wide) }, Two.Pairs[1]] });
        Assert.Equal(Verdict.Clashes, bad.Verdict);
        Assert.Equal([Verdict.Clashes, Verdict.Seats], bad.Pairs.Select(p => p.Verdict));
        var other = OrderFits.Judge(
            Two with
            {
                Pieces = [new("A", Sample.Board() with { BoardCode = "HT-9" }), Two.Pieces[1]],
            }
        );
        Assert.Equal(EvidenceGrade.B, other.Grade);
        Assert.Equal([EvidenceGrade.B, EvidenceGrade.A], other.Pairs.Select(p => p.On[0].Fit.Grade));
    }

    [Fact]
    public void An_order_without_blocks_is_unproven_and_has_no_grade()
    {
        var none = OrderFits.Judge(Two with { Pairs = [] });
        Assert.Equal((Verdict.Unproven, null), (none.Verdict, none.Grade));
        Assert.Empty(none.Reasons);
    }

    [Fact]
    public void A_part_that_another_block_covers_is_not_bare()
    {
        // the second block lies on the same board behind the first one's rows: it covers what the first leaves
        var board = Sample.Board(more: Sample.Part("Q1", PartKind.PowerStage, -52, 0, 5, 5, 0.8, Cooling.Must));
        var one = OrderFits.Judge(WorkOrder.Plain(board, Named("p")));
        Assert.Equal([new UncoveredPart("A", "Q1")], one.Uncovered);
        Assert.Equal(Verdict.SeatsWithWork, one.Verdict);
        Assert.Contains(one.Reasons, r => r.Refs.Contains("Q1"));
        var cold = OrderFits.Judge(
            WorkOrder.Plain(Sample.Board(more: Sample.Part("Q1", PartKind.PowerStage, -52, 0, 5, 5, 0.8)), Named("p"))
        );
        Assert.Empty(cold.Uncovered);
        Assert.Equal(Verdict.Seats, cold.Verdict);
    }

    [Fact]
    public void What_stands_between_clashes_and_comes_first_among_the_reasons()
    {
        // two blocks that want one place
        var over = OrderFits.Judge(
            new()
            {
                Pieces = [new("A", Sample.Board())],
                Pairs = [new("P", Named("p"), "A"), new("Q", Named("q"), "A")],
            }
        );
        Assert.Equal(Verdict.Clashes, over.Verdict);
        Assert.NotEmpty(over.Between);
        Assert.Equal(Weight.Clash, over.Reasons[0].Weight);
        Assert.Equal("overlap", over.Reasons[0].Code);
        Assert.Equal(["P", "Q"], over.Reasons[0].Refs.Order());
        Assert.Equal(over.Between.Count + over.Pairs.Sum(p => p.On.Sum(o => o.Fit.Reasons.Count)), over.Reasons.Count);
    }

    [Theory]
    [InlineData(BetweenCode.JoinMiss, "join-miss")]
    [InlineData(BetweenCode.LinkMiss, "link-miss")]
    [InlineData(BetweenCode.Overlap, "overlap")]
    [InlineData(BetweenCode.Slot, "slot")]
    public void What_stands_between_has_a_code(BetweenCode code, string name) =>
        Assert.Equal(name, OrderFits.Name(code));

    [Fact]
    public void A_block_over_two_boards_is_told_by_the_worse_with_its_letter_plate_by_plate()
    {
        Plate On(string id, string board, Func<Plate, Plate>? change = null)
        {
            var p = Sample.Block().Plates[0];
            p = p with { Id = id, Board = board, Holes = [.. p.Holes.Select(h => h with { Id = id + h.Id })] };
            return change?.Invoke(p) ?? p;
        }
        var order = new WorkOrder
        {
            Pieces = [new("A", Sample.Board() with { Id = "one" }), new("B", Sample.Board() with { Id = "two" })],
            Pairs = [new("P", Sample.Block() with { Plates = [On("y", "two", Wide), On("x", "one")] }, "A")],
        };
        var pair = Assert.Single(OrderFits.Judge(order).Pairs);
        Assert.Equal(Verdict.Clashes, pair.Verdict);
        Assert.StartsWith("B: ", pair.Summary, StringComparison.Ordinal);
        // in the block's own order, each with its own screws
        Assert.Equal([("y", "B"), ("x", "A")], pair.Plates.Select(p => (p.Plate, p.Board)));
        Assert.All(
            pair.Plates,
            p => Assert.All(p.Screws, s => Assert.StartsWith(p.Plate, s.BlockHole, StringComparison.Ordinal))
        );
        Assert.All(pair.Plates, p => Assert.Equal(4, p.Screws.Count));
    }
}

/// <summary>Which parts the stock pieces go on cooling once a block is on.</summary>
public class StockCoolingTests
{
    private static Assembly Stock(bool stays, bool returns, BondKind kind, string? board = null) =>
        new()
        {
            Pieces =
            [
                new("sink", "sink", Face.Front)
                {
                    Stays = stays,
                    Returns = returns,
                    Board = board,
                },
            ],
            Bonds = [new("B", ["sink", "board"], kind, 1, ["Q1", "Q2"], false)],
        };

    [Theory]
    [InlineData(true, false, BondKind.Pads, true)]
    [InlineData(false, true, BondKind.Paste, true)]
    // a cooler that is taken off cools nothing, and clips carry no heat
    [InlineData(false, false, BondKind.Pads, false)]
    [InlineData(true, false, BondKind.Clips, false)]
    public void What_stays_or_comes_back_on_pads_or_paste_cools(bool stays, bool returns, BondKind kind, bool cools) =>
        Assert.Equal(cools ? ["Q1", "Q2"] : [], StockCooling.Find(Stock(stays, returns, kind)).Order());

    [Fact]
    public void Of_a_card_only_the_pieces_of_that_board_count()
    {
        Assert.Empty(StockCooling.Find(null));
        Assert.Empty(StockCooling.Find(Stock(true, false, BondKind.Pads, "B"), "A"));
        Assert.Equal(2, StockCooling.Find(Stock(true, false, BondKind.Pads, "B"), "B").Count);
    }
}
