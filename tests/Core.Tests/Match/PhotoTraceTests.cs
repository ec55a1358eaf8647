using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match.Trace;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>A pinhole camera of known pose is the independent check.</summary>
public class PhotoTraceTests
{
    private const double Width = 4000,
        Height = 3000,
        FocalPx = 3200;

    private static (double U, double V) See(double x, double y, double z, double tiltDeg, double panDeg, double k1 = 0)
    {
        double a = tiltDeg * Math.PI / 180,
            b = panDeg * Math.PI / 180;
        // the board's frame is right-handed with y up; the camera looks down −z, v runs down
        var (x1, y1) = (x * Math.Cos(b) - y * Math.Sin(b), x * Math.Sin(b) + y * Math.Cos(b));
        double y2 = y1 * Math.Cos(a) - z * Math.Sin(a),
            z2 = y1 * Math.Sin(a) + z * Math.Cos(a),
            depth = 420 - z2;
        double nx = x1 / depth,
            ny = -y2 / depth,
            bend = 1 + k1 * (nx * nx + ny * ny);
        return (Width / 2 + FocalPx * nx * bend, Height / 2 + FocalPx * ny * bend);
    }

    private static double Normal(Random r) =>
        Math.Sqrt(-2 * Math.Log(1 - r.NextDouble())) * Math.Cos(2 * Math.PI * r.NextDouble());

    private static List<TargetMark> Target(double tilt, double pan, double k1, double noise, Random r)
    {
        var marks = new List<TargetMark>();
        for (var i = -2; i <= 2; i++)
        {
            for (var j = -1; j <= 1; j++)
            {
                double x = i * 45,
                    y = j * 60 - 10;
                var (u, v) = See(x, y, 0, tilt, pan, k1);
                marks.Add(new(x, y, u + noise * Normal(r), v + noise * Normal(r)));
            }
        }
        return marks;
    }

    private static readonly (double X, double Y, double Z)[] Truth =
    [
        (-29, -29, 0),
        (29, 29, 0),
        (60, -40, 0),
        (0, 0, 2.1),
        (34, 12, 1.2),
        (80, 30, 4.5),
        (-55, 44, 9),
    ];

    [Theory]
    [InlineData(30, 20, 0)]
    [InlineData(30, -70, -0.12)]
    [InlineData(45, 10, 0.08)]
    public void Exact_clicks_give_exact_places_raised_or_not(double tilt, double pan, double k1)
    {
        var points = Truth
            .Select(
                (t, i) =>
                {
                    var (u, v) = See(t.X, t.Y, t.Z, tilt, pan, k1);
                    return new ClickedPoint($"P{i}", u, v, t.Z);
                }
            )
            .ToList();
        var traced = PhotoTrace.Run(Target(tilt, pan, k1, 0, new(1)), points, Width, Height);
        for (var i = 0; i < Truth.Length; i++)
        {
            Assert.Equal(Truth[i].X, traced.Points[i].XMm, 3);
            Assert.Equal(Truth[i].Y, traced.Points[i].YMm, 3);
        }
        Assert.Equal(FocalPx, traced.FocalPx, 0.5);
        Assert.Equal(tilt, traced.TiltDeg, 0.01);
        if (k1 != 0)
            Assert.Equal(k1, traced.LensK1!.Value, 3);
        Assert.True(traced.RmsPx < 1e-3);
    }

    [Theory]
    [InlineData(30, 20, 0)]
    [InlineData(5, 0, 0)]
    [InlineData(25, 130, -0.1)]
    public void The_ellipses_hold_the_truth_as_often_as_they_say(double tilt, double pan, double k1)
    {
        int inside = 0,
            all = 0;
        var random = new Random(3);
        for (var run = 0; run < 250; run++)
        {
            var marks = Target(tilt, pan, k1, 0.6, random);
            var points = Truth
                .Select(
                    (t, i) =>
                    {
                        var (u, v) = See(t.X, t.Y, t.Z, tilt, pan, k1);
                        return new ClickedPoint($"P{i}", u + 0.6 * Normal(random), v + 0.6 * Normal(random), t.Z);
                    }
                )
                .ToList();
            var traced = PhotoTrace.Run(marks, points, Width, Height, 0.6, k1 == 0 ? LensTerm.None : LensTerm.Radial);
            for (var i = 0; i < Truth.Length; i++)
            {
                double dx = traced.Points[i].XMm - Truth[i].X,
                    dy = traced.Points[i].YMm - Truth[i].Y;
                var c = traced.Points[i].CovMm2;
                var mahalanobis = (c[2] * dx * dx - 2 * c[1] * dx * dy + c[0] * dy * dy) / (c[0] * c[2] - c[1] * c[1]);
                // the 95 % quantile of chi-square with two degrees of freedom
                if (mahalanobis < 5.991)
                    inside++;
                all++;
            }
        }
        Assert.InRange((double)inside / all, 0.92, 0.98);
    }

