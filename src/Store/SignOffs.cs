using System.Data.Common;
using System.Text.Json;
using Dapper;
using FaithfulBracket.Store.Words;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>A sign-off or its undo.</summary>
/// <param name="DoneAt">When it was done at the bench, if that was before it reached the shop.</param>
/// <param name="DeviceAt">What the device's own clock said then.</param>
/// <param name="Signed">What it was signed on, as JSON; null for an undo.</param>
public sealed record StepEvent(
    long Id,
    string StepId,
    string Kind,
    string ByInitials,
    string At,
    long? Count,
    string? OverrideReason,
    string? DoneAt,
    string? DeviceAt,
    string? Signed
)
{
    public const string Done = "done",
        Undone = "undone";
}

/// <summary>A sign-off as a time is learned from it.</summary>
public sealed record PaceRow(long JobId, string ByInitials, string At, long? Count, string StepKind, long WaitS);

/// <summary>How a sign-off was sent: its key, so that it counts once, and when it was done.</summary>
/// <param name="DoneAt">The instant, corrected by the device's measured offset.</param>
/// <param name="DeviceAt">The same as the device's own clock said it.</param>
public sealed record Sending(string? Key, DateTimeOffset? DoneAt, DateTimeOffset? DeviceAt = null);

/// <summary>A sign-off or undo to write.</summary>
public sealed record NewStepEvent(
    string StepId,
    string Kind,
    string By,
    long? Count,
    string? OverrideReason,
    string? Signed
);

/// <summary>A job as it stands inside the writing transaction.</summary>
public sealed record JobStandRow(
    JobRow Job,
    string Stamp,
    IReadOnlyList<StepEvent> Events,
    IReadOnlyList<JobSheetRow> Sheets
)
{
    /// <summary>
    /// Whether nothing has been written between the two that a judgement may rest on; the stamp counts row and sheets.
    /// </summary>
    public bool SameAs(JobStandRow other) =>
        Stamp == other.Stamp && Events.Select(e => e.Id).SequenceEqual(other.Events.Select(e => e.Id));
}

/// <summary>What is written together, all or nothing.</summary>
/// <param name="Events">The first is the one asked for.</param>
/// <param name="Sheet">A sheet that is kept with it; null for none.</param>
/// <param name="Record">The finished job as it was signed, JSON; null unless this finishes it.</param>
/// <param name="Reopens">Whether a finished job is open again.</param>
public sealed record SignWrite(
    IReadOnlyList<NewStepEvent> Events,
    (string Kind, string Content, long Version)? Sheet = null,
    string? Record = null,
    bool Reopens = false
);

/// <param name="Event">The event asked for; null where only a sheet was written.</param>
public sealed record SignAnswer(StepEvent? Event);

/// <summary>
/// Sign-offs: judged and written in one transaction that holds the write lock; on disk when the call returns.
/// </summary>
public sealed class SignOffs(ShopDatabase database, JobSheets sheets, TimeProvider time)
{
    private const string Columns =
        "id, step_id, kind, by_initials, at, count, override_reason, done_at, device_at, signed";

    public IReadOnlyList<StepEvent> Events(long jobId)
    {
        using var c = database.Open();
        return Events(c, null, jobId);
    }

    internal static IReadOnlyList<StepEvent> Events(SqliteConnection c, DbTransaction? t, long jobId) =>
        [
            .. c.Query<StepEvent>(
                $"select {Columns} from step_event where job_id = @jobId order by id",
                new { jobId },
                t
            ),
        ];

    /// <summary>When a finished job was finished; null while it is open.</summary>
    public string? FinishedAt(long jobId)
    {
        using var c = database.Open();
        return c.QuerySingleOrDefault<string>("select at from job_record where job_id = @jobId", new { jobId });
    }

    /// <summary>The job as it stands now; a change may come between this and what is written.</summary>
    public JobStandRow Stand(long jobId)
    {
        using var c = database.Open();
        using var t = c.BeginTransaction(deferred: true);
        return Stand(c, t, jobId);
    }

    private static JobStandRow Stand(SqliteConnection c, DbTransaction t, long jobId) =>
        new(Jobs.Get(c, t, jobId), JobStamps.Compute(c, t, jobId), Events(c, t, jobId), JobSheets.All(c, t, jobId));

