using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Teardown;

namespace FaithfulBracket.Core.Plans.Walk;

/// <summary>What the things on a bench are called, by the documents that they come from.</summary>
internal sealed class ThingNames(WorkOrder order)
{
    private string? Stock(ThingId id)
    {
        var assemblies = TeardownStation.Pieces(order).Select(p => p.Board.Assembly!);
        return id.Kind switch
        {
            ThingKind.Piece => assemblies.SelectMany(a => a.Pieces).FirstOrDefault(p => p.Id == id.Key)?.Name,
            ThingKind.Lead => assemblies.SelectMany(a => a.Leads).FirstOrDefault(l => l.Id == id.Key)?.Name,
            _ => null,
        };
    }

    /// <summary>Without an article: "fan shroud", "block", "screws of group F1".</summary>
    public string Describe(ThingId id) =>
        Stock(id)
        ?? id.Kind switch
        {
            ThingKind.Backplate => "back plate",
            ThingKind.Gasket => "rubber gasket",
            ThingKind.Block => Block(id.Owner),
            ThingKind.Plate or ThingKind.Half => Half(id) ?? Block(id.Owner),
            ThingKind.Ribbon => order.Ribbons.FirstOrDefault(r => r.Id == id.Owner)?.Name ?? "ribbon",
            ThingKind.Lead => $"{id.Key} lead",
            ThingKind.Screws => $"screws of group {id.Key}",
            ThingKind.Processor => "processor",
            _ => id.Kind.ToString().ToLowerInvariant(),
        };

    /// <summary>The half of a block that closes round a board; null for any other block.</summary>
    private string? Half(ThingId id) =>
        order
            .Pairs.FirstOrDefault(p => p.Key == id.Owner)
            ?.Block.Halves.FirstOrDefault(h => (id.Kind == ThingKind.Half ? h.Id : h.Plate) == id.Key)
            is { } half
            ? $"{half.Face.ToString().ToLowerInvariant()} half of the {Block(id.Owner)}"
            : null;

    private string Block(string pair) => order.Pairs.Count > 1 ? $"block {pair}" : "block";
}
