using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Core.Pads;

/// <summary>Pads that change together, and what may stand in for them.</summary>
public static class LikePads
{
    /// <summary>The part and all of its kind on the same face, itself first; empty when it has no pad.</summary>
    public static IReadOnlyList<string> Places(IReadOnlyList<PlacedPad> pads, string? part)
    {
        if (pads.FirstOrDefault(p => p.Part == part) is not { } own)
            return [];
        return
        [
            own.Part,
            .. pads.Where(p => p.Kind == own.Kind && p.Face == own.Face && p.Part != part).Select(p => p.Part),
        ];
    }

    /// <summary>Every thickness and material in the drawer and in the block's kit.</summary>
    public static IReadOnlyList<StockedPad> AtHand(Drawer drawer, Block block) =>
        [
            .. drawer
                .Pads.Select(p => new StockedPad(p.ThicknessMm, p.Material))
                .Concat((block.Kit?.Pads ?? []).Select(p => new StockedPad(p.ThicknessMm, p.Material)))
                .Distinct(),
        ];
}
