namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of mount steps.</summary>
internal static class MountStepsWords
{
    public static string FitSlotBracket(int slots) => $"Fit the {slots}-slot bracket";

    public const string NothingIsJoinedToThem = "Nothing is joined to them. Fingers or a plastic tool, O-ring seated.";

    public static string PlugLeadPolarityChecked(string headers) => $"Plug the {headers} lead, polarity checked";

    public const string ReversedPlugDestroysStrip = "A reversed plug destroys the LED strip.";

    public static string ScrewFittingInto(string ports, string names, string pair) =>
        $"Screw a fitting into {ports} {names} of {pair}";

    public static string ORingWetted(string threads, string inAndOut) =>
        $"{threads}, O-ring wetted. {inAndOut}Started by hand, then snug: the ring seals, not the force.";

    public const string FittingStartedCrookedCutsThread =
        "A fitting started crooked cuts the thread of its port, and that is the block.";

    public const string ItTurnsInByHand =
        "It turns in by hand until the ring touches; then a short turn, and its collar lies flat.";

    public static string CoolantGoesIn(string inlet) => $"Coolant goes in by {inlet}. ";

    public static string PlugInBetweenBoardAndBoard(string ribbon, string board, string otherBoard) =>
        $"Plug the {ribbon} in between board {board} and board {otherBoard}";

    public const string LayBoardsSideBySide = "Lay the boards side by side";

    public static string RibbonHasOfSlack(double slack) => $"; the ribbon has {slack:0.#} mm of slack";

    public const string CloseLatchAndPullOnce = ". Close the latch and pull once: it stays.";

    public const string OnceBoardsCloseOnBlockNobody = "Once the boards close on the block nobody reaches it any more.";

    public const string LoweredHolesLineUp = "Lowered, holes line up";

    public static string LayBehindHolesOverThoseLeft(string pair, string theBoard) =>
        $"Lay {pair} behind {theBoard}, its holes over those left open";

    public static string LowerOntoHolesVisible(string theBoard, string pair) =>
        $"Lower {theBoard} onto {pair}, holes visible from above";

    public const string LineUpBeforeContact =
        "Line up before contact: sliding smears paste and drags pads. Leads routed out from under.";

    public const string PressLightlyOverDieOnlyNever = "Press lightly over the die only, never on a corner.";

    public const string DoNotPressDownWhileScrewing = "Do not press down while screwing.";

    public static string LeaveOutBackPlate(int waitCount, string waits, string hold) =>
        $"Leave {waitCount} out: {waits} {hold} the back plate.";

    public const string NoThreadMayBiteYet = "No thread may bite yet; a screw that binds is crossed: back it out.";

    public const string StopBeforeScrewStrips = "Stop before a screw strips. Check the heights of stops and die.";

    public const string DoNotPressDownOnBlock = "Do not press down on the block. Stop if the board bends.";

    public const string AboutToEnd = "about, to the end";

    public const string ThisScrewStrips = "This screw strips first: stop.";

    public static string TurnHomeInOrderLittle(string screws, string ofBlock) =>
        $"Turn {screws}{ofBlock} home in order, little by little";

    public const string NeverOneHomeBeforeOthers = "Never one home before the others: go round in small equal turns.";

    public static string TakeOutAgainSetBackPlate(string screws) =>
        $"Take {screws} out again, set the back plate with its pads, and put them through it";

    public static string SetBackPlateWithPads(string screws) =>
        $"Set the back plate with its pads and {screws}, started loose, then firm";

    public const string OwnPadsAndWashers = "Its own pads and washers; nothing may short.";

    public const string BackPlateThatTouchesLead = "A back plate that touches a lead or a pin is a short circuit.";

    public static string PeelOuterFilmOffItsPads(string pads) => $"Peel the outer film off its {pads} first. ";

    public static string LayOnBackOfHoles(string plate, string theBoard) =>
        $"Lay the {plate} on the back of {theBoard}, its holes over those of the block";

    public static string BlocksScrewsGo(string pads, int usesHoleCount) =>
        $"{pads} The block's {usesHoleCount} screws go through it: hold it with one hand while the first bite.";

    public const string LiesInPlace = "Lies in its place";

    public static string SetBackWithPads(string plate, int usesHoleCount) =>
        $"Set the {plate} back with its pads and {usesHoleCount} of the block's screws, started loose, then firm";

    public static string StockScrewsOfTheseHolesStay(string pads) =>
        $"{pads} The stock screws of these holes stay in the tray: they are not the block's length.";

    public const string StockPadStays = "Its stock pad stays on it: intact and undisturbed, it fits where it was.";

    public static string StockPadsStay(int padCount) =>
        $"Its {padCount} stock pads stay on it: intact and undisturbed, they fit where they were.";

    public static string NewPadsWhereOldOnesTore(int padCount) =>
        $"New pads where its old ones tore: {padCount} behind the board, as found.";

    public static string UntilItGripsThen(string afterGrip) => $"until it grips, then {afterGrip}";

    public const string QuarterTurnHalfAtMost = "a quarter turn, half at most";

    public static string PasteFirstWhereItMeetsBlock(double area) =>
        $"Paste first where it meets the block, {area:0.#} cm² spread thin: heat from behind goes over there. Its "
        + "own pads and washers; nothing may short.";

    public static string WasherToBoard(string sides) => $", {sides} washer to the board";

    public const string BracketOn = "Bracket on";

    public static string Plugged(string ports) => $"{ports} plugged";

    public static string PlugOf(string ports, string names, string pair) => $"Plug {ports} {names} of {pair}";

    public const string LeadPlugged = "Lead plugged";

    public const string RibbonPlugged = "Ribbon plugged";

    public static string LowerOnto(string pair, string theBoard) => $"Lower {pair} onto {theBoard}";

    public static string AllStarted(int firstCount) => $"All {firstCount} started";

    public static string StartLoose(string screws, string ofBlock, string washers) =>
        $"Start {screws}{ofBlock} loose{washers}";

    public static string AllTurned(int turnCount) => $"All {turnCount} turned";

    public static string BackPlateOn(string screws) => $"Back plate on, {screws}";
}
