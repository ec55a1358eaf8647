using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Teardown;
using FaithfulBracket.Core.Words.Mount;

namespace FaithfulBracket.Core.Mount;

/// <summary>Stock pieces, leads and screws that go on again once the block sits, in the order the assembly allows.</summary>
public static class FittedAgain
{
    /// <summary>What <see cref="Assembly"/> calls the block in <see cref="Lead.MovesTo"/>.</summary>
    internal const string Block = "block";

    /// <summary>The acts of one board, or of the whole card.</summary>
    public static IReadOnlyList<BackAct> Acts(WorkOrder order, MatchResult match, BoardTeardown teardown)
    {
        var piece = TeardownStation.Pieces(order).First(p => p.Key == teardown.Board);
        return ComesBack.Find(piece.Board.Assembly!, teardown.Plan, Carried(match));
    }

    /// <summary>Stock plates that the blocks' own screws hold.</summary>
    public static IReadOnlySet<string> Carried(MatchResult match) =>
        match
            .Laid()
            .SelectMany(l => l.On.Laid.Block.StockPlates)
            .Where(p => p.Pair is null)
            .Select(p => p.Piece)
            .ToHashSet();

    public static IEnumerable<WorkStep> Steps(WorkOrder order, MatchResult match, TeardownResult teardown) =>
        from board in teardown.Boards
        let piece = TeardownStation.Pieces(order).First(p => p.Key == board.Board)
        from act in Acts(order, match, board)
        select Step(order, piece, board.Plan, act);

    private static WorkStep Step(WorkOrder order, Workpiece piece, TeardownPlan plan, BackAct act)
    {
        var (step, assembly) = (act.Step, piece.Board.Assembly!);
        var screws = step.Action == RestoreAction.Fasten;
        var length = plan.Tray.FirstOrDefault(t => t.Cell == step.Cell)?.LengthMm;
        var (kind, title, detail, done) = step.Action switch
        {
            RestoreAction.Fasten => (
                StepKind.Fasten,
                FittedAgainWords.PutOfGroupBackOut(HowMany.Count(step.Count, "screw"), step.Target, step.Cell),
                (Message)
                    $"{step.Name}{(length is { } mm ? FittedAgainWords.NoLongerOneGoesInHere(mm) : "")}.{(act.IntoBlock ? FittedAgainWords.WhatElseTheyHeldStaysOff : "")}",
                $"{step.Count} in"
            ),
            RestoreAction.Plug => Plug(assembly, act),
            _ => (StepKind.Fit, FittedAgainWords.SetBackOn(step.Name), FittedAgainWords.AsItWas, "On"),
        };
        return new()
        {
            Id = new(Station.Mount, order.ScopeOf(piece), $"again-{step.Target}"),
            Kind = kind,
            Thread = FormattableString.Invariant($"again {piece.Key} {act.Thread}"),
            Board = TeardownStation.BoardOf(order, piece, step.Target),
            Title = title,
            Detail = detail,
            Done = done,
            Face = step.Face,
            Driver = step.Driver,
            Count = screws ? step.Count : null,
            Counted = screws ? CountOf.Screws : null,
            Caution = screws && length is not null ? FittedAgainWords.LongerScrewInShortHoleCracks : null,
            Targets = [step.Target],
            Places = TeardownStation.Places(piece.Board, assembly, step.Target),
            Facts = screws
                ?
                [
                    new(step.Driver!, DriverNames.Describe(step.Driver!)),
                    new($"{step.Count}", step.Count == 1 ? "screw" : "screws"),
                    new(step.Cell ?? "–", "tray cell"),
                ]
                : [],
        };
    }

    private static (StepKind, Message Title, Message Detail, string Done) Plug(Assembly assembly, BackAct act)
    {
        var lead = assembly.Leads.First(l => l.Id == act.Step.Target);
        if (lead.MovesTo is not { } to)
            return (
                StepKind.Connect,
                $"Plug the {act.Step.Name} in",
                FittedAgainWords.LatchHomeWiresLaidClear,
                "Plugged"
            );
        var where = to == Block ? "block" : assembly.Pieces.FirstOrDefault(p => p.Id == to)?.Name ?? to;
        return (
            StepKind.Connect,
            FittedAgainWords.MoveOverTo(act.Step.Name, where),
            FittedAgainWords.ItWasFastened(Left(assembly, lead)),
            "Moved over"
        );
    }

    private static string Left(Assembly assembly, Lead lead) =>
        lead.Between.Where(b => b != Assembly.BoardId)
            .Select(b => assembly.Pieces.FirstOrDefault(p => p.Id == b)?.Name)
            .FirstOrDefault(n => n is not null)
        ?? "stock cooler";
}
