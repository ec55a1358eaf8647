namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of proof endpoints.</summary>
internal static class ProofEndpointsWords
{
    public const string ExpectedBeforeAfterOrBoth = "Expected before, after, or both.";

    public static string ExpectedToRunsFound(int maxRuns, int listCount) =>
        $"Expected 1 to {maxRuns} runs, found {listCount}.";

    public static string ExpectedToPointsFound(int minPoints, int maxPoints, int listCount) =>
        $"Expected {minPoints} to {maxPoints} points, found {listCount}.";

    public const string AllOfOneDay = "All of one day: a drift needs at least two.";

    public const string ExpectedTimesThatRiseFromSample = "Expected times that rise from sample to sample.";
}
