using System.Globalization;
using FaithfulBracket.Core.Prove.Logs;

namespace FaithfulBracket.Formats.Logs;

/// <summary>What a column is taken for by its name, its unit in brackets and its first cells.</summary>
internal static class LogGuess
{
    private static readonly (Channel Channel, string[] Words)[] ByWords =
    [
        (Channel.Hotspot, ["hotspot", "hot spot", "junction"]),
        (Channel.Memory, ["memory", "mem ", "speicher"]),
        (Channel.PowerStages, ["power stage", "stages", "regulator", "phase", "wandler"]),
        (Channel.CoolantOut, ["coolant out", "outlet", "water out", "return", "rücklauf"]),
        (Channel.CoolantIn, ["coolant", "inlet", "water", "wasser", "vorlauf", "eau "]),
        (Channel.Room, ["room", "ambient", "air", "raum", "umgebung", "ambiante"]),
        (Channel.Flow, ["flow", "durchfluss", "débit"]),
        (Channel.Clock, ["clock", "frequency", "takt", "fréquence"]),
        (Channel.Power, ["power", "watt", "leistung", "puissance"]),
        (Channel.Die, ["die", "core", "chip", "gpu", "cpu", "kern"]),
    ];

    /// <summary>What stands beside the sensors of a part and is none of them.</summary>
    private static readonly string[] Others = ["fan", "load", "usage", "voltage", "limit", "lüfter", "%", "rpm"];

    public static LogColumn? Guess(int index, string header, IReadOnlyList<string> samples)
    {
        var name = $"{header.ToLowerInvariant()} ";
        var clock = samples.Any(s => LogClock.Detect(samples).Seconds(s) is not null);
        if (clock)
            return new(index, null, LogUnit.ClockTime);
        if (
            name.Contains("time", StringComparison.Ordinal)
            || name is "t "
            || name.StartsWith("t [", StringComparison.Ordinal)
            || name.Contains("seconds", StringComparison.Ordinal)
            || name.Contains("zeit", StringComparison.Ordinal)
        )
            return new(
                index,
                null,
                In(name, "ms") ? LogUnit.Milliseconds
                    : In(name, "min") ? LogUnit.Minutes
                    : LogUnit.Seconds
            );
        // "die under load (°C)" is the die's all the same
        var degrees = name.Contains('°', StringComparison.Ordinal) || name.Contains("deg", StringComparison.Ordinal);
        if (!degrees && Others.Any(w => name.Contains(w, StringComparison.Ordinal)))
            return null;
        foreach (var (channel, words) in ByWords)
            if (words.Any(w => name.Contains(w, StringComparison.Ordinal)))
                return new(index, channel, UnitOf(channel, name));
        return null;
    }

    private static LogUnit UnitOf(Channel channel, string name) =>
        channel switch
        {
            Channel.Flow => In(name, "l/h") || In(name, "lph") ? LogUnit.LitresAnHour : LogUnit.LitresAMinute,
            Channel.Power => LogUnit.Watts,
            Channel.Clock => In(name, "ghz") ? LogUnit.Gigahertz : LogUnit.Megahertz,
            _ => In(name, "°f") || In(name, "f") || In(name, "degf") ? LogUnit.Fahrenheit : LogUnit.Celsius,
        };

    /// <summary>Whether the name ends in this unit: in brackets, after a comma, or as its last word.</summary>
    private static bool In(string name, string unit) =>
        name.Contains($"({unit})", StringComparison.Ordinal)
        || name.Contains($"[{unit}]", StringComparison.Ordinal)
        || name.TrimEnd().EndsWith($" {unit}", StringComparison.Ordinal)
        || name.TrimEnd().EndsWith($"_{unit}", StringComparison.Ordinal);
}
