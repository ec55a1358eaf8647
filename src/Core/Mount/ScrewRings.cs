using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Blocks;

namespace FaithfulBracket.Core.Mount;

/// <summary>Screws of one plate that are named together: one ring, those shared with the back plate apart.</summary>
/// <param name="Shared">Whether they go through the back plate too.</param>
public sealed record ScrewRing(string Plate, int Ring, bool Shared, IReadOnlyList<string> Holes)
{
    /// <param name="pair">Key of the pair.</param>
    public ThingId Id(string pair) => new(ThingKind.Screws, pair, $"{Plate}/ring{Ring}{(Shared ? "/bp" : "")}");
}

public static class ScrewRings
{
    public static IReadOnlyList<ScrewRing> Find(Block block, Plate plate)
    {
        var held = BehindScrews.Held(block);
        var others = BehindScrews.OfOthers(block);
        return
        [
            .. plate
                .Holes.Where(h => !others.Contains(h.Id))
                .GroupBy(h => (Ring: ScrewOrder.Ring(h), Shared: held.Contains(h.Id)))
                .OrderBy(g => g.Key)
                .Select(g => new ScrewRing(plate.Id, g.Key.Ring, g.Key.Shared, [.. g.Select(h => h.Id)])),
        ];
    }
}
