using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Identify;

namespace FaithfulBracket.Server.Shop;

/// <summary>What the index of boards is made of.</summary>
internal sealed record TwinIndexState(int Boards, double Megabytes, int WaitingToMerge);

/// <summary>The index of boards for telling twins: a large part that stays, and a small one for what came since.</summary>
internal sealed class TwinLibrary(ShopMemory shop)
{
    private const int LeastMerged = 500;

    private readonly Lock _gate = new();
    private IReadOnlyDictionary<string, Board>? _of;
    private Dictionary<string, Board> _inMain = [];
    private TwinIndex _main = TwinIndex.Build([]),
        _recent = TwinIndex.Build([]);

    /// <summary>Indexes that together hold the library as it is now.</summary>
    public IReadOnlyList<TwinIndex> Indexes(CancellationToken cancel = default)
    {
        lock (_gate)
        {
            var boards = shop.Boards;
            if (ReferenceEquals(boards, _of))
                return [_main, _recent];
            var changed = boards.Values.Where(b => !ReferenceEquals(_inMain.GetValueOrDefault(b.Id), b)).ToList();
            if (changed.Count > Math.Max(LeastMerged, _inMain.Count / 10))
                (_main, _recent, _inMain) = (Build(boards.Values, cancel), Build([], cancel), new(boards));
            else
                _recent = Build(changed, cancel);
            _of = boards;
            return [_main, _recent];
        }
    }

    public TwinIndexState Rebuild(CancellationToken cancel)
    {
        lock (_gate)
        {
            var boards = shop.Boards;
            (_main, _recent, _inMain, _of) = (Build(boards.Values, cancel), Build([], cancel), new(boards), boards);
            return State();
        }
    }

    public TwinIndexState State() =>
        new(_main.Ids.Count + _recent.Ids.Count, (_main.Bytes + _recent.Bytes) / 1048576.0, _recent.Ids.Count);

    /// <summary>The board by id, unless it is an older copy inside the large index.</summary>
    public Board? Find(string id) => shop.Boards.GetValueOrDefault(id);

    /// <summary>Outlines of the blocks that are meant for a board or seat on it.</summary>
    public IReadOnlyList<Polygon> UnderBlock(Board board, CancellationToken cancel)
    {
        var areas = new List<Polygon>();
        foreach (var block in shop.Blocks.Values)
        {
            cancel.ThrowIfCancellationRequested();
            var declared = block.DeclaredFor.Any(d => d.BoardCode == board.BoardCode);
            // in a large library only the makers' statements are followed up
            if (!declared && (shop.Blocks.Count > 200 || !MayFit(board, block)))
                continue;
            var fit = Fit.Judge(board with { PositionSigmaMm = 0 }, block, cancel: cancel);
            if (fit.Verdict is Verdict.Clashes && !declared)
                continue;
            areas.AddRange(block.Plates.Where(p => p.Face == Face.Front).Select(p => fit.Placement.Apply(p.Outline)));
        }
        return areas;
    }

    /// <summary>A cheap look first: a block with more required screws than the board has holes can't go on.</summary>
    private static bool MayFit(Board board, Block block) =>
        block.Plates.Where(p => p.Board is null || p.Board == board.Id).Sum(p => p.Holes.Count(h => h.Required))
        <= board.Holes.Count;

    private static TwinIndex Build(IEnumerable<Board> boards, CancellationToken cancel) =>
        TwinIndex.Build([.. boards.Select(b => (b.Id, Constellation.Of(b)))], cancel);
}
