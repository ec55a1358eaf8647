using Dapper;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Store.Words;

namespace FaithfulBracket.Store;

/// <summary>A kept log without its samples.</summary>
public sealed record JobLogRow(
    long Id,
    string? Board,
    string Phase,
    string Name,
    long Samples,
    double DurationS,
    string ByInitials,
    string At,
    FigureSource? Source
);

public sealed record NewJobLog(
    string? Board,
    string Phase,
    string Name,
    long Samples,
    double DurationS,
    byte[] Content,
    string By,
    FigureSource Source
);

/// <summary>Logs of a job, packed, and what the columns of loggers' files were told to be.</summary>
public sealed class JobLogs(ShopDatabase database, TimeProvider time)
{
    private const string Columns = "id, board, phase, name, samples, duration_s, by_initials, at, source";

    public IReadOnlyList<JobLogRow> All(long jobId)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<JobLogRow>(
                $"select {Columns} from job_log where job_id = @jobId and struck_at is null order by id",
                new { jobId }
            ),
        ];
    }

    /// <exception cref="NotFoundException">No such log in this job.</exception>
    public (JobLogRow Row, byte[] Content) Get(long jobId, long id)
    {
        using var c = database.Open();
        var row = c.QuerySingleOrDefault<JobLogRow>(
            $"select {Columns} from job_log where job_id = @jobId and id = @id and struck_at is null",
            new { jobId, id }
        );
        return row is null
            ? throw new NotFoundException(JobLogsWords.ThereIsNoLogInJob(id, jobId))
            : (row, c.QuerySingle<byte[]>("select content from job_log where id = @id", new { id }));
    }

    public long Add(long jobId, NewJobLog log) =>
        database.Change(
            (c, t) =>
                c.ExecuteScalar<long>(
                    """
                    insert into job_log (job_id, board, phase, name, samples, duration_s, content, by_initials, at, source)
                    values (@jobId, @Board, @Phase, @Name, @Samples, @DurationS, @Content, @By, @at, @Source) returning id
                    """,
                    new
                    {
                        jobId,
                        log.Board,
                        log.Phase,
                        log.Name,
                        log.Samples,
                        log.DurationS,
                        log.Content,
                        log.By,
                        log.Source,
                        at = Stamp.Format(time),
                    },
                    t
                )
        );

    /// <summary>
    /// A struck log stays in the file but is shown no more; the readings that were taken from it go with it.
    /// </summary>
    /// <param name="reason">Needed where the job is finished.</param>
    /// <exception cref="JobFinishedException">The job is finished and no reason is given.</exception>
    public void Strike(long jobId, long id, CorrectionReason? reason = null)
    {
        var struck = database.Change(
            (c, t) =>
            {
                var row = new
                {
                    id,
                    jobId,
                    at = Stamp.Format(time),
                };
                var name = c.ExecuteScalar<string?>(
                    "update job_log set struck_at = @at where id = @id and job_id = @jobId and struck_at is null "
                        + "returning name",
                    row,
                    t
                );
                if (name is null)
                    return false;
                Corrections.Note(c, t, jobId, Corrections.Log, id, name, reason, time);
                c.Execute(
                    "update reading set struck_at = @at where log_id = @id and job_id = @jobId and struck_at is null",
                    row,
                    t
                );
                return true;
            }
        );
        if (!struck)
            throw new NotFoundException(JobLogsWords.ThereIsNoLogInJob(id, jobId));
    }

    /// <summary>What the columns under this header were told to be, JSON; null where nobody told.</summary>
    public string? Serialize(string signature)
    {
        using var c = database.Open();
        return c.QuerySingleOrDefault<string>(
            "select columns from log_map where signature = @signature",
            new { signature }
        );
    }

    public void Tell(string signature, string columns) =>
        database.Change(
            (c, t) =>
                c.Execute(
                    """
                    insert into log_map (signature, columns, at) values (@signature, @columns, @at)
                    on conflict (signature) do update set columns = excluded.columns, at = excluded.at
                    """,
                    new
                    {
                        signature,
                        columns,
                        at = Stamp.Format(time),
                    },
                    t
                )
        );
}
