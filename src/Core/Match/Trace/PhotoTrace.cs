using System.Text.Json.Serialization;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match.Trace;

/// <summary>A mark of the target on the board's plane and where the photo shows it; pixels from the top left, v down.</summary>
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
/// Places on a board from a photo: normalised DLT refined by Levenberg–Marquardt (Hartley and Zisserman 2004, chapters 4 and 7),
/// a first-order radial lens term about the picture's centre, raised points moved along their line of sight, and the
/// covariance of clicks and fit carried to every point by first-order propagation.
/// </summary>
public sealed class PhotoTrace
{
    private const int Homographic = 8,
        Lens = 8;
    private const double LeastSigmaPx = 0.05;

    /// <summary>Fitting the lens term has to lower the squared misses by this many variances.</summary>
    private const double LensGain = 7;

    /// <summary>Focal length of an unknown camera in picture widths, and its standard deviation as a share.</summary>
    private const double TypicalFocal = 1.1,
        FocalSpread = 0.35;

    private readonly IReadOnlyList<TargetMark> _marks;
    private readonly Point2 _centre;
    private readonly double _half,
        _larger;
    private readonly bool _lens;
    private double[] _theta;
    private double[,] _cov = new double[0, 0];
    private double _squares;

    private PhotoTrace(IReadOnlyList<TargetMark> marks, double width, double height, bool lens)
    {
        (_marks, _lens, _centre) = (marks, lens, new(width / 2, height / 2));
        (_half, _larger) = (Math.Sqrt(width * width + height * height) / 2, Math.Max(width, height));
        // picture coordinates in half diagonals about the centre, board coordinates in decimetres: all parameters near one
        var h = Homography.Direct(
            [.. marks.Select(m => new Point2(m.XMm, m.YMm) * 0.01)],
            [.. marks.Select(m => Norm(m.UPx, m.VPx))]
        );
        if (!(Math.Abs(h[8]) > 1e-12))
            throw new InputException("target", "The marks do not define a view: spread them round the board.");
        _theta = [.. h.Take(Homographic).Select(v => v / h[8]), .. lens ? new double[] { 0 } : []];
        Refine();
    }

