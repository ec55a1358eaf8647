namespace FaithfulBracket.Core.Prove;

/// <summary>How much a log flickers.</summary>
internal static class LogNoise
{
    /// <summary>Variance of a value rounded to steps of one, a uniform spread: 1/12.</summary>
    private const double RoundedVariance = 1.0 / 12;

    /// <summary>
    /// What a sensor tells apart, K: the least difference of two of its values; 0 where every value is the same. Each
    /// value is off by up to half of it, which no neighbour shows.
    /// </summary>
    public static double Resolution(IReadOnlyList<LogSample> log)
    {
        var values = log.Select(s => s.C).Distinct().Order().ToList();
        var least = double.PositiveInfinity;
        for (var i = 1; i < values.Count; i++)
            if (values[i] - values[i - 1] is > SameK and var apart && apart < least)
                least = apart;
        // values farther apart are different loads, not the steps of a sensor
        return least <= CoarsestK ? least : 0;
    }

    /// <summary>Variance that rounding to a sensor's resolution adds to each sample, K².</summary>
    public static double Rounding(double resolutionK) => resolutionK * resolutionK * RoundedVariance;

    /// <summary>The coarsest sensor shows whole degrees, K.</summary>
    private const double CoarsestK = 1 + SameK;

    /// <summary>Values closer than this are one value.</summary>
    private const double SameK = 1e-6;

    /// <summary>No sensor resolves less, K.</summary>
    public const double ResolutionK = 0.005;

    /// <summary>Median size of a normal spread over its standard deviation.</summary>
    private const double MedianShare = 0.6745;

    /// <summary>
    /// Standard deviation of a sample, out of what three neighbours in a line leave; the middle of all, so that steps
    /// do not count.
    /// </summary>
    /// <param name="resolutionK">See <see cref="Resolution"/>.</param>
    public static double Compute(IReadOnlyList<LogSample> log, double resolutionK = 0)
    {
        var second = new List<double>(log.Count);
        for (var i = 1; i + 1 < log.Count; i++)
        {
            // the middle one against the line through its neighbours
            var share = (log[i].TS - log[i - 1].TS) / Math.Max(1e-12, log[i + 1].TS - log[i - 1].TS);
            var off = log[i].C - log[i - 1].C - share * (log[i + 1].C - log[i - 1].C);
            second.Add(Math.Abs(off) / Math.Sqrt(1 + share * share + (1 - share) * (1 - share)));
        }
        second.Sort();
        var median = second.Count == 0 ? 0 : second[second.Count / 2];
        var flicker = Math.Max(median / MedianShare, ResolutionK);
        return Math.Sqrt(flicker * flicker + Rounding(resolutionK));
    }
}
