using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Trace;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Drawn pictures of known holes, and a camera's plane by hand.</summary>
public class GreyPictureTests
{
    private const int Side = 120;

    /// <summary>Dark where <paramref name="hole"/> says, by 64 points of a pixel; a pixel's centre lies at whole numbers.</summary>
    private static GreyPicture Draw(Func<double, double, bool> hole, int light = 200, int dark = 40)
    {
        var pixels = new byte[Side * Side];
        for (var y = 0; y < Side; y++)
        for (var x = 0; x < Side; x++)
        {
            var inside = 0;
            for (var k = 0; k < 64; k++)
                if (hole(x + (k % 8 - 3.5) / 8, y + (k / 8 - 3.5) / 8))
                    inside++;
            pixels[y * Side + x] = (byte)Math.Round(light - (light - dark) * inside / 64.0);
        }
        return new(Side, Side, pixels);
    }

    private static Func<double, double, bool> Ellipse(double u, double v, double a, double b) =>
        (x, y) => Math.Pow((x - u) / a, 2) + Math.Pow((y - v) / b, 2) < 1;

    [Theory]
    [InlineData(60, 60, 8, 8)]
    [InlineData(60.3, 59.6, 8, 8)]
    [InlineData(40.5, 71.25, 14, 9)]
    [InlineData(71.7, 48.2, 5, 12)]
    public void A_click_near_a_hole_goes_to_its_middle_and_its_size_is_told(double u, double v, double a, double b)
    {
        var picture = Draw(Ellipse(u, v, a, b));
        foreach (var (dx, dy) in new[] { (0, 0), (5, 2), (-4, 6) })
        {
            // a click counts from the picture's corner
            var snap = HoleSnap.Find(picture, u + 0.5 + dx, v + 0.5 + dy, 20);
            Assert.True(snap.Snapped);
            Assert.Equal(u + 0.5, snap.UPx, 0.03);
            Assert.Equal(v + 0.5, snap.VPx, 0.03);
            Assert.Equal(2 * Math.Sqrt(a * b), snap.DiameterPx, 0.006 * 2 * Math.Sqrt(a * b));
        }
    }

    [Fact]
    public void A_click_out_of_reach_or_off_the_picture_stays_where_it_is()
    {
        var picture = Draw(Ellipse(60, 60, 6, 6));
        foreach (var (u, v) in new[] { (75.0, 60.5), (60.5, 45.0), (-3.0, 60.0), (60.0, 119.7) })
            Assert.Equal(new SnapResult(u, v, 0, false), HoleSnap.Find(picture, u, v, 14));
        Assert.True(HoleSnap.Find(picture, 74, 60.5, 14).Snapped);
    }

    [Fact]
    public void Of_two_holes_the_nearer_is_taken()
    {
        var (one, other) = (Ellipse(45, 60, 7, 7), Ellipse(75, 60, 7, 7));
        var picture = Draw((x, y) => one(x, y) || other(x, y));
        Assert.Equal(45.5, HoleSnap.Find(picture, 58, 60, 25).UPx, 0.05);
        Assert.Equal(75.5, HoleSnap.Find(picture, 63, 61, 25).UPx, 0.05);
        var upright = Draw((x, y) => one(y, x) || other(y, x));
        Assert.Equal(45.5, HoleSnap.Find(upright, 60, 58, 25).VPx, 0.05);
        Assert.Equal(75.5, HoleSnap.Find(upright, 61, 63, 25).VPx, 0.05);
    }

    [Fact]
    public void A_scratch_a_corner_a_speck_and_a_patch_too_large_are_no_holes()
    {
        bool Snaps(Func<double, double, bool> dark, double reach = 14) =>
            HoleSnap.Find(Draw(dark), 60.5, 60.5, reach).Snapped;
        // across the whole window
        Assert.False(Snaps((x, y) => Math.Abs(y - 60) < 3));
        Assert.False(Snaps((x, y) => Math.Abs(x - 60) < 3));
        // a bent strip fills little of its box
        Assert.False(Snaps((x, y) => Math.Abs(x - y) < 2 && x is > 50 and < 70));
        Assert.False(Snaps(Ellipse(60, 60, 1.2, 1.2)));
        Assert.True(Snaps(Ellipse(60, 60, 1.8, 1.8)));
        // larger than the reach allows: π·14²·1.5
        Assert.True(Snaps(Ellipse(60, 60, 17, 17)));
        Assert.False(Snaps(Ellipse(60, 60, 17.3, 17.3)));
        Assert.False(Snaps((_, _) => false));
    }

