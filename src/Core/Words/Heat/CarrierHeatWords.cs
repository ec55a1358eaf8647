namespace FaithfulBracket.Core.Words.Heat;

/// <summary>Sentences of carrier heat.</summary>
internal static class CarrierHeatWords
{
    public static string NoCarrierCovers(string part) =>
        $"No carrier covers {part}: its temperature cannot be calculated.";

    public const string CarriersStateNoThickness =
        "The carriers state no thickness: 2 mm of aluminium is taken, and the range is the wider.";

    public static string StatesNoConductivity(string material) =>
        $"{material} states no conductivity: its parts cannot be calculated.";

    public static string WouldRunAtAllowed(string part, double mean, double? limit) =>
        $"{part} would run at {mean:0} °C, {limit:0} allowed.";

    public static string HasNoPad(string part) => $"{part} has no pad: only the board carries its heat.";
}
