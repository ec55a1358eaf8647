using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Trace;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Clicks drawn to the middles of holes in pictures drawn by hand.</summary>
public class HoleSnapTests
{
    /// <param name="light">At each pixel without a hole.</param>
    private static GreyPicture Draw(
        int width,
        int height,
        Func<int, int, double> light,
        params (double U, double V, double A, double B, double Dark)[] holes
    )
    {
        var pixels = new byte[width * height];
        for (var y = 0; y < height; y++)
        for (var x = 0; x < width; x++)
        {
            double sum = 0;
            for (var k = 0; k < 64; k++)
            {
                double px = x + (k % 8 + 0.5) / 8,
                    py = y + (k / 8 + 0.5) / 8,
                    at = light(x, y);
                foreach (var h in holes)
                    if (Math.Pow((px - h.U) / h.A, 2) + Math.Pow((py - h.V) / h.B, 2) <= 1)
                        at = h.Dark;
                sum += at;
            }
            pixels[y * width + x] = (byte)Math.Clamp(Math.Round(sum / 64), 0, 255);
        }
        return new(width, height, pixels);
    }

    private static (double, double, double, double, double) Disc(double u, double v, double r, double dark = 30) =>
        (u, v, r, r, dark);

    private static void Met(SnapResult snap, double u, double v, double diameter, double within = 0.06)
    {
        Assert.True(snap.Snapped);
        Assert.Equal(u, snap.UPx, within);
        Assert.Equal(v, snap.VPx, within);
        Assert.Equal(diameter, snap.DiameterPx, 3 * within);
    }

    [Fact]
    public void A_hole_is_met_to_a_sixteenth_of_a_pixel_wherever_it_lies()
    {
        var d = new NormalDraws(8);
        for (var k = 0; k < 40; k++)
        {
            double u = 40 + 25 * d.Uniform(),
                v = 30 + 25 * d.Uniform(),
                r = 5 + 7 * d.Uniform();
            var dark = 10 + 60 * d.Uniform();
            var picture = Draw(110, 90, (_, _) => 170, Disc(u, v, r, dark));
            Met(HoleSnap.Find(picture, u + 3 * d.Uniform() - 1.5, v + 3 * d.Uniform() - 1.5, 14), u, v, 2 * r);
        }
    }

    [Fact]
    public void Light_that_falls_from_one_side_and_grain_move_it_little()
    {
        var d = new NormalDraws(9);
        for (var k = 0; k < 10; k++)
        {
            double u = 45 + 10 * d.Uniform(),
                v = 45 + 10 * d.Uniform();
            var picture = Draw(100, 100, (x, y) => 130 + 0.5 * x + 6 * d.Next(), Disc(u, v, 8, 40));
            Met(HoleSnap.Find(picture, u + 2, v - 2, 12), u, v, 16, 0.25);
        }
    }

    [Fact]
    public void A_slanted_hole_is_as_wide_as_a_circle_of_its_area()
    {
        var snap = HoleSnap.Find(Draw(100, 100, (_, _) => 180, (50.3, 48.6, 11, 7, 30)), 50, 50, 14);
        Met(snap, 50.3, 48.6, 2 * Math.Sqrt(77), 0.1);
    }

    [Fact]
    public void Of_two_the_nearer_one_is_taken_and_none_farther_than_the_reach()
    {
        var picture = Draw(140, 80, (_, _) => 170, Disc(45, 40, 7), Disc(75, 40, 7));
        Met(HoleSnap.Find(picture, 58, 40, 20), 45, 40, 14);
        Met(HoleSnap.Find(picture, 62, 40, 20), 75, 40, 14);
        Met(HoleSnap.Find(picture, 45, 29.5, 11), 45, 40, 14);
        var far = HoleSnap.Find(picture, 45, 28.5, 11);
        Assert.Equal((45, 28.5, 0, false), (far.UPx, far.VPx, far.DiameterPx, far.Snapped));
    }

    [Fact]
    public void Near_the_pictures_edge_a_whole_hole_is_met_and_a_cut_one_is_not()
    {
        foreach (var (u, v) in new[] { (9.0, 40.0), (91, 40), (50, 9), (50, 71) })
            Met(HoleSnap.Find(Draw(100, 80, (_, _) => 170, Disc(u, v, 6)), u, v, 12), u, v, 12);
        foreach (var (u, v) in new[] { (4.0, 40.0), (96, 40), (50, 4), (50, 76) })
            Assert.False(HoleSnap.Find(Draw(100, 80, (_, _) => 170, Disc(u, v, 6)), u, v, 12).Snapped);
        // its rim touches the edge
        Assert.False(HoleSnap.Find(Draw(100, 80, (_, _) => 170, Disc(6, 40, 6)), 6, 40, 12).Snapped);
        var outside = HoleSnap.Find(Draw(100, 80, (_, _) => 170, Disc(50, 40, 6)), 140, 40, 12);
        Assert.Equal((140, 40, false), (outside.UPx, outside.VPx, outside.Snapped));
        Assert.False(HoleSnap.Find(Draw(4, 60, (_, _) => 170), 2, 30, 12).Snapped);
        Assert.False(HoleSnap.Find(Draw(60, 4, (_, _) => 170), 30, 2, 12).Snapped);
    }

    [Fact]
    public void What_is_no_round_patch_is_passed_over()
    {
        // a slanting trace fills little of its box; a speck is smaller than six pixels; a label is larger than a hole may be
        GreyPicture Dark(Func<int, int, bool> dark) => Draw(100, 100, (x, y) => dark(x, y) ? 30 : 170);
        Assert.False(HoleSnap.Find(Dark((x, y) => Math.Abs(x - y) <= 2 && x is > 38 and < 62), 50, 50, 14).Snapped);
        Assert.False(HoleSnap.Find(Dark((x, y) => x is 50 or 51 && y is 50 or 51), 50, 50, 14).Snapped);
        Assert.False(HoleSnap.Find(Dark((x, y) => x is > 32 and < 68 && y is > 32 and < 68), 50, 50, 14).Snapped);
        // beside a trace the hole is met all the same
        var both = Draw(100, 100, (x, y) => Math.Abs(x - y - 26) <= 1 ? 60 : 170, Disc(48, 52, 7));
        Met(HoleSnap.Find(both, 50, 50, 12), 48, 52, 14, 0.15);
    }

    [Fact]
    public void Dark_and_light_are_parted_where_they_part_best()
    {
        // a dim hole on a dim board, and a bright one on a white board
        Met(HoleSnap.Find(Draw(90, 90, (_, _) => 40, Disc(44.4, 45.7, 8, 5)), 45, 45, 14), 44.4, 45.7, 16, 0.1);
        Met(HoleSnap.Find(Draw(90, 90, (_, _) => 250, Disc(44.4, 45.7, 8, 190)), 45, 45, 14), 44.4, 45.7, 16, 0.1);
        // darker than its middle grey is a shade about it: the hole itself is met
        var shade = Draw(
            90,
            90,
            (x, y) => Math.Sqrt(Math.Pow(x - 45, 2) + Math.Pow(y - 45, 2)) > 30 ? 150 : 170,
            Disc(45, 45, 8, 20)
        );
        Met(HoleSnap.Find(shade, 45, 45, 14), 45, 45, 16, 0.1);
    }
}
