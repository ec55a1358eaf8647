namespace FaithfulBracket.Core.Words.Prep;

/// <summary>Sentences of dry fit.</summary>
internal static class DryFitWords
{
    public const string NoScrewOf = "No screw of it has to find a hole in the board.";

    public const string OneHoleInSightScrewDrops = "Its one hole in sight, the screw drops in by hand.";

    public static string AllHolesInSightEachScrew(int all) => $"All {all} holes in sight, each screw drops in by hand.";

    public static string WillNotLineUp(string missing) => $"{missing} will not line up.";

    public static string WillMeetBlock(string clashes) => $"{clashes} will meet the block.";

    public static string LookAtFromSide(string part, double marginMm) =>
        $"Look at {part} from the side: {marginMm:0.00} mm clear.";

    public static string UnderPlatePlugInItWould(string plugs, string lie) =>
        $"{plugs} {lie} under the plate: a plug in it would be pinched. Its lead has to go round, or stay off.";

    public const string NoPlugLiesUnderPlate =
        "No plug lies under the plate. Lay the leads clear of its edge all the same.";

    public static string HasToComeOff(string covers) => $"{covers} has to come off first.";

    public static string BlockReachesPast(string over) =>
        $"The block reaches past the {over}: let the board overhang the bench there.";

    public static string PortsFaceFittingTurnsThereWithout(string port, string? key) =>
        $"Ports {port} face {key}: the fitting turns there without touching board or case.";

    public const string BracketStaysAs = "The bracket stays as it is.";

    public static string BracketChangesFrom(int wide, string slots) =>
        $"The bracket changes from {wide} to {slots}: try it on now.";

    public static string LayBackPlate(string tallest, double heightMm) =>
        $"Lay the back plate on: {tallest} is the tallest behind, {heightMm:0.0} mm.";
}
