using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match.Trace;

/// <summary>What a lens does to a picture point: first-order radial, about the picture's centre.</summary>
internal static class LensBend
{
    private const int MaxRounds = 30;

    /// <summary>Past this slope of r·(1 + k·r²) points are folded over each other, and none is told from the next.</summary>
    private const double MinSlope = 0.05;

    /// <summary>Bends an ideal picture point as the lens does.</summary>
    public static Point2 Bend(Point2 p, double k) => p * (1 + k * p.Dot(p));

    /// <summary>The ideal point of a bent one: r·(1 + k·r²) = r' by Newton's rule.</summary>
    public static Point2 Unbend(Point2 bent, double k)
    {
        double target = bent.Length,
            r = target;
        if (k == 0 || target == 0)
            return bent;
        for (var i = 0; i < MaxRounds; i++)
        {
            var slope = 1 + 3 * k * r * r;
            if (slope < MinSlope)
                break;
            var step = (r * (1 + k * r * r) - target) / slope;
            r -= step;
            if (Math.Abs(step) < 1e-15)
                break;
        }
        return bent * (r / target);
    }
}
