using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Trace;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>A view fitted to marks: against the camera that saw them, and its covariance against the definition.</summary>
public class PhotoViewTests
{
    private const double Width = 4000,
        Height = 3000,
        HalfPx = 2500;

    private static readonly ViewOfPlane Camera = new(1.3, 0.3, -0.5, 3.6, 28, 35, -10);

    /// <summary>Marks of the sheet as the camera shows them, the board's decimetres its unit.</summary>
    private static List<TargetMark> Marks(double k = 0, double noise = 0, NormalDraws? d = null) =>
        [
            .. TargetSheet.Marks.Select(m =>
            {
                var p = LensBend.Bend(Camera.See((m.XMm - 105) / 100, (m.YMm - 74) / 100), k) * HalfPx;
                return new TargetMark(
                    m.XMm - 105,
                    m.YMm - 74,
                    Width / 2 + p.X + noise * (d?.Next() ?? 0),
                    Height / 2 + p.Y + noise * (d?.Next() ?? 0)
                );
            }),
        ];

    [Theory]
    [InlineData(0)]
    [InlineData(-0.08)]
    [InlineData(0.05)]
    public void Exact_marks_give_the_camera_back(double k)
    {
        var view = new PhotoView(Marks(k), Width, Height, k != 0);
        Assert.Equal(HalfPx, view.HalfPx);
        var truth = Camera.Theta();
        for (var i = 0; i < 8; i++)
            Assert.Equal(truth[i], view.Theta[i], 1e-7);
        Assert.Equal(k == 0 ? 8 : 9, view.Theta.Length);
        if (k == 0)
            Assert.Null(view.LensTerm);
        else
            Assert.Equal(k, view.LensTerm!.Value, 1e-7);
        Assert.True(view.Squares < 1e-8);
    }

    [Fact]
    public void What_is_shown_there_is_seen_from_there()
    {
        var view = new PhotoView(Marks(-0.08), Width, Height, true);
        foreach (var place in (Point2[])[new(0, 0), new(80, -60), new(-95, 33)])
        {
            var seen = LensBend.Bend(Camera.See(place.X / 100, place.Y / 100), -0.08) * HalfPx;
            var shown = view.Shown(place);
            Assert.Equal(Width / 2 + seen.X, shown.X, 1e-3);
            Assert.Equal(Height / 2 + seen.Y, shown.Y, 1e-3);
            var ground = view.Ground(view.Theta, shown.X, shown.Y);
            Assert.Equal(place.X / 100, ground.X, 1e-7);
            Assert.Equal(place.Y / 100, ground.Y, 1e-7);
        }
    }

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void Its_covariance_is_the_inverse_of_what_the_marks_tell(bool lens)
    {
        var marks = Marks(lens ? -0.08 : 0, 0.4, new(6));
        var view = new PhotoView(marks, Width, Height, lens);
        double[] Seen(double[] t)
        {
            var all = new List<double>();
            foreach (var m in marks)
            {
                double x = m.XMm / 100,
                    y = m.YMm / 100,
                    w = t[6] * x + t[7] * y + 1,
                    u = (t[0] * x + t[1] * y + t[2]) / w,
                    v = (t[3] * x + t[4] * y + t[5]) / w,
                    bend = 1 + (lens ? t[8] * (u * u + v * v) : 0);
                all.AddRange([u * bend * HalfPx + Width / 2 - m.UPx, v * bend * HalfPx + Height / 2 - m.VPx]);
            }
            return [.. all];
        }
        Assert.Equal(Seen(view.Theta).Sum(r => r * r), view.Squares, 1e-6 * view.Squares);
        var n = view.Theta.Length;
        var columns = Enumerable
            .Range(0, n)
            .Select(a =>
            {
                double[] up = [.. view.Theta],
                    down = [.. view.Theta];
                up[a] += 1e-5;
                down[a] -= 1e-5;
                return Seen(up).Zip(Seen(down), (p, q) => (p - q) / 2e-5).ToArray();
            })
            .ToArray();
        for (var a = 0; a < n; a++)
        for (var b = 0; b < n; b++)
        {
            // covariance times JᵀJ is one
            double product = 0;
            for (var c = 0; c < n; c++)
                product += view.Covariance[a, c] * columns[c].Zip(columns[b], (p, q) => p * q).Sum();
            Assert.Equal(a == b ? 1 : 0, product, 2e-3);
        }
        // nothing near it misses less
        foreach (var a in Enumerable.Range(0, n))
        foreach (var step in (double[])[-1e-4, 1e-4])
        {
            double[] off = [.. view.Theta];
            off[a] += step;
            Assert.True(Seen(off).Sum(r => r * r) > view.Squares);
        }
    }

    [Fact]
    public void A_view_whose_middle_lies_at_infinity_is_none()
    {
        // u = 1/x and v = y/x: the homography's ninth number is nothing
        (double X, double Y)[] places = [(0.5, -0.4), (1, -0.4), (1, 0.6), (0.5, 0.6), (0.7, 0.1)];
        TargetMark[] marks =
        [
            .. places.Select(p => new TargetMark(
                100 * p.X,
                100 * p.Y,
                Width / 2 + HalfPx * 0.3 / p.X,
                Height / 2 + HalfPx * 0.3 * p.Y / p.X
            )),
        ];
        var fault = Assert.Throws<InputException>(() => new PhotoView(marks, Width, Height, false)).Faults[0];
        Assert.Contains("spread them round the board", fault.Message, StringComparison.Ordinal);
    }
}
