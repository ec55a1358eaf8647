namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of fit scan.</summary>
internal static class FitScanWords
{
    public static Message BlocksPatternOfHolesIsAnother =>
        $"The block's pattern of holes is another: no choice of holes takes every required screw.";
}
