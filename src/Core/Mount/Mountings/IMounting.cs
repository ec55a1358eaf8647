using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Teardown;

namespace FaithfulBracket.Core.Mount.Mountings;

/// <summary>A way in which a block comes to hold a board: by screws, round it, in carriers, on a socket.</summary>
internal interface IMounting
{
    /// <summary>What is turned on it, as a step says it: "Screw", "Nut", "Stud".</summary>
    string Turned { get; }

    /// <summary>From the block in the hand to the last screw home on this board.</summary>
    IEnumerable<WorkStep> Steps();
}

/// <summary>Chooses the way by the documents.</summary>
internal static class MountingChoice
{
    public static IMounting Create(PlanContext context, EarlierResults earlier, BoardFit on, PairMount mount)
    {
        var pair = context.Order.Pairs.First(p => p.Key == mount.Pair);
        var at = new MountedPair(
            context.Order,
            pair,
            on,
            mount.Tightening,
            context.Ways,
            earlier.Get<PadsResult>().Pieces,
            earlier.Get<TeardownResult>().Plugged
        );
        return pair.Block.Carriers.Count > 0 ? new CarrierMounting(at)
            : earlier.SeatOf(pair.Key, on.Board) is { } seat ? new SocketMounting(at, seat)
            : pair.Block.Halves.Count > 0 ? new ShellMounting(at)
            : new ScrewedMounting(at);
    }
}

/// <summary>One pair on one of its boards, as it is mounted.</summary>
/// <param name="Tightening">Null where no paste is known or the block cannot come to rest.</param>
/// <param name="Pieces">Every pad of the order.</param>
/// <param name="Plugged">Ribbons between boards that were never unplugged.</param>
internal sealed record MountedPair(
    WorkOrder Order,
    Pair Pair,
    BoardFit On,
    TighteningResult? Tightening,
    Ways Ways,
    IReadOnlyList<PadPiece> Pieces,
    IReadOnlyList<Ribbon> Plugged
)
{
    /// <summary>Pads of this pair on this board: those that lie over parts, and those along its edges.</summary>
    public IReadOnlyList<PadPiece> Own(bool edges) =>
        [.. Pieces.Where(p => p.Pair == Pair.Key && p.Board == On.Board && p.Where is not null == edges)];

    public StepId Id(string target) => new(Station.Mount, Order.ScopeOf(Pair, On.Board), target);
}
