namespace FaithfulBracket.Core.Geometry;

/// <summary>A simple polygon in millimetres, without a repeated closing point; either winding.</summary>
public sealed class Polygon
{
    private Bounds? _bounds;
    private double? _signedArea;
    private bool? _isConvex;

    /// <param name="points">At least three corners.</param>
    /// <exception cref="ArgumentException">Fewer than three corners.</exception>
    public Polygon(IReadOnlyList<Point2> points)
    {
        if (points.Count < 3)
            throw new ArgumentException("A polygon needs at least three corners.", nameof(points));
        Points = points;
    }

    public IReadOnlyList<Point2> Points { get; }

    public Bounds Bounds => _bounds ??= Bounds.From(Points);

    /// <summary>Positive when the corners run counter-clockwise, mm².</summary>
    public double SignedArea => _signedArea ??= Shoelace(Points);

    /// <summary>Area, mm².</summary>
    public double Area => Math.Abs(SignedArea);

    /// <summary>Whether every corner turns the same way (straight corners allowed).</summary>
    public bool IsConvex => _isConvex ??= ComputeConvex();

    /// <summary>Centre of area.</summary>
    public Point2 Centroid
    {
        get
        {
            double cx = 0,
                cy = 0,
                a = 0;
            var origin = Points[0];
            for (var i = 0; i < Points.Count; i++)
            {
                var p = Points[i] - origin;
                var q = Points[(i + 1) % Points.Count] - origin;
                var w = p.Cross(q);
                a += w;
                cx += (p.X + q.X) * w;
                cy += (p.Y + q.Y) * w;
            }
            return Math.Abs(a) < 1e-12 ? origin : origin + new Point2(cx / (3 * a), cy / (3 * a));
        }
    }

    /// <summary>A rectangle about a centre, turned counter-clockwise; corners (−,−), (+,−), (+,+), (−,+) in its own frame.</summary>
    public static Polygon Rectangle(Point2 centre, double widthMm, double depthMm, double rotationDeg = 0)
    {
        double w = widthMm / 2,
            d = depthMm / 2,
            r = rotationDeg * Math.PI / 180;
        Point2 At(double x, double y) => centre + (r == 0 ? new Point2(x, y) : new Point2(x, y).Turned(r));
        return new Polygon([At(-w, -d), At(w, -d), At(w, d), At(-w, d)]);
    }

    /// <summary>Whether the point is inside or on the edge (even–odd rule).</summary>
    public bool Contains(Point2 p)
    {
        var inside = false;
        for (int i = 0, j = Points.Count - 1; i < Points.Count; j = i++)
        {
            Point2 a = Points[i],
                b = Points[j];
            if (DistanceToSegment(p, a, b) < 1e-9)
                return true;
            if (a.Y > p.Y != b.Y > p.Y && p.X < (b.X - a.X) * (p.Y - a.Y) / (b.Y - a.Y) + a.X)
                inside = !inside;
        }
        return inside;
    }

    /// <summary>Distance from a point to a segment, mm.</summary>
    public static double DistanceToSegment(Point2 p, Point2 a, Point2 b)
    {
        var d = b - a;
        var l2 = d.Dot(d);
        var t = l2 == 0 ? 0 : Math.Clamp((p - a).Dot(d) / l2, 0, 1);
        return (p - (a + d * t)).Length;
    }

    /// <summary>Signed area of a closed line, positive counter-clockwise, mm².</summary>
    public static double Shoelace(IReadOnlyList<Point2> points)
    {
        double sum = 0;
        for (int i = 0, j = points.Count - 1; i < points.Count; j = i++)
            sum += points[j].Cross(points[i]);
        return sum / 2;
    }

    private bool ComputeConvex()
    {
        var sign = 0;
        for (var i = 0; i < Points.Count; i++)
        {
            var cross = (Points[(i + 1) % Points.Count] - Points[i]).Cross(
                Points[(i + 2) % Points.Count] - Points[(i + 1) % Points.Count]
            );
            if (Math.Abs(cross) < 1e-12)
                continue;
            if (sign == 0)
                sign = Math.Sign(cross);
            else if (sign != Math.Sign(cross))
                return false;
        }
        return true;
    }
}
