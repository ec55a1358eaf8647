namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of fit.</summary>
internal static class FitWords
{
    public static Message UnprovenWithoutHeightOrKind(string parts) => $"unproven: {parts} without a height or a kind";

    public static Message ScrewsDoNotLineUp => $"screws do not line up";

    public static Message SeatsAllScrewsPass => $"seats, all screws pass";

    public static Message BlockMissesDie => $"the block misses the die";

    public static Message SeatsInOfCases(double percent) => $"seats in {percent} % of cases";
}
