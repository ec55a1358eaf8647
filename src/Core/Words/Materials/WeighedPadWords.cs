namespace FaithfulBracket.Core.Words.Materials;

/// <summary>Sentences of weighed pad.</summary>
internal static class WeighedPadWords
{
    public static Message ExpectedLessThanUnderLighterWeight(double leftMm) =>
        $"Expected less than under the lighter weight, found {leftMm:0.##} mm.";
}
