namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of fit reasons.</summary>
internal static class FitReasonsWords
{
    public static Message NoPasteLandOfBlockLies =>
        $"No paste land of the block lies over a die, and no standoff height is given: nothing fixes its height.";

    public static Message StandsHigherThanLand(string part, double marginMm) =>
        $"{part} stands {marginMm:0.00} mm higher than its land: the block would rest on it and float off the die.";

    public static Message MeetsBlocksTooTall(string part, string name, string region, double marginMm) =>
        $"{part} ({name}) meets the block's {region}: {marginMm:0.00} mm too tall.";

    public static Message ClearsByOnlyLess(string part, string region, double marginMm, double minClearanceMm) =>
        $"{part} clears the {region} by only {marginMm:0.00} mm, less than {minClearanceMm:0.0#}: measure it "
        + $"before mounting.";

    public static Message GapSuppliedPadDoesNotTouch(string part, double gap, double? padMm) =>
        $"{part}: gap {gap:0.00} mm, the supplied {padMm:0.0#} mm pad does not touch; a thicker one is needed.";

    public static Message ItNeedsPassiveSinksAndAirflow => $"it needs passive sinks and airflow";

    public static Message TheyNeedPassiveSinksAndAirflow => $"they need passive sinks and airflow";

    public static Message ItNeedsCoolerOfOwn => $"it needs a cooler of its own";

    public static Message TheyNeedCoolersOfTheirOwn => $"they need coolers of their own";

    public static Message PositionsAreKnown(double positionSigmaMm, double percent) =>
        $"Positions are known to ±{positionSigmaMm:0.00} mm (3σ): chance of seating {percent} %.";

    public static Message OfUnderPlateTightestIsClear(string parts, string part, double marginMm) =>
        $"Of {parts} under the plate the tightest is {part}, {marginMm:0.00} mm clear.";

    public static Message NoHeightOrNoKindYet(string partHas) => $"{partHas} no height or no kind yet";

    public static Message MeasureThemOrTakeThem => $"Measure them, or take them from a board like this one.";

    public static Message OnlyAssumedFromBoardLike(string partIs) =>
        $"{partIs} only assumed from a board like this one";

    public static Message LookAtThemAndMeasureThose => $"Look at them, and measure those that stand high.";

    public static Message ItIsOptionalAndStaysOut => $"; it is optional and stays out";

    public static Message ScrewIsTooWideForHole(
        string blockHole,
        double? slackMm,
        string boardHole,
        string itIsOptionalAndStaysOut
    ) => $"Screw {blockHole} is {slackMm:0.00} mm too wide for hole {boardHole}{itIsOptionalAndStaysOut}.";

    public static Message ScrewFindsNoHoleInBoard(string blockHole, double captureMm, string itIsOptionalAndStaysOut) =>
        $"Screw {blockHole} finds no hole in the board within {captureMm:0} mm{itIsOptionalAndStaysOut}.";

    public static Message ScrewMissesBySlack(
        string blockHole,
        string boardHole,
        double? missMm,
        double slackMm,
        string optional
    ) => $"Screw {blockHole} misses {boardHole} by {missMm:0.00} mm, slack {slackMm:0.00} mm{optional}.";

    public static Message OneScrewPasses => $"The one screw passes:";

    public static Message AllScrewsPass(int passingCount) => $"All {passingCount} screws pass; worst is";

    public static Message OfSlackUsed(string theOneScrewPasses, string blockHole, double? missMm, double? slackMm) =>
        $"{theOneScrewPasses} {blockHole}, {missMm:0.00} of {slackMm:0.00} mm slack used.";

    public static Message GradeStatesFit(string maker, string boardCode, string revision) =>
        $"Grade A: {maker} states the fit for {boardCode} {revision}.";

    public static Message GradeBNoStatement(string boardCode, string revision) =>
        $"Grade B: no statement for {boardCode} {revision}; judged from the surveyed board.";

    public static Message GradeCJudgedFromBoardTraced => $"Grade C: judged from a board traced from a photo.";

    public static Message GradeDJudgedFromTwin => $"Grade D: judged from a twin by resemblance.";

    public static Message GradeEMakersOpinionOnPictures => $"Grade E: the maker's opinion on pictures only.";
}
