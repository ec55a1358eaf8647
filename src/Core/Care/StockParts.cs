using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Teardown;
using FaithfulBracket.Core.Words.Care;

namespace FaithfulBracket.Core.Care;

/// <summary>What became of the stock parts: stored, fitted again, or never taken off.</summary>
internal static class StockParts
{
    public static Message Words(WorkOrder order, MatchResult match, TeardownResult teardown, Ways ways)
    {
        var again = teardown
            .Boards.SelectMany(b => FittedAgain.Acts(order, match, b))
            .Where(a => a.Step.Action == RestoreAction.Set)
            .Select(a => a.Step.Name)
            .Concat(
                match.Laid().SelectMany(l => l.On.Laid.Block.StockPlates).Where(p => p.Pair is null).Select(p => p.Name)
            )
            .Distinct()
            .ToList();
        var stayed = TeardownStation
            .Pieces(order)
            .SelectMany(p => Staying.Names(p.Board.Assembly!))
            .Distinct()
            .ToList();
        List<Message> words = [StockPartsWords.NeededToPutBackForWarranty(OrderNames.Subject(order))];
        if (again.Count > 0)
            words.Add(StockPartsWords.FittedAgainNotToBeStored(string.Join(", ", again)));
        if (stayed.Count > 0)
            words.Add($"Never came off: {string.Join(", ", stayed)}.");
        words.Add(
            ways.StockPads == StockPads.Reuse ? StockPartsWords.BackPlatesPadsStay
            : order.Pieces.Any(p => p.Seated is not null) ? Message.Empty
            : StockPartsWords.PadsAreReplacedWhenItGoes
        );
        return Message.Join(words);
    }
}
