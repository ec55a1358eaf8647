using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Cards beside each other in one machine: slots taken, slots free, and whether rigid links reach.</summary>
public class MachineRoomTests
{
    private static Block Block(int? slots = 1, double? height = 12, params Port[] ports) =>
        Sample.Block() with
        {
            BracketSlots = slots,
            HeightMm = height,
            Ports =
                ports.Length > 0
                    ? ports
                    : [new("in", "G1/4", 0, 0, "up", "in"), new("out", "G1/4", 20, 0, "up", "out")],
        };

    private static MachineLink Link(double min = 55, double max = 65, double offset = 1, string to = "in") =>
        new(new("A", "in"), new("B", to), min, max, offset);

    /// <summary>Two like cards, A in slot 1.</summary>
    private static (WorkOrder Order, IReadOnlyList<PairFit> Pairs) Two(
        int slot,
        Block? block = null,
        int? slots = null,
        double pitch = 20,
        Board? second = null,
        params MachineLink[] links
    )
    {
        var own = block ?? Block();
        var order = new WorkOrder
        {
            Pieces = [new("A", Sample.Board()), new("B", second ?? Sample.Board())],
            Pairs = [new("P", own, "A"), new("Q", own, "B")],
            Machine = new()
            {
                Id = "m",
                Name = "Bench machine",
                SlotPitchMm = pitch,
                Slots = slots,
                Cards = [new("A", null, null, "b", "k", 1), new("B", null, null, "b", "k", slot)],
                Links = links,
            },
        };
        return (order, OrderFits.Judge(order, new()).Pairs);
    }

    [Fact]
    public void An_order_that_stands_in_no_machine_has_no_slots()
    {
        var order = WorkOrder.Plain(Sample.Board(), Sample.Block());
        Assert.Null(MachineRoom.Compute(order, []));
        Assert.Empty(MachineRoom.Faults(order, []));
    }

    [Theory]
    // plane 2.13 mm over the board and a block 12 mm high: one slot of 20 mm, two of 10 mm
    [InlineData(20, 12.0, 1, 1)]
    [InlineData(14.13, 12.0, 1, 1)]
    [InlineData(14.12, 12.0, 1, 2)]
    [InlineData(20, 12.0, 2, 2)]
    [InlineData(20, 40.0, 2, 3)]
    [InlineData(20, null, null, 1)]
    public void A_card_takes_the_slots_of_its_bracket_or_of_its_blocks_height(
        double pitch,
        double? height,
        int? bracket,
        int takes
    )
    {
        var (order, pairs) = Two(6, Block(bracket, height), pitch: pitch);
        Assert.Equal(2.13, pairs[0].On[0].Fit.PlaneMm!.Value, 2);
        Assert.Equal([new("A", 1, takes), new("B", 6, takes)], MachineRoom.Compute(order, pairs)!.Slots);
    }

    [Fact]
    public void A_card_without_a_block_takes_what_its_bracket_says()
    {
        var (order, _) = Two(4, second: Sample.Board() with { Slots = 3 });
        Assert.Equal([1, 3], MachineRoom.Compute(order, [])!.Slots.Select(s => s.Slots));
    }

    [Theory]
    [InlineData(3, null, new[] { 2 })]
    [InlineData(3, 6, new[] { 2, 4, 5, 6 })]
    [InlineData(2, null, new int[0])]
    public void Slots_between_and_beside_the_cards_stay_free(int slot, int? slots, int[] free)
    {
        var (order, pairs) = Two(slot, slots: slots);
        Assert.Equal(free, MachineRoom.Compute(order, pairs)!.Free);
    }

    [Fact]
    public void Two_cards_that_want_one_slot_are_named_with_their_slots()
    {
        var (order, pairs) = Two(2, Block(slots: 2));
        var fault = Assert.Single(MachineRoom.Faults(order, pairs));
        Assert.Equal((BetweenCode.Slot, "A", "B"), (fault.Code, fault.A, fault.B));
        Assert.Equal("Card A with its block takes slots 1 to 2; card B stands in slot 2.", fault.Text);
        var (apart, fits) = Two(3, Block(slots: 2));
        Assert.Empty(MachineRoom.Faults(apart, fits));
    }

