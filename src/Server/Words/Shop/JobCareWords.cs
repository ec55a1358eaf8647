namespace FaithfulBracket.Server.Words.Shop;

/// <summary>Sentences of job care.</summary>
internal static class JobCareWords
{
    public static string OrderHasNoBoard(string board) => $"The order has no board \"{board}\".";
}
