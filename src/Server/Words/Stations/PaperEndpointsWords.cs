namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of paper endpoints.</summary>
internal static class PaperEndpointsWords
{
    public const string ExpectedInstantSuch = "Expected an instant such as 2026-01-31T10:20:30Z, not after now.";

    public static string ExpectedToCharactersFound(int maxNote, int length) =>
        $"Expected 1 to {maxNote} characters, found {length}.";

    public const string ThisStepHasNoWait = "This step has no wait: say how many seconds.";

    public static string ExpectedSToDaysFound(int seconds) => $"Expected 1 s to 7 days, found {seconds}.";
}
