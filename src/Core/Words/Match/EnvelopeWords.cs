namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of envelope.</summary>
internal static class EnvelopeWords
{
    public static string BoardsSocketIs(string socket, string sockets) =>
        $"The board's socket is {socket}; the block is made for {sockets}.";

    public static string SocketTakesJetPlate(string socket, string jet, string text) =>
        $"Socket {socket} takes jet plate " + $"{jet}{text}; the slit lies across " + "the fins.";

    public static string BracketChangesFrom(string slots, string otherSlots) =>
        $"The bracket changes from {slots} to {otherSlots}; the block brings its own.";

    public static string BlockStandsOverBoardAndReaches(double height, int bracket, int slots, string have) =>
        $"The block stands {height:0.#} mm over the board and reaches past its {bracket}-slot bracket: {slots} more {have} to stay free.";

    public static string PortsFacingUpRise(double mostUp, double fittingMm) =>
        $"Ports facing up rise to {mostUp:0} mm above the slot with a {fittingMm:0} mm fitting: check the case's side panel.";

    public static string PortsAndAreApart(string a, string b, double x) =>
        $"Ports {a} and {b} are {x:0.0} mm apart: rigid links to a next card need the same.";

    public static string ConnectorLiesUnderPlate(string plug) =>
        $"Connector {plug} lies under the plate: see that its plug can still go in.";

    public static string BlockWantsBoard(string things, int free) =>
        $"The block wants {things}, the board has {free}: that lead goes elsewhere or stays dark.";

    public const string ThisBoardMayNotRunWithout =
        "This board may not run without its block: plan the swap in one go.";
}
