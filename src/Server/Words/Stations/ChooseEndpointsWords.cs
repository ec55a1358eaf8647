namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of choose endpoints.</summary>
internal static class ChooseEndpointsWords
{
    public const string OnlyOneBoardAtTime = "Only one board at a time is put together.";

    public static string ExpectedOneToBlockIdsFound(int maxCompared, int idCount) =>
        $"Expected one to {maxCompared} block ids, found {idCount}.";

    public const string ExpectedFlowFromToLMin = "Expected a flow from 0 to 30 L/min.";

    public const string ExpectedAirFromToC = "Expected air from −20 to 90 °C.";
}
