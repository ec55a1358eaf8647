namespace FaithfulBracket.Core.Words.Heat;

/// <summary>Sentences of carrier heat.</summary>
internal static class CarrierHeatWords
{
    public const string BlockStatesNoResistanceOverFlow =
        "Cannot predict temperatures: the block document has no resistance-versus-flow data.";

    public const string NoPartStatesHeatItGives = "No part states the heat it gives: the power cannot be shared out.";

    public static string NoCarrierCovers(string p) => $"No carrier covers {p}: its temperature cannot be calculated.";

    public const string CarriersStateNoThickness =
        "The carriers state no thickness: 2 mm of aluminium is taken, and the range is the wider.";

    public static string WouldRunAtAllowed(string part, double c, double? limitC) =>
        $"{part} would run at {c:0} °C, {limitC:0} allowed.";

    public static string HasNoPad(string part) => $"{part} has no pad: only the board carries its heat.";

    public static string PadMaterialIsNotKnown(string material) =>
        $"Pad material \"{material}\" is not known: give it in materials or add it to the drawer.";

    public static string StatesNoConductivity(string material) =>
        $"{material} states no conductivity: its parts cannot be calculated.";
}
