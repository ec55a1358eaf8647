namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of spring endpoint.</summary>
internal static class SpringEndpointWords
{
    public static string ReadingsMassGOrLoadNLengthMmHomeMm(int minReadings, int maxReadings) =>
        $"{{readings:[{{massG or loadN, lengthMm}}], homeMm?}}; {minReadings} to {maxReadings} readings.";
}
