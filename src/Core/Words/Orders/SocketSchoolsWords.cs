namespace FaithfulBracket.Core.Words.Orders;

/// <summary>Sentences of socket schools.</summary>
internal static class SocketSchoolsWords
{
    public static Message ProcessorInFirstUnderCover => $"processor in first, under its cover";

    public static Message CoverKeepsToolsOffContacts =>
        $"The cover keeps tools off the contacts until the package lies over them.";

    public static Message NothingIsInWayOfPackage =>
        $"Nothing is in the way of the package; the contacts lie open meanwhile.";

    public static Message NutsByThumbOrByDriver => $"Nuts by thumb or by driver";

    public static Message HandFeelsStop => $"The hand feels the stop and cannot overdo it.";

    public static Message EqualTurnsAreEasierToCount => $"Equal turns are easier to count; stop where it stops.";

    public static Message WhatJobEnds => $"What the job ends with";

    public static Message BlockOnBoard => $"the block on its board";

    public static Message WhoeverBuildsMachinePutsBoard => $"Whoever builds the machine puts the board on its tray.";

    public static Message BoardOnTrayMemory => $"board on its tray, memory in";

    public static Message BoardIsHandledOnceMoreWhile =>
        $"The board is handled once more while somebody still looks at the block.";

    public static Message WarmItRight => $"warm it right through";

    public static Message WarmSolderShearsWithLessForce =>
        $"Warm solder shears with less force, and the package bends less.";

    public static Message GoodJigShearsItCold => $"A good jig shears it cold; nobody handles hot metal.";

    public static Message MetalFillsWhatIsLeft => $"Metal fills what is left of the solder.";

    public static Message ThinnerFilmEveryStrokeTakesSilicon =>
        $"A thinner film; every stroke takes silicon that does not come back.";

    public static Message TwoOppositeAtOnce => $"two opposite nuts at once, one in each hand";

    public static Message BlockStaysLevelAndGoesDown =>
        $"The block goes down level. It needs both hands and room for them.";
}
