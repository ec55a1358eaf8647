using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Prep;

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
                    ? OpenedBlockWords.OpenOverTrayAndTakeHalves(order.Name(pair))
                    : OpenedBlockWords.OpenOverTray(order.Name(pair), string.Join(", ", parts)),
            Detail = parts.Count == 0 ? OpenedBlockWords.NothingFallsOut : OpenedBlockWords.CountThemIntoCellOfTray,
            Caution = parts.Count == 0 ? null : OpenedBlockWords.TerminalOrORingThatRolls,
            Done = parts.Count == 0 ? "Open" : OpenedBlockWords.OpenInTray(HowMany.Count(parts.Count, "part")),
            Count = parts.Count == 0 ? null : parts.Count,
            Counted = parts.Count == 0 ? null : CountOf.Checks,
        };
    }
}
