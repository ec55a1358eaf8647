namespace FaithfulBracket.Core.Words.Prep;

/// <summary>Sentences of prep station.</summary>
internal static class PrepStationWords
{
    public const string WipeFromEdgeInwardWithFresh =
        "Wipe from the edge inward with a fresh face of the cloth each time. Bare silicon chips easily: do not "
        + "knock it.";

    public const string WipeUntilClothStaysClean = "Wipe until the cloth stays clean.";

    public const string ResidueLiftsPadsAndTiltsBlock = "Residue lifts pads and tilts the block.";

    public const string OldPadCrumbsOutOfCorners =
        "Take old pad crumbs out of the corners with plastic tweezers and cloth.";

    public const string OnlyTopFacesTouchPads = "Only the top faces touch pads.";

    public static string ToCleanDryFit(string faces) => $"{faces} to clean, dry fit";

    public static string OnWaitWipe(string name, int wait, string detail) =>
        $"Put the {name} on, wait {wait} s and wipe, then use alcohol. {detail}";

    public static string AlcoholAndLintFreeCloth(string detail) => $"Use alcohol and a lint-free cloth. {detail}";

    public static string TakeFactorysLiquidMetalOffThen(string parts) =>
        $"Take the factory's liquid metal off {parts}, then out of every corner round it";

    public const string SwabItTogetherWithPlastic =
        "Swab it together with plastic and lift it off; a wipe smears it under the small parts. Wipe until "
        + "nothing shines.";

    public const string GalliumGlovesAndTrayOffAluminium =
        "Gallium: gloves and tray, off aluminium and jewellery; what you wipe off is not for the drain.";

    public static string TakeProtectiveStickerOffWipeLands(string pair) =>
        $"Take the protective sticker off {pair}, wipe its lands, no fingerprints";

    public static string ColdPlateBareCopperTarnishes(string metal) =>
        $"Cold plate: {metal}. Bare copper tarnishes under fingers: gloves.";

    public static string DryFit(string pair, string on, string checks) =>
        $"Dry fit of {pair}{on} without pads or paste ({checks})";

    public const string DocumentsSeeNothingInWay = "The documents see nothing in the way.";

    public const string BehindBoard = " behind the board";

    public static string Faces(int partCount) => $", {partCount} faces";

    public static string Clean(string parts, string where, string faces) => $"Clean {parts}{where}{faces}";

    public const string NoMetalLeft = "No metal left";

    public const string BlockIsClean = "Block is clean";

    public static string ColdPlate(string metal) => $"Cold plate: {metal}.";

    public const string DryFitGood = "Dry fit good";

    public const string AlcoholIsFlammable = "Alcohol is flammable. Keep heat guns, ovens and sparks away. Ventilate.";
}
