using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Teardown;
using FaithfulBracket.Core.Words.Mount.Mountings;

namespace FaithfulBracket.Core.Mount.Mountings;

/// <summary>Ribbons between the boards of one block: nobody reaches them once the boards close on it.</summary>
internal static class RibbonsBetween
{
    public static IEnumerable<WorkStep> Steps(MountedPair at)
    {
        var (order, pair, board) = (at.Order, at.Pair, at.On.Board);
        var boards = pair.BoardKeys(order);
        if (boards.Count < 2 || boards[0] != board)
            yield break;
        var unplugged = TeardownStation
            .Pieces(order)
            .SelectMany(p =>
                p.Board.Assembly!.Leads.Select(l => RibbonEnds.Find(order, l, TeardownStation.BoardOf(order, p, l.Id)))
            )
            .OfType<Ribbon>()
            .Select(r => r.Id)
            .ToHashSet();
        bool Ties(Ribbon r) => boards.Contains(r.From.Board) && boards.Contains(r.To.Board);
        foreach (var r in at.Plugged.Where(Ties))
            yield return new()
            {
                Id = at.Id($"look-{r.Id}"),
                Kind = StepKind.Look,
                Board = board,
                Pair = pair.Key,
                Done = RibbonsBetweenWords.RibbonInPlace,
                Title = RibbonsBetweenWords.LookThatRibbonSitsAndLiesClear(r.Name),
                Detail = RibbonsBetweenWords.ItStayedPlugged(r.From.Board, r.To.Board),
                Caution = RibbonsBetweenWords.OnceBoardsCloseOnBlockNobody,
                Feel = RibbonsBetweenWords.PullAtEachPlugMovesNothing,
                Acts = [new(Verb.Look, new(ThingKind.Ribbon, r.Id))],
            };
        foreach (var r in order.Ribbons.Where(r => unplugged.Contains(r.Id) && !at.Plugged.Contains(r)))
        {
            if (!Ties(r))
                continue;
            yield return new()
            {
                Id = at.Id($"ribbon-{r.Id}"),
                Kind = StepKind.Connect,
                Board = board,
                Pair = pair.Key,
                Done = RibbonsBetweenWords.RibbonPlugged,
                Title = RibbonsBetweenWords.PlugInBetweenBoardAndBoard(r.Name, r.From.Board, r.To.Board),
                Detail =
                    RibbonsBetweenWords.LayBoardsSideBySide
                    + (r.SlackMm is { } slack ? RibbonsBetweenWords.RibbonHasOfSlack(slack) : Message.Empty)
                    + RibbonsBetweenWords.CloseLatchAndPullOnce,
                Caution = RibbonsBetweenWords.OnceBoardsCloseOnBlockNobody,
            };
        }
    }
}