    private Point2 Norm(double u, double v) => new((u - _centre.X) / _half, (v - _centre.Y) / _half);

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
        if (target.Count < 4)
            throw new InputException("target", $"Four marks at least are needed; {target.Count} given.");
        if (!DefineAView(target))
            throw new InputException(
                "target",
                "The marks lie in one line, or fewer than four stand apart from it: spread them round the board."
            );
        if (lens == LensTerm.Radial && target.Count < 5)
            throw new InputException("target", "The lens term needs five marks at least.");
        var plain = new PhotoTrace(target, widthPx, heightPx, lens == LensTerm.Radial);
        var best = plain;
        if (lens == LensTerm.Auto && target.Count >= 8)
        {
            var curved = new PhotoTrace(target, widthPx, heightPx, true);
            var variance = sigmaPx is { } s
                ? s * s
                : Math.Max(LeastSigmaPx * LeastSigmaPx, curved._squares / Math.Max(1, 2 * target.Count - 9));
            if (plain._squares - curved._squares > LensGain * variance)
                best = curved;
        }
        return best.Answer(points, sigmaPx);
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
        if (target.Count < 4 || !DefineAView(target))
            throw new InputException("target", "Four marks at least, not in one line, are needed.");
        var view = new PhotoTrace(target, widthPx, heightPx, target.Count >= 8);
        var h = Nine(view._theta);
        return
        [
            .. placesMm.Select(p =>
                Bend(Homography.Apply(h, p * 0.01), view.LensOf(view._theta)) * view._half + view._centre
            ),
        ];
    }

    /// <summary>
    /// Four marks of which no three lie in one line fix a homography; the share of the whole that a triangle may have
    /// and still be a line.
    /// </summary>
    private const double FlatShare = 1e-3;

    private static bool DefineAView(IReadOnlyList<TargetMark> target)
    {
        var places = target.Select(m => new Point2(m.XMm, m.YMm)).Distinct().ToList();
        var b = Bounds.Of(places);
        var flat = FlatShare * Math.Pow(Math.Max(b.Width, b.Height), 2);
        bool Turns(Point2 p, Point2 q, Point2 r) => Math.Abs((q - p).Cross(r - p)) > flat;
        // the two farthest apart, then whatever stands off their line; among those a pair that spans with both
        if (places.Count < 4)
            return false;
        var first = places.MaxBy(p => (p - places[0]).Length);
        var second = places.MaxBy(p => (p - first).Length);
        var off = places.Where(p => Turns(first, second, p)).ToList();
        for (var i = 0; i < off.Count; i++)
        for (var j = i + 1; j < off.Count; j++)
            if (Turns(first, off[i], off[j]) && Turns(second, off[i], off[j]))
                return true;
        return false;
    }

    /// <summary>Bends an ideal picture point as the lens does.</summary>
    private static Point2 Bend(Point2 p, double k) => p * (1 + k * p.Dot(p));

    private static Point2 Unbend(Point2 bent, double k)
    {
        if (k == 0)
            return bent;
        // radius alone: r·(1 + k·r²) = r'
        double target = bent.Length,
            r = target;
        for (var i = 0; i < 30; i++)
        {
            var slope = 1 + 3 * k * r * r;
            if (slope < 0.05)
                break;
            var step = (r * (1 + k * r * r) - target) / slope;
            r -= step;
            if (Math.Abs(step) < 1e-15)
                break;
        }
        return target > 0 ? bent * (r / target) : bent;
    }

    private static double[] Nine(ReadOnlySpan<double> theta) => [.. theta[..Homographic], 1];

    private double LensOf(ReadOnlySpan<double> theta) => _lens ? theta[Lens] : 0;

    private void Residuals(ReadOnlySpan<double> theta, double[] into)
    {
        var h = Nine(theta);
        var k = LensOf(theta);
        for (var i = 0; i < _marks.Count; i++)
        {
            var seen = Bend(Homography.Apply(h, new(_marks[i].XMm * 0.01, _marks[i].YMm * 0.01)), k);
            var clicked = Norm(_marks[i].UPx, _marks[i].VPx);
            (into[2 * i], into[2 * i + 1]) = ((seen.X - clicked.X) * _half, (seen.Y - clicked.Y) * _half);
        }
    }

    /// <summary>Levenberg–Marquardt with numeric derivatives.</summary>
    private void Refine()
    {
        var n = _theta.Length;
        var r = new double[2 * _marks.Count];
        Residuals(_theta, r);
        _squares = r.Sum(x => x * x);
        var damping = 1e-4;
        var normal = new double[n, n];
        for (var round = 0; round < 60; round++)
        {
            var j = Jacobian(_theta, r.Length, Residuals);
            var g = new double[n];
            Array.Clear(normal);
            for (var i = 0; i < r.Length; i++)
            for (var a = 0; a < n; a++)
            {
                g[a] -= j[i, a] * r[i];
                for (var b = 0; b < n; b++)
                    normal[a, b] += j[i, a] * j[i, b];
            }
            var better = false;
            for (var attempt = 0; attempt < 12 && !better; attempt++)
            {
                var damped = (double[,])normal.Clone();
                for (var a = 0; a < n; a++)
                    damped[a, a] *= 1 + damping;
                if (DenseSolve.Solve(damped, g) is { } step)
                {
                    double[] trial = [.. _theta.Zip(step, (t, s) => t + s)];
                    var rest = new double[r.Length];
                    Residuals(trial, rest);
                    var squares = rest.Sum(x => x * x);
                    if (squares <= _squares)
                    {
                        better = _squares - squares > 1e-14 * (_squares + 1e-12);
                        (_theta, _squares, r) = (trial, squares, rest);
                        damping = Math.Max(1e-12, damping / 10);
                        break;
                    }
                }
                damping *= 10;
            }
            if (!better)
                break;
        }
        // the inverse of the normal matrix times the variance of a click is the parameters' covariance
        _cov =
            DenseSolve.Inverse(normal)
            ?? throw new InputException("target", "The marks do not define a view: spread them round the board.");
    }

    private static double[,] Jacobian(double[] at, int rows, Action<ReadOnlySpan<double>, double[]> function)
    {
        var j = new double[rows, at.Length];
        double[] up = new double[rows],
            down = new double[rows];
        for (var a = 0; a < at.Length; a++)
        {
            var step = 1e-6 * Math.Max(1e-2, Math.Abs(at[a]));
            var moved = (double[])at.Clone();
            moved[a] = at[a] + step;
            function(moved, up);
            moved[a] = at[a] - step;
            function(moved, down);
            for (var i = 0; i < rows; i++)
                j[i, a] = (up[i] - down[i]) / (2 * step);
        }
        return j;
    }

    private TraceResult Answer(IReadOnlyList<ClickedPoint> points, double? sigmaPx)
    {
        var freedom = 2 * _marks.Count - _theta.Length;
        var rms = Math.Sqrt(_squares / (2 * _marks.Count));
        var sigma = sigmaPx ?? (freedom > 0 ? Math.Max(LeastSigmaPx, Math.Sqrt(_squares / freedom)) : 0.5);
        var weight = FocalWeight(sigma);
        var traced = points.Select(p => Trace(p, sigma, weight)).ToList();
        var f = Focal(_theta, weight);
        var camera = Camera(_theta, f);
        var tilt = Math.Acos(Math.Clamp(Math.Abs(LineOfSight(_theta, f)), 0, 1)) * 180 / Math.PI;
        return new(
            traced,
            rms,
            _lens ? _theta[Lens] * f * f : null,
            sigma,
            f * _half,
            [camera.X * 100, camera.Y * 100, camera.Z * 100],
            tilt
        );
    }

    private TracedPoint Trace(ClickedPoint p, double sigma, FocalPrior prior)
    {
        // unknowns: the fit's parameters, the click (px), the deviation of the focal length from what the view says
        double[] all = [.. _theta, p.UPx, p.VPx, 0];
        var n = _theta.Length;
        void Place(ReadOnlySpan<double> v, double[] into)
        {
            var x = Locate(v[..n], v[n], v[n + 1], p.HeightMm * 0.01, Focal(v[..n], prior) * Math.Exp(v[n + 2]));
            (into[0], into[1]) = (x.X * 100, x.Y * 100);
        }
        var at = new double[2];
        Place(all, at);
        var j = Jacobian(all, 2, Place);
        Span<double> cov = stackalloc double[3];
        for (var a = 0; a < n; a++)
        for (var b = 0; b < n; b++)
            Add(cov, j[0, a] * j[0, b], j[0, a] * j[1, b], j[1, a] * j[1, b], _cov[a, b] * sigma * sigma);
        for (var a = n; a < n + 2; a++)
            Add(cov, j[0, a] * j[0, a], j[0, a] * j[1, a], j[1, a] * j[1, a], sigma * sigma);
        Add(cov, j[0, n + 2] * j[0, n + 2], j[0, n + 2] * j[1, n + 2], j[1, n + 2] * j[1, n + 2], prior.LogVariance);
        return new(p.Id, at[0], at[1], [cov[0], cov[1], cov[2]]);
        static void Add(Span<double> cov, double xx, double xy, double yy, double variance)
        {
            cov[0] += xx * variance;
            cov[1] += xy * variance;
            cov[2] += yy * variance;
        }
    }

    /// <summary>
    /// The click on the board's plane, moved towards the foot of the camera by what a raised point appears too far
    /// out: X = g + (C − g)·h/Cz.
    /// </summary>
    private Point2 Locate(ReadOnlySpan<double> theta, double u, double v, double height, double focal)
    {
        var ground = Homography.Apply(Homography.Inverse(Nine(theta)), Unbend(Norm(u, v), LensOf(theta)));
        if (height == 0)
            return ground;
        var c = Camera(theta, focal);
        return ground + (new Point2(c.X, c.Y) - ground) * (height / c.Z);
    }

    /// <summary>Weights of the two view conditions on 1/f² and of what is typical.</summary>
    private sealed record FocalPrior(double W1, double W2, double W0, double Typical, double LogVariance);

    /// <summary>Both conditions are linear in w = 1/f²: columns of K⁻¹H are orthogonal and equally long (Zhang 2000).</summary>
    private static (double A1, double B1, double A2, double B2) Conditions(ReadOnlySpan<double> t)
    {
        double l1 = t[0] * t[0] + t[3] * t[3],
            l2 = t[1] * t[1] + t[4] * t[4],
            scale = (l1 + l2) / 2;
        return (
            (t[0] * t[1] + t[3] * t[4]) / scale,
            -t[6] * t[7] / scale,
            (l1 - l2) / scale,
            -(t[6] * t[6] - t[7] * t[7]) / scale
        );
    }

    private FocalPrior FocalWeight(double sigma)
    {
        var typical = 1 / Math.Pow(TypicalFocal * _larger / _half, 2);
        var spread = 2 * FocalSpread * typical;
        // variance of each condition at the typical focal length, from the fit's covariance
        var j = Jacobian(
            _theta,
            2,
            (v, into) =>
            {
                var (a1, b1, a2, b2) = Conditions(v);
                (into[0], into[1]) = (a1 * typical - b1, a2 * typical - b2);
            }
        );
        Span<double> variance = stackalloc double[2];
        for (var r = 0; r < 2; r++)
        for (var a = 0; a < _theta.Length; a++)
        for (var b = 0; b < _theta.Length; b++)
            variance[r] += j[r, a] * j[r, b] * _cov[a, b] * sigma * sigma;
        var (c1, _, c2, _) = Conditions(_theta);
        double w1 = 1 / Math.Max(1e-18, variance[0]),
            w2 = 1 / Math.Max(1e-18, variance[1]),
            w0 = 1 / (spread * spread);
        var w = Solve(_theta, new(w1, w2, w0, typical, 0));
        // what the typical focal length still decides: its share of the weight
        var total = w0 + w1 * c1 * c1 + w2 * c2 * c2;
        var priorOnly = w0 / (total * total) / (w * w) / 4;
        return new(w1, w2, w0, typical, priorOnly);
    }

    private static double Solve(ReadOnlySpan<double> theta, FocalPrior p)
    {
        var (a1, b1, a2, b2) = Conditions(theta);
        // the sign: h1ᵀωh2 = w·(h0h1 + h3h4) + h6h7 = 0
        var w = (p.W1 * a1 * b1 + p.W2 * a2 * b2 + p.W0 * p.Typical) / (p.W1 * a1 * a1 + p.W2 * a2 * a2 + p.W0);
        return Math.Clamp(w, p.Typical / 25, p.Typical * 25);
    }

    private static double Focal(ReadOnlySpan<double> theta, FocalPrior prior) => 1 / Math.Sqrt(Solve(theta, prior));

    /// <summary>Camera centre C = −Rᵀt in decimetres, above the board.</summary>
    private static (double X, double Y, double Z) Camera(ReadOnlySpan<double> h, double f)
    {
        double[] r1 = [h[0] / f, h[3] / f, h[6]],
            r2 = [h[1] / f, h[4] / f, h[7]],
            t = [h[2] / f, h[5] / f, 1];
        var scale = (Length(r1) + Length(r2)) / 2;
        double[] r3 =
        [
            (r1[1] * r2[2] - r1[2] * r2[1]) / (scale * scale),
            (r1[2] * r2[0] - r1[0] * r2[2]) / (scale * scale),
            (r1[0] * r2[1] - r1[1] * r2[0]) / (scale * scale),
        ];
        double Dot(double[] r, double by) => -(r[0] * t[0] + r[1] * t[1] + r[2] * t[2]) / by;
        var z = Dot(r3, scale);
        return (Dot(r1, scale * scale), Dot(r2, scale * scale), Math.Abs(z));
    }

    private static double Length(double[] v) => Math.Sqrt(v[0] * v[0] + v[1] * v[1] + v[2] * v[2]);

    /// <summary>Cosine between the line of sight and the board's normal.</summary>
    private static double LineOfSight(ReadOnlySpan<double> h, double f)
    {
        double[] r1 = [h[0] / f, h[3] / f, h[6]],
            r2 = [h[1] / f, h[4] / f, h[7]];
        return (r1[0] * r2[1] - r1[1] * r2[0]) / (Length(r1) * Length(r2));
    }
}
