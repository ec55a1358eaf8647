using NetTopologySuite.Geometries;

namespace FaithfulBracket.Core.Geometry;

/// <summary>
/// Exact overlap of polygons. A convex partner is clipped by half-planes (Sutherland and Hodgman 1974), whose area is
/// exact for any simple subject; two concave polygons and unions go through the topology library.
/// </summary>
public static class PolygonOverlap
{
    /// <summary>Overlaps smaller than this are touching edges, mm².</summary>
    public const double TouchMm2 = 1e-7;

    private static readonly GeometryFactory Factory = new(new PrecisionModel(PrecisionModels.Floating));

    /// <summary>Area common to both, mm².</summary>
    public static double Area(Polygon a, Polygon b)
    {
        if (!a.Bounds.Meets(b.Bounds))
            return 0;
        if (b.IsConvex)
            return Math.Abs(Polygon.Shoelace(Clip(a, b)));
        if (a.IsConvex)
            return Math.Abs(Polygon.Shoelace(Clip(b, a)));
        return ToGeometry(a).Intersection(ToGeometry(b)).Area;
    }

    /// <summary>
    /// What both have in common, as one polygon; its area is exact, and where it falls into pieces they hang together
    /// by edges of no width. Two concave polygons give the second, which is the larger. Null where they do not meet.
    /// </summary>
    public static Polygon? Common(Polygon a, Polygon b)
    {
        if (!a.Bounds.Meets(b.Bounds))
            return null;
        if (!a.IsConvex && !b.IsConvex)
            return Area(a, b) > 0 ? b : null;
        var points = b.IsConvex ? Clip(a, b) : Clip(b, a);
        return points.Count < 3 ? null : new([.. points]);
    }

    /// <summary>Area of the part of <paramref name="subject"/> covered by any of the regions, mm².</summary>
    public static double CoveredArea(Polygon subject, IReadOnlyList<Polygon> regions)
    {
        var meeting = new List<Polygon>();
        double sum = 0;
        foreach (var region in regions)
        {
            var area = Area(subject, region);
            // one alone covers it all
            if (area >= subject.Area - TouchMm2)
                return subject.Area;
            if (area <= 0)
                continue;
            sum += area;
            meeting.Add(region);
        }
        if (meeting.Count < 2 || !AnyPairOverlaps(meeting))
            return sum;
        var union = NetTopologySuite.Operation.Union.UnaryUnionOp.Union(meeting.Select(ToGeometry));
        return ToGeometry(subject).Intersection(union).Area;
    }

    /// <summary>
    /// The subject clipped to a convex window; empty when they do not meet. Concave subjects may leave edges of no
    /// width.
    /// </summary>
    public static IReadOnlyList<Point2> Clip(Polygon subject, Polygon convexWindow)
    {
        var sign = Math.Sign(convexWindow.SignedArea);
        List<Point2> current = [.. subject.Points],
            next = [];
        var window = convexWindow.Points;
        for (int i = 0; i < window.Count && current.Count > 0; i++)
        {
            var a = window[i];
            var edge = window[(i + 1) % window.Count] - a;
            next.Clear();
            var previous = current[^1];
            var previousSide = sign * edge.Cross(previous - a);
            foreach (var p in current)
            {
                var side = sign * edge.Cross(p - a);
                if (side >= 0 != previousSide >= 0)
                    next.Add(previous + (p - previous) * (previousSide / (previousSide - side)));
                if (side >= 0)
                    next.Add(p);
                (previous, previousSide) = (p, side);
            }
            (current, next) = (next, current);
        }
        return current.Count < 3 ? [] : current;
    }

    private static bool AnyPairOverlaps(List<Polygon> regions)
    {
        for (var i = 0; i < regions.Count; i++)
        for (var j = i + 1; j < regions.Count; j++)
            if (Area(regions[i], regions[j]) > 0)
                return true;
        return false;
    }

    private static NetTopologySuite.Geometries.Geometry ToGeometry(Polygon p)
    {
        var ring = new Coordinate[p.Points.Count + 1];
        for (var i = 0; i < p.Points.Count; i++)
            ring[i] = new(p.Points[i].X, p.Points[i].Y);
        ring[^1] = ring[0].Copy();
        return Factory.CreatePolygon(ring).Buffer(0);
    }
}
