namespace FaithfulBracket.Core.Geometry;

/// <summary>Where a straight line runs inside a polygon.</summary>
public static class LineCrossings
{
    /// <summary>Stretches of the segment a–b inside the polygon, as distances from a, mm.</summary>
    public static IReadOnlyList<(double From, double To)> Inside(Polygon polygon, Point2 a, Point2 b)
    {
        var d = b - a;
        var length = d.Length;
        if (length < 1e-9)
            return [];
        var u = d * (1 / length);
        List<double> cuts = [0, length];
        for (int i = 0, j = polygon.Points.Count - 1; i < polygon.Points.Count; j = i++)
        {
            Point2 p = polygon.Points[j] - a,
                q = polygon.Points[i] - a;
            double sp = u.Cross(p),
                sq = u.Cross(q);
            if (sp > 0 == sq > 0)
                continue;
            var t = sp / (sp - sq);
            var at = u.Dot(p + (q - p) * t);
            if (at > 0 && at < length)
                cuts.Add(at);
        }
        cuts.Sort();
        var inside = new List<(double From, double To)>();
        for (var i = 1; i < cuts.Count; i++)
        {
            if (cuts[i] - cuts[i - 1] < 1e-9 || !polygon.Contains(a + u * ((cuts[i] + cuts[i - 1]) / 2)))
                continue;
            if (inside.Count > 0 && Math.Abs(inside[^1].To - cuts[i - 1]) < 1e-9)
                inside[^1] = (inside[^1].From, cuts[i]);
            else
                inside.Add((cuts[i - 1], cuts[i]));
        }
        return inside;
    }
}
