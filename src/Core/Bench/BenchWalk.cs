using System.Collections.Immutable;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Bench;

/// <summary>The acts of one step.</summary>
/// <param name="Up">Which face of each board is up after the turn with which the step begins.</param>
public sealed record WalkStep(IReadOnlyList<Act> Acts, IReadOnlyDictionary<string, Face>? Up = null);

/// <summary>Steps walked one after the other from a state: the only place that knows what acts need and change.</summary>
public static class BenchWalk
{
    /// <returns>Where it ends, or the first act that cannot be done; the end is told up to there.</returns>
    public static (BenchState End, Contradiction? Contradiction) Run(
        Scene scene,
        BenchState start,
        IReadOnlyList<WalkStep> steps,
        bool toTheEnd = true,
        CancellationToken cancel = default
    )
    {
        var state = start;
        for (var i = 0; i < steps.Count; i++)
        {
            cancel.ThrowIfCancellationRequested();
            for (var k = 0; k < steps[i].Acts.Count; k++)
            {
                var act = steps[i].Acts[k];
                if (Needs.FirstUnmet(scene, state, act) is { } unmet)
                    return (state, new(i, k, unmet));
                state = Apply(scene, state, act);
                // what is up is told as it is after the turn with which a step begins
                if (steps[i].Acts.Skip(k).Any(a => a.Do == Verb.TurnOver))
                    continue;
                if (WrongUp(state, steps[i]) is { } wrong)
                    return (state, new(i, k, new(NeedCode.Reach, [wrong])));
            }
        }
        return toTheEnd && Needs.LooseEnds(scene, state) is { Count: > 0 } open
            ? (state, new(steps.Count, 0, new(NeedCode.LooseEnd, open)))
            : (state, null);
    }

    /// <summary>Key of the face of a bare package that only glue has to be scraped off.</summary>
    public const string Substrate = "substrate";

    private static ThingId? WrongUp(BenchState state, WalkStep step) =>
        step
            .Up?.Where(u => state.Up.TryGetValue(u.Key, out var face) && face != u.Value)
            .Select(u => (ThingId?)new ThingId(ThingKind.Board, u.Key))
            .FirstOrDefault();

    /// <summary>What acts leave behind, whether or not each could be done; those on things that are not here leave nothing.</summary>
    public static BenchState After(Scene scene, BenchState start, IEnumerable<Act> acts) =>
        acts.Where(a => scene.Find(a.Thing) is not null).Aggregate(start, (state, act) => Apply(scene, state, act));

    /// <summary>The state after an act whose needs hold.</summary>
    public static BenchState Apply(Scene scene, BenchState state, Act act)
    {
        var thing = scene.Find(act.Thing)!;
        state = LaidDown(scene, state, act, thing);
        return act.Do switch
        {
            Verb.PowerOff => state.With(ThingId.Power, Condition.PowerOff),
            Verb.Run when act.Thing == ThingId.Power => state.With(ThingId.Power, Condition.PowerOn),
            Verb.Unscrew => state.With(act.Thing, Condition.Out),
            Verb.Start => state.With(act.Thing, Condition.Started),
            Verb.Turn => state.With(act.Thing, Condition.Turned),
            Verb.Fasten => state.With(act.Thing, Condition.Home),
            Verb.Unplug => state.With(act.Thing, Condition.Free),
            Verb.Plug => state.With(act.Thing, Condition.Plugged),
            Verb.Lift => Lifted(scene, state, thing),
            Verb.Remove => Removed(scene, state, act.Thing),
            Verb.SetAside => SetDown(scene, state, thing),
            Verb.Insert when act.Thing.Kind == ThingKind.Board => state.With(act.Thing, Condition.InMachine),
            Verb.Insert when act.To == ThingId.Jig => state.With(act.Thing, Condition.InJig),
            Verb.Fit when act.To is { Kind: ThingKind.Face } => Laid(state.With(act.Thing, Condition.On), act.To),
            Verb.BringBack or Verb.Fit or Verb.Insert or Verb.Join => Closed(scene, state, act)
                .With(act.Thing, Condition.On),
            Verb.Open => state.With(act.Thing, Condition.Open),
            Verb.Close => state.With(act.Thing, act.Thing.Kind == ThingKind.Block ? Condition.InBox : Condition.Closed),
            Verb.Shear => state.With(act.Thing, Condition.Off),
            Verb.Scrape when act.Thing.Key == Substrate => state.With(act.Thing, Condition.Clean),
            Verb.Coat => state.With(act.Thing, Condition.Taken),
            Verb.Lower => Down(Closed(scene, state, act), act),
            Verb.TurnOver => Turned(scene, state, act.Thing.Owner),
            Verb.Hold => state with { Held = state.Held.Add(act.Thing) },
            Verb.Clean => state.With(act.Thing, Condition.Clean),
            Verb.Cut => state.With(act.Thing, Condition.Cut),
            Verb.PeelInner or Verb.PeelOuter => state.With(act.Thing, Condition.FilmOff),
            Verb.Lay => Laid(state.With(act.Thing, Condition.Laid), act.To),
            Verb.Spread => state.With(act.Thing, Condition.Taken),
            Verb.Press => state.With(ThingId.Loop, Condition.Tight),
            Verb.Fill => state.With(ThingId.Loop, Condition.Filled),
            Verb.Bleed => state.With(ThingId.Loop, Condition.Bled),
            Verb.Drain => state.With(ThingId.Loop, Condition.Empty),
            Verb.Store => PutAway(scene, state, act.Thing),
            _ => state,
        };
    }

