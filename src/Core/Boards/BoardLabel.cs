namespace FaithfulBracket.Core.Boards;

/// <summary>What is printed on a board, as it is said.</summary>
public static class BoardLabel
{
    private static readonly string[] Nothing = ["", "-", "–", "none", "unknown", "n/a"];

    /// <summary>Whether a board code can be read off it.</summary>
    public static bool HasCode(Board board) => Says(board.BoardCode);

    /// <summary>Code and revision; "no label" where none can be read.</summary>
    public static string Format(Board board) => Format(board.BoardCode, board.Revision);

    /// <inheritdoc cref="Format(Board)"/>
    public static string Format(string boardCode, string revision) =>
        !Says(boardCode) ? "no label"
        : Says(revision) ? $"{boardCode} {revision}"
        : boardCode;

    /// <summary>What carries the label, in a word.</summary>
    public static string Carrier(BoardKind kind) =>
        kind switch
        {
            BoardKind.GraphicsCard => "card",
            BoardKind.MemoryModule => "module",
            BoardKind.Processor => "processor",
            _ => "board",
        };

    private static bool Says(string text) => !Nothing.Contains(text.Trim().ToLowerInvariant());
}
