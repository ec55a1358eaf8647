using System.Reflection;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Questions on which installers disagree: which are asked of an order, and that each way changes just what it says.</summary>
public class SchoolTests
{
    private static WorkOrder Two(params MachineLink[] links) =>
        new()
        {
            Pieces = [new("A", Sample.Board()), new("B", Sample.Board())],
            Pairs = [new("P", Sample.Block(), "A"), new("Q", Sample.Block(), "B")],
            Machine = new()
            {
                Id = "m",
                Name = "Row",
                Cards = [new("A", null, null, "b", "k", 1), new("B", null, null, "b", "k", 3)],
                Links = links,
            },
        };

    private static WorkOrder Seated(bool bare) =>
        new()
        {
            Pieces =
            [
                new("A", Sample.Board() with { Kind = BoardKind.Mainboard })
                {
                    Seated = new(SocketTests.Gull(), Sample.Board(), Sample.Board(), bare),
                },
            ],
        };

    private static MachineLink Link(string from, string to) => new(new(from, "1"), new(to, "2"), 40, 60, 1);

    private static School Asked(WorkOrder order, string id) => Schools.For(order).Single(s => s.Id == id);

    private static bool Asks(WorkOrder order, string id) => Schools.For(order).Any(s => s.Id == id);

    public static TheoryData<string> Orders => ["card", "two", "socket", "bare"];

    private static WorkOrder Named(string name) =>
        name switch
        {
            "card" => WorkOrder.Plain(Sample.Board(), Sample.Block()),
            "two" => Two(),
            "socket" => Seated(false),
            _ => Seated(true),
        };

    [Theory]
    [MemberData(nameof(Orders))]
    public void Each_way_sets_one_choice_and_the_default_is_what_stands_unasked(string name)
    {
        foreach (var school in Schools.For(Named(name)))
        {
            // the ways of one question set one and the same field, each to a value of its own
            var changed = school
                .Ways.Select(w =>
                    typeof(Ways)
                        .GetProperties(BindingFlags.Public | BindingFlags.Instance)
                        .Where(p =>
                            p.CanWrite
                            && school.Ways.Any(x => !Equals(p.GetValue(x.Take(new())), p.GetValue(w.Take(new()))))
                        )
                        .Select(p => p.Name)
                        .ToList()
                )
                .ToList();
            Assert.All(changed, fields => Assert.Equal(changed[0], fields));
            Assert.Single(changed[0]);
            var field = typeof(Ways).GetProperty(changed[0][0])!;
            var values = school.Ways.Select(w => field.GetValue(w.Take(new()))).ToList();
            Assert.Equal(values.Count, values.Distinct().Count());
            Assert.Equal(school.Ways.Count, school.Ways.Select(w => w.Id).Distinct().Count());
        }
    }

    [Theory]
    [MemberData(nameof(Orders))]
    public void Questions_come_in_the_order_of_the_stations_and_once_each(string name)
    {
        var schools = Schools.For(Named(name));
        Assert.Equal(schools.OrderBy(s => s.Station).Select(s => s.Id), schools.Select(s => s.Id));
        Assert.Equal(schools.Count, schools.Select(s => s.Id).Distinct().Count());
    }

    [Fact]
    public void What_would_change_nothing_is_not_asked()
    {
        var plated = Sample.Block() with
        {
            BackPlate = new() { Id = "back", UsesHoles = ["S1"] },
        };
        var card = WorkOrder.Plain(Sample.Board(), plated);
        Assert.Contains(Asked(card, "back-plate-screws").Ways, w => w.Id == "first");
        // a block that is lowered leaves the back of its board below
        var mainboard = WorkOrder.Plain(Sample.Board() with { Kind = BoardKind.Mainboard }, plated);
        Assert.DoesNotContain(Asked(mainboard, "back-plate-screws").Ways, w => w.Id == "first");
    }

    [Fact]
    public void A_card_is_lowered_onto_its_block_and_a_block_onto_a_mainboard()
    {
        Assert.Equal("board", Asked(WorkOrder.Plain(Sample.Board()), "who-moves").Default);
        Assert.Equal(
            "board",
            Asked(WorkOrder.Plain(Sample.Board() with { Kind = BoardKind.MemoryModule }), "who-moves").Default
        );
        Assert.Equal("block", Asked(Seated(false), "who-moves").Default);
        Assert.Equal(WhoMoves.Block, Schools.Mover(Seated(false)));
    }

    [Fact]
    public void How_blocks_follow_each_other_is_asked_where_there_are_several()
    {
        Assert.False(Asks(WorkOrder.Plain(Sample.Board(), Sample.Block()), "loop"));
        Assert.Equal("series", Asked(Two(), "loop").Default);
        Assert.Equal("series", Asked(Two(Link("A", "B")), "loop").Default);
        // in and out between the same two cards, told from either end
        Assert.Equal("parallel", Asked(Two(Link("A", "B"), Link("A", "B")), "loop").Default);
        Assert.Equal("parallel", Asked(Two(Link("A", "B"), Link("B", "A")), "loop").Default);
        Assert.Equal(LoopJoin.Series, Schools.LoopOf(WorkOrder.Plain(Sample.Board())));
    }

    [Fact]
    public void Sockets_ask_of_clamp_and_nuts_and_bare_dies_of_lid_and_polish()
    {
        // nuts are on a lid alone
        Assert.Equal(
            (false, true, false),
            (
                Asks(WorkOrder.Plain(Sample.Board()), "nuts-by"),
                Asks(Seated(false), "nuts-by"),
                Asks(Seated(true), "nuts-by")
            )
        );
        string[] socket = ["processor-clamp", "closing"],
            bare = ["warm-lid", "polish"];
        var card = WorkOrder.Plain(Sample.Board());
        Assert.All(
            socket,
            s => Assert.Equal((false, true, true), (Asks(card, s), Asks(Seated(false), s), Asks(Seated(true), s)))
        );
        Assert.All(
            bare,
            s => Assert.Equal((false, false, true), (Asks(card, s), Asks(Seated(false), s), Asks(Seated(true), s)))
        );
    }

    [Fact]
    public void What_the_job_does_not_do_is_not_asked()
    {
        var module = new WorkOrder
        {
            Pieces = [new("A", Demo.Board("shingle-16"))],
            Pairs = [new("P", Demo.Block("lathe-loch-row-m"), "A")],
        };
        // no paste, one way with the films, no plate behind; its chips stand in a row
        Assert.All(
            (string[])["paste-die", "paste-lid", "films", "back-plate-screws", "stock-pads"],
            s => Assert.False(Asks(module, s), s)
        );
        Assert.Equal("strips", Asked(module, "cut").Default);
        Assert.Equal(PadCutting.Strips, Ways.From(module, new Dictionary<string, string>()).Cut);
        Assert.True(Asks(module, "modules-in"));
        var card = WorkOrder.Plain(Sample.Board(), Sample.Block());
        Assert.True(Asks(card, "paste-die"));
        Assert.False(Asks(card, "paste-lid"));
        Assert.False(Asks(card, "modules-in"));
    }
}
