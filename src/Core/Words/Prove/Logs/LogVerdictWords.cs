namespace FaithfulBracket.Core.Words.Prove.Logs;

/// <summary>Sentences of log verdict.</summary>
internal static class LogVerdictWords
{
    public static Message TooShortToTellAnything => $"Too short to tell anything.";

    public static Message NotSettlingSomethingStillChanges =>
        $"Not settling: something still changes. Look at pump, fans and load.";

    public static Message LoadPumpOrFansChanged(int regimeCount, string times) =>
        $"Load, pump or fans changed {regimeCount} {times}: only the last stretch counts.";

    public static Message ThrottledForDownToOfClock(double throttledCount, double min) =>
        $"Throttled for {throttledCount:0} s, down to {min:0} % of its clock: readings there are not at full load.";
}
