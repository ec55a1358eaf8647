using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Mount;

/// <summary>How a strain at the rims of packages is judged.</summary>
public enum StrainLevel
{
    Fine,
    Watch,
    Risk,
    Unknown,
}

/// <summary>
/// What a strain of the board's surface means for the solder joints on it. Far past what they take they have cracked,
/// and the laminate's skin leaves its straight line: a figure would tell nothing.
/// </summary>
public static class JointStrain
{
    /// <summary>A hand turns a screw so fast that the board strains by so much, millionths a second.</summary>
    public const double HandRate = 100;

    /// <summary>Times the limit up to which a figure is told.</summary>
    public const double MaxTimes = 2;

    /// <summary>
    /// Largest principal strain beside a package that its joints take while a board is assembled, millionths:
    /// √(2.35/t)·(1900 − 300·log₁₀ rate), the form commonly quoted from IPC/JEDEC-9704.
    /// </summary>
    /// <param name="boardMm">Thickness of the board, mm.</param>
    /// <param name="rate">Millionths a second, 1 or more.</param>
    public static double LimitMicro(double boardMm, double rate = HandRate) =>
        Math.Sqrt(2.35 / boardMm) * (1900 - 300 * Math.Log10(Math.Max(1, rate)));

    public static StrainLevel Level(double micro, double limitMicro, ShopSettings settings) =>
        micro > settings.StrainRiskShare * limitMicro ? StrainLevel.Risk
        : micro > settings.StrainWatchShare * limitMicro ? StrainLevel.Watch
        : StrainLevel.Fine;

    public static string InWords(double micro, double limitMicro) =>
        micro <= MaxTimes * limitMicro
            ? FormattableString.Invariant($"{micro:0} µε")
            : FormattableString.Invariant($"over {MaxTimes * limitMicro:0} µε");
}
