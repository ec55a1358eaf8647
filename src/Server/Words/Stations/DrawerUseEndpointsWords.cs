namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of drawer use endpoints.</summary>
internal static class DrawerUseEndpointsWords
{
    public static string ExpectedToLinesFound(int maxLines, int lineCount) =>
        $"Expected 1 to {maxLines} lines, found {lineCount}.";
}
