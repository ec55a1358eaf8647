namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of between.</summary>
internal static class BetweenWords
{
    public static string BlocksAndLieOverEachOther(string key, string otherKey, double area) =>
        $"Blocks {key} and {otherKey} lie over each other on {area:0.#} mm² of the board.";

    public static string FittingIsLong(
        string join,
        double lengthMm,
        string port,
        string key,
        string otherPort,
        string otherKey,
        double otherLengthMm,
        double miss,
        string near,
        double tolMm
    ) =>
        $"Fitting {join} is {lengthMm:0.0} mm long; ports {port} of {key} and {otherPort} of {otherKey} lie {otherLengthMm:0.0} mm apart, {miss:0.0} mm too {near} at ±{tolMm:0.0}.";

    public static string BoardsAndLieApart(
        string board,
        string otherBoard,
        double spacingMm,
        string key,
        double a,
        double miss,
        string thin,
        double spacingTolMm
    ) =>
        $"Boards {board} and {otherBoard} lie {spacingMm:0.00} mm apart; block {key} with its films is {a:0.00} mm thick, {miss:0.00} mm too {thin} at ±{spacingTolMm:0.00}.";

    public static string LiesUnderBlock(string ribbon, string otherRibbon, string key, double area) =>
        $"The {ribbon} {otherRibbon} lies under block {key} on {area:0.#} mm²: it would be pinched.";
}
