namespace FaithfulBracket.Formats.Words.Documents;

/// <summary>Sentences of socket reader.</summary>
internal static class SocketReaderWords
{
    public const string ExpectedNoLessThanContactMinN = "Expected no less than contactMinN.";

    public const string ExpectedOrAlongXAndY = "Expected −1 or 1 along x and y, such as [-1, 1].";
}
