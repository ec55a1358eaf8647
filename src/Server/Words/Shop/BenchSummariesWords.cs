namespace FaithfulBracket.Server.Words.Shop;

/// <summary>Sentences of bench summaries.</summary>
internal static class BenchSummariesWords
{
    public static string CanNotBePlanned(string why) => $"can not be planned: {why}";
}
