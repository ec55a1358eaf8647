using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

public sealed record LogSample(double TS, double C);

/// <summary>A stretch of a log under one load, pump and fan.</summary>
public sealed record Regime(double FromS, double ToS);

/// <summary>Where a temperature settles.</summary>
/// <param name="SteadyC">T∞ of T(t) = T∞ − (T∞ − T₀)·e^(−t/τ), of the last regime.</param>
/// <param name="PlusMinusC">95 % of the fit.</param>
/// <param name="Settled">Whether the end of the log and the fit's ± both are within what was asked.</param>
/// <param name="MoreS">How much longer to wait, s; 0 once settled.</param>
public sealed record SteadyResult(
    double SteadyC,
    double PlusMinusC,
    double TauS,
    bool Settled,
    double MoreS,
    IReadOnlyList<Regime> Regimes
);

/// <summary>
/// Settling of a log: one exponential by least squares (variable projection, Golub and Pereyra 1973), of the last
/// stretch between changes of load (<see cref="LogCuts"/>).
/// </summary>
public static class SteadyState
{
    public const double DefaultWithinK = 0.5;

    public const int MinSamples = 4,
        MaxSamples = 20_000;

    public static string InWords => SteadyStateWords.LimitsToSamplesTimesRising;

    /// <summary>Longer logs are averaged down to so many before they are cut into regimes.</summary>
    private const int MaxFitted = 400;

    private const double MaxMoreS = 86_400,
        Share = 0.95;

    public static SteadyResult Compute(
        IReadOnlyList<LogSample> samples,
        double withinK = DefaultWithinK,
        CancellationToken cancel = default
    )
    {
        // seconds may count from any instant: from the first sample on they keep their digits
        var origin = samples[0].TS;
        samples = LogSlips.Without([.. samples.Select(s => s with { TS = s.TS - origin })]);
        var resolution = LogNoise.Resolution(samples);
        var log = Averaged(samples);
        var cuts = LogCuts.Find(log, resolution, cancel);
        int First(int averaged) => (int)((long)averaged * samples.Count / log.Count);
        var regimes = cuts.Select(
                (_, i) =>
                    new Regime(
                        origin + samples[First(cuts[i])].TS,
                        origin + (i + 1 < cuts.Count ? samples[First(cuts[i + 1]) - 1].TS : samples[^1].TS)
                    )
            )
            .ToList();
        // an average over the change itself holds some of the load before
        var whole = cuts.Count == 1 || samples.Count == log.Count;
        var own = samples.Skip(whole ? First(cuts[^1]) : First(cuts[^1] + 1)).ToList();
        var last = own.Count > MaxFitted ? Averaged(own) : own;
        var fit = Exponential.Fit(last, cancel);
        if (FlatLog.Fit(last, fit, resolution) is { } flat)
        {
            var stands = flat.PlusMinusC <= withinK;
            return new(flat.MeanC, flat.PlusMinusC, 0, stands, stands ? 0 : flat.MoreS(withinK, MaxMoreS), regimes);
        }
        var (plusMinus, freedom) = fit.SteadyError(last, resolution);
        var half = plusMinus * Student.Times(Share, freedom);
        var away = Math.Abs(fit.At(last[^1].TS) - fit.SteadyC);
        var settled = away <= withinK && half <= withinK;
        return new(fit.SteadyC, half, fit.TauS, settled, settled ? 0 : More(fit, last, away, half, withinK), regimes);
    }

    /// <summary>Until what is left of the settling, and the fit's own ±, come within what was asked.</summary>
    private static double More(Exponential fit, IReadOnlyList<LogSample> log, double away, double half, double withinK)
    {
        var so = log[^1].TS - log[0].TS;
        var settle = away > withinK ? fit.TauS * Math.Log(away / withinK) : 0;
        // past a few time constants the ± falls with the root of the samples; before, by the exponential itself
        var certain = half > withinK ? Math.Min(2 * fit.TauS, so * (Math.Pow(half / withinK, 2.0 / 3) - 1)) : 0;
        return Math.Clamp(Math.Max(settle, certain), 1, MaxMoreS);
    }

    private static List<LogSample> Averaged(IReadOnlyList<LogSample> samples)
    {
        if (samples.Count <= MaxFitted)
            return [.. samples];
        var list = new List<LogSample>(MaxFitted);
        for (var i = 0; i < MaxFitted; i++)
        {
            int from = (int)((long)i * samples.Count / MaxFitted),
                to = (int)((long)(i + 1) * samples.Count / MaxFitted);
            double t = 0,
                c = 0;
            for (var k = from; k < to; k++)
            {
                t += samples[k].TS;
                c += samples[k].C;
            }
            list.Add(new(t / (to - from), c / (to - from)));
        }
        return list;
    }
}
