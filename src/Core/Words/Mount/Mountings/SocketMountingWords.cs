namespace FaithfulBracket.Core.Words.Mount.Mountings;

/// <summary>Sentences of socket mount.</summary>
internal static class SocketMountingWords
{
    public static string BlockStraightDownOverPostsTurned(double turnDeg) =>
        $"Set the block straight onto its posts, turned {turnDeg:0}°. Do not slide it.";

    public static string ItComesDownLevel(string posts) =>
        $"It comes down level over its {posts} and rests by its own weight; it does not rock.";

    public static string OnceItTouchesItStays(string ports, string inlet, string paste) =>
        $"{ports}. {inlet}Once it touches it stays: sliding smears the {paste}.";

    public const string BareSiliconChipsEasily =
        "Bare silicon chips easily. Lower the block level, and do not knock it.";

    public const string OnlyThisWayRoundDoesInlet = "Only this way round does the inlet lie over the hot dies. ";

    public static string InletLiesOverHotDies(double inlet) =>
        $"The inlet lies over the hot dies at {inlet:0}°, not so. ";

    public static string EachTurnsTwoRoundsWithFingers(string turned) =>
        $"Each {turned} turns two rounds with the fingers. One that binds is crossed: back it out.";

    public static string SpringsOnStudsJustGripping(int? stepCount) =>
        $"Fit the springs, {stepCount} studs just gripping";

    public const string AndWasherUnderEachSpring = ", a washer under each spring";

    public static string SpringsAndNutsOnJustGripping(int? stepCount, string aWasherUnderEachSpring) =>
        $"Fit the springs and nuts, {stepCount} just gripping{aWasherUnderEachSpring}";

    public const string FromBehindTheyTurnOtherWay =
        "From behind they turn the other way: anticlockwise there is in. How far the tips stand out tells how "
        + "much is left.";

    public const string WasherMayBeStuckInsideNut = "A washer may be stuck inside a nut. None firm until all grip.";

    public const string WasherUnderEachSpring = "washer under each spring";

    public const string TightenAllCornersEvenly =
        "Tighten all corners evenly. If one corner is tightened first, the others lift and a die chips.";

    public const string TurnEachBySameAmount =
        "Turn each by the same amount until it reaches its hard stop. If the board bends, stop turning.";

    public const string OfTipStillToCome = "of tip still to come";

    public const string BoardOnTray = "Board on its tray: outer corners first, all loose, then firm";

    public const string EveryStandoffUnderHoleNone = "Every standoff under a hole, none where there is no hole.";

    public const string StandoffInWrongPlaceIsShort = "A standoff in the wrong place is a short circuit.";

    public const string EveryScrewFindsStandoffAtOnce =
        "Every screw finds its standoff at once; the board does not bow between them.";

    public const string MemoryIntoSlotsManualNames = "Memory into the slots the manual names for this many modules";

    public const string BothLeversOpenStraightDown = "Both levers open, straight down until they close by themselves.";

    public const string DoNotPressOnBlock = "Do not press on the block to hold the board.";

    public const string BothEndsClickLeversStandUpright =
        "Both ends click, the levers stand upright, the edge is level.";

    public static string TwoOppositeNutsAtOnce(string numbers) =>
        $"Turn two opposite nuts at the same time, one in each hand: {numbers}. Both turn by the same amount.";
}
