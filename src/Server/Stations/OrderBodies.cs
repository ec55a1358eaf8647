using System.Text.Json;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;

namespace FaithfulBracket.Server.Stations;

/// <summary>
/// Everything a body can say of an order: boards, a card or a machine, the blocks on them, a processor in its socket,
/// and what lies in the drawer. Documents stand whole, or by their id in the library.
/// </summary>
internal static class OrderBodies
{
    private const int MaxOfAKind = 500;

    public static WorkOrder Order(ObjectReader o, LibraryCache shop)
    {
        var machine = Machine(o, shop);
        var order =
            machine is not null && !o.Has("boards") && !o.Has("card")
                ? Cards(o, machine, shop)
                : WorkOrderEndpoint.Stated(o);
        if (order.Pieces.Count == 0)
            return order;
        order = Seated(o, order with { Machine = machine }, shop);
        return CarrierOrder.Compose(SeatedOrder.Compose(order.Without(shop.Settings.LoadMargin)));
    }

    /// <summary>A document of the body, or the one of that id in the library; null with a fault.</summary>
    private static T? Document<T>(
        ObjectReader o,
        string field,
        Func<ObjectReader, T> read,
        IReadOnlyDictionary<string, T> library
    )
        where T : class
    {
        if (o.Raw(field) is { ValueKind: JsonValueKind.String } name)
        {
            if (library.GetValueOrDefault(name.GetString()!) is { } kept)
                return kept;
            o.Fault(field, MissingWords.LibraryHasNo(field, name.GetString()));
            return null;
        }
        return read(o.Object(field));
    }

    private static Machine? Machine(ObjectReader o, LibraryCache shop) =>
        o.Has("machine") ? Document(o, "machine", MachineReader.Read, shop.Machines) : null;

    /// <summary>The boards that a machine names, and the blocks of the body, or those that it names itself.</summary>
    private static WorkOrder Cards(ObjectReader o, Machine machine, LibraryCache shop)
    {
        var pieces = new List<Workpiece>();
        var pairs = new List<Pair>();
        for (var i = 0; i < machine.Cards.Count; i++)
        {
            var card = machine.Cards[i];
            if (card.Board is not { } id || shop.Boards.GetValueOrDefault(id) is not { } board)
            {
                o.FaultAt(
                    $"machine/cards/{i}/board",
                    card.Board is null ? OrderBodiesWords.ExpectedIdOfBoard : MissingWords.LibraryHasNoBoard(card.Board)
                );
                continue;
            }
            pieces.Add(new(card.Key, board));
            if (card.Block is { } block && shop.Blocks.GetValueOrDefault(block) is { } named)
                pairs.Add(new($"{(char)(Pair.FirstKey[0] + pairs.Count)}", named, card.Key));
        }
        return WorkOrderEndpoint.Stated(o, pieces, o.Has("pairs") ? null : pairs);
    }

    /// <summary>The processor of the body in the socket of one of its boards; one that is a board itself lies in its own.</summary>
    private static WorkOrder Seated(ObjectReader o, WorkOrder order, LibraryCache shop)
    {
        var seat = o.OptionalObject("seat");
        if (seat is null && order.Pieces.All(p => p.Board.Kind != BoardKind.Processor))
            return order;
        var on = seat?.OptionalText("on", 12);
        var at = on is null
            ? order.Pieces.FirstOrDefault(p => p.Board.Kind == BoardKind.Processor) ?? order.First
            : order.Find(on);
        if (at is null)
        {
            seat!.Fault("on", MissingWords.ThereIsNoBoardHere(on));
            return order;
        }
        var alone = at.Board.Kind == BoardKind.Processor;
        var processor =
            alone ? at.Board
            : seat!.Has("processorId") ? Document(seat, "processorId", BoardReader.Read, shop.Boards)
            : Document(seat, "processor", BoardReader.Read, shop.Boards);
        var name = (alone ? null : at.Board.Socket) ?? processor?.Socket;
        var socket =
            seat?.Has("socket") == true
                ? Document(seat, "socket", SocketReader.Read, shop.Sockets)
                : shop.Sockets.GetValueOrDefault(name ?? "");
        var (bare, turn) = (seat?.Flag("bare", false) ?? false, seat?.OptionalNumber("turnDeg", -360, 360));
        seat?.End();
        if (processor is { Kind: not BoardKind.Processor })
            seat!.Fault("processor", OrderBodiesWords.ExpectedBoardDocumentOfKindProcessor);
        if (socket is not null && !alone && at.Board.Socket is { } own && own != socket.Id)
            seat!.Fault("socket", OrderBodiesWords.BoardHasSocket(own, socket.Id));
        if (processor is null)
            return order;
        if (socket is null)
        {
            // a processor that nobody seats is worked on as it is
            if (seat is not null && !seat.Has("socket"))
                seat.Fault("socket", OrderBodiesWords.MissingLibraryHasNoSocket(name));
            return order;
        }
        var seated = new SeatedProcessor(socket, processor, alone ? null : at.Board, bare, turn);
        return order with { Pieces = [.. order.Pieces.Select(p => p.Key == at.Key ? p with { Seated = seated } : p)] };
    }

    /// <summary>What the body says lies in the drawer; the shop's own where it says nothing.</summary>
    public static Drawer Drawer(ObjectReader o, LibraryCache shop)
    {
        if (o.OptionalObject("drawer") is not { } d)
            return shop.Drawer;
        var drawer = new Drawer
        {
            Materials = Items<PadMaterial>(d, "materials", "material"),
            Pads = Items<PadStock>(d, "pads", "pad"),
            Pastes = Items<PasteStock>(d, "pastes", "paste"),
            Screws = Items<ScrewStock>(d, "screws", "screw"),
            Tools = Items<Tool>(d, "tools", "tool"),
            Consumables = Items<Consumable>(d, "consumables", "consumable"),
        };
        d.End();
        return drawer;
    }

    private static List<T> Items<T>(ObjectReader drawer, string field, string kind)
    {
        var items = drawer.Objects(
            field,
            i =>
            {
                var item = (T)DrawerEndpoints.Item(kind, i.OptionalText("id") ?? "", i);
                i.End();
                return item;
            }
        );
        if (items.Count > MaxOfAKind)
            drawer.Fault(field, LimitWords.ExpectedAtMostFound(MaxOfAKind, items.Count));
        return items;
    }
}
