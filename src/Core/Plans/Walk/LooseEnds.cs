using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Plans.Walk;

/// <summary>What became of something that was opened.</summary>
public enum Fate
{
    /// <summary>Back where it was.</summary>
    Back,

    /// <summary>On the block.</summary>
    Block,

    /// <summary>Put away with its label.</summary>
    Kept,
    Used,
    Discarded,
}

/// <summary>Something that a plan opens, and where it ends.</summary>
/// <param name="Count">How many; null where it is one thing.</param>
/// <param name="ClosedBy">Null while nothing gives it a fate.</param>
public sealed record LooseEnd(ThingId Thing, int? Count, StepId OpenedBy, StepId? ClosedBy, Fate? Fate);

/// <summary>Something that is open now.</summary>
/// <param name="Title">Of the step that opened it.</param>
/// <param name="Fate">What the plan does with it; null where it has no place yet.</param>
public sealed record OpenEnd(string Title, Fate? Fate);

/// <summary>Screws taken out, leads unplugged, pieces and films taken off, over a whole plan.</summary>
public static class LooseEnds
{
    public static IReadOnlyList<LooseEnd> Find(IEnumerable<WorkStep> steps)
    {
        var ends = new List<LooseEnd>();
        foreach (var step in steps)
        foreach (var act in step.Acts)
        {
            if (Opens(act))
                ends.Add(new(act.Thing, act.Count, step.Id, null, null));
            else if (
                Closes(act) is { } fate
                && ends.FindLastIndex(e => e.Thing == act.Thing && e.Fate is null) is >= 0 and var at
            )
                ends[at] = ends[at] with { ClosedBy = step.Id, Fate = fate };
            // a film that is peeled is thrown away at once
            if (act.Do is Verb.PeelInner or Verb.PeelOuter)
                ends.Add(new(act.Thing, null, step.Id, step.Id, Fate.Discarded));
        }
        return ends;
    }

    /// <summary>What is open as things stand: opened by a signed step, closed by none. Films are thrown away at once.</summary>
    /// <param name="signed">Steps that stand signed.</param>
    public static IReadOnlyList<OpenEnd> Open(IReadOnlyList<WorkStep> steps, IReadOnlySet<StepId> signed) =>
        [
            .. Find(steps)
                .Where(e => e.Fate != Walk.Fate.Discarded && signed.Contains(e.OpenedBy))
                .Where(e => e.ClosedBy is not { } closed || !signed.Contains(closed))
                .Select(e => new OpenEnd(steps.First(s => s.Id == e.OpenedBy).Title, e.Fate)),
        ];

    private static bool Opens(Act act) => act.Do is Verb.Unscrew or Verb.Unplug or Verb.Lift or Verb.Remove;

    private static Fate? Closes(Act act) =>
        act.Do switch
        {
            Verb.Fasten or Verb.Plug or Verb.BringBack or Verb.Fit or Verb.Insert => act.To is { Kind: ThingKind.Block }
                ? Fate.Block
                : Fate.Back,
            Verb.Store => Fate.Kept,
            _ => null,
        };
}
