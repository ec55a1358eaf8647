namespace FaithfulBracket.Core.Words.Plans.Back;

/// <summary>Sentences of back words.</summary>
internal static class BackSentences
{
    public static Message UnscrewOfOver(string fitting, string block) =>
        $"Unscrew the {fitting} of {block}, over the can";

    public static Message HosesOffWithThem => $"Hoses off with them. What is left in the block runs out now.";

    public static Message TwistOffNeverLever(string theSink) => $"Twist {theSink} off, never lever";

    public static Message WarmOnesLetGoSooner =>
        $"Warm ones let go sooner. The glue is rubbed off and the faces are cleaned.";

    public static Message TakeBlocksBracketOff => $"Take the block's bracket off";

    public static Message DrawRigidLinkOutOfBoth => $"Draw the rigid link out of both ports, straight";

    public static Message TakeOutOfMachine(string theBoard) => $"Take {theBoard} out of its machine";

    public static Message BracketLooseFirstThenSlotsLatch =>
        $"Bracket loose first, then the slot's latch; lift it straight.";

    public static Message TakePostsOutHoldPlate => $"Take the posts out, hold the plate behind them";

    public static Message TakeOutAndBlocksBackPlate(string screws) =>
        $"Take {screws} out and the block's back plate off";

    public static Message PadsLeaveWith => $"Its pads leave with it.";

    public static Message TakeBackPlateOff => $"Take the back plate off";

    public static Message TakeRubberGasketOff => $"Take the rubber gasket off";

    public static Message TakeBlocksScrewsOutOfStock =>
        $"Take the block's screws out of the stock plate, and the plate off";

    public static Message ItGoesBackWithOwnScrews => $"It goes back with its own screws.";

    public static Message UnplugLeadsOf(string block) => $"Unplug the leads of {block}";

    public static Message UnplugRibbonBetweenBoards => $"Unplug the ribbon between the boards";

    public static Message LeverUpProcessorOutByEdges =>
        $"Lever up, processor out by its edges, cover on the contacts, clamp down";

    public static Message ItGoesIntoOwnBox => $"It goes into its own box.";

    public static Message TakeOffWhatPut(string step) => $"Take off what \"{step}\" put on";

    public static Message ItComesWithoutForce =>
        $"It comes without force. Where it does not, something still holds it: look.";

    public static Message WhatHoldsItLetLooseEvenly => $"what holds it let loose evenly, in a cross";

    public static Message ScrewsByTurnsAndLittle => $"2 screws, by turns and little by little";

    public static Message OuterOnesFirstDieRingLast(string screws) =>
        $"{screws}, outer ones first, the die ring last and in a cross";

    public static Message OuterOnesFirstThenInCross(string screws) => $"{screws}, outer ones first, then in a cross";

    public static Message JoinedAsThey => $", joined as they are,";

    public static Message QuarterTurnEach => $"A quarter turn each at first: the springs let go evenly.";

    public static Message RockAndTwistNeverLever => $"Rock and twist, never lever from one end: ";

    public static Message ItTearsWhatIsGlued => $"it tears what is glued to it.";

    public static Message PartCarriersOfModuleAndTake(string board) =>
        $"Part the carriers of module {board} and take it out";

    public static Message SlideThinPlasticCardAlongPad =>
        $"Slide a thin plastic card along the pad from one end; the pad stays on one side.";

    public static Message NeverBendModuleToPeel => $"Never bend the module to peel it: its solder cracks.";

    public static Message CleanOfPadsAndPaste(string list, string behindTheBoard, string on) =>
        $"Clean the {list}{behindTheBoard}{on} of pads and paste";

    public static Message AlcoholAndLintFreeClothEvery => $"Alcohol and a lint-free cloth, every contact face.";

    public static Message CutAndLayUnderAsThick(string newPads, string under, string on) =>
        $"Cut and lay {newPads} under the {under}, as thick as the old ones were{on}";

    public static Message OldOnesWerePressedOnce(string groups) =>
        $"{groups}. The old ones were pressed once and do not fill the gap again.";

    public static Message FilmLeftOnPadOverheatsChip =>
        $"A protective film left on a pad makes the chip under it overheat.";

    public static Message PasteOnSpreadToFullCover(string thing, string on) =>
        $"Paste on {thing}, spread to full cover{on}";

    public static Message AsMuchAsPasteStationSays => $"As much as the Paste station says for it.";

    public static Message AllStartedByHandThen => $" All started by hand, then in a cross, a turn each.";

    public static Message SealOverThemStaysBroken => $" The seal over them stays broken.";

    public static Message OuterFilmsOffAndCounted =>
        $"Outer films off and counted first; straight down, nothing pinched under it.";

    public static Message WhatIsLeft => $"what is left over";

    public static Message WithScrewsAndFittings(string block) => $"{block} with its screws and fittings";

    public static Message BlocksWithTheirScrewsAndFittings => $"the blocks with their screws and fittings";

    public static Message PackEachWithLabel(string what) => $"Pack {what}, each with its label";

    public static Message ClampGoesWith =>
        $"The clamp goes with it: without its lid the package stays under the frame.";
}
