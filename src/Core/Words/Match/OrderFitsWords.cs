namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of order fits.</summary>
internal static class OrderFitsWords
{
    public const string BoardIsMissing = "its board is not here";
}
