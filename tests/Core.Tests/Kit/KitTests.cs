using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Kit;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What an order needs, counted by hand against its kit and the drawer.</summary>
public class KitTests
{
    private static readonly KitNeeds Paste = new([], 0.3, null);

    private static IReadOnlyList<KitLine> Count(Block block, Drawer drawer, KitNeeds? needs = null) =>
        KitCheck.Check(WorkOrder.Plain(Sample.Board(), block), drawer, needs ?? KitNeeds.Nothing);

    private static Block With(KitContents? kit, Func<BlockHole, BlockHole>? hole = null, int ports = 0)
    {
        var block = Sample.Block();
        var plate = block.Plates[0];
        return block with
        {
            Kit = kit,
            Ports = [.. Enumerable.Range(1, ports).Select(i => new Port($"P{i}", "G1/4", 10 * i, 0, "front", null))],
            Plates = [plate with { Holes = [.. plate.Holes.Select(hole ?? (h => h))] }],
        };
    }

    private static Drawer Screws(params (double Length, int Count)[] lengths) =>
        new() { Screws = [.. lengths.Select((s, i) => new ScrewStock($"s{i}", "M2.5", s.Length, s.Count))] };

    private static Drawer Holds(params Consumable[] things) => new() { Consumables = things };

    [Fact]
    public void Screws_of_the_kits_length_come_from_the_drawer_where_the_kit_has_too_few()
    {
        var kit = new KitContents { Screws = [new("M2.5", 6, 1, null, null), new("M3", 8, 9, null, null)] };
        var drawer = Screws((6, 2), (8, 50)) with
        {
            Screws = [.. Screws((6, 2), (8, 50)).Screws, new("other", "M3", 6, 70)],
        };
        Assert.Equal(new KitLine("screws", "screws M2.5", 4, "", 1, 2, 1), Count(With(kit), drawer)[0]);
        // a kit without screws states no length: any of the thread counts
        Assert.Equal(new KitLine("screws", "screws M2.5", 4, "", 0, 52, 0), Count(With(null), drawer)[0]);
    }

    [Fact]
    public void A_hole_without_a_stated_thread_is_counted_by_its_screws_diameter()
    {
        var lines = Count(With(null, h => h with { Thread = h.Id == "S1" ? "M2.5" : null, ScrewMm = 3 }), Drawer.Empty);
        Assert.Equal(3, lines.Single(l => l.Name == "screws M3").Need);
        Assert.Equal(1, lines.Single(l => l.Name == "screws M2.5").Need);
    }

    [Fact]
    public void Washers_come_with_their_screws_or_from_the_drawer()
    {
        var kit = new KitContents { Screws = [new("M2.5", 6, 2, null, "plastic"), new("M2.5", 6, 2, null, null)] };
        var block = With(kit, h => h with { Washer = h.Id == "S4" ? null : "plastic" });
        var drawer = Holds(new("w", "plastic washer", 5, "", 0, null), new("x", "steel washer", 70, "", 0, null));
        Assert.Equal(
            new KitLine("washers", "plastic washers", 3, "", 2, 5, 0),
            Count(block, drawer).Single(l => l.Group == "washers")
        );
        Assert.DoesNotContain(Count(With(kit), drawer), l => l.Group == "washers");
    }

    [Fact]
    public void Pads_are_counted_in_square_centimetres_with_what_cutting_loses_and_stock_rounded_down()
    {
        var kit = new KitContents { Pads = [new(1, 39, 10, 2, "soft", null), new(1.5, 100, 100, 1, "soft", null)] };
        var drawer = new Drawer
        {
            Pads =
            [
                new("a", "soft", 1, 33, 50, 1, true),
                new("b", "firm", 1, 100, 100, 9, false),
                new("c", "soft", 1.5, 100, 100, 9, false),
            ],
        };
        var lines = Count(
            With(kit),
            drawer,
            new([new(1.5, "soft", 60), new(1, "soft", 900), new(1, "soft", 900)], 0, null)
        );
        // 18 cm² of pieces and 15 % that cutting takes; 7.8 cm² in the kit, 16.5 cm² in the drawer
        Assert.Equal(
            [
                new("pads", "pad 1.0 mm soft", 21, "cm²", 7, 16, 0),
                new("pads", "pad 1.5 mm soft", 1, "cm²", 100, 900, 0),
            ],
            lines.Where(l => l.Group == "pads")
        );
        var bare = Count(With(null), Drawer.Empty, new([new(1, "soft", 900)], 0, null));
        Assert.Equal(11, bare.Single(l => l.Group == "pads").Short);
    }

