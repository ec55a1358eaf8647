using System.Data.Common;
using Dapper;
using DbUp;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>The shop's one SQLite file: write-ahead log, foreign keys on, every commit on disk before it returns.</summary>
public sealed class ShopDatabase
{
    private readonly string _connection;

    public ShopDatabase(string file)
    {
        File = Path.GetFullPath(file);
        Directory.CreateDirectory(Path.GetDirectoryName(File)!);
        _connection = new SqliteConnectionStringBuilder
        {
            DataSource = File,
            ForeignKeys = true,
            DefaultTimeout = 10,
        }.ToString();
    }

    public string File { get; }

    /// <summary>Photos lie beside the database.</summary>
    public string PhotoFolder => Path.Combine(Path.GetDirectoryName(File)!, "photos");

    /// <summary>Brings the file to the newest shape; existing rows stay.</summary>
    /// <exception cref="InvalidOperationException">A migration failed; the file is as it was before that migration.</exception>
    public void Migrate()
    {
        using (var c = Open())
            c.Execute("pragma journal_mode = wal");
        // tables are rebuilt in migrations: what refers to them is checked once all is done
        var unchecked_ = new SqliteConnectionStringBuilder(_connection) { ForeignKeys = false }.ToString();
        var result = DeployChanges
            .To.SqliteDatabase(unchecked_)
            .WithScriptsEmbeddedInAssembly(typeof(ShopDatabase).Assembly)
            .WithTransactionPerScript()
            .LogToNowhere()
            .Build()
            .PerformUpgrade();
        if (!result.Successful)
            throw new InvalidOperationException(
                $"Migration {result.ErrorScript?.Name} failed: {result.Error?.Message}",
                result.Error
            );
    }

    public SqliteConnection Open()
    {
        var c = new SqliteConnection(_connection);
        c.Open();
        c.Execute("pragma synchronous = full");
        return c;
    }

    /// <summary>Runs a change in one transaction that holds the write lock from the start.</summary>
    public T Change<T>(Func<SqliteConnection, DbTransaction, T> change)
    {
        using var c = Open();
        using var t = c.BeginTransaction(deferred: false);
        var result = change(c, t);
        t.Commit();
        return result;
    }
}
