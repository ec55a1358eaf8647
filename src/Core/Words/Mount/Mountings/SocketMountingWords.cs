namespace FaithfulBracket.Core.Words.Mount.Mountings;

/// <summary>Sentences of socket mount.</summary>
internal static class SocketMountingWords
{
    public static Message BlockStraightDownOverPostsTurned(double turnDeg) =>
        $"Set the block straight onto its posts, turned {turnDeg:0}°. Do not slide it.";

    public static Message ItComesDownLevel(string posts) =>
        $"It comes down level over its {posts} and rests by its own weight; it does not rock.";

    public static Message OnceItTouchesItStays(string ports, string inlet, string paste) =>
        $"{ports}. {inlet}Once it touches it stays: sliding smears the {paste}.";

    public static Message BareSiliconChipsEasily =>
        $"Bare silicon chips easily. Lower the block level, and do not knock it.";

    public static Message OnlyThisWayRoundDoesInlet => $"Only this way round does the inlet lie over the hot dies. ";

    public static Message InletLiesOverHotDies(double inlet) =>
        $"The inlet lies over the hot dies at {inlet:0}°, not so. ";

    public static Message EachTurnsTwoRoundsWithFingers(string turned) =>
        $"Each {turned} turns two rounds with the fingers. One that binds is crossed: back it out.";

    public static Message SpringsOnStudsJustGripping(int? stepCount) =>
        $"Fit the springs, {stepCount} studs just gripping";

    public static Message AndWasherUnderEachSpring => $", a washer under each spring";

    public static Message SpringsAndNutsOnJustGripping(int? stepCount, string aWasherUnderEachSpring) =>
        $"Fit the springs and nuts, {stepCount} just gripping{aWasherUnderEachSpring}";

    public static Message FromBehindTheyTurnOtherWay =>
        $"From behind they turn the other way: anticlockwise there is in. How far the tips stand out tells how "
        + $"much is left.";

    public static Message WasherMayBeStuckInsideNut => $"A washer may be stuck inside a nut. None firm until all grip.";

    public static Message WasherUnderEachSpring => $"washer under each spring";

    public static Message TightenAllCornersEvenly =>
        $"Tighten all corners evenly. If one corner is tightened first, the others lift and a die chips.";

    public static Message TurnEachBySameAmount =>
        $"Turn each by the same amount until it reaches its hard stop. If the board bends, stop turning.";

    public static Message OfTipStillToCome => $"of tip still to come";

    public static Message BoardOnTray => $"Board on its tray: outer corners first, all loose, then firm";

    public static Message EveryStandoffUnderHoleNone => $"Every standoff under a hole, none where there is no hole.";

    public static Message StandoffInWrongPlaceIsShort => $"A standoff in the wrong place is a short circuit.";

    public static Message EveryScrewFindsStandoffAtOnce =>
        $"Every screw finds its standoff at once; the board does not bow between them.";

    public static Message MemoryIntoSlotsManualNames => $"Memory into the slots the manual names for this many modules";

    public static Message BothLeversOpenStraightDown =>
        $"Both levers open, straight down until they close by themselves.";

    public static Message DoNotPressOnBlock => $"Do not press on the block to hold the board.";

    public static Message BothEndsClickLeversStandUpright =>
        $"Both ends click, the levers stand upright, the edge is level.";

    public static Message TwoOppositeNutsAtOnce(string numbers) =>
        $"Turn two opposite nuts at the same time, one in each hand: {numbers}. Both turn by the same amount.";
}
