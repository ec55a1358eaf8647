namespace FaithfulBracket.Core.Words.Prep;

/// <summary>Sentences of delid prep.</summary>
internal static class DelidPrepWords
{
    public static Message LayProcessorInJigCornerMark => $"Lay the processor in the jig, corner mark to the jig's mark";

    public static Message SubstrateLiesFlatInBed =>
        $"The substrate lies flat in its bed; the slide meets the lid and nothing else.";

    public static Message WrongWayRoundSlideCuts =>
        $"The wrong way round the slide cuts into the parts beside the die.";

    public static Message ItLiesFlatInBed =>
        $"It lies flat in its bed and does not rock; the slide just touches the lid.";

    public static Message WarmItInJigToMinutes(double toC, double minutes) =>
        $"Warm it in the jig to {toC:0} °C, {minutes:0} minutes";

    public static Message RightThroughOfPackageEstimated(double massG) =>
        $"Right through: {massG:0} g of package, estimated from its size, calculated in still air; the jig itself "
        + $"takes longer. Where the jig states a temperature, that one.";

    public static Message JigIsHot =>
        $"The jig is hot: wear gloves. Do not use an oven that is used for food, and keep alcohol away from the "
        + $"heat.";

    public static Message JigsWordFirst => $"the jig's word first";

    public static Message ShearLidFewTurnsOneWay => $"Shear the lid: a few turns one way, then the other, counted";

    public static Message GlueGivesAtOnce => $"glue gives at once";

    public static Message FarSideIsLoosened(string glueGivesAtOnce) =>
        $"The far side is loosened first; alternate as often as it takes, {glueGivesAtOnce}. Stop at the end of "
        + $"travel.";

    public static Message EyeProtectionNeverPryWithSteel =>
        $"Eye protection. Never pry with steel; a lid that sticks is warmed again, not forced.";

    public static Message RemoveGlueFromSubstrate => $"Remove the glue from the substrate with a blunt plastic tool";

    public static Message CutAcrylicOrCardsEdge => $"Cut acrylic or a card's edge; slowly near the small parts.";

    public static Message NoSteelOneScratchCutsTrace =>
        $"No steel: one scratch cuts a trace. A blade is cut away from the hand.";

    public static Message ScrapeBulkOfSolderOff(int solderSoakS) =>
        $"Scrape the bulk of the solder off with plastic, flood the rest with alloy, wait {solderSoakS} minutes";

    public static Message AlloyCreepsIntoSolderAndLets =>
        $"The alloy creeps into the solder and lets it go. The bare parts can be coated meanwhile.";

    public static Message GalliumGlovesTray =>
        $"Gallium: gloves, a tray; off aluminium tools, trays and jewellery. Waste is not for the drain.";

    public static Message WorkItAcrossAndLift =>
        $"Work it across and lift it off with a damp swab; repeat until the die is flat";

    public static Message DampSwabNotSoakedWipe =>
        $"A damp swab, not a soaked wipe: nothing may run to the parts beside it. Count the rounds.";

    public static Message WhatComesOffConducts => $"What comes off conducts and is collected.";

    public static Message PolishDiesFlatOnGlassEven => $"Polish the dies flat, on glass, even strokes";

    public static Message EveryStrokeTakesSiliconThatDoes => $"Every stroke takes silicon that does not come back.";

    public static Message SiliconDustWetAndWipedUp => $"Silicon dust: wet, and wiped up.";

    public static Message LeversUpInTheirOrder => $"Levers up in their order";

    public static Message ProcessorOutByEdgesClampOff(string up) => $"{up}, processor out by its edges, clamp off";

    public static Message ClampOffPackageStays(string up) => $"{up}, clamp off; the package stays";

    public static Message ItLiesLooseUntilFrameHolds =>
        $"It lies loose until the frame holds it: the board stays as it is. ";

    public static Message ClampsScrewsFirstThenPackage => $"The clamp's screws first, then the package. ";

    public static Message PackageFirstThenClampsScrews => $"The package first, then the clamp's screws. ";

    public static Message SomethingSoftUnderBoard =>
        $"Something soft under the board first: the plate behind may drop. ";

    public static Message CoverGoesOverContacts => $"The cover goes over the contacts; ";

    public static Message ClampAndScrewsIntoTray => $"clamp and screws into the tray.";

    public static Message ContactsBendUnderFingertipAndScrew =>
        $"Contacts bend under a fingertip. A dropped screw can ruin the socket.";

    public static Message LeverComesUpUnderSpringLoad =>
        $"The lever comes up under spring load; the package lifts straight out, nothing drags.";

    public static Message LeverComesUpUnderSpringLoadPackage =>
        $"The lever comes up under spring load; the package does not move.";

    public static Message CoatBarePartsRoundDiesGenerously(int coatCount) =>
        $"Coat the {coatCount} bare parts round the dies, generously, and let it dry";

    public static Message StayOffOldGlueLine =>
        $"Stay off the old glue line: the frame sits there. The metal stays closed until this is dry.";

    public static Message AlcoholStripsFreshCoat =>
        $"Alcohol strips a fresh coat: at the next cleaning keep it off these parts.";
}
