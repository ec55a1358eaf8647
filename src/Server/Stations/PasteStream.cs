using System.Text.Json;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;

namespace FaithfulBracket.Server.Stations;

/// <summary>The squeeze with its progress: one JSON object a line, the last one the answer; hanging up stops it.</summary>
internal static class PasteStream
{
    public static void Map(IEndpointRouteBuilder app) =>
        app.MapPost("/api/paste/simulate", RunAsync)
            .WithTags("paste")
            .WithDescription(PasteEndpoint.InWords)
            .AddEndpointFilter(app.ServiceProvider.GetRequiredService<ConcurrencyLimiter>().QueueAsync)
            .Accepts<JsonElement>("application/json")
            .Produces<PasteAnswer>(200, "application/x-ndjson");

    private static async Task RunAsync(HttpContext context, LibraryCache shop)
    {
        var asked = await Bodies.ReadAsync(context.Request, o => PasteEndpoint.Read(o, shop));
        var cancel = context.RequestAborted;
        context.Response.ContentType = "application/x-ndjson";
        context.Response.Headers.CacheControl = "no-store";
        var latest = 0.0;
        var work = Task.Run(
            () => PasteEndpoint.Compute(asked, new Share(v => Volatile.Write(ref latest, v)), cancel),
            cancel
        );
        var told = -1.0;
        while (await Task.WhenAny(work, Task.Delay(120, cancel)) != work)
        {
            var now = Volatile.Read(ref latest);
            if (now - told < 0.01)
                continue;
            told = now;
            await LineAsync(context, new { progress = Math.Round(now, 2) }, cancel);
        }
        await LineAsync(context, await work, cancel);
    }

    private static async Task LineAsync<T>(HttpContext context, T value, CancellationToken cancel)
    {
        await context.Response.Body.WriteAsync(
            JsonSerializer.SerializeToUtf8Bytes(value, ResponseText.Options(context)),
            cancel
        );
        await context.Response.Body.WriteAsync("\n"u8.ToArray(), cancel);
        await context.Response.Body.FlushAsync(cancel);
    }

    /// <summary>Tells at once, on the thread that calculates.</summary>
    private sealed class Share(Action<double> tell) : IProgress<double>
    {
        public void Report(double value) => tell(value);
    }
}
