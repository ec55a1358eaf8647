using FaithfulBracket.Core.Words.Prove.Logs;

namespace FaithfulBracket.Core.Prove.Logs;

/// <summary>A stretch in which the clock fell while the die stood at its limit.</summary>
public sealed record Throttled(double FromS, double ToS, double ClockShare);

/// <summary>Mean of a channel over the steady part.</summary>
/// <param name="Spread">Standard deviation of its samples.</param>
public sealed record SteadyMean(Channel Channel, string Name, string Unit, double Mean, double Spread);

/// <summary>What a log says.</summary>
/// <param name="Steady">Of the die; null with too few samples.</param>
/// <param name="SteadyFromS">From where on it counts as steady; null while it is not.</param>
/// <param name="Gaps">Places where the logger left out more than a few samples.</param>
/// <param name="Text">In a sentence: settled, or how long to wait, and what else was met.</param>
public sealed record LogVerdict(
    double DurationS,
    SteadyResult? Steady,
    double? SteadyFromS,
    IReadOnlyList<SteadyMean> Means,
    IReadOnlyList<Throttled> Throttled,
    IReadOnlyList<Regime> Gaps,
    Message Text
);

/// <summary>Reads a log: where it settles, when to stop waiting, what its steady part shows, throttling, gaps.</summary>
public static class LogReading
{
    /// <summary>Samples that the fit is made of; longer logs are averaged down first.</summary>
    private const int MaxFitted = 4000;

    /// <summary>A clock this far under its median while the die is within so many kelvin of its limit is throttled.</summary>
    private const double ThrottledShare = 0.95,
        AtLimitK = 2;

    private const double MinThrottledS = 3;

    /// <summary>A pause of so many usual intervals is a gap, and of at least so many seconds.</summary>
    private const double GapIntervals = 5,
        MinGapS = 3;

    /// <param name="dieLimitC">Of the die; null where none is stated, and nothing is said of throttling.</param>
    public static LogVerdict Judge(
        BenchLog log,
        double? dieLimitC,
        double withinK = SteadyState.DefaultWithinK,
        CancellationToken cancel = default
    )
    {
        var steady = Settling(log, withinK, cancel);
        var from = steady is { Settled: true } ? SteadyFrom(log, steady, withinK) : (double?)null;
        var throttled = dieLimitC is { } limit ? Throttling(log, limit) : [];
        var gaps = Gaps(log.TimesS);
        return new(
            log.DurationS,
            steady,
            from,
            from is { } f ? Means(log, f) : [],
            throttled,
            gaps,
            Words(steady, throttled, gaps)
        );
    }

    private static SteadyResult? Settling(BenchLog log, double withinK, CancellationToken cancel)
    {
        if (log.Compute(Channel.Die) is not { } die)
            return null;
        var samples = new List<LogSample>();
        var bucket = Math.Max(1, log.TimesS.Count / MaxFitted);
        for (var i = 0; i < log.TimesS.Count; i += bucket)
        {
            double t = 0,
                c = 0;
            var n = 0;
            for (var k = i; k < Math.Min(log.TimesS.Count, i + bucket); k++)
                if (!double.IsNaN(die[k]))
                    (t, c, n) = (t + log.TimesS[k], c + die[k], n + 1);
            if (n > 0)
                samples.Add(new(t / n, c / n));
        }
        return samples.Count < SteadyState.MinSamples ? null : SteadyState.Compute(samples, withinK, cancel);
    }

    /// <summary>From where on the settling curve of the last regime is within what was asked of its end.</summary>
    private static double SteadyFrom(BenchLog log, SteadyResult steady, double withinK)
    {
        var regime = steady.Regimes[^1];
        var die = log.Compute(Channel.Die)!;
        var first = log
            .TimesS.Select((t, i) => (t, i))
            .FirstOrDefault(x => x.t >= regime.FromS && !double.IsNaN(die[x.i]));
        var away = Math.Abs(die[first.i] - steady.SteadyC);
        var wait = away > withinK ? steady.TauS * Math.Log(away / withinK) : 0;
        // never more than three quarters of the regime: a mean needs samples
        return regime.FromS + Math.Min(wait, 0.75 * (regime.ToS - regime.FromS));
    }

