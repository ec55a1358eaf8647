namespace FaithfulBracket.Core.Prove;

/// <summary>How much a log flickers.</summary>
internal static class LogNoise
{
    /// <summary>No sensor resolves less, K.</summary>
    public const double ResolutionK = 0.005;

    /// <summary>Median size of a normal spread over its standard deviation.</summary>
    private const double MedianShare = 0.6745;

    /// <summary>
    /// Standard deviation of a sample, out of what three neighbours in a line leave; the middle of all, so that steps
    /// do not count.
    /// </summary>
    public static double Of(IReadOnlyList<LogSample> log)
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
        return Math.Max(median / MedianShare, ResolutionK);
    }
}
