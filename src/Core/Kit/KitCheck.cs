using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;

namespace FaithfulBracket.Core.Kit;

/// <summary>One thing the job needs, and where it comes from.</summary>
/// <param name="Group">kits, screws, washers, pads, paste, sinks, plugs, fittings, drivers, tools or consumables.</param>
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

/// <summary>Counts what an order needs against its blocks' kits and the drawer; what is in stock is counted once.</summary>
public static class KitCheck
{
    internal const string PasteGroup = "paste",
        ScrewGroup = "screws",
        WasherGroup = "washers",
        PlugGroup = "plugs",
        SinkGroup = "sinks",
        KitGroup = "kits";

    internal static string ScrewName(string thread) => $"screws {thread}";

    /// <summary>Sheet calculated for a given area of pads, over the pieces themselves.</summary>
    private const double CuttingMargin = 1.15;

    /// <param name="others">Screw places of a block that another block's screws take.</param>
    public static IReadOnlyList<KitLine> Check(
        WorkOrder order,
        Drawer drawer,
        KitNeeds needs,
        IReadOnlyList<SeatPlan>? seats = null,
        IReadOnlySet<(string Pair, string Hole)>? others = null
    )
    {
        List<Block> blocks = [.. order.Boxes.Select(p => p.Block)];
        List<KitContents> kits = [.. blocks.Select(b => b.Kit).OfType<KitContents>()];
        List<BlockHole> holes =
        [
            .. order.Pairs.SelectMany(p =>
                p.Block.Plates.SelectMany(x => x.Holes).Where(h => others?.Contains((p.Key, h.Id)) != true)
            ),
        ];
        List<KitLine> lines =
        [
            .. Kits(seats ?? [], drawer),
            .. Screws(holes, Bolts(order), kits, drawer),
            .. Washers(holes, kits, drawer),
            .. Pads(needs.Pads, kits, drawer),
        ];
        if (needs.PasteG > 0)
        {
            var tube = drawer.PasteOr(needs.PasteId);
            // what a box holds is paste, never metal
            var metal = tube?.Material.LiquidMetal == true;
            lines.Add(
                Line(
                    PasteGroup,
                    metal ? "liquid metal" : "paste",
                    needs.PasteG,
                    "g",
                    metal ? 0 : kits.Sum(k => k.PasteG),
                    tube?.GramsLeft ?? 0
                )
            );
        }
        var open = order.Boxes.Sum(p => OpenPorts.Count(order, p));
        if (open > 0)
            lines.Add(
                Line(PlugGroup, "port plugs G1/4", open, "", kits.Sum(k => k.Plugs), Amount(drawer, "port plug"))
            );
        lines.AddRange(Sinks(needs, kits, drawer));
        if (needs.CoolantMl > 0)
            lines.Add(Line(StepUses.StuffGroup, "coolant", needs.CoolantMl, "mL", 0, Amount(drawer, "coolant")));
        lines.AddRange(Drivers(order, kits, drawer));
        return lines;
    }

    /// <summary>What the acts of the steps use, against the blocks' boxes and the drawer.</summary>
    public static IEnumerable<KitLine> Used(WorkOrder order, Drawer drawer, IReadOnlyList<WorkStep> steps)
    {
        List<string> keys = [.. order.Boxes.SelectMany(p => p.Block.Kit?.Keys ?? [])];
        var remover = drawer.Consumables.FirstOrDefault(c => c.WaitS is not null)?.Name;
        foreach (var use in StepUses.Find(steps, remover, f => Thread(order, f)))
            yield return Line(
                use.Group,
                use.Name,
                use.Amount,
                use.Amount == 1 ? use.Unit.TrimEnd('s') : use.Unit,
                use.InBox + (use.Name == StepUses.Key && keys.Count > 0 ? 1 : 0),
                use.Group == StepUses.ToolGroup
                    ? drawer.Tools.Any(t => Same(t.Name, use.Name))
                        ? 1
                        : 0
                    : drawer.Consumables.Where(c => Same(c.Name, use.Name)).Sum(c => c.Amount)
            );
    }

    private static string Thread(WorkOrder order, ThingId fitting) =>
        order
            .Pairs.FirstOrDefault(p => p.Key == fitting.Owner)
            ?.Block.Ports.FirstOrDefault(p => p.Id == fitting.Key)
            ?.Thread
        ?? "G1/4";

    /// <summary>One name or its plural, however it is written.</summary>
    private static bool Same(string held, string asked) =>
        string.Equals(held.Trim(), asked, StringComparison.OrdinalIgnoreCase)
        || string.Equals(held.Trim(), $"{asked}s", StringComparison.OrdinalIgnoreCase);

