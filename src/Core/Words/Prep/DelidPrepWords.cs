namespace FaithfulBracket.Core.Words.Prep;

/// <summary>Sentences of delid prep.</summary>
internal static class DelidPrepWords
{
    public const string LayProcessorInJigCornerMark = "Lay the processor in the jig, corner mark to the jig's mark";

    public const string SubstrateLiesFlatInBed =
        "The substrate lies flat in its bed; the slide meets the lid and nothing else.";

    public const string WrongWayRoundSlideCuts = "The wrong way round the slide cuts into the parts beside the die.";

    public const string ItLiesFlatInBed = "It lies flat in its bed and does not rock; the slide just touches the lid.";

    public static string WarmItInJigToMinutes(double toC, double minutes) =>
        $"Warm it in the jig to {toC:0} °C, {minutes:0} minutes";

    public static string RightThroughOfPackageEstimated(double massG) =>
        $"Right through: {massG:0} g of package, estimated from its size, calculated in still air; the jig itself "
        + "takes longer. Where the jig states a temperature, that one.";

    public const string JigIsHot =
        "The jig is hot: wear gloves. Do not use an oven that is used for food, and keep alcohol away from the "
        + "heat.";

    public const string JigsWordFirst = "the jig's word first";

    public const string ShearLidFewTurnsOneWay = "Shear the lid: a few turns one way, then the other, counted";

    public const string GlueGivesAtOnce = "glue gives at once";

    public static string FarSideIsLoosened(string glueGivesAtOnce) =>
        $"The far side is loosened first; alternate as often as it takes, {glueGivesAtOnce}. Stop at the end of "
        + "travel.";

    public const string EyeProtectionNeverPryWithSteel =
        "Eye protection. Never pry with steel; a lid that sticks is warmed again, not forced.";

    public const string RemoveGlueFromSubstrate = "Remove the glue from the substrate with a blunt plastic tool";

    public const string CutAcrylicOrCardsEdge = "Cut acrylic or a card's edge; slowly near the small parts.";

    public const string NoSteelOneScratchCutsTrace =
        "No steel: one scratch cuts a trace. A blade is cut away from the hand.";

    public static string ScrapeBulkOfSolderOff(int solderSoakS) =>
        $"Scrape the bulk of the solder off with plastic, flood the rest with alloy, wait {solderSoakS} minutes";

    public const string AlloyCreepsIntoSolderAndLets =
        "The alloy creeps into the solder and lets it go. The bare parts can be coated meanwhile.";

    public const string GalliumGlovesTray =
        "Gallium: gloves, a tray; off aluminium tools, trays and jewellery. Waste is not for the drain.";

    public const string WorkItAcrossAndLift =
        "Work it across and lift it off with a damp swab; repeat until the die is flat";

    public const string DampSwabNotSoakedWipe =
        "A damp swab, not a soaked wipe: nothing may run to the parts beside it. Count the rounds.";

    public const string WhatComesOffConducts = "What comes off conducts and is collected.";

    public const string PolishDiesFlatOnGlassEven = "Polish the dies flat, on glass, even strokes";

    public const string EveryStrokeTakesSiliconThatDoes = "Every stroke takes silicon that does not come back.";

    public const string SiliconDustWetAndWipedUp = "Silicon dust: wet, and wiped up.";

    public const string LeversUpInTheirOrder = "Levers up in their order";

    public static string ProcessorOutByEdgesClampOff(string up) => $"{up}, processor out by its edges, clamp off";

    public static string ClampOffPackageStays(string up) => $"{up}, clamp off; the package stays";

    public const string ItLiesLooseUntilFrameHolds =
        "It lies loose until the frame holds it: the board stays as it is. ";

    public const string ClampsScrewsFirstThenPackage = "The clamp's screws first, then the package. ";

    public const string PackageFirstThenClampsScrews = "The package first, then the clamp's screws. ";

    public const string SomethingSoftUnderBoard = "Something soft under the board first: the plate behind may drop. ";

    public const string CoverGoesOverContacts = "The cover goes over the contacts; ";

    public const string ClampAndScrewsIntoTray = "clamp and screws into the tray.";

    public const string ContactsBendUnderFingertipAndScrew =
        "Contacts bend under a fingertip. A dropped screw can ruin the socket.";

    public const string LeverComesUpUnderSpringLoad =
        "The lever comes up under spring load; the package lifts straight out, nothing drags.";

    public const string LeverComesUpUnderSpringLoadPackage =
        "The lever comes up under spring load; the package does not move.";

    public static string CoatBarePartsRoundDiesGenerously(int coatCount) =>
        $"Coat the {coatCount} bare parts round the dies, generously, and let it dry";

    public const string StayOffOldGlueLine =
        "Stay off the old glue line: the frame sits there. The metal stays closed until this is dry.";

    public const string AlcoholStripsFreshCoat =
        "Alcohol strips a fresh coat: at the next cleaning keep it off these parts.";
}
