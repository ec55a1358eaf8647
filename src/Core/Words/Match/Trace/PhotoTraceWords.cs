namespace FaithfulBracket.Core.Words.Match.Trace;

/// <summary>Sentences of photo trace.</summary>
internal static class PhotoTraceWords
{
    public static Message FourMarksAtLeastAreNeeded(int targetCount) =>
        $"Four marks at least are needed; {targetCount} given.";

    public static Message MarksLieInOneLine =>
        $"The marks lie in one line, or fewer than four stand apart from it: spread them round the board.";

    public static Message LensTermNeedsFiveMarks => $"The lens term needs five marks at least.";

    public static Message FourMarksAtLeast => $"Four marks at least, not in one line, are needed.";
}
