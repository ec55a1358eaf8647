using System.Data.Common;
using System.Text.Json;
using Dapper;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>A document as it is stored.</summary>
public sealed record StoredDocument(string Kind, string Id, byte[] Document, string Digest);

/// <summary>A document with new ids in it.</summary>
/// <param name="Renamed">Old ids with the new one of each; the document's own may be among them.</param>
public sealed record RenamedDocument(
    StoredDocument Old,
    string Id,
    byte[] Document,
    string Digest,
    IReadOnlyDictionary<string, string> Renamed
);

/// <summary>
/// Gives stored documents new ids, once, in one transaction, together with everything open that names them.
/// </summary>
public sealed class StoredIds(ShopDatabase database, TimeProvider time)
{
    private const string Work = "document-ids";

    private static readonly string[] Kinds = ["board", "block", "card", "socket", "machine"];

    /// <param name="rename">
    /// The document with valid ids, its own none of the others of its kind; null where they are valid already.
    /// </param>
    /// <param name="text">A JSON text with the new ids in it.</param>
    /// <returns>Documents that were renamed.</returns>
    public IReadOnlyList<RenamedDocument> Repair(
        Func<StoredDocument, ISet<string>, RenamedDocument?> rename,
        Func<string, IReadOnlyDictionary<string, string>, string> text
    )
    {
        using (var c = database.Open())
            if (c.ExecuteScalar<long>("select count(*) from upkeep where name = @Work", new { Work }) > 0)
                return [];
        return database.Change<IReadOnlyList<RenamedDocument>>(
            (c, t) =>
            {
                var renamed = new List<RenamedDocument>();
                foreach (var kind in Kinds)
                {
                    var ids = c.Query<string>($"select id from {kind}", transaction: t).ToHashSet();
                    foreach (
                        var (id, document, digest) in c.Query<(string, byte[], string)>(
                            $"select id, document, digest from {kind}",
                            transaction: t
                        )
                    )
                        if (rename(new(kind, id, document, digest), ids) is { } r)
                            renamed.Add(r);
                }
                c.Execute("pragma defer_foreign_keys = on", transaction: t);
                foreach (var r in renamed)
                    Write(c, t, r);
                if (renamed.Count > 0)
                    Open(c, t, All(renamed), text);
                c.Execute(
                    "insert into upkeep (name, at) values (@Work, @at)",
                    new { Work, at = Stamp.Format(time) },
                    t
                );
                return renamed;
            }
        );
    }

    private static void Write(SqliteConnection c, DbTransaction t, RenamedDocument r)
    {
        var kind = r.Old.Kind;
        var row = new
        {
            kind,
            old = r.Old.Id,
            r.Id,
            r.Document,
            r.Digest,
            oldDigest = r.Old.Digest,
        };
        c.Execute($"update {kind} set id = @Id, document = @Document, digest = @Digest where id = @old", row, t);
        // the content is the same but for its ids: what was signed on it still stands
        c.Execute(
            "update step_event set signed = replace(signed, @oldDigest, @Digest) where instr(signed, @oldDigest) > 0",
            row,
            t
        );
        if (r.Id == r.Old.Id)
            return;
        if (kind is "board" or "block" or "card")
            c.Execute($"update job set {kind}_id = @Id where {kind}_id = @old", row, t);
        c.Execute("update catalogue_picture set of_id = @Id where kind = @kind and of_id = @old", row, t);
    }

    private static Dictionary<string, string> All(IEnumerable<RenamedDocument> renamed) =>
        renamed.SelectMany(r => r.Renamed).DistinctBy(p => p.Key).ToDictionary(p => p.Key, p => p.Value);

    /// <summary>Open jobs name the new ids; finished ones read as they were signed.</summary>
    private static void Open(
        SqliteConnection c,
        DbTransaction t,
        Dictionary<string, string> renamed,
        Func<string, IReadOnlyDictionary<string, string>, string> text
    )
    {
        const string open = "not exists (select 1 from job_record r where r.job_id = {0})";
        foreach (var column in (string[])["work", "pad_choices"])
        foreach (
            var (id, content) in c.Query<(long, string)>(
                    $"select id, {column} from job where {column} is not null and " + string.Format(null, open, "id"),
                    transaction: t
                )
                .ToList()
        )
            c.Execute($"update job set {column} = @made where id = @id", new { id, made = text(content, renamed) }, t);
        foreach (
            var (job, kind, content) in c.Query<(long, string, string)>(
                    "select job_id, kind, content from job_sheet where "
                        + string.Format(null, open, "job_sheet.job_id"),
                    transaction: t
                )
                .ToList()
        )
            c.Execute(
                "update job_sheet set content = @made where job_id = @job and kind = @kind",
                new
                {
                    job,
                    kind,
                    made = text(content, renamed),
                },
                t
            );
        foreach (var table in (string[])["step_event", "note", "photo", "timer"])
        foreach (
            var (id, step) in c.Query<(long, string)>(
                    $"select id, step_id from {table} where step_id is not null and "
                        + string.Format(null, open, $"{table}.job_id"),
                    transaction: t
                )
                .ToList()
        )
            if (Renamed(step, renamed) is { } made)
                c.Execute($"update {table} set step_id = @made where id = @id", new { id, made }, t);
        foreach (
            var (id, signed) in c.Query<(long, string)>(
                    "select id, signed from step_event where signed is not null and "
                        + string.Format(null, open, "step_event.job_id"),
                    transaction: t
                )
                .ToList()
        )
            if (InWords(signed, renamed) is var made && made != signed)
                c.Execute("update step_event set signed = @made where id = @id", new { id, made }, t);
    }

    /// <summary>A title or figure that was signed names the new id: what it says is the same.</summary>
    private static string InWords(string signed, Dictionary<string, string> renamed)
    {
        foreach (var (old, made) in renamed.OrderByDescending(r => r.Key.Length))
            signed = signed.Replace(JsonEncodedText.Encode(old).ToString(), made, StringComparison.Ordinal);
        return signed;
    }

    /// <summary>A step's id with the new id at its end; null where it names none of the old ones.</summary>
    private static string? Renamed(string step, Dictionary<string, string> renamed)
    {
        foreach (var (old, made) in renamed)
            if (
                step.EndsWith(old, StringComparison.Ordinal)
                && step.Length > old.Length
                && step[step.Length - old.Length - 1] is '.' or '-'
            )
                return step[..^old.Length] + made;
        return null;
    }
}
