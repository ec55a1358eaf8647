using System.Text.Json.Serialization;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Match.Trace;

namespace FaithfulBracket.Core.Match.Trace;

/// <summary>
/// A mark of the target on the board's plane and where the photo shows it; pixels from the top left, v down.
/// </summary>
public sealed record TargetMark(double XMm, double YMm, double UPx, double VPx);

/// <param name="HeightMm">Of the clicked feature above the board's surface, mm.</param>
public sealed record ClickedPoint(string Id, double UPx, double VPx, double HeightMm = 0);

/// <param name="CovMm2">Covariance xx, xy, yy, mm².</param>
public sealed record TracedPoint(string Id, double XMm, double YMm, IReadOnlyList<double> CovMm2);

/// <param name="RmsPx">Misses of the marks after the fit, px.</param>
/// <param name="LensK1">First-order radial lens term, radii in focal lengths; absent when not fitted.</param>
/// <param name="CameraMm">Where the camera stood, in the target's frame.</param>
/// <param name="TiltDeg">Between the line of sight and the board's normal.</param>
public sealed record TraceResult(
    IReadOnlyList<TracedPoint> Points,
    double RmsPx,
    [property: JsonPropertyName("lensK1")] double? LensK1,
    double SigmaPx,
    double FocalPx,
    IReadOnlyList<double> CameraMm,
    double TiltDeg
);

/// <summary>Whether the lens term is fitted: when the marks call for it, always, or never.</summary>
public enum LensTerm
{
    Auto,
    Radial,
    None,
}

/// <summary>
/// Places on a board from a photo: raised points moved along their line of sight, and the covariance of clicks and fit
/// carried to every point by first-order propagation.
/// </summary>
public static class PhotoTrace
{
    /// <summary>From <see cref="MarksThatTellLens"/> marks on the lens term is tried by itself.</summary>
    private const int MinMarks = 4,
        MinMarksOfLens = 5,
        MarksThatTellLens = 8;

    private const double MinSigmaPx = 0.05,
        UnknownSigmaPx = 0.5;

    /// <summary>Fitting the lens term has to lower the squared misses by this many variances.</summary>
    private const double LensGain = 7;

    /// <summary>Focal length of an unknown camera in picture widths.</summary>
    private const double TypicalFocal = 1.1;

    /// <param name="target">At least four marks, not in one line.</param>
    /// <param name="sigmaPx">Standard deviation of a click per axis, px; from the marks' misses when null.</param>
    /// <exception cref="InputException">Too few marks, or marks in one line.</exception>
    public static TraceResult Run(
        IReadOnlyList<TargetMark> target,
        IReadOnlyList<ClickedPoint> points,
        double widthPx,
        double heightPx,
        double? sigmaPx = null,
        LensTerm lens = LensTerm.Auto
    )
    {
        if (target.Count < MinMarks)
            throw new InputException("target", PhotoTraceWords.FourMarksAtLeastAreNeeded(target.Count));
        if (!DefineAView(target))
            throw new InputException("target", PhotoTraceWords.MarksLieInOneLine);
        if (lens == LensTerm.Radial && target.Count < MinMarksOfLens)
            throw new InputException("target", PhotoTraceWords.LensTermNeedsFiveMarks);
        var view = new PhotoView(target, widthPx, heightPx, lens == LensTerm.Radial);
        if (lens == LensTerm.Auto && target.Count >= MarksThatTellLens)
        {
            var curved = new PhotoView(target, widthPx, heightPx, true);
            var sigma = sigmaPx ?? SigmaOf(curved, target.Count);
            if (view.Squares - curved.Squares > LensGain * sigma * sigma)
                view = curved;
        }
        return Answer(view, target.Count, points, Math.Max(widthPx, heightPx), sigmaPx);
    }

    /// <summary>How many millimetres of the board's surface a pixel spans there, as the root of the area.</summary>
    public static double MmPerPx(
        IReadOnlyList<TargetMark> target,
        double uPx,
        double vPx,
        double widthPx,
        double heightPx
    )
    {
        var p = Run(
            target,
            [new("o", uPx, vPx), new("u", uPx + 1, vPx), new("v", uPx, vPx + 1)],
            widthPx,
            heightPx
        ).Points;
        Point2 At(int i) => new(p[i].XMm, p[i].YMm);
        return Math.Sqrt(Math.Abs((At(1) - At(0)).Cross(At(2) - At(0))));
    }

