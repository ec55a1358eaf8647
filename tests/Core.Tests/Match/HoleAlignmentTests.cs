using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Which hole each screw meets: from where the block stands, shifted, turned, over slots, and with screws that find none.</summary>
public class HoleAlignmentTests
{
    private static Board Holes(params BoardHole[] holes) => Sample.Board() with { Holes = holes };

    private static BoardHole Hole(string id, double x, double y, double mm = 2.8, double slot = 0, double deg = 0) =>
        new(id, x, y, mm, HoleRole.Retention) { SlotMm = slot, SlotDeg = deg };

    private static BlockHole Screw(string id, double x, double y, bool required = true, double mm = 2.5) =>
        new()
        {
            Id = id,
            X = x,
            Y = y,
            ScrewMm = mm,
            Required = required,
        };

    private static readonly BlockHole[] Three = [Screw("a", 0, 0), Screw("b", 30, 0), Screw("c", 0, 20)];

    private static readonly BoardHole[] Board3 = [Hole("A", 0, 0), Hole("B", 30, 0), Hole("C", 0, 20)];

    private static string Met(Alignment a) => string.Join(" ", a.Screws.Select(s => $"{s.BlockHole}{s.BoardHole}"));

    [Fact]
    public void From_where_it_stands_each_screw_meets_the_hole_under_it()
    {
        var a = HoleAlignment.Align(Holes(Board3), Three, 0);
        Assert.Equal("aA bB cC", Met(a));
        Assert.Equal((0, 0, 0, 0), (a.Ratio, a.Placement.XMm, a.Placement.YMm, a.Placement.RotationDeg));
        Assert.True(a.Fits);
        Assert.All(a.Screws, s => Assert.Equal((0, 0.15), (s.MissMm!.Value, Math.Round(s.SlackMm!.Value, 9))));
    }

    [Theory]
    [InlineData(0)]
    [InlineData(90)]
    [InlineData(180)]
    [InlineData(-90)]
    public void Drawn_elsewhere_it_is_shifted_onto_its_holes_at_the_turn_asked(double turn)
    {
        var to = new Placement(17, -44, turn);
        BoardHole[] holes =
        [
            Hole("X", 100, 100),
            .. Board3.Select(h => h with { X = to.Apply(h.At).X, Y = to.Apply(h.At).Y }),
            Hole("Y", -60, 8),
        ];
        var a = HoleAlignment.Align(Holes(holes), Three, turn);
        Assert.Equal("aA bB cC", Met(a));
        Assert.Equal(17, a.Placement.XMm, 6);
        Assert.Equal(-44, a.Placement.YMm, 6);
        Assert.Equal(turn, a.Placement.RotationDeg, 6);
        // found again by laying the first screw on every hole
        var search = HoleAlignment.Search(Holes(holes), Three, turn).ToList();
        Assert.Equal("aA bB cC", Met(Assert.Single(search)));
        Assert.False(HoleAlignment.Standing(Holes(holes), Three, turn).Fits);
    }

    [Fact]
    public void A_screw_is_captured_within_two_millimetres_and_by_the_nearer_of_two()
    {
        string? Of(double off, params BoardHole[] more) =>
            HoleAlignment
                .Standing(
                    Holes([.. Board3, Hole("N", 60 + off, 40), .. more]),
                    [.. Three, Screw("n", 60, 40, false)],
                    0
                )
                .Screws[3]
                .BoardHole;
        Assert.Equal("N", Of(1.99));
        Assert.Null(Of(2.01));
        Assert.Equal("M", Of(1.5, Hole("M", 60, 41.2)));
        // one hole serves the screw that lies nearer
        var two = HoleAlignment.Standing(Holes(Board3), [.. Three, Screw("z", 30, 0.6, false)], 0);
        Assert.Equal("aA bB cC z", Met(two));
    }

