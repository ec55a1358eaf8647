namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of hole ledger.</summary>
internal static class HoleLedgerWords
{
    public static Message EmptyUntilBackPlate => $"empty until the back plate is on";

    public static Message ThroughBackPlate(string screw) => $"{screw}, through the back plate";

    public static Message WasherSideToBoard(string side) => $"{side} washer, {side} side to the board";

    public static Message KitsScrewIsTooLong(double lengthMm, double tooLongMm, string hole) =>
        $"The kit's {lengthMm:0.#} mm screw is {tooLongMm:0.0} mm too long for {hole}: it runs against the bottom "
        + $"before it holds.";

    public static Message KitsScrewReaches(double lengthMm, double reachMm, string hole) =>
        $"The kit's {lengthMm:0.#} mm screw reaches {reachMm:0.0} mm into {hole}: too little thread.";

    public static Message StockScrewOfGroupIsToo(string stock, double old) =>
        $"The stock screw of group {stock} is {old:0.0} mm too long for the block: keep it out of here.";
}
