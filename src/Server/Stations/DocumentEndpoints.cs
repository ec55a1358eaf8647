using System.Diagnostics;
using System.Text.Json;
using System.Text.Json.Serialization;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Stations;

internal sealed record ArchivedState([property: JsonRequired] bool Archived);

/// <param name="Version">The version that is in use now.</param>
internal sealed record KeptVersion(string Id, long Version);

/// <summary>What a document does to one open job.</summary>
internal sealed record DocumentConsequence(long Id, string Title, IReadOnlyList<string> Changed);

/// <param name="More">Open jobs that were not looked at: the budget of work was spent.</param>
internal sealed record DocumentConsequences(IReadOnlyList<DocumentConsequence> Jobs, int More);

/// <summary>
/// One document of the library, whatever its kind: shown, kept as a new version, archived, deleted, and what keeping it
/// would do to open jobs.
/// </summary>
internal static class DocumentEndpoints
{
    /// <summary>What planning jobs anew may take in one call.</summary>
    private static readonly TimeSpan Budget = TimeSpan.FromSeconds(8);

    public static void Map(IEndpointRouteBuilder app)
    {
        var queue = app.ServiceProvider.GetRequiredService<ConcurrencyLimiter>();
        foreach (var kind in LibraryKinds.All)
        {
            var library = app.ServiceProvider.GetRequiredKeyedService<Library>(kind.Name);
            var one = app.MapGroup($"/api/{kind.Path}/{{id}}").WithTags("library");
            one.MapGet("", (string id, HttpResponse response) => Show(library.Get(id), response))
                .WithMetadata(new ProducesResponseTypeMetadata(200, kind.Shape, ["application/json"]));
            one.MapPut(
                    "",
                    (string id, string? by, HttpRequest r, LibraryCache shop) =>
                        PutAsync(id, by, r, shop, library, kind)
                )
                .Accepts<JsonElement>("application/json");
            one.MapDelete(
                "",
                (string id, DocumentUse use, Store.Jobs jobs, JobOrders orders) =>
                    Delete(id, library, kind, use, jobs, orders)
            );
            one.MapGet("/versions", (string id) => TypedResults.Ok(library.Versions(id)));
            one.MapGet(
                    "/versions/{version:long}",
                    (string id, long version) => Results.Bytes(library.Find(id, version), "application/json")
                )
                .WithMetadata(new ProducesResponseTypeMetadata(200, kind.Shape, ["application/json"]));
            one.MapGet("/archived", (string id) => TypedResults.Ok(new ArchivedState(library.Get(id).Archived)));
            one.MapPut(
                "/archived",
                (string id, ArchivedState body) =>
                {
                    library.Archive(id, body.Archived);
                    return TypedResults.Ok(body);
                }
            );
        }
        app.MapPost("/api/library/consequences", ConsequencesAsync)
            .WithTags("library")
            .Accepts<JsonElement>("application/json")
            .WithDescription(DocumentEndpointsWords.LimitsDocumentOfMiB)
            .AddEndpointFilter(queue.QueueAsync);
    }

    private static IResult Show(KeptDocument document, HttpResponse response)
    {
        Versions.Tag(response, document.Version);
        return Versions.IsSeen(response.HttpContext.Request, document.Version)
            ? Results.StatusCode(StatusCodes.Status304NotModified)
            : Results.Bytes(document.Document, "application/json");
    }

    private static async Task<Ok<KeptVersion>> PutAsync(
        string id,
        string? by,
        HttpRequest request,
        LibraryCache shop,
        Library library,
        LibraryKind kind
    )
    {
        var expected = Versions.Expected(request);
        var document = kind.Read(await Bodies.BytesAsync(request, JsonInput.MaxBytes));
        if (document.Id != id)
            throw new InputException("/id", DocumentEndpointsWords.ExpectedAsInAddressFound(id, document.Id));
        shop.Offer(kind.Name, [(document.Digest, document.Parsed!)]);
        var version = library.Put(document, expected, by);
        Versions.Tag(request.HttpContext.Response, version);
        return TypedResults.Ok(new KeptVersion(id, version));
    }

    /// <exception cref="DocumentInUseException">A job rests on it.</exception>
    private static NoContent Delete(
        string id,
        Library library,
        LibraryKind kind,
        DocumentUse use,
        Store.Jobs jobs,
        JobOrders orders
    )
    {
        library.Get(id);
        if (Resting(kind, id, use, jobs, orders).FirstOrDefault() is { } job)
            throw new DocumentInUseException(DocumentEndpointsWords.JobRestsOn(job.Id, job.Title, kind.Name));
        library.Delete(id);
        return TypedResults.NoContent();
    }

    /// <summary>Jobs that rest on a document; of sockets those whose order has it.</summary>
    private static IEnumerable<UsingJob> Resting(
        LibraryKind kind,
        string id,
        DocumentUse use,
        Store.Jobs jobs,
        JobOrders orders
    )
    {
        foreach (var job in use.Jobs(kind.Name, id))
        {
            var rests = true;
            if (kind.Name == "socket")
                try
                {
                    rests = orders.Create(jobs.Get(job.Id)).Pieces.Any(p => p.Seated?.Socket.Id == id);
                }
                catch (NotFoundException)
                {
                    // what it rests on cannot be told: nothing is taken from it
                }
            if (rests)
                yield return job;
        }
    }

    private static async Task<Ok<DocumentConsequences>> ConsequencesAsync(
        HttpRequest request,
        DocumentUse use,
        Store.Jobs jobs,
        JobOrders orders,
        JobPlans plans,
        LibraryCache shop,
        CancellationToken cancel
    )
    {
        ReadOnlyMemory<byte> bytes = await Bodies.BytesAsync(request, JsonInput.MaxBytes);
        using var json = JsonInput.Parse(bytes);
        var kind = LibraryKinds.Classify(json.RootElement);
        var document = kind.Read(bytes);
        var parsed = document.Parsed!;
        var tried = new TriedDocument(document.Id, parsed is Block block ? shop.AsUsed(block) : parsed);
        return TypedResults.Ok(
            await Task.Run(
                () =>
                {
                    var clock = Stopwatch.StartNew();
                    List<UsingJob> open = [.. Resting(kind, document.Id, use, jobs, orders).Where(j => !j.Finished)];
                    var looked = open.TakeWhile((_, i) => i == 0 || clock.Elapsed < Budget)
                        .Select(j => new DocumentConsequence(
                            j.Id,
                            j.Title,
                            Consequences.Compute(
                                () => plans.Today(j.Id, cancel).Plan,
                                () => plans.With(j.Id, tried, cancel)
                            )
                        ))
                        .ToList();
                    return new DocumentConsequences(
                        [.. looked.Where(j => j.Changed.Count > 0)],
                        open.Count - looked.Count
                    );
                },
                cancel
            )
        );
    }
}
