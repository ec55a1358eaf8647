namespace FaithfulBracket.Core.Words.Plans.Back;

/// <summary>Sentences of back steps.</summary>
internal static class BackStepsWords
{
    public const string RunItWithStockCooler = "Run it with its stock cooler and compare with the before reading";

    public const string SameLoadSameRoom = "Same load, same room.";

    public const string SwitchOffUnplugThenPressSwitch =
        "Switch off, unplug, then press the power switch to discharge the board";

    public const string TouchEarthedMetalOrWearCorded = "Touch earthed metal or wear a corded wrist strap.";

    public const string CoolantDestroysPoweredBoard = "Coolant destroys a powered board.";

    public const string PowerSuppliesAreNeverOpened = "Power supplies are never opened: that is licensed work.";

    public const string DrainLoopIntoCanAir = "Drain the loop into a can, air in at its highest port";

    public const string TiltUntilNothingMoreRuns =
        "Tilt until nothing more runs. Quick couplings may be parted full, a cloth under them.";

    public const string WhatStaysInBlockRunsOut =
        "What stays in the block runs out when its first fitting is opened: hold it over the can.";

    public const string NothingRunsAnyMoreAndBlock =
        "Nothing runs any more, and the block sounds hollow when you blow through it.";

    public static string TakeOutGroupIntoCell(string screws, string target, string? cell) =>
        $"Take out {screws}, group {target}, into cell {cell}";

    public const string ItWasFittedAgainOverBlock = "It was fitted again over the block.";

    public static string Unplug(string name) => $"Unplug the {name}";

    public static string TakeOff(string name) => $"Take the {name} off";

    public static string InTray(int? stepCount) => $"{stepCount} in the tray";
}
