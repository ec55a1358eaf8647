namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of walk endpoints.</summary>
internal static class WalkEndpointsWords
{
    public const string LimitsBodyOfMiBBoardsBlocks =
        "Limits: a body of 4 MiB, 24 boards, 24 blocks; 2,000 steps of 500 acts.";

    public static string ExpectedAtMostStepsOfActs(int maxSteps, int maxActs) =>
        $"Expected at most {maxSteps} steps of {maxActs} acts.";

    public const string ExpectedFrontBackOrEdge = "Expected front, back or edge.";

    public static string ExpectedAtMostHoles(int maxHoles) => $"Expected at most {maxHoles} holes.";

    public static string IsNotIdOfThingSuch(string id) =>
        $"\"{id}\" is not the id of a thing, such as \"screws:A/F1\".";
}
