using Dapper;
using FaithfulBracket.Store.Words;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>A document to keep, with the columns it is listed by.</summary>
/// <param name="Digest">Hash of the canonical content: equal content, equal digest.</param>
public sealed record LibraryDocument(
    string Id,
    string Maker,
    string Model,
    string BoardCode,
    string Revision,
    string Kind,
    byte[] Document,
    string Digest
)
{
    /// <summary>What it reads as, for whoever asks next; null where nobody read it.</summary>
    public object? Parsed { get; init; }
}

/// <summary>A document as it stands.</summary>
public sealed record KeptDocument(byte[] Document, string Digest, long Version, bool Archived);

/// <summary>One version of a document.</summary>
/// <param name="Version">From 1; the highest is the one in use.</param>
/// <param name="By">Who kept it; null where nobody said.</param>
public sealed record DocumentVersion(long Version, string Digest, string? By, string At);

public sealed record KeptCount(int Added, int Unchanged, int Replaced);

/// <summary>Kept documents of one kind: boards, blocks, cards or sockets.</summary>
public sealed class Library(ShopDatabase database, string table, TimeProvider time)
{
    /// <summary>Boards and cards are listed by code and revision too.</summary>
    private readonly bool _hasCode = table is "board" or "card";
    private readonly ShopDatabase _database = database;

    /// <summary>Counts changes, so that whatever was calculated from the library can be told stale.</summary>
    public long Edition => Interlocked.Read(ref _edition);

    private long _edition;

    public byte[]? Find(string id)
    {
        using var c = _database.Open();
        return c.QuerySingleOrDefault<byte[]>($"select document from {table} where id = @id", new { id });
    }

    /// <exception cref="NotFoundException">No such document.</exception>
    public KeptDocument Get(string id)
    {
        using var c = _database.Open();
        return
            c.QuerySingleOrDefault<(byte[] Document, string Digest, long Version, string? ArchivedAt)?>(
                $"select document, digest, version, archived_at from {table} where id = @id",
                new { id }
            )
                is { } row
            ? new(row.Document, row.Digest, row.Version, row.ArchivedAt is not null)
            : throw Missing(id);
    }

    private NotFoundException Missing(string id) => new(LibraryWords.LibraryHasNo(table, id));

    /// <summary>Every version of a document, the newest first.</summary>
    /// <exception cref="NotFoundException">No such document.</exception>
    public IReadOnlyList<DocumentVersion> Versions(string id)
    {
        using var c = _database.Open();
        List<DocumentVersion> versions =
        [
            .. c.Query<DocumentVersion>(
                $"""
                select version, digest, by_initials as by, kept_at as at from {table} where id = @id
                union all
                select version, digest, by_initials, at from document_version where kind = '{table}' and id = @id
                order by version desc
                """,
                new { id }
            ),
        ];
        return versions.Count > 0 ? versions : throw Missing(id);
    }

    /// <exception cref="NotFoundException">No such version.</exception>
    public byte[] Find(string id, long version)
    {
        using var c = _database.Open();
        return c.QuerySingleOrDefault<byte[]>(
                $"""
                select document from {table} where id = @id and version = @version
                union all
                select document from document_version where kind = '{table}' and id = @id and version = @version
                """,
                new { id, version }
            ) ?? throw new NotFoundException(LibraryWords.HasNoVersion(table, id, version));
    }

    /// <summary>
    /// Keeps a document as the next version of the one with its id. Open jobs go on resting on the version before.
    /// </summary>
    /// <param name="expected">The version that was seen.</param>
    /// <param name="taken">A job that rests on the next version at once; null for none.</param>
    /// <returns>Its version; the expected one where the content is the same.</returns>
    /// <exception cref="NotFoundException">No such document.</exception>
    /// <exception cref="ConcurrencyException">Another version stands there.</exception>
    public long Put(LibraryDocument d, long expected, string? by, long? taken = null)
    {
        var version = _database.Change(
            (c, t) =>
            {
                var (now, digest) = c.QuerySingleOrDefault<(long, string?)>(
                    $"select version, digest from {table} where id = @Id",
                    d,
                    t
                );
                if (digest is null)
                    throw Missing(d.Id);
                if (now != expected)
                    throw new ConcurrencyException(LibraryWords.IsAtVersion(table, d.Id, now, expected));
                if (digest == d.Digest)
                    return now;
                HeldDocuments.Hold(c, t, table, d.Id, now, taken);
                Write(c, t, d, by);
                return now + 1;
            }
        );
        Interlocked.Increment(ref _edition);
        return version;
    }

    /// <summary>Archives a document or brings it back.</summary>
    /// <exception cref="NotFoundException">No such document.</exception>
    public void Archive(string id, bool archived)
    {
        var changed = _database.Change(
            (c, t) =>
                c.Execute(
                    archived
                        ? $"update {table} set archived_at = coalesce(archived_at, @at) where id = @id"
                        : $"update {table} set archived_at = null where id = @id",
                    new { id, at = Stamp.Format(time) },
                    t
                )
        );
        if (changed == 0)
            throw Missing(id);
        Interlocked.Increment(ref _edition);
    }

    /// <summary>Ids of what is archived.</summary>
    public IReadOnlySet<string> Archived()
    {
        using var c = _database.Open();
        return c.Query<string>($"select id from {table} where archived_at is not null").ToHashSet();
    }

