namespace FaithfulBracket.Formats.Words.Documents.Editing;

/// <summary>Sentences of edit reader.</summary>
internal static class EditReaderWords
{
    public static string ExpectedToEditsFound(int maxEdits, int editCount) =>
        $"Expected 1 to {maxEdits} edits, found {editCount}.";

    public static string ExpectedScanOrPageFound(string by) => $"Expected scan or page, found \"{by}\".";

    public static string ExpectedToPlacesFound(int maxItems, int atCount) =>
        $"Expected 1 to {maxItems} places, found {atCount}.";
}
