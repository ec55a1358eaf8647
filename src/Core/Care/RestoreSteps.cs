using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Stock;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Teardown;

namespace FaithfulBracket.Core.Care;

/// <summary>Back to stock at any time: the blocks off, the faces clean, then the record read backwards with its screws and pads.</summary>
internal static class RestoreSteps
{
    /// <summary>Target of a step on the way back.</summary>
    private const string Prefix = "restore-";

    public static IReadOnlyList<WorkStep> Of(
        WorkOrder order,
        MatchResult match,
        TeardownResult teardown,
        ProveResult proof,
        IReadOnlyList<AsFoundPad> asFound
    )
    {
        if (teardown.Boards.Count == 0)
            return [];
        var steps = new List<WorkStep>
        {
            Step(
                "power",
                StepKind.PowerOff,
                "Power off, unplug, press the switch to drain",
                "Power is off",
                "Drain the loop or close its quick ties before a fitting is opened.",
                "Coolant on a live board ends it."
            ),
        };
        foreach (var board in teardown.Boards)
        foreach (var act in FittedAgain.Acts(order, match, board).Reverse())
            steps.Add(OffAgain(order, board, act.Step));
        foreach (var pair in order.Boxes.Reverse())
            steps.Add(BlockOff(order, pair));
        if (order.Pairs.Count > 0)
            steps.Add(
                Step(
                    "clean",
                    StepKind.Clean,
                    "Clean die, memory, power stages and inductors of pads and paste",
                    "Clean",
                    "Alcohol and a lint-free cloth, every contact face.",
                    "Alcohol burns: no heat gun, oven or spark near it; ventilate."
                )
            );
        foreach (var board in teardown.Boards.AsEnumerable().Reverse())
            steps.AddRange(Back(order, board, asFound));
        steps.Add(
            Step(
                "run",
                StepKind.Run,
                "Run it with its stock cooler and compare with the before reading",
                "It runs",
                proof.First?.Why is { Count: > 0 } why ? why[0] : "Same load, same room.",
                null
            )
        );
        return steps;
    }

    /// <summary>What went on over the block comes off before it.</summary>
    private static WorkStep OffAgain(WorkOrder order, BoardTeardown board, RestoreStep r)
    {
        var piece = TeardownStation.Pieces(order).First(p => p.Key == board.Board);
        var screws = r.Action == RestoreAction.Fasten;
        var (kind, title, done) = r.Action switch
        {
            RestoreAction.Fasten => (
                StepKind.Unscrew,
                $"Take out {HowMany.Of(r.Count, "screw")}, group {r.Target}, into cell {r.Cell}",
                $"{r.Count} in the tray"
            ),
            RestoreAction.Plug => (StepKind.Unplug, $"Unplug the {r.Name}", "Unplugged"),
            _ => (StepKind.Lift, $"Take the {r.Name} off", "Off"),
        };
        return Step(
            $"off-{r.Target}",
            kind,
            title,
            done,
            "It was fitted again over the block.",
            null,
            order.ScopeOf(piece)
        ) with
        {
            Board = piece.Key,
            Face = r.Face,
            Driver = r.Driver,
            Count = screws ? r.Count : null,
            Counted = screws ? CountOf.Screws : null,
            Targets = [r.Target],
        };
    }

    private static WorkStep BlockOff(WorkOrder order, Pair pair)
    {
        var screws =
            pair.Block.Carriers.Count > 0
                ? MemoryBridge.Star([.. order.Pairs.Where(p => p.Block.Id == pair.Block.Id)], order).Count
                : pair.Block.Plates.Sum(p => p.Holes.Count);
        return Step(
            "block",
            StepKind.Unscrew,
            $"Take {order.Name(pair)} off: "
                + (
                    screws > 0
                        ? $"{HowMany.Of(screws, "screw")}, outer ones first, the die ring last and in a cross"
                        : "what holds it let loose evenly, in a cross"
                ),
            "Block is off",
            "A quarter turn each at first: the springs let go evenly.",
            "Rock and twist, never lever from one end: bare silicon chips.",
            order.ScopeOf(pair)
        ) with
        {
            Pair = pair.Key,
            Count = screws > 0 ? screws : null,
            Counted = screws > 0 ? CountOf.Screws : null,
        };
    }

