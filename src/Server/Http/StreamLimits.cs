using System.Collections.Concurrent;

namespace FaithfulBracket.Server.Http;

/// <summary>
/// How many streams one machine may hold open, and all together. One more is answered 503 with Retry-After, so that open streams can
/// never use up the server's files and memory.
/// </summary>
internal sealed class StreamLimits
{
    public const int MaxOfOne = 300,
        MaxOfAll = 1000;

    private readonly ConcurrentDictionary<string, int> _open = new();
    private int _all;

    /// <param name="machine">The device or address that opens it.</param>
    /// <exception cref="BusyException">Too many are open.</exception>
    public IDisposable Take(string machine)
    {
        if (Interlocked.Increment(ref _all) > MaxOfAll)
        {
            Interlocked.Decrement(ref _all);
            throw new BusyException($"{MaxOfAll} streams are open. Close pages that are not used, then try again.");
        }
        if (_open.AddOrUpdate(machine, 1, (_, n) => n + 1) > MaxOfOne)
        {
            Give(machine);
            throw new BusyException(
                $"This machine has {MaxOfOne} streams open. Close pages that are not used, then try again."
            );
        }
        return new Place(this, machine);
    }

    private void Give(string machine)
    {
        Interlocked.Decrement(ref _all);
        if (_open.AddOrUpdate(machine, 0, (_, n) => n - 1) <= 0)
            _open.TryRemove(KeyValuePair.Create(machine, 0));
    }

    private sealed class Place(StreamLimits limits, string machine) : IDisposable
    {
        private int _given;

        public void Dispose()
        {
            if (Interlocked.Exchange(ref _given, 1) == 0)
                limits.Give(machine);
        }
    }
}
