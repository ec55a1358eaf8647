namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of card endpoints.</summary>
internal static class CardEndpointsWords
{
    public static string LibraryHasNoCard(string id) => $"The library has no card \"{id}\".";
}
