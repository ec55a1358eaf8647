using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Materials;

/// <summary>
/// Stress over squash through measured points: monotone cubic interpolation (Fritsch and Carlson 1980), from the origin,
/// going on with the last slope beyond the last point. Below zero squash there is no stress.
/// </summary>
public sealed class CompressionCurve
{
    private readonly double[] _x,
        _y,
        _slope;

    /// <param name="points">Squash (0 to 1) and MPa, both rising; the origin is added when missing.</param>
    public CompressionCurve(IReadOnlyList<Point2> points)
    {
        var full = points.Count > 0 && points[0].X <= 0 ? points : [new(0, 0), .. points];
        _x = [.. full.Select(p => p.X)];
        _y = [.. full.Select(p => p.Y)];
        _slope = Slopes(_x, _y);
    }

    /// <summary>Stress in MPa and its derivative by squash.</summary>
    public (double StressMPa, double SlopeMPa) At(double squash)
    {
        if (squash <= 0)
            return (0, 0);
        var last = _x.Length - 1;
        if (squash >= _x[last])
            return (_y[last] + _slope[last] * (squash - _x[last]), _slope[last]);
        var i = 0;
        while (squash > _x[i + 1])
            i++;
        double h = _x[i + 1] - _x[i],
            t = (squash - _x[i]) / h,
            u = 1 - t;
        double a = _y[i],
            b = _y[i + 1],
            sa = _slope[i] * h,
            sb = _slope[i + 1] * h;
        var stress = a * (1 + 2 * t) * u * u + sa * t * u * u + b * t * t * (3 - 2 * t) - sb * t * t * u;
        var slope = (6 * t * u * (b - a) + sa * u * (1 - 3 * t) + sb * t * (3 * t - 2)) / h;
        return (stress, slope);
    }

    private static double[] Slopes(double[] x, double[] y)
    {
        var n = x.Length;
        var secant = new double[n - 1];
        for (var i = 0; i < n - 1; i++)
            secant[i] = (y[i + 1] - y[i]) / (x[i + 1] - x[i]);
        var slope = new double[n];
        slope[0] = secant[0];
        slope[^1] = secant[^1];
        for (var i = 1; i < n - 1; i++)
        {
            if (secant[i - 1] * secant[i] <= 0)
                continue;
            double w1 = 2 * (x[i + 1] - x[i]) + (x[i] - x[i - 1]),
                w2 = x[i + 1] - x[i] + 2 * (x[i] - x[i - 1]);
            slope[i] = (w1 + w2) / (w1 / secant[i - 1] + w2 / secant[i]);
        }
        return slope;
    }
}
