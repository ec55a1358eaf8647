using System.Globalization;
using FaithfulBracket.Core.Prove.Logs;

namespace FaithfulBracket.Formats.Logs;

/// <summary>What a column is taken for by its name, its unit in brackets and its first cells.</summary>
internal static class LogGuess
{
    private static readonly (Channel Channel, string[] Words)[] ByWords =
    [
        (Channel.Hotspot, ["hotspot", "hot spot", "junction"]),
        (Channel.Memory, ["memory", "mem "]),
        (Channel.PowerStages, ["power stage", "stages", "regulator", "phase"]),
        (Channel.CoolantOut, ["coolant out", "outlet", "water out", "return"]),
        (Channel.CoolantIn, ["coolant", "inlet", "water"]),
        (Channel.Room, ["room", "ambient", "air"]),
        (Channel.Flow, ["flow"]),
        (Channel.Clock, ["clock", "frequency"]),
        (Channel.Power, ["power", "watt"]),
        (Channel.Die, ["die", "core", "chip"]),
    ];

    public static LogColumn? Of(int index, string header, IReadOnlyList<string> samples)
    {
        var name = $"{header.ToLowerInvariant()} ";
        var clock = samples.Any(s => ClockSeconds(s) is not null && s.Contains(':', StringComparison.Ordinal));
        if (clock)
            return new(index, null, LogUnit.ClockTime);
        if (
            name.Contains("time", StringComparison.Ordinal)
            || name is "t "
            || name.StartsWith("t [", StringComparison.Ordinal)
            || name.Contains("seconds", StringComparison.Ordinal)
        )
            return new(
                index,
                null,
                In(name, "ms") ? LogUnit.Milliseconds
                    : In(name, "min") ? LogUnit.Minutes
                    : LogUnit.Seconds
            );
        foreach (var (channel, words) in ByWords)
            if (words.Any(w => name.Contains(w, StringComparison.Ordinal)))
                return new(index, channel, UnitOf(channel, name));
        return null;
    }

    private static LogUnit UnitOf(Channel channel, string name) =>
        channel switch
        {
            Channel.Flow => In(name, "l/h") ? LogUnit.LitresAnHour : LogUnit.LitresAMinute,
            Channel.Power => LogUnit.Watts,
            Channel.Clock => In(name, "ghz") ? LogUnit.Gigahertz : LogUnit.Megahertz,
            _ => In(name, "°f") || In(name, "f") ? LogUnit.Fahrenheit : LogUnit.Celsius,
        };

    /// <summary>Whether the name ends in this unit: in brackets, after a comma, or as its last word.</summary>
    private static bool In(string name, string unit) =>
        name.Contains($"({unit})", StringComparison.Ordinal)
        || name.Contains($"[{unit}]", StringComparison.Ordinal)
        || name.TrimEnd().EndsWith($" {unit}", StringComparison.Ordinal)
        || name.TrimEnd().EndsWith($"_{unit}", StringComparison.Ordinal);

    /// <summary>Seconds of the day, or since a day far back where a date stands in front.</summary>
    public static double? ClockSeconds(string text)
    {
        if (
            TimeSpan.TryParseExact(
                text,
                [@"h\:m\:s", @"h\:m\:s\.FFFFFFF", @"hh\:mm\:ss", @"hh\:mm\:ss\.FFFFFFF"],
                CultureInfo.InvariantCulture,
                out var span
            )
        )
            return span.TotalSeconds;
        if (
            text.Length >= 16
            && DateTimeOffset.TryParse(
                text,
                CultureInfo.InvariantCulture,
                DateTimeStyles.AssumeUniversal,
                out var instant
            )
        )
            return (instant - DateTimeOffset.UnixEpoch).TotalSeconds;
        return null;
    }
}
