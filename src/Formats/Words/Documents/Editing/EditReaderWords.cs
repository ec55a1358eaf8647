namespace FaithfulBracket.Formats.Words.Documents.Editing;

/// <summary>Sentences of edit reader.</summary>
internal static class EditReaderWords
{
    public static string ExpectedToEditsFound(int mostEdits, int editCount) =>
        $"Expected 1 to {mostEdits} edits, found {editCount}.";

    public static string ExpectedScanOrPageFound(string by) => $"Expected scan or page, found \"{by}\".";

    public static string ExpectedToPlacesFound(int mostItems, int atCount) =>
        $"Expected 1 to {mostItems} places, found {atCount}.";
}
