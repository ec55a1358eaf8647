using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What the distances between holes rule out, and that they never rule out what fits.</summary>
public class HoleDistancesTests
{
    private static Board Holes(double diameter, double slot, params Point2[] at) =>
        Sample.Board() with
        {
            Holes =
            [
                .. at.Select(
                    (p, i) => new BoardHole($"H{i}", p.X, p.Y, diameter, HoleRole.Perimeter) { SlotMm = slot }
                ),
            ],
        };

    private static Block Screws(double screw, params Point2[] at)
    {
        var block = Sample.Block();
        return block with
        {
            Plates =
            [
                block.Plates[0] with
                {
                    Holes =
                    [
                        .. at.Select(
                            (p, i) =>
                                new BlockHole
                                {
                                    Id = $"S{i}",
                                    X = p.X,
                                    Y = p.Y,
                                    ScrewMm = screw,
                                    Required = true,
                                }
                        ),
                    ],
                },
            ],
        };
    }

    private static bool May(Board board, Block block) => new HoleDistances(board).MayLineUp(block);

    [Theory]
    // two holes 20 mm apart, 0.15 mm of slack in each
    [InlineData(20.299, 0, true)]
    [InlineData(20.301, 0, false)]
    [InlineData(19.701, 0, true)]
    [InlineData(19.699, 0, false)]
    // slots of 2 mm reach one millimetre further in each
    [InlineData(22.299, 2, true)]
    [InlineData(22.301, 2, false)]
    public void Two_screws_are_as_far_apart_as_their_holes_up_to_slack_and_slot(double apart, double slot, bool may) =>
        Assert.Equal(may, May(Holes(2.8, slot, new(0, 0), new(12, 16)), Screws(2.5, new(0, 0), new(apart, 0))));

    [Fact]
    public void A_screw_too_thick_goes_through_nothing()
    {
        var board = Holes(2.5, 0, new(0, 0), new(20, 0));
        Assert.True(May(board, Screws(2.5, new(5, 0), new(25, 0))));
        Assert.False(May(board, Screws(2.51, new(5, 0), new(25, 0))));
    }

    [Fact]
    public void What_need_not_go_through_rules_nothing_out()
    {
        var board = Holes(2.8, 0, new(0, 0), new(20, 0));
        var far = Screws(2.5, new(0, 0), new(70, 0));
        Assert.False(May(board, far));
        var plate = far.Plates[0];
        Assert.True(
            May(
                board,
                far with
                {
                    Plates = [plate with { Holes = [plate.Holes[0], plate.Holes[1] with { Required = false }] }],
                }
            )
        );
        // nor what lies on another board
        Assert.True(May(board, far with { Plates = [plate with { Board = "other" }] }));
        Assert.False(May(board, far with { Plates = [plate with { Board = board.Id }] }));
        Assert.False(May(Holes(2.8, 0), Screws(2.5, new Point2(0, 0))));
        Assert.True(May(Holes(2.8, 0), Screws(2.5)));
    }

    [Fact]
    public void A_right_choice_is_found_behind_wrong_ones()
    {
        // pairs of every distance but only one right triangle of 30, 40 and 50
        var board = Holes(2.8, 0, new(0, 0), new(50, 0), new(50, 40), new(100, 0), new(100, 30), new(60, 0));
        Assert.True(May(board, Screws(2.5, new(0, 0), new(30, 0), new(0, 40))));
        Assert.False(May(board, Screws(2.5, new(0, 0), new(33, 0), new(0, 44))));
    }

    [Theory]
    // two holes 50 mm apart: twice the capture of 2 mm, and 0.04 of what lies between the screws
    [InlineData(56.2, 0, true)]
    [InlineData(56.3, 0, false)]
    [InlineData(44.3, 0, true)]
    [InlineData(44.2, 0, false)]
    // twice a slot's length more
    [InlineData(60.3, 2, true)]
    [InlineData(60.5, 2, false)]
    public void Measured_holes_out_of_all_reach_pair_with_nothing(double apart, double slot, bool may)
    {
        foreach (var turn in new[] { 0, 90, -137 })
        {
            var at = new Point2(50, 0).Turned(turn * Math.PI / 180);
            var board = Holes(2.8, slot, new(3, 4), at + new Point2(3, 4));
            var block = Screws(2.5, new(0, 0), new(apart, 0)) with { Rotations = [turn] };
            Assert.Equal(may, FitScan.MayPair(board, block));
            // turned otherwise than it is allowed to be it reaches nothing
            Assert.False(FitScan.MayPair(board, block with { Rotations = [turn + 90] }));
            Assert.Equal(may, FitScan.MayPair(board, block with { Rotations = [turn + 90, turn] }));
        }
    }

    [Fact]
    public void One_screw_pairs_with_any_hole_and_none_with_nothing()
    {
        Assert.True(FitScan.MayPair(Holes(2.8, 0, new Point2(0, 0)), Screws(2.5, new Point2(90, 0))));
        Assert.False(FitScan.MayPair(Holes(2.8, 0), Screws(2.5, new Point2(90, 0))));
        Assert.True(FitScan.MayPair(Holes(2.8, 0), Screws(2.5)));
        Assert.False(FitScan.MayPair(Holes(2.8, 0), Screws(2.5, new(0, 0), new(9, 0))));
    }

    [Fact]
    public void What_fits_is_never_ruled_out()
    {
        var d = new NormalDraws(12);
        for (var k = 0; k < 200; k++)
        {
            Point2[] at = [.. Enumerable.Range(0, 9).Select(_ => new Point2(80 * d.Uniform(), 60 * d.Uniform()))];
            var pose = new Placement(10 * d.Next(), 10 * d.Next(), 360 * d.Uniform());
            // some of the holes, each screw off its middle by less than the slack
            Point2[] screws =
            [
                .. at.Take(3 + k % 6)
                    .Select(p => pose.Apply(p + new Point2(0.149, 0).Turned(2 * Math.PI * d.Uniform()))),
            ];
            Assert.True(May(Holes(2.8, 0, at), Screws(2.5, screws)));
        }
    }
}
