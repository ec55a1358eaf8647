using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Sockets;

/// <summary>Steps of a pair on a processor in its socket.</summary>
internal static class SeatSteps
{
    /// <summary>A plain step; what else it has is added by the caller.</summary>
    public static WorkStep Create(
        WorkOrder order,
        SeatPlan seat,
        Station station,
        string target,
        StepKind kind,
        Message title,
        Message? detail,
        string done
    ) =>
        new()
        {
            Id = new(station, order.ScopeOf(order.Pairs.First(p => p.Key == seat.Pair)), target),
            Kind = kind,
            Board = seat.Board,
            Pair = seat.Pair,
            Title = title,
            Detail = detail,
            Done = done,
        };
}
