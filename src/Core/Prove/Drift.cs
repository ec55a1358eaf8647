using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

/// <summary>A measured resistance on one day.</summary>
/// <param name="Sigma">Its standard uncertainty, K/W.</param>
public sealed record DriftPoint(double Day, double KPerW, double Sigma);

/// <summary>When the paste is due.</summary>
/// <param name="StartKPerW">The line's value on the first day.</param>
/// <param name="DueDay">The day the line passes its limit, or the cap.</param>
/// <param name="DueLowDay">90 % interval by Fieller's theorem, no further than the cap.</param>
/// <param name="Capped">Whether the cap comes first.</param>
public sealed record DriftResult(
    double StartKPerW,
    double SlopePerDay,
    double SlopeSigma,
    double DueDay,
    double DueLowDay,
    double DueHighDay,
    bool Capped
);

/// <summary>
/// A weighted straight line through a resistance over months; it passes start·(1 + limit) where the ratio of its
/// value at the first day to its
/// slope says, and so does the interval (Fieller 1954).
/// </summary>
public static class Drift
{
    public const double DefaultLimitShare = 0.15,
        DefaultCapDays = 730;

    public const int MinPoints = 2,
        MaxPoints = 10_000;

    public static string InWords => DriftWords.LimitsToPointsNotAll;

    private const double Share = 0.9;

    public static DriftResult Compute(
        IReadOnlyList<DriftPoint> points,
        double limitShare = DefaultLimitShare,
        double capDays = DefaultCapDays
    )
    {
        var first = points.Min(p => p.Day);
        double w = 0,
            wx = 0,
            wy = 0,
            wxx = 0,
            wxy = 0;
        foreach (var p in points)
        {
            var (x, weight) = (p.Day - first, 1 / (p.Sigma * p.Sigma));
            w += weight;
            wx += weight * x;
            wy += weight * p.KPerW;
            wxx += weight * x * x;
            wxy += weight * x * p.KPerW;
        }
        var determinant = w * wxx - wx * wx;
        var start = (wxx * wy - wx * wxy) / determinant;
        var slope = (w * wxy - wx * wy) / determinant;
        var (varStart, varSlope, both) = (wxx / determinant, w / determinant, -wx / determinant);
        var sigma = Math.Sqrt(varSlope);
        double Day(double ratio) => first + Math.Min(capDays, limitShare * ratio);
        var crosses = slope > 0 && start > 0;
        var due = crosses ? Day(start / slope) : first + capDays;
        var (low, high) = Interval(start, slope, varStart, varSlope, both);
        return new(
            start,
            slope,
            sigma,
            due,
            Math.Min(due, low is { } l ? Day(l) : first + capDays),
            high is { } h ? Math.Max(due, Day(h)) : first + capDays,
            due >= first + capDays
        );
    }

    /// <summary>Ratios start/slope that the data allow; null for an end that lies nowhere.</summary>
    private static (double? Low, double? High) Interval(double start, double slope, double vs, double vb, double c)
    {
        var z = Student.Normal(Share);
        // (start − θ·slope)² ≤ z²·(vs − 2θc + θ²·vb)
        var (qa, qb, qc) = (slope * slope - z * z * vb, -2 * (start * slope - z * z * c), start * start - z * z * vs);
        var root = qb * qb - 4 * qa * qc;
        if (root < 0 || start <= 0)
            return (null, null);
        var s = Math.Sqrt(root);
        if (qa > 0 && slope > 0)
            return ((-qb - s) / (2 * qa), (-qb + s) / (2 * qa));
        // the slope may be none: only the near end lies somewhere
        double[] ends = [(-qb - s) / (2 * qa), (-qb + s) / (2 * qa)];
        var near = ends.Where(e => e > 0).ToList();
        return (near.Count > 0 ? near.Min() : null, null);
    }
}
