using FaithfulBracket.Core;
using FaithfulBracket.Core.Kit;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>Questions about a job's processor in its socket that change nothing.</summary>
internal static class SeatEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var job = app.MapGroup("/api/jobs/{id:long}").WithTags("what if");
        job.MapGet("/seat-blocks", Blocks);
        job.MapGet("/jet-plate", JetPlate);
    }

    /// <summary>Every block that names a socket, on this processor.</summary>
    private static Ok<IReadOnlyList<SeatedBlock>> Blocks(
        long id,
        string? board,
        JobPlans plans,
        LibraryCache shop,
        CancellationToken cancel
    )
    {
        var order = plans.Today(id, cancel).Order;
        var piece = (board is null ? order.First : order.Find(board)) is { Seated: not null } seated
            ? seated
            : throw new NotFoundException(SeatEndpointsWords.NoProcessorLiesOnBoard(board ?? order.First.Key, id));
        return TypedResults.Ok(
            SeatedChoice.Compute(order, piece.Key, shop.BlocksInUse.Values, shop.Drawer, shop.Settings, cancel)
        );
    }

    /// <summary>Which jet plate lies in the caliper.</summary>
    /// <param name="mm">What the caliper reads.</param>
    private static Ok<JetPlateText> JetPlate(
        long id,
        double mm,
        string? pair,
        JobPlans plans,
        LibraryCache shop,
        CancellationToken cancel
    )
    {
        if (!(mm is > 0 and <= 50))
            throw new InputException("?mm", SeatEndpointsWords.ExpectedThicknessUpToMm);
        var order = plans.Today(id, cancel).Order;
        var asked =
            order.Pairs.FirstOrDefault(p => pair is null || p.Key == pair)
            ?? throw new NotFoundException(SeatEndpointsWords.JobHasNoBlock(id, pair));
        if (SeatedOrder.SeatOf(order, asked) is not { Seated: { } seated })
            throw new NotFoundException(SeatEndpointsWords.NoProcessorLiesUnderBlock(asked.Key, id));
        return TypedResults.Ok(
            JetPlates.Tell(
                asked.AsSold ?? asked.Block,
                seated.Socket.Id,
                mm,
                s => shop.Sockets.GetValueOrDefault(s)?.Name ?? s
            )
        );
    }
}
