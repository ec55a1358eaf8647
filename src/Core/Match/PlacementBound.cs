namespace FaithfulBracket.Core.Match;

/// <summary>What the best placement's largest ratio cannot go below, and whether it comes to one, without solving for it.</summary>
public static class PlacementBound
{
    private const int MaxReweightings = 80;

    /// <summary>
    /// Whether some placement brings every miss/slack to at most one. Reweighted least squares (Lawson 1961): any
    /// placement it visits proves
    /// yes; its weighted root mean square is below every placement's largest ratio and so proves no. Rarely neither happens; then the exact
    /// answer decides.
    /// </summary>
    public static bool CanReachOne(ReadOnlySpan<HolePair> pairs, double startDeg)
    {
        var n = pairs.Length;
        if (n == 0)
            return true;
        var slotted = false;
        foreach (var p in pairs)
        {
            if (p.SlackMm <= HolePair.MinSlackMm)
                return MinimaxPlacement.Solve(pairs, startDeg).Ratio <= 1;
            slotted |= p.SlotHalfMm > 0;
        }
        if (slotted)
            return MinimaxPlacement.Ratio(pairs, LeastSquaresPlacement.Fit(pairs, startDeg)) <= 1
                || MinimaxPlacement.Solve(pairs, startDeg).Ratio <= 1;
        Span<double> weight = n <= 64 ? stackalloc double[n] : new double[n];
        weight.Fill(1.0 / n);
        for (var round = 0; round < MaxReweightings; round++)
        {
            var (least, worst) = Reweight(pairs, weight, startDeg);
            if (worst <= 1)
                return true;
            if (least > 1)
                return false;
        }
        return MinimaxPlacement.Solve(pairs, startDeg).Ratio <= 1;
    }

    /// <summary>A ratio that no placement can go below, after a few reweightings; 0 where slots or tight holes forbid the bound.</summary>
    public static double LowerBound(ReadOnlySpan<HolePair> pairs, double startDeg, int rounds)
    {
        var n = pairs.Length;
        foreach (var p in pairs)
            if (p.SlackMm <= HolePair.MinSlackMm || p.SlotHalfMm > 0)
                return 0;
        if (n < 2)
            return 0;
        Span<double> weight = n <= 64 ? stackalloc double[n] : new double[n];
        weight.Fill(1.0 / n);
        double best = 0;
        for (var round = 0; round < rounds; round++)
            best = Math.Max(best, Reweight(pairs, weight, startDeg).Least);
        return best;
    }

    /// <summary>
    /// One round: the weighted root mean square of the ratios (no placement does better at its worst pair) and the
    /// worst ratio here; weights move to the worst.
    /// </summary>
    private static (double Least, double Worst) Reweight(
        ReadOnlySpan<HolePair> pairs,
        Span<double> weight,
        double startDeg
    )
    {
        var n = pairs.Length;
        Span<double> ratio = n <= 64 ? stackalloc double[n] : new double[n];
        var (sin, cos, tx, ty) = LeastSquaresPlacement.Weighted(pairs, weight, startDeg);
        double worst = 0,
            mean = 0,
            sum = 0;
        for (var i = 0; i < n; i++)
        {
            ref readonly var p = ref pairs[i];
            double dx = cos * p.Block.X - sin * p.Block.Y + tx - p.Board.X,
                dy = sin * p.Block.X + cos * p.Block.Y + ty - p.Board.Y;
            ratio[i] = Math.Sqrt(dx * dx + dy * dy) / p.SlackMm;
            worst = Math.Max(worst, ratio[i]);
            mean += weight[i] * ratio[i] * ratio[i];
        }
        for (var i = 0; i < n; i++)
        {
            weight[i] *= ratio[i];
            sum += weight[i];
        }
        if (sum > 0)
            for (var i = 0; i < n; i++)
                weight[i] /= sum;
        return (Math.Sqrt(mean), worst);
    }
}
