namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of tightening.</summary>
internal static class TighteningWords
{
    public const string LimitsScrewsMoves =
        "Limits: 64 screws, 4,000 moves; screws times turns over the step may not ask for more.";

    public static string MovesAtThisStep(double many, int maxMoves) =>
        $"{many:0} moves at this step; at most {maxMoves}: take larger turns.";

    public static string IsNotScrewOfThisBlock(string hole) => $"\"{hole}\" is not a screw of this block.";

    public static string ScrewsTurningOfAtMost(int screws, int maxScrews) =>
        $"{screws} screws; the turning of at most {maxScrews} is simulated.";

    public static string HowFarToTurnAtTime(string unknown) => $"How far to turn at a time is not known: {unknown}";

    public static string NameEachOfScrewsOnce(int holeCount) => $"Name each of the {holeCount} screws once.";
}
