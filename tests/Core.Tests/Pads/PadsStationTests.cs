using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Cutting;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Pads of a whole order: whose sheets they are cut from, how they are lettered, and a plan begun to be cut.</summary>
public class PadsStationTests
{
    private static readonly Drawer Drawer = new()
    {
        Materials = [Sample.Soft],
        Pads =
        [
            new("sheet", "soft", 1, 120, 40, 1, false),
            new("left", "soft", 1, 40, 14, 1, true),
            new("thick", "soft", 1.5, 120, 40, 1, false),
        ],
        Pastes = [new("tube", Sample.Grey, 5, 12)],
    };

    private static PadsResult Of(WorkOrder order, BegunCutting? begun = null, Drawer? drawer = null) =>
        PadsStation.Of(
            order,
            MatchStation.Of(order, new ShopSettings()),
            drawer ?? Drawer,
            new(),
            [],
            null,
            begun,
            TestContext.Current.CancellationToken
        );

    private static readonly WorkOrder One = WorkOrder.Plain(Sample.Board(), Sample.Block() with { Kit = null });

    private static WorkOrder Two(KitContents? first, KitContents? second) =>
        new()
        {
            Pieces = [new("A", Sample.Board()), new("B", Sample.Board())],
            Pairs =
            [
                new("P", Sample.Block() with { Kit = first }, "A"),
                new("Q", Sample.Block() with { Kit = second }, "B"),
            ],
        };

    [Fact]
    public void Offcuts_are_cut_before_whole_sheets()
    {
        var pads = Of(One);
        Assert.Equal(["A", "B"], pads.Pads.Select(p => p.Letter));
        var sheet = Assert.Single(pads.Cutting!.Sheets);
        Assert.Equal(("left", true), (sheet.StockId, sheet.Offcut));
        Assert.Equal(0, pads.Cutting.NewSheets);
    }

    [Fact]
    public void What_came_with_each_block_is_a_sheet_of_its_own()
    {
        var none = Drawer with { Pads = [] };
        KitContents Kit(params (double W, double D)[] sheets) =>
            new() { Pads = [.. sheets.Select(s => new KitPad(1, s.W, s.D, 1, "soft", "both"))] };
        // a single pad from each sheet: 14 × 12 out of 15 × 13
        var cut = Of(Two(Kit((15, 13), (15, 13)), Kit((15, 13), (15, 13))), drawer: none).Cutting!;
        Assert.Empty(cut.Unplaced);
        Assert.Equal(
            ["kit-1", "kit-2", "kit-Q-1", "kit-Q-2"],
            cut.Sheets.Select(s => s.StockId).Order(StringComparer.Ordinal)
        );
        Assert.All(cut.Sheets, s => Assert.False(s.Offcut));
        Assert.Equal(4, cut.NewSheets);
        var alone = Of(
            WorkOrder.Plain(Sample.Board(), Sample.Block() with { Kit = Kit((15, 13), (15, 13)) }),
            drawer: none
        );
        Assert.Equal(["kit-1", "kit-2"], alone.Cutting!.Sheets.Select(s => s.StockId).Order(StringComparer.Ordinal));
        // nothing came with either, and nothing lies in the drawer
        Assert.Equal(4, Of(Two(null, null), drawer: none).Cutting!.Unplaced.Count);
    }

    [Fact]
    public void Letters_run_on_over_the_blocks_and_a_pair_is_found_by_its_block_and_board()
    {
        var pads = Of(Two(null, null));
        Assert.Equal(["A", "B", "C", "D"], pads.Pads.Select(p => p.Letter));
        Assert.Equal(["A", "B"], pads.Find("P", "A")!.Pads.Select(p => p.Letter));
        Assert.Equal(["C", "D"], pads.Find("Q", "B")!.Pads.Select(p => p.Letter));
        Assert.Null(pads.Find("P", "B"));
        Assert.Null(pads.Find("Q", "A"));
    }

    [Fact]
    public void A_plan_begun_to_be_cut_stands_though_an_offcut_has_come_since()
    {
        var whole = Drawer with { Pads = [Drawer.Pads[0]] };
        var begun = Of(One, drawer: whole).Cutting!;
        Assert.Equal("sheet", Assert.Single(begun.Sheets).StockId);
        Assert.Same(begun, Of(One, new(begun, [])).Cutting);
        Assert.Equal("left", Of(One).Cutting!.Sheets[0].StockId);
    }
}
