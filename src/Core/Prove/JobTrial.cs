using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

/// <summary>One run as it stands in the picture.</summary>
/// <param name="Order">Its place in the series, from 1.</param>
/// <param name="OverK">The first sensor over the reference at the trial's power, K.</param>
public sealed record TrialDot(Phase Phase, int Order, double OverK, DateOnly? On);

/// <param name="PlusMinusK">Half of the 95 % interval.</param>
public sealed record TrialBand(double OverK, double PlusMinusK);

/// <summary>The runs before and after one piece of work as one fit, for the shop and for its client.</summary>
/// <param name="PowerW">At which all of it is told: the mean of the runs before.</param>
/// <param name="Over">What the temperatures are told over, in words.</param>
/// <param name="Expected">After, over the same reference; null where nothing is expected.</param>
/// <param name="MoreRuns">After runs until the gain is told within what is wanted; null where none would do.</param>
/// <param name="Sentence">For the client.</param>
/// <param name="Next">What to run next, and how many are still needed.</param>
public sealed record JobTrial(
    double PowerW,
    TrialReference Reference,
    string Over,
    double GainK,
    double LowK,
    double HighK,
    IReadOnlyList<TrialDot> Runs,
    TrialBand Before,
    TrialBand After,
    TrialBand? Expected,
    int? MoreRuns,
    Message Sentence,
    string Next
)
{
    /// <summary>A gain told within this says what the work was worth, K.</summary>
    public const double WantedK = 3;

    /// <summary>Runs within so many days are of one piece of work; what is read later tells the drift.</summary>
    private const int Days = 7;

    /// <param name="readings">Of one board.</param>
    /// <param name="sensors">Of the same readings.</param>
    /// <param name="part">What the first sensor sits in.</param>
    /// <returns>Null while a phase has no run, or the runs cannot be compared.</returns>
    public static JobTrial? Compute(IReadOnlyList<Reading> readings, IReadOnlyList<SensorProof> sensors, string part)
    {
        var before = readings.Where(r => r.Phase == Phase.Before).ToList();
        var after = readings.Where(r => r.Phase == Phase.After).ToList();
        if (before.Count == 0 || after.Count == 0)
            return null;
        List<Reading> fitting =
        [
            .. after.Where(r =>
                Near(r.On, after[0].On) && !RunConditions.Unlike(before[^1].Conditions, r.Conditions).Any()
            ),
        ];
        // runs at other powers are of the same line once one is at the power of before
        if (!fitting.Exists(r => BeforeAfter.Compute(Steady(before[^1]), Steady(r)).Comparable))
            return null;
        // what ran on air and what ran on water were not the same cooler
        List<Reading> runs =
        [
            .. before.Where(r => Near(r.On, before[^1].On) && (r.CoolantC is null) == (before[^1].CoolantC is null)),
            .. fitting,
        ];
        var power = runs.Where(r => r.Phase == Phase.Before).Average(r => r.PowerW);
        List<TrialRun> trial =
        [
            .. runs.Select((r, i) => new TrialRun(r.Phase, i + 1, r.DieC, r.CoolantC, r.RoomC, r.FlowLMin, r.PowerW)),
        ];
        var fit = Trials.Compute(trial, power, WantedK, only: Phase.After);
        List<TrialDot> dots =
        [
            .. runs.Select(
                (r, i) =>
                    new TrialDot(
                        r.Phase,
                        i + 1,
                        (r.DieC - Trials.Over(trial[i], fit.Reference)) * power / r.PowerW,
                        r.On
                    )
            ),
        ];
        TrialBand Band(Phase phase) =>
            dots.Where(d => d.Phase == phase).ToList() is var own
                ? new(own.Average(d => d.OverK), fit.OneRunK / Math.Sqrt(own.Count))
                : null!;
        var over = InWords(fit.Reference);
        return new(
            power,
            fit.Reference,
            over,
            fit.GainK,
            fit.LowK,
            fit.HighK,
            dots,
            Band(Phase.Before),
            Band(Phase.After),
            BandExpected(sensors, after, trial, fit.Reference, power),
            fit.RunsNeeded,
            Describe(fit, part, over, power, runs),
            Still(fit)
        );
    }

    private static bool Near(DateOnly? a, DateOnly? b) =>
        a is not { } x || b is not { } y || Math.Abs(x.DayNumber - y.DayNumber) <= Days;

    private static SteadyReading Steady(Reading r) => new(r.DieC, r.RoomC, r.CoolantC, r.FlowLMin, r.PowerW, new());

    /// <summary>What is expected at the first sensor over the reference, as the runs after had it.</summary>
    private static TrialBand? BandExpected(
        IReadOnlyList<SensorProof> sensors,
        List<Reading> after,
        List<TrialRun> trial,
        TrialReference reference,
        double power
    )
    {
        if (sensors.Count == 0)
            return null;
        // the run the sensors are told for
        var told = after.Last(r => r is { CoolantC: not null, FlowLMin: > 0 });
        var ratio = power / told.PowerW;
        var overInlet = (sensors[0].ExpectedC - sensors[0].At.CoolantInC) * ratio;
        var apart = trial
            .Where(r => r is { Phase: Phase.After, CoolantInC: not null })
            .Select(r => (r.CoolantInC!.Value - Trials.Over(r, reference)) * power / r.PowerW)
            .DefaultIfEmpty()
            .Average();
        return new(overInlet + apart, sensors[0].ExpectedPlusMinusK * ratio);
    }

    private static string InWords(TrialReference reference) =>
        reference switch
        {
            TrialReference.CoolantMean => JobTrialWords.MeanOfCoolant,
            TrialReference.Inlet => "the coolant's inlet",
            _ => "the room",
        };

    private static Message Describe(TrialResult fit, string part, string over, double power, List<Reading> runs)
    {
        int b = runs.Count(r => r.Phase == Phase.Before),
            a = runs.Count - b;
        var (low, high) = (fit.LowK, fit.HighK);
        var told = JobTrialWords.AtRunsThanBefore(
            power,
            part,
            Math.Abs(fit.GainK),
            fit.GainK >= 0 ? "cooler" : "warmer"
        );
        var range =
            low <= 0 && high >= 0
                ? JobTrialWords.WhichMayBeChance(low, high)
                : FormattableString.Invariant(
                    $", between {Math.Min(Math.Abs(low), Math.Abs(high)):0} and {Math.Max(Math.Abs(low), Math.Abs(high)):0} K with 95 %"
                );
        return JobTrialWords.StatedOverFromBeforeAndAfter(told, range, over, HowMany.Count(b, "run"), a);
    }

    private static string Still(TrialResult fit) =>
        fit.RunsNeeded switch
        {
            0 => JobTrialWords.GainIsToldWithin(WantedK),
            { } n => JobTrialWords.AfterWithPauseBetweenWouldTell(HowMany.Count(n, "more run"), WantedK),
            null => JobTrialWords.NoNumberOfRunsAfterTells(WantedK),
        };
}
