namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of leak endpoints.</summary>
internal static class LeakEndpointsWords
{
    public const string PressureSaysThatItLeaks = "The pressure says that it leaks.";

    public const string PressureSaysThatItIsTight = "The pressure says that it is tight.";

    public const string TightLoopLeaksNowhere = "A tight loop leaks nowhere.";

    public const string FiguresDoNotTellYet =
        "The figures do not decide yet. Hold longer, or say what you saw: tight or leaks.";

    public const string HoldIsNotToldYet = "The hold is not decided yet: wait until it passes or fails.";

    public const string ExpectedStartKPaEndKPaAndMinutesTogether = "Expected startKPa, endKPa and minutes together.";

    public const string AirTestStandsOverKPa = "An air test stands over 0 kPa; at most 50 is usual.";
}
