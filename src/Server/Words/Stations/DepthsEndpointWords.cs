namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of depths endpoint.</summary>
internal static class DepthsEndpointWords
{
    public static string ExpectedToReadingsFound(int mostReadings, int listCount) =>
        $"Expected 1 to {mostReadings} readings, found {listCount}.";

    public static string LandHasReadings(string key, int crowdedCount, int mostOfOneLand) =>
        $"Land \"{key}\" has {crowdedCount} readings; at most {mostOfOneLand} of one land.";

    public static string ExpectedMoreThanSquashMin(string least) => $"Expected more than squashMin ({least}).";
}
