namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of job trial.</summary>
internal static class JobTrialWords
{
    public static Message MeanOfCoolant => $"the mean of the coolant";

    public static Message AtRunsThanBefore(double power, string part, double gainK, string warmer) =>
        $"At {power:0} W the {part} runs {gainK:0} K {warmer} than before";

    public static Message WhichMayBeChance(double low, double high) =>
        $", which may be chance: from {low:0} to {high:0} K with 95 %";

    public static Message StatedOverFromBeforeAndAfter(
        string gain,
        string range,
        string over,
        string before,
        int after
    ) => $"{gain}{range}; measured over {over}, from {before} before and {after} after.";

    public static Message GainIsToldWithin(double wantedK) =>
        $"The gain is known within ± {wantedK:0} K: no further run is needed.";

    public static Message AfterWithPauseBetweenWouldTell(string moreRuns, double wantedK) =>
        $"{moreRuns} after, with a pause between, would give the gain within ± {wantedK:0} K.";

    public static Message NoNumberOfRunsAfterTells(double wantedK) =>
        $"No number of runs after gives the gain within ± {wantedK:0} K: the runs before were too few or too far "
        + $"apart.";
}
