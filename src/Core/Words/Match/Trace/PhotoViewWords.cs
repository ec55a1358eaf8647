namespace FaithfulBracket.Core.Words.Match.Trace;

/// <summary>Sentences of photo view.</summary>
internal static class PhotoViewWords
{
    public static Message MarksDoNotDefineView => $"The marks do not define a view: spread them round the board.";
}
