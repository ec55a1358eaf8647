namespace FaithfulBracket.Core.Words.Kit;

/// <summary>Sentences of kit station.</summary>
internal static class KitStationWords
{
    public static Message OpenBoxesOfBlocksAndCount(int boxeCount) =>
        $"Open the boxes of the {boxeCount} blocks and count them against the list";

    public static Message OpenBlocksBoxAndCount => $"Open the block's box and count it against the list";

    public static Message ReadManualsRevisionAndManual => $"Read the manual's revision and the manual";

    public static Message KitsChangeWithoutNotice =>
        $"Kits change without notice. Where the manual says otherwise, the manual wins.";

    public static Message KitAndDrawerHoldEverythingJob => $"Kit and drawer hold everything the job needs.";

    public static Message DrawerHoldsWhatCanBeCalculated => $"The drawer holds what can be calculated.";

    public static Message ListIsOneInBox(string models) =>
        $" The list is the one in the box: nobody has written it into the document of {models} yet. Until then "
        + $"its screws are known by thread, not by length.";

    public static Message RunMachineWithOldCooler => $"Run the machine with its old cooler and take the before reading";

    public static Message RunWithStockCoolerAndTake(string subject) =>
        $"Run the {subject} with its stock cooler and take the before reading";

    public static Message DeadPartMustBeFoundBefore =>
        $"A dead part must be found before the seal is broken. Enter the reading at Prove.";

    public static Message WarrantyMayEndWhenSeal =>
        $"Warranty may end when the seal is broken: check the terms and local consumer law first.";

    public static Message ManualRead => $"Manual read";

    public static Message ItRunsReadingsTaken => $"It runs, readings taken";
}
