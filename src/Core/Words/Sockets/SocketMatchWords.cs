namespace FaithfulBracket.Core.Words.Sockets;

/// <summary>Sentences of socket match.</summary>
internal static class SocketMatchWords
{
    public static Message ProcessorIsMadeForSocket(string own, string name, string id) =>
        $"The processor is made for socket {own}, this is {name} ({id}).";

    public static Message BlockNamesNoSocket(string socket) =>
        $"The block names no socket: nothing holds it to {socket}.";

    public static Message BlockIsMade(string sockets, string name, string id) =>
        $"The block is made for {sockets}, not for {name} ({id}); no upgrade kit is known.";

    public static Message KitsPostsAre(string kitThread, string socket, string socketThread) =>
        $"The kit's posts are {kitThread}; socket {socket} takes {socketThread}.";

    public static Message CaptiveThreadedAllWayDown => $"captive, threaded all the way down";

    public static Message ForBackPlateWithShoulder => $"for a back plate, with a shoulder";

    public static Message BlockLandsOnStopsBefore(double gap) =>
        $"The block lands on its stops {gap:0.00} mm before it touches: nothing presses. Washers do not help; the "
        + $"stops have to come down by {gap:0.00} mm.";

    public static Message ContactLiesLowerThanSprings(double shimMm) =>
        $"The contact lies {shimMm:0.00} mm lower than the springs are made for: ";

    public static Message TheyPullNoWasherThatThin(double loadN) =>
        $"they pull {loadN:0} N. No washer that thin exists.";

    public static Message WashersUnderEachMakeItWithout(string inWords, double shimmedLoadN, double loadN) =>
        $"washers under each ({inWords}) make it {shimmedLoadN:0} N, {loadN:0} N without.";

    public static Message SpringsPullOutsideAllThatThey =>
        $"The springs pull outside all that they press on: the block tips over. Another turn, or other springs.";

    public static Message OnContactsAtLeast(double socketLoadN, double contactMinN) =>
        $"{socketLoadN:0} N on the contacts, {contactMinN:0} at least: the first thing to show it is memory that "
        + $"no longer runs at its speed.";

    public static Message HoweverItIsTurnedBlockMeets(string part, double marginMm) =>
        $"However it is turned the block meets something: {part} by {marginMm:0.00} mm.";

    public static Message JetsSlitLiesAlongFins =>
        $"The jet's slit lies along the fins: turn the jet plate by a quarter, so that coolant crosses them.";
}
