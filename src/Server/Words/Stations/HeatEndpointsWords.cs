namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of heat endpoints.</summary>
internal static class HeatEndpointsWords
{
    public static string ExpectedToReadingsFound(int mostReadings, int readingCount) =>
        $"Expected 1 to {mostReadings} readings, found {readingCount}.";

    public const string ExpectedHWPerM2KOverWholePlate = "Expected hWPerM2K over the whole plate, or areas in cooled.";

    public static string ExpectedAtMostFound(int most, int found) => $"Expected at most {most}, found {found}.";
}
