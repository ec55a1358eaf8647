using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Match;

namespace FaithfulBracket.Server.Shop;

/// <summary>
/// Cold plates that were calculated, by what they are calculated from and the flow: a plan made anew on the same
/// documents, or a slider that comes back, finds its plate here.
/// </summary>
internal sealed class PlateMemory
{
    /// <summary>Plates kept: the flows of a slider. A factored plate of 15,000 cells takes some 12 MB.</summary>
    private const int MaxKept = 16;

    private readonly Lock _lock = new();
    private readonly LinkedList<(Key Key, BlockHeat Heat)> _kept = [];

    /// <summary>Documents are immutable: the same board and plates are the same instances.</summary>
    private sealed record Key(
        Board Board,
        IReadOnlyList<Plate> Plates,
        ColdPlate? ColdPlate,
        FlowCurve? Curve,
        BlockKind Kind,
        Placement Placement,
        double FlowLMin
    )
    {
        public bool Same(Key o) =>
            ReferenceEquals(Board, o.Board)
            && ReferenceEquals(Plates, o.Plates)
            && ReferenceEquals(ColdPlate, o.ColdPlate)
            && Equals(Curve, o.Curve)
            && (Kind, Placement, FlowLMin).Equals((o.Kind, o.Placement, o.FlowLMin));
    }

    /// <exception cref="Core.InputException">See <see cref="BlockHeat"/>.</exception>
    public BlockHeat Compute(LaidBlock laid, double flowLMin, CancellationToken cancel)
    {
        var (board, block, placement) = laid;
        var key = new Key(board, block.Plates, block.ColdPlate, block.Flow, block.Kind, placement, flowLMin);
        lock (_lock)
            for (var node = _kept.First; node is not null; node = node.Next)
                if (node.Value.Key.Same(key))
                {
                    _kept.Remove(node);
                    _kept.AddFirst(node);
                    return node.Value.Heat.On(laid);
                }
        var heat = BlockHeat.Compute(laid, null, flowLMin, cancel);
        lock (_lock)
        {
            _kept.AddFirst((key, heat));
            if (_kept.Count > MaxKept)
                _kept.RemoveLast();
        }
        return heat;
    }
}
