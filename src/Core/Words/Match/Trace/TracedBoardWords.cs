namespace FaithfulBracket.Core.Words.Match.Trace;

/// <summary>Sentences of traced board.</summary>
internal static class TracedBoardWords
{
    public static string NotMeasuredYet(string missing, string andMore) =>
        $"Not measured yet: {missing}{andMore}. Type the caliper's values.";

    public const string MarkThreeHolesOrParts = "Mark three holes or parts at least.";
}
