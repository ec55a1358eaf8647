namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of trace endpoint.</summary>
internal static class TraceEndpointWords
{
    public const string ExpectedPicturesWidthAndHeight = "Expected the picture's width and height in pixels.";

    public static string ExpectedToMarksFound(int mostMarks, int markCount) =>
        $"Expected 4 to {mostMarks} marks, found {markCount}.";

    public static string ExpectedAtMostPointsFound(int mostPoints, int pointCount) =>
        $"Expected at most {mostPoints} points, found {pointCount}.";
}
