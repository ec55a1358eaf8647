using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Sockets;

/// <summary>How one block would do on a processor in its socket.</summary>
/// <param name="Kit">The kit it needs for this socket; null when its own parts do.</param>
public sealed record SeatedBlock(
    string BlockId,
    string BlockName,
    Verdict Verdict,
    Message Summary,
    string? Kit,
    Money? Price
);

/// <summary>Every block that names a socket, judged as Match judges the one that is chosen; least change first.</summary>
public static class SeatedChoice
{
    /// <summary>Blocks judged at once.</summary>
    public const int Most = 60;

    /// <param name="order">With its processor seated.</param>
    /// <param name="on">Key of the board it lies on.</param>
    public static IReadOnlyList<SeatedBlock> Compute(
        WorkOrder order,
        string on,
        IEnumerable<Block> blocks,
        Drawer drawer,
        ShopSettings shop,
        CancellationToken cancel = default
    )
    {
        var socket = order.Find(on)!.Seated!.Socket.Id;
        return
        [
            .. blocks
                .Where(SeatedOrder.GoesOnSockets)
                .OrderByDescending(b => b.Sockets.Any(s => s.Socket == socket))
                .ThenBy(b => b.Id, StringComparer.Ordinal)
                .Take(Most)
                .Select(b => Judge(order, on, socket, b, drawer, shop, cancel))
                .OrderBy(b => b.Verdict)
                .ThenBy(b => b.BlockId, StringComparer.Ordinal),
        ];
    }

    private static SeatedBlock Judge(
        WorkOrder order,
        string on,
        string socket,
        Block block,
        Drawer drawer,
        ShopSettings shop,
        CancellationToken cancel
    )
    {
        cancel.ThrowIfCancellationRequested();
        var tried = SeatedOrder.Compose(order with { Pairs = [new(Pair.FirstKey, block, on)] });
        var seats = SeatPlans.Compute(tried, drawer, shop, null, cancel);
        var match = SeatedMatch.With(tried, MatchStation.Judge(tried, shop, cancel), seats);
        return new(
            block.Id,
            $"{block.Maker} {block.Model}",
            match.Order!.Verdict,
            match.Sheet.Summary,
            block.Sockets.FirstOrDefault(s => s.Socket == socket)?.Kit,
            block.Price
        );
    }
}
