using System.Text.Json.Serialization;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Stations;

/// <summary>Heights and loads of one way: lid on or off.</summary>
internal sealed record WayHeights(
    double ContactMm,
    double HomeMm,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.Never)] double? StopGapMm,
    double LoadN,
    double SocketLoadN,
    double ShimMm
)
{
    public static WayHeights Of(HeightChain c) =>
        new(c.ContactMm, c.HomeMm, c.StopGapMm, c.LoadN, c.SocketLoadN, c.ShimMm);
}

/// <summary>Lid on or off, side by side.</summary>
internal sealed record DirectDieAnswer(
    WayHeights Lidded,
    WayHeights Direct,
    IReadOnlyList<DieLoad> Dies,
    Point2 LoadCentre,
    Point2 AreaCentre,
    Point2 PowerCentre,
    double GainK,
    double GainLowK,
    double GainHighK,
    string Hottest,
    double LiddedKPerW,
    double DirectKPerW,
    double? MoreW,
    Verdict Verdict,
    IReadOnlyList<Told> Refusals,
    IReadOnlyList<Told> Warnings
);

/// <summary>A socket as the library lists it.</summary>
internal sealed record SocketEntry(string Id, string Name, Posts Posts, double SeatMm, int KeepOuts);

/// <summary>A block on a socket, and a bare die under it.</summary>
internal static class SocketEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var queue = app.ServiceProvider.GetRequiredService<HeavyWork>();
        var compute = app.MapGroup("/api/compute").WithTags("compute").AddEndpointFilter(queue.QueueAsync);
        compute
            .MapPost("/socket", MatchAsync)
            .Accepts<System.Text.Json.JsonElement>("application/json")
            .WithDescription("Limits: a body of 4 MiB, and those of the documents.");
        compute
            .MapPost("/direct-die", DirectAsync)
            .Accepts<System.Text.Json.JsonElement>("application/json")
            .WithDescription("Limits: a body of 4 MiB, and those of the documents.");
        var library = app.MapGroup("/api/sockets").WithTags("library");
        library.MapGet(
            "/",
            (ShopMemory shop) =>
                TypedResults.Ok(
                    shop.Sockets.Values.Select(s => new SocketEntry(s.Id, s.Name, s.Posts, s.SeatMm, s.KeepOut.Count))
                )
        );
        library
            .MapGet(
                "/{id}",
                (string id, [FromKeyedServices("socket")] Library sockets) =>
                    Results.Bytes(
                        sockets.Find(id) ?? throw new NotHereException($"The library has no socket \"{id}\"."),
                        "application/json"
                    )
            )
            .Produces<Socket>();
    }

    private static Board Processor(ObjectReader o)
    {
        var processor = BoardReader.Read(o.Object("processor"));
        if (o.Has("processor") && processor.Kind != BoardKind.Processor)
            o.Fault("processor/kind", "Expected a board document of kind processor.");
        return processor;
    }

    private static async Task<Ok<SocketMatchResult>> MatchAsync(HttpRequest request)
    {
        var (board, socket, processor, block, bond) = await Bodies.ReadAsync(
            request,
            o =>
                (
                    o.OptionalObject("board") is { } b ? BoardReader.Read(b) : null,
                    SocketReader.Read(o.Object("socket")),
                    Processor(o),
                    ComputeInputs.Block(o),
                    o.Number("bondLineMm", 0, 5, SocketMatch.DefaultBondLineMm)
                )
        );
        return TypedResults.Ok(
            SocketMatch.Of(board, socket, processor, block, bond, request.HttpContext.RequestAborted)
        );
    }

    private static async Task<Ok<DirectDieAnswer>> DirectAsync(HttpRequest request, ShopMemory shop)
    {
        var ask = await Bodies.ReadAsync(request, o => Read(o, shop));
        var r = DirectDie.Of(ask);
        return TypedResults.Ok(
            new DirectDieAnswer(
                WayHeights.Of(r.Lidded),
                WayHeights.Of(r.Direct),
                r.Dies,
                r.LoadCentre,
                r.AreaCentre,
                r.PowerCentre,
                r.GainK,
                r.GainLowK,
                r.GainHighK,
                r.Hottest,
                r.LiddedKPerW,
                r.DirectKPerW,
                r.MoreW,
                r.Verdict,
                r.Refusals,
                r.Warnings
            )
        );
    }

    private static DirectDieAsk Read(ObjectReader o, ShopMemory shop)
    {
        var metal = o.Object("metal");
        var film = new MetalFilm(metal.Number("bondLineUm", 0.1, 1000), metal.Number("conductivityWPerMK", 0.1, 1000));
        metal.End();
        _ = o.OptionalObject("board") is { } b ? BoardReader.Read(b) : null;
        return new(
            SocketReader.Read(o.Object("socket")),
            Processor(o),
            ComputeInputs.Block(o),
            o.Number("powerW", 0.1, 5000),
            o.Number("blockKPerW", 1e-5, 10),
            ComputeInputs.Paste(o, shop).ConductivityWPerMK,
            film,
            o.Number("pasteBondLineUm", 0.1, 2000, otherwise: 30)
        );
    }
}
