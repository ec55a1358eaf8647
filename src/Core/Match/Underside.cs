using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match.Identify;
using FaithfulBracket.Core.Words.Match;

namespace FaithfulBracket.Core.Match;

/// <summary>A drawing of a block's underside in a frame of its own, mm.</summary>
/// <param name="Shapes">Closed lines inside the outline.</param>
public sealed record DrawnUnderside(IReadOnlyList<Point2> Holes, IReadOnlyList<Polygon> Shapes, Polygon? Outline);

/// <summary>What a drawing says of a plate, in the block's frame.</summary>
/// <param name="Mirrored">Whether it was drawn as seen from below.</param>
/// <param name="Screws">Places of the screws that it shows, by id.</param>
/// <param name="Lands">
/// Outlines of the lands that it shows, by id; several where one was assumed over parts that have lands of their own.
/// </param>
/// <param name="Told">What it does not show, and what it shows besides.</param>
public sealed record LaidUnderside(
    bool Mirrored,
    double WorstMm,
    IReadOnlyDictionary<string, Point2> Screws,
    IReadOnlyDictionary<string, IReadOnlyList<Polygon>> Lands,
    Polygon? Outline,
    IReadOnlyList<string> Told
);

/// <summary>Lays a drawing of a block's underside over the plate that was assumed, by its screw holes.</summary>
public static class Underside
{
    /// <summary>Holes nearer than this, mm, are one; fewer pairs than this prove nothing.</summary>
    private const double ReachMm = 0.8;
    private const int MinPairs = 3,
        MaxHoles = 200,
        MaxShapes = 500,
        MaxNamed = 6;

    /// <summary>Of a land's area that has to lie under a drawn line for that to be the land.</summary>
    private const double MinShare = 0.5;

    /// <exception cref="InputException">Too few holes agree, or too many are drawn.</exception>
    public static LaidUnderside Lay(Plate plate, DrawnUnderside drawn)
    {
        if (drawn.Holes.Count > MaxHoles)
            throw new InputException("/files", UndersideWords.MoreThanHolesAreDrawn(MaxHoles));
        if (drawn.Shapes.Count > MaxShapes)
            throw new InputException("/files", UndersideWords.MoreThanClosedLinesAreDrawn(MaxShapes));
        var screws = plate.Holes;
        var (placement, mirrored, pairs) = Best(screws, drawn.Holes);
        if (pairs.Count < MinPairs)
            throw new InputException(
                "/files",
                UndersideWords.DrawingsNotLieAsBlocksScrews(
                    HowMany.Count(drawn.Holes.Count, "hole does", "holes do"),
                    screws.Count,
                    HowMany.Count(pairs.Count, "agrees", "agree")
                )
            );
        Point2 At(Point2 p) => placement.Apply(Seen(p, mirrored));
        Polygon Laid(Polygon shape) => new([.. shape.Points.Select(p => At(p)).Select(Rounded)]);
        List<Polygon> shapes = [.. drawn.Shapes.Select(Laid)];
        var lands = new Dictionary<string, IReadOnlyList<Polygon>>();
        var used = new HashSet<Polygon>();
        foreach (var land in plate.Lands)
        {
            var found = Compute(land, shapes);
            used.UnionWith(found);
            if (found.Count > 0)
                lands[land.Id] = found;
        }
        return new(
            mirrored,
            pairs.Max(p => (placement.Apply(Seen(drawn.Holes[p.Hole], mirrored)) - screws[p.Screw].At).Length),
            pairs.ToDictionary(p => screws[p.Screw].Id, p => Rounded(At(drawn.Holes[p.Hole]))),
            lands,
            drawn.Outline is { } o ? Laid(o) : null,
            [.. Describe(plate, drawn, pairs, lands, shapes.Count - used.Count, mirrored)]
        );
    }

    /// <summary>The least line that covers the land, or those that lie in it side by side.</summary>
    private static List<Polygon> Compute(Land land, List<Polygon> shapes)
    {
        var near = shapes.FindAll(s => s.Bounds.Meets(land.Outline.Bounds));
        var whole = near.Where(s => PolygonOverlap.Area(s, land.Outline) >= MinShare * land.Outline.Area)
            .MinBy(s => s.Area);
        if (whole is not null)
            return [whole];
        return near.FindAll(s => PolygonOverlap.Area(s, land.Outline) >= MinShare * s.Area);
    }

