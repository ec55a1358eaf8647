using Dapper;

namespace FaithfulBracket.Store;

/// <summary>What the bench index shows of a job. Content is JSON.</summary>
public sealed record JobSummaryRow(long JobId, string Content, bool Finished);

/// <summary>Summaries of the jobs, renewed when what they were made from changes; finished jobs never.</summary>
public sealed class JobSummaries(ShopDatabase database)
{
    /// <summary>Every open job, and the newest finished ones.</summary>
    public IReadOnlyList<JobSummaryRow> Lying(int mostFinished)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<(long JobId, string Content, long Finished)>(
                    """
                    select job_id, content, finished from job_summary
                    where finished = 0 and job_id not in (select id from job where archived_at is not null)
                    union all
                    select * from (
                        select job_id, content, finished from job_summary
                        where finished = 1 and job_id not in (select id from job where archived_at is not null)
                        order by job_id desc limit @mostFinished)
                    order by job_id
                    """,
                    new { mostFinished }
                )
                .Select(r => new JobSummaryRow(r.JobId, r.Content, r.Finished != 0)),
        ];
    }

    /// <summary>Every finished job, one at a time.</summary>
    public IEnumerable<JobSummaryRow> Finished()
    {
        using var c = database.Open();
        foreach (
            var (id, content) in c.Query<(long, string)>(
                "select job_id, content from job_summary where finished = 1 order by job_id",
                buffered: false
            )
        )
            yield return new(id, content, true);
    }

    public long FinishedCount()
    {
        using var c = database.Open();
        return c.ExecuteScalar<long>("select count(*) from job_summary where finished = 1");
    }

    /// <param name="words">What the job is found by; null leaves what is there.</param>
    public void Put(long jobId, string stamp, string content, bool finished, JobWords? words) =>
        database.Change(
            (c, t) =>
            {
                if (words is not null)
                    JobSearch.Put(c, t, jobId, words);
                return c.Execute(
                    """
                    insert into job_summary (job_id, stamp, content, finished) values (@jobId, @stamp, @content, @finished)
                    on conflict (job_id) do update set stamp = excluded.stamp, content = excluded.content, finished = excluded.finished
                    """,
                    new
                    {
                        jobId,
                        stamp,
                        content,
                        finished = finished ? 1 : 0,
                    },
                    t
                );
            }
        );

    /// <summary>Summaries of some jobs.</summary>
    public IReadOnlyList<JobSummaryRow> List(IReadOnlyCollection<long> jobs)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<(long JobId, string Content, long Finished)>(
                    "select job_id, content, finished from job_summary where job_id in @jobs",
                    new { jobs }
                )
                .Select(r => new JobSummaryRow(r.JobId, r.Content, r.Finished != 0)),
        ];
    }
}
