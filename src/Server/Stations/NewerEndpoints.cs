using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Stations;

/// <param name="Kind">board, block, card, socket or machine.</param>
/// <param name="Version">The newest version as it was seen.</param>
internal sealed record TakenDocument(string Kind, string Id, long Version, string By);

/// <summary>Newer versions of a job's documents: what they would change, and taking them.</summary>
internal static class NewerEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var queue = app.ServiceProvider.GetRequiredService<ConcurrencyLimiter>();
        var job = app.MapGroup("/api/jobs/{id:long}/newer").WithTags("jobs");
        job.MapGet("", OfferedAsync)
            .WithDescription(NewerEndpointsWords.OnePlanForEachDocument)
            .AddEndpointFilter(queue.QueueAsync);
        job.MapPost("", TakeAsync).Accepts<TakenDocument>("application/json").AddEndpointFilter(Summaries.RenewAsync);
    }

    private static async Task<Ok<IReadOnlyList<OfferedDocument>>> OfferedAsync(
        long id,
        NewerDocuments newer,
        CancellationToken cancel
    ) => TypedResults.Ok(await Task.Run(() => newer.Offered(id, cancel), cancel));

    private static async Task<Ok<JobView>> TakeAsync(
        long id,
        HttpRequest request,
        HttpResponse response,
        HeldDocuments held,
        JobViews views,
        CancellationToken cancel
    )
    {
        var body = await Bodies.ReadAsync(
            request,
            o => new TakenDocument(
                o.Text("kind", 10),
                o.Text("id", 200),
                o.Integer("version", 1, int.MaxValue),
                SheetEndpoints.By(o)
            )
        );
        held.Take(id, body.Kind, body.Id, body.Version, body.By);
        var view = views.View(id, cancel);
        Versions.Tag(response, view.Version);
        return TypedResults.Ok(view);
    }
}
