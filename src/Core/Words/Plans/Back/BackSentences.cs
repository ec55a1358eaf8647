namespace FaithfulBracket.Core.Words.Plans.Back;

/// <summary>Sentences of back words.</summary>
internal static class BackSentences
{
    public static string UnscrewOfOver(string fitting, string block) =>
        $"Unscrew the {fitting} of {block}, over the can";

    public const string HosesOffWithThem = "Hoses off with them. What is left in the block runs out now.";

    public static string TwistOffNeverLever(string theSink) => $"Twist {theSink} off, never lever";

    public const string WarmOnesLetGoSooner =
        "Warm ones let go sooner. The glue is rubbed off and the faces are cleaned.";

    public const string TakeBlocksBracketOff = "Take the block's bracket off";

    public const string DrawRigidLinkOutOfBoth = "Draw the rigid link out of both ports, straight";

    public static string TakeOutOfMachine(string theBoard) => $"Take {theBoard} out of its machine";

    public const string BracketLooseFirstThenSlotsLatch =
        "Bracket loose first, then the slot's latch; lift it straight.";

    public const string TakePostsOutHoldPlate = "Take the posts out, hold the plate behind them";

    public static string TakeOutAndBlocksBackPlate(string screws) =>
        $"Take {screws} out and the block's back plate off";

    public const string PadsLeaveWith = "Its pads leave with it.";

    public const string TakeBackPlateOff = "Take the back plate off";

    public const string TakeRubberGasketOff = "Take the rubber gasket off";

    public const string TakeBlocksScrewsOutOfStock =
        "Take the block's screws out of the stock plate, and the plate off";

    public const string ItGoesBackWithOwnScrews = "It goes back with its own screws.";

    public static string UnplugLeadsOf(string block) => $"Unplug the leads of {block}";

    public const string UnplugRibbonBetweenBoards = "Unplug the ribbon between the boards";

    public const string LeverUpProcessorOutByEdges =
        "Lever up, processor out by its edges, cover on the contacts, clamp down";

    public const string ItGoesIntoOwnBox = "It goes into its own box.";

    public static string TakeOffWhatPut(string step) => $"Take off what \"{step}\" put on";

    public const string ItComesWithoutForce =
        "It comes without force. Where it does not, something still holds it: look.";

    public const string WhatHoldsItLetLooseEvenly = "what holds it let loose evenly, in a cross";

    public const string ScrewsByTurnsAndLittle = "2 screws, by turns and little by little";

    public static string OuterOnesFirstDieRingLast(string screws) =>
        $"{screws}, outer ones first, the die ring last and in a cross";

    public static string OuterOnesFirstThenInCross(string screws) => $"{screws}, outer ones first, then in a cross";

    public const string JoinedAsThey = ", joined as they are,";

    public const string QuarterTurnEach = "A quarter turn each at first: the springs let go evenly.";

    public const string RockAndTwistNeverLever = "Rock and twist, never lever from one end: ";

    public const string ItTearsWhatIsGlued = "it tears what is glued to it.";

    public static string PartCarriersOfModuleAndTake(string board) =>
        $"Part the carriers of module {board} and take it out";

    public const string SlideThinPlasticCardAlongPad =
        "Slide a thin plastic card along the pad from one end; the pad stays on one side.";

    public const string NeverBendModuleToPeel = "Never bend the module to peel it: its solder cracks.";

    public static string CleanOfPadsAndPaste(string list, string behindTheBoard, string on) =>
        $"Clean the {list}{behindTheBoard}{on} of pads and paste";

    public const string AlcoholAndLintFreeClothEvery = "Alcohol and a lint-free cloth, every contact face.";

    public static string CutAndLayUnderAsThick(string newPads, string under, string on) =>
        $"Cut and lay {newPads} under the {under}, as thick as the old ones were{on}";

    public static string OldOnesWerePressedOnce(string groups) =>
        $"{groups}. The old ones were pressed once and do not fill the gap again.";

    public const string FilmLeftOnPadOverheatsChip =
        "A protective film left on a pad makes the chip under it overheat.";

    public static string PasteOnSpreadToFullCover(string thing, string on) =>
        $"Paste on {thing}, spread to full cover{on}";

    public const string AsMuchAsPasteStationSays = "As much as the Paste station says for it.";

    public const string AllStartedByHandThen = " All started by hand, then in a cross, a turn each.";

    public const string SealOverThemStaysBroken = " The seal over them stays broken.";

    public const string OuterFilmsOffAndCounted =
        "Outer films off and counted first; straight down, nothing pinched under it.";

    public const string WhatIsLeft = "what is left over";

    public static string WithScrewsAndFittings(string block) => $"{block} with its screws and fittings";

    public const string BlocksWithTheirScrewsAndFittings = "the blocks with their screws and fittings";

    public static string PackEachWithLabel(string what) => $"Pack {what}, each with its label";

    public const string ClampGoesWith = "The clamp goes with it: without its lid the package stays under the frame.";
}
