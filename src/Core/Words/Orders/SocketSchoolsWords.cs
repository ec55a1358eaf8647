namespace FaithfulBracket.Core.Words.Orders;

/// <summary>Sentences of socket schools.</summary>
internal static class SocketSchoolsWords
{
    public const string ProcessorInFirstUnderCover = "processor in first, under its cover";

    public const string CoverKeepsToolsOffContacts =
        "The cover keeps tools off the contacts until the package lies over them.";

    public const string NothingIsInWayOfPackage =
        "Nothing is in the way of the package; the contacts lie open meanwhile.";

    public const string NutsByThumbOrByDriver = "Nuts by thumb or by driver";

    public const string HandFeelsStop = "The hand feels the stop and cannot overdo it.";

    public const string EqualTurnsAreEasierToCount = "Equal turns are easier to count; stop where it stops.";

    public const string WhatJobEnds = "What the job ends with";

    public const string BlockOnBoard = "the block on its board";

    public const string WhoeverBuildsMachinePutsBoard = "Whoever builds the machine puts the board on its tray.";

    public const string BoardOnTrayMemory = "board on its tray, memory in";

    public const string BoardIsHandledOnceMoreWhile =
        "The board is handled once more while somebody still looks at the block.";

    public const string WarmItRight = "warm it right through";

    public const string WarmSolderShearsWithLessForce =
        "Warm solder shears with less force, and the package bends less.";

    public const string GoodJigShearsItCold = "A good jig shears it cold; nobody handles hot metal.";

    public const string MetalFillsWhatIsLeft = "Metal fills what is left of the solder.";

    public const string ThinnerFilmEveryStrokeTakesSilicon =
        "A thinner film; every stroke takes silicon that does not come back.";

    public const string TwoOppositeAtOnce = "two opposite nuts at once, one in each hand";

    public const string BlockStaysLevelAndGoesDown =
        "The block goes down level. It needs both hands and room for them.";
}