    [Theory]
    [InlineData(30, 20)]
    [InlineData(45, -70)]
    [InlineData(15, 160)]
    public void Where_the_camera_stood_is_told_in_the_targets_frame(double tilt, double pan)
    {
        var (a, b) = (tilt * Math.PI / 180, pan * Math.PI / 180);
        var traced = PhotoTrace.Run(Target(tilt, pan, 0, 0, new(1)), [], Width, Height, lens: LensTerm.None);
        Assert.Equal(420 * Math.Sin(a) * Math.Sin(b), traced.CameraMm[0], 0.1);
        Assert.Equal(420 * Math.Sin(a) * Math.Cos(b), traced.CameraMm[1], 0.1);
        Assert.Equal(420 * Math.Cos(a), traced.CameraMm[2], 0.1);
    }

    [Theory]
    [InlineData(30, 20, 0)]
    [InlineData(20, -100, -0.1)]
    public void Places_of_the_board_are_shown_where_the_photo_has_them(double tilt, double pan, double k1)
    {
        Point2[] places = [new(0, 0), new(40, -25), new(-70, 30)];
        var shown = PhotoTrace.Project(Target(tilt, pan, k1, 0, new(1)), places, Width, Height);
        foreach (var (p, at) in places.Zip(shown))
        {
            var (u, v) = See(p.X, p.Y, 0, tilt, pan, k1);
            Assert.Equal(u, at.X, 0.05);
            Assert.Equal(v, at.Y, 0.05);
        }
        Assert.Throws<InputException>(() => PhotoTrace.Project(Target(0, 0, 0, 0, new(1))[..3], places, Width, Height));
    }

    [Fact]
    public void A_pixel_spans_what_the_distance_says()
    {
        // straight down from 420 mm with 3200 px of focal length
        var marks = Target(0, 0, 0, 0, new(1));
        Assert.Equal(420.0 / 3200, PhotoTrace.MmPerPx(marks, 2000, 1500, Width, Height), 1e-6);
        Assert.Equal(420.0 / 3200, PhotoTrace.MmPerPx(marks, 2700, 1100, Width, Height), 1e-6);
    }

    [Fact]
    public void A_click_is_as_sure_as_a_pixel_is_large_and_a_raised_one_less()
    {
        var points = new ClickedPoint[] { new("a", 2000, 1500), new("b", 2000, 1500, 9), new("c", 2600, 1500, 9) };
        var traced = PhotoTrace.Run(Target(0, 0, 0, 0, new(1)), points, Width, Height, 0.6, LensTerm.None).Points;
        var click = Math.Pow(0.6 * 420 / 3200, 2);
        // the click alone, and a little of the fifteen marks
        Assert.InRange(traced[0].CovMm2[0], click, 1.25 * click);
        Assert.InRange(traced[0].CovMm2[2], click, 1.25 * click);
        Assert.Equal(0, traced[0].CovMm2[1], 0.02 * click);
        Assert.True(traced[2].CovMm2[0] > traced[1].CovMm2[0]);
    }

    [Fact]
    public void The_lens_term_is_fitted_from_eight_marks_on_and_asked_for_from_five()
    {
        var bent = Target(30, 20, -0.12, 0, new(1));
        Assert.NotNull(PhotoTrace.Run(bent[..8], [], Width, Height).LensK1);
        Assert.Null(PhotoTrace.Run(bent[..7], [], Width, Height).LensK1);
        // three of a column lie in one line: two of each
        TargetMark[] five = [bent[0], bent[2], bent[6], bent[8], bent[13]];
        Assert.NotNull(PhotoTrace.Run(five, [], Width, Height, lens: LensTerm.Radial).LensK1);
        Assert.Contains(
            "five marks",
            Assert
                .Throws<InputException>(() => PhotoTrace.Run(five[..4], [], Width, Height, lens: LensTerm.Radial))
                .Faults[0]
                .Message,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Without_a_stated_error_it_is_taken_from_the_marks()
    {
        var traced = PhotoTrace.Run(Target(30, 10, 0, 0.8, new(11)), [], Width, Height, lens: LensTerm.None);
        Assert.InRange(traced.SigmaPx, 0.5, 1.1);
    }

    [Fact]
    public void The_lens_term_is_left_out_when_the_marks_do_not_call_for_it() =>
        Assert.Null(PhotoTrace.Run(Target(30, 10, 0, 0.5, new(2)), [], Width, Height, 0.5).LensK1);

    [Fact]
    public void Marks_in_a_line_or_too_few_are_refused()
    {
        TargetMark[] line = [.. Enumerable.Range(0, 6).Select(i => new TargetMark(i * 10, i * 5, i * 100, i * 50))];
        Assert.Contains(
            "one line",
            Assert.Throws<InputException>(() => PhotoTrace.Run(line, [], Width, Height)).Faults[0].Message,
            StringComparison.Ordinal
        );
        Assert.Throws<InputException>(() => PhotoTrace.Run(line[..3], [], Width, Height));
        // five marks, but only one off the line of the others, and one mark told three times
        TargetMark[] lame = [.. line[..4], new(10, 60, 400, 900)];
        Assert.Throws<InputException>(() => PhotoTrace.Run(lame, [], Width, Height));
        Assert.Throws<InputException>(() =>
            PhotoTrace.Run([lame[0], lame[0], lame[0], lame[3], lame[4]], [], Width, Height)
        );
    }
}
