namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of document endpoints.</summary>
internal static class DocumentEndpointsWords
{
    public const string LimitsDocumentOfMiB =
        "Limits: a document of 4 MiB; jobs are planned for 8 s at most, the rest is counted in more.";

    public static string ExpectedAsInAddressFound(string id, string document) =>
        $"Expected \"{id}\" as in the address, found \"{document}\".";

    public static string JobRestsOn(long job, string title, string kind) =>
        $"Job {job}, \"{title}\", rests on this {kind}: archive it instead.";
}
