using System.Globalization;

namespace FaithfulBracket.Core.Orders;

/// <summary>
/// Instants as people read them: in the workshop's time zone. Stored instants are UTC text, ISO 8601.
/// </summary>
/// <param name="Zone">The workshop's time zone.</param>
public sealed record LocalTimes(TimeZoneInfo Zone)
{
    public static readonly LocalTimes Utc = new(TimeZoneInfo.Utc);

    /// <summary>The zone's IANA name, as browsers know it; UTC where it has none.</summary>
    public string Name => Zone.Id.Contains('/', StringComparison.Ordinal) ? Zone.Id : "UTC";

    /// <summary>Such as 2026-11-29.</summary>
    public string Day(string instant) => Format(instant, "yyyy-MM-dd");

    /// <summary>Such as 14:05.</summary>
    public string Clock(string instant) => Format(instant, "HH:mm");

    /// <summary>Such as 2026-11-29 14:05 UTC+1: day, clock and the offset that was in force then.</summary>
    public string Moment(string instant) => $"{Format(instant, "yyyy-MM-dd HH:mm")} {Offset(Local(instant).Offset)}";

    /// <summary>The day on the workshop's calendar.</summary>
    public DateOnly Date(string instant) => DateOnly.FromDateTime(Local(instant).DateTime);

    private string Format(string instant, string format) =>
        Local(instant).ToString(format, CultureInfo.InvariantCulture);

    private DateTimeOffset Local(string instant) =>
        TimeZoneInfo.ConvertTime(
            DateTimeOffset.Parse(instant, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal),
            Zone
        );

    /// <summary>UTC, UTC+1, UTC-3:30.</summary>
    private static string Offset(TimeSpan offset)
    {
        if (offset == TimeSpan.Zero)
            return "UTC";
        var minutes = offset.Minutes == 0 ? "" : $":{Math.Abs(offset.Minutes):00}";
        return $"UTC{(offset < TimeSpan.Zero ? '-' : '+')}{Math.Abs(offset.Hours)}{minutes}";
    }
}
