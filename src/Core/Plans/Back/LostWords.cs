using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans.Walk;
using FaithfulBracket.Core.Words.Plans.Back;

namespace FaithfulBracket.Core.Plans.Back;

/// <summary>What cannot go back as it was, one sentence for all of a kind.</summary>
internal static class LostWords
{
    public static IReadOnlyList<string> Describe(WorkOrder order, IReadOnlyList<Cannot> cannot)
    {
        List<string> words = [];
        if (cannot.Any(c => c.Thing.Kind == ThingKind.Lid))
            words.Add(LostSentences.LidDoesNotGoBack);
        foreach (var c in cannot.Where(c => c is { Thing.Kind: ThingKind.Piece, Code: CannotCode.Voided }))
            words.Add(LostSentences.FindsNothingToRestOnAny(new ThingNames(order).Describe(c.Thing)));
        var pads = cannot.Count(c => c.Code == CannotCode.UsedUp);
        if (pads > 0)
            words.Add(pads == 1 ? LostSentences.OnePadWasPressedOnce : LostSentences.PadsWerePressedOnce(pads));
        var seals = cannot.Where(c => c.Thing.Kind == ThingKind.Screws).Select(c => c.Thing.Key).ToList();
        if (seals.Count > 0)
            words.Add(
                LostSentences.SealOverStaysBroken(seals.Count == 1 ? "group" : "groups", string.Join(" and ", seals))
            );
        return words;
    }
}
