namespace FaithfulBracket.Core.Words.Mount.Mountings;

/// <summary>Sentences of ribbons between boards.</summary>
internal static class RibbonsBetweenWords
{
    public static string PlugInBetweenBoardAndBoard(string ribbon, string board, string otherBoard) =>
        $"Plug the {ribbon} in between board {board} and board {otherBoard}";

    public const string LayBoardsSideBySide = "Lay the boards side by side";

    public static string RibbonHasOfSlack(double slack) => $"; the ribbon has {slack:0.#} mm of slack";

    public const string CloseLatchAndPullOnce = ". Close the latch and pull once: it stays.";

    public const string OnceBoardsCloseOnBlockNobody = "Once the boards close on the block nobody reaches it any more.";

    public const string RibbonPlugged = "Ribbon plugged";
}
