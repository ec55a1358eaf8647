using FaithfulBracket.Server.Http;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Stations;

/// <summary>Tells open pages that something in the shop changed, whoever changed it, within a third of a second.</summary>
internal static class LiveEndpoint
{
    private static readonly TimeSpan Look = TimeSpan.FromMilliseconds(300);
    private const int BeatsBetweenSigns = 50;

    public static void Map(IEndpointRouteBuilder app) =>
        app.MapGet("/api/live", RunAsync).WithTags("bench").Produces<string>(200, "text/event-stream");

    private static async Task RunAsync(
        HttpContext context,
        ShopDatabase database,
        TimeProvider time,
        IHostApplicationLifetime life
    )
    {
        using var watch = new CommitWatch(database);
        await EventStream.RunAsync(
            context,
            life,
            async (say, cancel) =>
            {
                for (var beat = 1; ; beat++)
                {
                    await Task.Delay(Look, time, cancel);
                    if (watch.Changed())
                        await say("changed", null);
                    else if (beat % BeatsBetweenSigns == 0)
                        await say("here", null);
                }
            }
        );
    }
}
