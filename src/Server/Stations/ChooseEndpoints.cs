using FaithfulBracket.Core;
using FaithfulBracket.Core.Choosing;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>Choosing among blocks: side by side, and what to do when none seats.</summary>
internal static class ChooseEndpoints
{
    private const int MostCompared = 3;
    private const double DefaultFlowLPerMin = 3;

    public static void Map(IEndpointRouteBuilder app)
    {
        var api = app.MapGroup("/api/boards/{id}").WithTags("match");
        api.MapGet("/compare", Compare);
        api.MapGet("/plan-b", PlanBFor);
    }

    /// <param name="blocks">Up to three ids, comma between.</param>
    private static Ok<IReadOnlyList<Choice>> Compare(
        string id,
        string? blocks,
        double? flow,
        ShopMemory shop,
        CancellationToken cancel
    )
    {
        var board =
            shop.Boards.GetValueOrDefault(id) ?? throw new NotHereException($"The library has no board \"{id}\".");
        var ids = (blocks ?? "")
            .Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
            .Distinct()
            .ToList();
        if (ids.Count is 0 or > MostCompared)
            throw new InputException("?blocks", $"Expected one to {MostCompared} block ids, found {ids.Count}.");
        if (flow is <= 0 or > 30)
            throw new InputException("?flow", "Expected a flow from 0 to 30 L/min.");
        var chosen = ids.ConvertAll(b =>
            shop.Blocks.GetValueOrDefault(b) ?? throw new NotHereException($"The library has no block \"{b}\".")
        );
        var owned = shop.Drawer.Pads.Select(p => new StockedPad(p.ThicknessMm, p.Material)).Distinct().ToList();
        return TypedResults.Ok(
            Comparing.Of(
                board,
                chosen,
                flow ?? DefaultFlowLPerMin,
                new(),
                shop.Drawer.Materials.ToDictionary(m => m.Id),
                owned,
                cancel
            )
        );
    }

    private static Ok<PlanBResult> PlanBFor(
        string id,
        double? airC,
        string? airflow,
        ShopMemory shop,
        CancellationToken cancel
    )
    {
        var board =
            shop.Boards.GetValueOrDefault(id) ?? throw new NotHereException($"The library has no board \"{id}\".");
        if (airC is < -20 or > 90)
            throw new InputException("?airC", "Expected air from −20 to 90 °C.");
        if (airflow is not (null or "x" or "y"))
            throw new InputException("?airflow", "Expected x or y.");
        return TypedResults.Ok(PlanB.For(board, shop.Blocks.Values, airC ?? 40, airflow ?? "x", cancel));
    }
}
