namespace FaithfulBracket.Core.Words.Heat;

/// <summary>Sentences of under lid.</summary>
internal static class UnderLidWords
{
    public static Message LiesUnderWhichStatesNoBond(string die, string lid) =>
        $"{die} lies under {lid}, which states no bond or lid thickness: its temperature cannot be calculated.";
}
