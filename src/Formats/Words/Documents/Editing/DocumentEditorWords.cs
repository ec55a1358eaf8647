namespace FaithfulBracket.Formats.Words.Documents.Editing;

/// <summary>Sentences of document editor.</summary>
internal static class DocumentEditorWords
{
    public static string LimitsDocumentOfMiB(int mostEdits, int mostItems, int mostRow) =>
        $"Limits: a document of 4 MiB; {mostEdits} edits, {mostItems} places in one, rows of {mostRow}.";

    public static string ExpectedLengthSuch(string shortText) =>
        $"Expected a length such as 12.5, 12.5 mm or 0.5 in, found \"{shortText}\".";

    public static string ExpectedToMoreFound(int mostRow, int rowCount) =>
        $"Expected 1 to {mostRow} more, found {rowCount}.";

    public const string ItStandsInNoList = "It stands in no list, so that there can be no second of it.";

    public static string IsNothingThatLiesAnywhere(string a) => $"{a} is nothing that lies anywhere.";

    public static string ThereIsNothing(string at) => $"There is nothing at {at}.";
}
