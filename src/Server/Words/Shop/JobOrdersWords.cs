namespace FaithfulBracket.Server.Words.Shop;

/// <summary>Sentences of job orders.</summary>
internal static class JobOrdersWords
{
    public static string LibraryHasNo(string kind, string id) => $"The library has no {kind} \"{id}\".";
}
