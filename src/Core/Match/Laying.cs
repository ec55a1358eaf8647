using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Match;

/// <summary>
/// Where a block goes. From where it stands if its holes meet the board's there; else every placement that lays its
/// screws on holes is looked at: without a clash first, then by the heat its lands cover, then by the least miss.
/// </summary>
public static class Laying
{
    /// <summary>Placements kept of one block on one board.</summary>
    private const int MaxPlacements = 24;

    /// <summary>The placement to judge; one that does not go through where none does.</summary>
    public static Laid Best(Board board, Block block, FitSettings settings)
    {
        if (Through(board, block, settings) is { Count: > 0 } through)
            return through[0];
        List<BlockHole> holes = [.. block.Plates.SelectMany(p => p.Holes)];
        return block
            .Rotations.DefaultIfEmpty(0)
            .Select(turn => Laid.On(board, block, HoleAlignment.Align(board, holes, turn), settings))
            .MinBy(l =>
                (l.Alignment.Fits ? 0 : 1, l.Clashes.Count, l.Uncovered.Count, Math.Round(l.Alignment.Ratio, 6))
            )!;
    }

    /// <summary>
    /// Every placement in which all required screws go through, the one to take first; empty when there is none.
    /// </summary>
    /// <param name="everywhere">Also those away from where the block stands, when it goes through there.</param>
    public static IReadOnlyList<Laid> Through(Board board, Block block, FitSettings settings, bool everywhere = false)
    {
        List<BlockHole> holes = [.. block.Plates.SelectMany(p => p.Holes)];
        var turns = block.Rotations.DefaultIfEmpty(0).ToList();
        var standing = turns
            .Select(turn => HoleAlignment.Standing(board, holes, turn))
            .Where(a => a.Fits)
            .Select(a => Laid.On(board, block, a, settings))
            .OrderBy(l => l.Clashes.Count)
            .ThenBy(l => l.Uncovered.Count)
            .ThenBy(l => Math.Round(l.Alignment.Ratio, 6))
            .ToList();
        if (standing.Count > 0 && !everywhere || !holes.Exists(h => h.Required))
            return standing;
        var known = standing.Select(l => l.Alignment).ToList();
        foreach (var found in turns.SelectMany(turn => HoleAlignment.Search(board, holes, turn)))
            if (!known.Exists(k => SameHoles(k, found)))
                known.Add(found);
        var searched = known
            .Skip(standing.Count)
            .Select(a => Laid.On(board, block, a, settings))
            .OrderBy(l =>
                // where nothing fixes its height nothing can be said to clash
                l.Plates.Exists(p => p.PlaneMm is null)
                    ? 2
                : l.Clashes.Count > 0 ? 1
                : 0
            )
            .ThenByDescending(l => Math.Round(l.Covered.Watts, 6))
            .ThenByDescending(l => l.Covered.Parts)
            .ThenBy(l => Math.Round(l.Alignment.Ratio, 6));
        return [.. standing.Concat(searched).Take(MaxPlacements)];
    }

    private static bool SameHoles(Alignment a, Alignment b) =>
        a.Screws.Select(s => s.BoardHole).SequenceEqual(b.Screws.Select(s => s.BoardHole));
}
