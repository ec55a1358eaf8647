namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of pass words.</summary>
internal static class PassSentences
{
    public static string AlternateBetweenTwoLittleByLittle(string thing) =>
        $"Alternate between the two {thing}s, little by little. Never turn one home before the other.";

    public static string TurnInOrderOfTheirNumbers(string thing) => $"Turn the {thing}s in the order of their numbers.";

    public const string ResistanceRisesToEndSame =
        "Resistance rises to the end, the same on each. One that turns on freely does not hold.";

    public const string ResistanceGrowsSoftlyAndSame =
        "Resistance grows softly and the same on each. One that is hard early is crossed: back it out.";
}
