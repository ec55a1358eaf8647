using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Orders of several pieces as steps: labels, verdicts, what stands between, fittings, stock plates and their screws.</summary>
public class OrderStepsTests
{
    private static readonly Materials.Drawer Drawer = new()
    {
        Materials = [Sample.Soft],
        Pastes = [new("t", Sample.Grey, 5, 24)],
    };

    private static JobPlan Plan(WorkOrder order, Dictionary<string, string>? ways = null) =>
        JobPlanner.Plan(
            new()
            {
                Order = order,
                Drawer = Drawer,
                Ways = ways ?? [],
            }
        );

    private static WorkStep Step(StationPlan sheet, string target) => sheet.Steps.First(s => s.Id.Target == target);

    private static StationPlan Match(Board board, Block? block = null) =>
        Plan(WorkOrder.Plain(board, block ?? Sample.Block())).Match.Sheet;

    [Theory]
    [InlineData("HT-1", "R1", BoardKind.GraphicsCard, "Compare the label on the card with HT-1 R1")]
    [InlineData("HT-1", "none", BoardKind.Mainboard, "Compare the label on the board with HT-1")]
    [InlineData("HT-1", "-", BoardKind.MemoryModule, "Compare the label on the module with HT-1")]
    [InlineData(
        "none",
        "none",
        BoardKind.GraphicsCard,
        "No label on this board: compare it bare with the drawing on the mat"
    )]
    [InlineData(
        " Unknown ",
        "R2",
        BoardKind.GraphicsCard,
        "No label on this board: compare it bare with the drawing on the mat"
    )]
    public void The_label_is_compared_where_there_is_one(string code, string revision, BoardKind kind, string title)
    {
        var step = Step(Match(Sample.Board() with { BoardCode = code, Revision = revision, Kind = kind }), "label");
        Assert.Equal(title, step.Title);
        Assert.Equal(
            title.StartsWith("No label", StringComparison.Ordinal) ? "The board agrees" : "The label agrees",
            step.Done
        );
    }

    [Fact]
    public void A_verdict_is_accepted_or_signed_knowing_it()
    {
        var good = Step(Match(Sample.Board()), "verdict");
        Assert.Equal("Read the verdict on Brineworks Full and accept it", good.Title);
        Assert.Null(good.Caution);
        var tall = Sample.Board(more: Sample.Part("C9", PartKind.Capacitor, 25, 10, 2, 2, 3.2));
        var bad = Step(Match(tall), "verdict");
        Assert.Equal("Read the verdict on Brineworks Full and choose another block, or sign knowing it", bad.Title);
        Assert.StartsWith("C9 (capacitor) meets", bad.Detail, StringComparison.Ordinal);
        Assert.Equal(["C9"], bad.Targets);
        Assert.NotNull(bad.Caution);
        Assert.True(Match(tall).Trouble);
        Assert.False(Match(Sample.Board()).Trouble);
        Assert.Equal("choose a block", Plan(WorkOrder.Plain(Sample.Board())).Match.Sheet.Summary);
    }

    private static Block Chip(params Join[] joins) => WorkOrderTests.Chip(joins: joins);

    private static Board Rows(int rows) =>
        Sample.Board() with
        {
            Outline = Sample.Rect(0, 20, 80, 120),
            Holes =
            [
                .. Enumerable
                    .Range(0, rows)
                    .SelectMany(i =>
                        new[] { -14.0, 14.0 }.Select(x => new BoardHole(
                            $"R{i}{(x < 0 ? "a" : "b")}",
                            x,
                            20 * i,
                            2.8,
                            HoleRole.Perimeter
                        ))
                    ),
            ],
            Parts =
            [
                .. Enumerable
                    .Range(0, rows)
                    .Select(i => Sample.Part($"V{i}", PartKind.PowerStage, 0, 20 * i, 18, 7, 2, Cooling.Must)),
            ],
        };

    private static WorkOrder Two(params Join[] joins) =>
        new() { Pieces = [new("A", Rows(2))], Pairs = [new("P", Chip(joins)), new("Q", Chip())] };

