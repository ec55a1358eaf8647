using FaithfulBracket.Core.Care;
using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;

namespace FaithfulBracket.Formats.Records;

/// <summary>Dates of care as an iCalendar file (RFC 5545), whole days, with a reminder a week before.</summary>
public static class CareCalendar
{
    private const int ReminderDays = 7;

    /// <param name="uid">Names the job for ever: the file taken in again moves its dates and adds none.</param>
    /// <param name="sequence">How often what the dates come from was changed.</param>
    public static string Write(
        string uid,
        string title,
        string? client,
        CareDates dates,
        DateTimeOffset now,
        int sequence
    )
    {
        var calendar = new Calendar { ProductId = "-//Faithful Bracket//Care//EN", Method = "PUBLISH" };
        foreach (var e in Events(uid, title, client, dates, now, sequence))
            calendar.Events.Add(e);
        return new CalendarSerializer().SerializeToString(calendar)!;
    }

    internal static IEnumerable<CalendarEvent> Events(
        string uid,
        string title,
        string? client,
        CareDates dates,
        DateTimeOffset now,
        int sequence
    )
    {
        var whose = client is null ? title : $"{title}, {client}";
        if (dates.Repaste is { } repaste)
            yield return Day($"{uid}-repaste", repaste, $"Repaste: {whose}", dates.Text, now, sequence);
        for (var i = 0; i < dates.Inspections.Count; i++)
            yield return Day(
                $"{uid}-loop-{i + 1}",
                dates.Inspections[i],
                $"Look at the loop: {whose}",
                "Coolant clear and full, no weeping joint, fins free, flow as noted. "
                    + "Measure again at the same load: the drift is told by it.",
                now,
                sequence
            );
    }

    private static CalendarEvent Day(
        string uid,
        DateOnly on,
        string summary,
        string text,
        DateTimeOffset now,
        int sequence
    )
    {
        var e = new CalendarEvent
        {
            Uid = uid,
            Sequence = sequence,
            Summary = summary,
            Description = text,
            DtStamp = new CalDateTime(now.UtcDateTime, "UTC"),
            Start = new CalDateTime(on),
            End = new CalDateTime(on.AddDays(1)),
        };
        e.Alarms.Add(
            new()
            {
                Action = "DISPLAY",
                Description = summary,
                Trigger = new Trigger(Duration.FromDays(-ReminderDays)),
            }
        );
        return e;
    }
}
