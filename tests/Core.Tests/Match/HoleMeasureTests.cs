using FaithfulBracket.Core.Match.Trace;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Holes of known centre and area, sharp, blurred and lit from one side.</summary>
public class HoleMeasureTests
{
    private static (double X, double Y, double Area) Of(
        GreyPicture picture,
        double threshold = 120,
        int x0 = 0,
        int y0 = 0
    )
    {
        // the patch as it is found in a window of the picture
        int w = picture.Width - x0,
            h = picture.Height - y0;
        var dark = new bool[w * h];
        for (var j = 0; j < h; j++)
        for (var i = 0; i < w; i++)
            dark[j * w + i] = picture[x0 + i, y0 + j] < threshold;
        return HoleMeasure.Fit(picture, Blobs.Find(dark, w, h, 4, w * h).MaxBy(b => b.Area)!, x0, y0);
    }

    private static GreyPicture Hole(
        double u,
        double v,
        double a,
        double b,
        double turn = 0,
        double dark = 30,
        Func<double, double, double>? light = null
    ) => DrawnPicture.Of(70, 60, (x, y) => DrawnPicture.In(x, y, u, v, a, b, turn) ? dark : light?.Invoke(x, y) ?? 190);

    [Theory]
    [InlineData(34.2, 29.7, 5, 5, 0, 0)]
    [InlineData(30.5, 31.4, 11, 7, 0.0, 9)]
    [InlineData(30.5, 31.4, 7, 11, 0.0, 9)]
    [InlineData(33, 28.25, 8, 8, 0, 12)]
    public void Centre_and_area_are_met(double u, double v, double a, double b, double turn, int window)
    {
        var (x, y, area) = Of(Hole(u, v, a, b, turn), x0: window, y0: window / 2);
        Assert.Equal(u, x, 0.02);
        Assert.Equal(v, y, 0.02);
        Assert.Equal(Math.PI * a * b, area, 0.01 * Math.PI * a * b);
    }

    [Theory]
    [InlineData(60)]
    [InlineData(120)]
    [InlineData(165)]
    public void The_area_stays_whatever_threshold_found_the_patch(double threshold)
    {
        // a rim of two pixels from dark to light
        var soft = DrawnPicture.Of(
            70,
            60,
            (x, y) => 30 + 160 * Math.Clamp((Math.Sqrt(Math.Pow(x - 33.4, 2) + Math.Pow(y - 30.2, 2)) - 8) / 2, 0, 1)
        );
        // as much dark as a disc whose rim lies half way, and a little for the ring's own curve
        var expected = Math.PI * (8 * 8 + 2 * 8 + 2 * 2 / 3.0);
        var (x, y, area) = Of(soft, threshold);
        Assert.Equal(33.4, x, 0.02);
        Assert.Equal(30.2, y, 0.02);
        Assert.Equal(expected, area, 0.025 * expected);
    }

    [Fact]
    public void Only_what_lies_round_it_is_its_light()
    {
        // far to the right it is darker, and a second hole lies close by
        var picture = DrawnPicture.Of(
            90,
            60,
            (x, y) =>
                DrawnPicture.In(x, y, 30, 30, 8, 8) || DrawnPicture.In(x, y, 49.5, 30, 6, 6) ? 30
                : x > 60 ? 110
                : 190
        );
        var (x, _, area) = Of(picture, 100);
        Assert.Equal(30, x, 0.05);
        Assert.Equal(Math.PI * 64, area, 0.01 * Math.PI * 64);
    }

    [Fact]
    public void A_glint_in_it_counts_as_light()
    {
        var picture = DrawnPicture.Of(
            70,
            60,
            (x, y) => DrawnPicture.In(x, y, 34, 30, 9, 9) && !DrawnPicture.In(x, y, 34, 30, 2, 2) ? 30 : 190
        );
        Assert.Equal(Math.PI * (81 - 4), Of(picture).Area, 2.0);
    }

    [Fact]
    public void Cut_by_the_picture_it_is_measured_as_far_as_it_is_seen()
    {
        var (x, y, area) = Of(Hole(0, 30, 8, 8));
        Assert.Equal(Math.PI * 32 + 8, area, 2.5);
        Assert.Equal(30, y, 0.02);
        Assert.InRange(x, 2.9, 3.6);
    }

    [Fact]
    public void With_no_light_round_it_the_patch_itself_is_told()
    {
        var all = new GreyPicture(9, 7, [.. Enumerable.Repeat((byte)10, 63)]);
        Assert.Equal((4, 3, 63), Of(all));
        // a core hardly darker than its light
        var faint = Hole(34, 30, 8, 8, dark: 189.4);
        Assert.InRange(HoleMeasure.Fit(faint, BlobOf(34, 30, 8), 0, 0).Area, 0, 500);
    }

    private static Blob BlobOf(int u, int v, int r)
    {
        var blob = new Blob();
        for (var y = v - r; y <= v + r; y++)
        {
            var half = (int)Math.Sqrt(r * r - (y - v) * (y - v));
            blob.AddRun(u - half, u + half, y);
        }
        return blob;
    }
}
