namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of proof endpoints.</summary>
internal static class ProofEndpointsWords
{
    public const string ExpectedBeforeAfterOrBoth = "Expected before, after, or both.";

    public static string ExpectedToRunsFound(int mostRuns, int listCount) =>
        $"Expected 1 to {mostRuns} runs, found {listCount}.";

    public static string ExpectedToPointsFound(int leastPoints, int mostPoints, int listCount) =>
        $"Expected {leastPoints} to {mostPoints} points, found {listCount}.";

    public const string AllOfOneDay = "All of one day: a drift needs at least two.";

    public static string ExpectedToSamplesFound(int least, int most, int found) =>
        $"Expected {least} to {most} samples, found {found}.";

    public const string ExpectedTimesThatRiseFromSample = "Expected times that rise from sample to sample.";
}
