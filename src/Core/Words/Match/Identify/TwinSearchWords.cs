namespace FaithfulBracket.Core.Words.Match.Identify;

/// <summary>Sentences of twin search.</summary>
internal static class TwinSearchWords
{
    public static Message ThreePointsAtLeastAreNeeded(int pointCount) =>
        $"Three points at least are needed to tell boards apart; {pointCount} given.";

    public static Message NoneIsClose(double none) =>
        $"None is close: {none:0 %} that no board of the library is this one. Add holes, or survey it as a new "
        + $"board.";

    public static Message OfPointsMeetWithinRms(
        string maker,
        string model,
        string revision,
        double chance,
        int met,
        int seen,
        double rmsMm
    ) => $"{maker} {model} {revision}, {chance:0.# %}: {met} of {seen} points meet within {rmsMm:0.00} mm rms; ";

    public static Message NothingSeenDiffersUnderBlock => $"nothing seen differs under the block.";
}
