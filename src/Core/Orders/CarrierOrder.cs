using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Orders;

/// <summary>Memory modules between carriers: each carrier is a flat plate that its pad holds over the chips of one face.</summary>
public static class CarrierOrder
{
    /// <summary>Share by which a hand presses a carrier's pad.</summary>
    private const double PressedBy = 0.3;

    /// <summary>The same order where no block has carriers.</summary>
    public static WorkOrder Compose(WorkOrder order) =>
        order.Pairs.All(p => p.Block.Carriers.Count == 0)
            ? order
            : order with
            {
                Pairs =
                [
                    .. order.Pairs.Select(p =>
                        order.Find(p.On ?? order.First.Key) is { } at
                        && On(p.Block, at.Board) is var laid
                        && laid != p.Block
                            ? p with
                            {
                                Block = laid,
                                AsSold = p.Block,
                            }
                            : p
                    ),
                ],
            };

    /// <summary>A block with its carriers as plates over a module; any other block, and on any other board, as it is.</summary>
    public static Block On(Block block, Board board) =>
        block is { Carriers.Count: > 0, Plates.Count: 0 } && board.Kind == BoardKind.MemoryModule
            ? block with
            {
                Plates = [.. block.Carriers.Select(c => Plate(c, board))],
            }
            : block;

    /// <summary>As high over the module as the tallest chip of its face and the pad a hand presses.</summary>
    private static Plate Plate(Carrier carrier, Board module)
    {
        var chips = module.Parts.Where(p => p is { Kind: PartKind.Memory } && p.Face == carrier.Face).ToList();
        var height = chips.Count == 0 ? 0 : chips.Max(c => c.HeightMm);
        return new()
        {
            Id = carrier.Id,
            Face = carrier.Face,
            Seat = Seat.Standoff,
            StandoffMm = height + carrier.PadMm * (1 - PressedBy),
            Outline = carrier.Outline,
            Lands =
            [
                new()
                {
                    Id = $"L-{carrier.Id}",
                    Outline = carrier.Outline,
                    For = PartKind.Memory,
                    Through = Through.Pad,
                    PadMm = carrier.PadMm,
                },
            ],
        };
    }
}
