namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of underside.</summary>
internal static class UndersideWords
{
    public static string MoreThanHolesAreDrawn(int maxHoles) =>
        $"More than {maxHoles} holes are drawn: leave out what is not a screw.";

    public static string MoreThanClosedLinesAreDrawn(int maxShapes) =>
        $"More than {maxShapes} closed lines are drawn: leave out what is not a land.";

    public static string DrawingsNotLieAsBlocksScrews(string holeDoes, int screwCount, string agrees) =>
        $"The drawing's {holeDoes} not lie as the block's screws, {screwCount} of them: {agrees}. Look at its "
        + "unit, or whether it is of this block.";

    public const string DrawingIsSeen = "; the drawing is seen from below and was turned about";

    public static string NotInDrawingStillAssumed(string unseen, string more) =>
        $"Not in the drawing, still assumed: {unseen}{more}.";

    public static string DrawnWhereNoScrewIsAssumed(string holeIs) => $"{holeIs} drawn where no screw is assumed.";

    public static string NoLandOfPart(string closedLineIs) =>
        $"{closedLineIs} no land of a part: a pocket, or a land over nothing.";
}
