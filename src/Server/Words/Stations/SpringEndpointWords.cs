namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of spring endpoint.</summary>
internal static class SpringEndpointWords
{
    public static string ReadingsMassGOrLoadNLengthMmHomeMm(int leastReadings, int mostReadings) =>
        "{readings:[{massG or loadN, lengthMm}], homeMm?}; " + $"{leastReadings} to {mostReadings} readings.";
}
