namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of heavy work.</summary>
internal static class ConcurrencyLimiterWords
{
    public static string ComputationsRunAndWaitAlready(int atOnce, int maxWaiting) =>
        $"{atOnce} computations run and {maxWaiting} wait already: ask again in a few seconds.";
}
