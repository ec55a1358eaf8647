using Dapper;

namespace FaithfulBracket.Store;

/// <summary>A job as it is kept. Pad choices are JSON.</summary>
public sealed record JobRow(
    long Id,
    string Title,
    string? Client,
    string Bench,
    string BoardId,
    string? BlockId,
    string? PasteId,
    string PadChoices,
    long Version,
    string OpenedBy,
    string OpenedAt
);

/// <summary>A sign-off or its undo.</summary>
/// <param name="DoneAt">When it was done at the bench, if that was before it reached the shop.</param>
public sealed record StepEvent(
    long Id,
    string StepId,
    string Kind,
    string ByInitials,
    string At,
    long? Count,
    string? OverrideReason,
    string? DoneAt
);

/// <summary>How a sign-off was sent: its key, so that it counts once, and when it was done.</summary>
public sealed record Sending(string? Key, string? DoneAt);

/// <summary>Jobs and their sign-offs. A sign-off is on disk when the call returns.</summary>
public sealed class Jobs(ShopDatabase database, TimeProvider time)
{
    private const string Columns =
        "id, title, client, bench, board_id, block_id, paste_id, pad_choices, version, opened_by, opened_at";
    private const string EventColumns = "id, step_id, kind, by_initials, at, count, override_reason, done_at";

    public IReadOnlyList<JobRow> All()
    {
        using var c = database.Open();
        return [.. c.Query<JobRow>($"select {Columns} from job order by id")];
    }

    /// <exception cref="NotHereException">No such job.</exception>
    public JobRow Get(long id)
    {
        using var c = database.Open();
        return c.QuerySingleOrDefault<JobRow>($"select {Columns} from job where id = @id", new { id })
            ?? throw new NotHereException($"There is no job {id}.");
    }

    public long Open(string title, string? client, string bench, string boardId, string? blockId, string by) =>
        database.Change(
            (c, t) =>
                c.ExecuteScalar<long>(
                    """
                    insert into job (title, client, bench, board_id, block_id, opened_by, opened_at)
                    values (@title, @client, @bench, @boardId, @blockId, @by, @at) returning id
                    """,
                    new
                    {
                        title,
                        client,
                        bench,
                        boardId,
                        blockId,
                        by,
                        at = Stamp.Of(time),
                    },
                    t
                )
        );

    /// <exception cref="LostRaceException">Somebody changed the job since <paramref name="version"/>.</exception>
    public long Update(
        long id,
        long version,
        string title,
        string? client,
        string bench,
        string? blockId,
        string? pasteId,
        string padChoices
    ) =>
        database.Change(
            (c, t) =>
            {
                var changed = c.Execute(
                    """
                    update job set title = @title, client = @client, bench = @bench, block_id = @blockId, paste_id = @pasteId, pad_choices = @padChoices, version = version + 1
                    where id = @id and version = @version
                    """,
                    new
                    {
                        id,
                        version,
                        title,
                        client,
                        bench,
                        blockId,
                        pasteId,
                        padChoices,
                    },
                    t
                );
                return changed == 1
                    ? version + 1
                    : throw new LostRaceException(
                        "Somebody changed this job since you opened it. Look at their change, then make yours again."
                    );
            }
        );

    public IReadOnlyList<StepEvent> Events(long jobId)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<StepEvent>(
                $"select {EventColumns} from step_event where job_id = @jobId order by id",
                new { jobId }
            ),
        ];
    }

    /// <summary>Adds a sign-off or its undo, if the step stands where the caller saw it.</summary>
    /// <param name="version">Events the caller has seen for this step.</param>
    /// <exception cref="LostRaceException">Somebody else signed or undid the step meanwhile.</exception>
    public StepEvent Record(
        long jobId,
        string stepId,
        string kind,
        string by,
        long? count,
        string? overrideReason,
        long version,
        Sending? sending = null
    ) =>
        database.Change(
            (c, t) =>
            {
                // sent before and the answer lost: it stands, once
                if (
                    sending?.Key is { } key
                    && c.QuerySingleOrDefault<StepEvent>(
                        $"select {EventColumns} from step_event where client_key = @key and job_id = @jobId and step_id = @stepId",
                        new
                        {
                            key,
                            jobId,
                            stepId,
                        },
                        t
                    )
                        is { } sent
                )
                    return sent;
                var last = c.QuerySingleOrDefault<StepEvent>(
                    $"select {EventColumns} from step_event where job_id = @jobId and step_id = @stepId order by id desc limit 1",
                    new { jobId, stepId },
                    t
                );
                var seen = c.ExecuteScalar<long>(
                    "select count(*) from step_event where job_id = @jobId and step_id = @stepId",
                    new { jobId, stepId },
                    t
                );
                if (seen != version)
                    throw new LostRaceException(
                        last is null
                            ? "This step changed meanwhile."
                            : $"{last.ByInitials} {(last.Kind == "done" ? "signed" : "took back")} this step at {last.At[11..16]} while you were at it. Theirs stands; look, then go on."
                    );
                return c.QuerySingle<StepEvent>(
                    $"""
                    insert into step_event (job_id, step_id, kind, by_initials, at, count, override_reason, client_key, done_at)
                    values (@jobId, @stepId, @kind, @by, @at, @count, @overrideReason, @clientKey, @doneAt) returning {EventColumns}
                    """,
                    new
                    {
                        jobId,
                        stepId,
                        kind,
                        by,
                        at = Stamp.Of(time),
                        count,
                        overrideReason,
                        clientKey = sending?.Key,
                        doneAt = sending?.DoneAt,
                    },
                    t
                );
            }
        );
}
