namespace FaithfulBracket.Core.Words.Mount.Mountings;

/// <summary>Sentences of ribbons between boards.</summary>
internal static class RibbonsBetweenWords
{
    public static Message PlugInBetweenBoardAndBoard(string ribbon, string board, string otherBoard) =>
        $"Plug the {ribbon} in between board {board} and board {otherBoard}";

    public static Message LayBoardsSideBySide => $"Lay the boards side by side";

    public static Message RibbonHasOfSlack(double slack) => $"; the ribbon has {slack:0.#} mm of slack";

    public static Message CloseLatchAndPullOnce => $". Close the latch and pull once: it stays.";

    public static Message OnceBoardsCloseOnBlockNobody =>
        $"Once the boards close on the block nobody reaches it any more.";

    public static Message LookThatRibbonSitsAndLiesClear(string ribbon) =>
        $"Look at both plugs of the {ribbon}: fully in, latched, nothing on it";

    public static Message ItStayedPlugged(string board, string otherBoard) =>
        $"It stayed plugged between board {board} and board {otherBoard}. Close them over its edge, as they were opened.";

    public static Message PullAtEachPlugMovesNothing => $"A gentle pull at each plug moves nothing.";

    public static Message RibbonInPlace => $"Ribbon in place";

    public static Message RibbonPlugged => $"Ribbon plugged";
}
