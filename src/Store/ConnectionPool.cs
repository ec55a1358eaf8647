using System.Collections.Concurrent;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>
/// Open connections, each lent to one at a time. The library's own pool can lend one to two: while a connection is given back it
/// counts as lost for a moment, and whoever finds the pool empty just then takes it back a second time.
/// </summary>
/// <param name="connection">Without pooling.</param>
/// <param name="prepare">Done once for each new connection.</param>
internal sealed class ConnectionPool(string connection, Action<SqliteConnection> prepare)
{
    /// <summary>More than these are closed when they come back.</summary>
    private const int MaxIdle = 32;

    private readonly ConcurrentStack<LentConnection> _idle = new();

    /// <summary>A connection of the caller's own until it is disposed of.</summary>
    public SqliteConnection Lend()
    {
        if (_idle.TryPop(out var known))
        {
            known.Lent();
            return known;
        }
        var fresh = new LentConnection(connection, this);
        try
        {
            fresh.Open();
            prepare(fresh);
            fresh.Lent();
            return fresh;
        }
        catch
        {
            fresh.Dispose();
            throw;
        }
    }

    /// <summary>Whether it stays open for the next one.</summary>
    private bool Keep(LentConnection back)
    {
        if (_idle.Count >= MaxIdle || !back.IsClean)
            return false;
        _idle.Push(back);
        return true;
    }

    private sealed class LentConnection(string connection, ConnectionPool shelf) : SqliteConnection(connection)
    {
        private const int Fresh = 0,
            InHand = 1,
            Idle = 2;

        private int _where = Fresh;

        public void Lent() => Volatile.Write(ref _where, InHand);

        /// <summary>Open, and in no transaction that somebody left behind.</summary>
        public bool IsClean =>
            State == System.Data.ConnectionState.Open
            && Transaction is null
            && SQLitePCL.raw.sqlite3_get_autocommit(Handle) != 0;

        protected override void Dispose(bool disposing)
        {
            if (disposing)
                switch (Interlocked.CompareExchange(ref _where, Idle, InHand))
                {
                    case InHand when shelf.Keep(this):
                    // put down twice it is given back once
                    case Idle:
                        return;
                }
            base.Dispose(disposing);
        }
    }
}