    /// <summary>The face that is worked on first is the one that is up: where a board begins is free.</summary>
    private static BenchState LaidDown(Scene scene, BenchState state, Act act, SceneThing thing) =>
        thing.Board is { } board
        && thing.Reach == Reach.Open
        && act.Do != Verb.TurnOver
        && !state.Up.ContainsKey(board)
        && Needs.OnFace.Contains(act.Do)
            ? Packets.Lay(scene, state, board, act.From ?? thing.Face)
            : state;

    private static BenchState Turned(Scene scene, BenchState state, string board) =>
        Packets.Lay(
            scene,
            state,
            board,
            state.Up.TryGetValue(board, out var up) && up == Face.Back ? Face.Front : Face.Back
        ) with
        {
            Held = [],
        };

    private static BenchState Laid(BenchState state, ThingId? face) =>
        face is { Kind: ThingKind.Face } f && state.Conditions.ContainsKey(f) ? state.With(f, Condition.Taken) : state;

    /// <summary>What was pressed under it is used up, its faces are dirty.</summary>
    private static BenchState Lifted(Scene scene, BenchState state, SceneThing thing)
    {
        var parts = scene.Parts(thing).Where(p => state.Is(p, Condition.On)).Select(scene.Find).OfType<SceneThing>();
        foreach (var part in parts.Append(thing).ToList())
        {
            foreach (var face in part.Closes)
                state = state.With(face, Condition.Dirty);
            foreach (var pad in part.Takes.Where(p => state.Is(p, Condition.Pressed)))
                state = state.With(pad, Condition.UsedUp);
            if (part != thing)
                state = state.With(part.Id, Condition.Raised);
        }
        state = state.With(thing.Id, Condition.Raised);
        // a block of which nothing lies on a board any more is off
        ThingId block = new(ThingKind.Block, thing.Id.Owner);
        return
            thing.Id.Kind is ThingKind.Plate or ThingKind.Half
            && state.Is(block, Condition.On)
            && !scene.Parts(scene.Find(block)!).Any(p => state.Is(p, Condition.On))
            ? state.With(block, Condition.Off)
            : state;
    }

    private static BenchState SetDown(Scene scene, BenchState state, SceneThing thing)
    {
        foreach (var part in scene.Parts(thing).Where(p => state.Is(p, Condition.Raised)).ToList())
            state = state.With(part, Condition.Off);
        state = state.With(thing.Id, Condition.Off);
        return thing.Id.Kind == ThingKind.Piece ? Packets.Opened(scene, state, thing) : state;
    }

    /// <summary>What is put away; plates, halves and carriers go with their block.</summary>
    private static BenchState PutAway(Scene scene, BenchState state, ThingId thing)
    {
        if (thing.Kind == ThingKind.Block)
            foreach (
                var part in scene.Things.Where(t =>
                    t.Id.Owner == thing.Owner && t.Id.Kind is ThingKind.Plate or ThingKind.Half or ThingKind.Carrier
                )
            )
                state = state.With(part.Id, Condition.Stored);
        return state.With(thing, Condition.Stored);
    }

    /// <summary>What is taken out; the levers leave with the clamp that they close.</summary>
    private static BenchState Removed(Scene scene, BenchState state, ThingId thing)
    {
        ThingId levers = new(ThingKind.Levers, thing.Owner);
        if (thing.Kind == ThingKind.Clamp && scene.Find(levers) is not null)
            state = state.With(levers, Condition.Off);
        // what a sink stuck on is left with its glue
        if (thing.Kind == ThingKind.Sink)
            state = state.With(new(ThingKind.Face, thing.Owner, thing.Key), Condition.Dirty);
        // a board out of its machine lies on the bench
        return state.With(thing, thing.Kind == ThingKind.Board ? Condition.On : Condition.Off);
    }

    /// <summary>What was lowered, or what a board was lowered onto, is on.</summary>
    private static BenchState Down(BenchState state, Act act) =>
        act.Thing.Kind != ThingKind.Board ? state.With(act.Thing, Condition.On)
        : act.To is { } to ? state.With(to, Condition.On)
        : state;

    private static BenchState Closed(Scene scene, BenchState state, Act act)
    {
        foreach (var plate in Closers.By(scene, act))
        {
            foreach (var pad in plate.Takes.Where(p => state.Is(p, Condition.Laid)))
                state = state.With(pad, Condition.Pressed);
            state = state.With(plate.Id, Condition.On);
            ThingId block = new(ThingKind.Block, plate.Id.Owner);
            // carriers are on before the block that is bolted to them
            var own = plate.Id.Kind == ThingKind.Plate && act.Thing.Kind != ThingKind.Carrier;
            if (own && scene.Find(block) is not null)
                state = state.With(block, Condition.On);
        }
        return state;
    }
}
