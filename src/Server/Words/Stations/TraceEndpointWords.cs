namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of trace endpoint.</summary>
internal static class TraceEndpointWords
{
    public const string ExpectedPicturesWidthAndHeight = "Expected the picture's width and height in pixels.";

    public static string ExpectedToMarksFound(int maxMarks, int markCount) =>
        $"Expected 4 to {maxMarks} marks, found {markCount}.";
}
