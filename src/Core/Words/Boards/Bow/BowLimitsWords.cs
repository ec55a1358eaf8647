namespace FaithfulBracket.Core.Words.Boards.Bow;

/// <summary>Sentences of bow limits.</summary>
internal static class BowLimitsWords
{
    public static Message LimitsElementsCornersSupportsLoads =>
        $"Limits: 20,000 elements, 2,000 corners, 100 supports, 500 loads, 200 layers, 1,000 probes, an outline "
        + $"at most 100 times as long as wide.";

    public static Message ExpectedAtMostFound(int most, string what, int count) =>
        $"Expected at most {most} {what}, found {count}.";

    public static Message MoreThanTimesAsLong(double maxSlender) =>
        $"More than {maxSlender} times as long as wide: this is not a plate.";

    public static Message ThisOutlineWithSoManyElements =>
        $"This outline with so many elements is too much work: ask for fewer.";
}
