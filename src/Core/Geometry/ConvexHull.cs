namespace FaithfulBracket.Core.Geometry;

/// <summary>The smallest convex polygon around points.</summary>
public static class ConvexHull
{
    /// <summary>Monotone chain (Andrew 1979); null when the points span no area.</summary>
    public static Polygon? Create(IReadOnlyList<Point2> points)
    {
        var sorted = points.Distinct().OrderBy(p => p.X).ThenBy(p => p.Y).ToList();
        if (sorted.Count < 3)
            return null;
        var hull = new List<Point2>();
        void Chain(IEnumerable<Point2> run)
        {
            var from = hull.Count;
            foreach (var p in run)
            {
                while (hull.Count >= from + 2 && (hull[^1] - hull[^2]).Cross(p - hull[^1]) <= 0)
                    hull.RemoveAt(hull.Count - 1);
                hull.Add(p);
            }
            hull.RemoveAt(hull.Count - 1);
        }
        Chain(sorted);
        Chain(Enumerable.Reverse(sorted));
        return hull.Count < 3 ? null : new(hull);
    }
}
