namespace FaithfulBracket.Core.Prove;

/// <summary>A straight line through points by least squares.</summary>
/// <param name="AtMean">Value at the mean of the places.</param>
/// <param name="MeanX">That mean.</param>
/// <param name="SumXX">Σ(x − mean)².</param>
/// <param name="Residuals">What the line leaves, point by point.</param>
internal sealed record StraightLine(
    double AtMean,
    double Slope,
    double MeanX,
    double SumXX,
    IReadOnlyList<double> Residuals
)
{
    public static StraightLine Through(IReadOnlyList<double> x, IReadOnlyList<double> y)
    {
        var n = x.Count;
        var (mx, my) = (x.Average(), y.Average());
        double xx = 0,
            xy = 0;
        for (var i = 0; i < n; i++)
        {
            xx += (x[i] - mx) * (x[i] - mx);
            xy += (x[i] - mx) * (y[i] - my);
        }
        var slope = xx > 0 ? xy / xx : 0;
        return new(my, slope, mx, xx, [.. x.Select((v, i) => y[i] - my - slope * (v - mx))]);
    }

    /// <summary>
    /// Standard error of the slope. Neighbouring residuals that hang together tell less than as many that do not: the error grows by
    /// √((1+ρ)/(1−ρ)), ρ their lag-one correlation corrected for its own bias (Kendall 1954).
    /// </summary>
    public (double Error, double Freedom) SlopeError()
    {
        var n = Residuals.Count;
        var squares = Residuals.Sum(r => r * r);
        if (n < 3 || SumXX <= 0)
            return (double.PositiveInfinity, 1);
        var plain = Math.Sqrt(squares / (n - 2) / SumXX);
        var lagged = 0.0;
        for (var i = 1; i < n; i++)
            lagged += Residuals[i] * Residuals[i - 1];
        var rho = squares > 0 ? lagged / squares : 0;
        // a line fitted out of them leaves residuals less together than they were
        rho = n > 8 ? Math.Clamp(rho + (1 + 4 * rho) / n, 0, 0.98) : 0;
        var widened = Math.Sqrt((1 + rho) / (1 - rho));
        return (plain * widened, Math.Max(1, (n - 2) * (1 - rho) / (1 + rho)));
    }
}
