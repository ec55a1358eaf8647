namespace FaithfulBracket.Formats.Words.Documents.Editing;

/// <summary>Sentences of new item.</summary>
internal static class NewItemWords
{
    public static string NothingIsKnownOfNewEntry(string toText) =>
        $"Nothing is known of a new entry of {toText}: send its value.";
}
