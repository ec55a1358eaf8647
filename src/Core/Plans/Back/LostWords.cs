using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans.Walk;

namespace FaithfulBracket.Core.Plans.Back;

/// <summary>What cannot go back as it was, one sentence for all of a kind.</summary>
internal static class LostWords
{
    public static IReadOnlyList<string> Of(WorkOrder order, IReadOnlyList<Cannot> cannot)
    {
        List<string> words = [];
        if (cannot.Any(c => c.Thing.Kind == ThingKind.Lid))
            words.Add("The lid does not go back on: the package stays under its frame, and its clamp is kept.");
        foreach (var c in cannot.Where(c => c is { Thing.Kind: ThingKind.Piece, Code: CannotCode.Voided }))
            words.Add(
                $"The {new ThingNames(order).Of(c.Thing)} finds nothing to rest on any more: it is handed over with its screws."
            );
        var pads = cannot.Count(c => c.Code == CannotCode.UsedUp);
        if (pads > 0)
            words.Add(
                pads == 1
                    ? "Its one pad was pressed once: a new one, as thick as it was found."
                    : $"Its {pads} pads were pressed once: new ones, as thick as they were found."
            );
        var seals = cannot.Where(c => c.Thing.Kind == ThingKind.Screws).Select(c => c.Thing.Key).ToList();
        if (seals.Count > 0)
            words.Add(
                $"The seal over {(seals.Count == 1 ? "group" : "groups")} {string.Join(" and ", seals)} stays broken; what it was worth is given up."
            );
        return words;
    }
}
