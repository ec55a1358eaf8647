namespace FaithfulBracket.Core.Words.Prep;

/// <summary>Sentences of prep station.</summary>
internal static class PrepStationWords
{
    public static Message WipeFromEdgeInwardWithFresh =>
        $"Wipe from the edge inward with a fresh face of the cloth each time. Bare silicon chips easily: do not "
        + $"knock it.";

    public static Message WipeUntilClothStaysClean => $"Wipe until the cloth stays clean.";

    public static Message ResidueLiftsPadsAndTiltsBlock => $"Residue lifts pads and tilts the block.";

    public static Message OldPadCrumbsOutOfCorners =>
        $"Take old pad crumbs out of the corners with plastic tweezers and cloth.";

    public static Message OnlyTopFacesTouchPads => $"Only the top faces touch pads.";

    public static Message ToCleanDryFit(string faces) => $"{faces} to clean, dry fit";

    public static Message OnWaitWipe(string name, int wait, string detail) =>
        $"Put the {name} on, wait {wait} s and wipe, then use alcohol. {detail}";

    public static Message AlcoholAndLintFreeCloth(string detail) => $"Use alcohol and a lint-free cloth. {detail}";

    public static Message TakeFactorysLiquidMetalOffThen(string parts) =>
        $"Take the factory's liquid metal off {parts}, then out of every corner round it";

    public static Message SwabItTogetherWithPlastic =>
        $"Swab it together with plastic and lift it off; a wipe smears it under the small parts. Wipe until "
        + $"nothing shines.";

    public static Message GalliumGlovesAndTrayOffAluminium =>
        $"Gallium: gloves and tray, off aluminium and jewellery; what you wipe off is not for the drain.";

    public static Message TakeProtectiveStickerOffWipeLands(string pair) =>
        $"Take the protective sticker off {pair}, wipe its lands, no fingerprints";

    public static Message ColdPlateBareCopperTarnishes(string metal) =>
        $"Cold plate: {metal}. Bare copper tarnishes under fingers: gloves.";

    public static Message DryFit(string pair, string on, string checks) =>
        $"Dry fit of {pair}{on} without pads or paste ({checks})";

    public static Message DocumentsSeeNothingInWay => $"The documents see nothing in the way.";

    public static Message BehindBoard => $" behind the board";

    public static Message Faces(int partCount) => $", {partCount} faces";

    public static Message Clean(string parts, string where, string faces) => $"Clean {parts}{where}{faces}";

    public static Message NoMetalLeft => $"No metal left";

    public static Message BlockIsClean => $"Block is clean";

    public static Message ColdPlate(string metal) => $"Cold plate: {metal}.";

    public static Message DryFitGood => $"Dry fit good";

    public static Message AlcoholIsFlammable =>
        $"Alcohol is flammable. Keep heat guns, ovens and sparks away. Ventilate.";
}
