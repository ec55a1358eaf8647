using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Teardown;

namespace FaithfulBracket.Core.Plans.Back;

/// <summary>The steps of the way back in words.</summary>
internal static class BackWords
{
    private static WorkStep Step(
        string target,
        StepKind kind,
        string title,
        string done,
        string? detail,
        string? caution,
        string? scope
    ) =>
        new()
        {
            Id = new(Station.Care, scope, $"restore-{target}"),
            Kind = kind,
            Title = title,
            Done = done,
            Detail = detail,
            Caution = caution,
        };

    /// <param name="acts">What takes back the acts of the step.</param>
    public static WorkStep Off(WorkOrder order, WorkStep step, IReadOnlyList<Act> acts)
    {
        var (thing, count) = (acts[^1].Thing, acts.Count);
        var pair = step.Pair is { } key ? order.Pairs.First(p => p.Key == key) : null;
        var block = pair is null ? "the block" : order.Name(pair);
        var (kind, title, detail) = thing.Kind switch
        {
            ThingKind.Fitting => (
                StepKind.Plug,
                $"Unscrew the {(count == 1 ? "fitting" : $"{count} fittings")} of {block}, over the can",
                "Hoses off with them. What is left in the block runs out now."
            ),
            ThingKind.Sink => (
                StepKind.Fit,
                $"Twist {(count == 1 ? "the sink" : $"the {count} sinks")} off, never lever",
                "Warm ones let go sooner. The glue is rubbed off and the faces are cleaned."
            ),
            ThingKind.Bracket => (StepKind.Fit, $"Take the block's bracket off", null),
            ThingKind.Link => (StepKind.Fit, "Draw the rigid link out of both ports, straight", "A cloth under it."),
            ThingKind.Board => (
                StepKind.Lift,
                $"Take {(order.Pieces.Count > 1 ? $"card {thing.Owner}" : "the board")} out of its machine",
                "Bracket loose first, then the slot's latch; lift it straight."
            ),
            ThingKind.Posts => (StepKind.Fit, "Take the posts out, hold the plate behind them", null),
            ThingKind.Backplate when acts.Any(a => a.Do == Verb.Unscrew) => (
                StepKind.BackPlate,
                $"Take {HowMany.Of(acts.Where(a => a.Do == Verb.Unscrew).Sum(a => a.Count ?? step.Count ?? 0), "screw")} out and the block's back plate off",
                "Its pads leave with it."
            ),
            ThingKind.Backplate => (StepKind.Fit, "Take the back plate off", null),
            ThingKind.Gasket => (StepKind.Fit, "Take the rubber gasket off", null),
            ThingKind.Piece => (
                StepKind.BackPlate,
                "Take the block's screws out of the stock plate, and the plate off",
                "It goes back with its own screws."
            ),
            ThingKind.Lead => (StepKind.Unplug, $"Unplug the leads of {block}", null),
            ThingKind.Ribbon => (StepKind.Unplug, "Unplug the ribbon between the boards", "Latch open first."),
            ThingKind.Levers or ThingKind.Clamp or ThingKind.Processor => (
                StepKind.Seat,
                "Lever up, processor out by its edges, cover on the contacts, clamp down",
                "It goes into its own box."
            ),
            _ => (StepKind.Fit, $"Take off what \"{step.Title}\" put on", (string?)null),
        };
        return Step($"undo-{step.Id.Target}", kind, title, "Off", detail, null, step.Id.Scope) with
        {
            Board = step.Board,
            Pair = step.Pair,
            Face = step.Face,
            Targets = step.Targets,
            Feel = kind is StepKind.Fit or StepKind.Plug or StepKind.Seat or StepKind.BackPlate
                ? "It comes without force. Where it does not, something still holds it: look."
                : null,
        };
    }

