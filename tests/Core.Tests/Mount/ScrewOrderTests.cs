using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Which screw is turned when, how its turns are said, and what a hand's own order is worth.</summary>
public class ScrewOrderTests
{
    private static BlockHole Hole(string id, double x, double y, int? ring = 1, HoleRole role = HoleRole.Retention) =>
        new()
        {
            Id = id,
            X = x,
            Y = y,
            ScrewMm = 2.5,
            Thread = "M2.5",
            Ring = ring,
            Role = role,
        };

    [Fact]
    public void Four_corners_are_turned_in_a_cross_wherever_the_block_lies()
    {
        BlockHole[] square = [Hole("a", 70, 20), Hole("b", 130, 20), Hole("c", 130, 80), Hole("d", 70, 80)];
        foreach (var turned in new[] { square, [.. square.Reverse()], [square[2], square[0], square[3], square[1]] })
        {
            var order = ScrewOrder.Compute(turned).Select(h => h.Id).ToList();
            // begun at the lower left
            Assert.Equal(["a", "c", "b", "d"], order);
            Assert.Equal(4, order.Distinct().Count());
            string Across(string id) => "cdab"["abcd".IndexOf(id[0], StringComparison.Ordinal)].ToString();
            Assert.Equal(Across(order[0]), order[1]);
            Assert.Equal(Across(order[2]), order[3]);
        }
    }

    [Fact]
    public void Inner_rings_come_before_outer_ones_and_each_ring_in_opposite_pairs()
    {
        List<BlockHole> holes =
        [
            .. Sample.Corners(40).Select((p, i) => Hole($"o{i}", p.X, p.Y, 3)),
            .. Sample.Corners(20).Select((p, i) => Hole($"i{i}", p.X, p.Y, 1)),
        ];
        var order = ScrewOrder.Compute(holes).ToList();
        Assert.Equal([1, 1, 1, 1, 3, 3, 3, 3], order.Select(h => h.Ring!.Value));
        foreach (var (first, second) in order.Chunk(2).Select(c => (c[0], c[1])))
            Assert.True((first.At + second.At).Length < 1e-9, $"{first.Id} and {second.Id} do not lie opposite");
    }

    [Fact]
    public void A_screw_with_none_across_is_turned_alone()
    {
        // three round a centre at (0, 5): none lies exactly opposite, yet each is taken once
        var order = ScrewOrder.Compute([Hole("a", -20, 0), Hole("b", 20, 0), Hole("c", 0, 15)]);
        Assert.Equal(["a", "b", "c"], order.Select(h => h.Id).Order());
        Assert.Empty(ScrewOrder.Compute([]));
        Assert.Single(ScrewOrder.Compute([Hole("a", 1, 2)]));
    }

    [Theory]
    [InlineData(null, HoleRole.Retention, 1)]
    [InlineData(null, HoleRole.Standoff, 2)]
    [InlineData(null, HoleRole.Perimeter, 3)]
    [InlineData(null, HoleRole.Bracket, 4)]
    [InlineData(2, HoleRole.Bracket, 2)]
    public void Without_a_stated_ring_the_role_says_it(int? ring, HoleRole role, int is_) =>
        Assert.Equal(is_, ScrewOrder.Ring(Hole("a", 0, 0, ring, role)));

    [Fact]
    public void Screws_that_a_back_plate_needs_stay_out_unless_all_go_in_at_once()
    {
        var block = Sample.Block() with
        {
            BackPlate = new() { Id = "back", UsesHoles = ["S2", "S4"] },
        };
        var later = MountScrews.Find(block, new(), null);
        Assert.Equal(["S2", "S4"], later.Where(s => s.Held).Select(s => s.Hole).Order());
        Assert.Equal([1, 2, 3, 4], later.Select(s => s.Number));
        // what stays out is numbered after what goes in
        Assert.Equal([false, false, true, true], later.Select(s => s.Held));
        Assert.All(later, s => Assert.Equal("T6", s.Driver));
        var all = MountScrews.Find(block, new() { BackPlateScrews = BackPlateScrews.All }, null);
        Assert.DoesNotContain(all, s => s.Held);
        Assert.DoesNotContain(
            MountScrews.Find(block, new() { BackPlateScrews = BackPlateScrews.First }, null),
            s => s.Held
        );
        Assert.All(MountScrews.Find(block with { Kit = null }, new(), null), s => Assert.Equal("PH1", s.Driver));
    }

    [Theory]
    [InlineData(0.125, "an eighth turn")]
    [InlineData(0.25, "a quarter turn")]
    [InlineData(0.5, "half a turn")]
    [InlineData(0.75, "three quarters of a turn")]
    [InlineData(1, "one turn")]
    [InlineData(1.5, "one and a half turns")]
    [InlineData(2, "two turns")]
    [InlineData(0.0625, "a sixteenth turn")]
    [InlineData(0.3, "a quarter turn")]
    [InlineData(0.56, "half a turn")]
    [InlineData(0.806, "three quarters of a turn")]
    [InlineData(0.9, "seven eighths of a turn")]
    [InlineData(2.36, "two and three eighths turns")]
    [InlineData(10, "ten turns")]
    [InlineData(10.5, "each to its stop")]
    public void Turns_are_said_as_a_hand_makes_them(double turns, string words) =>
        Assert.Equal(words, TurnWords.Format(turns));

