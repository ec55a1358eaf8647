using Dapper;

namespace FaithfulBracket.Store;

/// <summary>What stands of a job's place in the day.</summary>
/// <param name="DueAt">Promised for then; null without a promise.</param>
/// <param name="Initials">Whose job it is; null where nobody was named.</param>
/// <param name="Changes">How often job, promise or readings were changed: never less than before.</param>
public sealed record DayPaper(long JobId, string? DueAt, string? Initials, long Changes);

public sealed record DayPinRow(long JobId, string BlockKey, string StartAt);

/// <summary>Promises, hands and pins of the day: every change is kept, the last one stands.</summary>
public sealed class DayEntries(ShopDatabase database, TimeProvider time)
{
    public IReadOnlyList<DayPaper> All()
    {
        using var c = database.Open();
        return
        [
            .. c.Query<(long JobId, string? DueAt, string? Initials, long Changes)>(
                    """
                    select j.id as JobId,
                        (select due_at from job_promise p where p.job_id = j.id order by p.id desc limit 1) as DueAt,
                        (select initials from job_hands h where h.job_id = j.id order by h.id desc limit 1) as Initials,
                        j.version + (select count(*) from job_promise p where p.job_id = j.id)
                            + (select count(*) from reading r where r.job_id = j.id) as Changes
                    from job j
                    """
                )
                .Select(r => new DayPaper(r.JobId, r.DueAt, r.Initials, r.Changes)),
        ];
    }

    public IReadOnlyList<DayPinRow> Pins()
    {
        using var c = database.Open();
        return
        [
            .. c.Query<DayPinRow>(
                """
                select job_id as JobId, block_key as BlockKey, start_at as StartAt from day_pin
                where id in (select max(id) from day_pin group by job_id, block_key) and start_at is not null
                """
            ),
        ];
    }

    /// <param name="dueAt">Null takes the promise back.</param>
    public void Promise(long jobId, DateTimeOffset? dueAt, string by) =>
        Put(
            "insert into job_promise (job_id, due_at, by_initials, at) values (@jobId, @value, @by, @at)",
            jobId,
            dueAt is { } due ? Stamp.Format(due) : null,
            by
        );

    /// <param name="initials">Null gives it to whoever is free.</param>
    public void Give(long jobId, string? initials, string by) =>
        Put(
            "insert into job_hands (job_id, initials, by_initials, at) values (@jobId, @value, @by, @at)",
            jobId,
            initials,
            by
        );

    /// <param name="startAt">Null takes the pin out.</param>
    public void Pin(long jobId, string key, DateTimeOffset? startAt, string by) =>
        Put(
            "insert into day_pin (job_id, block_key, start_at, by_initials, at) values (@jobId, @key, @value, @by, @at)",
            jobId,
            startAt is { } start ? Stamp.Format(start) : null,
            by,
            key
        );

    private void Put(string sql, long jobId, string? value, string by, string? key = null) =>
        database.Change(
            (c, t) =>
            {
                _ = Jobs.Get(c, t, jobId);
                return c.Execute(
                    sql,
                    new
                    {
                        jobId,
                        value,
                        by,
                        key,
                        at = Stamp.Format(time),
                    },
                    t
                );
            }
        );
}