    [Fact]
    public void Paste_comes_from_the_kit_and_from_the_tube_it_is_calculated_with()
    {
        PasteStock Tube(string id, double grams) => new(id, Sample.Grey with { Id = id }, grams, 24);
        var kit = new KitContents { PasteG = 0.1 };
        KitLine Of(KitNeeds needs, params PasteStock[] tubes) =>
            Count(With(kit), new() { Pastes = tubes }, needs).Single(l => l.Group == "paste");
        Assert.Equal(new("paste", "paste", 0.3, "g", 0.1, 0.05, 0.15), Of(Paste, Tube("grey", 0.05)));
        Assert.Equal(2, Of(new([], 0.3, "white"), Tube("grey", 0.05), Tube("white", 2)).FromDrawer);
        Assert.DoesNotContain(Count(With(kit), Drawer.Empty), l => l.Group == "paste");
    }

    [Theory]
    [InlineData(2, null)]
    [InlineData(3, 1.0)]
    [InlineData(5, 3.0)]
    public void Ports_that_the_loop_does_not_take_are_plugged(int ports, double? need)
    {
        var lines = Count(
            With(new() { Plugs = 1 }, ports: ports),
            Holds(new Consumable("p", "port plug", 1, "", 0, null))
        );
        var plugs = lines.SingleOrDefault(l => l.Group == "plugs");
        Assert.Equal(need, plugs?.Need);
        if (plugs is not null)
            Assert.Equal((1.0, 1.0, Math.Max(0, ports - 4.0)), (plugs.FromKit, plugs.FromDrawer, plugs.Short));
    }

    [Fact]
    public void A_driver_lies_in_the_kit_or_in_the_drawer_and_is_asked_for_once()
    {
        var board = Sample.Board() with
        {
            Assembly = new()
            {
                Fasteners =
                [
                    new()
                    {
                        Id = "a",
                        Driver = "PH1",
                        Count = 2,
                        Face = Face.Front,
                    },
                    new()
                    {
                        Id = "b",
                        Driver = "PH1",
                        Count = 4,
                        Face = Face.Front,
                    },
                    new()
                    {
                        Id = "c",
                        Driver = "H2",
                        Count = 1,
                        Face = Face.Front,
                    },
                ],
            },
        };
        var kit = new KitContents { Screws = [new("M2.5", 6, 4, "T6", null)], Keys = ["H2"] };
        var lines = KitCheck.Check(
            WorkOrder.Plain(board, With(kit)),
            new() { Tools = [new("t", "T6")] },
            KitNeeds.Nothing
        );
        Assert.Equal(
            [
                new("drivers", "driver H2", 1, "", 1, 0, 0),
                new("drivers", "driver PH1", 1, "", 0, 0, 1),
                new("drivers", "driver T6", 1, "", 0, 1, 0),
            ],
            lines.Where(l => l.Group == "drivers")
        );
    }

    private static WorkStep Does(StepKind kind, params Act[] acts) =>
        new()
        {
            Id = new(Station.Prep, null, "x"),
            Kind = kind,
            Title = $"",
            Done = "",
            Acts = acts,
        };

    private static ThingId OnBoard(string part) => new(ThingKind.Face, "A", part);

    [Fact]
    public void Acts_need_each_tool_once_and_as_much_stuff_as_all_of_them_use()
    {
        var order = WorkOrder.Plain(Sample.Board(), With(new() { Keys = ["HEX2"] }, ports: 1));
        ThingId lead = new(ThingKind.Lead, "A", "W1"),
            block = new(ThingKind.Block, "P");
        List<WorkStep> steps =
        [
            Does(StepKind.Unplug, new Act(Verb.Unplug, lead)),
            Does(StepKind.Unplug, new Act(Verb.Unplug, lead)),
            Does(StepKind.Clean, [.. Enumerable.Range(0, 5).Select(i => new Act(Verb.Clean, OnBoard($"M{i}")))]),
            Does(StepKind.Clean, new Act(Verb.Clean, OnBoard("U1"))) with
            {
                TimerS = 60,
            },
            Does(StepKind.Coat, new Act(Verb.Coat, OnBoard("C1"))),
            Does(StepKind.Rebuild, new Act(Verb.Open, block)),
            Does(StepKind.Plug, new Act(Verb.Fit, new(ThingKind.Fitting, "P", "P1"))),
            Does(StepKind.LeakTest),
        ];
        var drawer = Holds(
            new("a", "Alcohol", 4, "mL", 50, null),
            new("r", "stripper", 20, "mL", 5, 60),
            new("g", "gloves", 3, "pairs", 0, null)
        ) with
        {
            Tools = [new("s", "plastic spudger")],
        };
        Assert.Equal(
            [
                new("fittings", "G1/4 fitting", 1, "", 0, 0, 1),
                new("tools", "plastic spudger", 1, "", 0, 1, 0),
                new("tools", "opening key", 1, "", 1, 0, 0),
                new("tools", "leak tester", 1, "", 0, 0, 1),
                new("consumables", "alcohol", 6, "mL", 0, 4, 2),
                new("consumables", "lint-free cloth", 2, "pieces", 0, 0, 2),
                new("consumables", "stripper", 1, "mL", 0, 20, 0),
                new("consumables", "insulating coat", 1, "mL", 0, 0, 1),
                new KitLine("consumables", "gloves", 1, "pair", 0, 3, 0),
            ],
            KitCheck.Used(order, drawer, steps)
        );
    }