    /// <summary>Takes a document with all its versions out of the library.</summary>
    /// <exception cref="NotFoundException">No such document.</exception>
    public void Delete(string id)
    {
        _database.Change(
            (c, t) =>
            {
                if (c.Execute($"delete from {table} where id = @id", new { id }, t) == 0)
                    throw Missing(id);
                return c.Execute($"delete from document_version where kind = '{table}' and id = @id", new { id }, t);
            }
        );
        Interlocked.Increment(ref _edition);
    }

    public int Count()
    {
        using var c = _database.Open();
        return c.ExecuteScalar<int>($"select count(*) from {table}");
    }

    /// <summary>Id and digest of every document, in listing order.</summary>
    public IReadOnlyList<(string Id, string Digest)> Digests()
    {
        using var c = _database.Open();
        return [.. c.Query<(string, string)>($"select id, digest from {table} order by maker, model, id")];
    }

    /// <summary>Every document by id.</summary>
    public IEnumerable<(string Id, byte[] Document)> All()
    {
        using var c = _database.Open();
        foreach (var row in c.Query<(string, byte[])>($"select id, document from {table}", buffered: false))
            yield return row;
    }

    /// <summary>Keeps one document.</summary>
    /// <returns>Whether it was new.</returns>
    /// <exception cref="IdTakenException">The id stands already with other content.</exception>
    public bool Keep(LibraryDocument d) => Keep([d], replace: false).Added == 1;

    /// <summary>Keeps all documents or none.</summary>
    /// <exception cref="IdTakenException">
    /// An id stands already with other content and <paramref name="replace"/> is off.
    /// </exception>
    public KeptCount Keep(IEnumerable<LibraryDocument> documents, bool replace)
    {
        var count = _database.Change((c, t) => KeepAll(c, t, documents, replace));
        Interlocked.Increment(ref _edition);
        return count;
    }

    /// <summary>Keeps documents of several libraries of one database and pictures of them, all or none.</summary>
    /// <exception cref="IdTakenException">
    /// An id stands already with other content and <paramref name="replace"/> is off.
    /// </exception>
    public static KeptCount KeepTogether(
        bool replace,
        CataloguePictures shelf,
        IReadOnlyList<NewCataloguePicture> pictures,
        params ReadOnlySpan<(Library Library, IEnumerable<LibraryDocument> Documents)> all
    )
    {
        var list = all.ToArray();
        var count = list[0]
            .Library._database.Change(
                (c, t) =>
                {
                    var kept = list.Select(l => l.Library.KeepAll(c, t, l.Documents, replace))
                        .Aggregate(
                            (x, y) => new(x.Added + y.Added, x.Unchanged + y.Unchanged, x.Replaced + y.Replaced)
                        );
                    foreach (var p in pictures)
                        shelf.Add(c, t, p);
                    return kept;
                }
            );
        foreach (var (library, _) in list)
            Interlocked.Increment(ref library._edition);
        return count;
    }

    private KeptCount KeepAll(
        SqliteConnection c,
        System.Data.Common.DbTransaction t,
        IEnumerable<LibraryDocument> documents,
        bool replace
    )
    {
        int added = 0,
            unchanged = 0,
            replaced = 0;
        foreach (var d in documents)
        {
            var known = c.QuerySingleOrDefault<string>($"select digest from {table} where id = @Id", d, t);
            if (known == d.Digest)
            {
                unchanged++;
                continue;
            }
            if (known is not null && !replace)
                throw new IdTakenException(LibraryWords.IdStandsAlreadyWithOtherContent(d.Id));
            Write(c, t, d);
            if (known is null)
                added++;
            else
                replaced++;
        }
        return new(added, unchanged, replaced);
    }

    /// <summary>What stood there before stays as a version.</summary>
    private void Write(SqliteConnection c, System.Data.Common.DbTransaction t, LibraryDocument d, string? by = null)
    {
        c.Execute(
            $"""
            insert into document_version (kind, id, version, document, digest, by_initials, at)
            select '{table}', id, version, document, digest, by_initials, kept_at from {table} where id = @Id
            """,
            new { d.Id },
            t
        );
        var row = new
        {
            d.Id,
            d.Maker,
            d.Model,
            d.BoardCode,
            d.Revision,
            d.Kind,
            d.Document,
            d.Digest,
            At = Stamp.Format(time),
            By = by,
        };
        c.Execute(
            _hasCode
                ? $"""
                insert into {table}
                    (id, maker, model, board_code, revision, kind, document, digest, kept_at, by_initials)
                values (@Id, @Maker, @Model, @BoardCode, @Revision, @Kind, @Document, @Digest, @At, @By)
                on conflict (id) do update set maker = excluded.maker, model = excluded.model, board_code = excluded.board_code,
                    revision = excluded.revision, kind = excluded.kind, document = excluded.document,
                    digest = excluded.digest, kept_at = excluded.kept_at,
                    version = version + 1, by_initials = excluded.by_initials
                """
                : $"""
                insert into {table} (id, maker, model, kind, document, digest, kept_at, by_initials)
                values (@Id, @Maker, @Model, @Kind, @Document, @Digest, @At, @By)
                on conflict (id) do update set maker = excluded.maker, model = excluded.model,
                    kind = excluded.kind, document = excluded.document,
                    digest = excluded.digest, kept_at = excluded.kept_at,
                    version = version + 1, by_initials = excluded.by_initials
                """,
            row,
            t
        );
        HeldDocuments.LetGoOfEqual(c, t, table, d.Id, d.Digest);
    }
}
