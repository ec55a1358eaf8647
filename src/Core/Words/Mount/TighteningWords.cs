namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of tightening.</summary>
internal static class TighteningWords
{
    public static Message LimitsScrewsMoves =>
        $"Limits: 64 screws, 4,000 moves; screws times turns over the step may not ask for more.";

    public static Message MovesAtThisStep(double many, int maxMoves) =>
        $"{many:0} moves at this step; at most {maxMoves}: take larger turns.";

    public static Message IsNotScrewOfThisBlock(string hole) => $"\"{hole}\" is not a screw of this block.";

    public static Message ScrewsTurningOfAtMost(int screws, int maxScrews) =>
        $"{screws} screws; the turning of at most {maxScrews} is simulated.";

    public static Message HowFarToTurnAtTime(string unknown) => $"How far to turn at a time is not known: {unknown}";

    public static Message NameEachOfScrewsOnce(int holeCount) => $"Name each of the {holeCount} screws once.";
}
