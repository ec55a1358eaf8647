using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Match;

/// <param name="Order">How every pair seats; null while no block is chosen.</param>
public sealed record MatchResult(OrderFit? Order, StationPlan Sheet)
{
    /// <summary>Every pair on each of its boards, in order.</summary>
    public IEnumerable<(PairFit Pair, BoardFit On)> Laid() =>
        from pair in Order?.Pairs ?? []
        from board in pair.On
        select (pair, board);
}

/// <summary>Match: what is signed is that the label was compared and the verdict read and accepted.</summary>
public static class MatchStation
{
    public static MatchResult Of(WorkOrder order, ShopSettings shop, CancellationToken cancel = default)
    {
        if (order.Pairs.Count == 0)
            return new(null, new(Station.Match, "choose a block", true, []));
        return Of(order, OrderFits.Judge(order, FitSettings.Of(shop), cancel));
    }

    /// <summary>The station out of a fit that is judged already.</summary>
    public static MatchResult Of(WorkOrder order, OrderFit fit)
    {
        List<WorkStep> steps =
        [
            .. order.Pieces.Select(p => Label(order, p)),
            .. fit.Pairs.Select(p => Verdict(order, p)),
        ];
        if (fit.Between.Count > 0)
            steps.Add(
                new()
                {
                    Id = new(Station.Match, null, "between"),
                    Kind = StepKind.Read,
                    Title = "Read what stands between the blocks and choose again, or sign knowing it",
                    Detail = string.Join(" ", fit.Between.Select(b => b.Text)),
                    Done = "Read",
                }
            );
        return new(fit, new(Station.Match, Summary(order, fit), IsTrouble(fit.Verdict), steps));
    }

    private static bool IsTrouble(Verdict verdict) => verdict is Match.Verdict.Clashes or Match.Verdict.Unproven;

    private static string Summary(WorkOrder order, OrderFit fit)
    {
        if (fit.Between.Count > 0)
            return fit.Between[0].Code switch
            {
                BetweenCode.Overlap => $"blocks {fit.Between[0].A} and {fit.Between[0].B} overlap",
                BetweenCode.JoinMiss => "a bridging fitting misses",
                BetweenCode.Spacing => "the block is not the boards' height",
                BetweenCode.LinkMiss => "a rigid link does not reach",
                BetweenCode.Slot => "two cards want one slot",
                _ => "a ribbon would be pinched",
            };
        var worst = fit.Pairs.MaxBy(p => p.Verdict)!;
        if (order.Pairs.Count == 1)
            return worst.Summary;
        return IsTrouble(fit.Verdict) ? $"{worst.Key}: {worst.Summary}"
            : fit.Uncovered.Count > 0
                ? $"all seat, {HowMany.Of(fit.Uncovered.Count, "part needs a sink", "parts need sinks")}"
            : $"all {fit.Pairs.Count} blocks seat";
    }

    private static WorkStep Label(WorkOrder order, Workpiece piece)
    {
        var named = BoardLabel.HasCode(piece.Board);
        return new()
        {
            Id = new(Station.Match, order.ScopeOf(piece), "label"),
            Kind = StepKind.Read,
            Board = piece.Key,
            Title = named
                ? $"Compare the label on the {BoardLabel.Carrier(piece.Board.Kind)} with {BoardLabel.Of(piece.Board)}"
                : $"No label on this board{order.On(piece.Key)}: compare it bare with the drawing on the mat",
            Detail = named
                ? "Board code and revision, not the model name: one model is sold on several boards."
                : "Holes, die and the parts round it decide; look for a twin before anything is bought.",
            Done = named ? "The label agrees" : "The board agrees",
        };
    }

    private static WorkStep Verdict(WorkOrder order, PairFit fit)
    {
        var pair = order.Pairs.First(p => p.Key == fit.Key);
        var block = pair.Block;
        var trouble = IsTrouble(fit.Verdict);
        var worst = fit.On.MaxBy(o => o.Fit.Verdict);
        return new()
        {
            Id = new(Station.Match, order.ScopeOf(pair), "verdict"),
            Kind = StepKind.Read,
            Board = worst?.Board,
            Pair = fit.Key,
            Title = trouble
                ? $"Read the verdict on {block.Maker} {block.Model} and choose another block, or sign knowing it"
                : $"Read the verdict on {block.Maker} {block.Model} and accept it",
            Detail = worst?.Fit.Reasons[0].Text ?? "Its plates are made for a board that is not in this order.",
            Caution = trouble ? "A block that does not seat can crack the die or bend the board." : null,
            Done = "Accept this block",
            Face = block.Plates.Count > 0 && block.Plates.All(p => p.Face == Face.Back) ? Face.Back : Face.Front,
            Targets = [.. worst?.Fit.Reasons[0].Refs ?? []],
        };
    }
}
