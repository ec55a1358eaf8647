using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads.Cutting;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What becomes of a cut sheet: its stock counted down, rests worth keeping named.</summary>
public class LeftoversTests
{
    private static CutSheet Sheet(string stock, params (double W, double D)[] rests) =>
        new(stock, false, 100, 60, [], [], [.. rests.Select(r => new Leftover(0, 0, r.W, r.D))])
        {
            ThicknessMm = 1.5,
            Material = "grey",
        };

    private static PadStock Stock(string id, int count, bool offcut = false) =>
        new(id, "soft", 1.5, 100, 60, count, offcut);

    [Fact]
    public void Rests_of_eight_millimetres_both_ways_are_kept() =>
        Assert.Equal(
            [8, 30],
            Leftovers.Usable(Sheet("s", (8, 8), (7.9, 60), (60, 7.9), (30, 20))).Select(l => l.WidthMm)
        );

    [Fact]
    public void A_whole_sheet_is_counted_down_and_its_rests_are_named_after_it()
    {
        PadStock[] stock = [Stock("other", 4), Stock("s", 3)];
        var put = Leftovers.PutAway(Sheet("s", (30.04, 20), (5, 5), (40, 10)), stock, "7");
        Assert.Equal(stock[1] with { Count = 2 }, put.Stock);
        Assert.Equal((false, null), (put.StockGone, put.UsedUp));
        Assert.Equal(
            [
                new("soft-1.5-7a", "soft", 1.5, 30, 20, 1, true),
                new PadStock("soft-1.5-7b", "soft", 1.5, 40, 10, 1, true),
            ],
            put.Offcuts
        );
    }

    [Fact]
    public void The_last_sheet_leaves_an_empty_place_and_an_offcut_none()
    {
        var last = Leftovers.PutAway(Sheet("s"), [Stock("s", 1)], "7");
        Assert.Equal((0, false, "s"), (last.Stock!.Count, last.StockGone, last.UsedUp));
        var offcut = Leftovers.PutAway(Sheet("s"), [Stock("s", 1, true)], "7");
        Assert.Equal((0, true, "s"), (offcut.Stock!.Count, offcut.StockGone, offcut.UsedUp));
        Assert.False(Leftovers.PutAway(Sheet("s"), [Stock("s", 2, true)], "7").StockGone);
        // counted wrong before: not below nothing
        Assert.Equal(0, Leftovers.PutAway(Sheet("s"), [Stock("s", 0)], "7").Stock!.Count);
    }

    [Fact]
    public void A_sheet_out_of_a_kit_is_of_no_stock()
    {
        var put = Leftovers.PutAway(Sheet("kit", (30, 20)), [Stock("s", 1)], "7");
        Assert.Equal((null, false, null), (put.Stock, put.StockGone, put.UsedUp));
        Assert.Equal("grey-1.5-7a", put.Offcuts[0].Id);
        var bare = Leftovers.PutAway(Sheet("kit", (30, 20)) with { Material = null, ThicknessMm = null }, [], "7");
        Assert.Equal(new PadStock("-0.0-7a", "", 0, 30, 20, 1, true), bare.Offcuts[0]);
    }

    [Fact]
    public void Names_are_not_given_twice_and_go_on_past_the_alphabet()
    {
        var rests = Enumerable.Repeat((10.0, 10.0), 53).ToArray();
        var names = Leftovers
            .PutAway(Sheet("s", rests), [Stock("s", 1), Stock("soft-1.5-7b", 1, true)], "7")
            .Offcuts.Select(o => o.Id)
            .ToList();
        Assert.Equal(53, names.Distinct().Count());
        Assert.Equal(["soft-1.5-7a", "soft-1.5-7c"], names.Take(2));
        // 26 letters but one, then with a figure behind them
        Assert.Equal("soft-1.5-7z", names[24]);
        Assert.Equal("soft-1.5-7a1", names[25]);
        Assert.Equal("soft-1.5-7z1", names[50]);
        Assert.Equal(["soft-1.5-7a2", "soft-1.5-7b2"], names[51..]);
    }
}
