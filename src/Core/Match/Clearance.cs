using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match;

public enum CeilingRegion
{
    Base,
    Pocket,
    Land,
}

/// <summary>Room between a part's top and the lowest face of the plate over it, mm; negative when they meet.</summary>
public sealed record PartMargin(string Part, double MarginMm, CeilingRegion Region);

/// <summary>
/// The underside of a plate over a placement. Land beats pocket beats base where they overlap; over a part the lowest
/// region that overlaps its top counts; outside the plate's outline there is none.
/// </summary>
public sealed class Ceiling
{
    private readonly double _planeMm;
    private readonly double _baseStepMm;
    private readonly Polygon _outline;
    private readonly (Polygon Outline, double StepMm)[] _lands;
    private readonly (Polygon Outline, double StepMm)[] _pockets;

    public Ceiling(Plate plate, Placement placement, double planeMm)
    {
        _planeMm = planeMm;
        _baseStepMm = plate.BaseStepMm;
        _outline = placement.Apply(plate.Outline);
        _lands = [.. plate.Lands.Select(l => (placement.Apply(l.Outline), l.StepMm))];
        _pockets = [.. plate.Pockets.Select(p => (placement.Apply(p.Outline), p.StepMm))];
    }

    /// <summary>
    /// The margin over a part whose top is <paramref name="top"/>; null when the plate is not over it.
    /// </summary>
    public PartMargin? Over(Part part, Polygon top)
    {
        // lands and pockets act only inside the plate's outline
        if (PolygonOverlap.Common(_outline, top) is not { } inside || inside.Area <= PolygonOverlap.TouchMm2)
            return null;
        (top, var under) = (inside, inside.Area);
        (double Step, CeilingRegion Region)? lowest = null;
        void Consider(double step, CeilingRegion region)
        {
            if (lowest is null || step < lowest.Value.Step)
                lowest = (step, region);
        }

        List<Polygon> higher = [];
        foreach (var (outline, step) in _lands)
        {
            if (!outline.Bounds.Meets(top.Bounds))
                continue;
            higher.Add(outline);
            if (PolygonOverlap.Area(outline, top) > PolygonOverlap.TouchMm2)
                Consider(step, CeilingRegion.Land);
        }
        var landCount = higher.Count;
        var landArea = landCount == 0 ? 0 : PolygonOverlap.CoveredArea(top, higher);
        foreach (var (outline, step) in _pockets)
        {
            if (!outline.Bounds.Meets(top.Bounds) || PolygonOverlap.Area(outline, top) <= PolygonOverlap.TouchMm2)
                continue;
            var shown =
                landArea <= PolygonOverlap.TouchMm2
                || PolygonOverlap.CoveredArea(top, [.. higher.Take(landCount), outline]) - landArea
                    > PolygonOverlap.TouchMm2;
            if (shown)
                Consider(step, CeilingRegion.Pocket);
            higher.Add(outline);
        }
        var recessed = higher.Count == 0 ? 0 : PolygonOverlap.CoveredArea(top, higher);
        if (under - recessed > PolygonOverlap.TouchMm2)
            Consider(_baseStepMm, CeilingRegion.Base);
        return lowest is { } l ? new(part.Id, _planeMm + l.Step - part.HeightMm, l.Region) : null;
    }
}