    [Fact]
    public void Between_pixels_brightness_is_linear_both_ways()
    {
        var picture = new GreyPicture(3, 2, [0, 100, 200, 50, 150, 250]);
        Assert.Equal(100, picture[1, 0]);
        Assert.Equal(0, picture.At(0, 0));
        Assert.Equal(25, picture.At(0.25, 0));
        Assert.Equal(12.5, picture.At(0, 0.25));
        Assert.Equal(160 + 12.5, picture.At(1.6, 0.25), 9);
        Assert.Equal(250, picture.At(2, 1));
        Assert.True(picture.Inside(0, 0) && picture.Inside(2, 1));
        Assert.False(
            picture.Inside(-0.1, 0) || picture.Inside(0, -0.1) || picture.Inside(2.1, 1) || picture.Inside(2, 1.1)
        );
    }

    private static readonly double[] Camera = [3.1, -0.4, 120, 0.3, -2.8, 900, 4e-4, -7e-4, 1];

    [Fact]
    public void A_plane_seen_is_found_again_from_four_points_or_more()
    {
        Point2[] four = [new(-40, -30), new(60, -35), new(70, 50), new(-45, 40)];
        foreach (var points in new[] { four, [.. four, new(3, 4), new(20, -10)] })
        {
            var seen = points.Select(p => Homography.Apply(Camera, p)).ToArray();
            var h = Homography.Direct(points, seen);
            foreach (var p in new Point2[] { new(0, 0), new(13, 27), new(-20, 44) })
            {
                var (a, b) = (Homography.Apply(Camera, p), Homography.Apply(h, p));
                Assert.Equal(a.X, b.X, 6);
                Assert.Equal(a.Y, b.Y, 6);
            }
        }
    }

    [Fact]
    public void There_and_back_is_where_it_began()
    {
        var back = Homography.Inverse(Camera);
        var p = new Point2(17, -23);
        var again = Homography.Apply(back, Homography.Apply(Camera, p));
        Assert.Equal(p.X, again.X, 9);
        Assert.Equal(p.Y, again.Y, 9);
        // one after the other is their product
        var product = Homography.Product(back, Camera);
        Assert.Equal(p.X, Homography.Apply(product, p).X, 9);
        double[] shift = [1, 0, 5, 0, 1, 7, 0, 0, 1],
            grow = [2, 0, 0, 0, 3, 0, 0, 0, 1];
        Assert.Equal([2, 0, 5, 0, 3, 7, 0, 0, 1], Homography.Product(shift, grow));
        Assert.Equal([2, 0, 10, 0, 3, 21, 0, 0, 1], Homography.Product(grow, shift));
    }

    [Fact]
    public void Draws_are_those_of_the_published_generator()
    {
        // the first outputs for the seed 1234567
        ulong[] published =
        [
            6457827717110365317,
            3203168211198807973,
            9817491932198370423,
            4593380528125082431,
            16408922859458223821,
        ];
        var d = new NormalDraws(1234567);
        foreach (var z in published)
            Assert.Equal((z >> 11) / 9007199254740992.0, d.Uniform());
    }

    [Fact]
    public void Normal_draws_have_the_moments_of_a_normal_and_do_not_hang_together()
    {
        var d = new NormalDraws(77);
        const int n = 100_000;
        double[] v = [.. Enumerable.Range(0, n).Select(_ => d.Next())];
        double Mean(Func<double, double> of) => v.Sum(of) / n;
        Assert.Equal(0, Mean(x => x), 0.015);
        Assert.Equal(1, Mean(x => x * x), 0.02);
        Assert.Equal(0, Mean(x => x * x * x), 0.05);
        Assert.Equal(3, Mean(x => Math.Pow(x, 4)), 0.15);
        Assert.Equal(0.6827, Mean(x => Math.Abs(x) < 1 ? 1 : 0), 0.006);
        Assert.Equal(0, v.Zip(v.Skip(1), (a, b) => a * b).Sum() / n, 0.015);
    }
}
