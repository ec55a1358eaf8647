using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Orders;

/// <summary>A processor in a mainboard's socket, as a job has it.</summary>
/// <param name="Mainboard">As its document says, before the processor lies in it; null where only the processor is known.</param>
/// <param name="Bare">Whether its lid is taken off for good.</param>
/// <param name="TurnDeg">How the block is turned on it, degrees; null takes the turn that cools best and meets nothing.</param>
public sealed record SeatedProcessor(
    Socket Socket,
    Board Processor,
    Board? Mainboard,
    bool Bare = false,
    double? TurnDeg = null
)
{
    /// <summary>
    /// Whether the processor is in its socket already: a stock cooler sits on its lid or die. A new build has none.
    /// </summary>
    /// <param name="board">The mainboard with the processor's parts and the stock assembly of both.</param>
    public static bool IsIn(Board board) =>
        board.Assembly?.Bonds.Any(b => b.Parts.Any(p => board.FindPart(p)?.Kind is PartKind.Lid or PartKind.Die))
        == true;
}
