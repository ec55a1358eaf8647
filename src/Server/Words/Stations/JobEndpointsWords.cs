namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of job endpoints.</summary>
internal static class JobEndpointsWords
{
    public static string ExpectedAtMostCharactersFound(int mostReason, int rCount) =>
        $"Expected at most {mostReason} characters, found {rCount}.";
}
