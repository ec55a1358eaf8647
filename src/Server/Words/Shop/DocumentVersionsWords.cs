namespace FaithfulBracket.Server.Words.Shop;

/// <summary>Sentences of document versions.</summary>
internal static class DocumentVersionsWords
{
    public static string JobRestsOnVersion(long version, string kind, string held, string message, long newest) =>
        $"The job rests on version {version} of {kind} \"{held}\", which does not read by today's rules: "
        + $"{message} Take version {newest}.";
}
