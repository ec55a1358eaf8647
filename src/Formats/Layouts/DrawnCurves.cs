using FaithfulBracket.Core.Geometry;
using MathNet.Numerics.Interpolation;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>Curves of drawings as chains of points that stay within 0.01 mm of them.</summary>
internal static class DrawnCurves
{
    public const double SagMm = 0.01;
    private const int MaxPoints = 4000;

    /// <summary>Into how many chords an arc is cut.</summary>
    /// <param name="mm">Millimetres in one unit of the coordinates.</param>
    public static int Steps(double radius, double sweepRad, double mm)
    {
        var coarse = Math.PI / 30;
        var r = Math.Abs(radius) * mm;
        var step = r > SagMm ? Math.Min(coarse, 2 * Math.Acos(1 - SagMm / r)) : coarse;
        return (int)Math.Clamp(Math.Ceiling(Math.Abs(sweepRad) / step - 1e-9), 2, MaxPoints);
    }

    /// <summary>From <paramref name="from"/> about a centre, both ends with it; counter-clockwise for a positive sweep.</summary>
    public static List<Point2> Arc(Point2 centre, Point2 from, double sweepRad, double mm)
    {
        var arm = from - centre;
        var steps = Steps(arm.Length, sweepRad, mm);
        return [.. Enumerable.Range(0, steps + 1).Select(k => centre + arm.Turned(sweepRad * k / steps))];
    }

    /// <summary>What lies between two points of a polyline joined by an arc; bulge: tangent of a quarter of its angle.</summary>
    public static IEnumerable<Point2> Bulge(Point2 a, Point2 b, double bulge, double mm)
    {
        var angle = 4 * Math.Atan(bulge);
        var chord = b - a;
        var centre = a + chord * 0.5 + new Point2(-chord.Y, chord.X) * (0.5 / Math.Tan(angle / 2));
        return Arc(centre, a, angle, mm).Skip(1).SkipLast(1);
    }

    /// <summary>An ellipse from one parameter to another, counter-clockwise.</summary>
    public static List<Point2> Ellipse(Point2 centre, Point2 major, double ratio, double from, double to, double mm)
    {
        var minor = new Point2(-major.Y, major.X) * ratio;
        var sweep = to - from;
        while (sweep <= 1e-9)
            sweep += 2 * Math.PI;
        var steps = Steps(major.Length, sweep, mm);
        return
        [
            .. Enumerable
                .Range(0, steps + 1)
                .Select(k => Math.SinCos(from + sweep * k / steps))
                .Select(a => centre + major * a.Cos + minor * a.Sin),
        ];
    }

    /// <summary>
    /// A spline by control points, knots and weights: de Boor's recursion in homogeneous coordinates (Piegl and Tiller,
    /// The NURBS Book, algorithm A4.1).
    /// </summary>
    public static List<Point2> Spline(
        int degree,
        IReadOnlyList<double> knots,
        IReadOnlyList<Point2> control,
        IReadOnlyList<double> weights
    )
    {
        var points = new List<Point2>();
        var each = Math.Clamp(MaxPoints / Math.Max(1, control.Count - degree), 2, 24);
        for (var span = degree; span < control.Count; span++)
        {
            if (knots[span + 1] - knots[span] <= 1e-12)
                continue;
            for (var k = points.Count == 0 ? 0 : 1; k <= each; k++)
                points.Add(At(span, knots[span] + (knots[span + 1] - knots[span]) * k / each));
        }
        return points;

        Point2 At(int span, double u)
        {
            var d = new (Point2 P, double W)[degree + 1];
            for (var j = 0; j <= degree; j++)
                d[j] = (control[span - degree + j] * weights[span - degree + j], weights[span - degree + j]);
            for (var r = 1; r <= degree; r++)
            for (var j = degree; j >= r; j--)
            {
                var i = span - degree + j;
                var width = knots[i + degree - r + 1] - knots[i];
                var a = width <= 0 ? 0 : (u - knots[i]) / width;
                d[j] = (d[j - 1].P * (1 - a) + d[j].P * a, d[j - 1].W * (1 - a) + d[j].W * a);
            }
            return d[degree].P * (1 / d[degree].W);
        }
    }

    /// <summary>A cubic through points, by chord length; smooth over its joint where its ends meet.</summary>
    public static List<Point2> Through(IReadOnlyList<Point2> fit, bool closed)
    {
        const int each = 8;
        var distinct = fit.Where((p, i) => i == 0 || (p - fit[i - 1]).Length > 1e-9).ToList();
        if (distinct.Count > 2 && (distinct[0] - distinct[^1]).Length <= 1e-6)
        {
            distinct.RemoveAt(distinct.Count - 1);
            closed = true;
        }
        if (distinct.Count < 3)
            return distinct;
        // a closed one runs on over its joint, far enough that its ends are not felt there
        var lead = closed ? Math.Min(8, distinct.Count) : 0;
        var n = distinct.Count;
        List<Point2> run = closed
            ? [.. Enumerable.Range(-lead, n + 2 * lead + 1).Select(i => distinct[((i % n) + n) % n])]
            : distinct;
        var t = new double[run.Count];
        for (var i = 1; i < run.Count; i++)
            t[i] = t[i - 1] + (run[i] - run[i - 1]).Length;
        var x = CubicSpline.InterpolateNaturalSorted(t, [.. run.Select(p => p.X)]);
        var y = CubicSpline.InterpolateNaturalSorted(t, [.. run.Select(p => p.Y)]);
        var points = new List<Point2> { run[lead] };
        for (var i = lead; i < (closed ? lead + n : n - 1); i++)
        for (var k = 1; k <= each; k++)
        {
            var at = t[i] + (t[i + 1] - t[i]) * k / each;
            points.Add(new(x.Interpolate(at), y.Interpolate(at)));
        }
        return points;
    }
}
