using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Orders;

/// <summary>What dies and sockets bear, as the shop judges it: narrower than stated by the shop's margin.</summary>
public static class LoadLimits
{
    /// <param name="share">0 keeps what is stated; 0.2 uses at most four fifths of a stated most.</param>
    public static WorkOrder Without(this WorkOrder order, double share) =>
        share <= 0
            ? order
            : order with
            {
                Pieces =
                [
                    .. order.Pieces.Select(p =>
                        p with
                        {
                            Board = Narrower(p.Board, share),
                            Seated = p.Seated is { } s
                                ? s with
                                {
                                    Socket = Narrower(s.Socket, share),
                                    Processor = Narrower(s.Processor, share),
                                    Mainboard = s.Mainboard is { } m ? Narrower(m, share) : null,
                                }
                                : null,
                        }
                    ),
                ],
            };

    private static Board Narrower(Board board, double share) =>
        board with
        {
            Parts = [.. board.Parts.Select(p => p with { MaxLoadN = p.MaxLoadN * (1 - share) })],
        };

    private static Socket Narrower(Socket socket, double share) =>
        socket with
        {
            ContactMinN = Math.Min(socket.ContactMinN * (1 + share), (socket.ContactMinN + socket.ContactMaxN) / 2),
            ContactMaxN = Math.Max(socket.ContactMaxN * (1 - share), (socket.ContactMinN + socket.ContactMaxN) / 2),
        };
}
