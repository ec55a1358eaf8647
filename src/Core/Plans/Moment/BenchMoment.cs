using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans.Walk;

namespace FaithfulBracket.Core.Plans.Moment;

/// <summary>The bench as it lies right before a step, and what the step is about to do to it.</summary>
/// <param name="Boards">Each board of the order, in its order.</param>
/// <param name="Turn">What a turn of a board in this step does; null where nothing is turned over.</param>
/// <param name="Closes">What cannot be reached any more after this step; null where nothing closes.</param>
/// <param name="Open">What was opened and waits, the longest first.</param>
public sealed record BenchMoment(
    StepId Step,
    IReadOnlyList<BoardMoment> Boards,
    TurnRehearsal? Turn,
    LastChance? Closes,
    IReadOnlyList<Exposure> Open
)
{
    /// <param name="signed">Steps that stand signed, and when.</param>
    public static BenchMoment Create(
        WorkOrder order,
        JobPlan plan,
        WorkStep step,
        IReadOnlyDictionary<StepId, string> signed
    )
    {
        var scene = BenchScene.Create(order, plan);
        var stock = BenchState.Create(scene);
        var before = BenchWalk.After(scene, stock, plan.Steps.TakeWhile(s => s.Id != step.Id).SelectMany(s => s.Acts));
        var stands = BenchWalk.After(
            scene,
            stock,
            plan.Steps.Where(s => signed.ContainsKey(s.Id)).SelectMany(s => s.Acts)
        );
        var names = new ThingNames(order);
        return new(
            step.Id,
            [.. order.Pieces.Select(p => BoardMoment.Compute(order, plan, scene, before, names, p.Key))],
            TurnRehearsal.Create(order, plan, scene, before, names, step),
            LastChance.Find(plan, scene, stands, signed.Keys.ToHashSet(), names, step),
            Exposure.Find(plan, scene, stands, signed)
        );
    }
}

/// <summary>One board as it lies.</summary>
/// <param name="Board">Its key.</param>
/// <param name="Up">The face that is up; null before anybody has laid it down.</param>
/// <param name="Lies">Pieces and blocks on it, by face.</param>
/// <param name="Parts">Faces of parts that a block meets.</param>
/// <param name="Leads">Leads of the stock assembly whose plugs are known.</param>
public sealed record BoardMoment(
    string Board,
    Face? Up,
    IReadOnlyList<LyingThing> Lies,
    IReadOnlyList<PartMoment> Parts,
    IReadOnlyList<LeadMoment> Leads
)
{
    internal static BoardMoment Compute(
        WorkOrder order,
        JobPlan plan,
        Scene scene,
        BenchState state,
        ThingNames names,
        string board
    )
    {
        var own = scene.Things.Where(t => t.Board == board).ToList();
        var assembly = Teardown.TeardownStation.Pieces(order).ToList();
        IReadOnlyList<Point2> Places(ThingId id) =>
            [.. assembly.SelectMany(p => Teardown.TeardownStation.Places(p.Board, p.Board.Assembly!, id.Key))];
        return new(
            board,
            state.Up.TryGetValue(board, out var up) ? up : null,
            [
                .. own.Where(t =>
                        t.Id.Kind is ThingKind.Piece or ThingKind.Plate or ThingKind.Backplate or ThingKind.Processor
                        && state.Is(t.Id, Condition.On)
                    )
                    .Select(t => new LyingThing(
                        t.Id,
                        names.Describe(t.Id),
                        t.Face,
                        t.Id.Kind == ThingKind.Piece,
                        [.. t.Closes.Where(f => f.Owner == board).Select(f => f.Key)]
                    )),
            ],
            [
                .. own.Where(t => t.Id.Kind == ThingKind.Face && t.Id.Owner == board)
                    .Select(t => new PartMoment(t.Id.Key, t.Face, StandsAs(state, t))),
            ],
            [
                .. own.Where(t => t.Id.Kind == ThingKind.Lead && t.Id.Owner == board)
                    .Select(t => (t, Places(t.Id)))
                    .Where(x => x.Item2.Count > 0)
                    .Select(x => new LeadMoment(
                        x.t.Id,
                        names.Describe(x.t.Id),
                        x.t.Face,
                        state[x.t.Id] == Condition.Plugged,
                        x.Item2[0]
                    )),
            ]
        );
    }

    private static PartCondition StandsAs(BenchState state, SceneThing face) =>
        face.Under.Any(o => o.Kind == ThingKind.Sink && state.Is(o, Condition.On)) ? PartCondition.Sink
        : face.Under.Any(o => state.Is(o, Condition.On)) ? PartCondition.Covered
        : state.Is(face.Id, Condition.Taken)
            ? face.TakesPaste ? PartCondition.Pasted
                : PartCondition.Padded
        : state.Is(face.Id, Condition.Clean) ? PartCondition.Clean
        : PartCondition.Dirty;
}

/// <summary>Something that lies on a board.</summary>
/// <param name="Stock">Whether it came with the board.</param>
/// <param name="Over">Parts that it is known to lie over: those of its pads and paste.</param>
public sealed record LyingThing(ThingId Thing, string Name, Face Face, bool Stock, IReadOnlyList<string> Over);

public enum PartCondition
{
    /// <summary>Something lies over it.</summary>
    Covered,

    /// <summary>Open, with what the old pad or paste left on it.</summary>
    Dirty,
    Clean,
    Padded,
    Pasted,

    /// <summary>A sink is stuck on it.</summary>
    Sink,
}

/// <param name="Part">Id of the part.</param>
public sealed record PartMoment(string Part, Face Face, PartCondition Is);

/// <param name="At">Its plug, in the frame of the board, mm.</param>
public sealed record LeadMoment(ThingId Thing, string Name, Face Face, bool Plugged, Point2 At);
