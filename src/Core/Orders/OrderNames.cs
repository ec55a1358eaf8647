using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Orders;

/// <summary>An order as it is called on the bench.</summary>
public static class OrderNames
{
    public static string Boards(WorkOrder order) =>
        order.Card is { } card
            ? $"{card.Model}, {BoardLabel.Of(card.BoardCode, card.Revision)}"
            : string.Join(" and ", order.Pieces.Select(p => $"{p.Board.Model}, {BoardLabel.Of(p.Board)}"));

    /// <summary>Null while no block is chosen.</summary>
    public static string? Blocks(WorkOrder order) =>
        order.Pairs.Count == 0
            ? null
            : string.Join(
                " and ",
                order
                    .Pairs.GroupBy(p => p.Block.Id)
                    .Select(g =>
                        $"{(g.Count() > 1 ? $"{g.Count()} × " : "")}{g.First().Block.Maker} {g.First().Block.Model}"
                    )
            );
}
