using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using System.Threading.Channels;

namespace FaithfulBracket.Instruments;

/// <summary>Hands every listener what is sent from now on; a listener that falls far behind loses the oldest.</summary>
public sealed class Broadcast<T>
{
    private const int MaxWaiting = 1000;
    private readonly ConcurrentDictionary<Channel<T>, byte> _listeners = new();

    public void Send(T value)
    {
        foreach (var listener in _listeners.Keys)
            listener.Writer.TryWrite(value);
    }

    public async IAsyncEnumerable<T> Listen([EnumeratorCancellation] CancellationToken cancel)
    {
        var own = Channel.CreateBounded<T>(
            new BoundedChannelOptions(MaxWaiting) { FullMode = BoundedChannelFullMode.DropOldest }
        );
        _listeners[own] = 0;
        try
        {
            await foreach (var value in own.Reader.ReadAllAsync(cancel))
                yield return value;
        }
        finally
        {
            _listeners.TryRemove(own, out _);
        }
    }
}
