using FaithfulBracket.Core.Care;
using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;

namespace FaithfulBracket.Formats.Records;

/// <summary>A job as it enters the shop's calendar.</summary>
/// <param name="Uid">Names the job for ever.</param>
/// <param name="Promised">Null without a promise, or once it is kept.</param>
/// <param name="Care">Null for a job that is not built yet.</param>
/// <param name="Sequence">How often what its dates come from was changed: a calendar takes the date with the higher one.</param>
public sealed record CalendarJob(
    string Uid,
    string Title,
    string? Client,
    DateTimeOffset? Promised,
    CareDates? Care,
    int Sequence
);

/// <summary>Promises and dates of care of all jobs as one iCalendar file (RFC 5545).</summary>
public static class ShopCalendar
{
    private const int PromiseReminderHours = 2;

    public static string Write(IEnumerable<CalendarJob> jobs, DateTimeOffset now)
    {
        var calendar = new Calendar { ProductId = "-//Faithful Bracket//Shop//EN", Method = "PUBLISH" };
        foreach (var job in jobs)
        {
            if (job.Promised is { } due)
                calendar.Events.Add(Promise(job, due, now));
            if (job.Care is { } dates)
                foreach (var e in CareCalendar.Events(job.Uid, job.Title, job.Client, dates, now, job.Sequence))
                    calendar.Events.Add(e);
        }
        return new CalendarSerializer().SerializeToString(calendar)!;
    }

    private static CalendarEvent Promise(CalendarJob job, DateTimeOffset due, DateTimeOffset now)
    {
        var at = new CalDateTime(due.UtcDateTime, "UTC");
        var e = new CalendarEvent
        {
            Uid = $"{job.Uid}-promise",
            Sequence = job.Sequence,
            Summary = $"Promised: {(job.Client is null ? job.Title : $"{job.Title}, {job.Client}")}",
            DtStamp = new CalDateTime(now.UtcDateTime, "UTC"),
            Start = at,
            End = at,
        };
        e.Alarms.Add(
            new()
            {
                Action = "DISPLAY",
                Description = e.Summary,
                Trigger = new Trigger(Duration.FromHours(-PromiseReminderHours)),
            }
        );
        return e;
    }
}
