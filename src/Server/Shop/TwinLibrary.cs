using System.Collections.Concurrent;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Identify;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Shop;

/// <summary>What the index of boards is made of.</summary>
/// <param name="Unindexed">Boards that are read or indexed in the background just now.</param>
internal sealed record TwinIndexState(int Boards, double Megabytes, int WaitingToMerge, int Unindexed);

/// <summary>
/// The index of boards for telling twins: a large part that stays, and a small one for what came since.
/// </summary>
internal sealed class TwinLibrary(LibraryCache shop, [FromKeyedServices("board")] Store.Library library)
{
    private const int MinMerged = 500;

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
            var boards = shop.BoardsInUse;
            if (ReferenceEquals(boards, _of))
                return [_main, _recent];
            var changed = boards.Values.Where(b => !ReferenceEquals(_inMain.GetValueOrDefault(b.Id), b)).ToList();
            if (changed.Count > Math.Max(MinMerged, _inMain.Count / 10))
                (_main, _recent, _inMain) = (Build(boards.Values, cancel), Build([], cancel), new(boards));
            else
                _recent = Build(changed, cancel);
            _of = boards;
            return [_main, _recent];
        }
    }

    /// <summary>Boards that are indexed while a page waits.</summary>
    private const int Few = 200;

    /// <summary>Brings the index up to date where that is soon done; else the background is at it.</summary>
    public void IndexFew(CancellationToken cancel)
    {
        if (library.Count() - State().Boards is <= Few && _gate.TryEnter(Soon))
            try
            {
                Indexes(cancel);
            }
            finally
            {
                _gate.Exit();
            }
    }

    private static readonly TimeSpan Soon = TimeSpan.FromMilliseconds(300);

    public TwinIndexState Rebuild(CancellationToken cancel)
    {
        lock (_gate)
        {
            var boards = shop.BoardsInUse;
            (_main, _recent, _inMain, _of) = (Build(boards.Values, cancel), Build([], cancel), new(boards), boards);
            return State();
        }
    }

    public TwinIndexState State()
    {
        var (main, recent) = (_main, _recent);
        var boards = main.Ids.Concat(recent.Ids).Distinct().Count();
        return new(
            boards,
            (main.Bytes + recent.Bytes) / 1048576.0,
            recent.Ids.Count,
            Math.Max(0, library.Count() - boards)
        );
    }

    /// <summary>The board by id, unless it is an older copy inside the large index.</summary>
    public Board? Find(string id) => shop.Boards.GetValueOrDefault(id);

    /// <summary>Outlines under blocks of one state of the library, by board.</summary>
    private sealed record KnownAreas(
        IReadOnlyDictionary<string, Block> Blocks,
        ConcurrentDictionary<Board, IReadOnlyList<Polygon>> Of
    );

    private const int MaxKnown = 5000;
    private volatile KnownAreas? _areas;

    /// <summary>
    /// Outlines of the blocks that are meant for a board or seat on it; looked up once until blocks change.
    /// </summary>
    public IReadOnlyList<Polygon> UnderBlock(Board board, CancellationToken cancel)
    {
        var known = _areas;
        if (known is null || !ReferenceEquals(known.Blocks, shop.BlocksInUse) || known.Of.Count > MaxKnown)
            _areas = known = new(shop.BlocksInUse, new(ReferenceEqualityComparer.Instance));
        return known.Of.TryGetValue(board, out var areas) ? areas : known.Of[board] = Areas(board, cancel);
    }

    private List<Polygon> Areas(Board board, CancellationToken cancel)
    {
        var areas = new List<Polygon>();
        foreach (var block in shop.BlocksInUse.Values)
        {
            cancel.ThrowIfCancellationRequested();
            var declared = block.DeclaredFor.Any(d => d.BoardCode == board.BoardCode);
            // in a large library only the makers' statements are followed up
            if (!declared && (shop.BlocksInUse.Count > 200 || !MayFit(board, block)))
                continue;
            var fit = Fit.Judge(board with { PositionSigmaMm = 0 }, block, cancel: cancel);
            if (fit.Verdict is Verdict.Clashes && !declared)
                continue;
            areas.AddRange(block.Plates.Where(p => p.Face == Face.Front).Select(p => fit.Placement.Apply(p.Outline)));
        }
        return areas;
    }

    /// <summary>A cheap look first: a block whose required screws cannot all have a hole does not go on.</summary>
    private static bool MayFit(Board board, Block block) => FitScan.MayPair(board, block);

    private static TwinIndex Build(IEnumerable<Board> boards, CancellationToken cancel) =>
        TwinIndex.Build([.. boards.Select(b => (b.Id, Constellation.From(b)))], cancel);
}
