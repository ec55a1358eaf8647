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

    private static string? Says(Board board, Block block, string code) => Find(board, block, code)?.Text;

    [Fact]
    public void What_the_socket_asks_is_told_in_full()
    {
        var board = Sample.Board() with { Socket = "gull" };
        Block Made(params SocketFit[] fits) => Sample.Block() with { Sockets = fits };
        Assert.Equal(
            "The board's socket is gull; the block is made for tern, wren.",
            Says(
                board,
                Made(
                    new SocketFit("tern", null, null, null, null, null, null),
                    new SocketFit("wren", null, null, null, null, null, null)
                ),
                "socket"
            )
        );
        Assert.Null(Says(board, Made(new SocketFit("gull", null, null, null, null, null, null)), "socket"));
        Assert.Null(Says(board, Made(new SocketFit("gull", "", null, null, null, null, null)), "socket-kit"));
        Assert.Null(Says(board, Made(), "socket"));
        Assert.Null(Says(Sample.Board(), Made(new SocketFit("tern", null, null, null, null, null, null)), "socket"));
        Assert.Equal(
            "Socket gull takes jet plate J2; the slit lies across the fins.",
            Says(board, Made(new SocketFit("gull", null, null, "J2", null, null, null)), "jet-plate")
        );
    }

    [Fact]
    public void Brackets_and_free_slots_are_counted()
    {
        Board Card(int slots) => Sample.Board() with { Slots = slots };
        Block With(int bracket, double? height = null) =>
            Sample.Block() with
            {
                BracketSlots = bracket,
                HeightMm = height,
            };
        Assert.Equal(
            "The bracket changes from 2 slots to 1 slot; the block brings its own.",
            Says(Card(2), With(1), "bracket")
        );
        Assert.Null(Says(Card(2), With(2), "bracket"));
        Assert.Null(Says(Sample.Board(), With(2), "bracket"));
        // 14.47 mm within its own slot, 20.32 for each further one
        Assert.Equal(
            "The block stands 36 mm over the board and reaches past its 2-slot bracket: 1 more has to stay free.",
            Says(Card(2), With(2, 36), "neighbour")
        );
        Assert.EndsWith("2 more have to stay free.", Says(Card(1), With(1, 36), "neighbour"), StringComparison.Ordinal);
        Assert.Null(Says(Card(1), With(1, 14.47), "neighbour"));
        Assert.NotNull(Says(Card(1), With(1, 14.48), "neighbour"));
        Assert.Null(Says(Card(1), With(2, 34.7), "neighbour"));
    }

    [Fact]
    public void Ports_that_face_up_ask_for_room_to_the_side_panel()
    {
        var block = Sample.Block() with
        {
            HeightMm = 20,
            Ports =
            [
                new("A", "G1/4", 0, 40, "up", null),
                new("B", "G1/4", 30, 45, "up", null),
                new("C", "G1/4", 0, 90, "side", null),
            ],
        };
        // from the board's lower edge at −50 to the higher port at 45, and 35 of fitting
        var reason = Find(Sample.Board(), block, "case-room")!;
        Assert.Equal(
            "Ports facing up rise to 130 mm above the slot with a 35 mm fitting: check the case's side panel.",
            reason.Text
        );
        Assert.Equal(["A", "B"], reason.Refs);
        Assert.Null(Find(Sample.Board() with { Kind = BoardKind.Mainboard }, block, "case-room"));
        Assert.Null(Find(Sample.Board(), block with { HeightMm = null }, "case-room"));
        Assert.Null(Find(Sample.Board(), block with { Ports = [block.Ports[2]] }, "case-room"));
        Assert.Null(Find(Sample.Board(), block with { Ports = [block.Ports[0]] }, "port-spacing"));
        Assert.Null(Find(Sample.Board() with { Kind = BoardKind.Mainboard }, block, "port-spacing"));
        Assert.Equal(["A", "B"], Find(Sample.Board(), block, "port-spacing")!.Refs);
    }

    [Fact]
    public void Only_a_plug_from_above_under_a_plate_in_front_is_in_the_way()
    {
        Reason? Of(Part plug, Face plate = Face.Front) =>
            Find(
                Sample.Board(0, plug),
                Sample.Block() with
                {
                    Plates = [Sample.Block().Plates[0] with { Face = plate }],
                },
                "connector-under"
            );
        var plug = Sample.Part("J1", PartKind.Connector, 30, 10, 10, 6, 5);
        Assert.NotNull(Of(plug));
        Assert.Null(Of(plug with { HeightMm = 4.9 }));
        Assert.Null(Of(plug with { Face = Face.Back }));
        Assert.Null(Of(plug with { Kind = PartKind.Capacitor }));
        Assert.Null(Of(plug, Face.Back));
    }

    [Fact]
    public void Headers_are_counted_by_their_kind()
    {
        var board = Sample.Board() with { Headers = [new("LIT1", "lighting"), new("F1", "fan")] };
        Assert.Equal(
            "The block wants 2 lighting headers, the board has 1: that lead goes elsewhere or stays dark.",
            Says(board, Sample.Block() with { Headers = ["lighting", "fan", "lighting"] }, "header")
        );
        Assert.Equal(
            "The block wants 1 pump header, the board has 0: that lead goes elsewhere or stays dark.",
            Says(board, Sample.Block() with { Headers = ["fan", "pump"] }, "header")
        );
        Assert.Null(Says(Sample.Board(), Sample.Block(), "not-without-block"));
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
