namespace FaithfulBracket.Core.Words.Mount.Mountings;

/// <summary>Sentences of a screwed mounting.</summary>
internal static class ScrewedMountingWords
{
    public static Message LoweredHolesLineUp => $"Lowered, holes line up";

    public static Message LayBehindHolesOverThoseLeft(string pair, string theBoard) =>
        $"Lay {pair} behind {theBoard}, its holes over those left open";

    public static Message LowerOntoHolesVisible(string theBoard, string pair) =>
        $"Lower {theBoard} onto {pair}, holes visible from above";

    public static Message LetTallPartsOverhang(string parts, string stand) =>
        $" {parts} {stand} taller than the block: let the board overhang the edge of the support there, so that the block "
        + $"lies flat.";

    public static Message LineUpBeforeContact =>
        $"Line up before contact: sliding smears paste and drags pads. Leads routed out from under.";

    public static Message PressLightlyOverDieOnlyNever => $"Press lightly over the die only, never on a corner.";

    public static Message DoNotPressDownWhileScrewing => $"Do not press down while screwing.";

    public static Message LeaveOutBackPlate(int waitCount, string waits, string hold) =>
        $"Leave {waitCount} out: {waits} {hold} the back plate.";

    public static Message NoThreadMayBiteYet => $"No thread may bite yet; a screw that binds is crossed: back it out.";

    public static Message StopBeforeScrewStrips => $"Stop before a screw strips. Check the heights of stops and die.";

    public static Message DoNotPressDownOnBlock => $"Do not press down on the block. Stop if the board bends.";

    public static Message AboutToEnd => $"about, to the end";

    public static Message ThisScrewStrips => $"This screw strips first: stop.";

    public static Message TurnHomeInOrderLittle(string screws, string ofBlock) =>
        $"Turn {screws}{ofBlock} home in order, little by little";

    public static Message NeverOneHomeBeforeOthers =>
        $"Never one home before the others: go round in small equal turns.";

    public static Message TakeOutAgainSetBackPlate(string screws) =>
        $"Take {screws} out again, set the back plate with its pads, and put them through it";

    public static Message SetBackPlateWithPads(string screws) =>
        $"Set the back plate with its pads and {screws}, started loose, then firm";

    public static Message OwnPadsAndWashers => $"Its own pads and washers; nothing may short.";

    public static Message BackPlateThatTouchesLead => $"A back plate that touches a lead or a pin is a short circuit.";

    public static Message PeelOuterFilmOffItsPads(string pads) => $"Peel the outer film off its {pads} first. ";

    public static Message LayOnBackOfHoles(string plate, string theBoard) =>
        $"Lay the {plate} on the back of {theBoard}, its holes over those of the block";

    public static Message BlocksScrewsGo(string pads, int usesHoleCount) =>
        $"{pads} The block's {usesHoleCount} screws go through it: hold it with one hand while the first bite.";

    public static Message LiesInPlace => $"Lies in its place";

    public static Message SetBackWithPads(string plate, int usesHoleCount) =>
        $"Set the {plate} back with its pads and {usesHoleCount} of the block's screws, started loose, then firm";

    public static Message StockScrewsOfTheseHolesStay(string pads) =>
        $"{pads} The stock screws of these holes stay in the tray: they are not the block's length.";

    public static Message StockPadStays => $"Its stock pad stays on it: intact and undisturbed, it fits where it was.";

    public static Message StockPadsStay(int padCount) =>
        $"Its {padCount} stock pads stay on it: intact and undisturbed, they fit where they were.";

    public static Message NewPadsWhereOldOnesTore(int padCount) =>
        $"New pads where its old ones tore: {padCount} behind the board, as found.";

    public static Message UntilItGripsThen(string afterGrip) => $"until it grips, then {afterGrip}";

    public static Message QuarterTurnHalfAtMost => $"a quarter turn, half at most";

    public static Message PasteFirstWhereItMeetsBlock(double area) =>
        $"Paste first where it meets the block, {area:0.#} cm² spread thin: heat from behind goes over there. Its "
        + $"own pads and washers; nothing may short.";

    public static Message WasherToBoard(string sides) => $", {sides} washer to the board";

    public static Message LowerOnto(string pair, string theBoard) => $"Lower {pair} onto {theBoard}";

    public static Message AllStarted(int firstCount) => $"All {firstCount} started";

    public static Message StartLoose(string screws, string ofBlock, string washers) =>
        $"Start {screws}{ofBlock} loose{washers}";

    public static Message AllTurned(int turnCount) => $"All {turnCount} turned";

    public static Message BackPlateOn(string screws) => $"Back plate on, {screws}";

    public static Message LayBackPlateBeforeAnyScrew(string theBoard) =>
        $"Lay the back plate with its pads on the back of {theBoard}, its holes over those of the block";

    public static Message ItLiesLooseUntilStarted =>
        $"It lies loose until the screws through it are started: do not tilt the board.";
}
