using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Cutting;
using FaithfulBracket.Core.Plans;
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

    private static PadsResult Of(
        WorkOrder order,
        BegunCutting? begun = null,
        Drawer? drawer = null,
        Ways? ways = null
    ) =>
        new PadsStation { Begun = begun }.Plan(
            Sample.Context(order, drawer ?? Drawer, ways),
            EarlierResults.None.With(MatchStation.Judge(order, new ShopSettings()))
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

    [Fact]
    public void A_strip_pushes_between_its_parts_with_a_fifth_of_its_stress_over_them_and_is_weighed_so()
    {
        var third = Sample.Part("M3", PartKind.Memory, 10, 33, 14, 12, 1.2, Cooling.Must);
        var block = Sample.Block() with { Kit = null };
        var wide = block
            .Plates[0]
            .Lands.Select(l => l.Id == "L-m1" ? l with { Outline = Sample.Rect(-2.5, 33, 40, 13) } : l);
        var order = WorkOrder.Plain(
            Sample.Board(more: third),
            block with
            {
                Plates = [block.Plates[0] with { Lands = [.. wide] }],
            }
        );
        PadsResult Cut(PadCutting cut) => Of(order, ways: new() { Cut = cut });
        var strips = Cut(PadCutting.Strips);
        Assert.Equal(["M1 M3", "M2"], strips.Pieces.Select(p => string.Join(' ', p.Parts)));
        var seated = strips.Pairs[0].Seating!;
        // 11 × 12 mm between two pads of 14 × 12
        var beside = seated.Pads.Where(p => p.Part is "M1" or "M3").Average(p => p.LoadN / (14 * 12));
        Assert.Equal(0.2 * beside * 11 * 12, seated.BridgesN!.Value, beside);
        Assert.Null(Cut(PadCutting.Each).Pairs[0].Seating!.BridgesN);
        // what the strip pushes the die lacks: the springs hold about what they held
        double Up(PadsResult p) =>
            p.Pairs[0].Seating!.Dies.Sum(d => d.LoadN)
            + p.Pairs[0].Seating!.Pads.Sum(x => x.LoadN)
            + (p.Pairs[0].Seating!.BridgesN ?? 0);
        Assert.Equal(strips.Pairs[0].Seating!.Screws.Sum(s => s.LoadN), Up(strips), 1e-3);
        var weighed = CutWeight.Compute(Cut, PadCutting.Each);
        Assert.Equal([PadCutting.Each, PadCutting.Strips], weighed.Select(w => w.Way));
        Assert.Equal((3, 2), (weighed[0].Pieces, weighed[1].Pieces));
        Assert.Equal(11 * 12, weighed[1].PadMm2 - weighed[0].PadMm2, 6);
        Assert.True(weighed[1].Minutes < weighed[0].Minutes);
        Assert.Equal(0, weighed[0].BridgesN);
        // one part a land: nothing to weigh
        Assert.Single(CutWeight.Compute(cut => Of(One, ways: new() { Cut = cut }), PadCutting.Each));
    }
}
