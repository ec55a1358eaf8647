namespace FaithfulBracket.Server.Words;

/// <summary>What a request may hold at most.</summary>
internal static class LimitWords
{
    public static string ExpectedToReadingsFound(int max, int found) => $"Expected 1 to {max} readings, found {found}.";

    public static string ExpectedAtMostFound(int max, int found) => $"Expected at most {max}, found {found}.";

    public static string ExpectedAtMostPointsFound(int max, int found) =>
        $"Expected at most {max} points, found {found}.";

    public static string ExpectedAtMostCharactersFound(int max, int found) =>
        $"Expected at most {max} characters, found {found}.";

    public static string ExpectedAtMostCharacters(int max) => $"Expected at most {max} characters.";

    public static string ExpectedToSamplesFound(int min, int max, int found) =>
        $"Expected {min} to {max} samples, found {found}.";
}
