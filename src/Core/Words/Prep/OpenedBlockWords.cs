namespace FaithfulBracket.Core.Words.Prep;

/// <summary>Sentences of opened block.</summary>
internal static class OpenedBlockWords
{
    public static string OpenOverTrayAndTakeHalves(string pair) => $"Open {pair} over a tray and take its halves apart";

    public static string OpenOverTray(string pair, string parts) => $"Open {pair} over a tray: {parts} drop out";

    public const string NothingFallsOut = "Nothing falls out of it.";

    public const string CountThemIntoCellOfTray = "Count them into a cell of the tray.";

    public const string TerminalOrORingThatRolls =
        "A terminal or O-ring that rolls away is missed only under pressure.";

    public static string OpenInTray(string parts) => $"Open, {parts} in the tray";
}
