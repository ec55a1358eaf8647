using Dapper;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Stations;

/// <summary>Tells open pages that something in the shop changed, whoever changed it, within a third of a second.</summary>
internal static class LiveEndpoint
{
    private static readonly TimeSpan Look = TimeSpan.FromMilliseconds(300);
    private const int BeatsBetweenSigns = 50;

    public static void Map(IEndpointRouteBuilder app) => app.MapGet("/api/live", RunAsync).WithTags("bench").Produces<string>(200, "text/event-stream");

    private static async Task RunAsync(HttpContext context, ShopDatabase database, TimeProvider time, IHostApplicationLifetime life)
    {
        using var stop = CancellationTokenSource.CreateLinkedTokenSource(context.RequestAborted, life.ApplicationStopping);
        context.Response.ContentType = "text/event-stream";
        context.Response.Headers.CacheControl = "no-store";
        context.Features.Get<Microsoft.AspNetCore.Http.Features.IHttpResponseBodyFeature>()?.DisableBuffering();
        // SQLite counts the commits of all other connections for each open one
        using var connection = database.Open();
        long Version() => connection.ExecuteScalar<long>("pragma data_version");
        var known = Version();
        try
        {
            await SayAsync(context, "open", stop.Token);
            for (var beat = 1; ; beat++)
            {
                await Task.Delay(Look, time, stop.Token);
                var now = Version();
                if (now != known) { known = now; await SayAsync(context, "changed", stop.Token); }
                else if (beat % BeatsBetweenSigns == 0) await SayAsync(context, "here", stop.Token);
            }
        }
        catch (OperationCanceledException) { /* the page was left or the server stops */ }
    }

    private static async Task SayAsync(HttpContext context, string what, CancellationToken cancel)
    {
        await context.Response.WriteAsync($"event: {what}\ndata: \n\n", cancel);
        await context.Response.Body.FlushAsync(cancel);
    }
}
