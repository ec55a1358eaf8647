namespace FaithfulBracket.Core.Words.Boards.Bow;

/// <summary>Sentences of board bow.</summary>
internal static class BoardBowWords
{
    public static Message OutlineIsTooNarrowToBend => $"The outline is too narrow to bend.";

    public static Message BoardIsNotHeld => $"The board is not held: give edges or supports.";

    public static Message SupportsLieInLine =>
        $"The supports lie in a line: the board can turn about it. Give one off the line, or a clamped one.";

    public static Message AtLiesOffBoard(string what, double x, double y) =>
        $"The {what} at {x:0.##}, {y:0.##} lies off the board.";
}
