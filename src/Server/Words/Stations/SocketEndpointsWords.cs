namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of socket endpoints.</summary>
internal static class SocketEndpointsWords
{
    public const string LimitsBodyOfMiBAndThose = "Limits: a body of 4 MiB, and those of the documents.";
}
