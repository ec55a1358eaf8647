using System.Data.Common;
using System.Diagnostics;
using System.Runtime.CompilerServices;
using Dapper;
using DbUp;
using DbUp.Sqlite.Helpers;
using FaithfulBracket.Store.Words;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>
/// The shop's one SQLite file: write-ahead log, foreign keys on, every commit on disk before it returns.
/// </summary>
public sealed class ShopDatabase
{
    private readonly string _connection;
    private readonly ConnectionPool _shelf;

    private readonly long? _mostPages;

    /// <param name="mostMb">What the file may grow to, MB; as large as the disk when null.</param>
    /// <param name="readOnly">
    /// Only read, as one looks at a backup; else told by whether the folder can be written.
    /// </param>
    public ShopDatabase(string file, int? mostMb = null, bool readOnly = false)
    {
        File = Path.GetFullPath(file);
        _mostPages = mostMb * 1024L * 1024 / PageBytes;
        ReadOnly = readOnly || !CanWrite(Path.GetDirectoryName(File)!);
        _connection = new SqliteConnectionStringBuilder
        {
            DataSource = Source,
            Mode = ReadOnly ? SqliteOpenMode.ReadOnly : SqliteOpenMode.ReadWriteCreate,
            ForeignKeys = true,
            DefaultTimeout = WaitsS,
            // see ConnectionShelf
            Pooling = false,
        }.ToString();
        _shelf = new(_connection, Prepare);
    }

    /// <summary>
    /// The file as a connection names it: where nothing can be written no log can be opened, and without one it is
    /// read as it stands.
    /// </summary>
    private string Source =>
        ReadOnly && new FileInfo($"{File}-wal") is not { Exists: true, Length: > 0 }
            ? $"file:{File}?immutable=1"
            : File;

    private const int PageBytes = 4096;

    /// <summary>How long a change waits for its turn, s.</summary>
    private const int WaitsS = 10;

    /// <summary>Whether the folder can only be read.</summary>
    public bool ReadOnly { get; }

    /// <summary>
    /// Why the file cannot be worked with, looked at before anything is written; null when all is well.
    /// </summary>
    public DatabaseError? Look() =>
        ReadOnly && !System.IO.File.Exists(File)
            ? new("read-only", ShopDatabaseWords.FolderCanNotBeWritten(Path.GetDirectoryName(File)))
            : DatabaseError.Look(File, Source);

    private static bool CanWrite(string folder)
    {
        try
        {
            Directory.CreateDirectory(folder);
            using var probe = new FileStream(
                Path.Combine(folder, Path.GetRandomFileName()),
                FileMode.CreateNew,
                FileAccess.Write,
                FileShare.None,
                1,
                FileOptions.DeleteOnClose
            );
            // an empty file can still be made on a full disk
            probe.Write(new byte[PageBytes]);
            probe.Flush(flushToDisk: true);
            return true;
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            return false;
        }
    }

    public string File { get; }

    /// <summary>Photos lie beside the database.</summary>
    public string PhotoFolder => Path.Combine(Path.GetDirectoryName(File)!, "photos");

    /// <summary>
    /// Whether the file is of an earlier version and has to be migrated before it can be worked with.
    /// </summary>
    public bool NeedsMigration()
    {
        if (!System.IO.File.Exists(File))
            return false;
        using var c = Open();
        return MigrationScripts.Open(c).Count > 0;
    }

    /// <summary>
    /// Brings the file to the newest shape, all migrations or none; existing rows stay. A shop that holds something is
    /// backed up first.
    /// </summary>
    /// <exception cref="InvalidOperationException">A migration failed; the file is as it was before.</exception>
    public void Migrate(TimeProvider? time = null)
    {
        if (ReadOnly)
            return;
        using (var c = Open())
        {
            c.Execute("pragma journal_mode = wal");
            if (MigrationScripts.Newest(c) is { } from && MigrationScripts.Open(c).Count > 0)
                Backups.UpgradeBackups.Write(this, from, time ?? TimeProvider.System);
        }
        // tables are rebuilt in migrations: what refers to them is checked once all is done
        var unchecked_ = new SqliteConnectionStringBuilder(_connection) { ForeignKeys = false }.ToString();
        using var own = new SqliteConnection(unchecked_);
        own.Open();
        Prepare(own);
        var result = DeployChanges
            .To.SqliteDatabase(new SharedConnection(own))
            .WithScriptsEmbeddedInAssembly(typeof(ShopDatabase).Assembly)
            .WithTransaction()
            .LogToNowhere()
            .Build()
            .PerformUpgrade();
        if (!result.Successful)
            throw new InvalidOperationException(
                $"Migration {result.ErrorScript?.Name} failed: {result.Error?.Message}",
                result.Error
            );
    }

    /// <summary>A connection of one's own until it is disposed of.</summary>
    public SqliteConnection Open() => _shelf.Lend();

    private void Prepare(SqliteConnection c)
    {
        c.Execute("pragma synchronous = full");
        if (_mostPages is { } most)
            c.Execute($"pragma max_page_count = {most}");
    }

    private readonly FifoWriteLock _turn = new(TimeSpan.FromSeconds(WaitsS));

    /// <summary>Told of each change that took long, after it.</summary>
    public event Action<SlowChange>? Slow;

    /// <summary>
    /// Runs a change in one transaction that holds the write lock from the start; changes go in the order they came.
    /// </summary>
    public T Change<T>(
        Func<SqliteConnection, DbTransaction, T> change,
        [CallerFilePath] string file = "",
        [CallerMemberName] string member = ""
    )
    {
        var asked = Stopwatch.GetTimestamp();
        using var turn = _turn.Take();
        var (begun, written) = (Stopwatch.GetTimestamp(), 0L);
        try
        {
            using var c = Open();
            using var t = c.BeginTransaction(deferred: false);
            var result = change(c, t);
            written = Stopwatch.GetTimestamp();
            t.Commit();
            return result;
        }
        finally
        {
            var ended = Stopwatch.GetTimestamp();
            if (Stopwatch.GetElapsedTime(asked, ended) >= SlowChange.From)
                Slow?.Invoke(
                    new(
                        $"{Path.GetFileNameWithoutExtension(file)}.{member}",
                        Stopwatch.GetElapsedTime(asked, begun),
                        Stopwatch.GetElapsedTime(begun, written == 0 ? ended : written),
                        Stopwatch.GetElapsedTime(written == 0 ? ended : written, ended)
                    )
                );
        }
    }
}
