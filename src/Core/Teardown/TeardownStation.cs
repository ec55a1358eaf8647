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
);

/// <summary>Teardown: power off, then each group counted, each lead marked, each piece lifted.</summary>
public sealed class TeardownStation : IStation<TeardownResult>
{
    /// <summary>An order that somebody chose for the first board; null takes the best.</summary>
    public IReadOnlyList<string>? Chosen { get; init; }

    public TeardownResult Plan(PlanContext context, EarlierResults earlier) =>
        TakeApart(context.Order, Chosen, context.Ways.Loosening, context.Cancel);

    /// <summary>Target of the step that counts out a group, marks a lead or lifts a piece.</summary>
    public static StepId StepOf(string? scope, string target) => new(Station.Teardown, scope, target);

    /// <param name="chosen">An order that somebody chose for the first board; null takes the best.</param>
    public static TeardownResult TakeApart(
        WorkOrder order,
        IReadOnlyList<string>? chosen = null,
        Loosening loosening = Loosening.RingLast,
        CancellationToken cancel = default
    )
    {
        var troubles = new Diagnostics(Station.Teardown);
        var boards = new List<BoardTeardown>();
        foreach (var piece in Pieces(order))
        {
            var own = piece.Key == order.First.Key ? chosen : null;
            if (
                troubles.Try(order.ScopeOf(piece), () => TeardownPlanner.Plan(piece.Board, own, loosening, cancel)) is
                { } plan
            )
                boards.Add(
                    new(
                        piece.Key,
                        plan,
                        own is null ? null : TeardownPlanner.Plan(piece.Board, null, loosening, cancel)
                    )
                );
        }
        if (boards.Count == 0)
            return new([], new(Station.Teardown, "no assembly described", true, []), troubles.List);
        List<WorkStep> steps = [Power(SeatedBoard.Ran(order)), .. boards.SelectMany(b => Steps(order, b))];
        var flips = boards.Sum(b => b.Plan.Flips);
        var screws = boards.SelectMany(b => b.Plan.Tray).Sum(t => t.Count);
        return new(
            boards,
            new(Station.Teardown, $"{HowMany.Count(screws, "screw")}, {HowMany.Count(flips, "flip")}", false, steps),
            troubles.List
        );
    }

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

    private static IEnumerable<WorkStep> Steps(WorkOrder order, BoardTeardown teardown)
    {
        var piece = Pieces(order).First(p => p.Key == teardown.Board);
        return teardown
            .Plan.Steps.Select(s => Step(order, piece, s, teardown.Plan))
            .Concat(OldPads.Steps(order, piece, teardown.Plan));
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
            Caution = s.Advice.Count > 0 ? string.Join(" ", s.Advice) : null,
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
