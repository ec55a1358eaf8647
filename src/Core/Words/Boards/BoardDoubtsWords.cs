namespace FaithfulBracket.Core.Words.Boards;

/// <summary>Sentences of board doubts.</summary>
internal static class BoardDoubtsWords
{
    public const string PartHasMiddle = "part has its middle";

    public const string PartsHaveTheirMiddles = "parts have their middles";
}
