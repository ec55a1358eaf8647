namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of fitted again.</summary>
internal static class FittedAgainWords
{
    public const string WhatElseTheyHeldStaysOff = " What else they held stays off: the block takes its place.";

    public static string SetBackOn(string step) => $"Set the {step} back on";

    public const string AsItWas = "As it was; nothing pinched under it.";

    public const string LatchHomeWiresLaidClear = "Latch home, wires laid clear of every edge.";

    public static string MoveOverTo(string step, string where) => $"Move the {step} over to the {where}";

    public static string ItWasFastened(string left) =>
        $"It was fastened to the {left}. Slide it into its notch, wires pressed flat; pull once: it stays.";

    public static string PutOfGroupBackOut(string screws, string target, string? cell) =>
        $"Put {screws} of group {target} back, out of cell {cell}";

    public static string NoLongerOneGoesInHere(double lengthMm) => $", {lengthMm:0.#} mm: no longer one goes in here";

    public const string LongerScrewInShortHoleCracks = "A longer screw in a short hole cracks the board.";
}
