using Dapper;

namespace FaithfulBracket.Store;

public sealed record DrawerRow(string Kind, string Id, string Content, long Version);

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
        var next = database.Change(
            (c, t) =>
            {
                var changed =
                    version == 0
                        ? c.Execute(
                            "insert into drawer_item (kind, id, content) values (@kind, @id, @content) on conflict do nothing",
                            new
                            {
                                kind,
                                id,
                                content,
                            },
                            t
                        )
                        : c.Execute(
                            "update drawer_item set content = @content, version = version + 1 where kind = @kind and "
                                + "id = @id and version = @version",
                            new
                            {
                                kind,
                                id,
                                content,
                                version,
                            },
                            t
                        );
                if (changed == 0)
                    throw new LostRaceException(
                        $"\"{id}\" changed in the drawer since you looked. Look again, then change it."
                    );
                History(c, t, kind, id, content, by);
                return version + 1;
            }
        );
        Interlocked.Increment(ref _edition);
        return next;
    }

    /// <exception cref="LostRaceException">The item changed meanwhile.</exception>
    public void Remove(string kind, string id, long version, string? by = null)
    {
        database.Change(
            (c, t) =>
            {
                if (
                    c.Execute(
                        "delete from drawer_item where kind = @kind and id = @id and version = @version",
                        new
                        {
                            kind,
                            id,
                            version,
                        },
                        t
                    ) == 0
                )
                    throw new LostRaceException(
                        $"\"{id}\" changed in the drawer since you looked. Look again, then take it out."
                    );
                History(c, t, kind, id, null, by);
                return 0;
            }
        );
        Interlocked.Increment(ref _edition);
    }

    /// <summary>Several changes to the drawer and one to a job's sheet, all or none.</summary>
    /// <param name="changes">New content, or null to take the item out; the version each had.</param>
    /// <exception cref="LostRaceException">An item or the sheet changed meanwhile; nothing changed.</exception>
    public void ChangeTogether(
        IReadOnlyList<(string Kind, string Id, string? Content, long Version)> changes,
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
                foreach (var (kind, id, content, version) in changes)
                {
                    var done =
                        content is null
                            ? c.Execute(
                                "delete from drawer_item where kind = @kind and id = @id and version = @version",
                                new
                                {
                                    kind,
                                    id,
                                    version,
                                },
                                t
                            )
                        : version == 0
                            ? c.Execute(
                                "insert into drawer_item (kind, id, content) values (@kind, @id, @content) on conflict do nothing",
                                new
                                {
                                    kind,
                                    id,
                                    content,
                                },
                                t
                            )
                        : c.Execute(
                            "update drawer_item set content = @content, version = version + 1 where kind = @kind and "
                                + "id = @id and version = @version",
                            new
                            {
                                kind,
                                id,
                                content,
                                version,
                            },
                            t
                        );
                    if (done == 0)
                        throw new LostRaceException(
                            $"\"{id}\" changed in the drawer since you looked. Look again, then put the rests away."
                        );
                    History(c, t, kind, id, content, by);
                }
                return sheets.Put(c, t, jobId, sheetKind, sheet, sheetVersion, by);
            }
        );
        Interlocked.Increment(ref _edition);
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
