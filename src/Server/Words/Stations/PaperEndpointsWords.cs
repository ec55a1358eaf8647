namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of paper endpoints.</summary>
internal static class PaperEndpointsWords
{
    public static string OrderHasNoBoard(string board) => $"The order has no board \"{board}\".";

    public const string ExpectedInstantSuch = "Expected an instant such as 2026-01-31T10:20:30Z, not after now.";

    public static string ExpectedToCharactersFound(int mostNote, int length) =>
        $"Expected 1 to {mostNote} characters, found {length}.";

    public static string PlanHasNoStep(string stepId) => $"The plan has no step \"{stepId}\".";

    public const string ThisStepHasNoWait = "This step has no wait: say how many seconds.";

    public static string ExpectedSToDaysFound(int seconds) => $"Expected 1 s to 7 days, found {seconds}.";

    public static string ExpectedAtMostCharactersFound(int mostLabel, int labelCount) =>
        $"Expected at most {mostLabel} characters, found {labelCount}.";
}
