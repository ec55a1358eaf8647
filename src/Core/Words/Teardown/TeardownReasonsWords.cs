namespace FaithfulBracket.Core.Words.Teardown;

/// <summary>Sentences of teardown reasons.</summary>
internal static class TeardownReasonsWords
{
    public static string WithOfSlack(double slackMm) => $" with {slackMm:0} mm of slack";

    public static string CableJoins(string names, string slack) =>
        $"This cable joins {names}{slack}. Unplug it before you lift anything.";

    public const string OnlyBondsHoldIt = "Only pads, paste, tape or clips can still hold it.";

    public static string OnlyBondsStillHoldIt(string gone) =>
        $"{gone}. Only pads, paste, tape or clips can still hold it.";

    public const string TheseSitUnderWarrantySeal =
        "These sit under the warranty seal: check the terms before you break it.";

    public static string NowReachableHidThem(string name) => $"Now reachable: {name} hid them.";

    public const string DieRingComesAfterPeers =
        "The die ring comes after its peers: the cooler stays flat while its springs let go.";

    public const string OtherScrewsLie = "Other screws lie behind what these hold.";

    public const string SameDriverAsBefore = "Same driver as before.";

    public static string ChangeDriver(string driver) =>
        $"Change to {driver}. The previous driver fits none of the screws you can reach now.";

    public static string SupportWhileLastScrewsLeave(string piece) =>
        $"Support the {piece} while you remove the last screws. If it hangs from one screw, it bends the board.";

    public const string ByTurnsTurnEachBeforeEither = "Loosen them by turns, one turn each, before either comes out.";

    public const string InCrossTurnEachBeforeAny =
        "Loosen them in a cross pattern, one turn each, before any comes out.";

    public const string SupportCoolerWhileLastScrewsLeave =
        "Support the cooler while you remove the last screws. If it hangs from one screw, it bends the board.";

    public const string SpringsUnderLoad = "The springs are under load: wear eye protection.";

    public const string SqueezeLatchPullPlugNeverWires = "Squeeze the latch and pull the plug, never the wires.";

    public const string PullTabStraightOut = "Pull the tab straight out.";

    public const string LiftBarWithPlasticToolThen = "Lift the bar with a plastic tool, then draw the ribbon.";

    public const string PullStraightPlugHeldNever = "Hold the plug and pull it straight, never by the wires.";

    public const string ClipsHoldIt = "Clips hold it. Start at one end with a plastic tool.";

    public const string TapeHoldsIt = "Tape holds it. Peel it slowly.";

    public const string ItSitsSnug = "It sits snug. Lift it evenly.";

    public const string PadsAndPasteGlue = "Pads and paste hold it. Rock and twist it. Do not lever it from one end.";

    public const string LiquidMetalLies =
        "Liquid metal lies under it: straight up, the board flat, gloves, nothing of aluminium near.";

    public const string WarmItFirstEvenlyWithHeat =
        "Warm it evenly first, with a heat pad or ten minutes of load. Wear gloves.";

    public const string CoreLetsGoFirst =
        "From the core outward: the standoffs carry the cooler, so the die is free of load first.";
}
