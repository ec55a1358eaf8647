using System.IO.Compression;
using System.Reflection;
using System.Security.Cryptography;
using System.Text.Json;
using Dapper;
using FaithfulBracket.Store.Words.Backups;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store.Backups;

/// <summary>A file inside a backup.</summary>
public sealed record BackedUpFile(string Name, long Bytes, string Sha256);

/// <summary>What a backup says of itself.</summary>
/// <param name="Format">Always <see cref="Backup.Format"/>.</param>
/// <param name="Migrations">The last migration the database had.</param>
/// <param name="Missing">Pictures that the database names and that were not on the disk.</param>
public sealed record BackupManifest(
    string Format,
    int Version,
    string At,
    string Program,
    string Migrations,
    IReadOnlyList<BackedUpFile> Files,
    IReadOnlyList<TableDigest> Tables,
    IReadOnlyList<string> Missing
)
{
    public long Rows => Tables.Sum(t => t.Rows);
}

/// <summary>A backup cannot be read, or is not what it says.</summary>
public sealed class BackupFaultException(string message) : Exception(message);

/// <summary>
/// The whole shop in one zip file: a snapshot of the database, every picture it names, and their hashes. Written
/// beside its place, read back and checked, then put there in one move.
/// </summary>
public static class Backup
{
    public const string Format = "faithful-bracket/backup";
    private const int FormatVersion = 1;
    private const string ManifestName = "manifest.json",
        DatabaseName = "shop.db",
        PhotoPrefix = "photos/";

    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web) { WriteIndented = true };

    /// <summary>Safe while the shop is at work: it reads one state and holds up nobody.</summary>
    /// <param name="told">Told the share that is done, 0 to 1.</param>
    /// <exception cref="BackupFaultException">What was written does not read back as it was.</exception>
    public static BackupManifest Write(
        ShopDatabase shop,
        string file,
        TimeProvider time,
        Action<double>? told = null,
        CancellationToken cancel = default
    )
    {
        var target = Path.GetFullPath(file);
        Directory.CreateDirectory(Path.GetDirectoryName(target)!);
        var beside = $"{target}.{Path.GetRandomFileName()}.part";
        var snapshot = $"{beside}.db";
        try
        {
            using (var c = shop.Open())
                c.Execute("vacuum into @snapshot", new { snapshot });
            var manifest = Pack(shop, snapshot, beside, time, new(told, WrittenShare, cancel));
            _ = Check(beside, $"{beside}.look", new(told, 1 - WrittenShare, cancel) { From = WrittenShare });
            File.Move(beside, target, overwrite: true);
            return manifest;
        }
        finally
        {
            File.Delete(beside);
            File.Delete(snapshot);
        }
    }

    /// <summary>Of the work, what writing is; the rest is reading back.</summary>
    private const double WrittenShare = 0.5;

    private static BackupManifest Pack(
        ShopDatabase shop,
        string snapshot,
        string beside,
        TimeProvider time,
        Progress progress
    )
    {
        using var c = ReadOnly(snapshot);
        var pictures = PhotoFiles.Named(c);
        progress.All =
            new FileInfo(snapshot).Length
            + pictures
                .Select(p => new FileInfo(Path.Combine(shop.PhotoFolder, p)))
                .Where(f => f.Exists)
                .Sum(f => f.Length);
        var files = new List<BackedUpFile>();
        var missing = new List<string>();
        using var stream = new FileStream(beside, FileMode.CreateNew, FileAccess.ReadWrite);
        BackupManifest manifest;
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
        {
            files.Add(Put(zip, DatabaseName, snapshot, CompressionLevel.Fastest, progress));
            foreach (var picture in pictures)
            {
                var path = Path.Combine(shop.PhotoFolder, picture);
                if (File.Exists(path))
                    // pictures are packed already
                    files.Add(Put(zip, PhotoPrefix + picture, path, CompressionLevel.NoCompression, progress));
                else
                    missing.Add(picture);
            }
            manifest = new(
                Format,
                FormatVersion,
                Stamp.Format(time),
                Assembly.GetEntryAssembly()?.GetName().Version?.ToString() ?? "0",
                c.ExecuteScalar<string>("select max(ScriptName) from SchemaVersions") ?? "",
                files,
                RowDigests.Compute(c),
                missing
            );
            using var entry = zip.CreateEntry(ManifestName).Open();
            JsonSerializer.Serialize(entry, manifest, Json);
        }
        stream.Flush(flushToDisk: true);
        return manifest;
    }

    private static BackedUpFile Put(ZipArchive zip, string name, string path, CompressionLevel level, Progress progress)
    {
        using var from = new FileStream(path, FileMode.Open, FileAccess.Read, FileShare.ReadWrite | FileShare.Delete);
        using var to = zip.CreateEntry(name, level).Open();
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        var bytes = Copy(from, to, hash, progress);
        return new(name, bytes, Convert.ToHexStringLower(hash.GetHashAndReset()));
    }

    /// <summary>How much of so many bytes is done; it ends the work where it is stopped.</summary>
    private sealed record Progress(Action<double>? Told, double Share, CancellationToken Cancel)
    {
        private long _done;

        public double From { get; init; }
        public long All { get; set; }

        public void Add(int bytes)
        {
            Cancel.ThrowIfCancellationRequested();
            _done += bytes;
            Told?.Invoke(From + Share * Math.Min(1, _done / (double)Math.Max(1, All)));
        }
    }

    private static long Copy(Stream from, Stream? to, IncrementalHash hash, Progress progress)
    {
        var chunk = new byte[1 << 16];
        long bytes = 0;
        for (int n; (n = from.Read(chunk)) > 0; bytes += n)
        {
            hash.AppendData(chunk.AsSpan(0, n));
            to?.Write(chunk.AsSpan(0, n));
            progress.Add(n);
        }
        return bytes;
    }

    /// <summary>
    /// Reads a backup through: every file there, every hash right, the database whole and row for row what it says.
    /// </summary>
    /// <exception cref="BackupFaultException">With what is wrong.</exception>
    public static BackupManifest Check(string file) =>
        Check(file, Directory.CreateTempSubdirectory("fb-backup-").FullName, new(null, 1, CancellationToken.None));

    /// <param name="folder">Where the database is laid to be looked at; taken away afterwards.</param>
    private static BackupManifest Check(string file, string folder, Progress progress)
    {
        try
        {
            Directory.CreateDirectory(folder);
            return Unpack(file, folder, progress, keeps: false);
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }

    /// <summary>Puts a shop back into a folder that holds none.</summary>
    /// <exception cref="BackupFaultException">
    /// The backup is not whole, or the folder holds a shop. Nothing was changed then.
    /// </exception>
    public static BackupManifest Restore(string file, string folder)
    {
        var target = Path.GetFullPath(folder);
        // a log left beside a database that is gone would be played into the one put back
        if (Directory.Exists(target) && Directory.EnumerateFiles(target, $"{DatabaseName}*").Any())
            throw new BackupFaultException(BackupWords.HoldsShopAlready(target));
        var parent = Path.GetDirectoryName(target)!;
        Directory.CreateDirectory(parent);
        // what an earlier try left that was killed
        var own = $".restore-{Path.GetFileName(target)}-";
        foreach (var left in Directory.EnumerateDirectories(parent, $"{own}*"))
            Directory.Delete(left, recursive: true);
        var beside = Path.Combine(parent, own + Path.GetRandomFileName());
        Directory.CreateDirectory(beside);
        try
        {
            var manifest = Unpack(file, beside, new(null, 1, CancellationToken.None), keeps: true);
            var database = Path.Combine(beside, DatabaseName);
            if (DatabaseError.Look(database, database) is { } trouble)
                throw new BackupFaultException(
                    trouble.Code == "newer"
                        ? BackupWords.WasWrittenByNewerVersion(file)
                        : $"{file} cannot be restored: {trouble.Sentence}"
                );
            ShutOut(database, Stamp.Format(DateTimeOffset.UtcNow));
            Directory.CreateDirectory(Path.Combine(target, "photos"));
            foreach (var photo in Directory.EnumerateFiles(Path.Combine(beside, "photos")))
                File.Move(photo, Path.Combine(target, "photos", Path.GetFileName(photo)), overwrite: true);
            // the database last: with it the shop is there
            File.Move(Path.Combine(beside, DatabaseName), Path.Combine(target, DatabaseName));
            return manifest;
        }
        finally
        {
            Directory.Delete(beside, recursive: true);
        }
    }

    /// <summary>A tablet that was shut out after the backup would come in again: each is paired anew.</summary>
    private static void ShutOut(string database, string now)
    {
        using var c = new SqliteConnection($"Data Source={database};Pooling=False");
        c.Open();
        if (c.ExecuteScalar<long>("select count(*) from sqlite_master where name = 'device'") > 0)
            c.Execute("update device set revoked_at = @now where revoked_at is null", new { now });
    }

    /// <param name="keeps">
    /// Whether what is unpacked stays: else pictures are only read through, and nothing is forced to the disk.
    /// </param>
    private static BackupManifest Unpack(string file, string folder, Progress progress, bool keeps)
    {
        Directory.CreateDirectory(Path.Combine(folder, "photos"));
        try
        {
            using var zip = ZipFile.OpenRead(file);
            var manifest = ManifestOf(zip, file);
            progress.All = manifest.Files.Sum(f => f.Bytes);
            foreach (var f in manifest.Files)
                Take(zip, f, folder, progress, keeps);
            using var c = ReadOnly(Path.Combine(folder, DatabaseName));
            if (c.ExecuteScalar<string>("pragma integrity_check") is var whole && whole != "ok")
                throw new BackupFaultException(BackupWords.DatabaseInIsDamaged(file, whole));
            var rows = RowDigests.Compute(c).ToDictionary(t => t.Table);
            foreach (var t in manifest.Tables)
                if (rows.GetValueOrDefault(t.Table) != t)
                    throw new BackupFaultException(BackupWords.TableInIs(t.Table, file));
            return manifest;
        }
        catch (Exception e) when (e is InvalidDataException or SqliteException or JsonException)
        {
            throw new BackupFaultException(BackupWords.IsNotWholeBackup(file, e.Message));
        }
        catch (FileNotFoundException)
        {
            throw new BackupFaultException(BackupWords.ThereIsNoFile(file));
        }
    }

    private static BackupManifest ManifestOf(ZipArchive zip, string file)
    {
        var entry = zip.GetEntry(ManifestName);
        using var stream = entry?.Open();
        var manifest = stream is null ? null : JsonSerializer.Deserialize<BackupManifest>(stream, Json);
        if (manifest is not { Format: Format, Files: not null, Tables: not null })
            throw new BackupFaultException(BackupWords.IsNotBackupOfShop(file));
        if (manifest.Version > FormatVersion)
            throw new BackupFaultException(BackupWords.WasWrittenByNewerVersionOfThisProgram(file));
        return manifest;
    }

    private static void Take(ZipArchive zip, BackedUpFile f, string folder, Progress progress, bool keeps)
    {
        // a name may lead nowhere but into the folder
        var name = f.Name.StartsWith(PhotoPrefix, StringComparison.Ordinal) ? f.Name[PhotoPrefix.Length..] : f.Name;
        if (name != Path.GetFileName(name) || f.Name == name && name != DatabaseName)
            throw new BackupFaultException(BackupWords.IsNotFileOfBackup(f.Name));
        var entry = zip.GetEntry(f.Name) ?? throw new BackupFaultException(BackupWords.IsMissingInBackup(f.Name));
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        using var from = entry.Open();
        using var to =
            keeps || f.Name == DatabaseName
                ? new FileStream(Path.Combine(folder, f.Name), FileMode.CreateNew, FileAccess.Write)
                : null;
        var bytes = Copy(from, to, hash, progress);
        to?.Flush(flushToDisk: keeps);
        if (bytes != f.Bytes || Convert.ToHexStringLower(hash.GetHashAndReset()) != f.Sha256)
            throw new BackupFaultException(BackupWords.IsNotWhatWasBackedUp(f.Name));
    }

    private static SqliteConnection ReadOnly(string file)
    {
        var c = new SqliteConnection($"Data Source={file};Mode=ReadOnly;Pooling=False");
        c.Open();
        return c;
    }
}
