namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of order fits.</summary>
internal static class OrderFitsWords
{
    public static Message BoardIsMissing => $"its board is not here";
}