    private static List<SteadyMean> Means(BenchLog log, double fromS)
    {
        var means = new List<SteadyMean>();
        foreach (var (channel, values) in log.Series)
        {
            double sum = 0,
                squares = 0;
            var n = 0;
            for (var i = 0; i < log.TimesS.Count; i++)
                if (log.TimesS[i] >= fromS && !double.IsNaN(values[i]))
                    (sum, squares, n) = (sum + values[i], squares + values[i] * values[i], n + 1);
            if (n == 0)
                continue;
            var mean = sum / n;
            means.Add(
                new(channel, channel.Name(), channel.Unit(), mean, Math.Sqrt(Math.Max(0, squares / n - mean * mean)))
            );
        }
        return means;
    }

    private static List<Throttled> Throttling(BenchLog log, double limitC)
    {
        if (
            log.Compute(Channel.Clock) is not { } clock
            || (log.Compute(Channel.Hotspot) ?? log.Compute(Channel.Die)) is not { } die
        )
            return [];
        List<double> run = [.. clock.Where(c => !double.IsNaN(c)).Order()];
        if (run.Count == 0)
            return [];
        // what it runs at when nothing holds it back
        var free = run[(int)(run.Count * 0.9)];
        var found = new List<Throttled>();
        int? begun = null;
        for (var i = 0; i <= log.TimesS.Count; i++)
        {
            var held = i < log.TimesS.Count && clock[i] < ThrottledShare * free && die[i] >= limitC - AtLimitK;
            if (held)
                begun ??= i;
            else if (begun is { } b && (i == log.TimesS.Count || !double.IsNaN(clock[i])))
            {
                if (log.TimesS[i - 1] - log.TimesS[b] >= MinThrottledS)
                    found.Add(
                        new(
                            log.TimesS[b],
                            log.TimesS[i - 1],
                            Enumerable.Range(b, i - b).Select(k => clock[k]).Where(c => !double.IsNaN(c)).Average()
                                / free
                        )
                    );
                begun = null;
            }
        }
        return found;
    }

    private static List<Regime> Gaps(IReadOnlyList<double> times)
    {
        if (times.Count < 3)
            return [];
        List<double> steps = [.. times.Skip(1).Zip(times, (b, a) => b - a).Order()];
        var least = Math.Max(MinGapS, GapIntervals * steps[steps.Count / 2]);
        var gaps = new List<Regime>();
        for (var i = 1; i < times.Count; i++)
            if (times[i] - times[i - 1] > least)
                gaps.Add(new(times[i - 1], times[i]));
        return gaps;
    }

    private static Message Words(SteadyResult? steady, List<Throttled> throttled, List<Regime> gaps)
    {
        var parts = new List<Message>
        {
            steady is null ? LogVerdictWords.TooShortToTellAnything
            : steady.Settled
                ? (Message)$"Steady: die {steady.SteadyC:0.0} ± {Math.Max(0.05, steady.PlusMinusC):0.0} °C."
            : steady.MoreS >= 3600 ? LogVerdictWords.NotSettlingSomethingStillChanges
            : (Message)$"Wait {Span(steady.MoreS)} more.",
        };
        if (steady is { Regimes.Count: > 1 })
            parts.Add(
                LogVerdictWords.LoadPumpOrFansChanged(
                    steady.Regimes.Count - 1,
                    steady.Regimes.Count == 2 ? "time" : "times"
                )
            );
        if (throttled.Count > 0)
            parts.Add(
                LogVerdictWords.ThrottledForDownToOfClock(
                    throttled.Sum(t => t.ToS - t.FromS),
                    throttled.Min(t => t.ClockShare) * 100
                )
            );
        if (gaps.Count > 0)
            parts.Add(
                (Message)$"{HowMany.Count(gaps.Count, "gap")}, {gaps.Sum(g => g.ToS - g.FromS):0} s without samples."
            );
        return Message.Join(parts);
    }

    private static string Span(double s) =>
        s < 90
            ? FormattableString.Invariant($"{Math.Ceiling(s / 5) * 5:0} s")
            : FormattableString.Invariant($"{s / 60:0} min");
}
