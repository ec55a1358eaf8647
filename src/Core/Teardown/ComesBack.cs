using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Teardown;

/// <summary>One act of fitting stock pieces again after the block.</summary>
/// <param name="Step">As it is on the way back to stock.</param>
/// <param name="IntoBlock">Whether its screws or its end find their hold in the block now, no longer in the stock cooler.</param>
public sealed record BackAct(RestoreStep Step, bool IntoBlock)
{
    /// <summary>Acts of one thread hold or hide each other; between threads the order is free.</summary>
    public int Thread { get; init; }
}

/// <summary>Stock pieces, leads and screws that are fitted again after the block, in an order the assembly allows.</summary>
public static class ComesBack
{
    /// <summary>The teardown read backwards, of the pieces that return and what holds only them.</summary>
    /// <param name="carried">Pieces that the block's own screws hold, such as a stock back plate: they have a step of their own.</param>
    public static IReadOnlyList<BackAct> Find(
        Assembly assembly,
        TeardownPlan plan,
        IReadOnlySet<string>? carried = null
    )
    {
        var whole = Staying.Without(assembly);
        var back = whole.Pieces.Where(p => p.Returns && carried?.Contains(p.Id) != true).Select(p => p.Id).ToHashSet();
        if (back.Count == 0 && !whole.Leads.Any(l => l.MovesTo is not null))
            return [];
        // what is fitted already, or will be
        var here = whole.Pieces.Where(p => p.Returns).Select(p => p.Id).Append(Assembly.BoardId).ToHashSet();
        var acts = new List<BackAct>();
        foreach (var step in plan.Restore)
        {
            var own = step.Action switch
            {
                RestoreAction.Set => back.Contains(step.Target) ? new BackAct(step, false) : null,
                RestoreAction.Fasten => Screws(whole.Fasteners.First(f => f.Id == step.Target), step, back, here),
                _ => Plug(whole.Leads.First(l => l.Id == step.Target), step, back, here),
            };
            if (own is not null)
                acts.Add(own);
        }
        return Threaded(AssemblyGraph.Create(assembly), acts);
    }

    /// <summary>Threads by what has to come before what, of the acts that are done again.</summary>
    private static List<BackAct> Threaded(AssemblyGraph graph, List<BackAct> acts)
    {
        var index = acts.ConvertAll(a => graph.Acts.ToList().FindIndex(x => x.Target == a.Step.Target));
        int[] thread = [.. Enumerable.Range(0, acts.Count)];
        for (var i = 0; i < acts.Count; i++)
        for (var k = 0; k < acts.Count; k++)
            if ((graph.Before[index[i]] >> index[k] & 1) != 0 && thread[i] != thread[k])
            {
                var (keep, merged) = (Math.Min(thread[i], thread[k]), Math.Max(thread[i], thread[k]));
                for (var m = 0; m < thread.Length; m++)
                    if (thread[m] == merged)
                        thread[m] = keep;
            }
        return [.. acts.Select((a, i) => a with { Thread = thread[i] })];
    }

    /// <summary>Screws of a piece that returns; where they held it to the stock cooler, the block takes them now.</summary>
    private static BackAct? Screws(FastenerGroup f, RestoreStep step, HashSet<string> back, HashSet<string> here) =>
        f.Joins.Any(back.Contains) ? new(step, !f.Joins.All(here.Contains)) : null;

    /// <summary>A lead between what is here, or one that moves over to the block.</summary>
    private static BackAct? Plug(Lead l, RestoreStep step, HashSet<string> back, HashSet<string> here) =>
        l.MovesTo is not null ? new(step, true)
        : l.Between.Any(back.Contains) && l.Between.All(here.Contains) ? new(step, false)
        : null;
}
