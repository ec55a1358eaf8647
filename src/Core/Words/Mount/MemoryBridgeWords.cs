namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of memory bridge.</summary>
internal static class MemoryBridgeWords
{
    public static Message LayModuleBetweenCarriers(string board, string carriers) =>
        $"Lay module {board} between its carriers, {carriers}";

    public static Message PadsButtAgainstTopEdge =>
        $"Pads butt against the top edge of the carrier; press over the chips, not over the bare rim. Every "
        + $"module the same way round as the first.";

    public static Message TwoRowsOfTinyPartsStand =>
        $"Two rows of tiny parts stand along the bottom edge: hold the module by its short sides.";

    public static Message TrimNarrowPadsOfModuleFlush(string board) =>
        $"Trim the narrow pads of module {board} flush with its carriers";

    public static Message AlongEdgeAndAtEveryBolt =>
        $"Along the edge and at every bolt hole: what stands over is pressed into a thread or a slot.";

    public static Message CutAwayFromHand => $"Cut away from the hand, and from the gold contacts.";

    public static Message FingertipAlongEdgeMeetsNoStep =>
        $"A fingertip along the edge meets no step; every bolt hole is open.";

    public static Message SightAlongSlots =>
        $"Sight along the slots: bolt holes of all carriers in one line, labels all one way";

    public static Message StandModuleUp => $"Stand the module up: bolt holes of its carriers in one line";

    public static Message StandModulesInRow(int pairCount) =>
        $"Stand the {pairCount} modules in a row: bolt holes of all carriers in one line, labels all one way";

    public static Message SightAlongEdge =>
        $"Sight along the edge; a carrier that stands higher tilts the block over the others.";

    public static Message SetOnAndStartLoose(string model, string theModule, string bolts) =>
        $"Set {model} on {theModule} and start {bolts} loose";

    public static Message BoltThatBindsIsCrossed => $"A bolt that binds is crossed: back it out.";

    public static Message UntilItIsSnug => $"until it is snug";

    public static Message SnugHeadTouchesAndDriverBegins => $"Snug: the head touches and the driver begins to resist.";

    public static Message TheseThreadsAreInThinPlate =>
        $"These threads are in a thin plate. Snug, then an eighth turn, no more.";

    public static Message PressModuleIntoSecondSlot => $"Press the module into the second slot from the processor";

    public static Message PressBothModulesIntoSecond(string how) =>
        $"Press both modules, {how}, into the second and the fourth slot from the processor";

    public static Message PressModulesIntoSlotsSide(int modules, string how) =>
        $"Press the {modules} modules, {how}, into {modules} slots side by side";

    public static Message EverySlotTaken =>
        $"Every slot taken. All notches to one side; both latches of every slot close by themselves.";

    public static Message NotchFitsOneWayOnly =>
        $"The notch fits one way only. Both latches close by themselves; the slots between stay free.";

    public static Message MainboardsManualGoes =>
        $"The mainboard's manual goes first: it numbers its slots and says which are filled when.";

    public static Message BetweenCarriers => $"Between its carriers";

    public static Message AllSnug => $"All snug";

    public static Message HeldLevel(string model) => $", {model} held level";

    public static Message AllHome => $"All home";
}
