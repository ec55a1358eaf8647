using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match;

/// <summary>A part with the land that serves it.</summary>
/// <param name="Share">Share of the part's top that the land covers, 0 to 1.</param>
/// <param name="LandOutline">The land in the board frame.</param>
public sealed record Pairing(Part Part, Land Land, double Share, Polygon LandOutline);

/// <summary>Pairs each part with the land that covers most of its top among the lands meant for it.</summary>
public static class LandPairing
{
    /// <summary>A part covered less than this is uncovered.</summary>
    public const double MinShare = 0.8;

    public static IReadOnlyList<Pairing> Pair(IEnumerable<Part> parts, IReadOnlyList<Land> lands, Placement placement)
    {
        var placed = lands.Select(l => (Land: l, Outline: placement.Apply(l.Outline))).ToList();
        var pairings = new List<Pairing>();
        foreach (var part in parts)
        {
            var top = part.Top();
            Pairing? best = null;
            foreach (var (land, outline) in placed)
            {
                if (!land.Serves(part) || !outline.Bounds.Meets(top.Bounds))
                    continue;
                var share = PolygonOverlap.Area(outline, top) / top.Area;
                if (share > (best?.Share ?? 1e-9))
                    best = new(part, land, share, outline);
            }
            if (best is not null)
                pairings.Add(best);
        }
        return pairings;
    }
}
