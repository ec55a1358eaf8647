namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of figure source.</summary>
internal static class FigureSourceWords
{
    public static Message NobodyMeasuredThis =>
        $"Nobody measured this: figures of a stand-in are kept in the demo shop only.";

    public static Message ExpectedDaySuchAsNotAfter => $"Expected a day such as 2026-01-31, not after today.";

    public static Message SimulatedNobodyMeasured => $"simulated, nobody measured it";

    public static Message ExpectedAtMostCharacters(int maxName) => $"Expected at most {maxName} characters.";
}
