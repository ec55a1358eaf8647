using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Teardown;

namespace FaithfulBracket.Core.Teardown;

/// <summary>An order that somebody chose: legal, or the first thing that is not.</summary>
public static class ChosenOrder
{
    /// <returns>Null when the order is legal.</returns>
    public static string? WhyNot(
        Assembly assembly,
        IReadOnlyList<string> order,
        Loosening loosening = Loosening.RingLast
    )
    {
        var graph = AssemblyGraph.Create(assembly, loosening);
        var ids = graph.Acts.Select(a => a.Target).ToList();
        if (order.Distinct().Count() != ids.Count || order.Any(o => !ids.Contains(o)))
            return ChosenOrderWords.NameEachOfScrewGroupsLeads(ids.Count);
        var done = new HashSet<string>();
        foreach (var target in order)
        {
            var before = graph.Before[ids.IndexOf(target)];
            for (var i = 0; i < ids.Count; i++)
                if ((before >> i & 1) != 0 && !done.Contains(ids[i]))
                    return Reason(assembly, target, ids[i], loosening);
            done.Add(target);
        }
        return null;
    }

    private static string Reason(Assembly a, string target, string first, Loosening loosening)
    {
        var group = a.Fasteners.FirstOrDefault(f => f.Id == target);
        if (group?.HiddenBy == first)
            return ChosenOrderWords.HidesGroupIt(first, target);
        if (a.Leads.FirstOrDefault(l => l.Id == target)?.HiddenBy == first)
            return ChosenOrderWords.HidesLeadIt(first, target);
        if (a.Pieces.Any(p => p.Id == target))
        {
            if (a.Fasteners.FirstOrDefault(f => f.Id == first) is { } holds)
                return ChosenOrderWords.OfGroupStill(
                    HowMany.Count(holds.Count, "screw"),
                    first,
                    holds.Count == 1 ? "holds" : "hold",
                    target
                );
            if (a.Leads.Any(l => l.Id == first))
                return ChosenOrderWords.LeadStillTiesDown(first, target);
        }
        if (
            group is not null
            && a.Fasteners.FirstOrDefault(f => f.Id == first) is { } peer
            && (Rings.IsRing(group) || Rings.IsRing(peer))
            && !a.After.Any(x => x.First == first && x.Second == target)
        )
            return loosening == Loosening.RingLast
                ? ChosenOrderWords.DieRingComesAfterPeer(target, first)
                : ChosenOrderWords.DieRingComesBeforePeer(first, target);
        return $"{target} comes after {first}.";
    }

    /// <summary>Positions of the acts in the order asked; null when it is not legal.</summary>
    internal static List<int>? Indices(
        AssemblyGraph graph,
        Assembly assembly,
        IReadOnlyList<string>? order,
        Loosening loosening
    )
    {
        if (order is null || WhyNot(assembly, order, loosening) is not null)
            return null;
        var ids = graph.Acts.Select(a => a.Target).ToList();
        return [.. order.Select(o => ids.IndexOf(o))];
    }
}
