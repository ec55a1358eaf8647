using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Words.Heat;
using FaithfulBracket.Core.Words.Pads;

namespace FaithfulBracket.Core.Heat;

/// <summary>
/// Memory chips between carriers: each chip's heat through its pad, up the carrier to its edge, through the edge's pad into the
/// block, and from there by the block's curve. The carrier is a fin with its heat put in where the chips lie, nothing lost on the
/// way: T(y) = Σ qᵢ·min(y, yᵢ)/(k·t·w), y from the edge down.
/// </summary>
public static class CarrierHeat
{
    /// <summary>Of a carrier, where no document states either: a sheet of aluminium.</summary>
    private const double UnstatedMm = 2,
        UnstatedWPerMK = 150;

    /// <summary>What the way up an unstated carrier may be off, as a share: twice or half as thick.</summary>
    private const double UnstatedShare = 0.5;

    /// <summary>What a hand leaves of a pad that it presses.</summary>
    private const double LeftShare = 0.7;

    /// <summary>Bare metal bolted on metal, mm²·K/W.</summary>
    private const double BareContactMm2KPerW = 30;

    /// <exception cref="InputException">The block states no curve, or a pad's material states no conductivity.</exception>
    public static ExpectResult Compute(CarriedModule module, HeatConditions at)
    {
        var (board, block) = (module.Board, module.Block);
        var curve =
            block.Flow ?? throw new InputException("block/flow", BlockHeatWords.BlockStatesNoResistanceOverFlow);
        var stated = board.Parts.Where(p => p.Kind != PartKind.Empty).Sum(p => p.DissipationW);
        var scale =
            at.PowerW is not { } asked ? 1
            : stated > 0 ? asked / stated
            : throw new InputException("board/parts", BlockHeatWords.NoPartStatesHeatItGives);
        // the others under the block run as this one does
        var total = (stated + module.BesideW) * scale;
        var rise = Coolant.RiseK(total, at.FlowLMin);
        var mean = at.CoolantInC + rise / 2;
        var blockK = total * (curve.AKPerW + curve.BKPerW * Math.Pow(at.FlowLMin, -curve.N));
        List<ExpectedPart> parts = [];
        List<Message> warnings = [];
        foreach (var carrier in block.Carriers)
            parts.AddRange(On(carrier, module, scale, mean, blockK, warnings));
        var told = parts.Select(p => p.Part).ToHashSet();
        List<Part> untold =
        [
            .. board.Parts.Where(p => p is { DissipationW: > 0, Kind: not PartKind.Empty } && !told.Contains(p.Id)),
        ];
        warnings.AddRange(untold.Select(p => CarrierHeatWords.NoCarrierCovers(p.Id)));
        if (parts.Count > 0)
            warnings.Add(CarrierHeatWords.CarriersStateNoThickness);
        foreach (var p in parts.Where(p => p.LimitC is { } limit && p.C > limit))
            warnings.Add(CarrierHeatWords.WouldRunAtAllowed(p.Part, p.C, p.LimitC));
        return new(rise, mean, parts, warnings) { Untold = untold };
    }

    private static IEnumerable<ExpectedPart> On(
        Carrier carrier,
        CarriedModule module,
        double scale,
        double meanC,
        double blockK,
        List<Message> warnings
    )
    {
        var (top, wide) = (carrier.Outline.Bounds.MaxY, carrier.Outline.Bounds.Width);
        List<(Part Part, double Watts, double DownMm)> chips =
        [
            .. module
                .Board.Parts.Where(p => p.Face == carrier.Face && p.DissipationW > 0)
                .Where(p => carrier.Outline.Contains(p.Top().Centroid))
                .Select(p => (p, p.DissipationW * scale, top - p.Top().Centroid.Y)),
        ];
        var edge = chips.Sum(c => c.Watts) * EdgeKPerW(carrier, module);
        foreach (var (part, watts, down) in chips)
        {
            if (PadKPerW(part, module) is not { } pad)
            {
                warnings.Add(CarrierHeatWords.HasNoPad(part.Id));
                continue;
            }
            var up = chips.Sum(c => c.Watts * Math.Min(c.DownMm, down)) / (UnstatedWPerMK * UnstatedMm * wide) * 1000;
            var (own, land) = (watts * pad, blockK + edge + up);
            yield return new(part.Id, meanC + land + own, meanC + land, own, part.LimitC)
            {
                Watts = watts,
                RangeK = Math.Sqrt(
                    Math.Pow(HeatError.RangeK(own + edge, blockK, 0), 2) + Math.Pow(UnstatedShare * up, 2)
                ),
            };
        }
    }

    private static double? PadKPerW(Part part, CarriedModule module)
    {
        if (module.Pads.FirstOrDefault(p => p.Part == part.Id) is not { } pad)
            return null;
        return Way(module, pad.Material, pad.ThicknessMm * LeftShare, part.Top().Area);
    }

    /// <summary>From the carrier's edge into the block: its own strips of pad, or metal on metal.</summary>
    private static double EdgeKPerW(Carrier carrier, CarriedModule module)
    {
        var strips = EdgePads.Compute(carrier);
        return strips.Count > 0 && EdgePads.Material(module.Block, strips[0].ThicknessMm) is { } material
            ? Way(module, material, strips[0].ThicknessMm * LeftShare, strips.Sum(s => s.LengthMm * s.WidthMm))
            : BareContactMm2KPerW / (carrier.Outline.Bounds.Width * UnstatedMm);
    }

    private static double Way(CarriedModule module, string material, double gapMm, double areaMm2) =>
        !module.Materials.TryGetValue(material, out var known)
            ? throw new InputException("pads", PadChoiceWords.PadMaterialIsNotKnown(material))
            : PadWay.KPerW(known, gapMm, areaMm2)
                ?? throw new InputException("pads", CarrierHeatWords.StatesNoConductivity(material));
}
