using System.Data.Common;
using Dapper;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

public sealed record ReadingRow(
    long Id,
    string Phase,
    double RoomC,
    double? CoolantC,
    double DieC,
    double? HotspotC,
    double? MemoryC,
    double PowerW,
    double? FlowLMin,
    string? Note,
    string ByInitials,
    string At,
    string? Board,
    double? PowerStageC,
    long? LogId
);

/// <param name="Board">Key of the board it was taken on; null for the first.</param>
/// <param name="PowerStageC">The warmest power stage.</param>
/// <param name="LogId">The log it came out of; null for one that was typed.</param>
/// <param name="At">When it was taken; null for now.</param>
public sealed record NewReadingRow(
    string Phase,
    double RoomC,
    double? CoolantC,
    double DieC,
    double? HotspotC,
    double? MemoryC,
    double PowerW,
    double? FlowLMin,
    string? Note,
    string By,
    string? Board = null,
    double? PowerStageC = null,
    long? LogId = null,
    DateTimeOffset? At = null
);

public sealed record NoteRow(long Id, string? StepId, string Text, string ByInitials, string At);

public sealed record PhotoRow(
    long Id,
    long JobId,
    string? StepId,
    string File,
    string MediaType,
    long Bytes,
    string ByInitials,
    string At,
    double? XMm,
    double? YMm,
    string? Face
);

/// <summary>Where a photo belongs on the board.</summary>
public sealed record PhotoPlace(double XMm, double YMm, string Face);

public sealed record TimerRow(long Id, long JobId, string StepId, string Label, string StartedAt, long Seconds);

/// <summary>How a paper was sent: its key, so that it counts once, and when it was made, if that was before it reached the shop.</summary>
public sealed record PaperSending(string? Key, DateTimeOffset? DoneAt);

