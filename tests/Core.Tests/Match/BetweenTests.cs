using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What stands between blocks, in figures and in words.</summary>
public class BetweenTests
{
    private static IReadOnlyList<BetweenFault> Of(WorkOrder order) => OrderFits.Judge(order).Between;

    private static WorkOrder Rows(double every, params Block[] blocks) =>
        WorkOrderTests.Order(WorkOrderTests.Rails(blocks.Length, every), blocks);

    private static Block Chip(string id = "chip", params Join[] joins) => WorkOrderTests.Chip(id, joins: joins);

    [Fact]
    public void An_overlap_is_told_with_its_area()
    {
        var fault = Assert.Single(Of(Rows(10, Chip(), Chip())));
        Assert.Equal(("P", "Q"), (fault.A, fault.B));
        Assert.Equal("Blocks P and Q lie over each other on 136 mm² of the board.", fault.Text);
        // half a square millimetre is let pass: 34 · 0.014
        Assert.Empty(Of(Rows(13.986, Chip(), Chip())));
        Assert.Single(Of(Rows(13.98, Chip(), Chip())));
        var reason = OrderFits.Judge(Rows(10, Chip(), Chip())).Reasons.Single(r => r.Code == "overlap");
        Assert.Equal((fault.Text, Weight.Clash), (reason.Text, reason.Weight));
        Assert.Equal(["P", "Q"], reason.Refs);
    }

    [Theory]
    // √(20² + 20²) = 28.284 mm from the one's outlet to the other's inlet
    [InlineData(
        30,
        0.1,
        "Fitting br is 30.0 mm long; ports out of P and in of Q lie 28.3 mm apart, 1.7 mm too near at ±0.1."
    )]
    [InlineData(
        25,
        0.1,
        "Fitting br is 25.0 mm long; ports out of P and in of Q lie 28.3 mm apart, 3.3 mm too far at ±0.1."
    )]
    [InlineData(28.284271247461902, 0, null)]
    public void A_fitting_too_long_or_too_short_is_told_from_port_to_port(double length, double tol, string? text)
    {
        foreach (var to in new[] { "other", "Q" })
        {
            var faults = Of(Rows(20, Chip("chip", new Join("br", "out", new(to, "in"), length, tol)), Chip("other")));
            Assert.Equal(text, faults.SingleOrDefault()?.Text);
        }
    }

    [Fact]
    public void Of_several_blocks_of_that_name_the_one_it_reaches_best_counts()
    {
        // P to R lies 44.7 mm away, P to Q 28.3
        Block From(double length, string to = "other", string port = "in") =>
            Chip("chip", new Join("br", "out", new(to, port), length, 0.2));
        Assert.Empty(Of(Rows(20, From(28.3), Chip("other"), Chip("other"))));
        Assert.Empty(Of(Rows(20, From(44.72), Chip("other"), Chip("other"))));
        var none = Assert.Single(Of(Rows(20, From(40), Chip("other"), Chip("other"))));
        Assert.Equal(("P", "R"), (none.A, none.B));
        Assert.Equal(4.72, none.MissMm!.Value, 2);
        // to itself, to a block or a port that is not there: nothing to measure
        Assert.Empty(Of(Rows(20, From(5, "chip"), Chip("other"))));
        Assert.Empty(Of(Rows(20, From(5, "gone"), Chip("other"))));
        Assert.Empty(Of(Rows(20, From(5, "other", "gone"), Chip("other"))));
        Assert.Empty(Of(Rows(20, Chip("chip", new Join("br", "gone", new("other", "in"), 5, 0.2)), Chip("other"))));
    }

    [Fact]
    public void A_block_between_two_boards_too_thick_or_thin_is_told_with_the_room()
    {
        var fault = Assert.Single(Of(WorkOrderTests.Clamped(14, 0.1, 10)));
        Assert.Equal(("A", "B"), (fault.A, fault.B));
        Assert.Equal(
            "Boards A and B lie 14.00 mm apart; block P with its films is 14.26 mm thick, 0.26 mm too thick at ±0.10.",
            fault.Text
        );
        Assert.Contains(
            "0.74 mm too thin",
            Assert.Single(Of(WorkOrderTests.Clamped(15, 0.1, 10))).Text,
            StringComparison.Ordinal
        );
        Assert.Empty(Of(WorkOrderTests.Clamped(14.26, 0, 10)));
        Assert.Empty(Of(WorkOrderTests.Clamped(14, 0.26, 10)));
    }

    [Theory]
    // the plate reaches to 45 mm: a ribbon of 6 mm at x = 46 lies two millimetres under it, 20 mm long and upright
    [InlineData(46, -10, 46, 10, 40.0)]
    [InlineData(46, 10, 46, -10, 40.0)]
    [InlineData(47.9, -10, 47.9, 10, 2.0)]
    // along x under the whole of its length
    [InlineData(-10, 0, 10, 0, 120.0)]
    // its two plugs over each other: as deep as wide
    [InlineData(0, 0, 0, 0, 36.0)]
    [InlineData(48.1, -10, 48.1, 10, null)]
    public void A_ribbon_under_a_block_is_told_with_its_area(double x0, double y0, double x1, double y1, double? area)
    {
        // the second board is flipped about x
        Ribbon ribbon = new("R1", "ribbon", new("A", x0, y0), new("B", -x1, y1), 6);
        var fault = Of(WorkOrderTests.Clamped(14.26, 1, 10, ribbon)).SingleOrDefault();
        Assert.Equal(area is null, fault is null);
        if (fault is null)
            return;
        Assert.Equal(area!.Value, fault.AreaMm2!.Value, 3);
        Assert.Equal(
            FormattableString.Invariant($"The ribbon R1 lies under block P on {area:0.#} mm²: it would be pinched."),
            fault.Text
        );
        Assert.Equal(("R1", "P"), (fault.A, fault.B));
    }

    [Fact]
    public void A_ribbon_to_a_board_that_is_not_here_pinches_nothing() =>
        Assert.Empty(
            Of(WorkOrderTests.Clamped(14.26, 1, 10, new Ribbon("R1", "ribbon", new("A", 0, 0), new("Z", 0, 0), 6)))
        );
}
