using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>
/// Mounting as steps: what is lowered onto what, what each screw does, and what is put on afterwards.
/// </summary>
public class MountStepsTests
{
    private static JobPlan Plan(Block? block = null, Board? board = null, Dictionary<string, string>? ways = null)
    {
        var plan = JobPlanner.Plan(
            new()
            {
                Order = WorkOrder.Plain(board ?? Sample.Board(), block ?? Sample.Block()),
                Drawer = new() { Materials = [Sample.Soft], Pastes = [new("t", Sample.Grey, 5, 24)] },
                Ways = ways ?? [],
            }
        );
        Assert.Empty(plan.Troubles);
        return plan;
    }

    private static IReadOnlyList<WorkStep> Steps(
        Block? block = null,
        Board? board = null,
        Dictionary<string, string>? ways = null
    ) => Plan(block, board, ways).Mount.Sheet.Steps;

    private static WorkStep Step(IReadOnlyList<WorkStep> steps, string target) =>
        steps.Single(s => s.Id.Target == target);

    private static Block Holes(Func<BlockHole, BlockHole> change)
    {
        var block = Sample.Block();
        return block with { Plates = [block.Plates[0] with { Holes = [.. block.Plates[0].Holes.Select(change)] }] };
    }

    [Fact]
    public void A_screw_that_would_strip_is_told_at_its_step_and_the_driver_goes_no_further()
    {
        // unsprung screws whose stops lie 0.09 mm under the die
        var plan = Plan(Holes(h => h with { Spring = null, StopMm = 2.01 }));
        Assert.Equal(("screws strip first", true), (plan.Mount.Sheet.Summary, plan.Mount.Sheet.Trouble));
        Assert.Equal(("screws strip first", true), (plan.Pads.Sheet.Summary, plan.Pads.Sheet.Trouble));
        Assert.Equal(("Screws strip first", true), (plan.Pads.Pairs[0].Verdict, plan.Pads.Pairs[0].Wrong));
        var moves = plan.Mount.Pairs[0].Tightening!.Moves;
        var passes = plan.Mount.Sheet.Steps.Where(s => s.Kind == StepKind.Turn).ToList();
        foreach (var (pass, of) in passes.Zip(moves.GroupBy(m => m.Pass)))
        {
            Assert.Equal(
                of.Any(m => m.Strips),
                (pass.Caution ?? "").StartsWith("Stop before a screw strips", StringComparison.Ordinal)
            );
            Assert.Equal(of.Any(m => m.Strips), pass.Facts.Any(f => f.Label == "the screw strips"));
        }
        // 0.2 · 2.5 mm · 1,967 N
        const double holds = 0.983;
        foreach (var (m, t) in moves.Zip(Turns(plan.Mount.Sheet.Steps)))
        {
            Assert.Equal(m.Strips, t.Caution is not null);
            Assert.True(t.Target!.TorqueNm <= holds + 1e-3 && t.Target.StartTorqueNm <= holds + 1e-3);
            Assert.Equal(m.Strips, t.Target.LimitNm is not null);
            Assert.Equal(holds, t.Target.LimitNm ?? holds, 1e-3);
            Assert.Equal(m.Strips, t.Facts.Any(f => f.Label == "the screw strips"));
        }
        Assert.Contains(moves, m => m.Strips);
        Assert.Contains(moves, m => !m.Strips);
        var sound = Plan();
        Assert.Equal((false, false), (sound.Mount.Sheet.Trouble, sound.Pads.Sheet.Trouble));
        Assert.Equal(("Every pad touches", false), (sound.Pads.Pairs[0].Verdict, sound.Pads.Pairs[0].Wrong));
    }

    [Fact]
    public void A_card_is_lowered_onto_its_block_and_a_block_onto_its_board()
    {
        var board = Step(Steps(ways: new() { ["who-moves"] = "board" }), "lower");
        Assert.Equal("Lower the board onto the block, holes visible from above", board.Title);
        Assert.Equal(Face.Back, board.Face);
        var block = Step(Steps(ways: new() { ["who-moves"] = "block" }), "lower");
        Assert.Equal("Lower the block onto the board", block.Title);
        Assert.Equal(Face.Front, block.Face);
        Assert.Equal("Do not press down while screwing.", block.Caution);
        Assert.Contains(
            "over the die only",
            Step(Steps(ways: new() { ["pressing"] = "light" }), "lower").Caution,
            StringComparison.Ordinal
        );
    }

