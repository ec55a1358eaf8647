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

    /// <summary>Stock pieces that a block sits on.</summary>
    public static IEnumerable<(string Board, string Piece)> Under(WorkOrder order, Pair pair) =>
        from piece in TeardownStation.Pieces(order)
        from p in piece.Board.Assembly!.Pieces
        where Carries(p, pair)
        select (TeardownStation.BoardOf(order, piece, p.Id), p.Id);

    private static bool Carries(Piece piece, Pair pair) =>
        piece.Carries?.Any(b => b == pair.Block.Id || b == pair.Key) == true;

    /// <summary>What a block sits on, and what holds it: before that block.</summary>
    public static IEnumerable<WorkStep> Before(
        WorkOrder order,
        MatchResult match,
        TeardownResult teardown,
        Pair pair
    ) => Steps(order, match, teardown, p => Carries(p, pair));

    /// <summary>Everything else, once every block sits.</summary>
    public static IEnumerable<WorkStep> Steps(WorkOrder order, MatchResult match, TeardownResult teardown)
    {
        var before = order.Pairs.SelectMany(p => Before(order, match, teardown, p)).Select(s => s.Id).ToHashSet();
        return Steps(order, match, teardown, null).Where(s => !before.Contains(s.Id));
    }

    /// <param name="only">Pieces whose threads are meant; null for all.</param>
    private static IEnumerable<WorkStep> Steps(
        WorkOrder order,
        MatchResult match,
        TeardownResult teardown,
        Func<Piece, bool>? only
    )
    {
        foreach (var board in teardown.Boards)
        {
            var piece = TeardownStation.Pieces(order).First(p => p.Key == board.Board);
            var acts = Acts(order, match, board);
            var meant = piece.Board.Assembly!.Pieces.Where(p => only?.Invoke(p) == true).Select(p => p.Id).ToHashSet();
            var threads = acts.Where(a => meant.Contains(a.Step.Target)).Select(a => a.Thread).ToHashSet();
            foreach (var act in acts.Where(a => only is null || threads.Contains(a.Thread)))
                yield return Step(order, piece, board.Plan, act);
        }
    }

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
