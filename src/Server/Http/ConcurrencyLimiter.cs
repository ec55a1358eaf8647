using System.Diagnostics;
using System.Globalization;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Words.Http;

namespace FaithfulBracket.Server.Http;

/// <summary>
/// At most two heavy computations run at once; the others wait in line, and the line is short. The body is read before a place is
/// taken, so that a slow sender holds nobody up, and who hangs up leaves the line.
/// </summary>
internal sealed class ConcurrencyLimiter : IDisposable
{
    /// <summary>Two at once, and so many more in line.</summary>
    public const int AtOnce = 2,
        MaxWaiting = 32;

    private readonly SemaphoreSlim _places = new(AtOnce, AtOnce);
    private int _waiting;

    /// <summary>Endpoint filter: waits for a place and says how many were ahead.</summary>
    public async ValueTask<object?> QueueAsync(EndpointFilterInvocationContext context, EndpointFilterDelegate next)
    {
        var http = context.HttpContext;
        if (!http.Request.HasFormContentType)
            http.Request.Body = new MemoryStream((await Bodies.BytesAsync(http.Request, JsonInput.MaxBytes)).ToArray());
        var clock = Stopwatch.StartNew();
        using var place = await TakeAsync(http);
        http.Items[nameof(Waited)] = clock.Elapsed;
        return await next(context);
    }

    /// <summary>How long a call stood in line: work that answers in portions takes it off its own.</summary>
    public static TimeSpan Waited(HttpContext http) =>
        http.Items.TryGetValue(nameof(Waited), out var waited) ? (TimeSpan)waited! : TimeSpan.Zero;

    /// <exception cref="BusyException">The line is full.</exception>
    private async Task<IDisposable> TakeAsync(HttpContext http)
    {
        var ahead = Interlocked.Increment(ref _waiting) - 1;
        try
        {
            if (ahead >= MaxWaiting)
                throw new BusyException(ConcurrencyLimiterWords.ComputationsRunAndWaitAlready(AtOnce, MaxWaiting));
            if (!_places.Wait(0, CancellationToken.None))
            {
                http.Response.Headers["Queued-Behind"] = (ahead + AtOnce).ToString(CultureInfo.InvariantCulture);
                await _places.WaitAsync(http.RequestAborted);
            }
        }
        finally
        {
            Interlocked.Decrement(ref _waiting);
        }
        return new Place(_places);
    }

    public void Dispose() => _places.Dispose();

    private sealed class Place(SemaphoreSlim places) : IDisposable
    {
        public void Dispose() => places.Release();
    }
}

/// <summary>Too many ask at once.</summary>
internal sealed class BusyException(string message) : Exception(message);
