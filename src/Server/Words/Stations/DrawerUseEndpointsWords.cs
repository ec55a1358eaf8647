namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of drawer use endpoints.</summary>
internal static class DrawerUseEndpointsWords
{
    public static string ExpectedToLinesFound(int mostLines, int lineCount) =>
        $"Expected 1 to {mostLines} lines, found {lineCount}.";
}
