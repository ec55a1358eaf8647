namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of client files.</summary>
internal static class ClientFilesWords
{
    public const string ServerRunsClientIsNotBuilt =
        "The server runs; the client is not built. ./run demo builds both.";
}
