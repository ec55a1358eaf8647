namespace FaithfulBracket.Formats.Words.Documents.Editing;

/// <summary>Sentences of document text.</summary>
internal static class DocumentTextWords
{
    public const string FieldStandsTwice = "A field stands twice in it; keep one.";
}
