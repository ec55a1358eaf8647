using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Words.Pads;

namespace FaithfulBracket.Core.Pads;

/// <summary>Chooses a pad for a gap: the supplied one if it fills the whole band, then the kit's others, then the drawer's.</summary>
public sealed class PadChoice
{
    private readonly IReadOnlyDictionary<string, PadMaterial> _materials;
    private readonly List<(StockedPad Pad, string Source)> _candidates = [];

    /// <exception cref="InputException">A material is not known; every unknown one is named.</exception>
    public PadChoice(Block block, IReadOnlyDictionary<string, PadMaterial> materials, IReadOnlyList<StockedPad> stock)
    {
        _materials = materials;
        foreach (var p in block.Kit?.Pads ?? [])
            Add(new(p.ThicknessMm, p.Material), "kit");
        foreach (var p in stock.OrderBy(p => p.ThicknessMm))
            Add(p, "drawer");
        var unknown = _candidates.Select(c => c.Pad.Material).Distinct().Where(m => !materials.ContainsKey(m)).ToList();
        if (unknown.Count > 0)
            throw new InputException([
                .. unknown.Select(m => new InputFault("materials", PadChoiceWords.PadMaterialIsNotKnown(m))),
            ]);
    }

    private void Add(StockedPad pad, string source)
    {
        if (!_candidates.Any(c => c.Pad == pad))
            _candidates.Add((pad, source));
    }

    /// <summary>The pad to use, the supplied one, and all that would do.</summary>
    public (PadFit? Chosen, PadFit? Declared, IReadOnlyList<PadFit> WouldDo) For(
        Land land,
        double gapMinMm,
        double gapMaxMm
    )
    {
        var tried = _candidates.ConvertAll(c =>
            PadSquash.In(gapMinMm, gapMaxMm, c.Pad.ThicknessMm, _materials[c.Pad.Material], c.Source)
        );
        var declared = land.PadMm is { } mm ? Declared(mm, tried, gapMinMm, gapMaxMm) : null;
        var good = tried.Where(t => t.State == PadState.Good).ToList();
        var chosen =
            declared?.State == PadState.Good
                ? declared
                : good.FirstOrDefault() ?? declared ?? tried.MinBy(t => t.MissBy);
        return (chosen, declared, good);
    }

    /// <summary>The supplied thickness in the kit's material for it; in any known material when the kit names none.</summary>
    private PadFit? Declared(double mm, List<PadFit> tried, double gapMinMm, double gapMaxMm)
    {
        var inKit =
            tried.Find(t => t.Source == "kit" && Math.Abs(t.ThicknessMm - mm) < 1e-6)
            ?? tried.Find(t => Math.Abs(t.ThicknessMm - mm) < 1e-6);
        if (inKit is not null)
            return inKit;
        var material = tried.Count > 0 ? _materials[tried[0].Material] : _materials.Values.FirstOrDefault();
        return material is null ? null : PadSquash.In(gapMinMm, gapMaxMm, mm, material, "declared");
    }
}
