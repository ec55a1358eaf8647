using System.Collections.Immutable;
using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Plans.Walk;

/// <summary>
/// Which steps must be signed before each: those without which an act of it could not be done. A step is locked by the
/// last that changed something it needs; what that one needs in turn locks it, and so on back.
/// </summary>
internal static class WalkLocks
{
    /// <summary>
    /// What locks nothing: a board is turned over and held, and the power switched off, whenever it has to be; what
    /// lies in the hand is worked on beside a machine that runs.
    /// </summary>
    private static bool Free(Scene scene, Act act, NeedCode code) =>
        code is NeedCode.Reach or NeedCode.Hands or NeedCode.Falls
        || code == NeedCode.Already && act.Do == Verb.PowerOff
        || code == NeedCode.Powered && !OnBoard(scene, act.Thing) && (act.To is not { } to || !OnBoard(scene, to));

    private static bool OnBoard(Scene scene, ThingId id) =>
        id.Kind is ThingKind.Board or ThingKind.Loop or ThingKind.Lead || scene.Find(id)?.Board is not null;

    private static readonly ThingKind[] Between = [ThingKind.Face, ThingKind.Film, ThingKind.Pad, ThingKind.Putty];

    /// <summary>What one step changed that no later one has changed since, as it was before.</summary>
    private sealed record Mark(int Step, Dictionary<ThingId, Condition> Before);

    public static IReadOnlyList<WorkStep> On(Scene scene, BenchState start, IReadOnlyList<WorkStep> steps)
    {
        var near = new Nearby(scene);
        var state = start;
        var last = new Dictionary<ThingId, int>();
        var marks = new Dictionary<int, Mark>();
        var locked = new List<WorkStep>(steps.Count);
        // everything that each step rests on, by way of others too
        var under = new List<HashSet<int>>(steps.Count);
        for (var i = 0; i < steps.Count; i++)
        {
            var own = steps[i].Acts.Count == 0 ? [] : Find(scene, near, state, steps[i].Acts, last, marks);
            own.AddRange(PassBefore(steps, i));
            var deeper = own.SelectMany(k => under[k]).ToHashSet();
            under.Add([.. own, .. deeper]);
            locked.Add(
                steps[i] with
                {
                    Locks = [.. own.Distinct().Where(k => !deeper.Contains(k)).Order().Select(k => steps[k].Id)],
                }
            );
            var after = BenchWalk.After(scene, state, steps[i].Acts);
            if (ReferenceEquals(after.Conditions, state.Conditions))
            {
                state = after;
                continue;
            }
            foreach (var (thing, condition) in after.Conditions)
            {
                var before = state.Conditions.GetValueOrDefault(thing, condition);
                if (before == condition)
                    continue;
                if (last.TryGetValue(thing, out var earlier))
                    marks[earlier].Before.Remove(thing);
                if (!marks.TryGetValue(i, out var mark))
                    marks[i] = mark = new(i, []);
                mark.Before[thing] = before;
                last[thing] = i;
            }
            state = after;
        }
        return locked;
    }

    /// <summary>One pass over a ring comes after the one before it.</summary>
    private static IEnumerable<int> PassBefore(IReadOnlyList<WorkStep> steps, int i) =>
        steps[i] is { Pass: > 1 } step
            ? Enumerable
                .Range(0, i)
                .Where(k =>
                    steps[k].Pair == step.Pair
                    && steps[k].Board == step.Board
                    && steps[k].Pass == step.Pass - 1
                    && steps[k].Passes == step.Passes
                )
            : [];

    private static List<int> Find(
        Scene scene,
        Nearby near,
        BenchState state,
        IReadOnlyList<Act> acts,
        Dictionary<ThingId, int> last,
        Dictionary<int, Mark> marks
    )
    {
        var can = Can(scene, state, acts, acts.Count);
        var things = near.Find(acts);
        // what runs or is pressed asks for what is fitted, not for what lies between
        var earlier = (
            things is null
                ? last.Where(l => !Between.Contains(l.Key.Kind)).Select(l => l.Value)
                : things.Where(last.ContainsKey).Select(t => last[t])
        )
            .Distinct()
            .Order();
        return
        [
            .. earlier.Where(k =>
                marks[k].Before.Count > 0
                && Can(scene, state with { Conditions = state.Conditions.SetItems(marks[k].Before) }, acts, can) < can
            ),
        ];
    }

