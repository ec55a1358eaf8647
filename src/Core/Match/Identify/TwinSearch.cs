using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Match.Identify;

namespace FaithfulBracket.Core.Match.Identify;

/// <summary>A board, or several that do not differ under the block, that what was seen may be.</summary>
/// <param name="Chance">That it is this class, 0 to 1.</param>
/// <param name="Placement">Maps what was seen onto the candidate.</param>
/// <param name="Twins">Other boards of the class.</param>
/// <param name="Met">Seen points that meet a hole or part of the candidate.</param>
public sealed record TwinCandidate(
    string BoardId,
    double Chance,
    Placement Placement,
    IReadOnlyList<BoardDifference> DifferencesUnderBlock,
    IReadOnlyList<BoardDifference> OtherDifferences,
    IReadOnlyList<string> Twins,
    int Met,
    int Seen,
    double RmsMm
);

/// <param name="NoneChance">That no board of the library is close.</param>
public sealed record IdentifyResult(IReadOnlyList<TwinCandidate> Candidates, double NoneChance, Message Text);

/// <summary>Whose twin is it: ranks boards of the library against holes and parts seen in any frame.</summary>
public static class TwinSearch
{
    private const int Voted = 400,
        Judged = 20,
        Searched = 40,
        SearchedByHoles = 150,
        Rivals = 12;
    private const double BeyondDoubt = 15;
    private const double SharedChance = 0.005;

    /// <param name="seen">At least three points.</param>
    /// <param name="sigmaMm">Standard deviation of each position per axis, mm.</param>
    /// <param name="find">A board by id; null when it is gone.</param>
    /// <param name="underBlock">
    /// Areas that matter on a board; when empty, the hull of its holes and cooled parts.
    /// </param>
    /// <exception cref="InputException">Too few points.</exception>
    public static IdentifyResult Run(
        Constellation seen,
        double sigmaMm,
        IReadOnlyList<TwinIndex> indexes,
        Func<string, Board?> find,
        Func<Board, IReadOnlyList<Polygon>> underBlock,
        int most = 5
    )
    {
        if (seen.Points.Count < 3)
            throw new InputException("holes", TwinSearchWords.ThreePointsAtLeastAreNeeded(seen.Points.Count));
        underBlock = Areas(underBlock);
        var sigma = Math.Max(0.05, sigmaMm);
        var finder = new PoseFinder(seen, Math.Max(0.25, 3.5 * sigma));
        var boards = indexes.Sum(x => x.Ids.Count);
        var rough = indexes
            .SelectMany(index => Poses(finder, index, seen, sigma))
            .OrderByDescending(r => r.Score)
            .DistinctBy(r => r.Id)
            .Take(Judged)
            .ToList();
        var judged = rough
            .Select(r => find(r.Id) is { } b ? Judge(seen, b, r.Pose, sigma, finder.AreaMm2) : null)
            .OfType<Judgement>()
            .OrderByDescending(j => j.Score)
            .ToList();
        var prior = -Math.Log(Math.Max(1, boards));
        var none = Likelihood.None(seen.Points.Count, finder.AreaMm2);
        var top = Math.Max(none, judged.Count > 0 ? judged[0].Score + prior : none);
        var total = Math.Exp(none - top) + judged.Sum(j => Math.Exp(j.Score + prior - top));
        var noneChance = Math.Exp(none - top) / total;
        var classes = new List<(Judgement First, double Chance, List<string> Twins)>();
        foreach (var j in judged)
        {
            var chance = Math.Exp(j.Score + prior - top) / total;
            var twin = classes.FindIndex(c => Same(c.First, j, underBlock));
            if (twin >= 0)
            {
                classes[twin].Twins.Add(j.Board.Id);
                classes[twin] = classes[twin] with { Chance = classes[twin].Chance + chance };
            }
            else
                classes.Add((j, chance, []));
        }
        var shown = classes
            .Where(c => c.Chance >= SharedChance)
            .OrderByDescending(c => c.Chance)
            .Take(most)
            .Select(c => Describe(c.First, c.Chance, c.Twins, seen, finder.ReachMm, underBlock))
            .ToList();
        return new(
            noneChance > 0.5 ? [] : shown,
            noneChance,
            Sentence(noneChance > 0.5 ? [] : shown, noneChance, find)
        );
    }

