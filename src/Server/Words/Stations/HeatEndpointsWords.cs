namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of heat endpoints.</summary>
internal static class HeatEndpointsWords
{
    public const string ExpectedHWPerM2KOverWholePlate = "Expected hWPerM2K over the whole plate, or areas in cooled.";
}
