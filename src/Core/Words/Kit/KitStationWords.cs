namespace FaithfulBracket.Core.Words.Kit;

/// <summary>Sentences of kit station.</summary>
internal static class KitStationWords
{
    public static string OpenBoxesOfBlocksAndCount(int boxeCount) =>
        $"Open the boxes of the {boxeCount} blocks and count them against the list";

    public const string OpenBlocksBoxAndCount = "Open the block's box and count it against the list";

    public const string ReadManualsRevisionAndManual = "Read the manual's revision and the manual";

    public const string KitsChangeWithoutNotice =
        "Kits change without notice. Where the manual says otherwise, the manual wins.";

    public const string KitAndDrawerHoldEverythingJob = "Kit and drawer hold everything the job needs.";

    public const string DrawerHoldsWhatCanBeCalculated = "The drawer holds what can be calculated.";

    public static string ListIsOneInBox(string models) =>
        $" The list is the one in the box: nobody has written it into the document of {models} yet. Until then "
        + "its screws are known by thread, not by length.";

    public const string RunMachineWithOldCooler = "Run the machine with its old cooler and take the before reading";

    public static string RunWithStockCoolerAndTake(string subject) =>
        $"Run the {subject} with its stock cooler and take the before reading";

    public const string DeadPartMustBeFoundBefore =
        "A dead part must be found before the seal is broken. Enter the reading at Prove.";

    public const string WarrantyMayEndWhenSeal =
        "Warranty may end when the seal is broken: check the terms and local consumer law first.";

    public const string ManualRead = "Manual read";

    public const string ItRunsReadingsTaken = "It runs, readings taken";
}
