using FaithfulBracket.Core.Blocks;

namespace FaithfulBracket.Core.Pads.Seating;

/// <summary>
/// What a load of a plate's screws means. The model's screws are stiff and never give; true ones strip, so past what they hold a figure
/// would tell nothing.
/// </summary>
public static class ClampLoad
{
    /// <summary>What screws hold together, N.</summary>
    public static double HoldsN(IEnumerable<BlockHole> screws) =>
        screws.Sum(h => ScrewThread.Of(h.Thread, h.ScrewMm).HoldsN);

    public static string Figure(double loadN, double? holdsN) =>
        loadN > holdsN
            ? FormattableString.Invariant($"over {holdsN:0} N")
            : FormattableString.Invariant($"{loadN:0} N");

    /// <param name="holdsN">Null where it was not looked at: the figure is told as it is.</param>
    public static string InWords(double loadN, double? holdsN) =>
        loadN > holdsN ? $"{Figure(loadN, holdsN)}: screws strip" : Figure(loadN, holdsN);
}
