namespace FaithfulBracket.Formats.Words.Documents.Editing;

/// <summary>Sentences of document editor.</summary>
internal static class DocumentEditorWords
{
    public static string LimitsDocumentOfMiB(int maxEdits, int maxItems, int maxRow) =>
        $"Limits: a document of 4 MiB; {maxEdits} edits, {maxItems} places in one, rows of {maxRow}.";

    public static string ExpectedLengthSuch(string shortText) =>
        $"Expected a length such as 12.5, 12.5 mm or 0.5 in, found \"{shortText}\".";

    public static string ExpectedToMoreFound(int maxRow, int rowCount) =>
        $"Expected 1 to {maxRow} more, found {rowCount}.";

    public const string ItStandsInNoList = "It stands in no list, so that there can be no second of it.";

    public static string IsNothingThatLiesAnywhere(string thing) => $"{thing} is nothing that lies anywhere.";

    public static string ThereIsNothing(string pointer) => $"There is nothing at {pointer}.";
}
