using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Flow;

/// <summary>Pressure drop of a block over its flow, through the points its maker states: kPa over L/min.</summary>
/// <remarks>Between points a power law through both, beyond them the nearest pair's; a single point takes turbulent flow, exponent 1.75 (Blasius 1913).</remarks>
public sealed class DropCurve
{
    private const double Turbulent = 1.75;
    private readonly List<Point2> _points;

    private DropCurve(List<Point2> points) => _points = points;

    /// <summary>Null where no point states a flow and a drop above nothing.</summary>
    public static DropCurve? Of(IReadOnlyList<Point2> points)
    {
        List<Point2> good = [.. points.Where(p => p is { X: > 0, Y: > 0 }).OrderBy(p => p.X).DistinctBy(p => p.X)];
        // a drop that does not rise with the flow is no drop curve
        return good.Count == 0 || good.Zip(good.Skip(1)).Any(z => z.Second.Y <= z.First.Y) ? null : new(good);
    }

    /// <param name="flowLMin">Not negative.</param>
    public double KPa(double flowLMin)
    {
        if (flowLMin <= 0)
            return 0;
        if (_points.Count == 1)
            return _points[0].Y * Math.Pow(flowLMin / _points[0].X, Turbulent);
        var i = Math.Clamp(_points.FindIndex(p => p.X >= flowLMin) - 1, 0, _points.Count - 2);
        if (flowLMin > _points[^1].X)
            i = _points.Count - 2;
        var (a, b) = (_points[i], _points[i + 1]);
        var n = Math.Log(b.Y / a.Y) / Math.Log(b.X / a.X);
        return a.Y * Math.Pow(flowLMin / a.X, n);
    }

    /// <summary>The flow at which it drops so much, L/min; by halving, the curve rises everywhere.</summary>
    public double FlowAt(double kPa)
    {
        if (kPa <= 0)
            return 0;
        double low = 0,
            high = _points[^1].X;
        while (KPa(high) < kPa)
            high *= 2;
        for (var i = 0; i < 100 && high - low > 1e-12 * high; i++)
        {
            var middle = (low + high) / 2;
            if (KPa(middle) < kPa)
                low = middle;
            else
                high = middle;
        }
        return (low + high) / 2;
    }
}
