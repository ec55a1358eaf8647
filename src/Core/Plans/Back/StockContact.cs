using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Stock;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Teardown;

namespace FaithfulBracket.Core.Plans.Back;

/// <summary>A pad between a stock piece and a part.</summary>
/// <param name="Mm">As it was found, else as the document says.</param>
internal sealed record StockPad(ThingId Pad, ThingId Face, string Part, double Mm);

/// <summary>Where a stock piece touches a board, and what lies between.</summary>
/// <param name="Board">Key of the board.</param>
/// <param name="Pasted">Faces that take paste.</param>
internal sealed record StockContact(
    ThingId Piece,
    string Board,
    Face Side,
    IReadOnlyList<StockPad> Pads,
    IReadOnlyList<ThingId> Pasted
)
{
    public IEnumerable<ThingId> Faces => Pads.Select(p => p.Face).Concat(Pasted).Distinct();
}

/// <summary>What lies between the stock pieces of an order and its boards.</summary>
internal static class StockContacts
{
    public static IReadOnlyList<StockContact> Find(WorkOrder order, IReadOnlyList<AsFoundPad> asFound)
    {
        var contacts = new List<StockContact>();
        foreach (var piece in TeardownStation.Pieces(order))
            contacts.AddRange(Find(order, piece, asFound));
        return contacts;
    }

    private static IEnumerable<StockContact> Find(WorkOrder order, Workpiece on, IReadOnlyList<AsFoundPad> asFound)
    {
        var assembly = on.Board.Assembly!;
        // parts that somebody measured and no document names lie under the first piece with pads
        var stray = assembly.Pieces.FirstOrDefault(p => Touching(assembly, p).Any(b => b.Kind == BondKind.Pads));
        foreach (var piece in assembly.Pieces)
        foreach (var bonds in Touching(assembly, piece).GroupBy(b => BoardOf(order, on, piece, b)).DefaultIfEmpty(null))
        {
            var key = bonds?.Key ?? TeardownStation.BoardOf(order, on, piece.Id);
            var found = asFound
                .Where(f => (f.Board ?? order.First.Key) == key)
                .GroupBy(f => f.Part)
                .ToDictionary(g => g.Key, g => g.Last().NewMm);
            List<StockPad> pads =
            [
                .. (bonds ?? Enumerable.Empty<Bond>())
                    .Where(b => b.Kind == BondKind.Pads)
                    .SelectMany(b =>
                        b.Parts.Select(part => (Part: part, Mm: found.GetValueOrDefault(part, b.PadMm ?? 0)))
                    )
                    .Where(p => p.Mm > 0)
                    .DistinctBy(p => p.Part)
                    .Select(p => Pad(order, key, piece, p.Part, p.Mm)),
            ];
            if (piece == stray && bonds is not null)
                pads.AddRange(
                    found
                        .Where(f => !assembly.Bonds.Any(b => b.Parts.Contains(f.Key)))
                        .Select(f => Pad(order, key, piece, f.Key, f.Value))
                );
            List<ThingId> pasted =
            [
                .. Pasted(order, assembly, piece, key, bonds).Select(part => Face(order, key, piece, part)),
            ];
            if (pads.Count > 0 || pasted.Count > 0)
                yield return new(
                    new(ThingKind.Piece, TeardownStation.BoardOf(order, on, piece.Id), piece.Id),
                    key,
                    piece.Face,
                    pads,
                    pasted
                );
        }
    }

    /// <summary>Bonds of a piece with a board, no matter which.</summary>
    private static IEnumerable<Bond> Touching(Assembly assembly, Piece piece) =>
        assembly.Bonds.Where(b =>
            b.Between.Contains(piece.Id) && b.Between.All(x => x == piece.Id || assembly.Pieces.All(p => p.Id != x))
        );

    private static string BoardOf(WorkOrder order, Workpiece on, Piece piece, Bond bond) =>
        bond.Board is { } named && order.Find(named) is not null ? named : TeardownStation.BoardOf(order, on, piece.Id);

    /// <summary>
    /// Parts that paste lies on: those that a bond of paste names, dies and lids that clips press; where no bond names
    /// any die, those of the board under the first piece that touches it.
    /// </summary>
    private static IEnumerable<string> Pasted(
        WorkOrder order,
        Assembly assembly,
        Piece piece,
        string key,
        IEnumerable<Bond>? bonds
    )
    {
        var on = order.Find(key)!;
        var board = on.Board;
        // a lid that is to come off is on the processor, and no part of the board any more
        var lids = (on.Seated?.Processor.Parts ?? [])
            .Where(p => p.Kind == PartKind.Lid)
            .Select(p => SeatedBoard.NameOn(on.Seated!, p.Id))
            .ToHashSet();
        bool Known(string part) => lids.Contains(part) || board.FindPart(part) is not null;
        bool Heats(string part) => lids.Contains(part) || board.FindPart(part)?.Kind is PartKind.Die or PartKind.Lid;
        var own = (bonds ?? [])
            .Where(b => b.Kind != BondKind.Pads)
            .SelectMany(b => b.Parts.Where(p => Known(p) && (b.Kind == BondKind.Paste || Heats(p))))
            .Distinct()
            .ToList();
        // a new build has no cooler on its processor
        if (own.Count > 0 || on.Seated is not null || assembly.Bonds.SelectMany(b => b.Parts).Any(Heats))
            return own;
        var first = assembly.Pieces.FirstOrDefault(p => Touching(assembly, p).Any()) ?? Alone(assembly);
        return piece == first
            ? board.Parts.Where(p => p.Face == piece.Face && p.Kind is PartKind.Die or PartKind.Lid).Select(p => p.Id)
            : [];
    }

    /// <summary>Where nothing is bonded, the last front piece that comes off sat on the die.</summary>
    private static Piece? Alone(Assembly assembly) =>
        assembly.Pieces.FirstOrDefault(p => p.Face == Boards.Face.Front && !p.Returns && !p.Stays);

    private static StockPad Pad(WorkOrder order, string board, Piece piece, string part, double mm) =>
        new(
            new(ThingKind.Pad, board, piece.Face == Boards.Face.Back ? $"{part}@back" : part),
            Face(order, board, piece, part),
            part,
            mm
        );

    /// <summary>The part's own face; behind a part of the front, the board there.</summary>
    private static ThingId Face(WorkOrder order, string board, Piece piece, string part)
    {
        var behind =
            piece.Face == Boards.Face.Back && order.Find(board)?.Board.FindPart(part) is { Face: Boards.Face.Front };
        return new(ThingKind.Face, board, behind ? $"{part}@back" : part);
    }
}
