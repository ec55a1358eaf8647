using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Flow;

/// <summary>Pressure drop of a block over its flow, through the points its maker states: kPa over L/min.</summary>
/// <remarks>Between points a power law through both, beyond them the nearest pair's; a single point takes turbulent
/// flow, exponent 1.75 (Blasius 1913).</remarks>
public sealed class DropCurve
{
    private const double Turbulent = 1.75;
    private readonly List<Point2> _points;

    private DropCurve(List<Point2> points) => _points = points;

    /// <summary>Null where no point states a flow and a drop above nothing.</summary>
    public static DropCurve? Compute(IReadOnlyList<Point2> points)
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
        var (a, n) = Law(_points.FindIndex(p => p.X >= flowLMin));
        return a.Y * Math.Pow(flowLMin / a.X, n);
    }

    /// <summary>The flow at which it drops so much, L/min: the same power law, turned round.</summary>
    public double FlowAt(double kPa)
    {
        if (kPa <= 0)
            return 0;
        var (a, n) = Law(_points.FindIndex(p => p.Y >= kPa));
        return a.X * Math.Pow(kPa / a.Y, 1 / n);
    }

    /// <summary>A point and the exponent of the power law up to the point at this place; past the last, of the last pair.</summary>
    private (Point2 From, double Exponent) Law(int upTo)
    {
        if (_points.Count == 1)
            return (_points[0], Turbulent);
        var i = upTo < 0 ? _points.Count - 2 : Math.Clamp(upTo - 1, 0, _points.Count - 2);
        var (a, b) = (_points[i], _points[i + 1]);
        return (a, Math.Log(b.Y / a.Y) / Math.Log(b.X / a.X));
    }
}
