namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of text file.</summary>
internal static class TextFileWords
{
    public static string PDFHoldsPicturesOfPages(string name) =>
        $"{name}: a PDF holds pictures of pages, no places of parts.";
}
