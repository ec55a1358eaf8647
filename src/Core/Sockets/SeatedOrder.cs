using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Sockets;

/// <summary>
/// An order with its processors lying in their sockets: boards at their true heights, blocks as their kit makes them.
/// </summary>
public static class SeatedOrder
{
    /// <summary>The same order where no processor is seated.</summary>
    public static WorkOrder Compose(WorkOrder order)
    {
        if (order.Pieces.All(p => p.Seated is null))
            return order;
        var pieces = order.Pieces.Select(p => p.Seated is { } s ? p with { Board = BoardOf(order, p, s) } : p);
        var pairs = order.Pairs.Select(pair =>
            SeatOf(order, pair) is { Seated: { } seated }
                ? pair with
                {
                    Block = OnSocket(seated, pair.Block),
                    AsSold = pair.Block,
                }
                : pair
        );
        return order with { Pieces = [.. pieces], Pairs = [.. pairs] };
    }

    /// <summary>The board with a processor that a pair is laid on; null for any other pair.</summary>
    public static Workpiece? SeatOf(WorkOrder order, Pair pair) =>
        order.Find(pair.On ?? order.First.Key) is { Seated: not null } piece && GoesOnSockets(pair.Block)
            ? piece
            : null;

    /// <summary>Whether a block is held by a socket's holes.</summary>
    public static bool GoesOnSockets(Block block) =>
        block.Sockets.Count > 0 || block.Kind is BlockKind.Processor or BlockKind.DirectDie;

    public static SocketFit? FitOf(SeatedProcessor seated, Block block) =>
        SocketKits.Choose(
            block,
            seated.Socket,
            SeatedBoard.Opened(seated),
            !seated.Bare,
            SocketMatch.DefaultBondLineMm
        );

    private static Core.Boards.Board BoardOf(WorkOrder order, Workpiece piece, SeatedProcessor seated)
    {
        var own = order.PairsOn(piece).Where(p => GoesOnSockets(p.Block)).ToList();
        var processorOnly = own.TrueForAll(p => p.Block.Kind is BlockKind.Processor or BlockKind.DirectDie);
        return SeatedBoard.Create(
            seated,
            own.Select(p => FitOf(seated, p.Block)).FirstOrDefault(f => f is not null),
            processorOnly && own.Count == order.PairsOn(piece).Count(),
            processorOnly
        );
    }

    /// <summary>
    /// The block with only the holes and springs of this socket, its springs as far in as the heights make them,
    /// turned as chosen.
    /// </summary>
    private static Block OnSocket(SeatedProcessor seated, Block block)
    {
        var fit = FitOf(seated, block);
        var chain = HeightChain.Create(seated.Socket, SeatedBoard.Opened(seated), block, fit, !seated.Bare, 0);
        var lower = (fit?.DesignHeightMm ?? chain.ContactMm) - chain.ContactMm;
        // washers make good what the contact lies too low
        var travel = lower > 0 ? 0 : -lower;
        return block with
        {
            Rotations = [Turn(seated, block)],
            Plates =
            [
                .. block.Plates.Select(p =>
                    p with
                    {
                        Holes =
                        [
                            .. p
                                .Holes.Where(h => h.Sockets.Count == 0 || h.Sockets.Contains(seated.Socket.Id))
                                .Select(h =>
                                    h.Spring is { } s
                                        ? h with
                                        {
                                            Spring = s with { TravelMm = s.TravelMm + travel },
                                        }
                                        : h
                                ),
                        ],
                    }
                ),
            ],
        };
    }

    /// <summary>
    /// The chosen turn, where the block can be turned so; on bare dies the one with the inlet over the hot ones; else
    /// the best by the maker's word that meets nothing, else the first that meets nothing.
    /// </summary>
    public static double Turn(SeatedProcessor seated, Block block)
    {
        // a turn chosen for another block is no turn of this one
        if (seated.TurnDeg is { } chosen && block.Rotations.Contains(chosen))
            return chosen;
        var turns = Turns(seated, block);
        var free = turns.Where(t => t.Clashes.Count == 0).ToList();
        var inlet = seated.Bare ? InletTurn.Find(seated.Processor, block) : null;
        return (
            free.Find(t => t.RotationDeg == inlet)
            ?? free.Find(t => t.Best)
            ?? free.FirstOrDefault()
            ?? turns.FirstOrDefault(t => t.Best)
            ?? turns[0]
        ).RotationDeg;
    }

    /// <summary>Every turn of a block on a socket, as it stands among the parts of the mainboard.</summary>
    public static IReadOnlyList<Orientation> Turns(SeatedProcessor seated, Block block)
    {
        var fit = FitOf(seated, block);
        var processor = SeatedBoard.Opened(seated);
        var chain = HeightChain.Create(
            seated.Socket,
            processor,
            block,
            fit,
            !seated.Bare,
            SocketMatch.DefaultBondLineMm
        );
        return Orientations.Find(Around(seated), seated.Socket, block, fit, chain.HomeMm);
    }

    /// <summary>The mainboard with what stands beside the socket; null where none is known.</summary>
    public static Core.Boards.Board? Around(SeatedProcessor seated) =>
        seated.Mainboard is { } board ? board with { Parts = SeatedBoard.Rest(seated) } : null;
}
