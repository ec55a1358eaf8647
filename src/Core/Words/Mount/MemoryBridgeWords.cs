namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of memory bridge.</summary>
internal static class MemoryBridgeWords
{
    public static string LayModuleBetweenCarriers(string board, string carriers) =>
        $"Lay module {board} between its carriers, {carriers}";

    public const string PadsButtAgainstTopEdge =
        "Pads butt against the top edge of the carrier; press over the chips, not over the bare rim. Every "
        + "module the same way round as the first.";

    public const string TwoRowsOfTinyPartsStand =
        "Two rows of tiny parts stand along the bottom edge: hold the module by its short sides.";

    public static string TrimNarrowPadsOfModuleFlush(string board) =>
        $"Trim the narrow pads of module {board} flush with its carriers";

    public const string AlongEdgeAndAtEveryBolt =
        "Along the edge and at every bolt hole: what stands over is pressed into a thread or a slot.";

    public const string CutAwayFromHand = "Cut away from the hand, and from the gold contacts.";

    public const string FingertipAlongEdgeMeetsNoStep =
        "A fingertip along the edge meets no step; every bolt hole is open.";

    public const string SightAlongSlots =
        "Sight along the slots: bolt holes of all carriers in one line, labels all one way";

    public const string StandModuleUp = "Stand the module up: bolt holes of its carriers in one line";

    public static string StandModulesInRow(int pairCount) =>
        $"Stand the {pairCount} modules in a row: bolt holes of all carriers in one line, labels all one way";

    public const string SightAlongEdge =
        "Sight along the edge; a carrier that stands higher tilts the block over the others.";

    public static string SetOnAndStartLoose(string model, string theModule, string bolts) =>
        $"Set {model} on {theModule} and start {bolts} loose";

    public const string BoltThatBindsIsCrossed = "A bolt that binds is crossed: back it out.";

    public const string UntilItIsSnug = "until it is snug";

    public const string SnugHeadTouchesAndDriverBegins = "Snug: the head touches and the driver begins to resist.";

    public const string TheseThreadsAreInThinPlate =
        "These threads are in a thin plate. Snug, then an eighth turn, no more.";

    public const string PressModuleIntoSecondSlot = "Press the module into the second slot from the processor";

    public static string PressBothModulesIntoSecond(string how) =>
        $"Press both modules, {how}, into the second and the fourth slot from the processor";

    public static string PressModulesIntoSlotsSide(int modules, string how) =>
        $"Press the {modules} modules, {how}, into {modules} slots side by side";

    public const string EverySlotTaken =
        "Every slot taken. All notches to one side; both latches of every slot close by themselves.";

    public const string NotchFitsOneWayOnly =
        "The notch fits one way only. Both latches close by themselves; the slots between stay free.";

    public const string MainboardsManualGoes =
        "The mainboard's manual goes first: it numbers its slots and says which are filled when.";

    public const string BetweenCarriers = "Between its carriers";

    public const string AllSnug = "All snug";

    public static string HeldLevel(string model) => $", {model} held level";

    public const string AllHome = "All home";
}
