namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of heavy work.</summary>
internal static class ConcurrencyLimiterWords
{
    public static string ComputationsRunAndWaitAlready(int atOnce, int mostWaiting) =>
        $"{atOnce} computations run and {mostWaiting} wait already: ask again in a few seconds.";
}
