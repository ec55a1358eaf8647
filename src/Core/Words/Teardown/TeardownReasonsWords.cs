namespace FaithfulBracket.Core.Words.Teardown;

/// <summary>Sentences of teardown reasons.</summary>
internal static class TeardownReasonsWords
{
    public static string WithOfSlack(double s) => $" with {s:0} mm of slack";

    public static string ItTiesTogether(string names, string invariant) =>
        $"It ties {names} " + $"together{invariant}: " + "off before anything is lifted.";

    public const string NothingHoldsItButBonds = "Nothing holds it but its bonds.";

    public static string NothingHoldsItButBonds2(string gone) => $"{gone}: nothing holds it but its bonds.";

    public const string TheseSitUnderWarrantySeal =
        "These sit under the warranty seal: check the terms before you break it.";

    public static string NowReachableHidThem(string name) => $"Now reachable: {name} hid them.";

    public const string DieRingComesAfterPeers =
        "The die ring comes after its peers: the cooler stays flat while its springs let go.";

    public const string OtherScrewsLie = "Other screws lie behind what these hold.";

    public const string SameDriverAsBefore = "Same driver as before.";

    public static string ChangeToNothingIsLeft(string driver) =>
        $"Change to {driver}: nothing is left that the last driver reaches.";

    public static string HoldAsLastScrewsLeave(string piece) =>
        $"Hold the {piece} as the last screws leave: hanging by one it bends the board.";

    public const string ByTurnsTurnEachBeforeEither = "By turns, a turn each, before either comes out.";

    public const string InCrossTurnEachBeforeAny = "In a cross, a turn each, before any comes out.";

    public const string HoldCoolerAsLastScrewsLeave =
        "Hold the cooler as the last screws leave: hanging by one it bends the board.";

    public const string SpringsUnderLoad = "Springs under load: eye protection.";

    public const string SqueezeLatchPullPlugNeverWires = "Squeeze the latch, pull the plug, never the wires.";

    public const string PullTabStraightOut = "Pull the tab straight out.";

    public const string LiftBarWithPlasticToolThen = "Lift the bar with a plastic tool, then draw the ribbon.";

    public const string PullStraightPlugHeldNever = "Pull straight, plug held, never by the wires.";

    public const string ClipsHoldIt = "Clips hold it: start at one end with plastic.";

    public const string TapeHoldsIt = "Tape holds it: peel slowly.";

    public const string ItSitsSnug = "It sits snug: lift evenly.";

    public const string PadsAndPasteGlue = "Pads and paste glue it: rock and twist, never lever from one end.";

    public const string LiquidMetalLies =
        "Liquid metal lies under it: straight up, the board flat, gloves, nothing of aluminium near.";

    public const string WarmItFirstEvenlyWithHeat =
        "Warm it first, evenly, with a heat pad or ten minutes of load; use gloves.";
}
