using System.Data.Common;
using Dapper;
using FaithfulBracket.Store.Words;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>One correction of a finished job. Nothing is overwritten: before and after both stay.</summary>
/// <param name="Kind">reading, log, title or client.</param>
/// <param name="Subject">Id of the reading or log; null for the others.</param>
/// <param name="Before">The title or client as it was; the phase of a struck reading; the name of a struck log.</param>
public sealed record CorrectionRow(
    long Id,
    string Kind,
    long? Subject,
    string? Before,
    string? After,
    string Why,
    string ByInitials,
    string At
);

/// <summary>Who corrects a finished job, and why.</summary>
public sealed record CorrectionReason(string By, string Why);

/// <summary>Corrections of finished jobs, and the rule that a finished job changes by nothing else.</summary>
public sealed class Corrections(ShopDatabase database, TimeProvider time)
{
    public const string Reading = "reading",
        Log = "log",
        Title = "title",
        Client = "client";

    public IReadOnlyList<CorrectionRow> All(long jobId)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<CorrectionRow>(
                "select id, kind, subject, before, after, why, by_initials, at from correction where job_id = @jobId order by id",
                new { jobId }
            ),
        ];
    }

    /// <summary>Changes a finished job's title or client; what stood before stays in the correction.</summary>
    /// <param name="field"><see cref="Title"/> or <see cref="Client"/>.</param>
    /// <exception cref="JobOpenException">The job is open: it is changed as such.</exception>
    public long Change(long jobId, string field, string? after, CorrectionReason reason) =>
        database.Change(
            (c, t) =>
            {
                var job = Jobs.Get(c, t, jobId);
                if (!IsFinished(c, t, jobId))
                    throw new JobOpenException(CorrectionsWords.ThisJobIsOpen);
                c.Execute(
                    $"update job set {(field == Title ? "title" : "client")} = @after, version = version + 1 where id = @jobId",
                    new { after, jobId },
                    t
                );
                return Add(c, t, jobId, field, null, field == Title ? job.Title : job.Client, after, reason, time);
            }
        );

    internal static bool IsFinished(SqliteConnection c, DbTransaction t, long jobId) =>
        c.ExecuteScalar<long>("select count(*) from job_record where job_id = @jobId", new { jobId }, t) > 0;

    /// <exception cref="JobFinishedException">The job is finished.</exception>
    internal static void RefuseFinished(SqliteConnection c, DbTransaction t, long jobId)
    {
        if (IsFinished(c, t, jobId))
            throw new JobFinishedException(CorrectionsWords.ThisJobIsFinishedAndStays);
    }

    /// <summary>
    /// Refuses to change a finished job without a reason; with one, the correction is written beside it.
    /// </summary>
    internal static void Note(
        SqliteConnection c,
        DbTransaction t,
        long jobId,
        string kind,
        long subject,
        string before,
        CorrectionReason? reason,
        TimeProvider time
    )
    {
        if (reason is null)
            RefuseFinished(c, t, jobId);
        else if (IsFinished(c, t, jobId))
            Add(c, t, jobId, kind, subject, before, null, reason, time);
    }

    private static long Add(
        SqliteConnection c,
        DbTransaction t,
        long jobId,
        string kind,
        long? subject,
        string? before,
        string? after,
        CorrectionReason reason,
        TimeProvider time
    ) =>
        c.ExecuteScalar<long>(
            """
            insert into correction (job_id, kind, subject, before, after, why, by_initials, at)
            values (@jobId, @kind, @subject, @before, @after, @Why, @By, @at) returning id
            """,
            new
            {
                jobId,
                kind,
                subject,
                before,
                after,
                reason.Why,
                reason.By,
                at = Stamp.Format(time),
            },
            t
        );
}
