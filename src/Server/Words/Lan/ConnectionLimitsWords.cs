namespace FaithfulBracket.Server.Words.Lan;

/// <summary>Sentences of connection limits.</summary>
internal static class ConnectionLimitsWords
{
    public const string TooManyConnectionsAreOpen = "Too many connections are open.";
}
