namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of fit.</summary>
internal static class FitWords
{
    public static string UnprovenWithoutHeightOrKind(string parts) => $"unproven: {parts} without a height or a kind";

    public const string ScrewsDoNotLineUp = "screws do not line up";

    public const string SeatsAllScrewsPass = "seats, all screws pass";

    public const string BlockMissesDie = "the block misses the die";

    public static string SeatsInOfCases(double percent) => $"seats in {percent} % of cases";
}
