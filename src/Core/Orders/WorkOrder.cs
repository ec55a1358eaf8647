using System.Text.Json.Serialization;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Orders;

/// <summary>A board lying on the mat.</summary>
/// <param name="Key">Its name within the order, A for the first.</param>
/// <param name="Pose">How it sits to the first board of its card; null for the first and for a board on its own.</param>
public sealed record Workpiece(string Key, Board Board, BoardPose? Pose = null)
{
    /// <summary>The processor in its socket; null for a board that is worked on as it is.</summary>
    public SeatedProcessor? Seated { get; init; }

    /// <summary>A point of this board in the frame of the first board of its card.</summary>
    public Point2 InFirst(Point2 p) =>
        Pose is not { } pose ? p : new(pose.Flipped ? pose.XMm - p.X : pose.XMm + p.X, pose.YMm + p.Y);
}

/// <summary>A block laid on one or more of the order's boards, plate by plate.</summary>
/// <param name="Key">Its letter within the order.</param>
/// <param name="On">Key of its board, where its plates name none; null takes the first.</param>
public sealed record Pair(string Key, Block Block, string? On = null)
{
    /// <summary>The block with every kit it is sold with; null where the whole block is laid.</summary>
    [JsonIgnore]
    public Block? AsSold { get; init; }

    /// <summary>Letters of pairs begin here, so that they are never a board's.</summary>
    public const string FirstKey = "P";

    /// <summary>The boards its plates lie on, in plate order.</summary>
    public IReadOnlyList<string> BoardKeys(WorkOrder order) =>
        [.. Block.Plates.Select(p => order.KeyOf(this, p)).OfType<string>().Distinct()];
}

/// <summary>What a job is about: boards on the mat and blocks laid on them. One board and one block is the plain case.</summary>
public sealed record WorkOrder
{
    /// <summary>Most boards and most blocks of one order.</summary>
    public const int MaxPieces = 24,
        MaxPairs = 24;

    public required IReadOnlyList<Workpiece> Pieces { get; init; }
    public IReadOnlyList<Pair> Pairs { get; init; } = [];
    public IReadOnlyList<Ribbon> Ribbons { get; init; } = [];

    /// <summary>The stock assembly over all boards of a card; null where each board states its own.</summary>
    public Assembly? Assembly { get; init; }

    /// <summary>What the card says of itself; null for boards of their own.</summary>
    public CardName? Card { get; init; }

    /// <summary>The machine whose cards the boards are, by key; null where they stand in none.</summary>
    public Machine? Machine { get; init; }

    public Workpiece First => Pieces[0];

    public Workpiece? Find(string key) => Pieces.FirstOrDefault(p => p.Key == key);

    /// <summary>The board a plate lies on: the one it names by key or by board id, else its pair's, else the first.</summary>
    /// <returns>Null when it names a board that the order does not have.</returns>
    public string? KeyOf(Pair pair, Plate plate) =>
        plate.Board is { } named
            ? (Find(named) ?? Pieces.FirstOrDefault(p => p.Board.Id == named))?.Key
            : pair.On ?? First.Key;

    /// <summary>The scope of a step: none for the first board or pair, its key for any other.</summary>
    public string? ScopeOf(Workpiece piece) => piece.Key == First.Key ? null : piece.Key;

    public string? ScopeOf(Pair pair) => Pairs.Count > 0 && pair.Key == Pairs[0].Key ? null : pair.Key;

    /// <summary>The scope of a step of a pair on one of its boards.</summary>
    public string? ScopeOf(Pair pair, string board)
    {
        var boards = pair.BoardKeys(this);
        return boards.Count == 0 || boards[0] == board ? ScopeOf(pair) : $"{pair.Key}-{board}";
    }

    /// <summary>A board's or pair's name put behind a sentence where an order has several; nothing in the plain case.</summary>
    public string On(string board) =>
        Pieces.Count <= 1 ? ""
        : Find(board)?.Board.Kind == BoardKind.MemoryModule ? $" on module {board}"
        : $" on board {board}";

    /// <summary>The pairs laid on one board, the block's own plates aside.</summary>
    public IEnumerable<Pair> PairsOn(Workpiece piece) => Pairs.Where(p => (p.On ?? First.Key) == piece.Key);

    /// <summary>One pair for each block that is bought: carriers of several modules come in one box.</summary>
    [JsonIgnore]
    public IReadOnlyList<Pair> Boxes =>
        [.. Pairs.Where((p, i) => p.Block.Carriers.Count == 0 || !Pairs.Take(i).Any(x => x.Block.Id == p.Block.Id))];

    /// <summary>A block as it is said: "the block" in the plain case, by its letter where there are several.</summary>
    public string Name(Pair pair) => Pairs.Count > 1 ? $"block {pair.Key}" : "the block";

    /// <summary>Stock screws that sit in one board.</summary>
    public IReadOnlyList<FastenerGroup> StockScrews(Workpiece piece) =>
        Assembly is { } whole
            ? [.. whole.Fasteners.Where(f => (f.Board ?? First.Key) == piece.Key)]
            : piece.Board.Assembly?.Fasteners ?? [];

    /// <summary>One board and, once chosen, one block.</summary>
    public static WorkOrder Plain(Board board, Block? block = null) =>
        new() { Pieces = [new("A", board)], Pairs = block is null ? [] : [new(Pair.FirstKey, block)] };

    /// <summary>The boards of a card, and blocks on them.</summary>
    public static WorkOrder From(Card card, IReadOnlyList<Pair> pairs) =>
        new()
        {
            Pieces = [.. card.Boards.Select(b => new Workpiece(b.Key, b.Board, b.Pose))],
            Pairs = pairs,
            Ribbons = card.Ribbons,
            Assembly = card.Assembly,
            Card = new(card.Id, card.Maker, card.Model, card.BoardCode, card.Revision),
        };
}

/// <summary>A card as it is called.</summary>
public sealed record CardName(string Id, string Maker, string Model, string BoardCode, string Revision);
