namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of depths endpoint.</summary>
internal static class DepthsEndpointWords
{
    public static string LandHasReadings(string key, int crowdedCount, int maxOfOneLand) =>
        $"Land \"{key}\" has {crowdedCount} readings; at most {maxOfOneLand} of one land.";

    public static string ExpectedMoreThanSquashMin(string least) => $"Expected more than squashMin ({least}).";
}
