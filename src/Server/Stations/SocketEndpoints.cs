using FaithfulBracket.Core;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Stations;

/// <summary>A document by its id and name.</summary>
internal sealed record NamedDocument(string Id, string Name);

/// <summary>What of the library goes with a socket.</summary>
internal sealed record SocketWays(
    IReadOnlyList<NamedDocument> Processors,
    IReadOnlyList<NamedDocument> Blocks,
    IReadOnlyList<NamedDocument> Mainboards
);

/// <summary>A socket as the library lists it.</summary>
internal sealed record SocketEntry(string Id, string Name, Posts Posts, double SeatMm, int KeepOuts);

/// <summary>A block on a socket, and a bare die under it.</summary>
internal static class SocketEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var queue = app.ServiceProvider.GetRequiredService<ConcurrencyLimiter>();
        var compute = app.MapGroup("/api/compute").WithTags("compute").AddEndpointFilter(queue.QueueAsync);
        compute
            .MapPost("/socket", MatchAsync)
            .Accepts<System.Text.Json.JsonElement>("application/json")
            .WithDescription(SocketEndpointsWords.LimitsBodyOfMiBAndThose);
        compute
            .MapPost("/direct-die", DirectAsync)
            .Accepts<System.Text.Json.JsonElement>("application/json")
            .WithDescription(SocketEndpointsWords.LimitsBodyOfMiBAndThose);
        var library = app.MapGroup("/api/sockets").WithTags("library");
        library.MapGet(
            "/",
            (LibraryCache shop) =>
                TypedResults.Ok(
                    shop.SocketsInUse.Values.Select(s => new SocketEntry(
                        s.Id,
                        s.Name,
                        s.Posts,
                        s.SeatMm,
                        s.KeepOut.Count
                    ))
                )
        );
        library.MapGet("/{id}/ways", Ways);
        library.MapGet("/{id}/match", MatchKept);
        library.MapGet("/{id}/direct-die", DirectKept);
    }

    /// <summary>Which processors of the library sit in a socket, and which blocks name one.</summary>
    private static Ok<SocketWays> Ways(string id, LibraryCache shop)
    {
        var socket = Kept(shop.Sockets, "socket", id);
        return TypedResults.Ok(
            new SocketWays(
                [
                    .. shop
                        .BoardsInUse.Values.Where(b => b.Kind == BoardKind.Processor && b.Socket == socket.Id)
                        .Select(b => new NamedDocument(b.Id, $"{b.Maker} {b.Model}")),
                ],
                [
                    .. shop
                        .BlocksInUse.Values.Where(b => b.Sockets.Count > 0)
                        .OrderByDescending(b => b.Sockets.Any(s => s.Socket == socket.Id))
                        // a block that covers more than the processor comes after those made for it
                        .ThenBy(b => b.Kind == BlockKind.OnePiece)
                        .Select(b => new NamedDocument(b.Id, $"{b.Maker} {b.Model}")),
                ],
                [
                    .. shop
                        .BoardsInUse.Values.Where(b => b.Kind == BoardKind.Mainboard && b.Socket == socket.Id)
                        .Select(b => new NamedDocument(b.Id, $"{b.Maker} {b.Model}")),
                ]
            )
        );
    }

    private static T Kept<T>(IReadOnlyDictionary<string, T> all, string what, string id) =>
        all.TryGetValue(id, out var value) ? value : throw new NotFoundException(MissingWords.LibraryHasNo(what, id));

    /// <summary>The call "socket" over documents of the library.</summary>
    private static Ok<SocketMatchResult> MatchKept(
        string id,
        string processor,
        string block,
        string? board,
        LibraryCache shop,
        CancellationToken cancel
    ) =>
        TypedResults.Ok(
            SocketMatch.Compute(
                board is null ? null : Kept(shop.Boards, "board", board),
                Kept(shop.Sockets, "socket", id),
                Kept(shop.Boards, "board", processor),
                Kept(shop.Blocks, "block", block),
                cancel: cancel
            )
        );

    private static readonly Core.Orders.ShopSettings Shop = new();

    /// <summary>The call "direct-die" over documents of the library and what lies in the drawer.</summary>
    private static Ok<DieDecision> DirectKept(
        string id,
        string processor,
        string block,
        double? powerW,
        LibraryCache shop
    )
    {
        var (chip, cooler) = (Kept(shop.Boards, "board", processor), Kept(shop.Blocks, "block", block));
        if (powerW is not null and not (>= 1 and <= 2000))
            throw new InputException("powerW", "Expected 1 to 2,000 W.");
        return TypedResults.Ok(
            DieDecision.Compute(Kept(shop.Sockets, "socket", id), chip, cooler, shop.Drawer, Shop.FlowLPerMin, powerW)
        );
    }

    private static Board Processor(ObjectReader o)
    {
        var processor = BoardReader.Read(o.Object("processor"));
        if (o.Has("processor") && processor.Kind != BoardKind.Processor)
            o.FaultAt("processor/kind", OrderBodiesWords.ExpectedBoardDocumentOfKindProcessor);
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
            SocketMatch.Compute(board, socket, processor, block, bond, request.HttpContext.RequestAborted)
        );
    }

    private static async Task<Ok<DirectDieResult>> DirectAsync(HttpRequest request, LibraryCache shop) =>
        TypedResults.Ok(DirectDie.Compute(await Bodies.ReadAsync(request, o => Read(o, shop))));

    private static DirectDieAsk Read(ObjectReader o, LibraryCache shop)
    {
        var metal = o.Object("metal");
        var film = new MetalFilm(metal.Number("bondLineUm", 0.1, 1000), metal.Number("conductivityWPerMK", 0.1, 1000));
        metal.End();
        var board = o.OptionalObject("board") is { } b ? BoardReader.Read(b) : null;
        return new(
            SocketReader.Read(o.Object("socket")),
            Processor(o),
            ComputeInputs.Block(o),
            o.Number("powerW", 0.1, 5000),
            o.Number("blockKPerW", 1e-5, 10),
            ComputeInputs.Paste(o, shop).ConductivityWPerMK,
            film,
            o.Number("pasteBondLineUm", 0.1, 2000, otherwise: 30),
            board
        );
    }
}
