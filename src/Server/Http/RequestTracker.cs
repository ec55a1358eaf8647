namespace FaithfulBracket.Server.Http;

/// <summary>Counts calls that somebody waits for, so that what is done in the background gives them the processor.</summary>
internal sealed class RequestTracker
{
    /// <summary>How long the background waits at most for a moment without calls, and how often it looks.</summary>
    private static readonly TimeSpan Most = TimeSpan.FromSeconds(1),
        Look = TimeSpan.FromMilliseconds(10);

    private int _calls;

    /// <summary>A call counts until its answer begins: what is sent piece by piece may go on for hours.</summary>
    public async Task CountAsync(HttpContext context, RequestDelegate next)
    {
        var counted = 1;
        void Done()
        {
            if (Interlocked.Exchange(ref counted, 0) == 1)
                Interlocked.Decrement(ref _calls);
        }
        Interlocked.Increment(ref _calls);
        context.Response.OnStarting(() =>
        {
            Done();
            return Task.CompletedTask;
        });
        try
        {
            await next(context);
        }
        finally
        {
            Done();
        }
    }

    /// <summary>Returns in the next moment without calls, or after a second of nothing else.</summary>
    public async Task QuietAsync(TimeProvider time, CancellationToken stop)
    {
        for (var until = time.GetUtcNow() + Most; Volatile.Read(ref _calls) > 0 && time.GetUtcNow() < until; )
            await Task.Delay(Look, time, stop);
    }
}
