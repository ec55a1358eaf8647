using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match;

/// <summary>
/// The placement that minimises the largest miss/slack over all pairs. Least squares (Umeyama 1991, no scale) starts it;
/// the min-max is a second-order cone programme in x, y and a small turn, solved by a logarithmic barrier
/// (Boyd and Vandenberghe 2004, section 11.3) and re-linearised in the turn until it stands still.
/// </summary>
public static class MinimaxPlacement
{
    private const double Gap = 1e-10,
        RoughGap = 1e-3;

    /// <summary>Best placement near a start turn, with the largest miss/slack it leaves.</summary>
    public static (Placement Placement, double Ratio) Solve(ReadOnlySpan<HolePair> pairs, double startDeg)
    {
        if (pairs.Length == 0)
            return (new(0, 0, startDeg), 0);
        var best = LeastSquaresPlacement.Fit(pairs, startDeg);
        var bestRatio = Ratio(pairs, best);
        // roughly while the turn still moves, then to the end
        var gap = RoughGap;
        for (var round = 0; round < 7; round++)
        {
            var next = PlacementBarrier.Better(pairs, best, gap);
            var ratio = Ratio(pairs, next);
            var gained = bestRatio - ratio;
            if (gained > 0)
                (best, bestRatio) = (next, ratio);
            if (bestRatio < 1e-9)
                break;
            if (gap == Gap && gained < 1e-12 + 1e-9 * bestRatio)
                break;
            if (gained < 2 * RoughGap * bestRatio)
                gap = Gap;
        }
        if (Math.Abs(best.RotationDeg - startDeg) < 1e-7)
            best = best with { RotationDeg = startDeg };
        if (Math.Abs(best.XMm) < 1e-9)
            best = best with { XMm = 0 };
        if (Math.Abs(best.YMm) < 1e-9)
            best = best with { YMm = 0 };
        return (best, bestRatio);
    }

    /// <summary>The largest miss/slack at a placement.</summary>
    public static double Ratio(ReadOnlySpan<HolePair> pairs, in Placement placement)
    {
        double worst = 0;
        foreach (var pair in pairs)
            worst = Math.Max(worst, pair.Miss(placement).Length / Math.Max(pair.SlackMm, HolePair.MinSlackMm));
        return worst;
    }
}
