namespace FaithfulBracket.Core.Words.Prep;

/// <summary>Sentences of opened block.</summary>
internal static class OpenedBlockWords
{
    public static Message OpenOverTrayAndTakeHalves(string pair) =>
        $"Open {pair} over a tray and take its halves apart";

    public static Message OpenOverTray(string pair, string parts) => $"Open {pair} over a tray: {parts} drop out";

    public static Message NothingFallsOut => $"Nothing falls out of it.";

    public static Message CountThemIntoCellOfTray => $"Count them into a cell of the tray.";

    public static Message TerminalOrORingThatRolls =>
        $"A terminal or O-ring that rolls away is missed only under pressure.";

    public static Message OpenInTray(string parts) => $"Open, {parts} in the tray";
}
