using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Ports that neither the loop nor a link takes are plugged: counted on rows of cards joined in every way.</summary>
public class OpenPortsTests
{
    private static Block With(int ports, params Join[] joins) =>
        Sample.Block() with
        {
            Ports = [.. Enumerable.Range(1, ports).Select(i => new Port($"{i}", "G1/4", 10 * i, 0, "front", null))],
            Joins = joins,
        };

    /// <summary>Cards A, B, C … with a block each, and links between them by letters: "AB" joins A's block to B's.</summary>
    private static WorkOrder Row(int cards, int ports, params string[] links)
    {
        var keys = Enumerable.Range(0, cards).Select(i => (char)('A' + i)).ToList();
        return new()
        {
            Pieces = [.. keys.Select(k => new Workpiece($"{k}", Sample.Board()))],
            Pairs = [.. keys.Select((k, i) => new Pair($"{(char)('P' + i)}", With(ports), $"{k}"))],
            Machine = new()
            {
                Id = "m",
                Name = "Row",
                Cards = [.. keys.Select((k, i) => new MachineCard($"{k}", null, null, "b", "k", 1 + 2 * i))],
                Links = [.. links.Select(l => new MachineLink(new($"{l[0]}", "1"), new($"{l[1]}", "2"), 40, 60, 1))],
            },
        };
    }

    private static IEnumerable<int> Open(WorkOrder order) => order.Pairs.Select(p => OpenPorts.Count(order, p));

    [Theory]
    [InlineData(0, 0)]
    [InlineData(1, 0)]
    [InlineData(2, 0)]
    [InlineData(5, 3)]
    public void A_block_on_its_own_leaves_all_but_two_open(int ports, int open) =>
        Assert.Equal([open], Open(WorkOrder.Plain(Sample.Board(), With(ports))));

    [Fact]
    public void In_a_row_the_first_takes_the_loop_in_and_the_last_lets_it_out() =>
        Assert.Equal([2, 2, 2], Open(Row(3, 4, "AB", "BC")));

    [Fact]
    public void Two_links_between_the_same_two_stand_side_by_side_and_the_first_takes_in_and_out()
    {
        // four ports each: two to the neighbour, and on the first two for the loop
        Assert.Equal([0, 2], Open(Row(2, 4, "AB", "AB")));
        // told from the other end it is the same pair of links
        Assert.Equal([0, 2], Open(Row(2, 4, "AB", "BA")));
        Assert.Equal([2, 2, 4], Open(Row(3, 6, "AB", "AB", "BC", "BC")));
    }

    [Fact]
    public void A_card_that_no_link_reaches_has_a_loop_of_its_own() => Assert.Equal([2, 2, 2], Open(Row(3, 4, "AB")));

    [Fact]
    public void A_link_to_a_card_without_a_block_takes_no_port()
    {
        var row = Row(2, 4, "AB");
        Assert.Equal([2], Open(row with { Pairs = [row.Pairs[0]] }));
        Assert.Equal([0], Open(Row(1, 2, "AB")));
    }

    [Fact]
    public void Never_fewer_than_none() => Assert.Equal([0, 0], Open(Row(2, 1, "AB", "AB")));

    [Fact]
    public void A_bridging_fitting_takes_a_port_at_both_ends_whether_it_names_the_block_or_its_letter()
    {
        foreach (var to in new[] { "Q", "stages" })
        {
            var order = new WorkOrder
            {
                Pieces = [new("A", Sample.Board())],
                Pairs =
                [
                    new("P", With(4, new Join("J1", "1", new(to, "1"), 30, 1))),
                    new("Q", With(4) with { Id = "stages" }),
                ],
            };
            Assert.Equal([2, 2], Open(order));
            Assert.Equal("Q", OpenPorts.Other(order, order.Pairs[0], order.Pairs[0].Block.Joins[0])!.Key);
        }
        // its other end is not here: it joins nothing, and never its own block
        var alone = new WorkOrder
        {
            Pieces = [new("A", Sample.Board())],
            Pairs = [new("P", With(4, new Join("J1", "1", new("P", "2"), 30, 1)))],
        };
        Assert.Equal([2], Open(alone));
        Assert.Null(OpenPorts.Other(alone, alone.Pairs[0], alone.Pairs[0].Block.Joins[0]));
    }
}