    /// <summary>Where places of the target's frame, on the board's surface, lie in the photo.</summary>
    public static IReadOnlyList<Point2> Project(
        IReadOnlyList<TargetMark> target,
        IReadOnlyList<Point2> placesMm,
        double widthPx,
        double heightPx
    )
    {
        if (!DefineAView(target))
            throw new InputException("target", PhotoTraceWords.FourMarksAtLeast);
        return [.. placesMm.Select(View(target, widthPx, heightPx).Shown)];
    }

    /// <summary>The view that the marks define, with the lens where they tell it.</summary>
    internal static PhotoView View(IReadOnlyList<TargetMark> target, double widthPx, double heightPx) =>
        new(target, widthPx, heightPx, target.Count >= MarksThatTellLens);

    /// <summary>How long the lens of a view is, as the view says it.</summary>
    internal static ViewFocal FocalOf(PhotoView view, double sigmaPx, double largerPx) =>
        ViewFocal.Compute(view.Theta, view.Covariance, sigmaPx, TypicalFocal * largerPx / view.HalfPx);

    internal static bool DefineAView(IReadOnlyList<TargetMark> target) =>
        MarkSpread.DefinesAView(target.Select(m => new Point2(m.XMm, m.YMm)));

    /// <summary>What the marks' own misses tell of a click, px; where nothing is left over a guess.</summary>
    private static double SigmaOf(PhotoView view, int marks) =>
        2 * marks - view.Theta.Length is > 0 and var freedom
            ? Math.Max(MinSigmaPx, Math.Sqrt(view.Squares / freedom))
            : UnknownSigmaPx;

    private static TraceResult Answer(
        PhotoView view,
        int marks,
        IReadOnlyList<ClickedPoint> points,
        double largerPx,
        double? sigmaPx
    )
    {
        var sigma = sigmaPx ?? SigmaOf(view, marks);
        var focal = FocalOf(view, sigma, largerPx);
        var f = focal.At(view.Theta);
        var camera = CameraPose.From(view.Theta, f);
        return new(
            [.. points.Select(p => Trace(view, focal, p, sigma))],
            Math.Sqrt(view.Squares / (2 * marks)),
            view.LensTerm * f * f,
            sigma,
            f * view.HalfPx,
            [camera.X / PhotoView.PerMm, camera.Y / PhotoView.PerMm, camera.Z / PhotoView.PerMm],
            camera.TiltDeg
        );
    }

    private static TracedPoint Trace(PhotoView view, ViewFocal focal, ClickedPoint p, double sigma)
    {
        // unknowns: the fit's parameters, the click (px), the deviation of the focal length from what the view says
        double[] all = [.. view.Theta, p.UPx, p.VPx, 0];
        var n = view.Theta.Length;
        void Place(ReadOnlySpan<double> v, double[] into)
        {
            var f = focal.At(v[..n]) * Math.Exp(v[n + 2]);
            var x = Raised(view.Ground(v[..n], v[n], v[n + 1]), v[..n], p.HeightMm * PhotoView.PerMm, f);
            (into[0], into[1]) = (x.X / PhotoView.PerMm, x.Y / PhotoView.PerMm);
        }
        var at = new double[2];
        Place(all, at);
        var j = NumericJacobian.Compute(all, 2, Place);
        var cov = new double[3];
        for (var a = 0; a < n; a++)
        for (var b = 0; b < n; b++)
            Add(a, b, view.Covariance[a, b] * sigma * sigma);
        Add(n, n, sigma * sigma);
        Add(n + 1, n + 1, sigma * sigma);
        Add(n + 2, n + 2, focal.LogVariance);
        return new(p.Id, at[0], at[1], cov);
        void Add(int a, int b, double variance)
        {
            cov[0] += j[0, a] * j[0, b] * variance;
            cov[1] += j[0, a] * j[1, b] * variance;
            cov[2] += j[1, a] * j[1, b] * variance;
        }
    }

    /// <summary>
    /// What seems to lie on the board's plane, moved towards the foot of the camera by what a raised point appears too
    /// far out: X = g + (C − g)·h/Cz.
    /// </summary>
    private static Point2 Raised(Point2 ground, ReadOnlySpan<double> theta, double height, double focal)
    {
        if (height == 0)
            return ground;
        var c = CameraPose.From(theta, focal);
        return ground + (new Point2(c.X, c.Y) - ground) * (height / c.Z);
    }
}
