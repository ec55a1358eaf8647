using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Orders;

/// <summary>An order as it is called on the bench.</summary>
public static class OrderNames
{
    public static string Boards(WorkOrder order) =>
        order.Card is { } card
            ? $"{card.Model}, {BoardLabel.Format(card.BoardCode, card.Revision)}"
            : string.Join(
                " and ",
                order
                    .Pieces.GroupBy(p => p.Board.Id)
                    .Select(g =>
                        $"{(g.Count() > 1 ? $"{g.Count()} × " : "")}{g.First().Board.Model}, {BoardLabel.Format(g.First().Board)}"
                    )
            );

    /// <summary>What lies on the mat, in a word.</summary>
    public static string Subject(WorkOrder order) =>
        order.Machine is not null || order.Pieces.Any(p => p.Seated is not null)
            ? "machine"
            : order.First.Board.Kind switch
            {
                BoardKind.GraphicsCard => "card",
                BoardKind.MemoryModule => "memory",
                BoardKind.ConsoleBoard => "console",
                _ => "board",
            };

    /// <summary>Null while no block is chosen.</summary>
    public static string? Blocks(WorkOrder order) =>
        order.Pairs.Count == 0
            ? null
            : string.Join(
                " and ",
                order
                    .Boxes.GroupBy(p => p.Block.Id)
                    .Select(g =>
                        $"{(g.Count() > 1 ? $"{g.Count()} × " : "")}{g.First().Block.Maker} {g.First().Block.Model}"
                    )
            );
}
