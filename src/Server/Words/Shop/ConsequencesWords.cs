namespace FaithfulBracket.Server.Words.Shop;

/// <summary>Sentences of consequences.</summary>
internal static class ConsequencesWords
{
    public static string ItCanNoLongerBePlanned(string message) => $"It can no longer be planned: {message}";
}
