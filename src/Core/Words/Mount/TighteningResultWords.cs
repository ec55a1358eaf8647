namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of tightening result.</summary>
internal static class TighteningResultWords
{
    public static Message AndDiesEdge(double limit) => $" and the die's edge under {limit:0.#} MPa";

    public static Message NoPassesKeep(string count, int maxPasses, string brokenWords) =>
        $"{count} No {maxPasses} passes keep the {brokenWords}. Turn evenly, and hold the block level by hand "
        + $"until all screws grip.";

    public static Message NoEvenStepKeeps(string count, string bounds, double tiltDeg) =>
        $"{count} No even step keeps {bounds}: this one reaches {tiltDeg:0.00}°. Turn in the smallest steps and "
        + $"hold the block level by hand until all screws grip.";

    public static Message LargestEvenStepThatKeeps(string count, string bounds) =>
        $"{count} The largest even step that keeps {bounds}.";

    public static Message RecommendedIsLargestEvenStep(string count, string recommendedWords, string bounds) =>
        $"{count} Recommended is {recommendedWords}, the largest even step that keeps {bounds}.";

    public static Message LoadWithinPartsLimit => $"load within the part's limit";

    public static Message PressureAtDiesEdgeWithinLimit => $"pressure at the die's edge within its limit";

    public static Message NoDieLiesUnderThisBlock(double tiltDeg) =>
        $"No die lies under this block: what counts is that it comes down level. One screw home first tilts it "
        + $"{tiltDeg:0.00}°.";

    public static Message DieRingGoesInCrossThen(double peakMPa) =>
        $"Tighten the die screws in a cross pattern, then work outward. Tightening one corner first presses the "
        + $"die's edge {peakMPa:0.#} times as hard.";

    public static Message DieRingGoesInCrossThenOutward =>
        $"Tighten the die screws in a cross pattern, then work outward. Tightening one corner first chips the "
        + $"die's edge.";

    public static Message DieRingGoesInCrossThenOutwardSoThatNoCorner =>
        $"Tighten the die screws in a cross pattern, then work outward, so that all corners come down evenly.";
}
