namespace FaithfulBracket.Core.Words.Mount.Mountings;

/// <summary>Sentences of half steps.</summary>
internal static class ShellMountingWords
{
    public static Message LayHalfOnBoxAndLower(string name) =>
        $"Lay the {name} half on its box and lower the board into it, supply plugs through their openings";

    public static Message CloseHalfOverBoardHoles(string name) =>
        $"Close the {name} half over the board, holes in line";

    public static Message PadsAndPaste =>
        $"Pads and paste are on. Look through every opening: no lead and no plug between the halves.";

    public static Message BackInTheirSeatsBeforeHalves(string capital) =>
        $"{capital} back in their seats before the halves meet. The drive's plug stays in reach.";

    public static Message DrivesPlugStaysInReach => $"The drive's plug stays in reach.";

    public static Message StraightDownNoSliding => $"Straight down, no sliding: two faces smear at once.";

    public static Message BoardLiesIn => $"Board lies in it";

    public static Message ClosedHolesLineUp => $"Closed, holes line up";
}
