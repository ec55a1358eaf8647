namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of fitted again.</summary>
internal static class FittedAgainWords
{
    public static Message WhatElseTheyHeldStaysOff => $" What else they held stays off: the block takes its place.";

    public static Message SetBackOn(string step) => $"Set the {step} back on";

    public static Message AsItWas => $"As it was; nothing pinched under it.";

    public static Message LatchHomeWiresLaidClear => $"Latch home, wires laid clear of every edge.";

    public static Message MoveOverTo(string step, string where) => $"Move the {step} over to the {where}";

    public static Message ItWasFastened(string left) =>
        $"It was fastened to the {left}. Slide it into its notch, wires pressed flat; pull once: it stays.";

    public static Message PutOfGroupBackOut(string screws, string target, string? cell) =>
        $"Put {screws} of group {target} back, out of cell {cell}";

    public static Message NoLongerOneGoesInHere(double lengthMm) => $", {lengthMm:0.#} mm: no longer one goes in here";

    public static Message LongerScrewInShortHoleCracks => $"A longer screw in a short hole cracks the board.";
}
