namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of versions.</summary>
internal static class VersionsWords
{
    public const string SayWhichVersionYouSaw = "Say which version you saw in If-Match, such as \"3\".";
}
