namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of choose endpoints.</summary>
internal static class ChooseEndpointsWords
{
    public const string OnlyOneBoardAtTime = "Only one board at a time is put together.";

    public static string LibraryHasNoBoard(string id) => $"The library has no board \"{id}\".";

    public static string ExpectedOneToBlockIdsFound(int mostCompared, int idCount) =>
        $"Expected one to {mostCompared} block ids, found {idCount}.";

    public const string ExpectedFlowFromToLMin = "Expected a flow from 0 to 30 L/min.";

    public static string LibraryHasNoBlock(string b) => $"The library has no block \"{b}\".";

    public const string ExpectedAirFromToC = "Expected air from −20 to 90 °C.";
}
