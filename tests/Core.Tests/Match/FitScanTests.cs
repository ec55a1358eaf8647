using CsCheck;
using FaithfulBracket.Core.Blocks;
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

    private static ScanEntry One(Board board, Block block) => FitScan.Run(board, [block])[0];

    [Fact]
    public void Another_socket_settles_it_by_name()
    {
        static SocketFit For(string socket) => new(socket, null, null, null, null, null, null);
        var board = Sample.Board() with { Socket = "Q7" };
        var other = One(board, Sample.Block() with { Sockets = [For("Z1"), For("Z2")] });
        Assert.Equal(
            (Verdict.Clashes, "wrong socket", 0),
            (other.Verdict, other.Summary.ToString(), other.ChanceOfSeating)
        );
        Assert.Equal("The board's socket is Q7; the block is made for Z1, Z2.", other.TopReason);
        Assert.True(other.IsHopeless);
        Assert.Null(other.Fit);
        Assert.NotNull(One(board, Sample.Block() with { Sockets = [For("Z1"), For("Q7")] }).Fit);
        Assert.NotNull(One(board, Sample.Block()).Fit);
        Assert.NotNull(One(Sample.Board(), Sample.Block() with { Sockets = [For("Z1")] }).Fit);
    }

    private static Block Moved(Func<BlockHole, int, BlockHole> change) =>
        Sample.Block() with
        {
            Plates = [Sample.Block().Plates[0] with { Holes = [.. Sample.Block().Plates[0].Holes.Select(change)] }],
        };

    [Fact]
    public void Another_pattern_of_screws_is_hopeless_and_what_clashes_otherwise_is_not()
    {
        var far = One(Sample.Board(), Moved((h, i) => i == 2 ? h with { X = h.X + 3 } : h));
        Assert.Equal(("screws do not line up", true), (far.Summary, far.IsHopeless));
        Assert.StartsWith("The block's pattern of holes is another", far.TopReason, StringComparison.Ordinal);
        var tall = One(Sample.Board(more: Sample.Part("C1", PartKind.Capacitor, 35, 0, 5, 5, 4)), Sample.Block());
        Assert.Equal((Verdict.Clashes, false), (tall.Verdict, tall.IsHopeless));
        Assert.False(One(Sample.Board(), Sample.Block()).IsHopeless);
    }

    [Fact]
    public void On_a_measured_board_only_what_is_out_of_all_reach_is_settled()
    {
        var board = Sample.Board(0.1);
        // twice the capture radius and what a small turn adds over 82 mm
        var reach = 4 + 0.04 * (58 * Math.Sqrt(2));
        Block Off(double mm, bool required = true) =>
            Moved(
                (h, i) =>
                    i == 2
                        ? h with
                        {
                            X = h.X + mm * Math.Sqrt(0.5),
                            Y = h.Y + mm * Math.Sqrt(0.5),
                            Required = required,
                        }
                        : h
            );
        Assert.True(FitScan.MayPair(board, Off(0)));
        Assert.True(FitScan.MayPair(board, Off(4)));
        // farther out the turn adds a little more
        Assert.False(FitScan.MayPair(board, Off(reach + 0.5)));
        Assert.True(FitScan.MayPair(board, Off(reach + 0.5, required: false)));
        // along a slot it is met again, the whole of its length in either place
        var slotted = board with
        {
            Holes = [.. board.Holes.Select((h, i) => i == 2 ? h with { SlotMm = 2 } : h)],
        };
        Assert.True(FitScan.MayPair(slotted, Off(reach + 0.5)));
        // turned as the block may lie
        var wide = Sample.Board(0.1) with
        {
            Holes = [.. board.Holes.Select(h => h with { X = 1.4 * h.X })],
        };
        var deep = Moved((h, _) => h with { Y = 1.4 * h.Y });
        Assert.False(FitScan.MayPair(wide, deep));
        Assert.True(FitScan.MayPair(wide, deep with { Rotations = [0, 90] }));
        // another board's plate is not asked
        var foreign = deep with
        {
            Plates = [deep.Plates[0] with { Board = "elsewhere" }],
        };
        Assert.True(FitScan.MayPair(wide, foreign));
        Assert.False(FitScan.MayPair(wide with { Holes = [] }, deep));
        Assert.True(
            FitScan.MayPair(wide with { Holes = [wide.Holes[0]] }, Moved((h, i) => h with { Required = i == 0 }))
        );
        Assert.False(FitScan.MayPair(wide with { Holes = [] }, Moved((h, i) => h with { Required = i == 0 })));
    }
}
