using Dapper;

namespace FaithfulBracket.Store;

public sealed record DrawerRow(string Kind, string Id, string Content, long Version);

/// <param name="Content">Null takes the item out.</param>
/// <param name="Version">That the caller saw; 0 for a new item.</param>
public sealed record DrawerChange(string Kind, string Id, string? Content, long Version);

/// <summary>What lies in the drawer, an item a row; every change is also written to a history.</summary>
public sealed class DrawerItems(ShopDatabase database, TimeProvider time)
{
    public long Edition => Interlocked.Read(ref _edition);

    private long _edition;

    public IReadOnlyList<DrawerRow> All()
    {
        using var c = database.Open();
        return [.. c.Query<DrawerRow>("select kind, id, content, version from drawer_item order by kind, id")];
    }

    /// <param name="version">0 for a new item, else the version the caller saw.</param>
    /// <exception cref="LostRaceException">The item changed meanwhile, or a new one stands already.</exception>
    public long Put(string kind, string id, string content, long version, string? by = null)
    {
        PutTogether([new(kind, id, content, version)], by);
        return version + 1;
    }

    /// <exception cref="LostRaceException">The item changed meanwhile.</exception>
    public void Remove(string kind, string id, long version, string? by = null) =>
        PutTogether([new(kind, id, null, version)], by);

    /// <summary>Several changes, all or none.</summary>
    /// <exception cref="LostRaceException">An item changed meanwhile; nothing changed.</exception>
    public void PutTogether(IReadOnlyList<DrawerChange> changes, string? by)
    {
        database.Change(
            (c, t) =>
            {
                foreach (var change in changes)
                    One(c, t, change, by);
                return 0;
            }
        );
        Interlocked.Increment(ref _edition);
    }

    /// <summary>Several changes to the drawer and one to a job's sheet, all or none.</summary>
    /// <exception cref="LostRaceException">An item or the sheet changed meanwhile; nothing changed.</exception>
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
                    One(c, t, change, by);
                return sheets.Put(c, t, jobId, sheetKind, sheet, sheetVersion, by);
            }
        );
        Interlocked.Increment(ref _edition);
    }

    private void One(
        Microsoft.Data.Sqlite.SqliteConnection c,
        System.Data.Common.DbTransaction t,
        DrawerChange change,
        string? by
    )
    {
        var sql =
            change.Content is null ? "delete from drawer_item where kind = @Kind and id = @Id and version = @Version"
            : change.Version == 0
                ? "insert into drawer_item (kind, id, content) values (@Kind, @Id, @Content) on conflict do nothing"
            : "update drawer_item set content = @Content, version = version + 1 where kind = @Kind and id = @Id and version = @Version";
        if (c.Execute(sql, change, t) == 0)
            throw new LostRaceException(
                $"\"{change.Id}\" changed in the drawer since you looked. Look again, then do it once more."
            );
        History(c, t, change.Kind, change.Id, change.Content, by);
    }

    private void History(
        Microsoft.Data.Sqlite.SqliteConnection c,
        System.Data.Common.DbTransaction t,
        string kind,
        string id,
        string? content,
        string? by
    ) =>
        c.Execute(
            "insert into drawer_event (kind, item_id, content, by_initials, at) values (@kind, @id, @content, @by, @at)",
            new
            {
                kind,
                id,
                content,
                by,
                at = Stamp.Of(time),
            },
            t
        );
}