/// <summary>What is clipped to a job: readings, notes, photos, running timers.</summary>
public sealed class JobPapers(ShopDatabase database, PhotoShelf shelf, TimeProvider time)
{
    public IReadOnlyList<ReadingRow> Readings(long jobId)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<ReadingRow>(
                """
                select id, phase, room_c, coolant_c, die_c, hotspot_c, memory_c, power_w, flow_l_min, note, by_initials, at, board,
                    power_stage_c, log_id
                from reading where job_id = @jobId and struck_at is null order by id
                """,
                new { jobId }
            ),
        ];
    }

    /// <summary>Writes a paper, or finds the one that was sent before with the same key.</summary>
    /// <exception cref="KeyTakenException">The key was sent before for something else.</exception>
    private long Once(long jobId, string kind, string? key, Func<SqliteConnection, DbTransaction, long> write) =>
        database.Change(
            (c, t) =>
            {
                if (key is null)
                    return write(c, t);
                var sent = c.QuerySingleOrDefault<(string Kind, long JobId, long PaperId)?>(
                    "select kind, job_id, paper_id from sent_paper where client_key = @key",
                    new { key },
                    t
                );
                if (sent is { } found)
                    return found.Kind == kind && found.JobId == jobId
                        ? found.PaperId
                        : throw new KeyTakenException(
                            "This key was sent before with other content. The first one stands; send this with a key of its own."
                        );
                var id = write(c, t);
                c.Execute(
                    "insert into sent_paper (client_key, kind, job_id, paper_id) values (@key, @kind, @jobId, @id)",
                    new
                    {
                        key,
                        kind,
                        jobId,
                        id,
                    },
                    t
                );
                return id;
            }
        );

    private string When(PaperSending? sending) => Stamp.Of(sending?.DoneAt ?? time.GetUtcNow());

    public long AddReading(long jobId, NewReadingRow reading, PaperSending? sending = null) =>
        Once(
            jobId,
            "reading",
            sending?.Key,
            (c, t) =>
                c.ExecuteScalar<long>(
                    """
                    insert into reading (job_id, phase, room_c, coolant_c, die_c, hotspot_c, memory_c, power_w, flow_l_min, note, by_initials, at, board, power_stage_c, log_id)
                    values (@jobId, @Phase, @RoomC, @CoolantC, @DieC, @HotspotC, @MemoryC, @PowerW, @FlowLMin, @Note, @By, @at, @Board, @PowerStageC, @LogId)
                    returning id
                    """,
                    new
                    {
                        jobId,
                        reading.Phase,
                        reading.RoomC,
                        reading.CoolantC,
                        reading.DieC,
                        reading.HotspotC,
                        reading.MemoryC,
                        reading.PowerW,
                        reading.FlowLMin,
                        reading.Note,
                        reading.By,
                        reading.Board,
                        reading.PowerStageC,
                        reading.LogId,
                        at = reading.At is { } taken ? Stamp.Of(taken) : When(sending),
                    },
                    t
                )
        );

    /// <summary>A struck reading stays in the file but counts no more.</summary>
    public void StrikeReading(long jobId, long id) =>
        Required(
            "update reading set struck_at = @at where id = @id and job_id = @jobId and struck_at is null",
            new
            {
                id,
                jobId,
                at = Stamp.Of(time),
            },
            $"There is no reading {id} in job {jobId}."
        );

    public IReadOnlyList<NoteRow> Notes(long jobId)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<NoteRow>(
                "select id, step_id, text, by_initials, at from note where job_id = @jobId order by id",
                new { jobId }
            ),
        ];
    }

    public long AddNote(long jobId, string? stepId, string text, string by, PaperSending? sending = null) =>
        Once(
            jobId,
            "note",
            sending?.Key,
            (c, t) =>
                c.ExecuteScalar<long>(
                    "insert into note (job_id, step_id, text, by_initials, at) values (@jobId, @stepId, @text, @by, @at) returning id",
                    new
                    {
                        jobId,
                        stepId,
                        text,
                        by,
                        at = When(sending),
                    },
                    t
                )
        );

    public IReadOnlyList<PhotoRow> Photos(long jobId)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<PhotoRow>(
                "select id, job_id, step_id, file, media_type, bytes, by_initials, at, x_mm, y_mm, face "
                    + "from photo where job_id = @jobId order by id",
                new { jobId }
            ),
        ];
    }

    /// <exception cref="NotHereException">No such photo.</exception>
    public PhotoRow Photo(long id)
    {
        using var c = database.Open();
        return c.QuerySingleOrDefault<PhotoRow>(
                "select id, job_id, step_id, file, media_type, bytes, by_initials, at, x_mm, y_mm, face from photo where id = @id",
                new { id }
            ) ?? throw new NotHereException($"There is no photo {id}.");
    }

    /// <summary>The picture is on disk before its row is.</summary>
    public long AddPhoto(
        long jobId,
        string? stepId,
        byte[] content,
        string mediaType,
        string extension,
        string by,
        PhotoPlace? place = null,
        PaperSending? sending = null
    )
    {
        var file = shelf.Put(content, extension);
        return Once(
            jobId,
            "photo",
            sending?.Key,
            (c, t) =>
                c.ExecuteScalar<long>(
                    """
                    insert into photo (job_id, step_id, file, media_type, bytes, by_initials, at, x_mm, y_mm, face)
                    values (@jobId, @stepId, @file, @mediaType, @bytes, @by, @at, @x, @y, @face) returning id
                    """,
                    new
                    {
                        jobId,
                        stepId,
                        file,
                        mediaType,
                        bytes = content.Length,
                        by,
                        at = When(sending),
                        x = place?.XMm,
                        y = place?.YMm,
                        face = place?.Face,
                    },
                    t
                )
        );
    }

    public string PathOf(PhotoRow photo) => shelf.PathOf(photo.File);

    /// <summary>A photo's bytes, or null when its file is gone.</summary>
    public byte[]? Read(PhotoRow photo) => shelf.Read(photo.File);

    public IReadOnlyList<TimerRow> Running(long? jobId = null)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<TimerRow>(
                """
                select id, job_id, step_id, label, started_at, seconds from timer
                where stopped_at is null and (@jobId is null or job_id = @jobId) order by id
                """,
                new { jobId }
            ),
        ];
    }

    public long StartTimer(long jobId, string stepId, string label, int seconds, PaperSending? sending = null) =>
        Once(
            jobId,
            "timer",
            sending?.Key,
            (c, t) =>
                c.ExecuteScalar<long>(
                    """
                    insert into timer (job_id, step_id, label, started_at, seconds) values (@jobId, @stepId, @label, @at, @seconds) returning id
                    """,
                    new
                    {
                        jobId,
                        stepId,
                        label,
                        seconds,
                        at = When(sending),
                    },
                    t
                )
        );

    public void StopTimer(long jobId, long id) =>
        Required(
            "update timer set stopped_at = @at where id = @id and job_id = @jobId and stopped_at is null",
            new
            {
                id,
                jobId,
                at = Stamp.Of(time),
            },
            $"Timer {id} of job {jobId} does not run."
        );

    /// <summary>Whatever still runs of a step stops with its signature; what somebody else stopped meanwhile is stopped.</summary>
    public void StopTimers(long jobId, string stepId)
    {
        if (!Running(jobId).Any(t => t.StepId == stepId))
            return;
        database.Change(
            (c, t) =>
                c.Execute(
                    "update timer set stopped_at = @at where job_id = @jobId and step_id = @stepId and stopped_at is null",
                    new
                    {
                        jobId,
                        stepId,
                        at = Stamp.Of(time),
                    },
                    t
                )
        );
    }

    private void Required(string sql, object values, string otherwise)
    {
        if (database.Change((c, t) => c.Execute(sql, values, t)) == 0)
            throw new NotHereException(otherwise);
    }
}
