using System.Collections.Concurrent;

namespace FaithfulBracket.Server.Http;

/// <summary>How many of a kind each machine holds open, and all machines together.</summary>
internal sealed class OpenCount<TMachine>
    where TMachine : notnull
{
    private readonly ConcurrentDictionary<TMachine, int> _open = new();
    private int _all;

    /// <returns>How many are open with this one.</returns>
    public (int Own, int All) Enter(TMachine machine) =>
        (_open.AddOrUpdate(machine, 1, (_, n) => n + 1), Interlocked.Increment(ref _all));

    public void Leave(TMachine machine)
    {
        Interlocked.Decrement(ref _all);
        if (_open.AddOrUpdate(machine, 0, (_, n) => n - 1) <= 0)
            _open.TryRemove(KeyValuePair.Create(machine, 0));
    }
}
