using System.Collections.Concurrent;
using System.Net;

namespace FaithfulBracket.Server.Lan;

/// <summary>
/// Slows down machines that are refused again and again: each refusal within a minute makes the next answer wait
/// longer.
/// </summary>
internal sealed class StrangerDelay(TimeProvider time)
{
    private const int MaxKnown = 4096,
        Free = 5;

    private static readonly TimeSpan Window = TimeSpan.FromMinutes(1),
        Step = TimeSpan.FromMilliseconds(50),
        Longest = TimeSpan.FromSeconds(2);

    private readonly ConcurrentDictionary<IPAddress, (DateTimeOffset Since, int Count)> _refused = new();

    /// <summary>Counts one refusal and waits as long as the ones before it ask.</summary>
    public Task WaitAsync(IPAddress? from, CancellationToken cancel)
    {
        var now = time.GetUtcNow();
        if (_refused.Count > MaxKnown)
            _refused.Clear();
        var (_, count) = _refused.AddOrUpdate(
            from ?? IPAddress.None,
            (now, 1),
            (_, had) => now - had.Since > Window ? (now, 1) : (had.Since, had.Count + 1)
        );
        var wait = Step * Math.Max(0, count - Free);
        return wait <= TimeSpan.Zero ? Task.CompletedTask : Task.Delay(wait < Longest ? wait : Longest, time, cancel);
    }
}
