using Dapper;
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

public sealed record KeptCount(int Added, int Unchanged, int Replaced);

/// <summary>Kept documents of one kind: boards, blocks, cards or sockets.</summary>
public sealed class Library(ShopDatabase database, string table, TimeProvider time)
{
    /// <summary>Boards and cards are listed by code and revision too.</summary>
    private readonly bool _hasCode = table is "board" or "card";
    private readonly ShopDatabase _database = database;

    /// <summary>Counts changes, so that whatever was reckoned from the library can be told stale.</summary>
    public long Edition => Interlocked.Read(ref _edition);

    private long _edition;

    public byte[]? Find(string id)
    {
        using var c = _database.Open();
        return c.QuerySingleOrDefault<byte[]>($"select document from {table} where id = @id", new { id });
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
                throw new IdTakenException(
                    $"The id \"{d.Id}\" stands already with other content. Give this one another id, or replace it with ?replace=true."
                );
            Write(c, t, d);
            if (known is null)
                added++;
            else
                replaced++;
        }
        return new(added, unchanged, replaced);
    }

    private void Write(SqliteConnection c, System.Data.Common.DbTransaction t, LibraryDocument d)
    {
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
            At = Stamp.Of(time),
        };
        c.Execute(
            _hasCode
                ? $"""
                insert into {table} (id, maker, model, board_code, revision, kind, document, digest, kept_at)
                values (@Id, @Maker, @Model, @BoardCode, @Revision, @Kind, @Document, @Digest, @At)
                on conflict (id) do update set maker = excluded.maker, model = excluded.model, board_code = excluded.board_code,
                    revision = excluded.revision, kind = excluded.kind, document = excluded.document, digest = excluded.digest, kept_at = excluded.kept_at
                """
                : $"""
                insert into {table} (id, maker, model, kind, document, digest, kept_at)
                values (@Id, @Maker, @Model, @Kind, @Document, @Digest, @At)
                on conflict (id) do update set maker = excluded.maker, model = excluded.model,
                    kind = excluded.kind, document = excluded.document, digest = excluded.digest, kept_at = excluded.kept_at
                """,
            row,
            t
        );
    }
}
