using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Match;

/// <summary>The plates of a pair that lie on one board, laid.</summary>
/// <param name="Block">With only those plates.</param>
internal sealed record LaidOn(Workpiece Piece, Pair Pair, Block Block, Laid Laid);

/// <summary>
/// Where every block of an order goes: two blocks never take the same holes, and lie clear of each other where that is
/// possible. Pairs are placed in their order; a later pair that finds nothing sends an earlier one to its next place.
/// </summary>
internal static class OrderPlacement
{
    /// <summary>Combinations of placements looked at before the best so far is taken.</summary>
    private const int MaxTried = 20_000;

    private sealed record Group(Workpiece Piece, Pair Pair, Block Block);

    private sealed record Option(Laid Laid, HashSet<string> Holes, List<Polygon> Outlines, bool Behind);

    public static IReadOnlyList<LaidOn> Place(WorkOrder order, FitSettings settings, CancellationToken cancel)
    {
        var groups = order.Pairs.SelectMany(pair => Groups(order, pair)).ToList();
        var laid = new List<LaidOn>();
        // boards know nothing of each other's holes
        foreach (var board in groups.GroupBy(g => g.Piece.Key))
            laid.AddRange(OnOneBoard([.. board], settings, cancel));
        return [.. groups.Select(g => laid.First(l => l.Pair.Key == g.Pair.Key && l.Piece.Key == g.Piece.Key))];
    }

    private static IEnumerable<Group> Groups(WorkOrder order, Pair pair) =>
        pair.BoardKeys(order)
            .Select(key => new Group(
                order.Find(key)!,
                pair,
                LaidBlock.Plates(pair.Block, p => order.KeyOf(pair, p) == key)
            ));

    private static IEnumerable<LaidOn> OnOneBoard(List<Group> groups, FitSettings settings, CancellationToken cancel)
    {
        if (groups.Count == 1)
            return [Laid(groups[0], Laying.Best(groups[0].Piece.Board, groups[0].Block, settings))];
        var staying = groups.Select((g, i) => Options(g, groups.Take(i), settings)).ToList();
        cancel.ThrowIfCancellationRequested();
        var chosen =
            Choose(staying, clear: true, left: 0)
            ?? Choose(staying, clear: false, left: 0)
            ?? Choose(groups.ConvertAll(g => Everywhere(g, settings)));
        return groups.Select((g, i) => Laid(g, chosen[i]?.Laid ?? Left(g, groups, chosen, i, settings)));
    }

    /// <summary>
    /// Where a block may go while each can have a place. One whose holes meet where its parts are stays there,
    /// whatever others need; only a second one of the same document looks for a place of its own.
    /// </summary>
    private static List<Option> Options(Group g, IEnumerable<Group> earlier, FitSettings settings)
    {
        var standing = Laying.Through(g.Piece.Board, g.Block, settings);
        var stays =
            standing is [var first, ..]
            && first.Covered.Parts > 0
            && !earlier.Any(e => e.Pair.Block.Id == g.Pair.Block.Id);
        return stays ? AsOptions(g, standing) : Everywhere(g, settings);
    }

    private static List<Option> Everywhere(Group g, FitSettings settings) =>
        AsOptions(g, Laying.Through(g.Piece.Board, g.Block, settings, everywhere: true));

    private static List<Option> AsOptions(Group g, IReadOnlyList<Laid> through) =>
        [.. through.Select(l => new Option(l, Taken(l), Outlines(g.Block, l), g.Block.Kind == BlockKind.BackPlate))];

    private static LaidOn Laid(Group g, Laid laid) => new(g.Piece, g.Pair, g.Block, laid);

    /// <summary>A block that finds no place of its own is judged on the holes that the others leave.</summary>
    private static Laid Left(Group g, List<Group> groups, Option?[] chosen, int at, FitSettings settings)
    {
        var behind = g.Block.Kind == BlockKind.BackPlate;
        var taken = chosen
            .Where((c, i) => c is not null && i != at && c.Behind == behind)
            .SelectMany(c => c!.Holes)
            .ToHashSet();
        var board = g.Piece.Board with { Holes = [.. g.Piece.Board.Holes.Where(h => !taken.Contains(h.Id))] };
        return Laying.Best(taken.Count > 0 && groups.Count > 1 ? board : g.Piece.Board, g.Block, settings);
    }

    private static HashSet<string> Taken(Laid l) =>
        [.. l.Alignment.Screws.Where(s => s.Passes).Select(s => s.BoardHole!)];

    private static List<Polygon> Outlines(Block block, Laid l) =>
        block.Plates.ConvertAll(p => l.Alignment.Placement.Apply(p.Outline));

    private static List<T> ConvertAll<TIn, T>(this IReadOnlyList<TIn> list, Func<TIn, T> one) => [.. list.Select(one)];

    /// <summary>
    /// All pairs clear of each other; else all on holes of their own; else as many as find holes of their own.
    /// </summary>
    private static Option?[] Choose(List<List<Option>> options)
    {
        for (var left = 0; left < options.Count; left++)
            if ((Choose(options, clear: true, left) ?? Choose(options, clear: false, left)) is { } found)
                return found;
        return new Option?[options.Count];
    }

    /// <summary>
    /// The first combination, in the order of the options, in which no hole is taken twice; a pair without options is
    /// passed over.
    /// </summary>
    /// <param name="clear">Whether outlines on one face may not overlap either.</param>
    /// <param name="left">How many pairs that have options may be left without a place; the last ones are.</param>
    private static Option?[]? Choose(List<List<Option>> options, bool clear, int left)
    {
        var chosen = new Option?[options.Count];
        var budget = MaxTried;
        bool Go(int at, int mayLeave)
        {
            if (at == options.Count)
                return true;
            if (options[at].Count == 0)
                return Go(at + 1, mayLeave);
            foreach (var option in options[at])
            {
                if (--budget < 0)
                    return false;
                var meets = false;
                for (var k = 0; k < at && !meets; k++)
                    meets =
                        chosen[k] is { } other
                        // a cooled back plate's screws go through the holes of the front block
                        && (
                            other.Behind == option.Behind && other.Holes.Overlaps(option.Holes)
                            || clear && Overlap(other, option)
                        );
                if (meets)
                    continue;
                chosen[at] = option;
                if (Go(at + 1, mayLeave))
                    return true;
                chosen[at] = null;
            }
            return mayLeave > 0 && Go(at + 1, mayLeave - 1);
        }
        return Go(0, left) ? chosen : null;
    }

    private static bool Overlap(Option a, Option b)
    {
        for (var i = 0; i < a.Outlines.Count; i++)
        for (var j = 0; j < b.Outlines.Count; j++)
            if (
                a.Laid.Plates[i].Plate.Face == b.Laid.Plates[j].Plate.Face
                && PolygonOverlap.Area(a.Outlines[i], b.Outlines[j]) > Between.MaxOverlapMm2
            )
                return true;
        return false;
    }
}
