namespace FaithfulBracket.Core.Words.Teardown;

/// <summary>Sentences of old pads.</summary>
internal static class OldPadsWords
{
    public static Message PhotographOldPadsAndPaste(string what, string on) =>
        $"Photograph the old {what} in place{on}, on both sides";

    public static Message BeforeAnythingIsWiped =>
        $"Before anything is wiped: where each lay, what it touched, where it was thin.";

    public static Message MeasureOldPads(string on) =>
        $"Measure the old pads{on}: at the rim where nothing pressed them, and in the middle";

    public static Message OneOfEachKindWillDo =>
        $"One of each kind will do. Their thickness tells the true gap, and what goes under the stock cooler when "
        + $"it goes back.";

    public static Message JawsJustTouch => $"The jaws just touch: a pad that gives under the caliper reads too thin.";
}
