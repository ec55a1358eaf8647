using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What dies and sockets bear, narrowed by the margin that the shop keeps from it.</summary>
public class LoadLimitTests
{
    private static WorkOrder Order(double least, double most)
    {
        var board = Sample.Board();
        return new()
        {
            Pieces =
            [
                new("A", board)
                {
                    Seated = new(SocketTests.Gull() with { ContactMinN = least, ContactMaxN = most }, board, board),
                },
            ],
        };
    }

    [Fact]
    public void No_margin_changes_nothing()
    {
        var order = Order(200, 800);
        Assert.Same(order, order.Without(0));
        Assert.Same(order, order.Without(-0.1));
    }

    [Fact]
    public void A_fifth_leaves_four_fifths_of_a_stated_most_on_every_board()
    {
        var piece = Order(200, 800).Without(0.2).First;
        foreach (var board in new[] { piece.Board, piece.Seated!.Processor, piece.Seated.Mainboard! })
        {
            Assert.Equal(360, board.FindPart("U1")!.MaxLoadN!.Value, 9);
            Assert.Null(board.FindPart("M1")!.MaxLoadN);
        }
        Assert.Equal(240, piece.Seated.Socket.ContactMinN, 9);
        Assert.Equal(640, piece.Seated.Socket.ContactMaxN, 9);
    }

    [Fact]
    public void A_sockets_least_and_most_never_pass_each_other()
    {
        // 20 % inwards they would stand at 480 and 400: both end in the middle
        var socket = Order(400, 500).Without(0.2).First.Seated!.Socket;
        Assert.Equal(450, socket.ContactMinN, 9);
        Assert.Equal(450, socket.ContactMaxN, 9);
    }

    [Fact]
    public void A_board_without_a_socket_and_a_socket_without_a_board_are_narrowed_alike()
    {
        var plain = WorkOrder.Plain(Sample.Board()).Without(0.1).First;
        Assert.Equal(405, plain.Board.FindPart("U1")!.MaxLoadN!.Value, 9);
        Assert.Null(plain.Seated);
        var order = Order(200, 800);
        var bare = order with
        {
            Pieces = [order.First with { Seated = order.First.Seated! with { Mainboard = null } }],
        };
        Assert.Null(bare.Without(0.1).First.Seated!.Mainboard);
    }
}
