using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match;

/// <summary>How one screw of the block meets the board.</summary>
/// <param name="BoardHole">Null when no hole lies within the capture radius.</param>
/// <param name="MissMm">Distance between screw and hole centre line at the placement, mm.</param>
/// <param name="SlackMm">(hole Ø − screw Ø)/2, mm.</param>
public sealed record ScrewFit(string BlockHole, string? BoardHole, double? MissMm, double? SlackMm, bool Required)
{
    /// <summary>Whether the screw goes through.</summary>
    public bool Passes => BoardHole is not null && MissMm <= SlackMm + 1e-9;
}

/// <summary>The block laid on the board's holes.</summary>
/// <param name="Ratio">Largest miss/slack over the required screws; at most 1 when it fits mechanically.</param>
public sealed record Alignment(
    Placement Placement,
    double Ratio,
    IReadOnlyList<ScrewFit> Screws,
    IReadOnlyList<HolePair> RequiredPairs
)
{
    /// <summary>Whether every required screw goes through.</summary>
    public bool Fits => Screws.All(s => !s.Required || s.Passes);
}

/// <summary>Finds which board hole each screw of the block meets, and the placement that does it best.</summary>
public static class HoleAlignment
{
    /// <summary>A screw looks for its hole within this distance, mm.</summary>
    public const double CaptureMm = 2.0;

    /// <summary>The best alignment for one allowed turn.</summary>
    public static Alignment Align(Board board, IReadOnlyList<BlockHole> holes, double rotationDeg)
    {
        var solved = new List<(int[] Partners, Alignment Alignment)>();
        var atOrigin = Refine(board, holes, new(0, 0, rotationDeg), solved);
        if (holes.Count == 0 || atOrigin.Fits)
            return atOrigin;
        var best = atOrigin;
        foreach (var start in ShiftedStarts(board, holes, rotationDeg))
        {
            if (IsWorse(board, holes, start, best))
                continue;
            var candidate = Refine(board, holes, start, solved);
            if (
                Missing(candidate) < Missing(best)
                || Missing(candidate) == Missing(best) && candidate.Ratio < best.Ratio - 1e-6
            )
                best = candidate;
            if (best.Fits)
                break;
        }
        return best;
    }

    /// <summary>The alignment from where the block stands, turned by one allowed turn.</summary>
    public static Alignment Standing(Board board, IReadOnlyList<BlockHole> holes, double rotationDeg) =>
        Refine(board, holes, new(0, 0, rotationDeg), []);

    /// <summary>
    /// Every alignment at one allowed turn in which all required screws go through: the first required screw laid on each hole in
    /// turn, and only those looked at where every other required screw finds a hole in reach.
    /// </summary>
    public static IEnumerable<Alignment> Search(Board board, IReadOnlyList<BlockHole> holes, double rotationDeg)
    {
        var turn = rotationDeg * Math.PI / 180;
        var required = holes.Where(h => h.Required).ToList();
        var solved = new List<(int[] Partners, Alignment Alignment)>();
        foreach (var hole in board.Holes.Where(h => h.DiameterMm >= required[0].ScrewMm - 1e-9))
        {
            var shift = hole.At - required[0].At.Turned(turn);
            var start = new Placement(shift.X, shift.Y, rotationDeg);
            if (
                !required.TrueForAll(s =>
                    Nearest(board.Holes.Count, j => Distance(board.Holes[j], start.Apply(s.At))) >= 0
                )
            )
                continue;
            var found = Refine(board, holes, start, solved);
            if (found.Fits)
                yield return found;
        }
    }

    private const int BoundRounds = 8;

    /// <summary>
    /// Whether the pairs a start catches can't beat what is known: no fewer screws without a hole, and a proven
    /// larger ratio.
    /// </summary>
    private static bool IsWorse(Board board, IReadOnlyList<BlockHole> holes, Placement start, Alignment best)
    {
        var partners = Partners(board, holes, start);
        var missing = 0;
        for (var i = 0; i < holes.Count; i++)
            if (holes[i].Required && partners[i] < 0)
                missing++;
        return missing >= Missing(best)
            && PlacementBound.LowerBound(
                [.. Pairs(board, holes, partners, requiredOnly: true)],
                start.RotationDeg,
                BoundRounds
            ) >= best.Ratio;
    }

    private static int Missing(Alignment a) => a.Screws.Count(s => s.Required && s.BoardHole is null);

