namespace FaithfulBracket.Core.Words.Plans;

/// <summary>Sentences of job rules.</summary>
internal static class JobRulesWords
{
    public static Message ExpectedToCharactersFound(int maxTitle, int length) =>
        $"Expected 1 to {maxTitle} characters, found {length}.";

    public static Message ExpectedAtMostFound(int maxPadChoices, int choiceCount) =>
        $"Expected at most {maxPadChoices}, found {choiceCount}.";

    public static Message ExpectedPadForPartFoundNone => $"Expected a pad for a part, found none.";

    public static Message OrderHasNoBoard(string key) => $"The order has no board \"{key}\".";

    public static Message BoardHasNoPart(string part) => $"The board has no part \"{part}\".";

    public static Message StandsTwiceOnePadPart(string part) => $"\"{part}\" stands twice: one pad a part.";

    public static Message PadMaterialIsNotInDrawer(string? material) =>
        $"Pad material \"{material}\" is not in the drawer.";

    public static Message PadVariesBy(string material, double thicknessTolMm, double thicknessMm) =>
        $"A {material} pad varies by ±{thicknessTolMm:0.0#} mm: one of {thicknessMm:0.0##} mm may not be there at "
        + $"all.";

    public static Message ExpectedAtMostCharactersFound(int maxClient, int clientCount) =>
        $"Expected at most {maxClient} characters, found {clientCount}.";
}
