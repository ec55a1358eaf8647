namespace FaithfulBracket.Core.Words.Boards.Bow;

/// <summary>Sentences of board bow.</summary>
internal static class BoardBowWords
{
    public const string OutlineIsTooNarrowToBend = "The outline is too narrow to bend.";

    public const string BoardIsNotHeld = "The board is not held: give edges or supports.";

    public const string SupportsLieInLine =
        "The supports lie in a line: the board can turn about it. Give one off the line, or a clamped one.";

    public static string AtLiesOffBoard(string what, double x, double y) =>
        $"The {what} at {x:0.##}, {y:0.##} lies off the board.";
}