    private static Message Sentence(List<TwinCandidate> shown, double none, Func<string, Board?> find)
    {
        if (shown.Count == 0)
            return TwinSearchWords.NoneIsClose(none);
        var (first, board) = (shown[0], find(shown[0].BoardId)!);
        // what was not seen was not compared: only what was seen otherwise differs
        var under = first.DifferencesUnderBlock.Count(d => d.Code != "not-seen");
        return TwinSearchWords.OfPointsMeetWithinRms(
                board.Maker,
                board.Model,
                board.Revision,
                Math.Min(first.Chance, 0.999),
                first.Met,
                first.Seen,
                first.RmsMm
            )
            + (
                under == 0
                    ? TwinSearchWords.NothingSeenDiffersUnderBlock
                    : (Message)$"{HowMany.Count(under, "difference")} under the block."
            );
    }

    private static List<(string Id, Placement Pose, double Score)> Poses(
        PoseFinder finder,
        TwinIndex index,
        Constellation seen,
        double sigma
    )
    {
        var found = new List<(string, Placement, double)>();
        var known = new List<Placement>();
        var scratch = new List<Triangle>();
        var searched = 0;
        var none = Likelihood.None(seen.Points.Count, finder.AreaMm2) + Math.Log(index.Ids.Count);
        var most = finder.HolesOnly ? SearchedByHoles : Searched;
        foreach (var b in index.Vote(finder.Asked, finder.Tolerance, Voted))
        {
            var (x, y, hole) = index.PointsOf(b);
            var (all, holes) = (x.Length, hole.Span.Count(true));
            // where no part was seen none can meet; a board's holes come first
            if (finder.HolesOnly)
                (x, y, hole) = (x[..holes], y[..holes], hole[..holes]);
            Placement? pose = null;
            var score = double.NegativeInfinity;
            // boards of one family stand in one frame: a pose found on one usually holds for the next
            foreach (var k in known)
                Try(k);
            var met = pose is { } p ? finder.Meet(p, x.Span, y.Span, hole.Span) : default;
            if (met.Holes + met.Parts < 0.4 * Math.Min(seen.Points.Count, all) && searched < most)
            {
                searched++;
                if (finder.FromTriangles(x.Span, y.Span, hole.Span, scratch) is { } fresh)
                {
                    Try(fresh);
                    if (pose == fresh && known.Count < 8)
                        known.Add(fresh);
                }
            }
            if (pose is { } best)
                found.Add((index.Ids[b], best, score));
            // once one explains what was seen beyond doubt, only its nearest rivals are still looked at
            if (score > none + BeyondDoubt)
                most = Math.Min(most, searched + Rivals);
            void Try(Placement candidate)
            {
                var m = finder.Meet(candidate, x.Span, y.Span, hole.Span);
                var s = Likelihood.Compute(
                    holes,
                    m.Holes,
                    all - holes,
                    m.Parts,
                    m.Squares,
                    sigma,
                    seen.Points.Count,
                    finder.AreaMm2
                );
                if (m.Holes + m.Parts >= 3 && s > score)
                    (pose, score) = (candidate, s);
            }
        }
        return found;
    }

    private sealed record Judgement(
        Board Board,
        Constellation Points,
        Placement Pose,
        double Score,
        int Met,
        double RmsMm
    );

    private static Judgement Judge(Constellation seen, Board board, Placement pose, double sigma, double areaMm2)
    {
        var points = Constellation.From(board);
        var kept = points.Points;
        var spread = Math.Sqrt(sigma * sigma + board.PositionSigmaMm * board.PositionSigmaMm);
        var reach = Math.Max(0.25, 3.5 * spread);
        var pairs = Differences.Pair(seen.Points, kept, pose, reach);
        for (var round = 0; round < 3 && pairs.Count >= 2; round++)
        {
            pose = RigidFit.Fit(pairs.ConvertAll(p => (seen.Points[p.Seen].At, kept[p.Kept].At)));
            pairs = Differences.Pair(seen.Points, kept, pose, reach);
        }
        var squares = pairs.Sum(p => p.Mm * p.Mm);
        var holes = pairs.Count(p => kept[p.Kept].IsHole);
        var score = Likelihood.Compute(
            kept.Count(k => k.IsHole),
            holes,
            kept.Count(k => !k.IsHole),
            pairs.Count - holes,
            squares,
            spread,
            seen.Points.Count,
            areaMm2
        );
        score += pairs.Sum(p => Attributes(seen.Points[p.Seen], kept[p.Kept]));
        return new(board, points, pose, score, pairs.Count, pairs.Count == 0 ? 0 : Math.Sqrt(squares / pairs.Count));
    }

