namespace FaithfulBracket.Core.Prove;

/// <summary>Samples that a sensor got wrong.</summary>
internal static class LogSlips
{
    /// <summary>Standard deviations that chance does not reach, and steps that coarse sensors make by themselves, K.</summary>
    private const double Far = 6,
        MinK = 2;

    /// <summary>The log with each lone sample far off its two neighbours, which agree, taken as their mean.</summary>
    public static IReadOnlyList<LogSample> Without(IReadOnlyList<LogSample> log)
    {
        var far = Math.Max(MinK, Far * LogNoise.Compute(log));
        bool Slips(int i) =>
            i > 0
            && i + 1 < log.Count
            && Math.Abs(log[i + 1].C - log[i - 1].C) < far
            && Math.Min(Math.Abs(log[i].C - log[i - 1].C), Math.Abs(log[i].C - log[i + 1].C)) > far;
        return [.. log.Select((s, i) => Slips(i) ? s with { C = (log[i - 1].C + log[i + 1].C) / 2 } : s)];
    }
}
