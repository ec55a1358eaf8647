namespace FaithfulBracket.Core.Words.Boards;

/// <summary>Sentences of board doubts.</summary>
internal static class BoardDoubtsWords
{
    public static Message PartHasMiddle => $"part has its middle";

    public static Message PartsHaveTheirMiddles => $"parts have their middles";
}
