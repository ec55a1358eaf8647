using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Words.Teardown;

namespace FaithfulBracket.Core.Teardown;

/// <summary>An order that somebody chose: legal, or the first thing that is not.</summary>
public static class ChosenOrder
{
    /// <returns>Null when the order is legal.</returns>
    public static string? WhyNot(Assembly assembly, IReadOnlyList<string> order)
    {
        var graph = AssemblyGraph.Create(assembly);
        var ids = graph.Acts.Select(a => a.Target).ToList();
        if (order.Distinct().Count() != ids.Count || order.Any(o => !ids.Contains(o)))
            return ChosenOrderWords.NameEachOfScrewGroupsLeads(ids.Count);
        var done = new HashSet<string>();
        foreach (var target in order)
        {
            var before = graph.Before[ids.IndexOf(target)];
            for (var i = 0; i < ids.Count; i++)
                if ((before >> i & 1) != 0 && !done.Contains(ids[i]))
                    return Reason(assembly, target, ids[i]);
            done.Add(target);
        }
        return null;
    }

    private static string Reason(Assembly a, string target, string first)
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
            && AssemblyGraph.IsRing(group)
            && !a.After.Any(x => x.First == first && x.Second == target)
        )
            return ChosenOrderWords.DieRingComesAfterPeer(target, first);
        return $"{target} comes after {first}.";
    }

    /// <summary>Positions of the acts in the order asked; null when it is not legal.</summary>
    internal static List<int>? Indices(AssemblyGraph graph, Assembly assembly, IReadOnlyList<string>? order)
    {
        if (order is null || WhyNot(assembly, order) is not null)
            return null;
        var ids = graph.Acts.Select(a => a.Target).ToList();
        return [.. order.Select(o => ids.IndexOf(o))];
    }
}
