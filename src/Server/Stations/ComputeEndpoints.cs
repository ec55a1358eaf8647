using FaithfulBracket.Core.Blocks.Depths;
using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Cutting;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Teardown;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>The engine without the interface: board, block and settings in, the answer out, nothing stored.</summary>
internal static class ComputeEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var queue = app.ServiceProvider.GetRequiredService<ConcurrencyLimiter>();
        var compute = app.MapGroup("/api/compute").WithTags("compute").AddEndpointFilter(queue.QueueAsync);
        Posted(compute.MapPost("/fit", FitAsync), Documents);
        Posted(compute.MapPost("/gaps", GapsAsync), Documents);
        Posted(compute.MapPost("/seating", SeatingAsync), $"{Documents} {BowLimits.InWords}");
        Posted(compute.MapPost("/cut-plan", CutPlanAsync), CutPlanner.InWords);
        Posted(compute.MapPost("/paste", PasteEndpoint.AnswerAsync), PasteEndpoint.InWords);
        Posted(
            compute.MapPost("/teardown", TeardownAsync),
            ComputeEndpointsWords.LimitsGroupsLeadsAndPiecesTogether(TeardownPlanner.MaxActs)
        );
        Posted(compute.MapPost("/bow", BowEndpoint.AnswerAsync), BowLimits.InWords);
        Posted(compute.MapPost("/identify", IdentifyEndpoint.AnswerAsync), IdentifyEndpoint.InWords);
        Posted(compute.MapPost("/trace", TraceEndpoint.AnswerAsync), TraceEndpoint.InWords);
        Posted(compute.MapPost("/depths", DepthsEndpoint.AnswerAsync), StepDepths.InWords);
        Posted(compute.MapPost("/work-order", WorkOrderEndpoint.AnswerAsync), WorkOrderEndpoint.InWords);
        Posted(compute.MapPost("/traveller", WalkEndpoints.TravellerAsync), WalkEndpoints.InWords);
        Posted(compute.MapPost("/walk", WalkEndpoints.WalkAsync), WalkEndpoints.InWords);
        Posted(compute.MapPost("/tightening", TighteningEndpoint.AnswerAsync), $"{Documents} {Tightening.InWords}");
        compute
            .MapPost("/read-layout", LayoutEndpoint.AnswerAsync)
            .Accepts<IFormFileCollection>("multipart/form-data")
            .WithDescription(LayoutEndpoint.InWords)
            .DisableAntiforgery();

        static void Posted(RouteHandlerBuilder call, string limits) =>
            call.Accepts<System.Text.Json.JsonElement>("application/json").WithDescription($"{limits} {Queue}");
    }

    /// <summary>Limits that every document has.</summary>
    private const string Documents = ComputeEndpointsWords.LimitsBodyOfMiBAndThose;

    private const string Queue = ComputeEndpointsWords.AtMostTwoComputationsRun;

    private static async Task<Ok<FitResult>> FitAsync(HttpRequest request)
    {
        var (board, block, settings) = await Bodies.ReadAsync(
            request,
            o =>
                (
                    ComputeInputs.Board(o),
                    ComputeInputs.Block(o),
                    new FitSettings(
                        o.Number("bondLineMm", 0, 5, PlaneHeight.DefaultBondLineMm),
                        o.Number("minClearanceMm", 0, 20, 0.3),
                        (ulong)o.Number("seed", 0, 1e15, 1)
                    )
                )
        );
        return TypedResults.Ok(Fit.Judge(board, block, settings, request.HttpContext.RequestAborted));
    }

    private static async Task<Ok<GapsResult>> GapsAsync(HttpRequest request, LibraryCache shop)
    {
        var (board, block, bond, materials, stock) = await Bodies.ReadAsync(
            request,
            o =>
                (
                    ComputeInputs.Board(o),
                    ComputeInputs.Block(o),
                    o.Number("bondLineMm", 0, 5, PlaneHeight.DefaultBondLineMm),
                    ComputeInputs.Materials(o, shop),
                    o.Objects("stock", Stocked)
                )
        );
        return TypedResults.Ok(Gaps.Compute(LaidBlock.Create(board, block, new(bond)), materials, stock, bond));
    }

    /// <summary>A stocked pad; sheet sizes and counts may stand beside it.</summary>
    private static StockedPad Stocked(ObjectReader o)
    {
        foreach (var known in (string[])["id", "widthMm", "depthMm", "count", "offcut", "tacky"])
            o.Raw(known);
        return new(o.Number("thicknessMm", 0.05, 20), o.Text("material"));
    }

    private static async Task<Ok<SeatingResult>> SeatingAsync(HttpRequest request, LibraryCache shop)
    {
        var (stack, limit, elastic) = await Bodies.ReadAsync(
            request,
            o =>
                (
                    ComputeInputs.Stack(o, shop),
                    o.Number("maxBondLineUm", 1, 10_000, SeatingSolver.DefaultMaxBondLineUm),
                    Elastic(o)
                )
        );
        var cancel = request.HttpContext.RequestAborted;
        return TypedResults.Ok(await Task.Run(() => SeatingSolver.Solve(stack.Laid(), limit, elastic, cancel), cancel));
    }

    /// <summary>true, or the laminate's values; the board is stiff otherwise.</summary>
    private static BoardStiffness? Elastic(ObjectReader o)
    {
        if (o.Raw("elasticBoard") is not { ValueKind: System.Text.Json.JsonValueKind.Object })
            return o.Flag("elasticBoard", false) ? new() : null;
        var e = o.Object("elasticBoard");
        var defaults = new BoardStiffness();
        var read = new BoardStiffness(
            e.Number("eMPa", 10, 1e6, defaults.EMPa),
            e.Number("nu", 0, 0.499, defaults.Nu),
            e.Number("joined", 0, 1, defaults.Joined),
            e.OptionalInteger("elements", 100, 10_000) ?? defaults.Elements
        );
        e.End();
        return read;
    }

    private static async Task<Ok<CutPlan>> CutPlanAsync(HttpRequest request)
    {
        var (pieces, stock) = await Bodies.ReadAsync(
            request,
            o =>
                (
                    o.Objects(
                        "pieces",
                        p => new CutPiece(
                            p.Text("id"),
                            p.Number("widthMm", 0.1, 5000),
                            p.Number("depthMm", 0.1, 5000),
                            p.Number("thicknessMm", 0.01, 50),
                            p.OptionalText("material"),
                            p.OptionalInteger("count", 0, 2000) ?? 1
                        )
                    ),
                    o.Objects(
                        "stock",
                        s => new CutStock(
                            s.Text("id"),
                            s.Number("widthMm", 0.1, 5000),
                            s.Number("depthMm", 0.1, 5000),
                            s.Number("thicknessMm", 0.01, 50),
                            s.OptionalText("material"),
                            s.OptionalInteger("count", 0, 100_000) ?? 1,
                            s.Flag("offcut", false)
                        )
                    )
                )
        );
        return TypedResults.Ok(CutPlanner.Plan(pieces, stock, cancel: request.HttpContext.RequestAborted));
    }

    private static async Task<Ok<TeardownPlan>> TeardownAsync(HttpRequest request)
    {
        var board = await Bodies.ReadAsync(request, ComputeInputs.Board);
        return TypedResults.Ok(TeardownPlanner.Plan(board, cancel: request.HttpContext.RequestAborted));
    }
}
