using System.Text.Json.Serialization;
using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Words.Teardown;

namespace FaithfulBracket.Core.Teardown;

/// <summary>How one board, or the whole card, comes apart.</summary>
/// <param name="Board">Key of the board.</param>
/// <param name="Best">The best order, where another was chosen.</param>
public sealed record BoardTeardown(string Board, TeardownPlan Plan, TeardownPlan? Best);

public sealed record TeardownResult(
    IReadOnlyList<BoardTeardown> Boards,
    StationPlan Sheet,
    IReadOnlyList<Diagnostic> Troubles
)
{
    /// <summary>Ribbons between boards that stay plugged all the time.</summary>
    [JsonIgnore]
    public IReadOnlyList<Ribbon> Plugged { get; init; } = [];
}

/// <summary>Teardown: power off, then each group counted, each lead marked, each piece lifted.</summary>
public sealed class TeardownStation : IStation<TeardownResult>
{
    /// <summary>An order that somebody chose for the first board; null takes the best.</summary>
    public IReadOnlyList<string>? Chosen { get; init; }

    public TeardownResult Plan(PlanContext context, EarlierResults earlier) =>
        TakeApart(context.Order, Chosen, context.Ways, context.Cancel);

    /// <summary>Target of the step that counts out a group, marks a lead or lifts a piece.</summary>
    public static StepId StepOf(string? scope, string target) => new(Station.Teardown, scope, target);

    /// <param name="chosen">An order that somebody chose for the first board; null takes the best.</param>
    public static TeardownResult TakeApart(
        WorkOrder order,
        IReadOnlyList<string>? chosen = null,
        Ways? ways = null,
        CancellationToken cancel = default
    )
    {
        var loosening = ways?.Loosening ?? Loosening.RingLast;
        var plugged = ways is null ? [] : RibbonStay.Chosen(order, ways);
        var troubles = new Diagnostics(Station.Teardown);
        var boards = new List<BoardTeardown>();
        foreach (var piece in Pieces(order))
        {
            var board = BySides(order, piece, plugged);
            TeardownPlan Planned(IReadOnlyList<string>? by) =>
                CardSides.ToFaces(order, piece, TeardownPlanner.Plan(board, by, loosening, cancel));
            var stays = piece.Board.Assembly!.Leads.Select(l => l.Id).Except(board.Assembly!.Leads.Select(l => l.Id));
            var own = piece.Key == order.First.Key ? chosen?.Except(stays).ToList() : null;
            if (troubles.Try(order.ScopeOf(piece), () => Planned(own)) is { } plan)
                boards.Add(new(piece.Key, plan, own is null ? null : Planned(null)));
        }
        if (boards.Count == 0)
            return new([], new(Station.Teardown, $"no assembly described", true, []), troubles.List);
        List<WorkStep> steps = [Power(SeatedBoard.Ran(order)), .. boards.SelectMany(b => Steps(order, b, plugged))];
        var flips = boards.Sum(b => b.Plan.Flips);
        var screws = boards.SelectMany(b => b.Plan.Tray).Sum(t => t.Count);
        return new(
            boards,
            new(Station.Teardown, $"{HowMany.Count(screws, "screw")}, {HowMany.Count(flips, "flip")}", false, steps),
            troubles.List
        )
        {
            Plugged = plugged,
        };
    }

    /// <summary>A board with what is opened of its assembly: a ribbon that stays plugged is not.</summary>
    public static Board Opened(WorkOrder order, Workpiece piece, IReadOnlyList<Ribbon> plugged) =>
        piece.Board with
        {
            Assembly = RibbonStay.Without(
                order,
                piece.Board.Assembly!,
                target => BoardOf(order, piece, target),
                plugged
            ),
        };

    /// <summary>The same as it is turned: with the sides of the whole card.</summary>
    public static Board BySides(WorkOrder order, Workpiece piece, IReadOnlyList<Ribbon> plugged) =>
        CardSides.ToSides(order, piece, Opened(order, piece, plugged));

    /// <summary>The boards that come apart on their own; the first stands for a card that is described as a whole.</summary>
    public static IEnumerable<Workpiece> Pieces(WorkOrder order) =>
        order.Assembly is { } whole
            ? [order.First with { Board = order.First.Board with { Assembly = whole } }]
            : order.Pieces.Where(p => p.Board.Assembly is not null);

    private static WorkStep Power(bool ran) =>
        new()
        {
            Id = new(Station.Teardown, null, "power"),
            Kind = StepKind.PowerOff,
            Done = ran ? TeardownStationWords.PowerIsOff : TeardownStationWords.NothingIsPlugged,
            Title = ran
                ? TeardownStationWords.SwitchOffUnplugThenPressSwitch
                : TeardownStationWords.LookThatNothingIsPlugged,
            Feel = ran ? null : TeardownStationWords.StrapsCordEndsOnEarthedMetal,
            Detail = TeardownStationWords.TouchEarthedMetalOrWearCorded,
            Caution = TeardownStationWords.PowerSuppliesAreNeverOpened,
        };

    private static IEnumerable<WorkStep> Steps(WorkOrder order, BoardTeardown teardown, IReadOnlyList<Ribbon> plugged)
    {
        var piece = Pieces(order).First(p => p.Key == teardown.Board);
        return teardown
            .Plan.Steps.Select(s => Step(order, piece, s, teardown.Plan))
            .Select(s => Between(order, piece, s))
            .Select(s => plugged.Aggregate(s, (step, r) => Parted(order, piece, teardown.Plan, step, r)))
            .Concat(OldPads.Steps(order, piece, teardown.Plan));
    }

