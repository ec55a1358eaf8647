using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Teardown;
using FaithfulBracket.Core.Words.Plans.Walk;
using Id = FaithfulBracket.Core.Plans.Walk.BenchScene.Id;

namespace FaithfulBracket.Core.Plans.Walk;

/// <summary>
/// The acts of each step of a plan, in working order, from the stock state on.
/// </summary>
internal sealed class StepActs(WorkOrder order, MatchResult match, PadsResult pads, Scene scene, BenchState start)
{
    private readonly ActWriter _writer = new(order, scene, start);

    private BenchState State => _writer.State;

    /// <summary>All steps with their acts, in working order, and what one person cannot hold.</summary>
    public static (IReadOnlyList<WorkStep> Steps, IReadOnlyList<Diagnostic> Troubles) On(
        WorkOrder order,
        JobPlan plan,
        Scene scene,
        CancellationToken cancel
    )
    {
        var acts = new StepActs(order, plan.Match, plan.Pads, scene, BenchState.Create(scene));
        string? driver = null;
        foreach (var steps in plan.Stations.SelectMany(s => StepThreads.Stretches(s.Steps)))
        foreach (var step in acts.Ordered(steps, driver, cancel))
        {
            acts._writer.Write(step, () => acts.Do(step));
            driver = step.Driver ?? driver;
        }
        return (
            acts._writer.Steps,
            [
                .. acts
                    ._writer.Beyond.Distinct()
                    .Select(name => new Diagnostic(
                        Station.Teardown,
                        null,
                        StepActsWords.MorePiecesHangByNoScrew(name)
                    )),
            ]
        );
    }

    /// <summary>
    /// Steps of a station in the order that costs least from where the bench stands. A strip-down is planned exactly by its
    /// own search; where several boards come apart, one follows the other.
    /// </summary>
    private IReadOnlyList<WorkStep> Ordered(IReadOnlyList<WorkStep> steps, string? driver, CancellationToken cancel)
    {
        if (steps[0].Station == Station.Teardown)
            return steps;
        var threads = StepThreads.Split(steps);
        return threads.Count > 1 && new Sequencer(Move).Order(threads, State, driver, cancel) is { } best
            ? best.Steps
            : steps;
    }

    /// <summary>A step done from a state, with what it costs; null where one of its acts lacks something.</summary>
    public SequenceMove? Move(BenchState from, string? driver, WorkStep step)
    {
        var alone = new StepActs(order, match, pads, scene, from);
        alone._writer.Write(step, () => alone.Do(step));
        var (state, turns) = (from, 0);
        foreach (var act in alone._writer.Steps[0].Acts)
        {
            if (Needs.FirstUnmet(scene, state, act) is not null)
                return null;
            if (act.Do == Verb.TurnOver)
                turns++;
            state = BenchWalk.Apply(scene, state, act);
        }
        var changed = step.Driver is { } next && driver is not null && next != driver;
        return new(
            alone.State,
            step.Driver ?? driver,
            new(alone._writer.Beyond.Count, turns, changed ? 1 : 0, 0, Exposed(alone.State), 0)
        );
    }

    /// <summary>Faces that wait clean or pasted under nothing, and pads without their outer film.</summary>
    private int Exposed(BenchState state) =>
        scene.Things.Count(t =>
            t.Id.Kind == ThingKind.Face
                && t.Board is not null
                && state.Is(t.Id, Condition.Clean, Condition.Taken)
                && !t.Under.Any(o => state.Is(o, Condition.On))
            || t is { Id.Kind: ThingKind.Film, On: [{ Kind: ThingKind.Pad } pad] }
                && state.Is(t.Id, Condition.FilmOff)
                && t.Id.Key.EndsWith("/outer", StringComparison.Ordinal)
                && state.Is(pad, Condition.Laid)
        );

    private void Do(WorkStep step)
    {
        // a station that knows its acts says them
        if (step.Acts.Count > 0)
        {
            foreach (var act in step.Acts)
                Add(act);
            return;
        }
        switch (step.Station, step.Kind)
        {
            case (Station.Kit or Station.Prove, StepKind.Run) when step.Id.Target is "stock-run":
                Add(new(Verb.Run, ThingId.Power));
                Add(new(Verb.Measure, ThingId.Power));
                break;
            case (Station.Teardown, StepKind.PowerOff):
                if (State.Is(ThingId.Power, Condition.PowerOn))
                    Add(new(Verb.PowerOff, ThingId.Power));
                break;
            case (Station.Prep, _):
                Prepare(step);
                break;
            case (Station.Pads, _) or (Station.Mount, StepKind.Lay):
                Pads(step);
                break;
            case (Station.Paste, StepKind.Spread):
                Add(new(Verb.Spread, Id.Face(step.Board!, step.Targets[0])));
                break;
            case (Station.Mount, _):
                Mount(step);
                break;
            case (Station.Prove, _):
                Prove(step);
                break;
            case (Station.Care, StepKind.Store) when step.Id.Target == "stock":
                StoreStock();
                break;
        }
    }

