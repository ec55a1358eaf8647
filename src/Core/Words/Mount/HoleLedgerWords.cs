namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of hole ledger.</summary>
internal static class HoleLedgerWords
{
    public const string EmptyUntilBackPlate = "empty until the back plate is on";

    public static string ThroughBackPlate(string screw) => $"{screw}, through the back plate";

    public static string WasherSideToBoard(string w) => $"{w} washer, {w} side to the board";

    public static string KitsScrewIsTooLong(double l, double otherL, string hole) =>
        $"The kit's {l:0.#} mm screw is {otherL:0.0} mm too long for {hole}: it runs against the bottom before it holds.";

    public static string KitsScrewReaches(double s, double text, string hole) =>
        $"The kit's {s:0.#} mm screw reaches {text:0.0} mm into {hole}: too little thread.";

    public static string StockScrewOfGroupIsToo(string stock, double old) =>
        $"The stock screw of group {stock} is {old:0.0} mm too long for the block: keep it out of here.";
}
