namespace FaithfulBracket.Core.Words.Match.Trace;

/// <summary>Sentences of photo trace.</summary>
internal static class PhotoTraceWords
{
    public static string FourMarksAtLeastAreNeeded(int targetCount) =>
        $"Four marks at least are needed; {targetCount} given.";

    public const string MarksLieInOneLine =
        "The marks lie in one line, or fewer than four stand apart from it: spread them round the board.";

    public const string LensTermNeedsFiveMarks = "The lens term needs five marks at least.";

    public const string FourMarksAtLeast = "Four marks at least, not in one line, are needed.";
}
