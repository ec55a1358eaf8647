using System.Text.Json;
using Microsoft.AspNetCore.Http.Features;

namespace FaithfulBracket.Server.Http;

/// <summary>Server-sent events: a name and a JSON value each, until the page is left or the server stops.</summary>
internal static class EventStream
{
    public delegate Task Say(string name, object? value);

    private static string Machine(HttpContext context) =>
        Lan.DeviceGate.DeviceOf(context) is { } device
            ? $"device {device}"
            : context.Connection.RemoteIpAddress?.ToString() ?? "";

    /// <exception cref="BusyException">Too many streams are open.</exception>
    public static async Task RunAsync(
        HttpContext context,
        IHostApplicationLifetime life,
        Func<Say, CancellationToken, Task> send
    )
    {
        using var place = context.RequestServices.GetRequiredService<StreamLimits>().Take(Machine(context));
        using var stop = CancellationTokenSource.CreateLinkedTokenSource(
            context.RequestAborted,
            life.ApplicationStopping
        );
        context.Response.ContentType = "text/event-stream";
        context.Response.Headers.CacheControl = "no-store";
        context.Features.Get<IHttpResponseBodyFeature>()?.DisableBuffering();
        var json = ResponseText.Options(context);
        async Task SayAsync(string name, object? value)
        {
            await context.Response.WriteAsync(
                $"event: {name}\ndata: {(value is null ? "" : JsonSerializer.Serialize(value, json))}\n\n",
                stop.Token
            );
            await context.Response.Body.FlushAsync(stop.Token);
        }
        try
        {
            await SayAsync("open", null);
            await send(SayAsync, stop.Token);
        }
        catch (OperationCanceledException)
        { /* the page was left or the server stops */
        }
    }

    /// <summary>How long what an instrument has begun may go on once its caller has left.</summary>
    private static readonly TimeSpan MaxRest = TimeSpan.FromSeconds(30);

    /// <summary>Hands on what an instrument sends; says "listening" once none of it can be missed any more.</summary>
    /// <param name="unfinished">What is heard to its end even if the caller leaves meanwhile; nothing where absent.</param>
    public static async Task ListenAsync<T>(
        Func<CancellationToken, IAsyncEnumerable<T>> instrument,
        Say say,
        Func<T, Task> take,
        CancellationToken cancel,
        Func<bool>? unfinished = null
    )
    {
        bool IsUnfinished() => unfinished?.Invoke() == true;
        using var stop = new CancellationTokenSource();
        await using var left = cancel.Register(() => stop.CancelAfter(IsUnfinished() ? MaxRest : TimeSpan.Zero));
        await using var sent = instrument(stop.Token).GetAsyncEnumerator(stop.Token);
        var next = sent.MoveNextAsync().AsTask();
        try
        {
            await say("listening", null);
            for (; await next; next = sent.MoveNextAsync().AsTask())
            {
                try
                {
                    await take(sent.Current);
                }
                catch (OperationCanceledException) when (IsUnfinished())
                { /* nobody is told any more */
                }
                if (cancel.IsCancellationRequested && !IsUnfinished())
                    break;
            }
        }
        finally
        {
            await stop.CancelAsync();
            await Task.WhenAny(next);
        }
    }
}
