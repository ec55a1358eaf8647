using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Heat;

/// <summary>Lines of one temperature through a grid of points, by marching squares with the saddle settled by the middle's mean.</summary>
public static class Isolines
{
    /// <summary>A round step (1, 2 or 5 times a power of ten) that gives about so many levels.</summary>
    public static IReadOnlyList<double> Levels(double least, double most, int about)
    {
        var span = most - least;
        if (!(span > 0))
            return [];
        var raw = span / about;
        var power = Math.Pow(10, Math.Floor(Math.Log10(raw)));
        var step = new[] { 1.0, 2, 5, 10 }.First(m => m * power >= raw * (1 - 1e-9)) * power;
        var levels = new List<double>();
        for (var k = Math.Ceiling(least / step); k * step < most; k++)
            if (k * step > least)
                levels.Add(k * step);
        return levels;
    }

    /// <param name="value">By column and row; NaN where there is none.</param>
    /// <param name="at">Place of a column and row.</param>
    /// <returns>Segments, each from a side of a square to another.</returns>
    public static IEnumerable<(Point2 A, Point2 B)> Through(
        double[,] value,
        Func<double, double, Point2> at,
        double level
    )
    {
        for (var i = 0; i + 1 < value.GetLength(0); i++)
        for (var j = 0; j + 1 < value.GetLength(1); j++)
        {
            double a = value[i, j],
                b = value[i + 1, j],
                c = value[i + 1, j + 1],
                d = value[i, j + 1];
            if (double.IsNaN(a + b + c + d))
                continue;
            var sides = new List<Point2>(4);
            void Cross(double v, double w, double x1, double y1, double x2, double y2)
            {
                if (v < level == w < level)
                    return;
                var t = (level - v) / (w - v);
                sides.Add(at(x1 + (x2 - x1) * t, y1 + (y2 - y1) * t));
            }
            Cross(a, b, i, j, i + 1, j);
            Cross(b, c, i + 1, j, i + 1, j + 1);
            Cross(c, d, i + 1, j + 1, i, j + 1);
            Cross(d, a, i, j + 1, i, j);
            if (sides.Count == 2)
                yield return (sides[0], sides[1]);
            else if (sides.Count == 4)
            {
                // a saddle: the corner that the middle does not side with is cut off
                var middle = (a + b + c + d) / 4 < level == a < level;
                yield return middle ? (sides[0], sides[1]) : (sides[0], sides[3]);
                yield return middle ? (sides[2], sides[3]) : (sides[1], sides[2]);
            }
        }
    }
}
