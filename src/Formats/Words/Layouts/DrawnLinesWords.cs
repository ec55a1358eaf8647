namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of drawn lines.</summary>
internal static class DrawnLinesWords
{
    public static string IsNotUnderstoodAndLeftOut(int count, string what) =>
        $"{count} × {what} is not understood and left out.";

    public const string NoCircleAndNoClosedLine = "No circle and no closed line in this drawing.";

    public static string LargestClosedLineIsOutlineOther(string file, int closedCount) =>
        $"{file}: the largest closed line is the outline, the other {closedCount} are tops of parts.";
}