    private ThingId Lead(string owner, string id) =>
        TeardownStation.Pieces(order).SelectMany(p => p.Board.Assembly!.Leads).FirstOrDefault(l => l.Id == id)
            is { } lead
            ? Id.Plugged(order, lead, owner)
            : Id.Lead(owner, id);

    private void Prepare(WorkStep step)
    {
        switch (step.Kind)
        {
            case StepKind.Clean
                when step.Board is { } board && step.Id.Target.StartsWith("clean-", StringComparison.Ordinal):
                foreach (var part in step.Targets)
                    Add(new(Verb.Clean, Id.Face(board, part)));
                break;
            case StepKind.Prepare when step.Id.Target == "block" && step.Pair is { } pair:
                Add(new(Verb.PeelOuter, Id.Sticker(pair)));
                // carriers of several modules come in one box
                var box = order.Pairs.First(p => p.Key == pair).Block;
                var owners = order
                    .Pairs.Where(p => p.Key == pair || box.Carriers.Count > 0 && p.Block.Id == box.Id)
                    .Select(p => p.Key)
                    .ToHashSet();
                foreach (
                    var land in scene.Things.Where(t =>
                        t.Id.Kind == ThingKind.Face && t.Board is null && owners.Contains(t.Id.Owner)
                    )
                )
                    Add(new(Verb.Clean, land.Id));
                break;
            case StepKind.DryFit when step.Pair is { } pair:
                Add(new(Verb.Try, Tried(pair), Id.Board(step.Board!)));
                break;
        }
    }

    /// <summary>The block, or the first of the carriers that it is bolted to.</summary>
    private ThingId Tried(string pair) =>
        scene.Things.FirstOrDefault(t => t.Id.Kind == ThingKind.Carrier && t.Id.Owner == pair)?.Id
        ?? new(ThingKind.Block, pair);

    private void Pads(WorkStep step)
    {
        var pieces = step
            .Pieces.Select(id => pads.Pieces.FirstOrDefault(p => p.Id == id && p.Parts.Count > 0))
            .OfType<PadPiece>();
        foreach (var piece in pieces)
        {
            if (step.Kind == StepKind.Cut)
            {
                Add(new(Verb.Cut, Id.Pad(piece)));
                continue;
            }
            if (step.Kind != StepKind.Lay)
                return;
            Add(new(Verb.PeelInner, Id.Film(piece, "inner")));
            Add(new(Verb.Lay, Id.Pad(piece), On(piece)));
            if (step.Count >= 2 * step.Pieces.Count)
                Add(new(Verb.PeelOuter, Id.Film(piece, "outer")));
        }
    }

    /// <summary>The part that a pad lies on, or the half of a block that the board is lowered into.</summary>
    private static ThingId On(PadPiece piece) =>
        piece.Half is { } half ? new(ThingKind.Half, piece.Pair, half) : Id.Face(piece.Board, piece.Parts[0]);

    private void Mount(WorkStep step)
    {
        var pair = step.Pair is { } key ? order.Pairs.First(p => p.Key == key) : null;
        switch (step.Kind)
        {
            case StepKind.Lower when pair is not null:
                foreach (
                    var each in step.Id.Target == Bridging.AsOneTarget
                        ? Bridging.With(order, match, pair)
                        : (IReadOnlyList<Pair>)[pair]
                )
                    Lower(step, each);
                break;
            case StepKind.Start when pair is not null:
                Rings(step, pair, r => new(Verb.Start, r.Id(pair.Key), Count: r.Holes.Count, From: step.Face));
                break;
            case StepKind.Turn when pair is not null && step.Turns.Count > 0:
                Pass(step, pair);
                break;
            case StepKind.BackPlate when step.Id.Target == "back-plate" && pair is not null:
                BackPlate(step, pair);
                break;
            case StepKind.Fit when step.Id.Target == "bracket":
                Add(new(Verb.Fit, new(ThingKind.Bracket, step.Board!)));
                break;
            case StepKind.Plug when pair is not null:
                foreach (var plug in scene.Things.Where(t => t.Id.Kind == ThingKind.Plug && t.Id.Owner == pair.Key))
                    Add(new(Verb.Fit, plug.Id));
                break;
            case StepKind.Connect when step.Id.Target.StartsWith("ribbon-", StringComparison.Ordinal):
                Put(new(Verb.Plug, new(ThingKind.Ribbon, step.Id.Target["ribbon-".Length..])));
                break;
            case StepKind.Connect when step.Id.Target == "headers" && pair is not null:
                foreach (var header in pair.Block.Headers)
                    Add(new(Verb.Plug, Id.Lead(pair.Key, header)));
                break;
            case StepKind.Fasten
            or StepKind.Connect
            or StepKind.Fit when step.Id.Target.StartsWith("again-", StringComparison.Ordinal):
                Again(step);
                break;
            case StepKind.BackPlate when step.Id.Target.StartsWith("stock-plate-", StringComparison.Ordinal):
                StockPlate(step, pair);
                break;
            case StepKind.Fit when step.Id.Target.StartsWith("join-", StringComparison.Ordinal):
                if (scene.Find(new(ThingKind.Link, step.Id.Target["join-".Length..])) is { } link)
                    Add(new(Verb.Join, link.Id));
                break;
        }
    }

