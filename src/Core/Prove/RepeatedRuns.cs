using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

/// <summary>The same run several times: what they differ by, beside what one of them is good for by its sensors.</summary>
/// <param name="SpreadKPerW">Standard deviation between the runs.</param>
/// <param name="SensorsKPerW">Standard uncertainty of one run by its sensors.</param>
/// <param name="Repeatable">Whether the runs differ by no more than the sensors explain.</param>
public sealed record RunSpread(
    int Runs,
    double MeanKPerW,
    double SpreadKPerW,
    double SensorsKPerW,
    bool Repeatable,
    Message Text
);

/// <summary>Runs at several powers: the die over the inlet against the watts.</summary>
/// <param name="KPerW">Slope, with half its 95 % interval.</param>
/// <param name="InterceptK">Where no watts are given: 0 unless a sensor is off or heat comes from elsewhere.</param>
public sealed record PowerSweep(
    int Runs,
    double KPerW,
    double PlusMinus,
    double InterceptK,
    double InterceptPlusMinusK,
    bool ThroughZero,
    Message Text
);

/// <param name="Spread">Null with fewer than two alike runs.</param>
/// <param name="Sweep">Null with fewer than three powers, or powers too near each other.</param>
public sealed record RepeatedRuns(RunSpread? Spread, PowerSweep? Sweep)
{
    /// <summary>Runs within this share of the last one's power and flow are alike.</summary>
    private const double AlikeShare = 0.06;

    /// <summary>A sweep reaches from its least power at least to so many times as much.</summary>
    private const double MinReach = 1.3;

    private const int MinSweep = 3;

    /// <summary>95 % of a normal error, and how far a spread may be over the sensors' own before it is told.</summary>
    private const double Wide = 1.96,
        TellTimes = 2;

    /// <param name="readings">Of one board; those after, with an inlet, of the last one's day and flow count.</param>
    public static RepeatedRuns Fit(IReadOnlyList<Reading> readings)
    {
        var after = readings.Where(r => r is { Phase: Phase.After, CoolantC: not null }).ToList();
        if (after.Count < 2)
            return new(null, null);
        var last = after[^1];
        List<Reading> day = [.. after.Where(r => r.On == last.On && Alike(r.FlowLMin ?? 1, last.FlowLMin ?? 1))];
        return new(SpreadOf([.. day.Where(r => Alike(r.PowerW, last.PowerW))]), SweepOf(day));
    }

    private static bool Alike(double a, double b) => Math.Abs(a - b) <= AlikeShare * b;

    private static RunSpread? SpreadOf(IReadOnlyList<Reading> runs)
    {
        if (runs.Count < 2)
            return null;
        List<ProvenResistance> proven =
        [
            .. runs.Select(r =>
                BeforeAfter
                    .Compute(null, new SteadyReading(r.DieC, r.RoomC, r.CoolantC, r.FlowLMin, r.PowerW, new()))
                    .After!
            ),
        ];
        var values = proven.Select(p => p.ToInletKPerW!.Value).ToList();
        var mean = values.Average();
        var spread = Math.Sqrt(values.Sum(v => (v - mean) * (v - mean)) / (values.Count - 1));
        var sensors = proven.Average(p => p.InletPlusMinus!.Value);
        var repeatable = spread <= TellTimes * sensors;
        return new(
            runs.Count,
            mean,
            spread,
            sensors,
            repeatable,
            RepeatedRunsWords.AlikeRunsKWBetweenThem(runs.Count, mean * 1000, spread * 1000, sensors * 1000)
                + (repeatable ? Message.Empty : RepeatedRunsWords.TheyDifferByMoreThanSensors)
        );
    }

    private static PowerSweep? SweepOf(List<Reading> runs)
    {
        if (runs.Count < MinSweep || runs.Max(r => r.PowerW) < MinReach * runs.Min(r => r.PowerW))
            return null;
        var sigma = new SensorSigma();
        var line = StraightLine.Through(
            [.. runs.Select(r => r.PowerW)],
            [.. runs.Select(r => r.DieC - r.CoolantC!.Value)]
        );
        // of a difference of two sensors, and of the power, which moves along the line
        var one = Math.Sqrt(
            sigma.DieC * sigma.DieC
                + sigma.CoolantC * sigma.CoolantC
                + Math.Pow(sigma.PowerShare * line.MeanX * line.Slope, 2)
        );
        double slope = Wide * one / Math.Sqrt(line.SumXX),
            intercept = line.AtMean - line.Slope * line.MeanX,
            half = Wide * one * Math.Sqrt(1.0 / runs.Count + line.MeanX * line.MeanX / line.SumXX);
        var zero = Math.Abs(intercept) <= half;
        return new(
            runs.Count,
            line.Slope,
            slope,
            intercept,
            half,
            zero,
            RepeatedRunsWords.SweepOfRuns(runs.Count, line.Slope * 1000, slope * 1000, intercept, half)
                + (zero ? (Message)$": it passes 0." : RepeatedRunsWords.ItDoesNotPass)
        );
    }
}
