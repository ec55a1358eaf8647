namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of held documents.</summary>
internal static class HeldDocumentsWords
{
    public static string JobRestsOnNewestVersion(long jobId, string kind, string id) =>
        $"Job {jobId} rests on the newest version of {kind} \"{id}\".";

    public static string IsAtVersion(string kind, string id, long newest, long version) =>
        $"The {kind} \"{id}\" is at version {newest}, not {version}: look at what it changes, then take it.";
}