    /// <summary>A stock plate under the block's own screws, which are driven home with it where they waited for it.</summary>
    private void StockPlate(WorkStep step, Pair? pair)
    {
        if (scene.Find(Id.Piece(step.Board!, step.Id.Target["stock-plate-".Length..])) is not { } plate)
            return;
        Add(new(Verb.BringBack, plate.Id));
        // those of a plate that lies there from the start wait for the block
        var shared = scene.Things.Where(t =>
            t.Id.Kind == ThingKind.Screws && t.Id.Owner == pair?.Key && t.Holds.Contains(plate.Id)
        );
        foreach (var ring in shared.Where(r => State.Is(r.Id, Condition.Out)))
        {
            Add(new(Verb.Start, ring.Id, From: Face.Back));
            Add(new(Verb.Fasten, ring.Id, From: Face.Back));
        }
    }

    private void Again(WorkStep step)
    {
        var (owner, target) = (step.Board!, step.Targets[0]);
        var (verb, thing) = step.Kind switch
        {
            StepKind.Fasten => (Verb.Fasten, Id.Screws(owner, target)),
            StepKind.Connect => (Verb.Plug, Lead(owner, target)),
            _ => (Verb.BringBack, Id.Piece(owner, target)),
        };
        if (scene.Find(thing) is not null)
            Add(new(verb, thing, MovedTo(target), Count: verb == Verb.Fasten ? step.Count : null));
    }

    /// <summary>The block that a lead of the stock cooler moves over to; null for anything that goes back.</summary>
    private ThingId? MovedTo(string lead) =>
        order.Pairs.Count > 0
        && TeardownStation.Pieces(order).SelectMany(p => p.Board.Assembly!.Leads).FirstOrDefault(l => l.Id == lead)
            is { MovesTo: FittedAgain.Block }
            ? new ThingId(ThingKind.Block, order.Pairs[0].Key)
            : null;

    /// <summary>The last films off, then board and block together, whichever moves.</summary>
    private void Lower(WorkStep step, Pair pair)
    {
        var board = Id.Board(step.Board!);
        ThingId block = new(ThingKind.Block, pair.Key);
        if (pair.Block.Carriers.Count > 0)
        {
            Carriers(step, pair, board, block);
            return;
        }
        if (pair.Block.Halves.Count > 0)
        {
            // the half that the board is lowered into carries the face that then lies below
            var below = step.Face == Face.Back ? Face.Front : Face.Back;
            var half =
                step.Id.Target == "lower"
                    ? pair.Block.Halves.OrderByDescending(h => h.Face == below).First()
                    : pair.Block.Halves.First(h => step.Id.Target == $"close-{h.Id}");
            ThingId id = new(ThingKind.Half, pair.Key, half.Id);
            Close(
                step.Id.Target == "lower" ? new(Verb.Lower, board, id) : new(Verb.Lower, id, board),
                half.Face == Face.Front ? step.Face : null
            );
            return;
        }
        var boardMoves = step.Face == Face.Back && pair.Block.Plates.Any(p => p.Face == Face.Front);
        Act act = boardMoves ? new(Verb.Lower, board, block) : new(Verb.Lower, block, board);
        Close(act, boardMoves ? Face.Back : null);
    }

    /// <param name="up">The face that is then up; null for that of the plates.</param>
    private void Close(Act act, Face? up)
    {
        var plates = Closers.By(scene, act).ToList();
        foreach (var pad in plates.SelectMany(p => p.Takes).Distinct().Where(p => State.Is(p, Condition.Laid)))
            Peel(pad);
        var board = act.Thing.Kind == ThingKind.Board ? act.Thing : act.To!.Value;
        if (plates.Count > 0)
        {
            var face = up ?? (act.Thing.Kind == ThingKind.Board ? Other(plates[0].Face) : plates[0].Face);
            // a board that is on the block already has to lie below
            foreach (var other in Packets.Against(scene, State, plates[0].Id.Owner, board.Owner, face).ToList())
                Turn(other, Packets.FaceOf(scene, board.Owner, face, other));
            Turn(board.Owner, face);
        }
        Put(act);
    }

