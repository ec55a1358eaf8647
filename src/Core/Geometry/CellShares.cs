namespace FaithfulBracket.Core.Geometry;

/// <summary>
/// How much of each cell of a grid an outline covers: clipped column by column, then row by row (Sutherland and
/// Hodgman 1974).
/// </summary>
public static class CellShares
{
    /// <param name="minX">Lower left corner of the grid.</param>
    /// <param name="dx">Width of a column.</param>
    /// <returns>Shares 0 to 1, [column, row].</returns>
    public static double[,] Compute(
        Polygon outline,
        double minX,
        double minY,
        double dx,
        double dy,
        int columns,
        int rows
    )
    {
        var shares = new double[columns, rows];
        var box = outline.Bounds;
        int fromX = Math.Clamp((int)Math.Floor((box.MinX - minX) / dx), 0, columns),
            toX = Math.Clamp((int)Math.Ceiling((box.MaxX - minX) / dx), 0, columns);
        for (var i = fromX; i < toX; i++)
        {
            var left = minX + i * dx;
            var column = Band(outline.Points, p => p.X, left, left + dx);
            if (column.Count < 3)
                continue;
            int fromY = Math.Clamp((int)Math.Floor((column.Min(p => p.Y) - minY) / dy), 0, rows),
                toY = Math.Clamp((int)Math.Ceiling((column.Max(p => p.Y) - minY) / dy), 0, rows);
            for (var j = fromY; j < toY; j++)
            {
                var low = minY + j * dy;
                var cell = Band(column, p => p.Y, low, low + dy);
                shares[i, j] = Math.Clamp(Area(cell) / (dx * dy), 0, 1);
            }
        }
        return shares;
    }

    private static double Area(List<Point2> points)
    {
        double twice = 0;
        for (int i = 0, j = points.Count - 1; i < points.Count; j = i++)
            twice += points[j].Cross(points[i]);
        return Math.Abs(twice) / 2;
    }

    private static List<Point2> Band(IReadOnlyList<Point2> points, Func<Point2, double> at, double low, double high) =>
        Half(Half(points, p => at(p) - low), p => high - at(p));

    private static List<Point2> Half(IReadOnlyList<Point2> points, Func<Point2, double> inside)
    {
        var kept = new List<Point2>(points.Count + 4);
        for (int i = 0, j = points.Count - 1; i < points.Count; j = i++)
        {
            var (a, b) = (inside(points[j]), inside(points[i]));
            if (a < 0 != b < 0)
                kept.Add(points[j] + (points[i] - points[j]) * (a / (a - b)));
            if (b >= 0)
                kept.Add(points[i]);
        }
        return kept;
    }
}