    [Fact]
    public void A_slot_is_met_along_its_length_in_its_direction()
    {
        Alignment Over(double slot, double deg, double dx, double dy) =>
            HoleAlignment.Standing(
                Holes([.. Board3, Hole("L", 60, 40, 2.8, slot, deg)]),
                [.. Three, Screw("l", 60 + dx, 40 + dy, false)],
                0
            );
        // three millimetres off lies in reach along a slot of six, and its miss is what lies across
        Assert.Equal(0, Over(6, 0, 3, 0).Screws[3].MissMm!.Value, 9);
        Assert.Equal(0.1, Over(6, 0, -2.5, 0.1).Screws[3].MissMm!.Value, 9);
        Assert.Equal(0, Over(6, 90, 0, 3).Screws[3].MissMm!.Value, 9);
        Assert.Null(Over(6, 90, 3, 0).Screws[3].BoardHole);
        Assert.Equal(0.5, Over(6, 0, 3.5, 0).Screws[3].MissMm!.Value, 9);
        Assert.Equal("L", Over(6, 0, 4.9, 0).Screws[3].BoardHole);
        Assert.Null(Over(6, 0, 5.1, 0).Screws[3].BoardHole);
        var slant = Over(6, 30, 3 * Math.Cos(Math.PI / 6), 1.5);
        Assert.Equal(0, slant.Screws[3].MissMm!.Value, 9);
        Assert.True(slant.Screws[3].Passes);
    }

    [Fact]
    public void Optional_screws_follow_and_do_not_pull()
    {
        // the optional one lies 0.4 mm off: the required ones stay dead on
        var a = HoleAlignment.Align(Holes([.. Board3, Hole("D", 30, 20)]), [.. Three, Screw("d", 30.4, 20, false)], 0);
        Assert.Equal(0, a.Ratio, 9);
        Assert.Equal(0.4, a.Screws[3].MissMm!.Value, 9);
        Assert.True(a.Fits);
        Assert.False(a.Screws[3].Passes);
        // with none required they are all there is to go by
        var free = HoleAlignment.Align(
            Holes([.. Board3.Select(h => h with { X = h.X + 0.5 })]),
            [.. Three.Select(s => s with { Required = false })],
            0
        );
        Assert.Equal(0.5, free.Placement.XMm, 6);
        Assert.Equal(3, free.RequiredPairs.Count);
        Assert.Empty(HoleAlignment.Align(Holes(Board3), [], 90).Screws);
    }

    [Fact]
    public void The_placement_that_leaves_fewest_screws_without_a_hole_is_taken_then_the_least_miss()
    {
        // four screws, a board with two places: three of them in one, two in the other
        BlockHole[] four = [.. Three, Screw("d", 30, 20)];
        var board = Holes(
            Hole("p", 100, 0),
            Hole("q", 130, 0),
            Hole("r", 0, 100),
            Hole("s", 30, 100),
            Hole("t", 0, 120)
        );
        var a = HoleAlignment.Align(board, four, 0);
        Assert.Equal("ar bs ct d", Met(a));
        Assert.False(a.Fits);
        // two places for all, one of them bent by two tenths of a millimetre
        BoardHole[] bent = [.. Board3.Select(h => h with { Id = "b" + h.Id, X = h.X + 100 + (h.Id == "B" ? 0.2 : 0) })];
        BoardHole[] straight = [.. Board3.Select(h => h with { Id = "s" + h.Id, Y = h.Y + 100 })];
        Assert.Equal("asA bsB csC", Met(HoleAlignment.Align(Holes([.. bent, .. straight]), Three, 0)));
        Assert.Equal(
            ["abA bbB cbC", "asA bsB csC"],
            HoleAlignment.Search(Holes([.. bent, .. straight]), Three, 0).Select(Met)
        );
    }

    [Fact]
    public void A_hole_too_small_for_the_first_screw_is_not_tried_and_a_just_wide_one_is()
    {
        Assert.Empty(HoleAlignment.Search(Holes([.. Board3.Select(h => h with { DiameterMm = 2.49 })]), Three, 0));
        Assert.Single(HoleAlignment.Search(Holes([.. Board3.Select(h => h with { DiameterMm = 2.5 })]), Three, 0));
        // the others' holes are looked at after the placement
        Assert.Empty(HoleAlignment.Search(Holes([Board3[0], Board3[1], Board3[2] with { DiameterMm = 2 }]), Three, 0));
    }

    [Theory]
    [InlineData(0.15, 0.15, true)]
    [InlineData(0.1501, 0.15, false)]
    [InlineData(0.0, 0.0, true)]
    [InlineData(0.0, -0.1, false)]
    public void A_screw_passes_up_to_its_slack(double miss, double slack, bool passes)
    {
        Assert.Equal(passes, new ScrewFit("S", "H", miss, slack, true).Passes);
        Assert.False(new ScrewFit("S", null, miss, slack, true).Passes);
    }
}
