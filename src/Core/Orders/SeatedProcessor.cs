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
);
