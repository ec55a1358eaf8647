using System.Diagnostics;
using System.Security.Cryptography;
using System.Text.Json;
using Dapper;
using FaithfulBracket.Core;
using FaithfulBracket.Store.Words.Backups;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store.Backups;

/// <summary>One thing that was looked at.</summary>
/// <param name="Code">What kind of finding, for programs.</param>
/// <param name="Fault">Whether something is wrong that is still so.</param>
/// <param name="Mended">What was done about it; null for nothing.</param>
public sealed record Finding(string Code, bool Fault, string Text, string? Mended = null);

/// <summary>
/// Looks a shop through: the file, its rows, its pictures. Mends what loses nothing; everything else is named with
/// what to do.
/// </summary>
/// <param name="digest">The digest of a document's content; null leaves documents uncompared.</param>
public sealed class Doctor(ShopDatabase shop, TimeProvider time, Func<byte[], string>? digest = null)
{
    private static readonly string[] Libraries = ["board", "block", "card", "socket", "machine"];

    /// <summary>A picture younger than this may belong to a row that is being written.</summary>
    private static readonly TimeSpan Young = TimeSpan.FromHours(1);

    private const string Unclaimed = "photos-unclaimed";
    private const int MaxNamed = 5;

    /// <param name="mend">Whether what is safe is mended.</param>
    /// <param name="pictures">How long pictures are read through; all of them when null.</param>
    public IReadOnlyList<Finding> Look(bool mend, TimeSpan? pictures = null)
    {
        if (shop.Look() is { } trouble)
            return [new(trouble.Code, true, trouble.Sentence)];
        if (!File.Exists(shop.File))
            return [new("empty", false, DoctorWords.ThereIsNoShopInYet(Path.GetDirectoryName(shop.File)))];
        using var c = shop.Open();
        var whole = c.Query<string>("pragma integrity_check").ToList();
        var findings = new List<Finding>
        {
            whole is ["ok"]
                ? new("integrity", false, DoctorWords.DatabaseIsWhole)
                : new("integrity", true, DoctorWords.DatabaseIsDamaged(string.Join("; ", whole.Take(MaxNamed)))),
        };
        findings.AddRange(Schema(c));
        findings.AddRange(Orphans(c));
        findings.AddRange(Texts(c));
        findings.AddRange(Documents(c));
        findings.AddRange(Pictures(c, mend && !shop.ReadOnly, pictures));
        findings.AddRange(Leftovers(mend && !shop.ReadOnly));
        return findings;
    }

    private static string Some(IEnumerable<string> names) => string.Join(", ", names.Take(MaxNamed));

    private static IEnumerable<Finding> Schema(SqliteConnection c)
    {
        var had = MigrationScripts.Had(c);
        var open = MigrationScripts.Open(c);
        yield return open.Count == 0
            ? new("schema", false, DoctorWords.SchemaIsThisVersions(had.Count))
            : new("schema", false, DoctorWords.MigrationsAreRunAtNextStart(open.Count));
    }

    private static IEnumerable<Finding> Orphans(SqliteConnection c)
    {
        var orphans = c.Query<(string Table, long? Row, string Parent, long Fk)>("pragma foreign_key_check").ToList();
        var tables = string.Join(", ", orphans.GroupBy(o => o.Table).Select(g => $"{g.Count()} of {g.Key}"));
        yield return orphans.Count == 0
            ? new("orphans", false, DoctorWords.EveryRowHasJobItBelongs)
            : new("orphans", true, DoctorWords.RowsBelongToNothing(orphans.Count, tables));
        var jobs = c.Query<(long Id, string What)>(
                """
                select j.id, 'board ' || j.board_id from job j
                where j.board_id is not null and not exists (select 1 from board b where b.id = j.board_id)
                union all
                select j.id, 'block ' || j.block_id from job j
                where j.block_id is not null and not exists (select 1 from block b where b.id = j.block_id)
                """
            )
            .ToList();
        if (jobs.Count > 0)
            yield return new(
                "documents",
                true,
                DoctorWords.DocumentsThatAreGone(
                    HowMany.Count(jobs.Count, "job names", "jobs name"),
                    Some(jobs.Select(j => $"job {j.Id}, {j.What}"))
                )
            );
    }

    /// <summary>Columns that hold JSON have to read as such: one that does not takes its job's page along.</summary>
    private static IEnumerable<Finding> Texts(SqliteConnection c)
    {
        (string Table, string Key, string Column)[] columns =
        [
            ("job", "id", "pad_choices"),
            ("job", "id", "work"),
            ("job_sheet", "job_id", "content"),
            ("job_record", "job_id", "content"),
            ("job_summary", "job_id", "content"),
            ("step_event", "id", "signed"),
            ("drawer_item", "id", "content"),
            ("trace", "id", "state"),
            ("reading", "id", "source"),
            ("reading", "id", "conditions"),
            ("job_log", "id", "source"),
            ("leak_test", "id", "source"),
            ("photo", "id", "source"),
            ("driver_turn", "id", "source"),
            ("driver_turn", "id", "samples"),
        ];
        foreach (var (table, key, column) in columns)
        {
            var bad = c.Query<string>(
                    $"select cast({key} as text) from {table} where {column} is not null and not json_valid({column})"
                )
                .ToList();
            if (bad.Count > 0)
                yield return new("json", true, DoctorWords.DoesNotReadInRows(table, column, bad.Count, Some(bad)));
        }
        yield return new("json", false, DoctorWords.ColumnsOfJSONWereRead(columns.Length));
    }

