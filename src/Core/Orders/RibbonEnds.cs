using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Orders;

/// <summary>Which lead of a stock assembly is the plug of a ribbon between two boards of the card.</summary>
public static class RibbonEnds
{
    /// <summary>A plug this near to a ribbon's end is that end, mm.</summary>
    private const double SamePlugMm = 1;

    /// <param name="board">Key of the board that the lead is plugged into.</param>
    /// <returns>Null where the lead is no ribbon's.</returns>
    public static Ribbon? Find(WorkOrder order, Lead lead, string board) =>
        order.Ribbons.FirstOrDefault(r =>
            lead.At is { } at
                ? ((RibbonEnd[])[r.From, r.To]).Any(e => e.Board == board && (e.At - at).Length <= SamePlugMm)
                : r.Name == lead.Name
        );

    /// <summary>The lead as a thing on the bench, or the ribbon whose plug it is.</summary>
    public static ThingId ThingOf(WorkOrder order, Lead lead, string board) =>
        Find(order, lead, board) is { } ribbon ? new(ThingKind.Ribbon, ribbon.Id) : new(ThingKind.Lead, board, lead.Id);
}
