namespace FaithfulBracket.Core.Prove.Logs;

/// <summary>What a column of a log is of.</summary>
public enum Channel
{
    Die,
    Hotspot,
    Memory,
    PowerStages,
    CoolantIn,
    CoolantOut,
    Room,
    Flow,
    Power,
    Clock,
}

/// <summary>Names and units of channels: °C, L/min, W, MHz.</summary>
public static class Channels
{
    public static bool IsTemperature(this Channel c) => c <= Channel.Room;

    public static string Name(this Channel c) =>
        c switch
        {
            Channel.PowerStages => "power stages",
            Channel.CoolantIn => "coolant in",
            Channel.CoolantOut => "coolant out",
            _ => c.ToString().ToLowerInvariant(),
        };

    public static string Unit(this Channel c) =>
        c switch
        {
            Channel.Flow => "L/min",
            Channel.Power => "W",
            Channel.Clock => "MHz",
            _ => "°C",
        };
}

/// <param name="Values">One for each time; NaN where the logger had none.</param>
public sealed record LogSeries(Channel Channel, IReadOnlyList<double> Values);

/// <summary>A log of one bench: times from its start, s, rising.</summary>
public sealed record BenchLog(IReadOnlyList<double> TimesS, IReadOnlyList<LogSeries> Series)
{
    /// <summary>Rows and channels of a log that is kept.</summary>
    public const int MaxRows = 200_000,
        MaxSeries = 16;

    public IReadOnlyList<double>? Compute(Channel channel) => Series.FirstOrDefault(s => s.Channel == channel)?.Values;

    public double DurationS => TimesS.Count > 1 ? TimesS[^1] - TimesS[0] : 0;
}
