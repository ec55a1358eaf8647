using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Blocks that share a board: each on holes of its own, clear of the others where that is possible.</summary>
public class OrderPlacementTests
{
    private static OrderFit Of(Board board, params Block[] blocks) =>
        OrderFits.Judge(WorkOrderTests.Order(board, blocks));

    private static string[] Rows(OrderFit fit) =>
        [
            .. fit.Pairs.Select(p =>
                p.Plates[0].Screws[0].BoardHole is { } h && p.Verdict != Verdict.Clashes ? h[..2] : "none"
            ),
        ];

    [Fact]
    public void The_next_block_takes_the_next_row_and_the_hotter_row_goes_first()
    {
        var rails = WorkOrderTests.Rails(3, 20);
        Assert.Equal(
            3,
            Rows(Of(rails, WorkOrderTests.Chip(), WorkOrderTests.Chip(), WorkOrderTests.Chip())).Distinct().Count()
        );
        // where the block stands comes first, then by heat
        var hot = rails with
        {
            Parts = [.. rails.Parts.Select(p => p with { DissipationW = p.Id == "V3" ? 9 : 2 })],
        };
        Assert.Equal(["R1", "R3"], Rows(Of(hot, WorkOrderTests.Chip(), WorkOrderTests.Chip())));
    }

    [Fact]
    public void Rows_that_would_overlap_are_passed_over_while_another_is_clear()
    {
        // three rows 10 mm apart: blocks 14 mm deep are clear on the first and the third only
        var tight = WorkOrderTests.Rails(3, 10);
        var two = Of(tight, WorkOrderTests.Chip(), WorkOrderTests.Chip());
        Assert.Equal(["R1", "R3"], Rows(two).Order());
        Assert.Empty(two.Between);
        // a third one overlaps rather than takes holes twice
        var three = Of(tight, WorkOrderTests.Chip(), WorkOrderTests.Chip(), WorkOrderTests.Chip());
        Assert.Equal(["R1", "R2", "R3"], Rows(three).Order());
        Assert.Equal(2, three.Between.Count);
    }

    [Fact]
    public void An_earlier_block_gives_way_to_a_later_one_that_fits_in_one_place_only()
    {
        // the second block's screws of 2.7 mm pass the first row's wide holes only
        var rails = WorkOrderTests.Rails(2, 20);
        var board = rails with
        {
            Holes =
            [
                .. rails.Holes.Select(h =>
                    h.Id.StartsWith("R1", StringComparison.Ordinal) ? h with { DiameterMm = 3.2 } : h
                ),
            ],
        };
        var thick = WorkOrderTests.Chip("thick");
        thick = thick with
        {
            Plates = [thick.Plates[0] with { Holes = [.. thick.Plates[0].Holes.Select(h => h with { ScrewMm = 3 })] }],
        };
        Assert.Equal(["R2", "R1"], Rows(Of(board, WorkOrderTests.Chip(), thick)));
        Assert.Equal(["R1", "R2"], Rows(Of(board, thick, WorkOrderTests.Chip())));
        // two thick ones: one is left without, and judged on the holes that are left
        var both = Of(board, thick, thick);
        Assert.Equal(["R1", "none"], Rows(both));
        Assert.DoesNotContain(
            both.Pairs[1].Plates[0].Screws,
            s => s.BoardHole is { } h && h.StartsWith("R1", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void What_lies_behind_shares_the_holes_of_what_lies_in_front()
    {
        var rails = WorkOrderTests.Rails(1, 20);
        var chip = WorkOrderTests.Chip();
        var behind = chip with
        {
            Id = "behind",
            Kind = BlockKind.BackPlate,
            Plates = [chip.Plates[0] with { Face = Face.Back, Lands = [] }],
        };
        var fit = Of(rails, chip, behind);
        Assert.Equal(["R1", "R1"], fit.Pairs.Select(p => p.Plates[0].Screws[0].BoardHole![..2]));
        Assert.Empty(fit.Between);
        // two in front do not
        Assert.Equal(1, Rows(Of(rails, chip, chip)).Count(r => r == "R1"));
    }

    [Fact]
    public void Boards_know_nothing_of_each_others_holes_and_pairs_come_in_their_order()
    {
        var rails = WorkOrderTests.Rails(1, 20);
        var order = new WorkOrder
        {
            Pieces = [new("A", rails), new("B", rails)],
            Pairs = [new("Q", WorkOrderTests.Chip(), "B"), new("P", WorkOrderTests.Chip(), "A")],
        };
        var fit = OrderFits.Judge(order);
        Assert.Equal([("Q", "B"), ("P", "A")], fit.Pairs.Select(p => (p.Key, p.On[0].Board)));
        Assert.All(fit.Pairs, p => Assert.NotEqual(Verdict.Clashes, p.Verdict));
    }
}
