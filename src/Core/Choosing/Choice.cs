using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Words.Choosing;

namespace FaithfulBracket.Core.Choosing;

/// <summary>One line of a complete kit's cost.</summary>
public sealed record CostLine(string What, double Amount);

/// <summary>A block as a candidate for a board, everything that decides side by side.</summary>
/// <param name="CoveredShare">Share of the heat of parts to be cooled whose land covers them.</param>
/// <param name="PadsGood">Pad places whose whole band is good, of <paramref name="PadPlaces"/>.</param>
/// <param name="ResistanceKPerW">Die to coolant at the stated flow, K/W; null when the maker states no curve.</param>
/// <param name="DieRiseK">Of the die over the coolant at the board's die power.</param>
/// <param name="MoneyPerKelvin">Against the cheapest of those compared: what each kelvin less costs.</param>
public sealed record Choice(
    string BlockId,
    string Name,
    BlockKind Kind,
    FitResult Fit,
    double CoveredShare,
    int PadsGood,
    int PadPlaces,
    int? Slots,
    IReadOnlyList<string> Ports,
    double FlowLPerMin,
    double? ResistanceKPerW,
    double? DieRiseK,
    IReadOnlyList<CostLine> Cost,
    double? Total,
    string Currency,
    double? MoneyPerKelvin
)
{
    /// <summary>What does not seat is never best at anything.</summary>
    public bool MayBeBest => Fit.Verdict != Verdict.Clashes;

    /// <summary>What it holds dies, memory and power stages at; empty where its maker states no curve.</summary>
    public IReadOnlyList<Held> Held { get; init; } = [];

    /// <summary>Coolant into the block that <see cref="Held"/> counts from, °C.</summary>
    public double? CoolantInC { get; init; }
}

/// <summary>Blocks for one board, side by side.</summary>
public static class Comparing
{
    private const int FittingsPerLoop = 2;

    /// <param name="flowLPerMin">Flow at which resistances are read.</param>
    /// <param name="owned">Pads in the drawer, which may fill what the kit lacks.</param>
    /// <param name="paste">Under which temperatures are told; null tells none.</param>
    public static IReadOnlyList<Choice> Compute(
        Board board,
        IReadOnlyList<Block> blocks,
        double flowLPerMin,
        KitPrices prices,
        IReadOnlyDictionary<string, PadMaterial> materials,
        IReadOnlyList<StockedPad> owned,
        PasteMaterial? paste = null,
        double coolantInC = 30,
        CancellationToken cancel = default
    )
    {
        var at = new HeatConditions(null, coolantInC, flowLPerMin);
        var choices = blocks
            .Select(b => One(board, b, flowLPerMin, prices, materials, owned, cancel))
            .Zip(
                blocks,
                (c, b) =>
                    paste is null
                        ? c
                        : c with
                        {
                            Held = HeldParts.Compute(board, b, c.Fit, materials, paste, at, cancel),
                            CoolantInC = coolantInC,
                        }
            )
            .ToList();
        var cheapest = choices
            .Where(c => c.Fit.Verdict != Verdict.Clashes && c.Total is not null && c.DieRiseK is not null)
            .MinBy(c => c.Total);
        return
        [
            .. choices.Select(c =>
                cheapest is not null
                && c != cheapest
                && c.Fit.Verdict != Verdict.Clashes
                && c.Total is { } t
                && c.DieRiseK < cheapest.DieRiseK
                    ? c with
                    {
                        MoneyPerKelvin = (t - cheapest.Total!.Value) / (cheapest.DieRiseK.Value - c.DieRiseK.Value),
                    }
                    : c
            ),
        ];
    }

    private static Choice One(
        Board board,
        Block block,
        double flow,
        KitPrices prices,
        IReadOnlyDictionary<string, PadMaterial> materials,
        IReadOnlyList<StockedPad> owned,
        CancellationToken cancel
    )
    {
        var fit = Fit.Judge(board, block, cancel: cancel);
        var hot = fit
            .Coverage.Select(c => (Watts: Math.Max(0.1, board.FindPart(c.Part)?.DissipationW ?? 0), c.Share))
            .ToList();
        var (good, places) = Pads(board, block, materials, owned);
        var resistance = block.Flow is { } f ? f.AKPerW + f.BKPerW * Math.Pow(flow, -f.N) : (double?)null;
        var die = board.Parts.Where(p => p.Kind is PartKind.Die or PartKind.Lid).Sum(p => p.DissipationW);
        var cost = Cost(board, block, prices).ToList();
        return new(
            block.Id,
            $"{block.Maker} {block.Model}",
            block.Kind,
            fit,
            hot.Count == 0 ? 1 : hot.Sum(h => h.Watts * h.Share) / hot.Sum(h => h.Watts),
            good,
            places,
            block.BracketSlots,
            [.. block.Ports.Select(p => $"{p.Id} {p.Thread}{(p.Facing is { } way ? $", {way}" : "")}")],
            flow,
            resistance,
            resistance * die,
            cost,
            block.Price is null ? null : cost.Sum(c => c.Amount),
            block.Price?.Currency ?? prices.Currency,
            null
        );
    }

    private static (int Good, int Places) Pads(
        Board board,
        Block block,
        IReadOnlyDictionary<string, PadMaterial> materials,
        IReadOnlyList<StockedPad> owned
    )
    {
        try
        {
            var pads = Gaps.Compute(LaidBlock.Create(board, block), materials, owned)
                .Pairs.Where(p => p.Through == Through.Pad)
                .ToList();
            return (pads.Count(p => p.Pad?.State == PadState.Good), pads.Count);
        }
        catch (InputException)
        {
            return (0, 0);
        }
    }

    internal static IEnumerable<CostLine> Cost(Board board, Block block, KitPrices prices)
    {
        if (block.Price is { } price)
            yield return new(block.BackPlate is null ? "block" : ChoiceWords.BlockWithBackPlate, price.Amount);
        yield return new($"{FittingsPerLoop} fittings", FittingsPerLoop * prices.Fitting);
        var plugs = Math.Max(0, block.Ports.Count - FittingsPerLoop - (block.Kit?.Plugs ?? 0));
        if (plugs > 0)
            yield return new(HowMany.Count(plugs, "plug"), plugs * prices.Plug);
        var padArea =
            block.Plates.SelectMany(p => p.Lands).Where(l => l.Through == Through.Pad).Sum(l => l.Outline.Area) / 100;
        var kitArea = (block.Kit?.Pads ?? []).Sum(p => p.WidthMm * p.DepthMm * p.Count) / 100;
        if (padArea > kitArea)
            yield return new(ChoiceWords.PadsKitLacks, (padArea - kitArea) * prices.PadCm2);
        if ((block.Kit?.PasteG ?? 0) < 0.5)
            yield return new("paste, 1 g", prices.PasteGram);
        if (
            board.Socket is { } socket
            && block.Sockets.FirstOrDefault(s => s.Socket == socket) is { Kit.Length: > 0 } kit
        )
            yield return new($"socket kit {kit.Kit}", prices.SocketKit);
    }
}
