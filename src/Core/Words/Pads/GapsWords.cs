namespace FaithfulBracket.Core.Words.Pads;

/// <summary>Sentences of gaps.</summary>
internal static class GapsWords
{
    public static Message PasteFilmBetweenDieAndLand(string part, double nominal, string land) =>
        $"{part}: paste film {nominal:0.000} mm between the die and land {land}.";
}