    /// <summary>A piece that is screwed to several boards is lifted once the others are off it.</summary>
    private static WorkStep Between(WorkOrder order, Workpiece piece, WorkStep step)
    {
        if (step.Kind != StepKind.Lift)
            return step;
        var others = piece
            .Board.Assembly!.Fasteners.Where(f => f.Joins.Contains(step.Id.Target))
            .Select(f => BoardOf(order, piece, f.Id))
            .Where(b => b != step.Board)
            .Distinct()
            .ToList();
        return others.Count == 0
            ? step
            : step with
            {
                Detail = Message.Join([
                    step.Detail ?? Message.Empty,
                    TeardownStationWords.BoardComesOffFirst(string.Join(" and ", others)),
                ]),
            };
    }

    /// <summary>The lift with which the boards come apart says how far their ribbon lets them.</summary>
    private static WorkStep Parted(WorkOrder order, Workpiece piece, TeardownPlan plan, WorkStep step, Ribbon ribbon)
    {
        var tied = piece
            .Board.Assembly!.Leads.Where(l => RibbonEnds.Find(order, l, BoardOf(order, piece, l.Id)) == ribbon)
            .SelectMany(l => l.Between)
            .ToList();
        List<string> lifts = [.. plan.Steps.Where(s => s.Action == TeardownAction.Lift).Select(s => s.Target)];
        return step.Id.Target == (lifts.Find(tied.Contains) ?? lifts.LastOrDefault())
            ? step with
            {
                Detail = Message.Join([
                    step.Detail ?? Message.Empty,
                    TeardownStationWords.StaysPlugged(ribbon.Name, RibbonStay.ApartMm(order, ribbon)!.Value),
                ]),
            }
            : step;
    }

    private static WorkStep Step(WorkOrder order, Workpiece piece, TeardownStep s, TeardownPlan plan)
    {
        var scope = order.ScopeOf(piece);
        var assembly = piece.Board.Assembly!;
        var cell = plan.Tray.FirstOrDefault(c => c.Fasteners.Contains(s.Target));
        List<Fact> facts = [];
        if (s.Driver is not null)
            facts.Add(new(s.Driver, DriverNames.Describe(s.Driver)));
        if (s.Action == TeardownAction.Unscrew)
            facts.Add(new($"{s.Count}", s.Count == 1 ? "screw" : "screws"));
        if (cell is not null)
            facts.Add(new(cell.Cell, "tray cell"));
        if (cell?.LengthMm is { } l)
            facts.Add(new(FormattableString.Invariant($"{l:0.#} mm"), "long"));
        return new()
        {
            Id = StepOf(scope, s.Target),
            Kind = s.Action switch
            {
                TeardownAction.Unscrew => StepKind.Unscrew,
                TeardownAction.Unplug => StepKind.Unplug,
                _ => StepKind.Lift,
            },
            Board = BoardOf(order, piece, s.Target),
            Title = s.Action switch
            {
                TeardownAction.Unscrew => TeardownStationWords.TakeOutGroup(HowMany.Count(s.Count, "screw"), s.Target),
                TeardownAction.Unplug => TeardownStationWords.Unplug(s.Name),
                _ => TeardownStationWords.Lift(s.Name),
            },
            Detail = s.Why,
            Acts = Acts(order, piece, s),
            Caution = s.Advice.Count > 0 ? Message.Join(s.Advice) : null,
            Done = s.Action switch
            {
                TeardownAction.Unscrew => TeardownStationWords.InTray(s.Count),
                TeardownAction.Unplug => TeardownStationWords.UnpluggedAndMarked,
                _ => TeardownStationWords.Lift(s.Name),
            },
            Face = s.Face,
            Targets = [s.Target],
            Places = Places(piece.Board, assembly, s.Target),
            Driver = s.Driver,
            Count = s.Action == TeardownAction.Unscrew ? s.Count : null,
            Counted = s.Action == TeardownAction.Unscrew ? CountOf.Screws : null,
            Facts = facts,
        };
    }

    /// <summary>The board of a card on which it is done.</summary>
    public static string BoardOf(WorkOrder order, Workpiece piece, string target)
    {
        var assembly = piece.Board.Assembly!;
        var named =
            assembly.Fasteners.FirstOrDefault(f => f.Id == target)?.Board
            ?? assembly.Leads.FirstOrDefault(l => l.Id == target)?.Board
            ?? assembly.Pieces.FirstOrDefault(p => p.Id == target)?.Board;
        return named is not null && order.Find(named) is not null ? named : piece.Key;
    }

    private static List<Act> Acts(WorkOrder order, Workpiece piece, TeardownStep s)
    {
        var owner = BoardOf(order, piece, s.Target);
        switch (s.Action)
        {
            case TeardownAction.Unscrew:
                return [new(Verb.Unscrew, new(ThingKind.Screws, owner, s.Target), Count: s.Count)];
            case TeardownAction.Unplug:
                var lead = piece.Board.Assembly!.Leads.First(l => l.Id == s.Target);
                return [new(Verb.Unplug, RibbonEnds.ThingOf(order, lead, owner))];
            default:
                ThingId lifted = new(ThingKind.Piece, owner, s.Target);
                return [new(Verb.Lift, lifted), new(Verb.SetAside, lifted)];
        }
    }

    /// <summary>Where the screws sit, or the lead's plug.</summary>
    public static IReadOnlyList<Point2> Places(Board board, Assembly assembly, string target)
    {
        if (assembly.Fasteners.FirstOrDefault(f => f.Id == target) is { } group)
            return group.Places.Count > 0
                ? group.Places
                : [.. board.Holes.Where(h => group.Holes.Contains(h.Id)).Select(h => h.At)];
        return assembly.Leads.FirstOrDefault(l => l.Id == target)?.At is { } plug ? [plug] : [];
    }
}