    /// <summary>Sinks by size; those that no kit holds are one line.</summary>
    private static IEnumerable<KitLine> Sinks(KitNeeds needs, List<KitContents> kits, Drawer drawer)
    {
        foreach (var size in needs.Sinks.GroupBy(s => s))
            yield return Line(
                SinkGroup,
                FormattableString.Invariant(
                    $"sink {size.Key.WidthMm:0.#} × {size.Key.DepthMm:0.#} × {size.Key.HeightMm:0.#} mm"
                ),
                size.Count(),
                "",
                kits.SelectMany(k => k.Sinks)
                    .Where(s =>
                        (s.WidthMm, s.DepthMm, s.HeightMm) == (size.Key.WidthMm, size.Key.DepthMm, size.Key.HeightMm)
                    )
                    .Sum(s => s.Count),
                0
            );
        if (needs.SinksMissing > 0)
            yield return Line(SinkGroup, "stick-on sink", needs.SinksMissing, "", 0, Amount(drawer, "stick-on sink"));
    }

    /// <summary>An upgrade kit is bought beside the block: it lies in the drawer or it is missing.</summary>
    private static IEnumerable<KitLine> Kits(IReadOnlyList<SeatPlan> seats, Drawer drawer) =>
        seats
            .Select(s => s.Fit?.Kit)
            .Where(k => !string.IsNullOrEmpty(k))
            .GroupBy(k => k!)
            .Select(g => Line(KitGroup, g.Key, g.Count(), "", 0, Amount(drawer, g.Key)));

    /// <summary>Threads of the bolts that go down into carriers.</summary>
    private static IEnumerable<string> Bolts(WorkOrder order) =>
        order.Pairs.SelectMany(p => p.Block.Carriers).SelectMany(c => c.BoltHoles).Select(b => b.Thread);

    private static IEnumerable<KitLine> Screws(
        List<BlockHole> holes,
        IEnumerable<string> bolts,
        List<KitContents> kits,
        Drawer drawer
    ) =>
        holes
            .Select(h => h.Thread ?? FormattableString.Invariant($"M{h.ScrewMm:0.#}"))
            .Concat(bolts)
            .GroupBy(thread => thread)
            .Select(g =>
            {
                var own = kits.SelectMany(k => k.Screws).Where(s => s.Thread == g.Key).ToList();
                var lengths = own.Select(s => s.LengthMm).ToHashSet();
                return Line(
                    ScrewGroup,
                    ScrewName(g.Key),
                    g.Count(),
                    "",
                    own.Sum(s => s.Count),
                    drawer
                        .Screws.Where(s => s.Thread == g.Key && (lengths.Count == 0 || lengths.Contains(s.LengthMm)))
                        .Sum(s => s.Count)
                );
            });

    private static IEnumerable<KitLine> Washers(List<BlockHole> holes, List<KitContents> kits, Drawer drawer) =>
        holes
            .Where(h => h.Washer is not null)
            .GroupBy(h => h.Washer!)
            .Select(g =>
                Line(
                    WasherGroup,
                    $"{g.Key} washers",
                    g.Count(),
                    "",
                    kits.SelectMany(k => k.Screws).Where(s => s.Washer == g.Key).Sum(s => s.Count),
                    Amount(drawer, $"{g.Key} washer")
                )
            );

    private static IEnumerable<KitLine> Pads(IReadOnlyList<PadNeed> pads, List<KitContents> kits, Drawer drawer) =>
        pads.GroupBy(p => (p.ThicknessMm, p.Material))
            .OrderBy(g => g.Key.ThicknessMm)
            .Select(g =>
            {
                bool Same(double mm, string material) =>
                    material == g.Key.Material && Math.Abs(mm - g.Key.ThicknessMm) < 1e-6;
                var inKits = kits.SelectMany(k => k.Pads).Where(k => Same(k.ThicknessMm, k.Material));
                var stock = drawer.Pads.Where(d => Same(d.ThicknessMm, d.Material));
                return Line(
                    "pads",
                    FormattableString.Invariant($"pad {g.Key.ThicknessMm:0.0#} mm {g.Key.Material}"),
                    Math.Ceiling(g.Sum(p => p.AreaMm2) * CuttingMargin / 100),
                    "cm²",
                    Math.Floor(inKits.Sum(k => k.WidthMm * k.DepthMm * k.Count) / 100),
                    Math.Floor(stock.Sum(d => d.WidthMm * d.DepthMm * d.Count) / 100)
                );
            });

    private static IEnumerable<KitLine> Drivers(WorkOrder order, List<KitContents> kits, Drawer drawer) =>
        order
            .Pieces.Select(p => p.Board.Assembly)
            .Append(order.Assembly)
            .OfType<Boards.Assembly>()
            .SelectMany(a => a.Fasteners.Select(f => f.Driver))
            .Concat(kits.SelectMany(k => k.Screws).Select(s => s.Driver).OfType<string>())
            .Distinct()
            .Order()
            .Select(d =>
                Line(
                    "drivers",
                    $"driver {d}",
                    1,
                    "",
                    kits.Exists(k => k.Keys.Contains(d)) ? 1 : 0,
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
