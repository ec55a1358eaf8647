using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Geometry;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What the supports do not hold has no bow to tell.</summary>
public class BowHoldTests
{
    private static BowProblem Plate(params (double X, double Y)[] at) =>
        new(Sample.Rect(0, 0, 240, 180), 1.6, 22_000, 0.28)
        {
            Supports = [.. at.Select(p => new BowSupport(p.X, p.Y, SupportKind.Pinned, 5))],
            Loads = [new(30, 20, 10, 10, -20)],
            Elements = 400,
        };

    [Fact]
    public void Three_in_a_line_hold_no_plate_and_a_fourth_off_it_does()
    {
        (double, double)[] line = [(-52, 50), (-52, 0), (-52, -46)];
        Assert.Equal(Validity.Outside, BowHold.Check(Plate(line)));
        var refused = Assert.Throws<InputException>(() => BoardBow.Solve(Plate(line)));
        Assert.Equal("supports", refused.Faults[0].Field);
        Assert.Contains("line", refused.Message, StringComparison.Ordinal);
        Assert.Equal(Validity.Ok, BowHold.Check(Plate([.. line, (60, 0)])));
        Assert.InRange(Math.Abs(BoardBow.Solve(Plate([.. line, (60, 0)])).PeakMm), 0, 5);
    }

    [Theory]
    [InlineData(0, 1)]
    [InlineData(30, 1)]
    [InlineData(90, 1)]
    [InlineData(137, -1)]
    public void A_line_is_found_however_it_lies(double degrees, double sense)
    {
        var (c, s) = (Math.Cos(degrees * Math.PI / 180), sense * Math.Sin(degrees * Math.PI / 180));
        (double, double) At(double along, double across) => (along * c - across * s, along * s + across * c);
        Assert.Equal(Validity.Outside, BowHold.Check(Plate(At(-40, 0.4), At(0, 0), At(60, 0.3))));
        Assert.Equal(Validity.Weak, BowHold.Check(Plate(At(-40, 0), At(0, 8), At(60, 0))));
        Assert.Equal(Validity.Ok, BowHold.Check(Plate(At(-40, 0), At(0, 60), At(60, 0))));
    }

    [Fact]
    public void Held_edges_or_one_clamped_disc_hold_it_too()
    {
        var one = Plate((0, 0));
        Assert.Equal(Validity.Outside, BowHold.Check(one));
        Assert.Equal(Validity.Ok, BowHold.Check(one with { Edges = EdgeHold.SimplySupported }));
        Assert.Equal(Validity.Ok, BowHold.Check(one with { Supports = [new(0, 0, SupportKind.Clamped, 6)] }));
    }
}
