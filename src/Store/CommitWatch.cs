using Dapper;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>
/// Tells whether anybody else committed since the last look: SQLite counts the commits of all other connections for
/// each open one.
/// </summary>
public sealed class CommitWatch : IDisposable
{
    private readonly SqliteConnection _connection;
    private long _known;

    public CommitWatch(ShopDatabase database)
    {
        _connection = database.Open();
        _known = Version();
    }

    public bool Changed()
    {
        var now = Version();
        if (now == _known)
            return false;
        _known = now;
        return true;
    }

    private long Version() => _connection.ExecuteScalar<long>("pragma data_version");

    public void Dispose() => _connection.Dispose();
}
