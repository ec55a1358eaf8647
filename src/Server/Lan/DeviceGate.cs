using System.Collections.Concurrent;
using System.Net;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Lan;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.Mvc;

namespace FaithfulBracket.Server.Lan;

/// <summary>
/// Who comes over the shop's network needs a device's key, and comes over HTTPS. This machine itself needs none. A
/// device that is shut out loses its open streams at once.
/// </summary>
internal sealed class DeviceGate(Devices devices, StrangerDelay delay, TimeProvider time) : IDisposable
{
    public const string Cookie = "__Host-fb-device";
    public const string PairPage = "/pair";
    private static readonly TimeSpan SeenEvery = TimeSpan.FromMinutes(5);

    private readonly ConcurrentDictionary<long, CancellationTokenSource> _open = new();
    private readonly ConcurrentDictionary<long, DateTimeOffset> _seen = new();

    /// <summary>The device a request comes from; null for this machine itself.</summary>
    public static long? DeviceOf(HttpContext context) => context.Items[typeof(DeviceGate)] as long?;

    /// <summary>Whether a request comes from this machine itself, over its own address.</summary>
    public static bool IsHere(HttpContext context) =>
        !context.Request.IsHttps && (context.Connection.RemoteIpAddress is not { } from || IPAddress.IsLoopback(from));

    public async Task CheckAsync(HttpContext context, RequestDelegate next)
    {
        if (IsHere(context))
        {
            await next(context);
            return;
        }
        if (!context.Request.IsHttps)
        {
            await RefuseAsync(context, StatusCodes.Status403Forbidden, DeviceGateWords.OnlyHTTPSIsAnsweredFromOther);
            return;
        }
        context.Response.Headers.StrictTransportSecurity = "max-age=31536000";
        if (context.Request.Cookies[Cookie] is { Length: > 0 and < 200 } token && devices.Find(token) is { } device)
        {
            await AsDeviceAsync(context, next, device, token);
            return;
        }
        if (context.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } limit)
            limit.MaxRequestBodySize = MaxStrangerBytes;
        if (IsForAnybody(context.Request))
            await next(context);
        else if (HttpMethods.IsGet(context.Request.Method) && !context.Request.Path.StartsWithSegments("/api"))
            context.Response.Redirect(PairPage);
        else
            await TurnAwayAsync(context);
    }

    /// <summary>What an unpaired machine may send: a code and a name.</summary>
    private const int MaxStrangerBytes = 4096;

    private async Task TurnAwayAsync(HttpContext context)
    {
        await delay.WaitAsync(context.Connection.RemoteIpAddress, context.RequestAborted);
        await RefuseAsync(context, StatusCodes.Status401Unauthorized, DeviceGateWords.ThisDeviceIsNotPaired);
    }

    /// <summary>Files that lie beside the page: its picture, and what keeps it on the device.</summary>
    private static readonly string[] Beside = ["/tag.svg", "/sw.js"];

    /// <summary>The page where a code is typed, what it is drawn with, and the call that takes the code.</summary>
    private static bool IsForAnybody(HttpRequest request) =>
        HttpMethods.IsGet(request.Method)
            && (
                request.Path == PairPage
                || request.Path == "/api/pair"
                || request.Path.StartsWithSegments("/assets")
                // the address itself is the key
                || request.Path.StartsWithSegments(CalendarFile.Folder)
                || Beside.Contains(request.Path.Value)
            )
        || HttpMethods.IsPost(request.Method) && request.Path == "/api/pair";

    private async Task AsDeviceAsync(HttpContext context, RequestDelegate next, long device, string token)
    {
        context.Items[typeof(DeviceGate)] = device;
        var now = time.GetUtcNow();
        if (now - _seen.GetValueOrDefault(device) > SeenEvery)
        {
            _seen[device] = now;
            devices.Seen(device);
        }
        var shut = _open.GetOrAdd(device, _ => new());
        // shut out between the first look and here: its streams were ended before this one was among them
        if (devices.Find(token) != device)
        {
            await TurnAwayAsync(context);
            return;
        }
        using var both = CancellationTokenSource.CreateLinkedTokenSource(context.RequestAborted, shut.Token);
        context.RequestAborted = both.Token;
        await next(context);
    }

    /// <summary>Shuts a device out: nothing more is answered, and what is open ends.</summary>
    public void Revoke(long id)
    {
        devices.Revoke(id);
        if (_open.TryRemove(id, out var open))
            open.Cancel();
    }

    private static Task RefuseAsync(HttpContext context, int status, string why)
    {
        context.Response.StatusCode = status;
        return context.Response.WriteAsJsonAsync(
            new ProblemDetails
            {
                Status = status,
                Title = "Not paired",
                Type = ProblemKinds.TypeOf("Not paired"),
                Detail = why,
                Instance = context.Request.Path,
            },
            options: null,
            "application/problem+json"
        );
    }

    public void Dispose()
    {
        foreach (var open in _open.Values)
            open.Dispose();
    }
}
