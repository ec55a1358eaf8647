namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of correction endpoints.</summary>
internal static class CorrectionEndpointsWords
{
    public const string ExpectedExactlyOneOfReadingLog = "Expected exactly one of reading, log, title or client.";

    public const string ThisJobIsOpen = "This job is open: change it as usual.";

    public static string SayWhyInToCharacters(int maxWhy) =>
        $"Say why, in 1 to {maxWhy} characters: it stays with the correction.";
}
