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

    /// <summary>Hands on what an instrument sends; says "listening" once none of it can be missed any more.</summary>
    public static async Task ListenAsync<T>(
        Func<CancellationToken, IAsyncEnumerable<T>> instrument,
        Say say,
        Func<T, Task> take,
        CancellationToken cancel
    )
    {
        using var stop = CancellationTokenSource.CreateLinkedTokenSource(cancel);
        await using var sent = instrument(stop.Token).GetAsyncEnumerator(stop.Token);
        var next = sent.MoveNextAsync().AsTask();
        try
        {
            await say("listening", null);
            for (; await next; next = sent.MoveNextAsync().AsTask())
                await take(sent.Current);
        }
        finally
        {
            await stop.CancelAsync();
            await Task.WhenAny(next);
        }
    }
}
