namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of tightening endpoint.</summary>
internal static class TighteningEndpointWords
{
    public static string ExpectedToTurnsFound(int maxAmounts, int amountCount) =>
        $"Expected 1 to {maxAmounts} turns, found {amountCount}.";

    public const string ExpectedAmountsOrTurnsPerMoveNotBoth = "Expected amounts or turnsPerMove, not both.";

    public const string ExpectedPassesAmountsOrTurnsPerMove = "Expected passes, amounts or turnsPerMove, one of them.";
}
