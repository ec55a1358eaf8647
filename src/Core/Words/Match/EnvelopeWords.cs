namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of envelope.</summary>
internal static class EnvelopeWords
{
    public static Message SocketTakesJetPlate(string socket, string jetPlate, string turn) =>
        $"Socket {socket} takes jet plate {jetPlate}{turn}; the slit lies across the fins.";

    public static Message BracketChangesFrom(string from, string to) =>
        $"The bracket changes from {from} to {to}; the block brings its own.";

    public static Message BlockStandsOverBoardAndReaches(double height, int bracket, int slots, string have) =>
        $"The block stands {height:0.#} mm over the board and reaches past its {bracket}-slot bracket: {slots} "
        + $"more {have} to stay free.";

    public static Message PortsFacingUpRise(double maxUp, double fittingMm) =>
        $"Ports facing up rise to {maxUp:0} mm above the slot with a {fittingMm:0} mm fitting: check the case's "
        + $"side panel.";

    public static Message PortsAndAreApart(string port, string otherPort, double apartMm) =>
        $"Ports {port} and {otherPort} are {apartMm:0.0} mm apart: rigid links to a next card need the same.";

    public static Message ConnectorLiesUnderPlate(string plug) =>
        $"Connector {plug} lies under the plate: see that its plug can still go in.";

    public static Message BlockWantsBoard(string headers, int free) =>
        $"The block wants {headers}, the board has {free}: that lead goes elsewhere or stays dark.";

    public static Message ThisBoardMayNotRunWithout =>
        $"This board may not run without its block: plan the swap in one go.";

    public static Message BoardsSocketIs(string socket, string sockets) =>
        $"The board's socket is {socket}; the block is made for {sockets}.";
}
