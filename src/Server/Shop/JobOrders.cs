using System.Text.Json;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Teardown;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>A board of a job, by id.</summary>
internal sealed record WorkPiece(string Key, string BoardId);

/// <summary>A block of a job, by id.</summary>
/// <param name="On">Key of its board, where its plates name none.</param>
internal sealed record WorkPair(string Key, string BlockId, string? On = null);

/// <summary>A processor in the socket of one of a job's boards.</summary>
/// <param name="On">Key of the board; null for the first.</param>
/// <param name="Bare">Whether its lid is taken off for good.</param>
/// <param name="TurnDeg">How the block is turned on it, degrees; null takes the best that meets nothing.</param>
internal sealed record WorkSeat(string ProcessorId, string? On = null, bool Bare = false, double? TurnDeg = null);

/// <summary>A job's order as it is kept, where it is more than one board and one block.</summary>
/// <param name="Machine">Id of the machine whose cards the boards are; null where they stand in none.</param>
internal sealed record WorkText(
    IReadOnlyList<WorkPiece>? Pieces = null,
    IReadOnlyList<WorkPair>? Pairs = null,
    WorkSeat? Seat = null,
    string? Machine = null
);

/// <summary>A document that is taken in place of the library's of the same id.</summary>
/// <param name="Value">A board, block, card, socket or machine.</param>
internal sealed record TriedDocument(string Id, object Value);

/// <summary>Puts a job's work order together from its row and the library.</summary>
internal sealed class JobOrders(LibraryCache shop, JobStamps stamps, HeldDocuments held, DocumentVersions versions)
{
    public static WorkText? Work(JobRow row) =>
        row.Work is null ? null : JsonSerializer.Deserialize<WorkText>(row.Work, DocumentJson.Options);

    /// <param name="recorded">What was recorded while stripping; it stands in for what the document does not say.</param>
    /// <param name="settings">Null takes the shop's.</param>
    /// <param name="tried">Null takes every document from the library.</param>
    /// <exception cref="NotFoundException">A document of the job is not in the library.</exception>
    public WorkOrder Create(
        JobRow row,
        Assembly? recorded = null,
        ShopSettings? settings = null,
        TriedDocument? tried = null
    )
    {
        var work = Work(row);
        var kept = new Kept(versions, held.List(row.Id), tried);
        List<Pair> pairs =
        [
            .. (work?.Pairs ?? (row.BlockId is { } only ? [new(Pair.FirstKey, only)] : [])).Select(p => new Pair(
                p.Key,
                kept.Find(shop.Blocks, "block", p.BlockId),
                p.On
            )),
        ];
        var order = row.CardId is { } cardId
            ? WorkOrder.From(kept.Find(shop.Cards, "card", cardId), pairs)
            : new()
            {
                Pieces =
                [
                    .. (work?.Pieces ?? [new("A", row.BoardId!)]).Select(p => new Workpiece(
                        p.Key,
                        kept.Find(shop.Boards, "board", p.BoardId)
                    )),
                ],
                Pairs = pairs,
            };
        if (work?.Machine is { } machine)
            order = order with { Machine = kept.Find(shop.Machines, "machine", machine) };
        order = CarrierOrder.Compose(
            SeatedOrder.Compose(Seated(order, work?.Seat, kept).Without((settings ?? shop.Settings).LoadMargin))
        );
        return recorded is null ? order : StripRecord.With(order, recorded);
    }

    /// <summary>The order with its processor in the socket; on a board that is a processor itself no mainboard is known.</summary>
    private WorkOrder Seated(WorkOrder order, WorkSeat? seat, Kept kept)
    {
        if (seat is null)
            return order;
        var at = order.Find(seat.On ?? order.First.Key) ?? order.First;
        var alone = at.Board.Kind == BoardKind.Processor;
        var processor = alone ? at.Board : kept.Find(shop.Boards, "board", seat.ProcessorId);
        var socketId = (alone ? null : at.Board.Socket) ?? processor.Socket;
        var socket = kept.Find(shop.Sockets, "socket", socketId ?? "");
        var seated = new SeatedProcessor(socket, processor, alone ? null : at.Board, seat.Bare, seat.TurnDeg);
        return order with { Pieces = [.. order.Pieces.Select(p => p.Key == at.Key ? p with { Seated = seated } : p)] };
    }

    /// <summary>The documents of one job: the versions that it rests on.</summary>
    private sealed record Kept(DocumentVersions Versions, IReadOnlyList<HeldDocument> Held, TriedDocument? Tried)
    {
        public T Find<T>(IReadOnlyDictionary<string, T> library, string kind, string id)
            where T : class =>
            Tried is { Value: T value } && Tried.Id == id ? value
            : Held.FirstOrDefault(h => h.Kind == kind && h.Id == id) is { } held ? Versions.Find<T>(held)
            : library.GetValueOrDefault(id) ?? throw new NotFoundException(MissingWords.LibraryHasNo(kind, id));
    }

    /// <summary>Every document of the job in the version that it rests on.</summary>
    public IReadOnlyList<DocumentStand> Documents(JobRow row, WorkOrder order)
    {
        var named = order
            .Pieces.Select(p =>
                (
                    Role: SignedBasis.BoardRole,
                    p.Key,
                    Table: row.CardId is null ? "board" : "card",
                    Id: row.CardId ?? p.Board.Id
                )
            )
            .Concat(order.Pairs.Select(p => (Role: SignedBasis.BlockRole, p.Key, Table: "block", p.Block.Id)))
            .Concat(
                order
                    .Pieces.Where(p => p.Seated is not null)
                    .SelectMany(p =>
                        new[]
                        {
                            (Role: SignedBasis.ProcessorRole, p.Key, Table: "board", p.Seated!.Processor.Id),
                            (Role: SignedBasis.SocketRole, p.Key, Table: "socket", p.Seated.Socket.Id),
                        }
                    )
            )
            .Concat(
                order.Machine is { } machine
                    ? [(Role: SignedBasis.MachineRole, order.First.Key, Table: "machine", machine.Id)]
                    : []
            )
            .ToList();
        var rows = stamps.Documents(named.Select(n => (n.Table, n.Id)));
        var rests = held.List(row.Id);
        return
        [
            .. named.Select(n => new DocumentStand(
                n.Role,
                n.Key,
                n.Id,
                rests.FirstOrDefault(h => h.Kind == n.Table && h.Id == n.Id)?.Digest
                    ?? rows.FirstOrDefault(r => r.Role == n.Table && r.Id == n.Id)?.Digest
                    ?? ""
            )),
        ];
    }
}
