namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of land depths endpoint.</summary>
internal static class LandDepthsEndpointWords
{
    public static string LimitsDocumentOfMiBLands(int maxLands) => $"Limits: a document of 4 MiB, {maxLands} lands.";

    public static string DrawerHasNoPadMaterial(string id) => $"The drawer has no pad material \"{id}\".";
}
