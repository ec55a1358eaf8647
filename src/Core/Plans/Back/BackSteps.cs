using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans.Walk;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Teardown;
using FaithfulBracket.Core.Words.Plans.Back;
using FaithfulBracket.Core.Words.Prove;
using FaithfulBracket.Core.Words.Teardown;
using Id = FaithfulBracket.Core.Plans.Walk.BenchScene.Id;

namespace FaithfulBracket.Core.Plans.Back;

/// <summary>
/// The steps of the way back: drained first; what was put on comes off from the last to the first; faces clean; the
/// strip-down backwards, each stock piece on new pads and paste of its own; what is left over packed; a run.
/// </summary>
internal sealed class BackSteps(
    WorkOrder order,
    JobPlan plan,
    Scene scene,
    BenchState start,
    IReadOnlyList<WorkStep> done,
    IReadOnlyList<StockContact> contacts,
    IReadOnlySet<ThingId> gone,
    IReadOnlySet<ThingId> kept
)
{
    private readonly ActWriter _writer = new(order, scene, start);
    private readonly HashSet<StepId> _named = [];

    /// <summary>Blocks that are off one of their boards.</summary>
    private readonly HashSet<(string Pair, string? Board)> _loosened = [];

    private BenchState State => _writer.State;

    public IReadOnlyList<WorkStep> All()
    {
        Power();
        foreach (var step in done.Reverse())
            Undo(step);
        foreach (var piece in order.Pieces)
        foreach (var face in (ReadOnlySpan<Face>)[Face.Front, Face.Back])
            Clean(piece, face);
        foreach (var board in plan.Teardown.Boards.AsEnumerable().Reverse())
            Together(board);
        Pack();
        // what lost its lid, and a new build, has no cooler to run with
        if (
            plan.Teardown.Boards.Count > 0
            && SeatedBoard.Ran(order)
            && !gone.Any(t => t.Kind == ThingKind.Piece && !kept.Contains(t))
            && scene.Things.All(t => !t.Hot || t.Under.Any(o => State.Is(o, Condition.On)))
        )
            Write(
                Step("run", StepKind.Run, BackStepsWords.RunItWithStockCooler, "It runs") with
                {
                    Detail = plan.Prove.First?.Why is { Count: > 0 } why ? why[0] : BackStepsWords.SameLoadSameRoom,
                },
                new(Verb.Run, ThingId.Power),
                new(Verb.Measure, ThingId.Power)
            );
        return _writer.Steps;
    }

    private static WorkStep Step(string target, StepKind kind, Message title, string words, string? scope = null) =>
        new()
        {
            Id = new(Station.Care, scope, $"restore-{target}"),
            Kind = kind,
            Title = title,
            Done = words,
        };

    private void Write(WorkStep step, params IReadOnlyList<Act> acts)
    {
        // two steps never share a name
        for (var i = 2; !_named.Add(step.Id); i++)
            step = step with { Id = new(Station.Care, step.Id.Scope, $"{step.Id.Target}-{i}") };
        _writer.Write(
            step,
            () =>
            {
                foreach (var act in acts)
                    _writer.Add(act);
            }
        );
    }

    private void Power()
    {
        var wet = State.Is(ThingId.Loop, Condition.Tight, Condition.Filled, Condition.Bled);
        Write(
            Step("power", StepKind.PowerOff, TeardownStationWords.SwitchOffUnplugThenPressSwitch, "Power is off") with
            {
                Detail = BackStepsWords.TouchEarthedMetalOrWearCorded,
                Caution = wet
                    ? BackStepsWords.CoolantDestroysPoweredBoard
                    : TeardownStationWords.PowerSuppliesAreNeverOpened,
            },
            State.Is(ThingId.Power, Condition.PowerOn) ? [new(Verb.PowerOff, ThingId.Power)] : []
        );
        if (wet)
            Write(
                Step("drain", StepKind.Fill, BackStepsWords.DrainLoopIntoCanAir, "Loop is empty") with
                {
                    Detail = BackStepsWords.TiltUntilNothingMoreRuns,
                    Caution = BackStepsWords.WhatStaysInBlockRunsOut,
                    Feel = ProveStationWords.NothingRunsAnyMoreAndBlock,
                },
                new Act(Verb.Drain, ThingId.Loop)
            );
    }

    /// <summary>What a step put on comes off again.</summary>
    private void Undo(WorkStep step)
    {
        if (step.Id.Target.StartsWith("again-", StringComparison.Ordinal))
            OffAgain(step);
        else if (step.Kind is StepKind.Lower or StepKind.Start or StepKind.Turn && step is { Pair: not null })
            BlockOff(step);
        else if (Off(step) is { Count: > 0 } acts)
            Write(BackWords.Off(order, step, acts), acts);
    }

    /// <summary>The acts that take back those of one step, the last first.</summary>
    private List<Act> Off(WorkStep step)
    {
        var off = new List<Act>();
        foreach (var act in step.Acts.Reverse().Where(a => !kept.Contains(a.Thing)))
        {
            var thing = act.Thing;
            var on = State.Is(thing, Condition.On, Condition.InMachine);
            switch (act.Do, thing.Kind)
            {
                case (Verb.Fit, ThingKind.Frame or ThingKind.Plug):
                    // without its lid a package stays under its frame; a plug stays in its block
                    break;
                case (Verb.Fit or Verb.Join, _) when on:
                case (Verb.Insert, ThingKind.Board) when State.Is(thing, Condition.InMachine):
                    off.Add(new(Verb.Remove, thing));
                    break;
                case (Verb.BringBack, ThingKind.Piece) when on:
                    off.AddRange([new(Verb.Lift, thing), new(Verb.SetAside, thing)]);
                    break;
                case (Verb.Plug, ThingKind.Lead or ThingKind.Ribbon) when State.Is(thing, Condition.Plugged):
                    off.Add(new(Verb.Unplug, thing));
                    break;
                case (Verb.Start or Verb.Turn or Verb.Fasten, ThingKind.Screws)
                    when !State.Is(thing, Condition.Out, Condition.Stored) && !off.Exists(a => a.Thing == thing):
                    off.Add(new(Verb.Unscrew, thing, Count: act.Count, From: act.From));
                    break;
                case (Verb.Insert, ThingKind.Processor) when IsNew(step, thing):
                    off.Add(new(Verb.Remove, thing));
                    break;
                case (Verb.Close, ThingKind.Clamp or ThingKind.Levers) when IsNew(step, thing):
                    off.Add(new(Verb.Open, thing));
                    break;
                case (Verb.Open, ThingKind.Clamp or ThingKind.Levers) when IsNew(step, thing):
                    off.Add(new(Verb.Close, thing));
                    break;
            }
        }
        return off;
    }

    /// <summary>Whether a processor was laid in new and still lies under its clamp.</summary>
    private bool IsNew(WorkStep step, ThingId thing) =>
        step.Acts.Any(a => a is { Do: Verb.Insert, Thing.Kind: ThingKind.Processor })
        && step.Acts.Any(a => a is { Do: Verb.Close, Thing.Kind: ThingKind.Clamp })
        && State.Is(new(ThingKind.Processor, thing.Owner), Condition.On, Condition.Off);

    private void OffAgain(WorkStep step)
    {
        if (Off(step) is not { Count: > 0 } acts)
            return;
        var target = step.Targets[0];
        var screws = step.Kind == StepKind.Fasten;
        var name = NameOf(step.Board!, target);
        Write(
            step with
            {
                Id = new(Station.Care, step.Id.Scope, $"restore-off-{target}"),
                Kind =
                    screws ? StepKind.Unscrew
                    : step.Kind == StepKind.Connect ? StepKind.Unplug
                    : StepKind.Lift,
                Title =
                    screws
                        ? BackStepsWords.TakeOutGroupIntoCell(
                            HowMany.Count(step.Count ?? 1, "screw"),
                            target,
                            Cell(target)
                        )
                    : step.Kind == StepKind.Connect ? TeardownStationWords.Unplug(name)
                    : BackStepsWords.TakeOff(name),
                Done =
                    screws ? TeardownStationWords.InTray(step.Count)
                    : step.Kind == StepKind.Connect ? "Unplugged"
                    : "Off",
                Detail = BackStepsWords.ItWasFittedAgainOverBlock,
                Caution = null,
                Locks = [],
                Facts = [],
                Places = [],
            },
            acts
        );
    }

    private string? Cell(string group) =>
        plan.Teardown.Boards.SelectMany(b => b.Plan.Tray).FirstOrDefault(c => c.Fasteners.Contains(group))?.Cell;

    private string NameOf(string board, string target) =>
        plan.Teardown.Boards.SelectMany(b => b.Plan.Restore).FirstOrDefault(r => r.Target == target)?.Name ?? target;

    /// <summary>A block loose on one of its boards: its screws, then the block, or what of it lies on this board.</summary>
    private void BlockOff(WorkStep last)
    {
        var pair = order.Pairs.First(p => p.Key == last.Pair);
        ThingId block = new(ThingKind.Block, pair.Key);
        if (kept.Contains(block) || !_loosened.Add((pair.Key, last.Board)))
            return;
        // what a fitting still joins comes off as one
        var joined = scene.JoinedTo(State, block).Select(b => b.Owner).ToHashSet();
        joined.UnionWith(Bridging.With(order, plan.Match, pair).Select(p => p.Key));
        List<Pair> blocks = [.. order.Pairs.Where(p => joined.Contains(p.Key) || p.Key == pair.Key)];
        var together = blocks.Select(p => p.Key).ToHashSet();
        _loosened.UnionWith(together.Select(key => (key, last.Board)));
        var own = done.Where(s => s.Pair is { } key && together.Contains(key) && s.Board == last.Board)
            .Where(s => s.Kind is StepKind.Lower or StepKind.Start or StepKind.Turn)
            .ToList();
        List<Act> acts =
        [
            .. own.SelectMany(s => s.Acts)
                .Where(a => a.Do is Verb.Start or Verb.Turn or Verb.Fasten && a.Thing.Kind == ThingKind.Screws)
                .Where(a => !State.Is(a.Thing, Condition.Out, Condition.Stored))
                .GroupBy(a => a.Thing)
                .Select(g => new Act(Verb.Unscrew, g.Key, Count: Screws(own, g.Key), From: g.First().From))
                // the die ring last
                .OrderByDescending(a => a.Thing.Key, StringComparer.Ordinal),
        ];
        var screws = acts.Sum(a => a.Count ?? 0);
        foreach (var act in own.SelectMany(s => s.Acts).Where(a => a.Do == Verb.Lower).Reverse())
            acts.AddRange(Lift(act, pair));
        if (acts.Count > 0)
            Write(
                acts.TrueForAll(a => a.Thing.Kind == ThingKind.Carrier)
                    ? BackWords.CarriersOff(order, pair, last.Board!)
                    : BackWords.BlockOff(order, blocks, last.Board!, screws),
                acts
            );
    }

    private static int Screws(List<WorkStep> steps, ThingId ring) =>
        steps.SelectMany(s => s.Acts).Where(a => a.Thing == ring).Max(a => a.Count ?? a.At?.Count ?? 0);

    private IEnumerable<Act> Lift(Act lowered, Pair pair)
    {
        var thing = lowered.Thing.Kind == ThingKind.Board ? lowered.To!.Value : lowered.Thing;
        var board = lowered.Thing.Kind == ThingKind.Board ? lowered.Thing.Owner : lowered.To?.Owner;
        if (thing.Kind == ThingKind.Block && Rest(pair, board) is { Count: > 0 } here)
            return here.Select(p => new Act(Verb.Lift, p));
        return State.Is(thing, Condition.On) ? [new(Verb.Lift, thing), new(Verb.SetAside, thing)] : [];
    }

    /// <summary>Plates on one board, where the block still lies on another.</summary>
    private List<ThingId> Rest(Pair pair, string? board)
    {
        var on = scene
            .Things.Where(t => t.Id.Kind == ThingKind.Plate && t.Id.Owner == pair.Key && State.Is(t.Id, Condition.On))
            .ToList();
        return on.Exists(t => t.Board != board) ? [.. on.Where(t => t.Board == board).Select(t => t.Id)] : [];
    }

    /// <summary>Every face that something was taken off; the front whole before the back.</summary>
    private void Clean(Workpiece piece, Face face)
    {
        List<Act> acts =
        [
            .. scene
                .Things.Where(t => t.Id.Kind == ThingKind.Face && t.Board == piece.Key && t.Face == face)
                // what nobody opened and no stock piece covers is left alone
                .Where(t => t.Takes.Count > 0 || t.TakesPaste || t.Start is Condition.Clean or Condition.Taken)
                .Where(t => State.Is(t.Id, Condition.Dirty) && !t.Under.Any(o => State.Is(o, Condition.On)))
                .Select(t => new Act(Verb.Clean, t.Id)),
        ];
        if (acts.Count > 0)
            Write(BackWords.Clean(order, piece, face, [.. acts.Select(a => a.Thing.Key.Split('@')[0])]), acts);
    }

    /// <summary>The strip-down of one board backwards.</summary>
    private void Together(BoardTeardown board)
    {
        var piece = TeardownStation.Pieces(order).First(p => p.Key == board.Board);
        List<RestoreStep> left = [.. board.Plan.Restore];
        while (left.Count > 0)
        {
            var r = Falls(Act(left[0])) ? left.Find(x => Holds(Act(x))) ?? left[0] : left[0];
            left.Remove(r);
            var (verb, thing) = Act(r);
            if (gone.Contains(thing) || State.Is(thing, Condition.On, Condition.Home, Condition.Plugged))
                continue;
            var own = contacts.Where(c => c.Piece == thing).ToList();
            if (r.Action == RestoreAction.Set)
                foreach (var contact in own)
                    Between(contact, r, piece);
            List<Act> acts =
            [
                .. own.SelectMany(c => c.Pads)
                    .Select(p => p.Pad with { Kind = ThingKind.Film, Key = $"{p.Pad.Key}/outer" })
                    .Where(f => State.Is(f, Condition.FilmOn))
                    .Distinct()
                    .Select(f => new Act(Verb.PeelOuter, f)),
                new(verb, thing, Count: r.Action == RestoreAction.Fasten ? r.Count : null),
            ];
            Write(BackWords.Back(order, piece, board.Plan, r), acts);
        }

        (Verb Verb, ThingId Thing) Act(RestoreStep r)
        {
            var owner = TeardownStation.BoardOf(order, piece, r.Target);
            return r.Action switch
            {
                RestoreAction.Fasten => (Verb.Fasten, Id.Screws(owner, r.Target)),
                RestoreAction.Plug => (
                    Verb.Plug,
                    Id.Plugged(order, piece.Board.Assembly!.Leads.First(l => l.Id == r.Target), owner)
                ),
                _ => (Verb.BringBack, Id.Piece(owner, r.Target)),
            };
        }
    }

    /// <summary>Whether a board has to be turned for it while more lies loose on it than a person holds.</summary>
    private bool Falls((Verb Verb, ThingId Thing) act) =>
        scene.Find(act.Thing) is { Board: { } board, Reach: Reach.Open } thing
        && State.Up.TryGetValue(board, out var up)
        && up != thing.Face
        && Needs.Loose(scene, State, board).Count > BenchState.Hands;

    /// <summary>Screws that can go back in at once, so that what they hold does not fall.</summary>
    private bool Holds((Verb Verb, ThingId Thing) act) =>
        act.Verb == Verb.Fasten
        && !gone.Contains(act.Thing)
        && !State.Is(act.Thing, Condition.Home)
        && Needs.FirstUnmet(scene, State, new(act.Verb, act.Thing)) is null;

    /// <summary>New pads and paste under a stock piece, right before it is set back.</summary>
    private void Between(StockContact contact, RestoreStep r, Workpiece piece)
    {
        List<Act> pads =
        [
            .. contact
                .Pads.Where(p => State.Is(p.Pad, Condition.Uncut))
                .DistinctBy(p => p.Pad)
                .SelectMany(p =>
                    new Act[]
                    {
                        new(Verb.Cut, p.Pad),
                        new(Verb.PeelInner, p.Pad with { Kind = ThingKind.Film, Key = $"{p.Pad.Key}/inner" }),
                        new(Verb.Lay, p.Pad, p.Face),
                    }
                ),
        ];
        if (pads.Count > 0)
            Write(BackWords.Pads(order, piece, contact, r.Name), pads);
        List<Act> paste =
        [
            .. contact.Pasted.Where(f => !State.Is(f, Condition.Taken)).Select(f => new Act(Verb.Spread, f)),
        ];
        if (paste.Count > 0)
            Write(BackWords.Paste(order, piece, contact), paste);
    }

    /// <summary>Everything that is left over goes into its box, with its label.</summary>
    private void Pack()
    {
        var block = scene.Things.Where(t =>
            t.Id.Kind == ThingKind.Block && State.Is(t.Id, Condition.Off, Condition.Raised)
        );
        var acts = block.Select(b => new Act(Verb.Store, b.Id)).ToList();
        var parts = block.SelectMany(b => scene.Things.Where(t => t.Id.Owner == b.Id.Owner && OfBlock(t.Id)));
        var whole = parts.Select(p => p.Id).ToHashSet();
        acts.AddRange(
            Needs
                .LooseEnds(scene, State)
                .Where(t => !whole.Contains(t) && acts.TrueForAll(a => a.Thing != t))
                .Select(t => new Act(Verb.Store, t))
        );
        if (acts.Count > 0)
            Write(BackWords.Pack(order, acts), acts);
    }

    private static bool OfBlock(ThingId id) => id.Kind is ThingKind.Plate or ThingKind.Half or ThingKind.Carrier;
}
