namespace FaithfulBracket.Core.Words.Mount.Mountings;

/// <summary>Sentences of a screwed mounting.</summary>
internal static class ScrewedMountingWords
{
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

    public static string LowerOnto(string pair, string theBoard) => $"Lower {pair} onto {theBoard}";

    public static string AllStarted(int firstCount) => $"All {firstCount} started";

    public static string StartLoose(string screws, string ofBlock, string washers) =>
        $"Start {screws}{ofBlock} loose{washers}";

    public static string AllTurned(int turnCount) => $"All {turnCount} turned";

    public static string BackPlateOn(string screws) => $"Back plate on, {screws}";

    public static string LayBackPlateBeforeAnyScrew(string theBoard) =>
        $"Lay the back plate with its pads on the back of {theBoard}, its holes over those of the block";

    public const string ItLiesLooseUntilStarted =
        "It lies loose until the screws through it are started: do not tilt the board.";
}
