namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of mounted bow.</summary>
internal static class MountedBowWords
{
    public static Message HowBoardBowsIsUnknown(string unknown) => $"How the board bows is not known: {unknown}";

    public static Message BoardWouldBowMoreThanTimes(double maxThicknesses) =>
        $"The board would bow more than {maxThicknesses:0} times its thickness: further than this model reaches. ";

    public static Message UseBackPlateOrSupportBoard =>
        $"Use the back plate, or support the board while you turn the screws.";

    public static Message BoardBowsItCarriesNoPackage(double peakMm) =>
        $"The board bows {peakMm:0.00} mm. It carries no package whose joints could be judged.";

    public static Message SolderJointsCanCrack => $"Solder joints can crack. Use a stiffer back plate or thinner pads.";

    public static Message ThatIsSafeWhileYouTurn =>
        $"That is safe while you turn the screws. Check it again after a year.";

    public static Message JointsTakeThat => $"The joints take that.";

    public static Message ScrewsLieNearlyInLine =>
        $" The screws lie nearly in a line and hold the board weakly, so this is a rough figure.";

    public static Message BoardBowsStrainBesidePackages(double peakMm, string told, double limit) =>
        $"The board bows {peakMm:0.00} mm. Strain beside the packages: {told} (limit {limit:0} µε). ";
}
