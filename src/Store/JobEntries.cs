using System.Data.Common;
using Dapper;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Store.Words;
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
    long? LogId,
    FigureSource? Source,
    RunConditions? Conditions
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
    DateTimeOffset? At = null,
    FigureSource? Source = null,
    RunConditions? Conditions = null
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
    string? Face,
    FigureSource? Source
);

/// <summary>Where a photo belongs on the board.</summary>
public sealed record PhotoPlace(double XMm, double YMm, string Face);

public sealed record TimerRow(long Id, long JobId, string StepId, string Label, string StartedAt, long Seconds);

/// <summary>What is clipped to a job: readings, notes, photos, running timers.</summary>
public sealed class JobEntries(ShopDatabase database, PhotoFolder shelf, TimeProvider time)
{
    public IReadOnlyList<ReadingRow> Readings(long jobId)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<ReadingRow>(
                """
                select id, phase, room_c, coolant_c, die_c, hotspot_c, memory_c, power_w, flow_l_min, note, by_initials, at, board,
                    power_stage_c, log_id, source, conditions
                from reading where job_id = @jobId and struck_at is null order by id
                """,
                new { jobId }
            ),
        ];
    }

    /// <summary>Writes a paper, or finds the one that was sent before with the same key and the same content.</summary>
    /// <exception cref="KeyTakenException">The key was sent before for something else.</exception>
    private long Once(
        long jobId,
        string kind,
        string? key,
        object content,
        Func<SqliteConnection, DbTransaction, long> write
    ) => database.Change((c, t) => SentEntries.Once(c, t, jobId, kind, key, content, () => write(c, t)));

    private string When(Sending? sending) => Stamp.Format(sending?.DoneAt ?? time.GetUtcNow());

    private static string? Device(Sending? sending) => sending?.DeviceAt is { } at ? Stamp.Format(at) : null;

    public long AddReading(long jobId, NewReadingRow reading, Sending? sending = null) =>
        Once(
            jobId,
            "reading",
            sending?.Key,
            reading,
            (c, t) =>
                c.ExecuteScalar<long>(
                    """
                    insert into reading (job_id, phase, room_c, coolant_c, die_c, hotspot_c, memory_c, power_w,
                      flow_l_min, note, by_initials, at, board, power_stage_c, log_id, device_at, source, conditions)
                    values (@jobId, @Phase, @RoomC, @CoolantC, @DieC, @HotspotC, @MemoryC, @PowerW,
                      @FlowLMin, @Note, @By, @at, @Board, @PowerStageC, @LogId, @deviceAt, @Source, @Conditions)
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
                        reading.Source,
                        reading.Conditions,
                        at = reading.At is { } taken ? Stamp.Format(taken) : When(sending),
                        deviceAt = Device(sending),
                    },
                    t
                )
        );

    /// <summary>A struck reading stays in the file but counts no more.</summary>
    /// <param name="reason">Needed where the job is finished.</param>
    /// <exception cref="JobFinishedException">The job is finished and no reason is given.</exception>
    public void StrikeReading(long jobId, long id, CorrectionReason? reason = null)
    {
        var struck = database.Change(
            (c, t) =>
            {
                var phase = c.ExecuteScalar<string?>(
                    "update reading set struck_at = @at where id = @id and job_id = @jobId and struck_at is null "
                        + "returning phase",
                    new
                    {
                        id,
                        jobId,
                        at = Stamp.Format(time),
                    },
                    t
                );
                if (phase is not null)
                    Corrections.Note(c, t, jobId, Corrections.Reading, id, phase, reason, time);
                return phase is not null;
            }
        );
        if (!struck)
            throw new NotFoundException(JobEntriesWords.ThereIsNoReadingInJob(id, jobId));
    }

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

    public long AddNote(long jobId, string? stepId, string text, string by, Sending? sending = null) =>
        Once(
            jobId,
            "note",
            sending?.Key,
            new
            {
                stepId,
                text,
                by,
            },
            (c, t) =>
                c.ExecuteScalar<long>(
                    """
                    insert into note (job_id, step_id, text, by_initials, at, device_at)
                    values (@jobId, @stepId, @text, @by, @at, @deviceAt) returning id
                    """,
                    new
                    {
                        jobId,
                        stepId,
                        text,
                        by,
                        at = When(sending),
                        deviceAt = Device(sending),
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
                "select id, job_id, step_id, file, media_type, bytes, by_initials, at, x_mm, y_mm, face, source "
                    + "from photo where job_id = @jobId order by id",
                new { jobId }
            ),
        ];
    }

    /// <exception cref="NotFoundException">No such photo.</exception>
    public PhotoRow Photo(long id)
    {
        using var c = database.Open();
        return c.QuerySingleOrDefault<PhotoRow>(
                "select id, job_id, step_id, file, media_type, bytes, by_initials, at, x_mm, y_mm, face, source from photo where id = @id",
                new { id }
            ) ?? throw new NotFoundException(JobEntriesWords.ThereIsNoPhoto(id));
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
        Sending? sending = null,
        FigureSource? source = null
    )
    {
        var file = shelf.Put(content, extension);
        return Once(
            jobId,
            "photo",
            sending?.Key,
            new
            {
                stepId,
                file,
                by,
                place,
            },
            (c, t) =>
                c.ExecuteScalar<long>(
                    """
                    insert into photo (job_id, step_id, file, media_type, bytes, by_initials, at, x_mm, y_mm, face, device_at, source)
                    values (@jobId, @stepId, @file, @mediaType, @bytes, @by, @at, @x, @y, @face, @deviceAt, @source) returning id
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
                        deviceAt = Device(sending),
                        source = source ?? FigureSource.ByHand,
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

    /// <exception cref="StepSignedException">The step is signed already.</exception>
    public long StartTimer(
        long jobId,
        string stepId,
        string label,
        int seconds,
        string? by = null,
        Sending? sending = null
    ) =>
        Once(
            jobId,
            "timer",
            sending?.Key,
            new
            {
                stepId,
                label,
                seconds,
            },
            (c, t) =>
            {
                var last = c.QueryFirstOrDefault<string>(
                    "select kind from step_event where job_id = @jobId and step_id = @stepId order by id desc",
                    new { jobId, stepId },
                    t
                );
                if (last == StepEvent.Done)
                    throw new StepSignedException(JobEntriesWords.ThisStepIsSigned);
                return c.ExecuteScalar<long>(
                    """
                    insert into timer (job_id, step_id, label, started_at, seconds, by_initials, device_at)
                    values (@jobId, @stepId, @label, @at, @seconds, @by, @deviceAt) returning id
                    """,
                    new
                    {
                        jobId,
                        stepId,
                        label,
                        seconds,
                        by,
                        at = When(sending),
                        deviceAt = Device(sending),
                    },
                    t
                );
            }
        );

    public void StopTimer(long jobId, long id) =>
        Required(
            "update timer set stopped_at = @at where id = @id and job_id = @jobId and stopped_at is null",
            new
            {
                id,
                jobId,
                at = Stamp.Format(time),
            },
            JobEntriesWords.TimerOfJobDoesNotRun(id, jobId)
        );

    private void Required(string sql, object values, string otherwise)
    {
        if (database.Change((c, t) => c.Execute(sql, values, t)) == 0)
            throw new NotFoundException(otherwise);
    }
}
