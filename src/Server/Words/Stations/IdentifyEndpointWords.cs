namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of identify endpoint.</summary>
internal static class IdentifyEndpointWords
{
    public const string LimitsHolesAndPartsTogether = "Limits: 5,000 holes and parts together.";

    public static string ExpectedAtLeastThreeHoles(int holeCount) =>
        $"Expected at least three holes and parts together, found {holeCount}.";
}