    /// <summary>How many acts can be done one after the other, of the first <paramref name="most"/>.</summary>
    private static int Can(Scene scene, BenchState state, IReadOnlyList<Act> acts, int most)
    {
        for (var i = 0; i < most; i++)
        {
            if (Needs.FirstUnmet(scene, state, acts[i]) is { } unmet && !Free(scene, acts[i], unmet.Code))
                return i;
            if (scene.Find(acts[i].Thing) is not null)
                state = BenchWalk.Apply(scene, state, acts[i]);
        }
        return most;
    }

    /// <summary>The things whose condition can decide whether an act is done.</summary>
    private sealed class Nearby(Scene scene)
    {
        private readonly List<ThingId> _screws =
        [
            .. scene.Things.Where(t => t.Id.Kind == ThingKind.Screws).Select(t => t.Id),
        ];

        /// <summary>Null where it may be any.</summary>
        public HashSet<ThingId>? Find(IReadOnlyList<Act> acts)
        {
            if (acts.Any(a => a.Do is Verb.Run or Verb.Press))
                return null;
            HashSet<ThingId> things = [ThingId.Power, ThingId.Loop];
            foreach (var act in acts)
                Add(act, things);
            return things;
        }

        private void Add(Act act, HashSet<ThingId> things)
        {
            foreach (var id in (ReadOnlySpan<ThingId?>)[act.Thing, act.To])
                if (id is { } known && scene.Find(known) is { } thing)
                    Around(thing, things);
            foreach (var closer in Closers.By(scene, act))
            {
                Around(closer, things);
                foreach (var face in closer.Closes)
                    if (scene.Find(face) is { } closed)
                        Around(closed, things);
                things.UnionWith(closer.Takes.SelectMany(scene.FilmsOf).Select(f => f.Id));
                // stickers on its own faces
                things.UnionWith(scene.OwnedBy(closer.Id.Owner).Select(t => t.Id).Where(t => t.Kind == ThingKind.Film));
            }
            if (act.Do == Verb.Lower || act.Do == Verb.Fit && act.Thing.Kind == ThingKind.Backplate)
                things.UnionWith(_screws);
            if (act.Do is Verb.Open or Verb.Close or Verb.Remove or Verb.Insert or Verb.Shear or Verb.Warm)
                things.UnionWith(
                    scene
                        .OwnedBy(act.Thing.Owner)
                        .Select(t => t.Id)
                        .Where(t =>
                            t.Kind
                                is ThingKind.Levers
                                    or ThingKind.Clamp
                                    or ThingKind.Processor
                                    or ThingKind.Block
                                    or ThingKind.Jet
                                    or ThingKind.Insert
                                    or ThingKind.Oring
                        )
                );
        }

        private void Around(SceneThing thing, HashSet<ThingId> things)
        {
            things.Add(thing.Id);
            things.UnionWith(thing.Under);
            things.UnionWith(thing.Holds);
            things.UnionWith(thing.On);
            things.UnionWith(thing.Closes);
            things.UnionWith(thing.Takes);
            things.UnionWith(scene.FilmsOf(thing.Id).Select(f => f.Id));
            things.UnionWith(scene.HoldersOf(thing.Id).Select(t => t.Id));
            things.UnionWith(scene.TiesOf(thing.Id).Select(t => t.Id));
            if (thing.Id.Kind is ThingKind.Block or ThingKind.Plate or ThingKind.Half or ThingKind.Carrier)
                things.UnionWith(scene.KeptBy(thing).Select(t => t.Id));
        }
    }
}
