using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match;

/// <summary>
/// The plates of a block that lie on one board, and where they lie: what every later station calculates from, so that plan, what-if and
/// computing calls have one answer.
/// </summary>
/// <param name="Block">With only the plates, and the back plate, of this board.</param>
public sealed record LaidBlock(Board Board, Block Block, Placement Placement)
{
    /// <summary>The block's plates for this board where it stands best.</summary>
    public static LaidBlock Create(Board board, Block block, FitSettings? settings = null)
    {
        var own = Plates(Orders.CarrierOrder.On(block, board), p => p.Board is null || p.Board == board.Id);
        return new(board, own, Laying.Best(board, own, settings ?? new()).Alignment.Placement);
    }

    /// <summary>Every part that a land of the block, or of its back plate, meets, with that land.</summary>
    public IEnumerable<Pairing> Pairings() =>
        Block
            .Plates.Select(p => (p.Face, p.Lands))
            .Append((Face.Back, Block.BackPlate?.Lands ?? []))
            .SelectMany(x => LandPairing.Pair(ExposedParts.For(Board, Block, x.Item1), x.Item2, Placement))
            .Where(p => p.Share >= LandPairing.MinShare);

    /// <summary>Parts that a land meets: the faces that have to be clean.</summary>
    public IReadOnlySet<string> Contacts() => Pairings().Select(p => p.Part.Id).ToHashSet();

    /// <summary>The block with only the plates asked for, and its back plate where one of them carries it.</summary>
    public static Block Plates(Block block, Func<Plate, bool> belongs)
    {
        var plates = block.Plates.Where(belongs).Select(p => p.Board is null ? p : p with { Board = null }).ToList();
        if (plates.Count == block.Plates.Count && block.Plates.All(p => p.Board is null))
            return block;
        var carries =
            block.BackPlate is { } back
            && (back.UsesHoles.Count == 0 || plates.SelectMany(p => p.Holes).Any(h => back.UsesHoles.Contains(h.Id)));
        return block with { Plates = plates, BackPlate = carries ? block.BackPlate : null };
    }
}
