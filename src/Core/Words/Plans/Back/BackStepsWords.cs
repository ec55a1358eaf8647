namespace FaithfulBracket.Core.Words.Plans.Back;

/// <summary>Sentences of back steps.</summary>
internal static class BackStepsWords
{
    public const string RunItWithStockCooler = "Run it with its stock cooler and compare with the before reading";

    public const string SameLoadSameRoom = "Same load, same room.";

    public const string TouchEarthedMetalOrWearCorded = "Touch earthed metal or wear a corded wrist strap.";

    public const string CoolantDestroysPoweredBoard = "Coolant destroys a powered board.";

    public const string DrainLoopIntoCanAir = "Drain the loop into a can, air in at its highest port";

    public const string TiltUntilNothingMoreRuns =
        "Tilt until nothing more runs. Quick couplings may be parted full, a cloth under them.";

    public const string WhatStaysInBlockRunsOut =
        "What stays in the block runs out when its first fitting is opened: hold it over the can.";

    public static string TakeOutGroupIntoCell(string screws, string target, string? cell) =>
        $"Take out {screws}, group {target}, into cell {cell}";

    public const string ItWasFittedAgainOverBlock = "It was fitted again over the block.";

    public static string TakeOff(string name) => $"Take the {name} off";
}
