using Dapper;
using FaithfulBracket.Store.Words;

namespace FaithfulBracket.Store;

public sealed record DrawerRow(string Kind, string Id, string Content, long Version);

/// <param name="Content">Null takes the item out.</param>
/// <param name="Version">That the caller saw; 0 for a new item.</param>
public sealed record DrawerChange(string Kind, string Id, string? Content, long Version);

/// <summary>An item as a change left it.</summary>
/// <param name="Content">Null where the change took it out.</param>
/// <param name="JobId">The job that the change was for; null for none.</param>
public sealed record DrawerEvent(string Kind, string ItemId, string? Content, string? By, string At, long? JobId);

/// <summary>What lies in the drawer, an item a row; every change is also written to a history.</summary>
public sealed class DrawerItems(ShopDatabase database, TimeProvider time)
{
    public long Edition => Interlocked.Read(ref _edition);

    private long _edition;

    public IReadOnlyList<DrawerRow> All()
    {
        using var c = database.Open();
        return
        [
            .. c.Query<DrawerRow>(
                "select kind, id, content, version from drawer_item where archived_at is null order by kind, id"
            ),
        ];
    }

    /// <summary>What was archived: planned with no more, and still there.</summary>
    public IReadOnlyList<DrawerRow> Archived()
    {
        using var c = database.Open();
        return
        [
            .. c.Query<DrawerRow>(
                "select kind, id, content, version from drawer_item where archived_at is not null order by kind, id"
            ),
        ];
    }

    /// <summary>Archives an item or brings it back.</summary>
    /// <param name="version">The version that the caller saw.</param>
    /// <exception cref="ConcurrencyException">The item changed meanwhile.</exception>
    public void Archive(string kind, string id, bool archived, long version, string? by)
    {
        database.Change(
            (c, t) =>
            {
                var content = c.QuerySingleOrDefault<string>(
                    """
                    update drawer_item set archived_at = case when @archived then coalesce(archived_at, @at) end,
                        version = version + 1
                    where kind = @kind and id = @id and version = @version returning content
                    """,
                    new
                    {
                        kind,
                        id,
                        version,
                        archived,
                        at = Stamp.Format(time),
                    },
                    t
                );
                if (content is null)
                    throw Changed(id);
                History(c, t, kind, id, archived ? null : content, by);
                return 0;
            }
        );
        Interlocked.Increment(ref _edition);
    }

    /// <summary>What became of an item, the oldest change first.</summary>
    public IReadOnlyList<DrawerEvent> Events(string kind, string id)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<DrawerEvent>($"{EventSql} where kind = @kind and item_id = @id order by id", new { kind, id }),
        ];
    }

    /// <summary>Every change of the items that a job changed, the oldest first.</summary>
    public IReadOnlyList<DrawerEvent> EventsOfJob(long jobId)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<DrawerEvent>(
                $"""
                {EventSql} where (kind, item_id) in (select kind, item_id from drawer_event where job_id = @jobId)
                order by id
                """,
                new { jobId }
            ),
        ];
    }

    private const string EventSql =
        "select kind, item_id as itemId, content, by_initials as by, at, job_id as jobId from drawer_event";

    /// <param name="version">0 for a new item, else the version the caller saw.</param>
    /// <exception cref="ConcurrencyException">The item changed meanwhile, or a new one stands already.</exception>
    public long Put(string kind, string id, string content, long version, string? by = null)
    {
        PutTogether([new(kind, id, content, version)], by);
        return version + 1;
    }

    /// <exception cref="ConcurrencyException">The item changed meanwhile.</exception>
    public void Remove(string kind, string id, long version, string? by = null) =>
        PutTogether([new(kind, id, null, version)], by);

    /// <summary>Several changes, all or none.</summary>
    /// <exception cref="ConcurrencyException">An item changed meanwhile; nothing changed.</exception>
    /// <param name="jobId">The job that they are for; null for none.</param>
    public void PutTogether(IReadOnlyList<DrawerChange> changes, string? by, long? jobId = null)
    {
        database.Change(
            (c, t) =>
            {
                foreach (var change in changes)
                    One(c, t, change, by, jobId);
                return 0;
            }
        );
        Interlocked.Increment(ref _edition);
    }

    /// <summary>Several changes to the drawer and one to a job's sheet, all or none.</summary>
    /// <exception cref="ConcurrencyException">An item or the sheet changed meanwhile; nothing changed.</exception>
    public void ChangeTogether(
        IReadOnlyList<DrawerChange> changes,
        JobSheets sheets,
        long jobId,
        string sheetKind,
        string sheet,
        long sheetVersion,
        string by
    )
    {
        database.Change(
            (c, t) =>
            {
                foreach (var change in changes)
                    One(c, t, change, by, jobId);
                return sheets.Put(c, t, jobId, sheetKind, sheet, sheetVersion, by);
            }
        );
        Interlocked.Increment(ref _edition);
    }

    private void One(
        Microsoft.Data.Sqlite.SqliteConnection c,
        System.Data.Common.DbTransaction t,
        DrawerChange change,
        string? by,
        long? jobId
    )
    {
        var sql =
            change.Content is null ? "delete from drawer_item where kind = @Kind and id = @Id and version = @Version"
            : change.Version == 0
                ? "insert into drawer_item (kind, id, content) values (@Kind, @Id, @Content) on conflict do nothing"
            : "update drawer_item set content = @Content, version = version + 1 where kind = @Kind and id = @Id and version = @Version";
        if (c.Execute(sql, change, t) == 0)
            throw change.Version == 0
            && c.ExecuteScalar<long>(
                "select count(*) from drawer_item where kind = @Kind and id = @Id and archived_at is not null",
                change,
                t
            ) > 0
                ? new ConcurrencyException(DrawerItemsWords.IsArchivedBringItBack(change.Id))
                : Changed(change.Id);
        History(c, t, change.Kind, change.Id, change.Content, by, jobId);
    }

    private static ConcurrencyException Changed(string id) => new(DrawerItemsWords.ChangedInDrawerSinceYouLooked(id));

    private void History(
        Microsoft.Data.Sqlite.SqliteConnection c,
        System.Data.Common.DbTransaction t,
        string kind,
        string id,
        string? content,
        string? by,
        long? jobId = null
    ) =>
        c.Execute(
            """
            insert into drawer_event (kind, item_id, content, by_initials, at, job_id)
            values (@kind, @id, @content, @by, @at, @jobId)
            """,
            new
            {
                kind,
                id,
                content,
                by,
                at = Stamp.Format(time),
                jobId,
            },
            t
        );
}
