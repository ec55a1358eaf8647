namespace FaithfulBracket.Core.Prove;

/// <summary>
/// What one exponential leaves on every stretch of a log, its time constant one of a few: enough to find where a log is cut, not to tell
/// a figure. All stretches that end at one sample share their sums: from a first sample to the one before it each is taken times one
/// factor, so that the whole costs no more than a few operations a stretch and time constant.
/// </summary>
internal static class StretchSquares
{
    /// <summary>Time constants tried, from a third of the log's mean pause to five times its length.</summary>
    private const int TimeConstants = 48;

    private const double MinPauses = 1 / 3.0,
        MaxLengths = 5;

    /// <returns>By first sample and the one after the last, K²; only where the last comes after the first.</returns>
    public static double[,] Compute(IReadOnlyList<LogSample> log, CancellationToken cancel = default)
    {
        var n = log.Count;
        var mean = log.Average(s => s.C);
        var y = log.Select(s => s.C - mean).ToArray();
        var least = new double[n, n + 1];
        var so = log[^1].TS - log[0].TS;
        double low = MinPauses * so / (n - 1),
            high = MaxLengths * so;
        var factor = new double[n];
        for (var k = 0; k < TimeConstants; k++)
        {
            cancel.ThrowIfCancellationRequested();
            var tau = low * Math.Pow(high / low, k / (TimeConstants - 1.0));
            for (var i = 0; i + 1 < n; i++)
                factor[i] = Math.Exp((log[i].TS - log[i + 1].TS) / tau);
            for (var to = 1; to <= n; to++)
                Backwards(y, factor, to, least, k == 0);
        }
        return least;
    }

    /// <summary>Every stretch up to one sample, each one sample longer than the last.</summary>
    private static void Backwards(double[] y, double[] factor, int to, double[,] least, bool first)
    {
        double e = 0,
            ee = 0,
            ye = 0,
            sum = 0,
            yy = 0;
        for (var i = to - 1; i >= 0; i--)
        {
            // what decays from the next sample on has decayed by the pause when seen from this one
            var r = i + 1 < to ? factor[i] : 0;
            (e, ee, ye) = (1 + r * e, 1 + r * r * ee, y[i] + r * ye);
            sum += y[i];
            yy += y[i] * y[i];
            double n = to - i,
                determinant = n * ee - e * e;
            var left =
                determinant > 1e-9 * n * ee
                    ? yy - ((n * ye - e * sum) * ye + (ee * sum - e * ye) * sum) / determinant
                    : yy - sum * sum / n;
            if (first || left < least[i, to])
                least[i, to] = Math.Max(0, left);
        }
    }
}
