using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

public enum LeakVerdict
{
    Pass,
    Fail,
    Wait,
}

/// <param name="TS">Seconds since it was closed.</param>
/// <param name="AmbientKPa">Where the weather is read with each sample; null takes the one of the test.</param>
public sealed record PressureSample(double TS, double GaugeKPa, double TempC, double? AmbientKPa = null);

/// <summary>A pressure hold so far.</summary>
/// <param name="LeakMlPerMin">Air lost, mL a minute at ambient pressure; negative where the pressure rose.</param>
/// <param name="LowMlPerMin">95 % interval.</param>
/// <param name="MoreS">How much longer until it is told, s; 0 once it is.</param>
public sealed record LeakResult(
    double LeakMlPerMin,
    double LowMlPerMin,
    double HighMlPerMin,
    LeakVerdict Verdict,
    double MoreS
);

/// <summary>
/// A loop closed under a little air: the pressure, brought to the temperature of the first sample (p·T₀/T), falls by a straight line;
/// leak = −V·slope·60/ambient.
/// </summary>
public static class LeakTest
{
    public const double DefaultLimitMlPerMin = 0.1;

    public const int MinSamples = 3,
        MaxSamples = 20_000;

    public static string InWords => LeakTestWords.LimitsToSamplesTimesRising;

    private const double Share = 0.95,
        ZeroC = 273.15,
        MaxMoreS = 86_400;

    /// <param name="volumeMl">Air shut in, mL.</param>
    /// <param name="ambientKPa">Around the loop, kPa.</param>
    /// <param name="vacuum">Whether the loop is under less than ambient: what leaks comes in, and the pressure rises.</param>
    public static LeakResult Compute(
        double volumeMl,
        double ambientKPa,
        IReadOnlyList<PressureSample> samples,
        double limitMlPerMin = DefaultLimitMlPerMin,
        bool vacuum = false
    )
    {
        var first = samples[0].TempC + ZeroC;
        double[] times = [.. samples.Select(s => s.TS)];
        double[] pressures =
        [
            .. samples.Select(s => (s.GaugeKPa + (s.AmbientKPa ?? ambientKPa)) * first / (s.TempC + ZeroC)),
        ];
        var line = StraightLine.Through(times, pressures);
        var ambient = samples.Average(s => s.AmbientKPa ?? ambientKPa);
        var perSlope = (vacuum ? volumeMl : -volumeMl) * 60 / ambient;
        var (error, freedom) = line.SlopeError();
        var leak = perSlope * line.Slope;
        var half = Math.Abs(perSlope) * error * Student.Times(Share, freedom);
        var (low, high) = (leak - half, leak + half);
        var verdict =
            low > limitMlPerMin ? LeakVerdict.Fail
            : high < limitMlPerMin ? LeakVerdict.Pass
            : LeakVerdict.Wait;
        return new(leak, low, high, verdict, verdict == LeakVerdict.Wait ? More(times, half, leak, limitMlPerMin) : 0);
    }

    /// <summary>At the same pace the slope's error falls with time to the power of 3/2.</summary>
    private static double More(double[] times, double half, double leak, double limit)
    {
        var so = times[^1] - times[0];
        var apart = Math.Abs(limit - leak);
        if (!(apart > 0) || !double.IsFinite(half))
            return MaxMoreS;
        // half its way to the limit, so that the next look tells
        var longer = so * (Math.Pow(Math.Max(1, half / apart), 2.0 / 3) - 1);
        var step = so / Math.Max(1, times.Length - 1);
        return Math.Clamp(Math.Max(longer, step), 1, MaxMoreS);
    }
}
