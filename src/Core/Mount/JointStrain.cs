namespace FaithfulBracket.Core.Mount;

/// <summary>
/// What a strain of the board's surface means for the solder joints on it. Far past what they take they have cracked, and the laminate's
/// skin leaves its straight line: a figure would tell nothing.
/// </summary>
public static class JointStrain
{
    /// <summary>Surface strain that assembly practice takes as safe for fine-pitch solder joints, millionths.</summary>
    public const double LimitMicro = 500;

    /// <summary>Times the limit up to which a figure is told: a fifth of a percent, where glass laminate stops being straight.</summary>
    public const double MostTimes = 4;

    public static bool Past(double micro) => micro > LimitMicro;

    public static string InWords(double micro) =>
        micro <= MostTimes * LimitMicro
            ? FormattableString.Invariant($"{micro:0} millionths")
            : FormattableString.Invariant($"over {MostTimes * LimitMicro:0} millionths, where joints crack");
}
