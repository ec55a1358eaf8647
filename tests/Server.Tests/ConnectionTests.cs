using System.Collections.Concurrent;
using FaithfulBracket.Store;
using Microsoft.Data.Sqlite;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>A store's connection belongs to one at a time, however many ask at once.</summary>
public sealed class ConnectionTests : IDisposable
{
    private readonly DirectoryInfo _folder = Directory.CreateTempSubdirectory("fb-connections-");

    public void Dispose() => _folder.Delete(recursive: true);

    private static long Ask(SqliteConnection c, string sql)
    {
        using var command = c.CreateCommand();
        command.CommandText = sql;
        return (long)command.ExecuteScalar()!;
    }

    [Fact]
    public void No_connection_is_lent_to_two()
    {
        var held = new ConcurrentDictionary<nint, bool>();
        var twice = 0;
        // a store just opened has none to lend: then everybody asks for a new one
        for (var round = 0; round < 40; round++)
        {
            var store = new ShopDatabase(Path.Combine(_folder.FullName, $"{round}.db"));
            using var begin = new Barrier(12);
            var hands = Enumerable
                .Range(0, 12)
                .Select(i => new Thread(() =>
                {
                    begin.SignalAndWait();
                    for (var r = 0; r < 8; r++)
                    {
                        using var c = store.Open();
                        var handle = c.Handle!.DangerousGetHandle();
                        if (!held.TryAdd(handle, true))
                            Interlocked.Increment(ref twice);
                        Ask(c, "select 1");
                        if (r % 2 == 0)
                            Thread.Yield();
                        held.TryRemove(handle, out _);
                    }
                }))
                .ToList();
            hands.ForEach(h => h.Start());
            hands.ForEach(h => h.Join());
        }
        Assert.Equal(0, twice);
    }

    [Fact]
    public void Each_waits_for_the_disk_and_keeps_foreign_keys_when_it_is_lent_again()
    {
        var store = new ShopDatabase(Path.Combine(_folder.FullName, "shop.db"));
        for (var again = 0; again < 3; again++)
        {
            using var c = store.Open();
            Assert.Equal(2, Ask(c, "pragma synchronous"));
            Assert.Equal(1, Ask(c, "pragma foreign_keys"));
        }
    }

    [Fact]
    public void One_left_in_a_transaction_is_not_lent_again_and_nothing_of_it_stays()
    {
        var store = new ShopDatabase(Path.Combine(_folder.FullName, "shop.db"));
        using (var c = store.Open())
            Run(c, "create table t (x)");
        nint left;
        using (var c = store.Open())
        {
            left = c.Handle!.DangerousGetHandle();
            Run(c, "begin");
            Run(c, "insert into t values (1)");
        }
        using var next = store.Open();
        Assert.Equal(0, Ask(next, "select count(*) from t"));
        // the other hand may write at once
        Run(next, "insert into t values (2)");
        Assert.Equal(1, Ask(next, "select count(*) from t"));
        Assert.NotEqual(0, left);
    }

    [Fact]
    public void Put_down_twice_it_is_given_back_once()
    {
        var store = new ShopDatabase(Path.Combine(_folder.FullName, "shop.db"));
        var c = store.Open();
        c.Dispose();
        c.Dispose();
        using var a = store.Open();
        using var b = store.Open();
        Assert.NotEqual(a.Handle!.DangerousGetHandle(), b.Handle!.DangerousGetHandle());
    }

    private static void Run(SqliteConnection c, string sql)
    {
        using var command = c.CreateCommand();
        command.CommandText = sql;
        command.ExecuteNonQuery();
    }
}
