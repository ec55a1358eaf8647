using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;

namespace FaithfulBracket.Server.Stations;

/// <summary>
/// Tells open pages that something in the shop changed, whoever changed it, within a third of a second.
/// </summary>
internal static class LiveEndpoint
{
    /// <summary>How often a page hears that the server is still there.</summary>
    private static readonly TimeSpan Sign = TimeSpan.FromSeconds(15);

    public static void Map(IEndpointRouteBuilder app) =>
        app.MapGet("/api/live", RunAsync).WithTags("bench").Produces<string>(200, "text/event-stream");

    private static Task RunAsync(
        HttpContext context,
        ShopChanges changes,
        TimeProvider time,
        IHostApplicationLifetime life
    )
    {
        var next = changes.Next;
        return EventStream.RunAsync(
            context,
            life,
            async (say, cancel) =>
            {
                while (true)
                {
                    using var waits = CancellationTokenSource.CreateLinkedTokenSource(cancel);
                    var came = await Task.WhenAny(next, Task.Delay(Sign, time, waits.Token));
                    waits.Cancel();
                    cancel.ThrowIfCancellationRequested();
                    if (came == next)
                    {
                        next = changes.Next;
                        await say("changed", null);
                    }
                    else
                        await say("here", null);
                }
            }
        );
    }
}
