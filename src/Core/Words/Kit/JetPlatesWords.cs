namespace FaithfulBracket.Core.Words.Kit;

/// <summary>Sentences of jet plates.</summary>
internal static class JetPlatesWords
{
    public static Message IsNotJetPlate(double measuredMm) =>
        $"{measuredMm:0.00} mm is not a jet plate of this block: measure again, flat between the jaws.";

    public static Message RightOne(double measuredMm, string? jetPlate) =>
        $"{measuredMm:0.00} mm: {jetPlate}, the right one.";

    public static Message MadeForSocket(double measuredMm, string? jetPlate, string nameOf) =>
        $"{measuredMm:0.00} mm: {jetPlate}, made for socket {nameOf}. Put it back in the bag.";
}
