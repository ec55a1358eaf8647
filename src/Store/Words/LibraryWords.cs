namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of library.</summary>
internal static class LibraryWords
{
    public static string LibraryHasNo(string table, string id) => $"The library has no {table} \"{id}\".";

    public static string HasNoVersion(string table, string id, long version) =>
        $"The {table} \"{id}\" has no version {version}.";

    public static string IsAtVersion(string kind, string id, long now, long expected) =>
        $"The {kind} \"{id}\" is at version {now}, not {expected}: somebody changed it. Look at their change, "
        + "then make yours again.";

    public static string IdStandsAlreadyWithOtherContent(string id) =>
        $"The id \"{id}\" stands already with other content. Give this one another id, or replace it with "
        + "?replace=true.";
}