    public static WorkStep BlockOff(WorkOrder order, IReadOnlyList<Pair> blocks, string board, int screws)
    {
        var die = order.Find(board)!.Board.Parts.Any(p => p.Kind is PartKind.Die or PartKind.Lid);
        var turned = screws switch
        {
            0 => "what holds it let loose evenly, in a cross",
            2 => "2 screws, by turns and little by little",
            _ when die => $"{HowMany.Of(screws, "screw")}, outer ones first, the die ring last and in a cross",
            _ => $"{HowMany.Of(screws, "screw")}, outer ones first, then in a cross",
        };
        var pair = blocks[0];
        var off = pair.BoardKeys(order).Count > 1 ? $" off board {board}" : " off";
        return Step(
            "block",
            StepKind.Unscrew,
            $"Take {string.Join(" and ", blocks.Select(order.Name))}{(blocks.Count > 1 ? ", joined as they are," : "")}{off}: {turned}",
            "Block is off",
            "A quarter turn each at first: the springs let go evenly.",
            "Rock and twist, never lever from one end: "
                + (die ? "bare silicon chips." : "it tears what is glued to it."),
            order.ScopeOf(pair, board)
        ) with
        {
            Board = board,
            Pair = pair.Key,
            Count = screws > 0 ? screws : null,
            Counted = screws > 0 ? CountOf.Screws : null,
        };
    }

    /// <summary>A memory module out from between its carriers.</summary>
    public static WorkStep CarriersOff(WorkOrder order, Pair pair, string board) =>
        Step(
            "block",
            StepKind.Lift,
            $"Part the carriers of module {board} and take it out",
            "Module is out",
            "Slide a thin plastic card along the pad from one end; the pad stays on one side.",
            "Never bend the module to peel it: its solder cracks.",
            order.ScopeOf(pair, board)
        ) with
        {
            Board = board,
            Pair = pair.Key,
        };

    private static readonly (PartKind Kind, string Words)[] Kinds =
    [
        (PartKind.Die, "die"),
        (PartKind.Lid, "lid"),
        (PartKind.Memory, "memory"),
        (PartKind.PowerStage, "power stages"),
        (PartKind.Inductor, "inductors"),
        (PartKind.BridgeChip, "bridge chip"),
        (PartKind.Controller, "controllers"),
    ];

    public static WorkStep Clean(WorkOrder order, Workpiece piece, Face face, IReadOnlyList<string> parts)
    {
        var kinds = parts.Select(p => piece.Board.FindPart(p)?.Kind ?? PartKind.Lid).ToHashSet();
        List<string> named = [.. Kinds.Where(k => kinds.Contains(k.Kind)).Select(k => k.Words)];
        if (named.Count == 0)
            named = ["faces"];
        var list = named.Count == 1 ? named[0] : $"{string.Join(", ", named.SkipLast(1))} and {named[^1]}";
        return Step(
            face == Face.Back ? "clean-back" : "clean",
            StepKind.Clean,
            $"Clean the {list}{(face == Face.Back ? " behind the board" : "")}{order.On(piece.Key)} of pads and paste",
            "Clean",
            "Alcohol and a lint-free cloth, every contact face.",
            "Alcohol burns: no heat gun, oven or spark near it; ventilate.",
            order.ScopeOf(piece)
        ) with
        {
            Board = piece.Key,
            Face = face,
            Targets = parts,
        };
    }

    public static WorkStep Pads(WorkOrder order, Workpiece piece, StockContact contact, string under)
    {
        var pads = contact.Pads.DistinctBy(p => p.Pad).ToList();
        var groups = pads.GroupBy(p => p.Mm)
            .Select(g => FormattableString.Invariant($"{g.Key:0.0#} mm on {string.Join(", ", g.Select(p => p.Part))}"));
        return Step(
            "pads",
            StepKind.Lay,
            $"Cut and lay {HowMany.Of(pads.Count, "new pad")} under the {under}, as thick as the old ones were{order.On(contact.Board)}",
            "Pads laid",
            $"{string.Join(". ", groups)}. The old ones were pressed once and do not fill the gap again.",
            "Film left on a pad cooks the chip under it.",
            order.ScopeOf(piece)
        ) with
        {
            Board = contact.Board,
            Face = contact.Side,
            Targets = [.. pads.Select(p => p.Part)],
        };
    }

