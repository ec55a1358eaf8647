namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of next measure.</summary>
internal static class NextMeasureWords
{
    public static Message HoleToSpare(
        string? boardHole,
        double spare,
        double positionSigmaMm,
        double chanceOfSeating,
        double then
    ) =>
        $"Hole {boardHole}: {spare:0.00} mm to spare at ±{positionSigmaMm:0.00}. Where it was seen, the chance "
        + $"goes from {chanceOfSeating:0} to {then:0} %.";

    public static Message HoleIsPastSlack(string? boardHole, double spare, double chanceOfSeating, double then) =>
        $"Hole {boardHole} is {spare:0.00} mm past its slack. If it is truly there, the chance goes from "
        + $"{chanceOfSeating:0} to {then:0} %.";

    public static Message HeightOfOfRoomKnown(string part, double marginMm, double heightTolMm) =>
        $"Height of {part}: {marginMm:0.00} mm of room, known to ±{heightTolMm:0.00}. Put the caliper on it.";
}
