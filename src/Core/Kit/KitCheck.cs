using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Pads;

namespace FaithfulBracket.Core.Kit;

/// <summary>One thing the job needs, and where it comes from.</summary>
/// <param name="Group">screws, washers, pads, paste, drivers, plugs or consumables.</param>
/// <param name="Short">How much is missing; 0 when all is there.</param>
public sealed record KitLine(
    string Group,
    string Name,
    double Need,
    string Unit,
    double FromKit,
    double FromDrawer,
    double Short
);

/// <summary>Counts what the job needs against the block's kit and the drawer.</summary>
public static class KitCheck
{
    /// <summary>Sheet reckoned for a given area of pads, over the pieces themselves.</summary>
    private const double CuttingMargin = 1.15;

    public static IReadOnlyList<KitLine> Of(
        Board board,
        Block block,
        Drawer drawer,
        IReadOnlyList<PlacedPad> pads,
        double pasteG
    )
    {
        var kit = block.Kit ?? new();
        List<KitLine> lines =
        [
            .. Screws(block, kit, drawer),
            .. Washers(block, kit, drawer),
            .. Pads(pads, kit, drawer),
        ];
        if (pasteG > 0)
            lines.Add(Line("paste", "paste", pasteG, "g", kit.PasteG, drawer.Pastes.Sum(p => p.GramsLeft)));
        var open = Math.Max(0, block.Ports.Count - 2);
        if (open > 0)
            lines.Add(Line("plugs", "port plugs G1/4", open, "", kit.Plugs, Amount(drawer, "port plug")));
        lines.AddRange(Drivers(board, block, kit, drawer));
        lines.AddRange(
            drawer
                .Consumables.Where(c =>
                    c.LowAt > 0
                    && !c.Name.Contains("plug", StringComparison.OrdinalIgnoreCase)
                    && !c.Name.Contains("washer", StringComparison.OrdinalIgnoreCase)
                )
                .Select(c => Line("consumables", c.Name, c.LowAt, c.Unit, 0, c.Amount))
        );
        return lines;
    }

    private static IEnumerable<KitLine> Screws(Block block, KitContents kit, Drawer drawer) =>
        block
            .Plates.SelectMany(p => p.Holes)
            .GroupBy(h => h.Thread ?? FormattableString.Invariant($"M{h.ScrewMm:0.#}"))
            .Select(g =>
            {
                var lengths = kit.Screws.Where(s => s.Thread == g.Key).Select(s => s.LengthMm).ToHashSet();
                return Line(
                    "screws",
                    $"screws {g.Key}",
                    g.Count(),
                    "",
                    kit.Screws.Where(s => s.Thread == g.Key).Sum(s => s.Count),
                    drawer
                        .Screws.Where(s => s.Thread == g.Key && (lengths.Count == 0 || lengths.Contains(s.LengthMm)))
                        .Sum(s => s.Count)
                );
            });

    private static IEnumerable<KitLine> Washers(Block block, KitContents kit, Drawer drawer) =>
        block
            .Plates.SelectMany(p => p.Holes)
            .Where(h => h.Washer is not null)
            .GroupBy(h => h.Washer!)
            .Select(g =>
                Line(
                    "washers",
                    $"{g.Key} washers",
                    g.Count(),
                    "",
                    kit.Screws.Where(s => s.Washer == g.Key).Sum(s => s.Count),
                    Amount(drawer, $"{g.Key} washer")
                )
            );

    private static IEnumerable<KitLine> Pads(IReadOnlyList<PlacedPad> pads, KitContents kit, Drawer drawer) =>
        pads.GroupBy(p => (p.ThicknessMm, p.Material))
            .OrderBy(g => g.Key.ThicknessMm)
            .Select(g =>
            {
                var need = Math.Ceiling(g.Sum(p => p.WidthMm * p.DepthMm) * CuttingMargin / 100);
                return Line(
                    "pads",
                    FormattableString.Invariant($"pad {g.Key.ThicknessMm:0.0#} mm {g.Key.Material}"),
                    need,
                    "cm²",
                    Math.Floor(
                        kit.Pads.Where(k =>
                                k.Material == g.Key.Material && Math.Abs(k.ThicknessMm - g.Key.ThicknessMm) < 1e-6
                            )
                            .Sum(k => k.WidthMm * k.DepthMm * k.Count) / 100
                    ),
                    Math.Floor(
                        drawer
                            .Pads.Where(d =>
                                d.Material == g.Key.Material && Math.Abs(d.ThicknessMm - g.Key.ThicknessMm) < 1e-6
                            )
                            .Sum(d => d.WidthMm * d.DepthMm * d.Count) / 100
                    )
                );
            });

    private static IEnumerable<KitLine> Drivers(Board board, Block block, KitContents kit, Drawer drawer) =>
        (board.Assembly?.Fasteners.Select(f => f.Driver) ?? [])
            .Concat(kit.Screws.Select(s => s.Driver).OfType<string>())
            .Distinct()
            .Order()
            .Select(d =>
                Line(
                    "drivers",
                    $"driver {d}",
                    1,
                    "",
                    kit.Keys.Contains(d) ? 1 : 0,
                    drawer.Tools.Any(t => t.Name == d) ? 1 : 0
                )
            );

    private static double Amount(Drawer drawer, string name) =>
        drawer.Consumables.Where(c => c.Name == name).Sum(c => c.Amount);

    private static KitLine Line(string group, string name, double need, string unit, double kit, double drawer) =>
        new(
            group,
            name,
            Math.Round(need, 2),
            unit,
            Math.Round(kit, 2),
            Math.Round(drawer, 2),
            Math.Round(Math.Max(0, need - kit - drawer), 2)
        );
}
