namespace FaithfulBracket.Core.Words.Match.Trace;

/// <summary>Sentences of traced board.</summary>
internal static class TracedBoardWords
{
    public static Message NotMeasuredYet(string missing, string andMore) =>
        $"Not measured yet: {missing}{andMore}. Type the caliper's values.";

    public static Message MarkThreeHolesOrParts => $"Mark three holes or parts at least.";
}
