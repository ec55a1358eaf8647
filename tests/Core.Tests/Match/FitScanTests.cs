using CsCheck;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Perf;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class FitScanTests
{
    [Theory]
    [InlineData(0)]
    [InlineData(0.1)]
    public void A_scan_gives_the_plain_loops_answers(double sigma)
    {
        var board = Sample.Board(sigma, Sample.Part("C1", PartKind.Capacitor, 35, 0, 5, 5, 2.6));
        var blocks = BlockCrowd.Make(Sample.Block(), 600, 3);
        var scan = FitScan.Run(board, blocks);
        Assert.Contains(scan, e => e.Fit is null);
        Assert.Contains(scan, e => e.Verdict != Verdict.Clashes);
        foreach (var e in scan)
        {
            var f = Fit.Judge(board, e.Block);
            Assert.Equal(
                (f.Verdict, f.Grade, f.Summary, f.ChanceOfSeating),
                (e.Verdict, e.Grade, e.Summary, e.ChanceOfSeating)
            );
        }
    }

    [Fact]
    public void No_choice_of_holes_is_said_only_where_no_placement_fits()
    {
        // patterns bent by up to twice the slack, turned and shifted: whatever fits must pass the test on distances
        var fits = 0;
        Gen.Select(Gen.Double[-0.16, 0.16].Array[8], Gen.Double[-170, 170])
            .Sample(
                (bend, turn) =>
                {
                    var board = Sample.Board();
                    var block = Sample.Block();
                    var holes = block
                        .Plates[0]
                        .Holes.Select(
                            (h, i) =>
                                (
                                    h,
                                    at: new Point2(h.X + bend[2 * i], h.Y + bend[2 * i + 1]).Turned(
                                        turn * Math.PI / 180
                                    ) + new Point2(3, -5)
                                )
                        )
                        .Select(p => p.h with { X = p.at.X, Y = p.at.Y })
                        .ToList();
                    var bent = block with { Rotations = [-turn], Plates = [block.Plates[0] with { Holes = holes }] };
                    if (!HoleAlignment.Align(board, holes, -turn).Fits)
                        return;
                    Interlocked.Increment(ref fits);
                    Assert.True(new HoleDistances(board).MayLineUp(bent));
                },
                iter: 400
            );
        Assert.InRange(fits, 20, 400);
    }

    [Fact]
    public void Holes_that_lie_too_far_apart_are_told_without_a_placement()
    {
        var block = Sample.Block();
        var wide = block with
        {
            Plates =
            [
                block.Plates[0] with
                {
                    Holes = [.. block.Plates[0].Holes.Select((h, i) => i == 2 ? h with { X = h.X + 0.7 } : h)],
                },
            ],
        };
        Assert.True(new HoleDistances(Sample.Board()).MayLineUp(block));
        Assert.False(new HoleDistances(Sample.Board()).MayLineUp(wide));
        // a slot that reaches there takes the screw again
        var slotted = Sample.Board() with
        {
            Holes = [.. Sample.Board().Holes.Select((h, i) => i == 2 ? h with { SlotMm = 2 } : h)],
        };
        Assert.True(new HoleDistances(slotted).MayLineUp(wide));
    }
}
