using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Words.Pads.Seating;

namespace FaithfulBracket.Core.Pads.Seating;

/// <summary>
/// What a load of a plate's screws means. The model's screws are stiff and never give; true ones strip, so past what they hold a figure
/// would tell nothing.
/// </summary>
public static class ClampLoad
{
    /// <summary>What screws hold together, N.</summary>
    public static double HoldsN(IEnumerable<BlockHole> screws) =>
        screws.Sum(h => ScrewThread.Parse(h.Thread, h.ScrewMm).HoldsN);

    /// <summary>Which screws strip before the block is home, in a sentence; null where none does.</summary>
    public static Message? Strips(IReadOnlyList<ScrewLoad> screws)
    {
        var strip = screws.Where(s => s.LoadN > s.HoldsN).ToList();
        return strip.Count == 0 ? null : Strips(strip.Count, strip.Min(s => s.HoldsN!.Value));
    }

    /// <param name="holdsN">The weakest of them.</param>
    public static Message Strips(int screws, double holdsN) =>
        ClampLoadWords.WouldHaveToPull(HowMany.Count(screws, "screw"), holdsN, screws == 1 ? "strips" : "strip")
        + ClampLoadWords.CheckHeightsOfStopsAndDie;

    public static string Figure(double loadN, double? holdsN) =>
        loadN > holdsN
            ? FormattableString.Invariant($"over {holdsN:0} N")
            : FormattableString.Invariant($"{loadN:0} N");

    /// <param name="holdsN">Null where it was not looked at: the figure is told as it is.</param>
    public static string InWords(double loadN, double? holdsN) =>
        loadN > holdsN ? $"{Figure(loadN, holdsN)}: screws strip" : Figure(loadN, holdsN);
}
