namespace FaithfulBracket.Core.Words.Prep;

/// <summary>Sentences of dry fit.</summary>
internal static class DryFitWords
{
    public static Message NoScrewOf => $"No screw of it has to find a hole in the board.";

    public static Message OneHoleInSightScrewDrops => $"Its one hole in sight, the screw drops in by hand.";

    public static Message AllHolesInSightEachScrew(int all) =>
        $"All {all} holes in sight, each screw drops in by hand.";

    public static Message WillNotLineUp(string missing) => $"{missing} will not line up.";

    public static Message WillMeetBlock(string clashes) => $"{clashes} will meet the block.";

    public static Message LookAtFromSide(string part, double marginMm) =>
        $"Look at {part} from the side: {marginMm:0.00} mm clear.";

    public static Message UnderPlatePlugInItWould(string plugs, string lie) =>
        $"{plugs} {lie} under the plate: a plug in it would be pinched. Its lead has to go round, or stay off.";

    public static Message NoPlugLiesUnderPlate =>
        $"No plug lies under the plate. Lay the leads clear of its edge all the same.";

    public static Message HasToComeOff(string covers) => $"{covers} has to come off first.";

    public static Message BlockReachesPast(string over) =>
        $"The block reaches past the {over}: let the board overhang the bench there.";

    public static Message PortsFaceFittingTurnsThereWithout(string port, string? key) =>
        $"Ports {port} face {key}: the fitting turns there without touching board or case.";

    public static Message BracketStaysAs => $"The bracket stays as it is.";

    public static Message BracketChangesFrom(int wide, string slots) =>
        $"The bracket changes from {wide} to {slots}: try it on now.";

    public static Message LayBackPlate(string tallest, double heightMm) =>
        $"Lay the back plate on: {tallest} is the tallest behind, {heightMm:0.0} mm.";
}
