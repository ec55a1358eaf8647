using System.Data.Common;
using Dapper;
using FaithfulBracket.Store.Words;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>
/// A job as it is kept. Pad choices are JSON; so is the work order, where it is more than one board and one block.
/// </summary>
public sealed record JobRow(
    long Id,
    string Title,
    string? Client,
    string Bench,
    string? BoardId,
    string? BlockId,
    string? CardId,
    string? Work,
    string? PasteId,
    string PadChoices,
    long Version,
    string OpenedBy,
    string OpenedAt,
    string? ArchivedAt
);

/// <summary>What a job is opened with, or changed to.</summary>
public sealed record JobFields(string Title, string? Client, string Bench)
{
    public string? BoardId { get; init; }
    public string? BlockId { get; init; }
    public string? CardId { get; init; }

    /// <summary>JSON; null in the plain case.</summary>
    public string? Work { get; init; }
    public string? PasteId { get; init; }

    /// <summary>JSON.</summary>
    public string PadChoices { get; init; } = "[]";
}

/// <summary>Jobs as such; their sign-offs are kept by <see cref="SignOffs"/>.</summary>
public sealed class Jobs(ShopDatabase database, TimeProvider time)
{
    internal const string Columns =
        "id, title, client, bench, board_id, block_id, card_id, work, paste_id, pad_choices, version, opened_by, opened_at, "
        + "archived_at";

    public IReadOnlyList<JobRow> All()
    {
        using var c = database.Open();
        return [.. c.Query<JobRow>($"select {Columns} from job order by id")];
    }

    /// <summary>Jobs that have no summary yet.</summary>
    public IReadOnlyList<JobRow> Unsummed()
    {
        using var c = database.Open();
        return
        [
            .. c.Query<JobRow>(
                $"""
                select {Columns} from job
                where archived_at is null and not exists (select 1 from job_summary s where s.job_id = job.id) order by id
                """
            ),
        ];
    }

    public long Count()
    {
        using var c = database.Open();
        return c.ExecuteScalar<long>("select count(*) from job");
    }

    /// <exception cref="NotFoundException">No such job.</exception>
    public JobRow Get(long id)
    {
        using var c = database.Open();
        return Get(c, null, id);
    }

    internal static JobRow Get(SqliteConnection c, DbTransaction? t, long id) =>
        c.QuerySingleOrDefault<JobRow>($"select {Columns} from job where id = @id", new { id }, t)
        ?? throw new NotFoundException(JobStampsWords.ThereIsNoJob(id));

    /// <summary>Takes a job off the benches, or brings it back.</summary>
    /// <exception cref="NotFoundException">No such job.</exception>
    public void Archive(long id, bool archived)
    {
        var changed = database.Change(
            (c, t) =>
                c.Execute(
                    archived
                        ? "update job set archived_at = coalesce(archived_at, @at) where id = @id"
                        : "update job set archived_at = null where id = @id",
                    new { id, at = Stamp.Format(time) },
                    t
                )
        );
        if (changed == 0)
            throw new NotFoundException(JobStampsWords.ThereIsNoJob(id));
    }

    /// <summary>Archived jobs, the newest first.</summary>
    public IReadOnlyList<JobRow> Archived()
    {
        using var c = database.Open();
        return [.. c.Query<JobRow>($"select {Columns} from job where archived_at is not null order by id desc")];
    }

    /// <param name="at">When it was opened; null for now.</param>
    public long Open(JobFields fields, string by, DateTimeOffset? at = null) =>
        database.Change(
            (c, t) =>
                c.ExecuteScalar<long>(
                    """
                    insert into job (title, client, bench, board_id, block_id, card_id, work, paste_id, pad_choices, opened_by, opened_at)
                    values (@Title, @Client, @Bench, @BoardId, @BlockId, @CardId, @Work, @PasteId, @PadChoices, @by, @at) returning id
                    """,
                    new
                    {
                        fields.Title,
                        fields.Client,
                        fields.Bench,
                        fields.BoardId,
                        fields.BlockId,
                        fields.CardId,
                        fields.Work,
                        fields.PasteId,
                        fields.PadChoices,
                        by,
                        at = Stamp.Format(at ?? time.GetUtcNow()),
                    },
                    t
                )
        );

    /// <summary>Changes everything but the boards, which a job keeps.</summary>
    /// <exception cref="ConcurrencyException">Somebody changed the job since <paramref name="version"/>.</exception>
    /// <exception cref="JobFinishedException">The job is finished.</exception>
    public long Update(long id, long version, JobFields fields) =>
        database.Change(
            (c, t) =>
            {
                Corrections.RefuseFinished(c, t, id);
                var changed = c.Execute(
                    """
                    update job set title = @Title, client = @Client, bench = @Bench, block_id = @BlockId, work = @Work,
                        paste_id = @PasteId, pad_choices = @PadChoices, version = version + 1
                    where id = @id and version = @version
                    """,
                    new
                    {
                        id,
                        version,
                        fields.Title,
                        fields.Client,
                        fields.Bench,
                        fields.BlockId,
                        fields.Work,
                        fields.PasteId,
                        fields.PadChoices,
                    },
                    t
                );
                HeldDocuments.LetGoOfUnnamed(c, t, id);
                return changed == 1
                    ? version + 1
                    : throw new ConcurrencyException(JobsWords.SomebodyChangedThisJobSinceYou);
            }
        );
}
