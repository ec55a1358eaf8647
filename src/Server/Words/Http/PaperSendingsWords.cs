namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of paper sendings.</summary>
internal static class PaperSendingsWords
{
    public static string ExpectedToLettersDigitsAndDashes(int minKey, int maxKey) =>
        $"Expected {minKey} to {maxKey} letters, digits and dashes.";
}
