namespace FaithfulBracket.Core.Words.Plans.Walk;

/// <summary>Sentences of act writer.</summary>
internal static class ActWriterWords
{
    public static Message SwitchPowerOffAndUnplug => $"Switch the power off and unplug it";

    public static Message TurnOverSideUp(string name, string up) => $"Turn {name} over ({up} side up)";

    public static Message TurnTogether(string boards, string board, string up) =>
        $"Turn boards {boards} over together ({up} side of {board} up)";

    public static Message HoldNoScrewHolds(Message over, string held) => $"{over}. Hold the {held}: no screw holds it";
}
