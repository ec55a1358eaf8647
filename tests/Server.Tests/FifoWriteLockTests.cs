using FaithfulBracket.Store;
using Microsoft.Data.Sqlite;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>Changes of the shop's file go one after the other, in the order they came.</summary>
public sealed class FifoWriteLockTests
{
    /// <summary>Long enough for whoever is to be served in time.</summary>
    private static readonly TimeSpan Long = TimeSpan.FromMinutes(1);

    /// <summary>One who waits; it stands in line when this returns.</summary>
    private static Thread Stands(FifoWriteLock turn, Action<IDisposable> served)
    {
        var before = turn.Waiting;
        var thread = new Thread(() => served(turn.Take()));
        thread.Start();
        Assert.True(SpinWait.SpinUntil(() => turn.Waiting == before + 1, Long));
        return thread;
    }

    [Fact]
    public void Who_came_first_is_served_first()
    {
        var turn = new FifoWriteLock(Long);
        var served = new List<int>();
        var held = turn.Take();
        var line = Enumerable
            .Range(0, 12)
            .Select(i =>
                Stands(
                    turn,
                    mine =>
                    {
                        served.Add(i);
                        mine.Dispose();
                    }
                )
            )
            .ToList();
        Assert.Empty(served);
        held.Dispose();
        line.ForEach(t => t.Join());
        Assert.Equal(Enumerable.Range(0, 12), served);
        Assert.Equal(0, turn.Waiting);
    }

    [Fact]
    public void Nobody_has_the_turn_while_another_has_it()
    {
        var turn = new FifoWriteLock(Long);
        var (inside, twice, done) = (0, 0, 0);
        var hands = Enumerable
            .Range(0, 6)
            .Select(_ => new Thread(() =>
            {
                for (var i = 0; i < 500; i++)
                    using (turn.Take())
                    {
                        if (Interlocked.Increment(ref inside) > 1)
                            Interlocked.Increment(ref twice);
                        done++;
                        Interlocked.Decrement(ref inside);
                    }
            }))
            .ToList();
        hands.ForEach(h => h.Start());
        hands.ForEach(h => h.Join());
        Assert.Equal(0, twice);
        Assert.Equal(6 * 500, done);
    }

    [Fact]
    public void Who_waited_too_long_is_told_so_and_leaves_the_line()
    {
        var turn = new FifoWriteLock(TimeSpan.FromMilliseconds(1));
        using (turn.Take())
        {
            var busy = Assert.Throws<SqliteException>(() => turn.Take());
            Assert.Equal(5, busy.SqliteErrorCode);
            Assert.Equal(0, turn.Waiting);
        }
        using var after = turn.Take();
        Assert.NotNull(after);
    }

    [Fact]
    public void A_change_that_fails_passes_the_turn_on()
    {
        var folder = Directory.CreateTempSubdirectory("fb-turn-");
        try
        {
            var store = new ShopDatabase(Path.Combine(folder.FullName, "shop.db"));
            Assert.Throws<InvalidOperationException>(() =>
                store.Change<int>((_, _) => throw new InvalidOperationException("no"))
            );
            Assert.Equal(7, store.Change((_, _) => 7));
        }
        finally
        {
            folder.Delete(recursive: true);
        }
    }
}
