using FaithfulBracket.Core;
using FaithfulBracket.Core.Choosing;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>Choosing among blocks: side by side, and what to do when none seats.</summary>
internal static class ChooseEndpoints
{
    private const int MaxCompared = 3;
    private const double DefaultFlowLPerMin = 3;

    public static void Map(IEndpointRouteBuilder app)
    {
        var api = app.MapGroup("/api/boards/{id}").WithTags("match");
        api.MapGet("/compare", Compare);
        api.MapGet("/plan-b", PlanBFor);
        app.MapGet("/api/jobs/{id:long}/together", TogetherFor).WithTags("match");
    }

    /// <summary>Blocks judged for a whole board: those that state the fit first, then the rest.</summary>
    private const int MaxTogether = 300;

    private static Ok<IReadOnlyList<TogetherChoice>> TogetherFor(
        long id,
        JobPlans plans,
        LibraryCache shop,
        CancellationToken cancel
    )
    {
        var order = plans.Today(id, cancel).Order;
        if (order.Pieces.Count > 1)
            throw new InputException("", ChooseEndpointsWords.OnlyOneBoardAtTime);
        var board = order.First.Board;
        List<Core.Blocks.Block> blocks =
        [
            .. shop
                .BlocksInUse.Values.OrderByDescending(b =>
                    b.DeclaredFor.Any(d => d.Maker == board.Maker && d.BoardCode == board.BoardCode)
                )
                .ThenBy(b => b.Id, StringComparer.Ordinal)
                .Take(MaxTogether),
        ];
        return TypedResults.Ok(Together.Compute(order, blocks, shop.Settings.Prices, shop.Settings, cancel));
    }

    /// <param name="blocks">Up to three ids, comma between.</param>
    private static Ok<IReadOnlyList<Choice>> Compare(
        string id,
        string? blocks,
        double? flow,
        LibraryCache shop,
        CancellationToken cancel
    )
    {
        var board =
            shop.Boards.GetValueOrDefault(id) ?? throw new NotFoundException(MissingWords.LibraryHasNoBoard(id));
        var ids = (blocks ?? "")
            .Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
            .Distinct()
            .ToList();
        if (ids.Count is 0 or > MaxCompared)
            throw new InputException(
                "?blocks",
                ChooseEndpointsWords.ExpectedOneToBlockIdsFound(MaxCompared, ids.Count)
            );
        if (flow is <= 0 or > 30)
            throw new InputException("?flow", ChooseEndpointsWords.ExpectedFlowFromToLMin);
        var chosen = ids.ConvertAll(b =>
            shop.Blocks.GetValueOrDefault(b) ?? throw new NotFoundException(MissingWords.LibraryHasNoBlock(b))
        );
        var owned = shop.Drawer.Pads.Select(p => new StockedPad(p.ThicknessMm, p.Material)).Distinct().ToList();
        return TypedResults.Ok(
            Comparing.Compute(
                board,
                chosen,
                flow ?? DefaultFlowLPerMin,
                shop.Settings.Prices,
                shop.Drawer.Materials.ToDictionary(m => m.Id),
                owned,
                shop.Drawer.PasteOr(null)?.Material,
                shop.Settings.CoolantInC,
                cancel
            )
        );
    }

    private static Ok<PlanBResult> PlanBFor(
        string id,
        double? airC,
        string? airflow,
        LibraryCache shop,
        CancellationToken cancel
    )
    {
        var board =
            shop.Boards.GetValueOrDefault(id) ?? throw new NotFoundException(MissingWords.LibraryHasNoBoard(id));
        if (airC is < -20 or > 90)
            throw new InputException("?airC", ChooseEndpointsWords.ExpectedAirFromToC);
        if (airflow is not (null or "x" or "y"))
            throw new InputException("?airflow", "Expected x or y.");
        return TypedResults.Ok(PlanB.For(board, [.. shop.BlocksInUse.Values], airC ?? 40, airflow ?? "x", cancel));
    }
}
