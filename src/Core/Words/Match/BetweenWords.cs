namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of between.</summary>
internal static class BetweenWords
{
    public static Message BlocksAndLieOverEachOther(string block, string otherBlock, double areaMm2) =>
        $"Blocks {block} and {otherBlock} lie over each other on {areaMm2:0.#} mm² of the board.";

    public static Message FittingIsLong(
        string fitting,
        double lengthMm,
        string port,
        string block,
        string otherPort,
        string otherBlock,
        double apartMm,
        double missMm,
        string nearOrFar,
        double tolMm
    ) =>
        $"Fitting {fitting} is {lengthMm:0.0} mm long; ports {port} of {block} and {otherPort} of {otherBlock} "
        + $"lie {apartMm:0.0} mm apart, {missMm:0.0} mm too {nearOrFar} at ±{tolMm:0.0}.";

    public static Message BoardsAndLieApart(
        string board,
        string otherBoard,
        double spacingMm,
        string block,
        double thicknessMm,
        double missMm,
        string thinOrThick,
        double spacingTolMm
    ) =>
        $"Boards {board} and {otherBoard} lie {spacingMm:0.00} mm apart; block {block} with its films is "
        + $"{thicknessMm:0.00} mm thick, {missMm:0.00} mm too {thinOrThick} at ±{spacingTolMm:0.00}.";

    public static Message LiesUnderBlock(string kind, string ribbon, string block, double areaMm2) =>
        $"The {kind} {ribbon} lies under block {block} on {areaMm2:0.#} mm²: it would be pinched.";
}
