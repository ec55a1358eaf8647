namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of figure source.</summary>
internal static class FigureSourceWords
{
    public const string NobodyMeasuredThis =
        "Nobody measured this: figures of a stand-in are kept in the demo shop only.";

    public const string ExpectedDaySuchAsNotAfter = "Expected a day such as 2026-01-31, not after today.";

    public const string SimulatedNobodyMeasured = "simulated, nobody measured it";

    public static string ExpectedAtMostCharacters(int maxName) => $"Expected at most {maxName} characters.";
}
