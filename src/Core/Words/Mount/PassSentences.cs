namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of pass words.</summary>
internal static class PassSentences
{
    public static Message AlternateBetweenTwoLittleByLittle(string thing) =>
        $"Alternate between the two {thing}s, little by little. Never turn one home before the other.";

    public static Message OnePass => $"One pass";

    public static Message PassOf(int pass, int passes) => $"Pass {pass} of {passes}";

    public static Message AllAlike(Message pass, string howFar, string screws) => $"{pass}: {howFar}, {screws}";

    public static Message ByAmount(Message pass, string amounts) => $"{pass}: {amounts}";

    public static Message OfBlock(string block, Message pass) => $"{block}, {pass:inside}";

    public static Message TurnInOrderOfTheirNumbers(string thing) =>
        $"Turn the {thing}s in the order of their numbers.";

    public static Message ResistanceRisesToEndSame =>
        $"Resistance rises to the end, the same on each. One that turns on freely does not hold.";

    public static Message ResistanceGrowsSoftlyAndSame =>
        $"Resistance grows softly and the same on each. One that is hard early is crossed: back it out.";
}
