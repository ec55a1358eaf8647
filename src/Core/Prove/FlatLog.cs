namespace FaithfulBracket.Core.Prove;

/// <summary>A stretch of a log in which nothing settles any more: its mean, and how sure that is.</summary>
/// <param name="PlusMinusC">95 % of the mean, t·s/√n with the effective n of correlated samples.</param>
internal sealed record FlatLog(double MeanC, double PlusMinusC, double LengthS)
{
    private const double Share = 0.95;

    /// <summary>
    /// Of a flat log an exponential explains more than this, in variances of a sample, once in a thousand (chi square
    /// of its two further figures).
    /// </summary>
    private const double Significant = 13.8;

    private const int MinFree = 2;

    /// <summary>The mean where an exponential explains no more of the stretch than chance would; else null.</summary>
    /// <param name="fit">The exponential that leaves least of it.</param>
    /// <param name="resolutionK">What the sensor tells apart.</param>
    public static FlatLog? Fit(IReadOnlyList<LogSample> log, Exponential fit, double resolutionK)
    {
        var n = log.Count;
        var mean = log.Average(s => s.C);
        double squares = 0,
            neighbours = 0;
        for (var i = 0; i < n; i++)
        {
            var own = log[i].C - mean;
            squares += own * own;
            if (i > 0)
                neighbours += own * (log[i - 1].C - mean);
        }
        // first-order correlation of what is left: neighbours that hang together tell less
        var together = squares > 0 ? Math.Clamp(neighbours / squares, 0, 0.99) : 0;
        var free = Math.Max(MinFree, n * (1 - together) / (1 + together));
        var variance = fit.Squares / Math.Max(1, n - 3) + LogNoise.Rounding(resolutionK) + SmallestVariance;
        if ((squares - fit.Squares) / (variance * n / free) > Significant)
            return null;
        var spread = Math.Sqrt(squares / Math.Max(1, n - 1) + LogNoise.Rounding(resolutionK));
        return new(mean, Student.Times(Share, free - 1) * spread / Math.Sqrt(free), log[^1].TS - log[0].TS);
    }

    private const double SmallestVariance = LogNoise.ResolutionK * LogNoise.ResolutionK;

    /// <summary>Until the ± comes within what was asked: it falls with the root of the samples.</summary>
    public double MoreS(double withinK, double most) =>
        Math.Clamp(LengthS * (PlusMinusC * PlusMinusC / (withinK * withinK) - 1), 1, most);
}
