namespace FaithfulBracket.Core.Words.Paste;

/// <summary>Sentences of paste methods.</summary>
internal static class PasteMethodsWords
{
    public static Message BareSiliconEverySquareMillimetreCovered =>
        $"Bare silicon: every square millimetre covered, thin and even; a pattern may leave a corner bare.";

    public static Message BareSiliconUnderPattern =>
        $"Bare silicon under a pattern: look in the simulation whether the corners are reached before you trust "
        + $"it.";

    public static Message BridgeChipGivesLittleHeat => $"A bridge chip gives little heat: a thin spread is enough.";

    public static Message BridgeChipGivesLittleHeatSmall =>
        $"A bridge chip gives little heat: a small amount pressed out does.";

    public static Message LargeLidSpreadAndSlightlyMore =>
        $"A large lid: spread, and slightly more than a small one takes.";

    public static Message LargeLidOneDotDoes =>
        $"A large lid: one dot does not reach its corners; arms do, with slightly more paste.";

    public static Message LidOfLineAlongLongSide(double widthMm, double depthMm) =>
        $"A lid of {widthMm:0} × {depthMm:0} mm: a line along the long side.";

    public static Message LidSpreadsHeat => $"A lid spreads the heat: a pattern or a spread both do.";

    public static Message BarePartsInReachOfDrop(string bare) =>
        $"Bare parts in reach of a drop: {bare}. Coat them, let it dry, then choose it again as covered.";

    public static Message ConductsDropBesideDieIsShort =>
        $"Conducts: a drop beside the die is a short circuit. Gloves and a tray; keep it off aluminium tools, "
        + $"laptops and jewellery.";

    public static Message FilmOnDieAndOnContact =>
        $"A film on the die and on the contact patch, and nowhere else. What is left over is not for the drain.";

    public static Message BlocksFaceIsAluminium => $"The block's face is aluminium: gallium destroys it. Never.";

    public static Message BlockDoesNotSayWhatFace =>
        $"The block does not say what its face is made of: make sure that it is not aluminium.";

    public static Message BareCopperSoaksLiquidMetalUp =>
        $"Bare copper soaks liquid metal up: it stains, and a second coat is due after some weeks.";
}