    private static IEnumerable<WorkStep> Back(WorkOrder order, BoardTeardown board, IReadOnlyList<AsFoundPad> asFound)
    {
        var piece = TeardownStation.Pieces(order).First(p => p.Key == board.Board);
        var scope = order.ScopeOf(piece);
        var found = asFound.Where(f => (f.Board ?? order.First.Key) == piece.Key).ToList();
        if (Pads(piece.Board, found) is { Count: > 0 } pads)
            yield return Step(
                "pads",
                StepKind.Lay,
                $"Lay {HowMany.Of(pads.Sum(p => p.Count), "stock pad")} as they were found{order.On(piece.Key)}",
                "Pads laid",
                string.Join(". ", pads.Select(p => p.Text)) + ".",
                "Film left on a pad cooks the chip under it.",
                scope
            ) with
            {
                Board = piece.Key,
                Targets = [.. pads.SelectMany(p => p.Parts)],
            };
        yield return Step(
            "paste",
            StepKind.Spread,
            $"Paste on the die, spread to full cover{order.On(piece.Key)}",
            "Covered",
            "The amount of the Paste station does.",
            null,
            scope
        ) with
        {
            Board = piece.Key,
            Targets = [.. piece.Board.Parts.Where(p => p.Kind is PartKind.Die or PartKind.Lid).Select(p => p.Id)],
        };
        foreach (var r in board.Plan.Restore)
            yield return Of(r, board.Plan, piece, scope);
    }

    private static WorkStep Step(
        string target,
        StepKind kind,
        string title,
        string done,
        string? detail,
        string? caution,
        string? scope = null
    ) =>
        new()
        {
            Id = new(Station.Care, scope, Prefix + target),
            Kind = kind,
            Title = title,
            Done = done,
            Detail = detail,
            Caution = caution,
        };

    private static WorkStep Of(RestoreStep r, TeardownPlan teardown, Workpiece piece, string? scope)
    {
        var length = teardown.Tray.FirstOrDefault(t => t.Cell == r.Cell)?.LengthMm;
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
        var screws = r.Action == RestoreAction.Fasten;
        var detail = screws
            ? FormattableString.Invariant(
                $"{r.Name}{(length is { } l ? $", {l:0.#} mm: no longer one goes in here" : "")}."
            )
            : null;
        var caution = screws && length is not null ? "A longer screw in a short hole cracks the board." : null;
        return Step($"back-{r.Target}", kind, title, done, detail, caution, scope) with
        {
            Board = piece.Key,
            Face = r.Face,
            Driver = r.Driver,
            Count = screws ? r.Count : null,
            Counted = screws ? CountOf.Screws : null,
            Targets = [r.Target],
            Places = TeardownStation.Places(piece.Board, piece.Board.Assembly!, r.Target),
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

    /// <summary>Pads as found, else as the document says.</summary>
    private static List<(int Count, string Text, IReadOnlyList<string> Parts)> Pads(
        Board board,
        List<AsFoundPad> asFound
    )
    {
        static (int, string, IReadOnlyList<string>) Group(double mm, List<string> parts) =>
            (parts.Count, FormattableString.Invariant($"{mm:0.0#} mm on {string.Join(", ", parts)}"), parts);
        var noted = asFound.Select(f => f.Part).ToHashSet();
        return
        [
            .. asFound.GroupBy(f => f.NewMm).Select(g => Group(g.Key, [.. g.Select(f => f.Part)])),
            .. (board.Assembly?.Bonds ?? [])
                .Where(b => b is { Kind: BondKind.Pads, PadMm: not null })
                .Select(b => (Mm: b.PadMm!.Value, Parts: b.Parts.Where(p => !noted.Contains(p)).ToList()))
                .Where(x => x.Parts.Count > 0)
                .Select(x => Group(x.Mm, x.Parts)),
        ];
    }
}