    [Fact]
    public void Screw_places_that_another_blocks_screws_take_need_none_of_its_own()
    {
        var order = WorkOrder.Plain(Sample.Board(), Sample.Block());
        HashSet<(string, string)> taken = [(Pair.FirstKey, "S1"), ("Q", "S2")];
        Assert.Equal(3, KitCheck.Check(order, Drawer.Empty, KitNeeds.Nothing, null, taken)[0].Need);
    }

    [Theory]
    [InlineData(0, "all here")]
    [InlineData(1, "1 × screws M2.5 short")]
    [InlineData(3, "1 × screws M2.5 short, 2 more")]
    public void The_station_says_the_first_that_is_short_and_how_many_more(int missing, string summary)
    {
        var kit = new KitContents { Screws = [new("M2.5", 6, missing > 0 ? 3 : 4, "T6", null)] };
        var drawer = missing > 1 ? Drawer.Empty : new Drawer { Tools = [new("t", "T6")] };
        var result = Planned(
            WorkOrder.Plain(Sample.Board(), With(kit)),
            drawer,
            missing > 1 ? Paste : KitNeeds.Nothing
        );
        Assert.Equal(summary, result.Sheet.Summary);
        Assert.Equal(missing > 0, result.Sheet.Trouble);
        Assert.Equal(missing, result.Short.Count);
        var count = result.Sheet.Steps.Single(s => s.Id.Target == "count");
        Assert.Equal(missing > 0, count.Detail!.ToString().StartsWith("Short: ", StringComparison.Ordinal));
        // the card is run before its seal is broken
        Assert.Contains("Warranty", result.Sheet.Steps.Single(s => s.Id.Target == "stock-run").Caution);
    }

    [Fact]
    public void A_box_that_nobody_listed_is_not_all_here()
    {
        var drawer = new Drawer { Tools = [new("t", "T6")], Screws = [new("a", "M2.5", 6, 40)] };
        var bare = Sample.Block() with { Kit = null };
        var result = Planned(WorkOrder.Plain(Sample.Board(), bare), drawer, KitNeeds.Nothing);
        Assert.Empty(result.Short);
        Assert.Equal("box not listed", result.Sheet.Summary);
        Assert.Contains("by thread, not by length", result.Sheet.Steps[0].Detail, StringComparison.Ordinal);
    }

    [Fact]
    public void Without_a_block_nothing_is_counted()
    {
        var result = Planned(WorkOrder.Plain(Sample.Board()), Drawer.Empty, Paste);
        Assert.Equal("waits for a block", result.Sheet.Summary);
        Assert.Empty(result.Lines);
        Assert.False(result.Sheet.Trouble);
    }

    private static KitResult Planned(WorkOrder order, Drawer drawer, KitNeeds needs) =>
        new KitStation { Needs = needs }.Plan(Sample.Context(order, drawer), EarlierResults.None);

    private static SocketFit Fit(string socket, string? jet, double? mm) =>
        new(socket, null, null, jet, null, null, null) { JetPlateMm = mm };

    [Theory]
    [InlineData(0.95, "J1", true)]
    [InlineData(1.05, "J1", true)]
    [InlineData(1.07, null, false)]
    [InlineData(1.11, "J2", false)]
    [InlineData(1.20, "J2", false)]
    public void The_nearest_jet_plate_within_a_calipers_reach_is_the_one(double mm, string? name, bool right)
    {
        var block = Sample.Block() with
        {
            Sockets =
            [
                Fit("gull", "J1", 1.0),
                Fit("heron", "J2", 1.16),
                Fit("crane", "J4", null),
                Fit("ibis", null, 1.3),
            ],
        };
        var told = JetPlates.Tell(block, "gull", mm);
        Assert.Equal((name, right), (told.Name, told.Right));
        Assert.Equal(mm, told.MeasuredMm);
    }

