namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of land depths endpoint.</summary>
internal static class LandDepthsEndpointWords
{
    public static string LimitsDocumentOfMiBLands(int mostLands) => $"Limits: a document of 4 MiB, {mostLands} lands.";

    public static string LibraryHasNoBoard(string boardId) => $"The library has no board \"{boardId}\".";

    public static string DrawerHasNoPadMaterial(string id) => $"The drawer has no pad material \"{id}\".";
}
