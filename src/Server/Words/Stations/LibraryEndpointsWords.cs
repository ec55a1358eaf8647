namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of library endpoints.</summary>
internal static class LibraryEndpointsWords
{
    public static string LibraryHasNoBoard(string id) => $"The library has no board \"{id}\".";

    public static string LibraryHasNoBlock(string id) => $"The library has no block \"{id}\".";
}
