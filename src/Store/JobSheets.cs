using System.Data.Common;
using Dapper;
using FaithfulBracket.Store.Words;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>A sheet of a job. Content is JSON.</summary>
public sealed record JobSheetRow(string Kind, string Content, long Version, string ByInitials, string At);

/// <summary>Sheets of a job, one of a kind; every change is also written to a history.</summary>
public sealed class JobSheets(ShopDatabase database, TimeProvider time)
{
    private const string Columns = "kind, content, version, by_initials, at";

    public IReadOnlyList<JobSheetRow> All(long jobId)
    {
        using var c = database.Open();
        return All(c, null, jobId);
    }

    internal static IReadOnlyList<JobSheetRow> All(SqliteConnection c, DbTransaction? t, long jobId) =>
        [
            .. c.Query<JobSheetRow>(
                $"select {Columns} from job_sheet where job_id = @jobId order by kind",
                new { jobId },
                t
            ),
        ];

    /// <param name="version">0 for a new sheet, else the version the caller saw.</param>
    /// <returns>The new version.</returns>
    /// <exception cref="ConcurrencyException">The sheet changed meanwhile.</exception>
    /// <exception cref="JobFinishedException">The job is finished.</exception>
    public long Put(long jobId, string kind, string content, long version, string by) =>
        database.Change(
            (c, t) =>
            {
                Corrections.RefuseFinished(c, t, jobId);
                return Put(c, t, jobId, kind, content, version, by);
            }
        );

    internal long Put(
        SqliteConnection c,
        DbTransaction t,
        long jobId,
        string kind,
        string content,
        long version,
        string by
    )
    {
        var row = new
        {
            jobId,
            kind,
            content,
            version,
            by,
            at = Stamp.Format(time),
        };
        var changed =
            version == 0
                ? c.Execute(
                    "insert into job_sheet (job_id, kind, content, by_initials, at) values (@jobId, @kind, "
                        + "@content, @by, @at) on conflict do nothing",
                    row,
                    t
                )
                : c.Execute(
                    "update job_sheet set content = @content, version = version + 1, by_initials = @by, at = "
                        + "@at where job_id = @jobId and kind = @kind and version = @version",
                    row,
                    t
                );
        if (changed == 0)
            throw new ConcurrencyException(JobSheetsWords.SomebodyChangedThisMeanwhile);
        c.Execute(
            "insert into job_sheet_event (job_id, kind, content, by_initials, at) values (@jobId, @kind, @content, @by, @at)",
            row,
            t
        );
        return version + 1;
    }
}