    /// <summary>Placements that lay one required screw on one board hole, those that catch most screws first.</summary>
    private static List<Placement> ShiftedStarts(Board board, IReadOnlyList<BlockHole> holes, double rotationDeg)
    {
        var required = holes.Where(h => h.Required).DefaultIfEmpty(holes[0]).ToList();
        var turned = required.ConvertAll(h => h.At.Turned(rotationDeg * Math.PI / 180));
        var starts = new List<(int Caught, double Miss, Placement Start)>();
        foreach (var anchor in turned.Take(3))
        {
            foreach (var hole in board.Holes)
            {
                var shift = hole.At - anchor;
                var caught = 0;
                var miss = 0.0;
                foreach (var p in turned)
                {
                    var nearest = double.PositiveInfinity;
                    foreach (var h in board.Holes)
                        nearest = Math.Min(nearest, (h.At - p - shift).Length);
                    if (nearest > CaptureMm)
                        continue;
                    caught++;
                    miss += nearest;
                }
                starts.Add((caught, miss, new(shift.X, shift.Y, rotationDeg)));
            }
        }
        return [.. starts.OrderByDescending(s => s.Caught).ThenBy(s => s.Miss).Take(4).Select(s => s.Start)];
    }

    /// <param name="solved">Pairings whose best placement is known already.</param>
    private static Alignment Refine(
        Board board,
        IReadOnlyList<BlockHole> holes,
        Placement start,
        List<(int[] Partners, Alignment Alignment)> solved
    )
    {
        var placement = start;
        var ratio = 0.0;
        int[] partner = [];
        var required = new List<HolePair>();
        for (var round = 0; round < 3; round++)
        {
            var next = Partners(board, holes, placement);
            if (partner.AsSpan().SequenceEqual(next))
                break;
            partner = next;
            foreach (var (known, alignment) in solved)
                if (known.AsSpan().SequenceEqual(partner))
                    return alignment;
            required = Pairs(board, holes, partner, requiredOnly: true);
            if (required.Count == 0)
                required = Pairs(board, holes, partner, requiredOnly: false);
            (placement, ratio) =
                required.Count == 0 ? (start, 0) : MinimaxPlacement.Solve([.. required], start.RotationDeg);
        }
        var screws = holes.Select((h, i) => Screw(board, h, partner[i], placement)).ToList();
        var result = new Alignment(placement, ratio, screws, required);
        solved.Add((partner, result));
        return result;
    }

    private static ScrewFit Screw(Board board, BlockHole hole, int partner, Placement placement)
    {
        if (partner < 0)
            return new(hole.Id, null, null, null, hole.Required);
        var pair = PairOf(board.Holes[partner], hole);
        return new(hole.Id, board.Holes[partner].Id, pair.Miss(placement).Length, pair.SlackMm, hole.Required);
    }

    private static List<HolePair> Pairs(Board board, IReadOnlyList<BlockHole> holes, int[] partner, bool requiredOnly)
    {
        var pairs = new List<HolePair>();
        for (var i = 0; i < holes.Count; i++)
            if (partner[i] >= 0 && (holes[i].Required || !requiredOnly))
                pairs.Add(PairOf(board.Holes[partner[i]], holes[i]));
        return pairs;
    }

    private static HolePair PairOf(BoardHole hole, BlockHole screw) =>
        new(screw.At, hole.At, (hole.DiameterMm - screw.ScrewMm) / 2, hole.SlotMm / 2, hole.SlotDeg * Math.PI / 180);

    /// <summary>Mutual nearest neighbours within the capture radius; −1 where there is none.</summary>
    private static int[] Partners(Board board, IReadOnlyList<BlockHole> holes, Placement placement)
    {
        var toBoard = new int[holes.Count];
        var at = new Point2[holes.Count];
        for (var i = 0; i < holes.Count; i++)
            at[i] = placement.Apply(holes[i].At);
        for (var i = 0; i < holes.Count; i++)
            toBoard[i] = Nearest(board.Holes.Count, j => Distance(board.Holes[j], at[i]));
        for (var i = 0; i < holes.Count; i++)
        {
            var j = toBoard[i];
            if (j >= 0 && Nearest(holes.Count, k => Distance(board.Holes[j], at[k])) != i)
                toBoard[i] = -1;
        }
        return toBoard;
    }

    private static double Distance(BoardHole hole, Point2 p)
    {
        if (hole.SlotMm <= 0)
            return (p - hole.At).Length;
        var reach = new Point2(hole.SlotMm / 2, 0).Turned(hole.SlotDeg * Math.PI / 180);
        return Polygon.DistanceToSegment(p, hole.At - reach, hole.At + reach);
    }

    private static int Nearest(int count, Func<int, double> distance)
    {
        int best = -1;
        var least = CaptureMm;
        for (var i = 0; i < count; i++)
        {
            var d = distance(i);
            if (d <= least)
                (best, least) = (i, d);
        }
        return best;
    }
}