    /// <summary>Judges on what stands and writes what the judgement says.</summary>
    /// <param name="judge">
    /// Called inside the transaction; returns null to write nothing and end (the caller planned on another state), or
    /// throws to refuse.
    /// </param>
    /// <returns>The event asked for, or one sent before with the same key; null when the judge wrote nothing.</returns>
    /// <exception cref="KeyTakenException">The key was sent before for something else.</exception>
    public SignAnswer? Write(long jobId, NewStepEvent asked, Sending? sending, Func<JobStandRow, SignWrite?> judge) =>
        database.Change<SignAnswer?>(
            (c, t) =>
            {
                if (sending?.Key is { } key && Sent(c, t, jobId, asked, key) is { } sent)
                    return new(sent);
                if (judge(Stand(c, t, jobId)) is not { } write)
                    return null;
                StepEvent? first = null;
                foreach (var e in write.Events)
                    first ??= Insert(c, t, jobId, e, sending);
                foreach (var e in write.Events.Skip(1))
                    Insert(c, t, jobId, e, sending is null ? null : sending with { Key = null });
                if (write.Sheet is { } s)
                    sheets.Put(c, t, jobId, s.Kind, s.Content, s.Version, asked.By);
                if (write.Record is { } record)
                    c.Execute(
                        "insert into job_record (job_id, content, at) values (@jobId, @record, @at) on conflict "
                            + "(job_id) do update set content = excluded.content, at = excluded.at",
                        new
                        {
                            jobId,
                            record,
                            at = Stamp.Format(time),
                        },
                        t
                    );
                if (write.Reopens)
                {
                    c.Execute("delete from job_record where job_id = @jobId", new { jobId }, t);
                    c.Execute(
                        "update job_summary set finished = 0, stamp = '' where job_id = @jobId",
                        new { jobId },
                        t
                    );
                }
                return new(first);
            }
        );

    /// <summary>Sent before and the answer lost: it stands, once.</summary>
    private static StepEvent? Sent(SqliteConnection c, DbTransaction t, long jobId, NewStepEvent asked, string key)
    {
        var row = c.QuerySingleOrDefault<(long Id, long JobId)?>(
            "select id, job_id from step_event where client_key = @key",
            new { key },
            t
        );
        if (row is not { } found)
            return null;
        var sent = c.QuerySingle<StepEvent>($"select {Columns} from step_event where id = @Id", new { found.Id }, t);
        var same =
            found.JobId == jobId
            && sent.StepId == asked.StepId
            && sent.Kind == asked.Kind
            && sent.ByInitials == asked.By
            && sent.Count == asked.Count
            && sent.OverrideReason == asked.OverrideReason;
        return same
            ? sent
            : throw new KeyTakenException(
                SignOffsWords.ThisKeyWasSentBefore,
                Text(found.JobId, new(sent.StepId, sent.Kind, sent.ByInitials, sent.Count, sent.OverrideReason, null)),
                Text(jobId, asked)
            );
    }

    private static string Text(long jobId, NewStepEvent e) =>
        JsonSerializer.Serialize(
            new
            {
                jobId,
                e.StepId,
                e.Kind,
                e.By,
                e.Count,
                e.OverrideReason,
            },
            JsonSerializerOptions.Web
        );

    private StepEvent Insert(SqliteConnection c, DbTransaction t, long jobId, NewStepEvent e, Sending? sending)
    {
        // whatever still runs of a step ends with its signature
        if (e.Kind == StepEvent.Done)
            c.Execute(
                "update timer set stopped_at = @at where job_id = @jobId and step_id = @StepId and stopped_at is null",
                new
                {
                    jobId,
                    e.StepId,
                    at = Stamp.Format(time),
                },
                t
            );
        return c.QuerySingle<StepEvent>(
            $"""
            insert into step_event (job_id, step_id, kind, by_initials, at, count, override_reason, client_key, done_at, device_at, signed)
            values (@jobId, @StepId, @Kind, @By, @at, @Count, @OverrideReason, @key, @doneAt, @deviceAt, @Signed) returning {Columns}
            """,
            new
            {
                jobId,
                e.StepId,
                e.Kind,
                e.By,
                at = Stamp.Format(time),
                e.Count,
                e.OverrideReason,
                key = sending?.Key,
                doneAt = Text(sending?.DoneAt),
                deviceAt = Text(sending?.DeviceAt),
                e.Signed,
            },
            t
        );
    }

    private static string? Text(DateTimeOffset? at) => at is { } instant ? Stamp.Format(instant) : null;

    /// <summary>The newest sign-offs of all jobs, as times are learned from them.</summary>
    public IReadOnlyList<PaceRow> Paces(int most)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<(long JobId, string ByInitials, string At, long? Count, string StepKind, long WaitS)>(
                    """
                    select job_id as JobId, by_initials as ByInitials, coalesce(done_at, at) as At, count as Count,
                        json_extract(signed, '$.kind') as StepKind, coalesce(json_extract(signed, '$.waitS'), 0) as WaitS
                    from step_event where kind = 'done' and json_extract(signed, '$.kind') is not null order by id desc limit @most
                    """,
                    new { most }
                )
                .Select(r => new PaceRow(r.JobId, r.ByInitials, r.At, r.Count, r.StepKind, r.WaitS)),
        ];
    }

    /// <summary>The newest sign-off or undo; 0 before the first.</summary>
    public long Newest()
    {
        using var c = database.Open();
        return c.ExecuteScalar<long>("select coalesce(max(id), 0) from step_event");
    }

    /// <summary>The finished job as it was signed; null while it is open.</summary>
    public string? RecordOf(long jobId)
    {
        using var c = database.Open();
        return c.QuerySingleOrDefault<string>("select content from job_record where job_id = @jobId", new { jobId });
    }
}
