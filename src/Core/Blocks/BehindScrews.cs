using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Blocks;

/// <summary>Which of a block's screws wait for something behind the board.</summary>
public static class BehindScrews
{
    /// <summary>
    /// Screws that stay out until a back plate is on. A stock plate that the die ring itself goes through lies under the board from the
    /// start: its screws wait for nothing.
    /// </summary>
    public static IReadOnlySet<string> Held(Block block) =>
        (block.BackPlate?.UsesHoles ?? [])
            .Concat(block.StockPlates.Where(p => !FromStart(block, p)).SelectMany(p => p.UsesHoles))
            .ToHashSet();

    /// <summary>Whether a stock plate has to lie behind the board before the first screw.</summary>
    public static bool FromStart(Block block, StockPlate plate) =>
        plate.Pair is null
        && block
            .Plates.SelectMany(p => p.Holes)
            .Any(h => h.Role == HoleRole.Retention && plate.UsesHoles.Contains(h.Id));

    /// <summary>Screws whose place another pair's screws take: the block has none of its own there.</summary>
    public static IReadOnlySet<string> OfOthers(Block block) =>
        block.StockPlates.Where(p => p.Pair is not null).SelectMany(p => p.UsesHoles).ToHashSet();
}