    [Theory]
    // three slots of 20 mm on: 60 mm from port to port
    [InlineData(55, 65, null)]
    [InlineData(60, 65, null)]
    [InlineData(55, 60, null)]
    [InlineData(62, 65, 2.0)]
    [InlineData(50, 57, 3.0)]
    public void A_link_reaches_between_its_shortest_and_its_longest(double min, double max, double? missMm)
    {
        var (order, pairs) = Two(4, links: Link(min, max));
        var link = Assert.Single(MachineRoom.Compute(order, pairs)!.Links);
        Assert.Equal((60, 0), (link.DistanceMm, link.OffsetMm));
        Assert.Equal(missMm is null, link.Fits);
        var fault = MachineRoom.Faults(order, pairs).SingleOrDefault();
        Assert.Equal(missMm, fault?.MissMm);
        if (fault is not null)
            Assert.Contains(
                FormattableString.Invariant($"60.0 mm apart; the link reaches from {min:0.0} to {max:0.0} mm"),
                fault.Text,
                StringComparison.Ordinal
            );
    }

    [Theory]
    [InlineData(20, null)]
    [InlineData(19, 1.0)]
    public void Ports_beside_each_other_are_more_than_a_rigid_link_takes(double takes, double? missMm)
    {
        // from the first port of A to the second of B, 20 mm beside it
        var (order, pairs) = Two(4, links: Link(offset: takes, to: "out"));
        var fault = MachineRoom.Faults(order, pairs).SingleOrDefault();
        Assert.Equal(missMm, fault?.MissMm);
        if (fault is not null)
            Assert.Contains(
                "stand 20.0 mm beside each other; a rigid link takes 19.0 mm",
                fault.Text,
                StringComparison.Ordinal
            );
    }

    [Fact]
    public void Ports_are_told_from_the_cards_own_slot_edges_and_heights()
    {
        // the second card is the same one drawn 10 mm wider to both sides and 4 mm deeper below
        var wide = Sample.Board() with
        {
            Outline = Polygon.Rectangle(new(0, -2), 140, 104),
        };
        Port[] ports = [new("in", "G1/4", 0, 0, "up", "in") { ZMm = 5 }, new("out", "G1/4", 20, 0, "up", "out")];
        var (order, pairs) = Two(4, Block(1, 12, ports), second: wide, links: [Link(to: "in"), Link(to: "out")]);
        var links = MachineRoom.Compute(order, pairs)!.Links;
        Assert.Equal(Math.Sqrt(10 * 10 + 4 * 4), links[0].OffsetMm, 9);
        Assert.Equal(60, links[0].DistanceMm, 9);
        // a port without a height lies halfway up the block: 6 mm, one more than the stated 5
        Assert.Equal(61, links[1].DistanceMm, 9);
    }

    [Fact]
    public void A_link_to_a_card_or_port_that_is_not_there_is_no_link()
    {
        var (order, pairs) = Two(4, links: [Link(to: "none"), new(new("A", "in"), new("C", "in"), 1, 2, 3)]);
        Assert.Empty(MachineRoom.Compute(order, pairs)!.Links);
    }

    [Theory]
    [InlineData(0, 0)]
    [InlineData(1, 0)]
    [InlineData(2, 0)]
    public void Ports_that_links_and_loop_take_need_no_plug(int links, int plugs)
    {
        var (order, pairs) = Two(4, links: [.. Enumerable.Repeat(Link(), links)]);
        Assert.Equal(plugs, MachineRoom.Compute(order, pairs)!.Plugs);
    }

    [Fact]
    public void With_four_ports_a_block_those_left_over_are_plugged()
    {
        Port[] four =
        [
            .. Enumerable.Range(1, 4).Select(i => new Port(i == 1 ? "in" : $"p{i}", "G1/4", 9 * i, 0, "up", null)),
        ];
        int Plugs(params MachineLink[] links)
        {
            var (order, pairs) = Two(4, Block(1, 12, four), links: links);
            return MachineRoom.Compute(order, pairs)!.Plugs;
        }
        MachineLink To(string a, string b) => new(new("A", a), new("B", b), 1, 99, 99);
        // each with its own in and out
        Assert.Equal(4, Plugs());
        // one after the other: one link end and one end of the loop each
        Assert.Equal(4, Plugs(To("in", "in")));
        // side by side: two link ends each, in and out at the first
        Assert.Equal(2, Plugs(To("in", "in"), To("p2", "p2")));
    }
}
