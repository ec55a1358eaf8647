namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of underside.</summary>
internal static class UndersideWords
{
    public static Message MoreThanHolesAreDrawn(int maxHoles) =>
        $"More than {maxHoles} holes are drawn: leave out what is not a screw.";

    public static Message MoreThanClosedLinesAreDrawn(int maxShapes) =>
        $"More than {maxShapes} closed lines are drawn: leave out what is not a land.";

    public static Message DrawingsNotLieAsBlocksScrews(string holeDoes, int screwCount, string agrees) =>
        $"The drawing's {holeDoes} not lie as the block's screws, {screwCount} of them: {agrees}. Look at its "
        + $"unit, or whether it is of this block.";

    public static Message DrawingIsSeen => $"; the drawing is seen from below and was turned about";

    public static Message NotInDrawingStillAssumed(string unseen, string more) =>
        $"Not in the drawing, still assumed: {unseen}{more}.";

    public static Message DrawnWhereNoScrewIsAssumed(string holeIs) => $"{holeIs} drawn where no screw is assumed.";

    public static Message NoLandOfPart(string closedLineIs) =>
        $"{closedLineIs} no land of a part: a pocket, or a land over nothing.";
}
