namespace FaithfulBracket.Server.Words.Shop;

/// <summary>Sentences of job log views.</summary>
internal static class JobLogViewsWords
{
    public static string LogCanNotBeRead(long logId, string message) => $"Log {logId} cannot be read: {message}";
}