    [Fact]
    public void Joined_blocks_are_lowered_as_one_turned_pass_by_pass_and_evened_once_both_are_home()
    {
        var plan = Plan(Two(new Join("bridge", "out", new("Q", "in"), 28.3, 0.3)));
        var targets = plan.Mount.Sheet.Steps.Select(s => s.Id.Target).ToList();
        Assert.Equal("join-bridge", targets[0]);
        var join = plan.Mount.Sheet.Steps[0];
        Assert.Equal("Join block P and block Q by fitting bridge, port out to port in", join.Title);
        Assert.Contains("28.3 mm from port to port, ±0.3 mm", join.Detail, StringComparison.Ordinal);
        Assert.Equal([new Fact("2", "O-rings"), new Fact("28.3 mm", "port to port")], join.Facts);
        Assert.Equal(
            ["lower-joined P", "start P", "start Q", "turn-rest P", "turn-rest Q"],
            plan.Mount.Sheet.Steps.Skip(1).Take(5).Select(s => $"{s.Id.Target} {s.Pair}")
        );
        Assert.Equal(2, plan.Mount.Sheet.Steps[1].Acts.Count(a => a.Do == Verb.Lower));
        var even = Step(plan.Mount.Sheet, "even-bridge");
        Assert.Equal("Even the 4 screws of block P and block Q against each other", even.Title);
        Assert.True(
            targets.IndexOf("even-bridge") > targets.FindLastIndex(t => t.StartsWith("turn-", StringComparison.Ordinal))
        );
        Assert.DoesNotContain(
            Plan(Two()).Mount.Sheet.Steps,
            s => s.Id.Target.StartsWith("join-", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void What_stands_between_blocks_is_read_before_anything_is_bought()
    {
        var sheet = Plan(Two(new Join("bridge", "out", new("Q", "in"), 20, 0.1))).Match.Sheet;
        Assert.Equal(("a bridging fitting misses", true), (sheet.Summary, sheet.Trouble));
        Assert.Contains("Fitting bridge is 20.0 mm long", Step(sheet, "between").Detail, StringComparison.Ordinal);
        var fine = Plan(Two()).Match.Sheet;
        Assert.DoesNotContain(fine.Steps, s => s.Id.Target == "between");
        Assert.Equal(("all 2 blocks seat", false), (fine.Summary, fine.Trouble));
        // a third hot part that neither covers
        var bare = new WorkOrder { Pieces = [new("A", Rows(3))], Pairs = [new("P", Chip()), new("Q", Chip())] };
        Assert.Equal("all seat, 1 part needs a sink", Plan(bare).Match.Sheet.Summary);
        // a block more than there are rows
        var many = new WorkOrder { Pieces = [new("A", Rows(1))], Pairs = [new("P", Chip()), new("Q", Chip())] };
        Assert.Equal(
            ("blocks P and Q overlap", true),
            (Plan(many).Match.Sheet.Summary, Plan(many).Match.Sheet.Trouble)
        );
    }

    [Fact]
    public void Every_loop_is_filled_and_bled_before_power()
    {
        var fill = Step(Plan(Two()).Prove.Sheet, "fill");
        Assert.Equal("Fill the loop with coolant and bleed all 2 blocks", fill.Title);
        // a job that was bled under an earlier plan is bled
        Assert.Equal("prove.bleed", Assert.Single(fill.Once).ToString());
        var one = Plan(WorkOrder.Plain(Sample.Board(), Sample.Block())).Prove.Sheet.Steps;
        Assert.Equal("Fill the loop with coolant and bleed it", one.Single(s => s.Id.Target == "fill").Title);
    }

    [Fact]
    public void Cards_of_a_machine_go_into_their_slots_and_their_links_are_drawn_to_length()
    {
        var block = Sample.Block() with
        {
            BracketSlots = 2,
            HeightMm = 12,
            Ports = [new("in", "G1/4", 0, 0, "up", "in")],
        };
        var order = new WorkOrder
        {
            Pieces = [new("A", Sample.Board()), new("B", Sample.Board())],
            Pairs = [new("P", block, "A"), new("Q", block, "B")],
            Machine = new()
            {
                Id = "m",
                Name = "Bench machine",
                SlotPitchMm = 20,
                Cards = [new("A", null, null, "b", "k", 1), new("B", null, null, "b", "k", 4)],
                Links = [new(new("A", "in"), new("B", "in"), 55, 65, 1)],
            },
        };
        var steps = Plan(order).Mount.Sheet.Steps;
        var slots = steps.Where(s => s.Id.Target == "slot").ToList();
        Assert.Equal([null, "B"], slots.Select(s => s.Id.Scope));
        Assert.Equal("Stand card B in slot 4, its bracket screwed loosely", slots[1].Title);
        Assert.Equal("With its block it takes slots 4 to 5.", slots[1].Detail);
        var link = steps.Single(s => s.Id.Target == "link-1");
        Assert.EndsWith("by a rigid link, drawn to 60.0 mm", link.Title, StringComparison.Ordinal);
        Assert.Contains("seals from 55.0 to 65.0 mm", link.Detail, StringComparison.Ordinal);
    }

    /// <summary>A card whose stock back plate comes back: its screws sit in two holes of the block.</summary>
    private static Board WithPlate(Action<List<FastenerGroup>>? change = null, bool returns = true)
    {
        List<FastenerGroup> groups =
        [
            new()
            {
                Id = "B1",
                Driver = "T6",
                Count = 2,
                Face = Face.Back,
                Joins = ["plate", "board"],
                Holes = ["H1"],
                Places = [new(29, 29.9)],
            },
        ];
        change?.Invoke(groups);
        return Sample.Board() with
        {
            Assembly = new()
            {
                Pieces = [new("plate", "stock back plate", Face.Back) { Returns = returns }],
                Fasteners = groups,
                Bonds =
                [
                    new("p", ["plate", "board"], BondKind.Pads, 1, ["M9"], false),
                    new("q", ["plate", "board"], BondKind.Paste, null, ["U9"], false),
                ],
            },
        };
    }

    private static Block Perimeter()
    {
        var block = Sample.Block();
        return block with
        {
            Plates =
            [
                block.Plates[0] with
                {
                    Holes = [.. block.Plates[0].Holes.Select(h => h with { Role = HoleRole.Perimeter })],
                },
            ],
        };
    }

    private static IReadOnlyList<StockPlate> Plates(Board board, Block block) =>
        OrderFits.Judge(WorkOrder.Plain(board, block), new()).Pairs[0].On[0].Laid.Block.StockPlates;

    [Fact]
    public void A_stock_plate_that_comes_back_takes_the_blocks_screws_where_its_own_sat()
    {
        var plate = Assert.Single(Plates(WithPlate(), Perimeter()));
        // one hole is named, the other lies within 1.2 mm of a stated place
        Assert.Equal(["S1", "S3"], plate.UsesHoles.Order());
        Assert.Equal(("plate", "stock back plate"), (plate.Piece, plate.Name));
        Assert.Equal(["M9"], plate.Pads);
        Assert.Empty(Plates(WithPlate(returns: false), Perimeter()));
        Assert.Equal(
            ["S1"],
            Plates(WithPlate(g => g[0] = g[0] with { Places = [new(29, 30.3)] }), Perimeter())[0].UsesHoles
        );
        Assert.Empty(Plates(WithPlate(g => g[0] = g[0] with { Holes = [], Places = [new(0, 45)] }), Perimeter()));
    }

    [Fact]
    public void It_is_set_back_once_the_others_are_home_or_lies_under_from_the_start_when_the_die_ring_goes_through_it()
    {
        var later = Plan(WorkOrder.Plain(WithPlate(), Perimeter())).Mount.Sheet;
        var set = Step(later, "stock-plate-plate");
        Assert.Equal(
            "Set the stock back plate back with its pads and 2 of the block's screws, started loose, then firm",
            set.Title
        );
        Assert.StartsWith("New pads where its old ones tore: 1 behind the board", set.Detail, StringComparison.Ordinal);
        Assert.Equal(2, set.Count);
        Assert.Equal(2, Step(later, "start").Count);
        var under = Plan(WorkOrder.Plain(WithPlate(), Sample.Block()), new() { ["stock-pads"] = "reuse" }).Mount.Sheet;
        // a board that is lowered shows its back: the plate goes on from above, no pad and no paste lies under it
        Assert.Equal(["lower", "stock-plate-plate", "start"], under.Steps.Take(3).Select(s => s.Id.Target));
        var plate = under.Steps[1];
        Assert.StartsWith("Its stock pad stays on it", plate.Detail, StringComparison.Ordinal);
        Assert.Equal(4, Step(under, "start").Count);
        Assert.Contains(plate.Id, Step(under, "start").Locks);
    }

    [Fact]
    public void Small_turns_are_gone_round_several_times_in_a_step_and_no_more_than_six_are_signed()
    {
        var plan = Plan(WorkOrder.Plain(Sample.Board(), Sample.Block()), new() { ["increments"] = "quarter" });
        var told = plan.Mount.Pairs[0].Tightening!;
        var passes = plan.Mount.Sheet.Steps.Where(s => s.Pass is not null).ToList();
        Assert.True(told.Passes > 6);
        Assert.InRange(passes.Count, 2, 6);
        Assert.All(passes, p => Assert.Equal(passes.Count, p.Passes));
        // every turn of the simulation is in exactly one of them
        foreach (var hole in told.Order)
            Assert.Equal(
                told.Moves.Where(m => m.Hole == hole).Sum(m => m.Turns) * 360,
                passes.SelectMany(p => p.Turns).Where(t => t.Hole == hole).Sum(t => t.Target!.AngleDeg),
                1e-6
            );
        Assert.Contains("times round", passes[0].Title, StringComparison.Ordinal);
    }

    [Fact]
    public void A_cooled_back_plate_takes_the_place_of_front_screws_that_go_through_the_same_holes()
    {
        var behind = Sample.Block() with
        {
            Id = "behind",
            Kind = BlockKind.BackPlate,
            Plates =
            [
                new()
                {
                    Id = "back",
                    Face = Face.Back,
                    Outline = Sample.Rect(0, 0, 70, 70),
                    StandoffMm = 2,
                    Seat = Seat.Standoff,
                    Holes =
                    [
                        .. Sample
                            .Block()
                            .Plates[0]
                            .Holes.Take(2)
                            .Select(h => h with { Id = "B" + h.Id, Spring = null, StopMm = 2 }),
                    ],
                },
            ],
        };
        var order = new WorkOrder
        {
            Pieces = [new("A", Sample.Board())],
            Pairs = [new("P", Sample.Block()), new("Q", behind)],
        };
        var fit = OrderFits.Judge(order, new());
        var taken = fit.Pairs[0].On[0].Laid.Block.StockPlates;
        Assert.Equal("Q", Assert.Single(taken).Pair);
        Assert.Equal(2, taken[0].UsesHoles.Count);
        Assert.Empty(fit.Pairs[1].On[0].Laid.Block.StockPlates);
        // the board goes down on the plate only when the last round of the front's screws is home
        var steps = Plan(order).Mount.Sheet.Steps;
        Assert.Equal(
            [steps.Last(s => s.Kind == StepKind.Turn && s.Pair == "P").Id],
            steps.Single(s => s.Kind == StepKind.Lower && s.Pair == "Q").Locks.Where(l => l.Station == Station.Mount)
        );
        Assert.Equal(
            "Lay block Q behind the board, its holes over those left open",
            steps.Single(s => s.Kind == StepKind.Lower && s.Pair == "Q").Title
        );
        // each block's turns wait for its own start
        foreach (var turn in steps.Where(s => s is { Kind: StepKind.Turn, Pass: 1 }))
            Assert.Equal(steps.Single(s => s.Kind == StepKind.Start && s.Pair == turn.Pair).Id, turn.Locks[0]);
        // the kit needs the front's two own screws and the plate's two
        Assert.Equal(4, Plan(order).Kit.Lines.First(l => l.Group == "screws").Need);
    }

    [Theory]
    [InlineData(0, "It has no pads.")]
    [InlineData(1, "Its stock pad stays on it")]
    [InlineData(2, "Its 2 stock pads stay on it")]
    public void A_stock_plates_pads_are_counted(int pads, string says)
    {
        var board = WithPlate();
        board = board with
        {
            Assembly = board.Assembly! with
            {
                Bonds = [new("p", ["plate", "board"], BondKind.Pads, 1, [.. new[] { "M8", "M9" }.Take(pads)], false)],
            },
        };
        var sheet = Plan(WorkOrder.Plain(board, Perimeter()), new() { ["stock-pads"] = "reuse" }).Mount.Sheet;
        Assert.StartsWith(says, Step(sheet, "stock-plate-plate").Detail, StringComparison.Ordinal);
    }
}
