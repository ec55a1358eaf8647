using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Match;

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
public sealed class MatchStation : IStation<MatchResult>
{
    public MatchResult Plan(PlanContext context, EarlierResults earlier) =>
        Judge(context.Order, context.Shop, context.Cancel);

    /// <summary>The station by itself: it rests on no other.</summary>
    public static MatchResult Judge(WorkOrder order, ShopSettings shop, CancellationToken cancel = default)
    {
        if (order.Pairs.Count == 0)
            return new(null, new(Station.Match, $"choose a block", true, []));
        return From(order, OrderFits.Judge(order, FitSettings.From(shop), cancel));
    }

    /// <summary>The station out of a fit that is judged already.</summary>
    public static MatchResult From(WorkOrder order, OrderFit fit)
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
                    Title = MatchStationWords.ReadWhatStandsBetweenBlocks,
                    Detail = Message.Join(fit.Between.Select(b => b.Text)),
                    Done = "Read",
                }
            );
        return new(fit, new(Station.Match, Summary(order, fit), IsFault(fit.Verdict), steps));
    }

    private static bool IsFault(Verdict verdict) => verdict is Match.Verdict.Clashes or Match.Verdict.Unproven;

    private static Message Summary(WorkOrder order, OrderFit fit)
    {
        if (fit.Between.Count > 0)
            return fit.Between[0].Code switch
            {
                BetweenCode.Overlap => $"blocks {fit.Between[0].A} and {fit.Between[0].B} overlap",
                BetweenCode.JoinMiss => $"a bridging fitting misses",
                BetweenCode.Spacing => MatchStationWords.BlockIsNotBoardsHeight,
                BetweenCode.LinkMiss => MatchStationWords.RigidLinkDoesNotReach,
                BetweenCode.Slot => MatchStationWords.TwoCardsWantOneSlot,
                _ => MatchStationWords.RibbonWouldBePinched,
            };
        var worst = fit.Pairs.MaxBy(p => p.Verdict)!;
        if (order.Pairs.Count == 1)
            return worst.Summary;
        return IsFault(fit.Verdict) ? (Message)$"{worst.Key}: {worst.Summary}"
            : fit.Uncovered.Count > 0
                ? (Message)$"all seat, {HowMany.Count(fit.Uncovered.Count, "part needs a sink", "parts need sinks")}"
            : (Message)$"all {fit.Pairs.Count} blocks seat";
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
                ? MatchStationWords.CompareLabelOn(BoardLabel.Carrier(piece.Board.Kind), BoardLabel.Format(piece.Board))
                : MatchStationWords.NoLabelOnThisBoard(order.On(piece.Key)),
            Detail = named ? MatchStationWords.BoardCodeAndRevisionNotModel : MatchStationWords.HolesDieAndPartsRound,
            Done = named ? MatchStationWords.LabelAgrees : MatchStationWords.BoardAgrees,
        };
    }

    private static WorkStep Verdict(WorkOrder order, PairFit fit)
    {
        var pair = order.Pairs.First(p => p.Key == fit.Key);
        var block = pair.Block;
        var trouble = IsFault(fit.Verdict);
        var worst = fit.On.MaxBy(o => o.Fit.Verdict);
        return new()
        {
            Id = new(Station.Match, order.ScopeOf(pair), "verdict"),
            Kind = StepKind.Read,
            Board = worst?.Board,
            Pair = fit.Key,
            Title = trouble
                ? MatchStationWords.ReadVerdictOnAndChooseAnother(block.Maker, block.Model)
                : MatchStationWords.ReadVerdictOnAndAccept(block.Maker, block.Model),
            Detail = worst?.Fit.Reasons[0].Text ?? MatchStationWords.PlatesAreMadeForBoard,
            Caution = trouble ? MatchStationWords.BlockThatDoesNotSeat : null,
            Done = MatchStationWords.AcceptThisBlock,
            Face = block.Plates.Count > 0 && block.Plates.All(p => p.Face == Face.Back) ? Face.Back : Face.Front,
            Targets = [.. worst?.Fit.Reasons[0].Refs ?? []],
        };
    }
}