    private static IEnumerable<ScrewTurn> Turns(IReadOnlyList<WorkStep> steps) => steps.SelectMany(s => s.Turns);

    /// <summary>The screws of the last pass.</summary>
    private static IReadOnlyList<ScrewTurn> Home(IReadOnlyList<WorkStep> steps) =>
        steps.Single(s => s.Done == "All home").Turns;

    [Theory]
    [InlineData("block", "above and right of the die")]
    [InlineData("board", "above and left of the die")]
    public void Left_and_right_are_said_as_they_are_seen(string mover, string where)
    {
        var steps = Steps(ways: new() { ["who-moves"] = mover });
        // S3 sits at +29, +29
        Assert.Equal(where, Turns(steps).First(t => t.Hole == "S3").Where);
    }

    [Theory]
    [InlineData(29, 0, "right of the die")]
    [InlineData(-29, 7.9, "left of the die")]
    [InlineData(0, 29, "above the die")]
    [InlineData(-7.9, -29, "below the die")]
    [InlineData(29, 8, "above and right of the die")]
    [InlineData(0, 0, "at the die")]
    [InlineData(8, 29, "above and right of the die")]
    public void A_screw_near_an_axis_lies_on_it(double x, double y, string where)
    {
        var corner = Sample.Block();
        var extra = corner.Plates[0].Holes[0] with { Id = "S5", X = x, Y = y, Required = false, Ring = 2 };
        var block = corner with { Plates = [corner.Plates[0] with { Holes = [.. corner.Plates[0].Holes, extra] }] };
        var steps = Steps(block, ways: new() { ["who-moves"] = "block" });
        Assert.Equal(where, Turns(steps).First(t => t.Hole == "S5").Where);
    }

    [Fact]
    public void Every_screw_is_started_before_one_is_turned()
    {
        var steps = Steps(Holes(h => h with { Washer = "plastic" }));
        var start = Step(steps, "start");
        Assert.Equal("Start 4 screws loose, plastic washer to the board", start.Title);
        Assert.Equal((4, CountOf.Screws, "T6"), (start.Count!.Value, start.Counted!.Value, start.Driver));
        Assert.Equal([new Fact("4", "screws")], start.Facts);
        // each pass waits for the one before it, the first for the start
        Assert.All(
            steps.Zip(steps.Skip(1)).Where(s => s.Second.Kind == StepKind.Turn),
            s => Assert.Equal([s.First.Id], s.Second.Locks)
        );
        Assert.StartsWith("No thread may bite", start.Detail, StringComparison.Ordinal);
    }

    [Fact]
    public void Each_turn_says_pass_degrees_load_and_tilt_and_ends_at_home()
    {
        var plan = Plan();
        var t = plan.Mount.Pairs[0].Tightening!;
        var passes = plan.Mount.Sheet.Steps.Where(s => s.Kind == StepKind.Turn).ToList();
        Assert.Equal(Enumerable.Range(1, t.Passes), passes.Select(s => s.Pass!.Value));
        foreach (var (pass, moves) in passes.Zip(t.Moves.GroupBy(m => m.Pass)))
        {
            Assert.Equal(moves.Select(m => m.Hole), pass.Turns.Select(x => x.Hole));
            Assert.Equal(
                (pass.Turns.Count, CountOf.Screws, t.Passes),
                (pass.Count!.Value, pass.Counted!.Value, pass.Passes!.Value)
            );
            Assert.Equal(
                [
                    "T6",
                    FormattableString.Invariant($"{moves.Max(m => m.LoadN):0} N"),
                    FormattableString.Invariant($"{moves.Max(m => m.TiltDeg):0.00}°"),
                ],
                pass.Facts.Select(f => f.Value)
            );
            Assert.Equal(moves.All(m => m.Home), pass.Done == "All home");
            // the caution stands where turning begins, and not on each pass again
            Assert.Equal(pass.Pass == 1, pass.Caution is not null);
            Assert.Equal(
                pass.Pass > 1 ? [passes[pass.Pass!.Value - 2].Id] : [],
                pass.Locks.Where(l => l.Target != "start")
            );
        }
        var turns = passes.SelectMany(s => s.Turns).ToList();
        foreach (var (move, turn) in t.Moves.Zip(turns))
        {
            Assert.Equal(move.Turns * 360, turn.Target!.AngleDeg, 9);
            Assert.Equal(move.Home ? "to the stop" : TurnWords.Format(move.Turns), turn.HowFar);
            Assert.Contains(move.Home ? "at home" : "afterwards", turn.Facts.Select(f => f.Label));
            Assert.Equal(plan.Mount.Pairs[0].Screws.Single(x => x.Hole == turn.Hole).Number, turn.Number);
        }
        // a screw's next turn starts at the torque its last one ended with
        foreach (var screw in t.Moves.Zip(turns).GroupBy(x => x.First.Hole))
        {
            var before = 0.0;
            foreach (var (move, turn) in screw)
            {
                Assert.Equal(before, turn.Target!.StartTorqueNm, 12);
                before = move.TorqueNm;
            }
            Assert.True(screw.Last().First.Home);
        }
    }