    [Fact]
    public void One_jet_plate_for_two_sockets_is_right_for_both_and_a_wrong_one_says_whose_it_is()
    {
        var block = Sample.Block() with
        {
            Sockets = [Fit("gull", "J1", 1.0), Fit("heron", "J1", 1.0), Fit("crane", "J2", 1.4)],
        };
        Assert.True(JetPlates.Tell(block, "heron", 1.02).Right);
        Assert.Contains("socket crane", JetPlates.Tell(block, "gull", 1.38).Text, StringComparison.Ordinal);
        Assert.Contains("Crane 7", JetPlates.Tell(block, "gull", 1.38, _ => "Crane 7").Text, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(0.94, "J1", true)]
    [InlineData(0.96, "J2", false)]
    public void Of_two_jet_plates_within_reach_the_nearer_is_told_in_words(double mm, string name, bool right)
    {
        var block = Sample.Block() with { Sockets = [Fit("heron", "J2", 1.0), Fit("gull", "J1", 0.9)] };
        var told = JetPlates.Tell(block, "gull", mm);
        Assert.Equal((name, right), (told.Name, told.Right));
        Assert.Equal(right, told.Text.ToString().EndsWith("the right one.", StringComparison.Ordinal));
        Assert.Equal(!right, told.Text.ToString().EndsWith("Put it back in the bag.", StringComparison.Ordinal));
    }

    [Fact]
    public void What_two_kits_and_two_places_of_the_drawer_hold_is_added_up()
    {
        KitContents Kit(double gram, int plugs) =>
            new()
            {
                PasteG = gram,
                Plugs = plugs,
                Screws =
                [
                    new("M2.5", 6, 1, "T6", "plastic"),
                    new("M2.5", 8, 1, "T6", "plastic"),
                    new("M2", 4, 5, "T6", "steel"),
                ],
            };
        var block = With(Kit(0.1, 1), h => h with { Washer = "plastic" }, ports: 4);
        var other = With(Kit(0.25, 2), h => h with { Washer = "plastic" }, ports: 5) with { Id = "other" };
        var plain = WorkOrder.Plain(Sample.Board(), block);
        var order = plain with
        {
            Pieces = [.. plain.Pieces, new("B", Sample.Board())],
            Pairs = [.. plain.Pairs, new("Q", other, "B")],
        };
        var drawer = Holds(
            new("a", "port plug", 1, "", 0, null),
            new("b", "port plug", 1, "", 0, null),
            new("c", "plastic washer", 1, "", 0, null)
        );
        var lines = KitCheck.Check(order, drawer, new([], 1, null));
        Assert.Equal(0.35, lines.Single(l => l.Name == "paste").FromKit);
        // two of each block's ports are the loop's
        Assert.Equal(new KitLine("plugs", "port plugs G1/4", 5, "", 3, 2, 0), lines.Single(l => l.Group == "plugs"));
        Assert.Equal(
            new KitLine("washers", "plastic washers", 8, "", 4, 1, 3),
            lines.Single(l => l.Group == "washers")
        );
    }

    [Fact]
    public void Boxes_are_counted_by_block_and_the_first_run_is_named_by_what_lies_on_the_mat()
    {
        var one = Planned(WorkOrder.Plain(Sample.Board(), With(null)), Drawer.Empty, Paste);
        Assert.Equal("Open the block's box and count it against the list", one.Sheet.Steps[0].Title);
        Assert.EndsWith(
            "with its stock cooler and take the before reading",
            one.Sheet.Steps[^1].Title,
            StringComparison.Ordinal
        );
        Assert.Contains("0.3 g paste", one.Sheet.Steps[0].Detail, StringComparison.Ordinal);
        var plain = WorkOrder.Plain(Sample.Board(), With(null));
        var two = Planned(
            plain with
            {
                Pieces = [.. plain.Pieces, new("B", Sample.Board())],
                Pairs = [.. plain.Pairs, new("Q", With(null) with { Id = "other" }, "B")],
            },
            Drawer.Empty,
            Paste
        );
        Assert.Equal("Open the boxes of the 2 blocks and count them against the list", two.Sheet.Steps[0].Title);
    }
}
