namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of fit scan.</summary>
internal static class FitScanWords
{
    public static string BoardsSocketIs(string socket, string sockets) =>
        $"The board's socket is {socket}; the block is made for {sockets}.";

    public const string BlocksPatternOfHolesIsAnother =
        "The block's pattern of holes is another: no choice of holes takes every required screw.";
}