    [Theory]
    [InlineData(null, null, "stop", "to the stop")]
    [InlineData(null, "stop", "stop", "to the stop")]
    [InlineData(null, null, "grip", "until it grips, then an eighth turn")]
    [InlineData(null, "light", "stop", "lightly, no further")]
    [InlineData(null, "snug", "stop", "until it grips, then an eighth turn")]
    [InlineData(0.35, null, "stop", "to 0.35 N·m")]
    public void The_last_turn_says_what_ends_it(double? nm, string? finish, string tightness, string ends)
    {
        var steps = Steps(
            Holes(h => h with { TargetNm = nm, Finish = finish }),
            ways: new() { ["tightness"] = tightness }
        );
        Assert.All(Home(steps), t => Assert.Equal(ends, t.HowFar));
        if (nm is { } torque)
            Assert.All(Home(steps), t => Assert.Equal(torque, t.Target!.TorqueNm));
    }

    [Fact]
    public void Screws_of_the_back_plate_wait_for_it()
    {
        var block = Sample.Block() with
        {
            BackPlate = new() { Id = "back", UsesHoles = ["S2", "S4"] },
        };
        var steps = Steps(block);
        var start = Step(steps, "start");
        Assert.Equal(2, start.Count);
        Assert.Equal([new Fact("2", "screws"), new Fact("2", "stay out")], start.Facts);
        Assert.Equal("Leave 2 out: S2, S4 hold the back plate.", start.Detail);
        var back = Step(steps, "back-plate");
        Assert.Equal("Set the back plate with its pads and 2 screws, started loose, then firm", back.Title);
        Assert.Equal((2, Face.Back), (back.Count!.Value, back.Face));
        Assert.Equal(["S2", "S4"], back.Targets.Order());
        Assert.Equal("Its own pads and washers; nothing may short.", back.Detail);
        var all = Steps(block, ways: new() { ["back-plate-screws"] = "all" });
        Assert.Equal(4, Step(all, "start").Count);
        Assert.StartsWith("Take 2 screws out again", Step(all, "back-plate").Title, StringComparison.Ordinal);
        var bridged = block with { BackPlate = block.BackPlate! with { PasteBridge = Sample.Rect(0, 0, 30, 20) } };
        Assert.StartsWith(
            "Paste first where it meets the block, 6 cm²",
            Step(Steps(bridged), "back-plate").Detail,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Bracket_plugs_and_leads_come_when_every_screw_is_home()
    {
        var block = Sample.Block() with
        {
            BracketSlots = 1,
            Headers = ["LIGHT", "FAN"],
            Ports = [.. Enumerable.Range(1, 4).Select(i => new Port($"P{i}", "G1/4", 9 * i, 0, "up", null))],
        };
        var steps = Steps(block, Sample.Board() with { Slots = 2 });
        Assert.Equal(["bracket", "fittings", "plugs", "headers"], steps.TakeLast(4).Select(s => s.Id.Target));
        Assert.Equal("Fit the 1-slot bracket", Step(steps, "bracket").Title);
        var plugs = Step(steps, "plugs");
        Assert.Equal(
            ("Plug ports P3 and P4 of the block", 2, CountOf.Ports),
            (plugs.Title, plugs.Count!.Value, plugs.Counted!.Value)
        );
        Assert.Equal("Screw a fitting into ports P1 and P2 of the block", Step(steps, "fittings").Title);
        Assert.Equal("Plug the LIGHT and FAN lead, polarity checked", Step(steps, "headers").Title);
        // a board without a bracket gets none; one port is one port
        var bare = Steps(block with { Ports = [.. block.Ports.Take(3)] });
        Assert.DoesNotContain(bare, s => s.Id.Target == "bracket");
        Assert.Equal(
            ("1 port plugged", "Plug port P3 of the block"),
            (Step(bare, "plugs").Done, Step(bare, "plugs").Title)
        );
    }

    [Fact]
    public void Without_paste_screws_go_home_one_by_one()
    {
        var plan = JobPlanner.Plan(
            new()
            {
                Order = WorkOrder.Plain(Sample.Board(), Sample.Block()),
                Drawer = new() { Materials = [Sample.Soft] },
            }
        );
        var pass = Assert.Single(plan.Mount.Sheet.Steps, s => s.Kind == StepKind.Turn);
        Assert.Equal("Turn 4 screws home in order, little by little", pass.Title);
        Assert.Equal(pass.Turns.Select(t => $"mount.home-{t.Hole}"), pass.Once.Select(o => o.ToString()));
        Assert.Equal("4 screws", plan.Mount.Sheet.Summary);
    }

    [Fact]
    public void The_station_says_how_many_screws_and_how_far_at_a_time()
    {
        Assert.Equal(
            "4 screws, a quarter turn at a time",
            Plan(ways: new() { ["increments"] = "quarter" }).Mount.Sheet.Summary
        );
        Assert.Equal("4 screws, two turns at a time", Plan(ways: new() { ["increments"] = "two" }).Mount.Sheet.Summary);
        Assert.Equal(
            "4 screws, each to its stop at a time",
            Plan(ways: new() { ["increments"] = "home" }).Mount.Sheet.Summary
        );
        Assert.Equal(
            "waits for a block",
            JobPlanner.Plan(new() { Order = WorkOrder.Plain(Sample.Board()) }).Mount.Sheet.Summary
        );
    }

    [Fact]
    public void Halves_close_round_the_board_and_what_dropped_out_is_put_back()
    {
        var block = Sample.Block() with
        {
            Halves =
            [
                new("up", Face.Front, "main", false, []),
                new("low", Face.Back, "other", true, ["terminal", "O-ring"]),
            ],
        };
        var steps = Steps(block, ways: new() { ["who-moves"] = "block" });
        var lower = Step(steps, "lower");
        Assert.StartsWith(
            "Lay the back half on its box and lower the board into it",
            lower.Title,
            StringComparison.Ordinal
        );
        var close = Step(steps, "close-up");
        Assert.Equal("Close the front half over the board, holes in line", close.Title);
        Assert.StartsWith("Terminal, O-ring back in their seats", close.Detail, StringComparison.Ordinal);
        Assert.Equal(["S1", "S2", "S3", "S4"], close.Targets);
        Assert.Empty(lower.Targets);
        // seen from behind, the front half lies below
        var turned = Steps(block, ways: new() { ["who-moves"] = "board" });
        Assert.StartsWith("Lay the front half", Step(turned, "lower").Title, StringComparison.Ordinal);
        Assert.Equal(Face.Back, Step(turned, "lower").Face);
        Assert.Equal(Face.Front, Step(turned, "close-low").Face);
        Assert.Equal((Face.Front, Face.Front), (lower.Face, close.Face));
        Assert.Equal(("Board lies in it", "Closed, holes line up"), (lower.Done, close.Done));
        Assert.StartsWith("Pads and paste are on.", lower.Detail, StringComparison.Ordinal);
        var plain = block with { Halves = [.. block.Halves.Select(h => h with { DropParts = [] })] };
        Assert.Equal(
            "The drive's plug stays in reach.",
            Step(Steps(plain, ways: new() { ["who-moves"] = "block" }), "close-up").Detail
        );
    }

    [Fact]
    public void The_second_board_is_lowered_when_the_first_ones_screws_are_home()
    {
        var plan = JobPlanner.Plan(
            new()
            {
                Order = WorkOrderTests.Clamped(20, 100, 10),
                Drawer = new() { Materials = [Sample.Soft], Pastes = [new("t", Sample.Grey, 5, 24)] },
            }
        );
        var steps = plan.Mount.Sheet.Steps;
        var lowers = steps.Where(s => s.Kind == StepKind.Lower).ToList();
        Assert.Equal(["A", "B"], lowers.Select(s => s.Board));
        Assert.DoesNotContain(lowers[0].Locks, l => l.Station == Station.Mount);
        var first = steps.Where(s => s.Kind == StepKind.Turn && s.Board == "A").ToList();
        Assert.True(first.Count > 1);
        Assert.Equal([first[^1].Id], lowers[1].Locks.Where(l => l.Station == Station.Mount));
        Assert.StartsWith("Lower board B onto the block", lowers[1].Title, StringComparison.Ordinal);
        // each board's screws wait for that board's start
        foreach (var turn in steps.Where(s => s is { Kind: StepKind.Turn, Pass: 1 }))
            Assert.Equal(steps.Single(s => s.Kind == StepKind.Start && s.Board == turn.Board).Id, turn.Locks[0]);
    }

    [Fact]
    public void One_screw_is_one_screw()
    {
        var block = Sample.Block() with
        {
            BackPlate = new() { Id = "back", UsesHoles = ["S2"] },
        };
        var steps = Steps(block);
        Assert.Equal("Leave 1 out: S2 holds the back plate.", Step(steps, "start").Detail);
        Assert.Equal([new Fact("3", "screws"), new Fact("1", "stay out")], Step(steps, "start").Facts);
        var back = Step(steps, "back-plate");
        Assert.Equal("Set the back plate with its pads and 1 screw, started loose, then firm", back.Title);
        Assert.Equal(("Back plate on, 1 screw", 1), (back.Done, back.Count!.Value));
        Assert.StartsWith(
            "Take 1 screw out again",
            Step(Steps(block, ways: new() { ["back-plate-screws"] = "all" }), "back-plate").Title,
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData(BlockKind.Chip, "until it grips, then a quarter turn, half at most")]
    [InlineData(BlockKind.PowerStage, "until it grips, then a quarter turn, half at most")]
    [InlineData(BlockKind.FullCover, "until it grips, then an eighth turn")]
    public void Small_blocks_on_pads_are_turned_further_after_the_grip(BlockKind kind, string ends)
    {
        var steps = Steps(Holes(h => h with { Finish = "snug" }) with { Kind = kind });
        Assert.All(Home(steps), t => Assert.Equal(ends, t.HowFar));
    }

    [Fact]
    public void What_is_not_there_has_no_step_and_a_good_plan_is_no_trouble()
    {
        var plan = Plan();
        Assert.False(plan.Mount.Sheet.Trouble);
        var targets = plan.Mount.Sheet.Steps.Select(s => s.Id.Target).ToList();
        foreach (var none in new[] { "plugs", "headers", "bracket", "back-plate" })
            Assert.DoesNotContain(none, targets);
        Assert.True(JobPlanner.Plan(new() { Order = WorkOrder.Plain(Sample.Board()) }).Mount.Sheet.Trouble);
    }

    [Fact]
    public void A_pair_is_found_by_block_and_board_and_each_board_has_its_own_holes()
    {
        var plan = JobPlanner.Plan(
            new()
            {
                Order = new()
                {
                    Pieces = [new("A", Sample.Board()), new("B", Sample.Board())],
                    Pairs = [new("P", Sample.Block(), "B")],
                },
                Drawer = new() { Materials = [Sample.Soft], Pastes = [new("t", Sample.Grey, 5, 24)] },
            }
        );
        Assert.Same(plan.Mount.Pairs[0], plan.Mount.Find("P", "B"));
        Assert.Null(plan.Mount.Find("P", "A"));
        Assert.Null(plan.Mount.Find("Q", "B"));
        Assert.Equal(["A", "B"], plan.Mount.Holes.Select(h => h.Board));
        Assert.All(plan.Mount.Holes[0].Rows, r => Assert.Null(r.BlockHole));
        Assert.All(plan.Mount.Holes[1].Rows, r => Assert.NotNull(r.BlockHole));
    }

    [Fact]
    public void The_screws_of_all_blocks_are_counted()
    {
        var plan = JobPlanner.Plan(
            new()
            {
                Order = new()
                {
                    Pieces = [new("A", Sample.Board()), new("B", Sample.Board())],
                    Pairs = [new("P", Sample.Block(), "A"), new("Q", Sample.Block(), "B")],
                },
                Drawer = new() { Materials = [Sample.Soft] },
                Ways = new Dictionary<string, string> { ["who-moves"] = "block" },
            }
        );
        Assert.Equal("8 screws", plan.Mount.Sheet.Summary);
        Assert.Equal("Lower block Q onto board B", plan.Mount.Sheet.Steps.Last(s => s.Kind == StepKind.Lower).Title);
    }
}
