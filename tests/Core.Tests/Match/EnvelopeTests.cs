using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class EnvelopeTests
{
    private static Reason? Find(Board board, Block block, string code) =>
        Envelope.Judge(board, block).Select(j => j.Reason).FirstOrDefault(r => r.Code == code);

    [Fact]
    public void Another_socket_clashes_and_an_upgrade_kit_is_work()
    {
        var board = Sample.Board() with { Socket = "gull" };
        var wrong = Sample.Block() with { Sockets = [new("tern", null, null, null, null, null, null)] };
        Assert.Contains(Envelope.Judge(board, wrong), j => j is { Weight: Weight.Clash, Reason.Code: "socket" });
        var kit = Sample.Block() with { Sockets = [new("gull", "K-7", "captive", "J2", "I1", 0.1, null)] };
        Assert.Contains(Envelope.Judge(board, kit), j => j is { Weight: Weight.Work, Reason.Code: "socket-kit" });
        Assert.Contains("jet plate J2 with insert I1", Find(board, kit, "jet-plate")!.Text, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(14, 1, false)]
    [InlineData(20, 1, true)]
    [InlineData(34, 2, false)]
    [InlineData(36, 2, true)]
    public void A_tall_block_takes_the_neighbours_slot(double height, int bracket, bool takes) =>
        Assert.Equal(
            takes,
            Find(Sample.Board(), Sample.Block() with { HeightMm = height, BracketSlots = bracket }, "neighbour")
                is not null
        );

    [Fact]
    public void Port_spacing_is_told_for_links_between_cards()
    {
        var block = Sample.Block() with
        {
            Ports = [new("A", "G1/4", 0, 70, "up", null), new("B", "G1/4", 30, 110, "up", null)],
        };
        Assert.Contains("50.0 mm apart", Find(Sample.Board(), block, "port-spacing")!.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void A_power_connector_under_the_plate_is_named()
    {
        var board = Sample.Board(0, Sample.Part("J1", PartKind.Connector, 30, 10, 10, 6, 12));
        Assert.Equal(["J1"], Find(board, Sample.Block(), "connector-under")!.Refs);
        Assert.Null(
            Find(
                Sample.Board(0, Sample.Part("J1", PartKind.Connector, 55, 10, 6, 6, 12)),
                Sample.Block(),
                "connector-under"
            )
        );
    }

    [Fact]
    public void A_board_that_needs_its_block_says_so() =>
        Assert.NotNull(Find(Sample.Board() with { UsableWithoutBlock = false }, Sample.Block(), "not-without-block"));

    [Fact]
    public void Headers_used_up_beyond_what_is_there_are_counted()
    {
        var board = Sample.Board() with { Headers = [new("LIT1", "lighting")] };
        Assert.Null(Find(board, Sample.Block() with { Headers = ["lighting"] }, "header"));
        Assert.Contains(
            "wants 2 lighting",
            Find(board, Sample.Block() with { Headers = ["lighting", "lighting"] }, "header")!.Text,
            StringComparison.Ordinal
        );
    }
}
