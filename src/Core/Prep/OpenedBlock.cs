using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Prep;

/// <summary>A block that comes assembled is opened before anything is laid on; what falls out is named and counted.</summary>
internal static class OpenedBlock
{
    public static IEnumerable<WorkStep> Steps(WorkOrder order, Pair pair)
    {
        if (!pair.Block.Halves.Any(h => h.OpensBefore))
            yield break;
        var parts = pair.Block.Halves.Where(h => h.OpensBefore).SelectMany(h => h.DropParts).ToList();
        yield return new()
        {
            Id = new(Station.Prep, order.ScopeOf(pair), "open-block"),
            Kind = StepKind.Rebuild,
            Pair = pair.Key,
            Title =
                parts.Count == 0
                    ? $"Open {order.Name(pair)} over a tray and take its halves apart"
                    : $"Open {order.Name(pair)} over a tray: {string.Join(", ", parts)} drop out",
            Detail = parts.Count == 0 ? "Nothing falls out of it." : "Count them into a cell of the tray.",
            Caution = parts.Count == 0 ? null : "A terminal or O-ring that rolls away is missed only under pressure.",
            Done = parts.Count == 0 ? "Open" : $"Open, {HowMany.Of(parts.Count, "part")} in the tray",
            Count = parts.Count == 0 ? null : parts.Count,
            Counted = parts.Count == 0 ? null : CountOf.Checks,
        };
    }
}
