namespace FaithfulBracket.Server.Words.Shop;

/// <summary>Sentences of bench summaries.</summary>
internal static class BenchSummariesWords
{
    public static string CanNotBePlanned(string why) => $"cannot be planned: {why}";
}