    /// <summary>Log likelihood of what was told beside the place, with one in twenty told wrong.</summary>
    private static double Attributes(SeenPoint s, SeenPoint k)
    {
        double sum = 0;
        if (s.DiameterMm is { } d && k.DiameterMm is { } e)
            sum += Close(d - e, 0.1);
        if (s.HeightMm is { } h && k.HeightMm is { } g)
            sum += Close(h - g, 0.08);
        if (s.Kind is { } a && k.Kind is { } b)
            sum += Math.Log(a == b ? 0.95 : 0.05);
        return sum;
        static double Close(double difference, double sigma) =>
            Math.Log(0.95 * Math.Exp(-difference * difference / (2 * sigma * sigma)) + 0.01);
    }

    private static bool Same(Judgement a, Judgement b, Func<Board, IReadOnlyList<Polygon>> underBlock)
    {
        // the two poses tell how the boards' frames lie to each other
        var pairs = b.Points.Points.Select(p => (p.At, a.Pose.Apply(Inverse(b.Pose, p.At)))).ToList();
        if (pairs.Count == 0)
            return false;
        var pose = RigidFit.Fit(pairs);
        if (Math.Abs(pose.XMm) < 0.5 && Math.Abs(pose.YMm) < 0.5 && Math.Abs(pose.RotationDeg) < 0.5)
            pose = Placement.Identity;
        var differences = Differences.Places(
            b.Points.Points,
            a.Points.Points,
            pose,
            pose == Placement.Identity ? 0.1 : 0.5
        );
        return !differences.Exists(d => Matters(d.At, a.Board, underBlock));
    }

    private static Point2 Inverse(Placement pose, Point2 p) =>
        (p - new Point2(pose.XMm, pose.YMm)).Turned(-pose.Radians);

    private static TwinCandidate Describe(
        Judgement j,
        double chance,
        List<string> twins,
        Constellation seen,
        double reachMm,
        Func<Board, IReadOnlyList<Polygon>> underBlock
    )
    {
        var all = Differences.Between(
            seen.Points,
            j.Points.Points,
            j.Pose,
            reachMm,
            $"{j.Board.Model} {j.Board.Revision}"
        );
        var under = all.Where(d => Matters(d.At, j.Board, underBlock)).ToList();
        return new(j.Board.Id, chance, j.Pose, under, [.. all.Except(under)], twins, j.Met, seen.Points.Count, j.RmsMm);
    }

    private static bool Matters(Point2 at, Board board, Func<Board, IReadOnlyList<Polygon>> underBlock) =>
        underBlock(board).Any(a => a.Contains(at));

    /// <summary>
    /// Areas that matter, looked up once a board: as given, or the hull of its holes and cooled parts.
    /// </summary>
    private static Func<Board, IReadOnlyList<Polygon>> Areas(Func<Board, IReadOnlyList<Polygon>> given)
    {
        var known = new Dictionary<string, IReadOnlyList<Polygon>>();
        return board =>
            known.TryGetValue(board.Id, out var a)
                ? a
                : known[board.Id] = given(board) is { Count: > 0 } areas ? areas : Hull(board);
    }

    private static IReadOnlyList<Polygon> Hull(Board board) =>
        ConvexHull.Create([
            .. board.Holes.Where(h => h.Role != HoleRole.Bracket).Select(h => h.At),
            .. board.Parts.Where(p => p.Cool != Cooling.No).SelectMany(p => p.Corners()),
        ])
            is { } hull
            ? [hull]
            : [];
}
