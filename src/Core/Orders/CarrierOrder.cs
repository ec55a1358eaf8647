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
        order.Pairs.All(p => p.Block.Carriers.Count == 0 || p.Block.Plates.Count > 0)
            ? order
            : order with
            {
                Pairs =
                [
                    .. order.Pairs.Select(p =>
                        p.Block is { Carriers.Count: > 0, Plates.Count: 0 }
                        && order.Find(p.On ?? order.First.Key) is { } at
                            ? p with
                            {
                                Block = p.Block with { Plates = [.. p.Block.Carriers.Select(c => Plate(c, at.Board))] },
                                AsSold = p.Block,
                            }
                            : p
                    ),
                ],
            };

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
