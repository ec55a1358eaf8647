namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of repeated runs.</summary>
internal static class RepeatedRunsWords
{
    public static Message AlikeRunsKWBetweenThem(int runCount, double mean, double spread, double sensors) =>
        $"{runCount} alike runs: {mean:0} K/kW, ± {spread:0.0} between them, ± {sensors:0.0} by the sensors of "
        + $"one.";

    public static Message TheyDifferByMoreThanSensors =>
        $" They differ by more than the sensors explain: load, pump or room moved.";

    public static Message SweepOfRuns(
        int runCount,
        double slope,
        double slopeHalf,
        double intercept,
        double interceptHalf
    ) =>
        $"Sweep of {runCount} runs: {slope:0} ± {slopeHalf:0} K/kW, {intercept:0.0} ± {interceptHalf:0.0} K "
        + $"without power";

    public static Message ItDoesNotPass => $": it does not pass 0. A sensor is off, or heat comes from elsewhere.";
}
