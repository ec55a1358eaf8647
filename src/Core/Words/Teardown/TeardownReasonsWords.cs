namespace FaithfulBracket.Core.Words.Teardown;

/// <summary>Sentences of teardown reasons.</summary>
internal static class TeardownReasonsWords
{
    public static Message WithOfSlack(double slackMm) => $" with {slackMm:0} mm of slack";

    public static Message CableJoins(string names, string slack) =>
        $"This cable joins {names}{slack}. Unplug it before you lift anything.";

    public static Message OnlyBondsHoldIt => $"Only pads, paste, tape or clips can still hold it.";

    public static Message OnlyBondsStillHoldIt(string gone) =>
        $"{gone}. Only pads, paste, tape or clips can still hold it.";

    public static Message TheseSitUnderWarrantySeal =>
        $"These sit under the warranty seal: check the terms before you break it.";

    public static Message NowReachableHidThem(string name) => $"Now reachable: {name} hid them.";

    public static Message DieRingComesAfterPeers =>
        $"The die ring comes after its peers: the cooler stays flat while its springs let go.";

    public static Message OtherScrewsLie => $"Other screws lie behind what these hold.";

    public static Message SameDriverAsBefore => $"Same driver as before.";

    public static Message ChangeDriver(string driver) =>
        $"Change to {driver}. The previous driver fits none of the screws you can reach now.";

    public static Message SupportWhileLastScrewsLeave(string piece) =>
        $"Support the {piece} while you remove the last screws. If it hangs from one screw, it bends the board.";

    public static Message ByTurnsTurnEachBeforeEither =>
        $"Loosen them by turns, one turn each, before either comes out.";

    public static Message InCrossTurnEachBeforeAny =>
        $"Loosen them in a cross pattern, one turn each, before any comes out.";

    public static Message SupportCoolerWhileLastScrewsLeave =>
        $"Support the cooler while you remove the last screws. If it hangs from one screw, it bends the board.";

    public static Message SpringsUnderLoad => $"The springs are under load: wear eye protection.";

    public static Message SqueezeLatchPullPlugNeverWires => $"Squeeze the latch and pull the plug, never the wires.";

    public static Message PullTabStraightOut => $"Pull the tab straight out.";

    public static Message LiftBarWithPlasticToolThen => $"Lift the bar with a plastic tool, then draw the ribbon.";

    public static Message PullStraightPlugHeldNever => $"Hold the plug and pull it straight, never by the wires.";

    public static Message ClipsHoldIt => $"Clips hold it. Start at one end with a plastic tool.";

    public static Message TapeHoldsIt => $"Tape holds it. Peel it slowly.";

    public static Message ItSitsSnug => $"It sits snug. Lift it evenly.";

    public static Message PadsAndPasteGlue =>
        $"Pads and paste hold it. Rock and twist it. Do not lever it from one end.";

    public static Message LiquidMetalLies =>
        $"Liquid metal lies under it: straight up, the board flat, gloves, nothing of aluminium near.";

    public static Message WarmItFirstEvenlyWithHeat =>
        $"Warm it evenly first, with a heat pad or ten minutes of load. Wear gloves.";

    public static Message CoreLetsGoFirst =>
        $"From the core outward: the standoffs carry the cooler, so the die is free of load first.";
}
