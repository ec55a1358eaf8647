namespace FaithfulBracket.Core.Words.Sockets;

/// <summary>Sentences of seated match.</summary>
internal static class SeatedMatchWords
{
    public static Message SeatsOnSocket => $"seats on its socket";

    public static Message NotForThisSocket => $"not for this socket";

    public static Message MadeForBareDies => $"made for bare dies";

    public static Message WashersUnderSprings => $"washers under the springs";

    public static Message TooLittleOnContacts => $"too little on the contacts";

    public static Message TooMuchOnContacts => $"too much on the contacts";

    public static Message MeetsSocketsParts => $"meets the socket's parts";

    public static Message SlitToBeTurned => $"slit to be turned";

    public static Message OverStops(double gap) => $", {gap:0.00} mm over its stops";

    public static Message AboveMainboardBlockComesToRest(string face, double contactMm, double homeMm, string rest) =>
        $"{face} {contactMm:0.00} mm above the mainboard; the block comes to rest at {homeMm:0.00} mm{rest}.";

    public static Message SpringsPressWithAtMost(double loadN, double peakMPa, double socketLoadN) =>
        $"Springs press with {loadN:0} N, {peakMPa:0.00} MPa at most; {socketLoadN:0} N on the contacts.";

    public static Message NoStopsBlockRestsOnDies(double homeMm) =>
        $"No stops: the block rests on the dies alone, {homeMm:0.0} mm over the board, and the gap stays.";

    public static Message UnderBlockTurned(string under, string lie) =>
        $"{under} {lie} under the block turned so: look whether a module goes in.";

    public static Message MemoryAndExpansionSlotsStayFree => $"Memory and expansion slots stay free";

    public static Message OthersStayFree => $"The others stay free";

    public static Message NearestIsFromBlocksEdge(string theOthersStayFree, string nearest, double roomMm) =>
        $"{theOthersStayFree}; nearest is {nearest}, {roomMm:0} mm from the block's edge.";

    public static Message OnlyRightWayRound => $"The only right way round: here the inlet lies over the hot dies.";

    public static Message InletDoesNotLieOverHot(double inlet) =>
        $"The inlet does not lie over the hot dies: at {inlet:0}° it does.";

    public static Message MakersWordThisWayRound => $"The maker's word: this way round it cools best on this socket.";

    public static Message ThisWasChosenInstead => $"; this was chosen instead";

    public static Message MakersWordIs(double rotationDeg, string thisWasChosenInstead) =>
        $"The maker's word is {rotationDeg:0}°{thisWasChosenInstead}.";

    public static Message MakerPrefersNoTurn => $"The maker prefers no turn; it is chosen by the loop.";

    public static Message WeighItAgainstForAnotherProcessor(double amount, string currency) =>
        $"Weigh it against {amount:0} {currency} for another processor, and your hands.";

    public static Message WeighItAgainstProcessorsPrice => $"Weigh it against the processor's price and your hands.";

    public static Message DecideLidOffForGood => $"Decide: lid off for good";

    public static Message DecideLidOffForGoodToCooler(double gainLowK, double gainHighK) =>
        $"Decide: lid off for good, {gainLowK:0} to {gainHighK:0} K cooler";

    public static Message OrMoreAtSameTemperature(double more) => $", or {more:0} W more at the same temperature";

    public static Message NothingBringsLidBackNorMakers => $"Nothing brings the lid back, nor the maker's warranty.";

    public static Message ThisTurn => $"This turn";

    public static Message DecidedLidOff => $"Decided: lid off";
}
