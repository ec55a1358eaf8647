namespace FaithfulBracket.Formats.Words.Documents;

/// <summary>Sentences of document rules.</summary>
internal static class DocumentRulesWords
{
    public static string ExpectedVersionFound(int? version) =>
        $"Expected version 1, found {version}: this reader is older than the document.";

    public static string ExpectedLettersDigits(string id) =>
        $"Expected letters, digits and - _ . + only, found \"{id}\".";

    public static string ExpectedNameFound(string id) =>
        $"Expected a name, found \"{id}\": dots alone are a place in an address.";

    public static string ExpectedLettersAndDigitsOnlyFound(string key) =>
        $"Expected letters and digits only, found \"{key}\".";

    public static string IdStandsTimes(string key, int twiceCount) =>
        $"The id \"{key}\" stands {twiceCount} times; every id once.";

    public const string ItLooksLikeMetres = "it looks like metres: multiply by 1000";

    public const string ItLooksLikeInchesOrCentimetres = "it looks like inches or centimetres: lengths are millimetres";

    public const string ItLooksLikeMilsOrMicrometres = "it looks like mils or micrometres: lengths are millimetres";

    public static string BoardIsLongExpected(double longest, double minBoardMm, double maxBoardMm, string guess) =>
        $"The board is {longest:0.###} mm long, expected {minBoardMm} to {maxBoardMm}; {guess}.";

    public static string ExpectedAtMostCharactersFound(int most, int textCount) =>
        $"Expected at most {most} characters, found {textCount}.";
}
