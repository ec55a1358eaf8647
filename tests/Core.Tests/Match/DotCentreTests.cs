using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Trace;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Dots whose centres are known, looked for from a little off.</summary>
public class DotCentreTests
{
    private static GreyPicture Dot(
        double u,
        double v,
        double a,
        double b,
        double turn = 0,
        double light = 200,
        double dark = 40
    ) => DrawnPicture.Of(60, 50, (x, y) => DrawnPicture.In(x, y, u, v, a, b, turn) ? dark : light);

    [Fact]
    public void A_round_dot_is_met_to_a_thirtieth_of_a_pixel()
    {
        var d = new NormalDraws(2);
        for (var k = 0; k < 20; k++)
        {
            double u = 28 + 3 * d.Uniform(),
                v = 22 + 3 * d.Uniform(),
                r = 3 + 4 * d.Uniform();
            var start = new Point2(u + 2 * d.Uniform() - 1, v + 2 * d.Uniform() - 1);
            var (x, y) = DotCentre.Find(Dot(u, v, r, r), start, r, r, 0);
            Assert.Equal(u, x, 0.033);
            Assert.Equal(v, y, 0.033);
        }
    }

    [Theory]
    [InlineData(0)]
    [InlineData(0.6)]
    [InlineData(-1.2)]
    [InlineData(2.1)]
    public void A_slanted_one_is_met_whatever_its_turn(double turn)
    {
        // dark sectors begin where it is clear of the dot, nearer on its short side
        var picture = DrawnPicture.Of(
            60,
            50,
            (x, y) =>
                DrawnPicture.In(x, y, 29.3, 24.8, 9, 4.5, turn) ? 40
                : DrawnPicture.In(x, y, 29.3, 24.8, 9 * 1.7, 4.5 * 1.7, turn) || x < 29.3 ? 200
                : 40
        );
        var (u, v) = DotCentre.Find(picture, new(29.9, 24.2), 9, 4.5, turn);
        Assert.Equal(29.3, u, 0.03);
        Assert.Equal(24.8, v, 0.03);
    }

    [Fact]
    public void Started_farther_off_it_is_followed()
    {
        var (u, v) = DotCentre.Find(Dot(30.4, 25.7, 6, 6), new(26.9, 28), 6, 6, 0);
        Assert.Equal(30.4, u, 0.02);
        Assert.Equal(25.7, v, 0.02);
    }

    [Fact]
    public void Grain_of_the_light_counts_for_nothing()
    {
        // to the right of the dot it is darker by eleven, and by thirty in the next
        GreyPicture Beside(double less) =>
            DrawnPicture.Of(
                60,
                50,
                (x, y) =>
                    DrawnPicture.In(x, y, 30, 25, 5, 5) ? 40
                    : x > 30 ? 200 - less
                    : 200
            );
        Assert.Equal(30, DotCentre.Find(Beside(11), new(30.5, 25), 5, 5, 0).U, 0.04);
        Assert.InRange(DotCentre.Find(Beside(30), new(30.5, 25), 5, 5, 0).U, 30.06, 30.6);
    }

    [Fact]
    public void Where_nothing_is_dark_it_stays()
    {
        Assert.Equal((20.25, 18.5), DotCentre.Find(Dot(0, 0, 0.1, 0.1), new(20.25, 18.5), 4, 4, 0));
        // lighter than round it is no dot
        Assert.Equal((200.5, 18), DotCentre.Find(Dot(20, 18, 4, 4), new(200.5, 18), 4, 4, 0));
    }

    [Fact]
    public void Cut_by_the_edge_of_the_picture_what_is_seen_of_it_counts()
    {
        var (u, v) = DotCentre.Find(Dot(0, 20, 6, 6), new(1, 20), 6, 6, 0);
        // half a disc's centre lies 4/3π of its radius in, near enough with half a pixel's column cut off
        Assert.Equal(20, v, 0.02);
        Assert.InRange(u, 2, 3);
    }
}