    private static IEnumerable<string> Describe(
        Plate plate,
        DrawnUnderside drawn,
        List<(int Screw, int Hole)> pairs,
        Dictionary<string, IReadOnlyList<Polygon>> lands,
        int unused,
        bool mirrored
    )
    {
        yield return $"{HowMany.Count(pairs.Count, "hole agrees", "holes agree")} with the screws"
            + $"{(mirrored ? UndersideWords.DrawingIsSeen : "")}.";
        List<string> unseen =
        [
            .. plate.Holes.Where((_, i) => pairs.TrueForAll(p => p.Screw != i)).Select(h => h.Id),
            .. plate.Lands.Where(l => !lands.ContainsKey(l.Id)).Select(l => l.Id),
        ];
        if (unseen.Count > 0)
            yield return UndersideWords.NotInDrawingStillAssumed(
                string.Join(", ", unseen.Take(MaxNamed)),
                unseen.Count > MaxNamed ? $" and {unseen.Count - MaxNamed} more" : ""
            );
        if (drawn.Holes.Count > pairs.Count)
            yield return UndersideWords.DrawnWhereNoScrewIsAssumed(
                HowMany.Count(drawn.Holes.Count - pairs.Count, "hole is", "holes are")
            );
        if (unused > 0)
            yield return UndersideWords.NoLandOfPart(HowMany.Count(unused, "closed line is", "closed lines are"));
    }

    /// <summary>Every two far screws laid on every two holes as far apart, both ways up; the pose in which most agree.</summary>
    private static (Placement Placement, bool Mirrored, List<(int Screw, int Hole)> Pairs) Best(
        IReadOnlyList<BlockHole> screws,
        IReadOnlyList<Point2> holes
    )
    {
        const int basesTried = 8;
        (Placement Placement, bool Mirrored, List<(int, int)> Pairs) best = (default, false, []);
        var bases = Enumerable
            .Range(0, screws.Count)
            .SelectMany(i => Enumerable.Range(i + 1, screws.Count - i - 1), (i, j) => (i, j))
            .OrderByDescending(p => (screws[p.i].At - screws[p.j].At).Length)
            .Take(basesTried)
            .ToList();
        foreach (var mirrored in (ReadOnlySpan<bool>)[false, true])
        {
            List<Point2> seen = [.. holes.Select(p => Seen(p, mirrored))];
            foreach (var (i, j) in bases)
                for (var a = 0; a < seen.Count; a++)
                for (var b = 0; b < seen.Count; b++)
                {
                    var apart = (seen[a] - seen[b]).Length - (screws[i].At - screws[j].At).Length;
                    if (a == b || Math.Abs(apart) > ReachMm)
                        continue;
                    var pose = RigidFit.Fit([(seen[a], screws[i].At), (seen[b], screws[j].At)]);
                    var pairs = Pairs(screws, seen, pose);
                    if (pairs.Count <= best.Pairs.Count)
                        continue;
                    var refined = RigidFit.Fit([.. pairs.Select(p => (seen[p.Hole], screws[p.Screw].At))]);
                    best = (refined, mirrored, Pairs(screws, seen, refined));
                }
        }
        return best;
    }

    private static List<(int Screw, int Hole)> Pairs(IReadOnlyList<BlockHole> screws, List<Point2> seen, Placement pose)
    {
        var laid = seen.ConvertAll(p => pose.Apply(p));
        var pairs = new List<(int, int)>();
        for (var s = 0; s < screws.Count; s++)
        {
            var nearest = Enumerable.Range(0, laid.Count).MinBy(h => (laid[h] - screws[s].At).Length);
            if ((laid[nearest] - screws[s].At).Length <= ReachMm)
                pairs.Add((s, nearest));
        }
        return [.. pairs.DistinctBy(p => p.Item2)];
    }

    private static Point2 Seen(Point2 p, bool mirrored) => mirrored ? p with { X = -p.X } : p;

    private static Point2 Rounded(Point2 p) => new(Math.Round(p.X, 3), Math.Round(p.Y, 3));
}