    /// <summary>Every document is what its digest says.</summary>
    private IEnumerable<Finding> Documents(SqliteConnection c)
    {
        if (digest is null)
            yield break;
        var read = 0;
        var other = new List<string>();
        // those in use, and the versions before them
        var stored = Libraries
            .Select(kind => $"select '{kind} ' || id, document, digest from {kind}")
            .Append("select kind || ' ' || id || ', version ' || version, document, digest from document_version");
        foreach (
            var (name, document, kept) in stored.SelectMany(sql =>
                c.Query<(string, byte[], string)>($"{sql} order by 1", buffered: false)
            )
        )
        {
            read++;
            if (Digest(document) != kept)
                other.Add(name);
        }
        yield return other.Count == 0
            ? new("document-digests", false, DoctorWords.AllDocumentsMatchTheirDigests(read))
            : new(
                "document-digests",
                true,
                DoctorWords.NotMatchDigest(HowMany.Count(other.Count, "document does", "documents do"), Some(other))
            );
    }

    private string? Digest(byte[] document)
    {
        try
        {
            return digest!(document);
        }
        catch (Exception e) when (e is JsonException or InputException or FormatException)
        {
            return null;
        }
    }

    private IEnumerable<Finding> Pictures(SqliteConnection c, bool mend, TimeSpan? most)
    {
        var named = PhotoFiles.Named(c).ToHashSet();
        var there = Directory.Exists(shop.PhotoFolder)
            ? Directory.EnumerateFiles(shop.PhotoFolder).Select(Path.GetFileName).OfType<string>().ToHashSet()
            : [];
        var gone = named.Where(n => !there.Contains(n)).Order(StringComparer.Ordinal).ToList();
        var clock = Stopwatch.StartNew();
        var read = 0;
        var spoilt = new List<string>();
        foreach (var name in named.Where(there.Contains).Order(StringComparer.Ordinal))
        {
            if (most is { } m && clock.Elapsed > m)
                break;
            read++;
            if (!IsItself(name))
                spoilt.Add(name);
        }
        var unclaimed = there
            .Where(t =>
                !named.Contains(t)
                && time.GetUtcNow() - File.GetLastWriteTimeUtc(Path.Combine(shop.PhotoFolder, t)) > Young
            )
            .ToList();
        yield return gone.Count == 0
            ? new(
                "photos",
                false,
                named.Count == 1 ? DoctorWords.OnePictureIsThere : DoctorWords.AllPicturesAreThere(named.Count)
            )
            : new("photos-gone", true, DoctorWords.OfPicturesAreGone(gone.Count, named.Count, Some(gone)));
        if (read < named.Count - gone.Count)
            yield return new("photos-unread", false, DoctorWords.OfThemWereRead(read));
        if (spoilt.Count > 0)
            yield return new(
                "photos-spoilt",
                true,
                DoctorWords.NotWhatWasKept(HowMany.Count(spoilt.Count, "picture is", "pictures are"), Some(spoilt))
            );
        if (unclaimed.Count == 0)
            yield break;
        var text = $"{HowMany.Count(unclaimed.Count, "picture belongs", "pictures belong")} to no record";
        if (!mend)
        {
            yield return new("photos-unclaimed", true, DoctorWords.MendLaysThem(text, Unclaimed));
            yield break;
        }
        var aside = Path.Combine(Path.GetDirectoryName(shop.File)!, Unclaimed);
        Directory.CreateDirectory(aside);
        foreach (var u in unclaimed)
            File.Move(Path.Combine(shop.PhotoFolder, u), Path.Combine(aside, u), overwrite: true);
        yield return new("photos-unclaimed", false, $"{text}.", DoctorWords.LaidIntoNothingWasThrownAway(Unclaimed));
    }

    /// <summary>A picture's name begins with the hash of its content.</summary>
    private bool IsItself(string name)
    {
        using var stream = File.OpenRead(Path.Combine(shop.PhotoFolder, name));
        return Convert
            .ToHexStringLower(SHA256.HashData(stream))
            .StartsWith(Path.GetFileNameWithoutExtension(name), StringComparison.Ordinal);
    }

    /// <summary>Files that were being written when the power went.</summary>
    private IEnumerable<Finding> Leftovers(bool mend)
    {
        var folder = Path.GetDirectoryName(shop.File)!;
        var left = new[] { folder, shop.PhotoFolder, Path.Combine(folder, BackupRing.FolderName) }
            .Where(Directory.Exists)
            .SelectMany(Directory.EnumerateFiles)
            .Where(f =>
                f.Contains(".part", StringComparison.Ordinal) && time.GetUtcNow() - File.GetLastWriteTimeUtc(f) > Young
            )
            .ToList();
        if (left.Count == 0)
            yield break;
        if (mend)
            foreach (var f in left)
                File.Delete(f);
        yield return new(
            "leftovers",
            false,
            DoctorWords.HalfWrittenFilesOfEarlierStop(left.Count),
            mend ? "taken away" : null
        );
    }
}
