using System.Text.Json.Serialization;
using FaithfulBracket.Core.Prove.Logs;

namespace FaithfulBracket.Formats.Logs;

/// <summary>How the figures of a column are written.</summary>
public enum LogUnit
{
    [JsonStringEnumMemberName("s")]
    Seconds,

    [JsonStringEnumMemberName("ms")]
    Milliseconds,

    [JsonStringEnumMemberName("min")]
    Minutes,

    /// <summary>12:34:56, with or without a date.</summary>
    [JsonStringEnumMemberName("clock-time")]
    ClockTime,

    [JsonStringEnumMemberName("°C")]
    Celsius,

    [JsonStringEnumMemberName("°F")]
    Fahrenheit,

    [JsonStringEnumMemberName("L/min")]
    LitresAMinute,

    [JsonStringEnumMemberName("L/h")]
    LitresAnHour,

    [JsonStringEnumMemberName("W")]
    Watts,

    [JsonStringEnumMemberName("MHz")]
    Megahertz,

    [JsonStringEnumMemberName("GHz")]
    Gigahertz,
}

/// <summary>What one column is.</summary>
/// <param name="Channel">Null for the column of times.</param>
public sealed record LogColumn(int Index, Channel? Channel, LogUnit Unit)
{
    /// <summary>Into the unit that logs are kept in.</summary>
    public double Convert(double v) =>
        Unit switch
        {
            LogUnit.Milliseconds => v / 1000,
            LogUnit.Minutes => v * 60,
            LogUnit.Fahrenheit => (v - 32) / 1.8,
            LogUnit.LitresAnHour => v / 60,
            LogUnit.Gigahertz => v * 1000,
            _ => v,
        };

    /// <summary>Whether the unit is one of this channel, or of time.</summary>
    [JsonIgnore]
    public bool Fits => LogRole.UnitsOf(Channel).Contains(Unit);
}

/// <summary>What a column can be, and the units it can be in, the usual one first.</summary>
/// <param name="Channel">Null for the times.</param>
public sealed record LogRole(Channel? Channel, string Name, IReadOnlyList<LogUnit> Units)
{
    public static IReadOnlyList<LogRole> All { get; } =
    [new(null, "time", UnitsOf(null)), .. Enum.GetValues<Channel>().Select(c => new LogRole(c, c.Name(), UnitsOf(c)))];

    internal static IReadOnlyList<LogUnit> UnitsOf(Channel? channel) =>
        channel switch
        {
            null => [LogUnit.Seconds, LogUnit.Milliseconds, LogUnit.Minutes, LogUnit.ClockTime],
            Core.Prove.Logs.Channel.Flow => [LogUnit.LitresAMinute, LogUnit.LitresAnHour],
            Core.Prove.Logs.Channel.Power => [LogUnit.Watts],
            Core.Prove.Logs.Channel.Clock => [LogUnit.Megahertz, LogUnit.Gigahertz],
            _ => [LogUnit.Celsius, LogUnit.Fahrenheit],
        };
}

/// <summary>A column as it stands in the file, and what it is taken for.</summary>
/// <param name="Samples">Its first few cells.</param>
/// <param name="Guess">Null where nothing is guessed.</param>
public sealed record LogHeader(int Index, string Header, IReadOnlyList<string> Samples, LogColumn? Guess);

/// <summary>What a file of a logger looks like before its columns are told.</summary>
/// <param name="Signature">Its header, plain: the same logger is known by it the next time.</param>
/// <param name="Known">Whether the columns were told before.</param>
/// <param name="Roles">What they can be.</param>
public sealed record LogLook(
    string Signature,
    int Rows,
    bool Known,
    IReadOnlyList<LogHeader> Columns,
    IReadOnlyList<LogRole> Roles
);
