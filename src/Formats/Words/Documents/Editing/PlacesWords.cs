namespace FaithfulBracket.Formats.Words.Documents.Editing;

/// <summary>Sentences of places.</summary>
internal static class PlacesWords
{
    public const string ExpectedPlaceOfFieldFoundWhole = "Expected the place of a field, found the whole document.";

    public static string LeadsDeeperThanDocumentGoes(string shortText) =>
        $"\"{shortText}\" leads deeper than a document goes.";
}
