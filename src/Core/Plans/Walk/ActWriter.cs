using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Plans.Walk;

namespace FaithfulBracket.Core.Plans.Walk;

/// <summary>
/// Writes the acts of one step after the other. What has to be switched off, turned over and held before an act goes
/// by the state that the acts before have made.
/// </summary>
internal sealed class ActWriter(WorkOrder order, Scene scene, BenchState start)
{
    private readonly List<Act> _acts = [];
    private readonly List<WorkStep> _steps = [];

    public BenchState State { get; private set; } = start;

    private readonly List<string> _beyond = [];

    /// <summary>What hung together with each board as it was turned last.</summary>
    private readonly Dictionary<string, IReadOnlyList<string>> _packets = [];

    /// <summary>Names of what would fall when a board is turned over, because two hands hold other things by then.</summary>
    public IReadOnlyList<string> Beyond => _beyond;

    /// <summary>Every step written so far.</summary>
    public IReadOnlyList<WorkStep> Steps => _steps;

    /// <param name="act">Adds the acts of the step.</param>
    public void Write(WorkStep step, Action act)
    {
        _acts.Clear();
        act();
        var done = Whole(step);
        // a hand takes hold as the last screws leave, before the step that turns the board over
        var holds = done.Acts.TakeWhile(a => a.Do == Verb.Hold).ToList();
        if (holds.Count > 0 && _steps.FindLastIndex(s => s.Acts.Count > 0) is >= 0 and var before)
        {
            _steps[before] = _steps[before] with { Acts = [.. _steps[before].Acts, .. holds] };
            done = done with { Acts = [.. done.Acts.Skip(holds.Count)] };
        }
        _steps.Add(done);
    }

    /// <summary>The step with its acts and the faces that are up after the turn with which it begins.</summary>
    private WorkStep Whole(WorkStep step)
    {
        var turned = _acts.Where(a => a.Do == Verb.TurnOver).Select(a => a.Thing.Owner).ToHashSet();
        var boards = _acts.SelectMany(BoardsOf).Concat(turned).Distinct().Where(State.Up.ContainsKey).ToList();
        return step with
        {
            Acts = [.. _acts],
            First = step.Kind == StepKind.PowerOff ? null : Words(turned),
            Up = boards.Count == 0 ? null : boards.Order(StringComparer.Ordinal).ToDictionary(b => b, b => State.Up[b]),
        };
    }

    /// <summary>What is switched off and turned over first, in sentences; null where nothing is.</summary>
    private Message? Words(HashSet<string> turned)
    {
        var off = _acts.Exists(a => a.Do == Verb.PowerOff) ? ActWriterWords.SwitchPowerOffAndUnplug : null;
        if (turned.Count == 0)
            return off;
        var held = _acts.TakeWhile(a => a.Do == Verb.Hold).Select(a => NameOf(a.Thing)).ToList();
        var over = turned.Select(Turned).Aggregate(StepSentences.FirstThen);
        if (held.Count > 0)
            over = ActWriterWords.HoldNoScrewHolds(over, string.Join(" and the ", held));
        return off is null ? over : StepSentences.FirstThen(off, over);
    }

    private Message Turned(string board)
    {
        var up = State.Up[board].ToString().ToLowerInvariant();
        return _packets[board].Count > 1
                ? ActWriterWords.TurnTogether(
                    string.Join(" and ", _packets[board].Order(StringComparer.Ordinal)),
                    board,
                    up
                )
            : order.Pieces.Count > 1 ? ActWriterWords.TurnOverSideUp($"board {board}", up)
            : ActWriterWords.TurnOverSideUp("the board", up);
    }

    private string NameOf(ThingId thing) => new ThingNames(order).Describe(thing);

    private IEnumerable<string> BoardsOf(Act act) =>
        // a pad is cut beside the board
        act.Do == Verb.Cut
            ? []
        : scene.Find(act.Thing)?.Board is { } board ? [board]
        : act.Thing.Kind == ThingKind.Board ? [act.Thing.Owner]
        : act.To is { Kind: ThingKind.Board } to ? [to.Owner]
        : [];

    /// <summary>Adds an act; before it whatever is turned over for it.</summary>
    public void Add(Act act)
    {
        if (scene.Find(act.Thing) is { Board: { } board, Reach: Reach.Open } thing && Needs.FacesBoard(act))
            Turn(board, act.From ?? thing.Face);
        Put(act);
    }

    public void Put(Act act)
    {
        // nobody works on what is switched on
        if (
            State.Is(ThingId.Power, Condition.PowerOn)
            && act.Do is not (Verb.Run or Verb.Measure or Verb.Look or Verb.Note or Verb.PowerOff)
        )
            Put(new(Verb.PowerOff, ThingId.Power));
        if (act.Do == Verb.TurnOver)
            _packets[act.Thing.Owner] = Packets.Of(scene, State, act.Thing.Owner);
        _acts.Add(act);
        if (scene.Find(act.Thing) is not null)
            State = BenchWalk.Apply(scene, State, act);
    }

    /// <summary>Turns a board where another face is needed; a hand holds what would fall.</summary>
    public void Turn(string board, Face face)
    {
        if (!State.Up.TryGetValue(board, out var up))
            State = Packets.Lay(scene, State, board, face);
        else if (up != face)
        {
            var falling = Needs.Loose(scene, State, board);
            foreach (var loose in falling.Take(BenchState.Hands))
                Put(new(Verb.Hold, loose));
            if (falling.Count > BenchState.Hands)
                _beyond.AddRange(falling.Skip(BenchState.Hands).Select(NameOf));
            Put(new(Verb.TurnOver, new(ThingKind.Board, board)));
        }
    }
}
