using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What a plate comes to rest on.</summary>
public class PlaneHeightTests
{
    private static Pairing Over(string id, double heightMm, double stepMm, Through through = Through.Paste) =>
        new(
            Sample.Part(id, PartKind.Die, 0, 0, 20, 20, heightMm, Cooling.Must),
            new()
            {
                Id = "L" + id,
                Outline = Sample.Rect(0, 0, 24, 24),
                StepMm = stepMm,
                StepTolMm = 0.02,
                For = PartKind.Die,
                Through = through,
            },
            1,
            Sample.Rect(0, 0, 24, 24)
        );

    private static PlaneHeight? Of(Seat seat, double? standoff, params Pairing[] pairings) =>
        PlaneHeight.Compute(seat, standoff, 0.1, pairings, 0.03);

    [Fact]
    public void On_a_die_it_is_the_dies_height_less_the_lands_step_and_the_paste()
    {
        var plane = Of(Seat.Die, null, Over("U1", 2.1, -0.4))!;
        Assert.Equal(2.1 + 0.4 + 0.03, plane.Mm, 12);
        Assert.Equal("U1", plane.Controlling!.Part.Id);
        Assert.Equal([0.05, 0.02], plane.TolerancesMm);
        Assert.Equal(2.1 - 0.3 + 0.03, Of(Seat.Die, null, Over("U1", 2.1, 0.3))!.Mm, 12);
    }

    [Fact]
    public void The_highest_carries_it_and_of_two_alike_the_first()
    {
        Pairing low = Over("U1", 2.0, 0),
            high = Over("U2", 2.4, 0.1),
            padded = Over("M1", 9, 0, Through.Pad);
        Assert.Equal("U2", Of(Seat.Die, null, low, high, padded)!.Controlling!.Part.Id);
        Assert.Equal("U2", Of(Seat.Die, null, high, low)!.Controlling!.Part.Id);
        Assert.Equal("U1", Of(Seat.Die, null, low, Over("U3", 2.0, 0))!.Controlling!.Part.Id);
    }

    [Fact]
    public void A_standoff_carries_what_stands_on_one_and_what_meets_no_die()
    {
        var stands = Of(Seat.Standoff, 3, Over("U1", 9, 0))!;
        Assert.Equal((3.0, null), (stands.Mm, stands.Controlling));
        Assert.Equal([0.1], stands.TolerancesMm);
        Assert.Null(Of(Seat.Standoff, null, Over("U1", 9, 0)));
        Assert.Equal(3, Of(Seat.Die, 3)!.Mm);
        Assert.Equal(3, Of(Seat.Die, 3, Over("M1", 9, 0, Through.Pad))!.Mm);
        Assert.Null(Of(Seat.Die, null));
        Assert.Equal(2.13, Of(Seat.Die, 3, Over("U1", 2.1, 0))!.Mm, 12);
    }
}
