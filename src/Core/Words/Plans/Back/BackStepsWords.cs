namespace FaithfulBracket.Core.Words.Plans.Back;

/// <summary>Sentences of back steps.</summary>
internal static class BackStepsWords
{
    public static Message RunItWithStockCooler => $"Run it with its stock cooler and compare with the before reading";

    public static Message SameLoadSameRoom => $"Same load, same room.";

    public static Message TouchEarthedMetalOrWearCorded => $"Touch earthed metal or wear a corded wrist strap.";

    public static Message CoolantDestroysPoweredBoard => $"Coolant destroys a powered board.";

    public static Message DrainLoopIntoCanAir => $"Drain the loop into a can, air in at its highest port";

    public static Message TiltUntilNothingMoreRuns =>
        $"Tilt until nothing more runs. Quick couplings may be parted full, a cloth under them.";

    public static Message WhatStaysInBlockRunsOut =>
        $"What stays in the block runs out when its first fitting is opened: hold it over the can.";

    public static Message TakeOutGroupIntoCell(string screws, string target, string? cell) =>
        $"Take out {screws}, group {target}, into cell {cell}";

    public static Message ItWasFittedAgainOverBlock => $"It was fitted again over the block.";

    public static Message TakeOff(string name) => $"Take the {name} off";
}