    /// <summary>Each module between its carriers; then one block over all of them, its bolts loose.</summary>
    private void Carriers(WorkStep step, Pair pair, ThingId board, ThingId block)
    {
        if (step.Id.Target != "bridge")
        {
            foreach (var carrier in pair.Block.Carriers)
                Put(new(Verb.Lower, new(ThingKind.Carrier, pair.Key, carrier.Id), board));
            return;
        }
        Put(new(Verb.Lower, block));
        Put(new(Verb.Start, Id.Bolts(pair.Key), Count: step.Count));
    }

    private void Peel(ThingId pad)
    {
        ThingId film = pad with { Kind = ThingKind.Film, Key = $"{pad.Key}/outer" };
        if (State.Is(film, Condition.FilmOn))
            Add(new(Verb.PeelOuter, film));
    }

    private static Face Other(Face face) => face == Face.Front ? Face.Back : Face.Front;

    /// <summary>Rings that the screws of a step belong to.</summary>
    private void Rings(WorkStep step, Pair pair, Func<ScrewRing, Act> act)
    {
        var laid = match.Laid().First(l => l.Pair.Key == pair.Key && l.On.Board == step.Board).On.Laid.Block;
        foreach (var plate in laid.Plates)
        foreach (var ring in ScrewRings.Find(laid, plate))
        {
            List<string> own = [.. step.Targets.Where(ring.Holes.Contains)];
            if (own.Count > 0)
                Add(act(ring with { Holes = own }));
        }
    }

    private void Pass(WorkStep step, Pair pair)
    {
        var last = step.Pass == step.Passes;
        if (pair.Block.Carriers.Count > 0)
        {
            Put(new(last ? Verb.Fasten : Verb.Turn, Id.Bolts(pair.Key), Count: step.Count, At: step.Targets));
            return;
        }
        Rings(
            step,
            pair,
            r =>
            {
                // a ring with a shorter way is home before the others
                var home = last || step.Turns.Where(t => r.Holes.Contains(t.Hole)).All(t => t.Home);
                return new(
                    home ? Verb.Fasten : Verb.Turn,
                    r.Id(pair.Key),
                    Count: r.Holes.Count,
                    Turns: home ? null : Amount(step, r),
                    At: r.Holes,
                    From: step.Face
                );
            }
        );
    }

    private static double? Amount(WorkStep step, ScrewRing ring) =>
        step.Turns.FirstOrDefault(t => ring.Holes.Contains(t.Hole))?.Target is { } target
            ? Math.Round(target.AngleDeg / 360, 4)
            : null;

    private void BackPlate(WorkStep step, Pair pair)
    {
        ThingId plate = new(ThingKind.Backplate, pair.Key);
        Turn(step.Board!, Face.Back);
        foreach (var pad in scene.Find(plate)!.Takes.Where(p => State.Is(p, Condition.Laid)))
            Peel(pad);
        var shared = scene
            .Things.Where(t => t.Id.Kind == ThingKind.Screws && t.Id.Owner == pair.Key && t.Holds.Contains(plate))
            .ToList();
        foreach (var ring in shared.Where(r => !State.Is(r.Id, Condition.Out)))
            Add(new(Verb.Unscrew, ring.Id, From: Face.Back));
        Add(new(Verb.Fit, plate));
        // one that lies there before any screw waits for the block's own
        foreach (var ring in step.Count is null ? [] : shared)
        {
            Add(new(Verb.Start, ring.Id, From: Face.Back));
            Add(new(Verb.Fasten, ring.Id, From: Face.Back));
        }
    }

    private void Prove(WorkStep step)
    {
        switch (step.Kind)
        {
            case StepKind.Look when step.Id.Target == "edges" && step.Board is { } board:
                Add(new(Verb.Look, Id.Board(board)));
                break;
            case StepKind.LeakTest:
                Add(new(Verb.Press, ThingId.Loop));
                break;
            case StepKind.Fill when step.Id.Target == "fill":
                Add(new(Verb.Fill, ThingId.Loop));
                Add(new(Verb.Bleed, ThingId.Loop));
                break;
            case StepKind.Boot:
                Add(new(Verb.Run, ThingId.Power));
                break;
            case StepKind.Run when step.Id.Target == "after":
                Add(new(Verb.Measure, ThingId.Power));
                break;
        }
    }

    /// <summary>Everything of the stock that did not go back is kept with its label.</summary>
    private void StoreStock()
    {
        foreach (var thing in Needs.LooseEnds(scene, State))
            Add(new(Verb.Store, thing));
    }

    private void Add(Act act) => _writer.Add(act);

    private void Put(Act act) => _writer.Put(act);

    private void Turn(string board, Face face) => _writer.Turn(board, face);
}
