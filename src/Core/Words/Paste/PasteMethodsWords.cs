namespace FaithfulBracket.Core.Words.Paste;

/// <summary>Sentences of paste methods.</summary>
internal static class PasteMethodsWords
{
    public const string BareSiliconEverySquareMillimetreCovered =
        "Bare silicon: every square millimetre covered, thin and even; a pattern may leave a corner bare.";

    public const string BareSiliconUnderPattern =
        "Bare silicon under a pattern: look in the simulation whether the corners are reached before you trust "
        + "it.";

    public const string BridgeChipGivesLittleHeat = "A bridge chip gives little heat: a thin spread is enough.";

    public const string BridgeChipGivesLittleHeatSmall =
        "A bridge chip gives little heat: a small amount pressed out does.";

    public const string LargeLidSpreadAndSlightlyMore =
        "A large lid: spread, and slightly more than a small one takes.";

    public const string LargeLidOneDotDoes =
        "A large lid: one dot does not reach its corners; arms do, with slightly more paste.";

    public static string LidOfLineAlongLongSide(double widthMm, double depthMm) =>
        $"A lid of {widthMm:0} × {depthMm:0} mm: a line along the long side.";

    public const string LidSpreadsHeat = "A lid spreads the heat: a pattern or a spread both do.";

    public static string BarePartsInReachOfDrop(string bare) =>
        $"Bare parts in reach of a drop: {bare}. Coat them, let it dry, then choose it again as covered.";

    public const string ConductsDropBesideDieIsShort =
        "Conducts: a drop beside the die is a short circuit. Gloves and a tray; keep it off aluminium tools, "
        + "laptops and jewellery.";

    public const string FilmOnDieAndOnContact =
        "A film on the die and on the contact patch, and nowhere else. What is left over is not for the drain.";

    public const string BlocksFaceIsAluminium = "The block's face is aluminium: gallium destroys it. Never.";

    public const string BlockDoesNotSayWhatFace =
        "The block does not say what its face is made of: make sure that it is not aluminium.";

    public const string BareCopperSoaksLiquidMetalUp =
        "Bare copper soaks liquid metal up: it stains, and a second coat is due after some weeks.";
}
