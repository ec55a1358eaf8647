namespace FaithfulBracket.Core.Words.Plans.Walk;

/// <summary>Sentences of act writer.</summary>
internal static class ActWriterWords
{
    public const string SwitchPowerOffAndUnplug = "Switch the power off and unplug it";

    public static string TurnOverSideUp(string name, string up) => $"Turn {name} over ({up} side up)";

    public static string HoldNoScrewHolds(string held) => $". Hold the {held}: no screw holds it";
}