    [Theory]
    [InlineData(5.9, 2.0, Validity.Ok, "5.9 MPa")]
    [InlineData(6.0, 2.0, Validity.Ok, "6.0 MPa")]
    [InlineData(6.1, 2.0, Validity.Outside, "over 3 times the limit: the edge chips")]
    [InlineData(30.0, null, Validity.Ok, "30.0 MPa")]
    [InlineData(31.0, null, Validity.Outside, "over 30 MPa: the edge chips")]
    public void Far_past_the_limit_no_pressure_is_told(double peak, double? limit, Validity validity, string words)
    {
        Assert.Equal(validity, EdgePressure.Check(peak, limit));
        Assert.Equal(words, EdgePressure.InWords(peak, limit));
    }

    private static Worst Worst(double peak, double tilt) => new(tilt, peak);

    [Fact]
    public void A_hand_scores_half_for_pressure_three_tenths_for_tilt_and_two_for_moves()
    {
        var least = Worst(1, 0.1);
        double Score(Worst worst, int moves, double? limit = null) =>
            PracticeScore.Score(worst, moves, least, 8, 0.5, limit);
        Assert.Equal(100, Score(least, 8), 9);
        // doing better than the recommended way is full marks, no more
        Assert.Equal(100, Score(Worst(0.5, 0.05), 4), 9);
        Assert.Equal(75, Score(Worst(2, 0.1), 8), 9);
        Assert.Equal(85, Score(Worst(1, 0.2), 8), 9);
        Assert.Equal(90, Score(least, 16), 9);
        // past the die's limit nothing is left of that half; at the limit it counts
        Assert.Equal(50, Score(Worst(2, 0.1), 8, limit: 1.9), 9);
        Assert.Equal(75, Score(Worst(2, 0.1), 8, limit: 2), 9);
    }

    [Fact]
    public void Tilt_below_a_fiftieth_of_the_limit_is_none()
    {
        Assert.Equal(100, PracticeScore.Score(Worst(1, 0.01), 4, Worst(1, 0), 4, 0.5, null), 9);
        Assert.Equal(85, PracticeScore.Score(Worst(1, 0.02), 4, Worst(1, 0), 4, 0.5, null), 9);
    }

    [Fact]
    public void Nearer_screws_of_a_ring_come_first_and_each_finds_the_one_most_opposite()
    {
        BlockHole[] ring =
        [
            Hole("far", 150, 50),
            Hole("farther", 48, 50),
            Hole("near", 110, 50),
            Hole("back", 92, 50),
            // beside the line, yet across
            Hole("aside", 95, 75),
            Hole("below", 105, 25),
        ];
        // their centre is (100, 50)
        Assert.Equal(["back", "near", "below", "aside", "far", "farther"], ScrewOrder.Compute(ring).Select(h => h.Id));
    }

    [Fact]
    public void The_inner_rings_centre_counts_for_all_rings()
    {
        BlockHole[] holes =
        [
            Hole("i1", -10, 0, 1),
            Hole("i2", 10, 0, 1),
            // round the same centre, though more lie to the right
            Hole("o1", 20, 0, 3),
            Hole("o2", 60, 0, 3),
            Hole("o3", -25, 0, 3),
        ];
        Assert.Equal(["i2", "i1", "o1", "o3", "o2"], ScrewOrder.Compute(holes).Select(h => h.Id));
    }

    [Theory]
    [InlineData("M3", 9, "M3", 0.5)]
    [InlineData(null, 2.9, "M3", 0.5)]
    [InlineData("odd", 1.7, "M1.6", 0.35)]
    [InlineData("6-32 UNC", 1, "6-32 UNC", 0.794)]
    public void A_thread_is_known_by_its_name_or_by_the_nearest_diameter(
        string? name,
        double mm,
        string is_,
        double pitch
    )
    {
        var thread = ScrewThread.Parse(name, mm);
        Assert.Equal((is_, pitch), (thread.Name, thread.PitchMm));
    }

    [Theory]
    // 580 MPa on the stress areas of ISO 898-1: 2.07, 3.39 and 5.03 mm²
    [InlineData("M2", 1201)]
    [InlineData("M2.5", 1966)]
    [InlineData("M3", 2917)]
    public void A_screw_holds_what_its_stress_area_takes(string name, double holds) =>
        Assert.Equal(holds, ScrewThread.Parse(name, 0).HoldsN, 0.005 * holds);

    [Fact]
    public void Past_what_screws_hold_no_load_is_told()
    {
        BlockHole M(double mm, string? thread) =>
            new()
            {
                Id = "S",
                X = 0,
                Y = 0,
                ScrewMm = mm,
                Thread = thread,
            };
        Assert.Equal(
            ScrewThread.Parse("M2", 0).HoldsN + ScrewThread.Parse("M3", 0).HoldsN,
            ClampLoad.HoldsN([M(2, "M2"), M(3, null)]),
            9
        );
        Assert.Equal(("1966 N", "1966 N"), (ClampLoad.Figure(1966.2, 1966.3), ClampLoad.InWords(1966.2, 1966.3)));
        Assert.Equal(
            ("over 1966 N", "over 1966 N: screws strip"),
            (ClampLoad.Figure(1966.4, 1966.3), ClampLoad.InWords(1966.4, 1966.3))
        );
    }
}