    public static WorkStep Paste(WorkOrder order, Workpiece piece, StockContact contact)
    {
        var parts = contact.Pasted.Select(f => f.Key.Split('@')[0]).ToList();
        var board = order.Find(contact.Board)!.Board;
        // a part that the board does not have is the lid of its processor
        var thing = parts.Select(p => board.FindPart(p)?.Kind ?? PartKind.Lid).Distinct().ToList() switch
        {
            [PartKind.Die] => parts.Count == 1 ? "the die" : $"the {parts.Count} dies",
            [PartKind.Lid] => "the lid",
            _ => string.Join(" and ", parts),
        };
        return Step(
            "paste",
            StepKind.Spread,
            $"Paste on {thing}, spread to full cover{order.On(contact.Board)}",
            "Covered",
            "As much as the Paste station says for it.",
            null,
            order.ScopeOf(piece)
        ) with
        {
            Board = contact.Board,
            Targets = parts,
        };
    }

    /// <summary>One act of the strip-down backwards.</summary>
    public static WorkStep Back(WorkOrder order, Workpiece piece, TeardownPlan teardown, RestoreStep r)
    {
        var length = teardown.Tray.FirstOrDefault(t => t.Cell == r.Cell)?.LengthMm;
        var assembly = piece.Board.Assembly!;
        var screws = r.Action == RestoreAction.Fasten;
        var group = screws ? assembly.Fasteners.First(f => f.Id == r.Target) : null;
        var (kind, title, done) = r.Action switch
        {
            RestoreAction.Fasten => (
                StepKind.Fasten,
                $"Put {HowMany.Of(r.Count, "screw")} of group {r.Target} back, out of cell {r.Cell}",
                $"{r.Count} in"
            ),
            RestoreAction.Plug => (StepKind.Connect, $"Plug the {r.Name} in", "Plugged"),
            _ => (StepKind.Fit, $"Set the {r.Name} back", "Set"),
        };
        return Step(
            $"back-{r.Target}",
            kind,
            title,
            done,
            screws
                    ? FormattableString.Invariant(
                        $"{r.Name}{(length is { } l ? $", {l:0.#} mm: no longer one goes in here" : "")}.{(group!.Ring is not null ? " All started by hand, then in a cross, a turn each." : "")}{(group.Seal ? " The seal over them stays broken." : "")}"
                    )
                : kind == StepKind.Fit ? "Outer films off and counted first; straight down, nothing pinched under it."
                : null,
            screws && length is not null ? "A longer screw in a short hole cracks the board." : null,
            order.ScopeOf(piece)
        ) with
        {
            Board = TeardownStation.BoardOf(order, piece, r.Target),
            Face = r.Face,
            Driver = r.Driver,
            Count = screws ? r.Count : null,
            Counted = screws ? CountOf.Screws : null,
            Targets = [r.Target],
            Places = TeardownStation.Places(piece.Board, assembly, r.Target),
            Facts = screws
                ?
                [
                    new(r.Driver!, DriverNames.Of(r.Driver!)),
                    new($"{r.Count}", r.Count == 1 ? "screw" : "screws"),
                    new(r.Cell ?? "–", "tray cell"),
                ]
                : [],
        };
    }

    public static WorkStep Pack(WorkOrder order, IReadOnlyList<Act> acts)
    {
        var blocks = order.Pairs.Where(p => acts.Any(a => a.Thing == new ThingId(ThingKind.Block, p.Key))).ToList();
        var what =
            blocks.Count == 0 ? "what is left over"
            : blocks.Count == 1 ? $"{order.Name(blocks[0])} with its screws and fittings"
            : "the blocks with their screws and fittings";
        return Step(
            "pack",
            StepKind.Store,
            $"Pack {what}, each with its label",
            "Packed",
            acts.Any(a => a.Thing.Kind == ThingKind.Clamp)
                ? "The clamp goes with it: without its lid the package stays under the frame."
                : null,
            null,
            null
        );
    }
}
