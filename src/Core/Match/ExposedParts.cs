using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Match;

/// <summary>Which parts a block meets: with the lid on, the lid; for a direct-die block, the dies under it. Empty sites never.</summary>
public static class ExposedParts
{
    /// <summary>Those whose height is known.</summary>
    public static IEnumerable<Part> Measured(Board board, Block block, Face face) =>
        For(board, block, face).Where(p => !p.HeightUnknown);

    public static IEnumerable<Part> For(Board board, Block block, Face face)
    {
        var bare = block.Kind == BlockKind.DirectDie;
        var lids = board.Parts.Where(p => p.Kind == PartKind.Lid).Select(p => p.Id).ToHashSet();
        return board.Parts.Where(p =>
            p.Face == face
            && p.Kind != PartKind.Empty
            && (bare ? p.Kind != PartKind.Lid : p.Under is null || !lids.Contains(p.Under))
        );
    }
}
