namespace FaithfulBracket.Core.Words.Heat;

/// <summary>Sentences of carrier heat.</summary>
internal static class CarrierHeatWords
{
    public static Message NoCarrierCovers(string part) =>
        $"No carrier covers {part}: its temperature cannot be calculated.";

    public static Message CarriersStateNoThickness =>
        $"The carriers state no thickness: 2 mm of aluminium is taken, and the range is the wider.";

    public static Message StatesNoConductivity(string material) =>
        $"{material} states no conductivity: its parts cannot be calculated.";

    public static Message WouldRunAtAllowed(string part, double mean, double? limit) =>
        $"{part} would run at {mean:0} °C, {limit:0} allowed.";

    public static Message HasNoPad(string part) => $"{part} has no pad: only the board carries its heat.";
}
