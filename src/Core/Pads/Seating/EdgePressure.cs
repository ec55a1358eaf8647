using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Words.Pads.Seating;

namespace FaithfulBracket.Core.Pads.Seating;

/// <summary>
/// What a pressure at a die's edge means. The film carries load like a spring bed only while the edge stays whole: far past the
/// limit the edge has chipped, and a figure would tell nothing.
/// </summary>
public static class EdgePressure
{
    /// <summary>Times the die's limit up to which a figure is told.</summary>
    public const double MaxTimes = 3;

    /// <summary>Where no die states a limit, more than this is no figure anybody can mean, MPa.</summary>
    private const double MaxMPa = 30;

    public static Validity Check(double peakMPa, double? limitMPa) =>
        peakMPa <= Most(limitMPa) ? Validity.Ok : Validity.Outside;

    private static double Most(double? limitMPa) => MaxTimes * limitMPa ?? MaxMPa;

    public static string InWords(double peakMPa, double? limitMPa) =>
        peakMPa <= Most(limitMPa) ? FormattableString.Invariant($"{peakMPa:0.0} MPa")
        : limitMPa is null ? EdgePressureWords.OverEdgeChips(MaxMPa)
        : EdgePressureWords.OverTimesLimit(MaxTimes);
}
