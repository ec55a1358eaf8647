using FaithfulBracket.Store.Words;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>
/// Whose turn it is to change the file, in the order they came. SQLite lets one write at a time and has the others look again every
/// so often: who looks at the wrong moments waits for long while others pass.
/// </summary>
/// <param name="most">How long one waits for the turn.</param>
internal sealed class FifoWriteLock(TimeSpan most)
{
    private const int Busy = 5;

    private readonly Lock _lock = new();
    private readonly LinkedList<TaskCompletionSource> _waiting = new();
    private bool _taken;

    /// <summary>How many wait.</summary>
    internal int Waiting
    {
        get
        {
            lock (_lock)
                return _waiting.Count;
        }
    }

    /// <summary>The turn, until it is disposed of.</summary>
    /// <exception cref="SqliteException">It did not come in time.</exception>
    public IDisposable Take()
    {
        var mine = new TaskCompletionSource();
        LinkedListNode<TaskCompletionSource> place;
        lock (_lock)
        {
            if (!_taken)
            {
                _taken = true;
                return new Turn(this);
            }
            place = _waiting.AddLast(mine);
        }
        if (mine.Task.Wait(most))
            return new Turn(this);
        lock (_lock)
            // it may have come between the wait's end and here
            if (place.List is null)
                return new Turn(this);
            else
                _waiting.Remove(place);
        throw new SqliteException(FifoWriteLockWords.AnotherChangeOfShopsFileDid, Busy);
    }

    private void Pass()
    {
        lock (_lock)
            if (_waiting.First is { } next)
            {
                _waiting.RemoveFirst();
                next.Value.SetResult();
            }
            else
                _taken = false;
    }

    private sealed class Turn(FifoWriteLock turn) : IDisposable
    {
        public void Dispose() => turn.Pass();
    }
}
