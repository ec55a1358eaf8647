using System.Globalization;
using System.Text;
using FaithfulBracket.Formats.Records;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>Promises and dates of care of every job as one calendar, to be saved or subscribed to.</summary>
internal sealed class CalendarFile(BenchSummaries summaries, Jobs jobs, DayEntries days, TimeProvider time)
{
    /// <summary>Where it is read without a pairing, at an address that nobody can guess.</summary>
    public const string Folder = "/calendar";

    public const string MediaType = "text/calendar; charset=utf-8";

    public byte[] Write()
    {
        var papers = days.All().ToDictionary(d => d.JobId);
        var entries = summaries.Open().Concat(summaries.Finished()).DistinctBy(j => j.Id).ToDictionary(j => j.Id);
        return Encoding.UTF8.GetBytes(
            ShopCalendar.Write(
                // a job that was opened while this was read is in the next one
                jobs.All()
                    .Where(row => entries.ContainsKey(row.Id))
                    .Select(row => Dated(row, entries[row.Id], papers.GetValueOrDefault(row.Id))),
                time.GetUtcNow()
            )
        );
    }

    /// <summary>A job's dates: what was promised while it is open, when it is due again once it is built.</summary>
    private static CalendarJob Dated(JobRow row, BenchJob job, DayPaper? paper) =>
        new(
            JobCare.Uid(row),
            row.Title,
            row.Client,
            job.Finished || paper?.DueAt is not { } due
                ? null
                : DateTimeOffset.Parse(due, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal),
            job.Finished ? job.Care : null,
            (int)(paper?.Changes ?? 0)
        );
}
