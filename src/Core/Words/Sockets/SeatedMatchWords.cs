namespace FaithfulBracket.Core.Words.Sockets;

/// <summary>Sentences of seated match.</summary>
internal static class SeatedMatchWords
{
    public const string SeatsOnSocket = "seats on its socket";

    public const string NotForThisSocket = "not for this socket";

    public const string MadeForBareDies = "made for bare dies";

    public const string WashersUnderSprings = "washers under the springs";

    public const string TooLittleOnContacts = "too little on the contacts";

    public const string TooMuchOnContacts = "too much on the contacts";

    public const string MeetsSocketsParts = "meets the socket's parts";

    public const string SlitToBeTurned = "slit to be turned";

    public static string OverStops(double gap) => $", {gap:0.00} mm over its stops";

    public static string AboveMainboardBlockComesToRest(string face, double contactMm, double homeMm, string rest) =>
        $"{face} {contactMm:0.00} mm above the mainboard; the block comes to rest at {homeMm:0.00} mm{rest}.";

    public static string SpringsPressWithAtMost(double loadN, double peakMPa, double socketLoadN) =>
        $"Springs press with {loadN:0} N, {peakMPa:0.00} MPa at most; {socketLoadN:0} N on the contacts.";

    public static string NoStopsBlockRestsOnDies(double homeMm) =>
        $"No stops: the block rests on the dies alone, {homeMm:0.0} mm over the board, and the gap stays.";

    public static string UnderBlockTurned(string under, string lie) =>
        $"{under} {lie} under the block turned so: look whether a module goes in.";

    public const string MemoryAndExpansionSlotsStayFree = "Memory and expansion slots stay free";

    public const string OthersStayFree = "The others stay free";

    public static string NearestIsFromBlocksEdge(string theOthersStayFree, string nearest, double roomMm) =>
        $"{theOthersStayFree}; nearest is {nearest}, {roomMm:0} mm from the block's edge.";

    public const string OnlyRightWayRound = "The only right way round: here the inlet lies over the hot dies.";

    public static string InletDoesNotLieOverHot(double inlet) =>
        $"The inlet does not lie over the hot dies: at {inlet:0}° it does.";

    public const string MakersWordThisWayRound = "The maker's word: this way round it cools best on this socket.";

    public const string ThisWasChosenInstead = "; this was chosen instead";

    public static string MakersWordIs(double rotationDeg, string thisWasChosenInstead) =>
        $"The maker's word is {rotationDeg:0}°{thisWasChosenInstead}.";

    public const string MakerPrefersNoTurn = "The maker prefers no turn; it is chosen by the loop.";

    public static string WeighItAgainstForAnotherProcessor(double amount, string currency) =>
        $"Weigh it against {amount:0} {currency} for another processor, and your hands.";

    public const string WeighItAgainstProcessorsPrice = "Weigh it against the processor's price and your hands.";

    public const string DecideLidOffForGood = "Decide: lid off for good";

    public static string DecideLidOffForGoodToCooler(double gainLowK, double gainHighK) =>
        $"Decide: lid off for good, {gainLowK:0} to {gainHighK:0} K cooler";

    public static string OrMoreAtSameTemperature(double more) => $", or {more:0} W more at the same temperature";

    public const string NothingBringsLidBackNorMakers = "Nothing brings the lid back, nor the maker's warranty.";

    public const string ThisTurn = "This turn";

    public const string DecidedLidOff = "Decided: lid off";
}
