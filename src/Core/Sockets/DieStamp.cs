using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Sockets;

/// <summary>What one die carries under a common stamp.</summary>
/// <param name="MinMPa">Least pressure on it; 0 where it lifts.</param>
/// <param name="Lifts">Whether somewhere on it nothing presses.</param>
public sealed record DieLoad(string Part, double LoadN, double PeakMPa, double MinMPa, bool Lifts);

/// <param name="Balanced">False when the load pulls the block over: no pressure balances it.</param>
public sealed record StampResult(IReadOnlyList<DieLoad> Dies, Point2 LoadCentre, Point2 AreaCentre, bool Balanced);

/// <summary>
/// Several faces as one rigid stamp on an even foundation: the pressure is a plane over all of them, and never pulls. Where the plane
/// would fall below zero the balance is solved again over what still presses (semismooth Newton, Qi and Sun 1993).
/// </summary>
public static class DieStamp
{
    private const int MaxRounds = 60;

    /// <param name="dies">Faces in one frame, mm.</param>
    /// <param name="forceN">Load on all of them.</param>
    /// <param name="at">Where it acts.</param>
    public static StampResult Compute(IReadOnlyList<(string Id, Polygon Face)> dies, double forceN, Point2 at)
    {
        var whole = dies.Select(d => PlaneIntegrals.Compute(d.Face.Points, default)).Aggregate((a, b) => a + b);
        var centre = new Point2(whole.X / whole.Area, whole.Y / whole.Area);
        DieLoad Nothing((string Id, Polygon) d) => new(d.Id, 0, 0, 0, true);
        if (!(forceN > 0))
            return new([.. dies.Select(Nothing)], at, centre, true);
        var hull = ConvexHull.Create([.. dies.SelectMany(d => d.Face.Points)]);
        if (hull is null || !hull.Contains(at))
            return new([.. dies.Select(Nothing)], at, centre, false);
        if (Plane(dies, forceN, at, centre, whole.Area) is not { } plane)
            return new([.. dies.Select(Nothing)], at, centre, false);
        double P(Point2 p) => plane[0] + plane[1] * (p.X - centre.X) + plane[2] * (p.Y - centre.Y);
        return new(
            [
                .. dies.Select(d =>
                {
                    var pressed = PlaneIntegrals.Compute(Pressed(d.Face.Points, P), centre);
                    var corners = d.Face.Points.Select(P).ToList();
                    return new DieLoad(
                        d.Id,
                        plane[0] * pressed.Area + plane[1] * pressed.X + plane[2] * pressed.Y,
                        Math.Max(0, corners.Max()),
                        Math.Max(0, corners.Min()),
                        corners.Min() < 0
                    );
                }),
            ],
            at,
            centre,
            true
        );
    }

    /// <summary>Pressure and its slopes about the areas' centre, MPa and MPa/mm; null when no balance is found.</summary>
    private static double[]? Plane(
        IReadOnlyList<(string Id, Polygon Face)> dies,
        double forceN,
        Point2 at,
        Point2 centre,
        double areaMm2
    )
    {
        var e = at - centre;
        double[] want = [forceN, forceN * e.X, forceN * e.Y],
            plane = [forceN / areaMm2, 0, 0];
        var reach = Math.Max(1, dies.Max(d => d.Face.Points.Max(p => (p - centre).Length)));
        (double Miss, PlaneIntegrals Pressed) Look(double[] p)
        {
            var pressed = dies.Select(d =>
                    PlaneIntegrals.Compute(
                        Pressed(d.Face.Points, q => p[0] + p[1] * (q.X - centre.X) + p[2] * (q.Y - centre.Y)),
                        centre
                    )
                )
                .Aggregate((a, b) => a + b);
            var m = pressed.Times(p);
            var miss = Math.Abs(m[0] - want[0]) + (Math.Abs(m[1] - want[1]) + Math.Abs(m[2] - want[2])) / reach;
            return (miss, pressed);
        }
        var (miss, now) = Look(plane);
        for (var round = 0; round < MaxRounds && miss > 1e-10 * forceN; round++)
        {
            // the plane that balances on what presses now
            if (DenseSolve.Solve(now.Matrix, want) is not { } next)
                return null;
            var t = 1.0;
            for (var halved = 0; halved < 30; halved++, t /= 2)
            {
                double[] trial = [.. plane.Zip(next, (a, b) => a + t * (b - a))];
                var (m, pressed) = Look(trial);
                if (pressed.Area <= 0 || m >= miss * (1 - 1e-4 * t))
                    continue;
                (plane, miss, now) = (trial, m, pressed);
                break;
            }
            if (t < 1e-8)
                break;
        }
        return miss < 1e-6 * forceN ? plane : null;
    }

    /// <summary>The part of a face where a plane is above zero.</summary>
    private static List<Point2> Pressed(IReadOnlyList<Point2> face, Func<Point2, double> p)
    {
        var kept = new List<Point2>();
        for (int i = 0, j = face.Count - 1; i < face.Count; j = i++)
        {
            var (a, b) = (p(face[j]), p(face[i]));
            if (a > 0 != b > 0)
                kept.Add(face[j] + (face[i] - face[j]) * (a / (a - b)));
            if (b > 0)
                kept.Add(face[i]);
        }
        return kept;
    }
}

/// <summary>∫ 1, x, y, x², xy, y² over a polygon, about a point, mm to their powers.</summary>
internal readonly record struct PlaneIntegrals(double Area, double X, double Y, double XX, double XY, double YY)
{
    public static PlaneIntegrals operator +(PlaneIntegrals a, PlaneIntegrals b) =>
        new(a.Area + b.Area, a.X + b.X, a.Y + b.Y, a.XX + b.XX, a.XY + b.XY, a.YY + b.YY);

    /// <summary>Green's theorem, side by side; either winding.</summary>
    public static PlaneIntegrals Compute(IReadOnlyList<Point2> points, Point2 about)
    {
        double area = 0,
            x = 0,
            y = 0,
            xx = 0,
            xy = 0,
            yy = 0;
        for (int i = 0, j = points.Count - 1; i < points.Count; j = i++)
        {
            Point2 p = points[j] - about,
                q = points[i] - about;
            var c = p.Cross(q);
            area += c / 2;
            x += c * (p.X + q.X) / 6;
            y += c * (p.Y + q.Y) / 6;
            xx += c * (p.X * p.X + p.X * q.X + q.X * q.X) / 12;
            yy += c * (p.Y * p.Y + p.Y * q.Y + q.Y * q.Y) / 12;
            xy += c * (2 * p.X * p.Y + p.X * q.Y + q.X * p.Y + 2 * q.X * q.Y) / 24;
        }
        return area < 0 ? new(-area, -x, -y, -xx, -xy, -yy) : new(area, x, y, xx, xy, yy);
    }

    public double[,] Matrix =>
        new[,]
        {
            { Area, X, Y },
            { X, XX, XY },
            { Y, XY, YY },
        };

    /// <summary>Force and moments of a plane of pressure.</summary>
    public double[] Times(double[] p) =>
        [Area * p[0] + X * p[1] + Y * p[2], X * p[0] + XX * p[1] + XY * p[2], Y * p[0] + XY * p[1] + YY * p[2]];
}
