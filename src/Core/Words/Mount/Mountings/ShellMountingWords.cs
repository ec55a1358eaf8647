namespace FaithfulBracket.Core.Words.Mount.Mountings;

/// <summary>Sentences of half steps.</summary>
internal static class ShellMountingWords
{
    public static string LayHalfOnBoxAndLower(string name) =>
        $"Lay the {name} half on its box and lower the board into it, supply plugs through their openings";

    public static string CloseHalfOverBoardHoles(string name) => $"Close the {name} half over the board, holes in line";

    public const string PadsAndPaste =
        "Pads and paste are on. Look through every opening: no lead and no plug between the halves.";

    public static string BackInTheirSeatsBeforeHalves(string capital) =>
        $"{capital} back in their seats before the halves meet. The drive's plug stays in reach.";

    public const string DrivesPlugStaysInReach = "The drive's plug stays in reach.";

    public const string StraightDownNoSliding = "Straight down, no sliding: two faces smear at once.";

    public const string BoardLiesIn = "Board lies in it";

    public const string ClosedHolesLineUp = "Closed, holes line up";
}
