using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Core.Kit;

/// <summary>So much of one line of the drawer.</summary>
/// <param name="Kind">paste, screw or consumable.</param>
/// <param name="Amount">In the unit of the line, above 0.</param>
public sealed record DrawerTake(string Kind, string Id, double Amount);

/// <summary>What a job takes out of the drawer as far as its plan can tell: what the boxes do not hold.</summary>
public static class DrawerUse
{
    /// <param name="pasteId">The paste that was chosen; null for the drawer's first.</param>
    public static IReadOnlyList<DrawerTake> Compute(KitResult kit, Drawer drawer, string? pasteId) =>
        [
            .. kit
                .Lines.Select(l => (Line: l, Own: Math.Round(l.Need - l.FromKit, 2)))
                .Where(x => x.Own > 0)
                .Select(x => Take(x.Line, x.Own, drawer, pasteId))
                .OfType<DrawerTake>(),
        ];

    /// <summary>Null where no line, or more than one, can be meant.</summary>
    private static DrawerTake? Take(KitLine line, double amount, Drawer drawer, string? pasteId)
    {
        var (kind, ids) = line.Group switch
        {
            KitCheck.PasteGroup => ("paste", drawer.PasteOr(pasteId) is { } p ? [p.Id] : (List<string>)[]),
            KitCheck.ScrewGroup => (
                "screw",
                [.. drawer.Screws.Where(s => line.Name == KitCheck.ScrewName(s.Thread)).Select(s => s.Id)]
            ),
            KitCheck.WasherGroup or KitCheck.PlugGroup or KitCheck.KitGroup => (
                "consumable",
                [
                    .. drawer
                        .Consumables.Where(c =>
                            $"{line.Name} ".StartsWith($"{c.Name}s ", StringComparison.Ordinal) || line.Name == c.Name
                        )
                        .Select(c => c.Id),
                ]
            ),
            _ => ("", (List<string>)[]),
        };
        return ids is [var only] ? new(kind, only, amount) : null;
    }
}
