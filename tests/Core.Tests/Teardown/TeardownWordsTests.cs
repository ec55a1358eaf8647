using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Teardown;
using FaithfulBracket.Core.Words;
using FaithfulBracket.Core.Words.Teardown;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Why a step of the strip-down comes now, and what keeps the board whole while it is done.</summary>
public class TeardownWordsTests
{
    private static FastenerGroup Group(string id, string driver, Face face, int count, params string[] joins) =>
        new()
        {
            Id = id,
            Driver = driver,
            Thread = "M2.5",
            LengthMm = 5,
            Count = count,
            Face = face,
            Joins = [.. joins, "board"],
        };

    private static readonly Assembly Cooler = new()
    {
        Pieces = [new("cooler", "cooler", Face.Front)],
        Fasteners = [Group("P", "T6", Face.Back, 6, "cooler")],
    };

    private static TeardownPlan Plan(Assembly assembly, params Part[] parts) =>
        TeardownPlanner.Plan(Sample.Board(more: parts) with { Assembly = assembly });

    private static TeardownStep Step(TeardownPlan plan, string target) => plan.Steps.Single(s => s.Target == target);

    [Fact]
    public void Screws_say_which_driver_and_whether_it_changes()
    {
        var plan = Plan(
            Cooler with
            {
                Fasteners =
                [
                    Group("A", "T6", Face.Back, 4, "cooler"),
                    Group("B", "T6", Face.Back, 2, "cooler"),
                    Group("C", "PH1", Face.Back, 1, "cooler") with
                    {
                        Thread = null,
                        LengthMm = null,
                    },
                ],
            }
        );
        var words = plan.Steps.Where(s => s.Action == TeardownAction.Unscrew).Select(s => s.Why).ToList();
        Assert.StartsWith("First driver: ", words[0], StringComparison.Ordinal);
        Assert.Equal(1, words.Count(w => w == "Same driver as before."));
        Assert.Equal(1, words.Count(w => w.ToString().StartsWith("Change to ", StringComparison.Ordinal)));
        Assert.Equal("4 × M2.5 × 5", Step(plan, "A").Name);
        Assert.Equal("1 × PH1", Step(plan, "C").Name);
    }

    [Fact]
    public void Hidden_sealed_and_ring_screws_say_so_and_what_hides_others_comes_first()
    {
        var plan = Plan(
            new()
            {
                Pieces = [new("cooler", "cooler", Face.Front), new("plate", "back plate", Face.Back)],
                Fasteners =
                [
                    Group("O", "T6", Face.Back, 4, "plate"),
                    Group("H", "T6", Face.Back, 2, "cooler") with
                    {
                        HiddenBy = "plate",
                    },
                    Group("S", "T6", Face.Back, 1, "cooler") with
                    {
                        Seal = true,
                    },
                    Group("R", "T6", Face.Back, 4, "cooler") with
                    {
                        Ring = "retention",
                        SpringLoaded = true,
                    },
                ],
            }
        );
        Assert.Contains("Other screws lie behind what these hold.", Step(plan, "O").Why, StringComparison.Ordinal);
        Assert.Contains("Now reachable: the back plate hid them.", Step(plan, "H").Why, StringComparison.Ordinal);
        Assert.Contains("under the warranty seal", Step(plan, "S").Why, StringComparison.Ordinal);
        Assert.Contains("after its peers", Step(plan, "R").Why, StringComparison.Ordinal);
        // the loosening order is told whatever else is
        Assert.StartsWith(
            "Loosen them in a cross pattern, one turn each",
            Step(plan, "R").Advice[0],
            StringComparison.Ordinal
        );
        Assert.Equal("4 × M2.5 × 5, die ring", Step(plan, "R").Name);
        Assert.Contains(TeardownReasonsWords.SpringsUnderLoad, Step(plan, "R").Advice);
        Assert.Contains(
            "Support the cooler while you remove the last screws",
            Step(plan, "R").Advice[1],
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void The_last_screws_from_behind_are_taken_out_with_a_hand_under_the_piece()
    {
        var plan = Plan(
            Cooler with
            {
                Fasteners = [Group("A", "T6", Face.Back, 4, "cooler"), Group("B", "T6", Face.Back, 2, "cooler")],
            }
        );
        var screws = plan.Steps.Where(s => s.Action == TeardownAction.Unscrew).ToList();
        Assert.Empty(screws[0].Advice);
        Assert.StartsWith("Support the cooler", screws[1].Advice.Single(), StringComparison.Ordinal);
        // from the front nothing falls
        Assert.Empty(Step(Plan(Cooler with { Fasteners = [Group("A", "T6", Face.Front, 4, "cooler")] }), "A").Advice);
    }

    [Theory]
    [InlineData("squeeze", nameof(TeardownReasonsWords.SqueezeLatchPullPlugNeverWires))]
    [InlineData("pull-tab", nameof(TeardownReasonsWords.PullTabStraightOut))]
    [InlineData("lift-bar", nameof(TeardownReasonsWords.LiftBarWithPlasticToolThen))]
    [InlineData("none", nameof(TeardownReasonsWords.PullStraightPlugHeldNever))]
    public void Each_latch_is_opened_its_own_way(string latch, string words)
    {
        var plan = Plan(Cooler with { Leads = [new("W", "fan", ["cooler", "board"], latch, 80, Face.Front)] });
        Assert.EndsWith($".{words}", Step(plan, "W").Advice.Single().Code, StringComparison.Ordinal);
        Assert.Contains(
            "This cable joins the cooler and the board with 80 mm of slack. Unplug it before you lift anything.",
            Step(plan, "W").Why,
            StringComparison.Ordinal
        );
        Assert.Equal("fan lead", Step(plan, "W").Name);
    }

    private static IReadOnlyList<Message> Lift(Assembly assembly, params Part[] parts) =>
        Step(Plan(assembly, parts), "cooler").Advice;

    [Theory]
    [InlineData(BondKind.Pads, nameof(TeardownReasonsWords.PadsAndPasteGlue))]
    [InlineData(BondKind.Paste, nameof(TeardownReasonsWords.PadsAndPasteGlue))]
    [InlineData(BondKind.Clips, nameof(TeardownReasonsWords.ClipsHoldIt))]
    [InlineData(BondKind.Tape, nameof(TeardownReasonsWords.TapeHoldsIt))]
    [InlineData(BondKind.Snug, nameof(TeardownReasonsWords.ItSitsSnug))]
    public void Each_bond_is_freed_its_own_way(BondKind kind, string words)
    {
        var bond = new Bond("b", ["cooler", "board"], kind, null, [], false);
        Assert.EndsWith($".{words}", Lift(Cooler with { Bonds = [bond] })[0].Code, StringComparison.Ordinal);
        Assert.Contains(
            Lift(Cooler with { Bonds = [bond with { Warm = true }] }),
            a => a == TeardownReasonsWords.WarmItFirstEvenlyWithHeat
        );
        Assert.Contains(
            Lift(Cooler with { Bonds = [bond with { Metal = true }] }),
            a => a == TeardownReasonsWords.LiquidMetalLies
        );
    }

    [Fact]
    public void What_is_out_is_counted_before_a_lift()
    {
        Assert.EndsWith(
            "6 screws are out. Only pads, paste, tape or clips can still hold it.",
            Step(Plan(Cooler), "cooler").Why,
            StringComparison.Ordinal
        );
        var leads = Cooler with
        {
            Leads =
            [
                new("W", "fan", ["cooler", "board"], "squeeze", 80, Face.Front),
                new("V", "light", ["cooler", "board"], "squeeze", 80, Face.Front),
            ],
        };
        Assert.Contains(
            "6 screws are out and 2 leads are off",
            Step(Plan(leads), "cooler").Why,
            StringComparison.Ordinal
        );
        var one = leads with { Leads = [leads.Leads[0]] };
        Assert.Contains("and 1 lead is off", Step(Plan(one), "cooler").Why, StringComparison.Ordinal);
        Assert.Equal(["P", "W", "V"], Step(Plan(leads), "cooler").Locks);
        var tied = one with { Fasteners = [] };
        Assert.EndsWith(
            "1 lead is off. Only pads, paste, tape or clips can still hold it.",
            Step(Plan(tied), "cooler").Why,
            StringComparison.Ordinal
        );
        var screw = Cooler with { Fasteners = [Group("P", "T6", Face.Back, 1, "cooler")] };
        Assert.EndsWith(
            "1 screw is out. Only pads, paste, tape or clips can still hold it.",
            Step(Plan(screw), "cooler").Why,
            StringComparison.Ordinal
        );
        Assert.EndsWith(
            "Only pads, paste, tape or clips can still hold it.",
            Step(Plan(new() { Pieces = Cooler.Pieces }), "cooler").Why,
            StringComparison.Ordinal
        );
    }

    [Theory]
    // the board is 120 × 100 round its middle
    [InlineData(30.0, 10.0, "at the left edge")]
    [InlineData(-30.0, 10.0, "at the right edge")]
    [InlineData(10.0, 30.0, "at the lower edge")]
    [InlineData(10.0, -30.0, "at the upper edge")]
    [InlineData(20.0, 20.0, "at the left edge")]
    [InlineData(4.0, 3.0, "Lift evenly")]
    [InlineData(3.0, 4.0, "Lift evenly")]
    [InlineData(5.0, 0.0, "at the left edge")]
    public void It_is_opened_like_a_book_away_from_its_leads(double x, double y, string words)
    {
        var lead = new Lead("W", "fan", ["cooler", "board"], "squeeze", 80, Face.Front) { At = new Point2(x, y) };
        Assert.Contains(words, Lift(Cooler with { Leads = [lead] })[0], StringComparison.Ordinal);
    }

    [Fact]
    public void A_short_lead_and_one_that_nobody_placed_are_warned_of()
    {
        Lead Slack(double? mm) => new("W", "fan", ["cooler", "board"], "squeeze", mm, Face.Front);
        var shortLead = Lift(Cooler with { Leads = [Slack(49), Slack(20) with { Id = "V", Name = "light" }] });
        Assert.Equal("Lift on the side away from the leads.", shortLead[0]);
        Assert.StartsWith("The light lead has only 20 mm of slack", shortLead[1], StringComparison.Ordinal);
        Assert.Single(Lift(Cooler with { Leads = [Slack(50)] }));
        Assert.Single(Lift(Cooler with { Leads = [Slack(null)] }));
        Assert.Empty(Lift(Cooler));
    }

    [Theory]
    [InlineData(-57, 0, "left")]
    [InlineData(57, 0, "right")]
    [InlineData(0, -47, "lower")]
    [InlineData(0, 47, "upper")]
    public void No_lever_is_set_where_small_parts_stand(double x, double y, string edge)
    {
        var glued = Cooler with { Bonds = [new("b", ["cooler", "board"], BondKind.Pads, 1, [], false)] };
        var near = Sample.Part("C1", PartKind.Capacitor, x, y, 2, 2, 1);
        Assert.Equal($"No lever at the {edge} edge: C1 stands there.", Lift(glued, near)[^1]);
        // nothing is levered that nothing glues, nor at parts of the other face or further in
        Assert.Empty(Lift(Cooler, near));
        Assert.Single(Lift(glued, near with { Face = Face.Back }));
        Assert.Single(Lift(glued, near with { X = x * 0.85, Y = y * 0.85 }));
        Assert.Single(Lift(glued, near with { Kind = PartKind.Connector }));
    }

    [Fact]
    public void Many_parts_at_an_edge_are_not_all_named()
    {
        var glued = Cooler with { Bonds = [new("b", ["cooler", "board"], BondKind.Pads, 1, [], false)] };
        Part[] row =
        [
            .. Enumerable.Range(1, 6).Select(i => Sample.Part($"C{i}", PartKind.Capacitor, -57, 5 * i - 20, 2, 2, 1)),
        ];
        Assert.Equal("No lever at the left edge: C1, C2, C3, C4 and more stand there.", Lift(glued, row)[^1]);
    }

    [Fact]
    public void The_station_shows_driver_count_cell_and_length_and_locks_the_lift()
    {
        var board = Sample.Board() with
        {
            Assembly = Cooler with { Leads = [new("W", "fan", ["cooler", "board"], "squeeze", 80, Face.Front)] },
        };
        var result = TeardownStation.TakeApart(WorkOrder.Plain(board));
        var screws = result.Sheet.Steps.Single(s => s.Id.Target == "P");
        Assert.Equal(
            [new Fact("6", "screws"), new Fact("A1", "tray cell"), new Fact("5 mm", "long")],
            screws.Facts.Skip(1)
        );
        Assert.Equal(
            (6, CountOf.Screws, "T6", "6 in the tray"),
            (screws.Count, screws.Counted, screws.Driver, screws.Done)
        );
        var lift = result.Sheet.Steps.Single(s => s.Kind == StepKind.Lift);
        var planned = Plans.JobPlanner.Plan(new() { Order = WorkOrder.Plain(board), Drawer = new() });
        Assert.Equal(["P", "W"], planned.Find(lift.Id)!.Locks.Select(l => l.Target).Order());
        Assert.Null(lift.Count);
        Assert.Equal("power", result.Sheet.Steps[0].Id.Target);
        Assert.Equal(("6 screws, 1 flip", false), (result.Sheet.Summary, result.Sheet.Trouble));
        var bare = TeardownStation.TakeApart(WorkOrder.Plain(Sample.Board()));
        Assert.Equal(("no assembly described", true), (bare.Sheet.Summary, bare.Sheet.Trouble));
    }

    [Fact]
    public void From_the_core_outward_the_die_ring_lets_go_first_and_still_takes_hold_first()
    {
        var boards = Demo.All("boards")
            .Select(Demo.Board)
            .Where(b => b.Assembly is { } a && Rings.HasPeers(a))
            .ToList();
        Assert.True(boards.Count > 3);
        foreach (var board in boards)
        {
            var last = TeardownPlanner.Plan(board);
            var first = TeardownPlanner.Plan(board, loosening: Loosening.CoreOutward);
            var (before, after) = (Targets(last), Targets(first));
            var groups = board.Assembly!.Fasteners;
            // a ring under a cover has no choice
            foreach (var ring in groups.Where(g => Rings.IsRing(g) && g.HiddenBy is null))
            foreach (var peer in groups.Where(g => Rings.ArePeers(ring, g) && before.Contains(g.Id)))
            {
                Assert.True(before.IndexOf(ring.Id) > before.IndexOf(peer.Id));
                Assert.True(after.IndexOf(ring.Id) < after.IndexOf(peer.Id));
            }
            var (act, group) = first
                .Steps.Select(x => (x, groups.FirstOrDefault(g => g.Id == x.Target)))
                .First(x => x.Item2 is { } g && Rings.IsRing(g));
            if (group is { Seal: false, HiddenBy: null })
                Assert.StartsWith("From the core outward", act.Why, StringComparison.Ordinal);
            Assert.Equal(last.Restore, first.Restore);
            Assert.Equal(
                before.First(t => groups.Any(g => g.Id == t && Rings.IsRing(g))),
                after.First(t => groups.Any(g => g.Id == t && Rings.IsRing(g)))
            );
        }
        static List<string> Targets(TeardownPlan plan) => [.. plan.Steps.Select(s => s.Target)];
    }

    [Fact]
    public void Cells_of_the_tray_go_on_by_four_in_a_row()
    {
        var plan = Plan(
            Cooler with
            {
                Fasteners =
                [
                    .. Enumerable
                        .Range(0, 6)
                        .Select(i => Group($"G{i}", "T6", Face.Back, 1, "cooler") with { LengthMm = 4 + i }),
                ],
            }
        );
        Assert.Equal(["A1", "A2", "A3", "A4", "B1", "B2"], plan.Tray.Select(c => c.Cell));
    }

    [Fact]
    public void What_only_holds_what_stays_is_no_step()
    {
        var assembly = new Assembly
        {
            Pieces = [new("cooler", "cooler", Face.Front), new("frame", "frame", Face.Back) { Stays = true }],
            Fasteners =
            [
                Group("F", "T6", Face.Back, 4, "frame"),
                Group("C", "T6", Face.Back, 4, "cooler", "frame") with
                {
                    HiddenBy = "frame",
                },
            ],
            Leads = [new("W", "light", ["frame", "board"], "squeeze", 80, Face.Front)],
            Bonds = [new("b", ["frame", "board"], BondKind.Pads, 1, [], false)],
            After = [new("F", "C")],
        };
        var without = Staying.Without(assembly);
        Assert.Equal(["cooler"], without.Pieces.Select(p => p.Id));
        var left = Assert.Single(without.Fasteners);
        Assert.Equal(("C", (string?)null), (left.Id, left.HiddenBy));
        Assert.Equal(["cooler", "board"], left.Joins);
        Assert.Empty(without.Leads);
        Assert.Empty(without.Bonds);
        Assert.Empty(without.After);
        Assert.Equal(["frame"], Staying.Names(assembly));
        // a lead that moves over is worked on though both its ends stay
        var moves = assembly with
        {
            Leads = [assembly.Leads[0] with { MovesTo = "block" }],
        };
        Assert.Single(Staying.Without(moves).Leads);
        Assert.Same(Cooler, Staying.Without(Cooler));
    }

    private static readonly Board Stripped = Sample.Board() with { Assembly = Cooler };

    [Fact]
    public void Each_board_comes_apart_by_itself_and_an_order_of_ones_own_is_the_first_boards()
    {
        var two = new WorkOrder { Pieces = [new("A", Stripped), new("B", Stripped), new("C", Sample.Board())] };
        var result = TeardownStation.TakeApart(two, ["P", "cooler"]);
        Assert.Equal(["A", "B"], result.Boards.Select(b => b.Board));
        Assert.NotNull(result.Boards[0].Best);
        Assert.Null(result.Boards[1].Best);
        Assert.Equal("12 screws, 2 flips", result.Sheet.Summary);
        Assert.Equal([null, null, null, "B", "B"], result.Sheet.Steps.Select(s => s.Id.Scope));
        Assert.Equal(["A", "A", "B", "B"], result.Sheet.Steps.Skip(1).Select(s => s.Board));
        Assert.Null(TeardownStation.TakeApart(two).Boards[0].Best);
        Assert.Equal(new StepId(Station.Teardown, "B", "cooler"), TeardownStation.StepOf("B", "cooler"));
    }

    [Fact]
    public void One_board_that_can_not_be_planned_is_told_and_the_other_comes_apart()
    {
        var stuck = Stripped with { Assembly = Cooler with { After = [new("cooler", "P")] } };
        var result = TeardownStation.TakeApart(new() { Pieces = [new("A", stuck), new("B", Stripped)] });
        Assert.Equal(["B"], result.Boards.Select(b => b.Board));
        Assert.StartsWith("These wait for each other", Assert.Single(result.Troubles).Text, StringComparison.Ordinal);
    }

    [Fact]
    public void A_card_comes_apart_as_a_whole_and_each_step_is_on_the_board_it_names()
    {
        var whole = new Assembly
        {
            Pieces = [new("cooler", "cooler", Face.Front) { Board = "B" }],
            Fasteners =
            [
                Group("P", "T6", Face.Back, 6, "cooler") with
                {
                    Board = "B",
                    Holes = ["H2", "H4"],
                },
                Group("Q", "T6", Face.Back, 1, "cooler") with
                {
                    Board = "Z",
                    Places = [new(1, 2)],
                },
            ],
            Leads = [new("W", "fan", ["cooler", "board"], "squeeze", 80, Face.Front) { At = new(3, 4), Board = "B" }],
        };
        var order = new WorkOrder { Pieces = [new("A", Sample.Board()), new("B", Sample.Board())], Assembly = whole };
        var steps = TeardownStation.TakeApart(order).Sheet.Steps;
        WorkStep At(string target) => steps.Single(s => s.Id.Target == target);
        Assert.Equal(["B", "A", "B", "B"], new[] { "P", "Q", "W", "cooler" }.Select(t => At(t).Board));
        // by named holes, by places of their own, by the plug; a piece has none
        Assert.Equal([new(29, -29), new(-29, 29)], At("P").Places);
        Assert.Equal([new(1, 2)], At("Q").Places);
        Assert.Equal([new(3, 4)], At("W").Places);
        Assert.Empty(At("cooler").Places);
        Assert.Equal(
            (StepKind.Unplug, "Unplug the fan lead", "Unplugged and marked"),
            (At("W").Kind, At("W").Title, At("W").Done)
        );
        Assert.Equal(("Lift the cooler", StepKind.Lift), (At("cooler").Title, At("cooler").Kind));
        Assert.Equal(
            [new Fact("1", "screw")],
            At("Q").Facts.Where(f => f.Label.StartsWith("screw", StringComparison.Ordinal))
        );
    }

    [Fact]
    public void On_a_board_drawn_from_its_corner_the_middle_is_still_the_middle()
    {
        // 120 × 100, its corner at the origin: the middle lies at (60, 50)
        IReadOnlyList<Message> At(params Point2[] plugs) =>
            TeardownPlanner
                .Plan(
                    Sample.Board() with
                    {
                        Outline = Sample.Rect(60, 50, 120, 100),
                        Assembly = Cooler with
                        {
                            Leads =
                            [
                                .. plugs.Select(
                                    (p, i) =>
                                        new Lead($"W{i}", "fan", ["cooler", "board"], "squeeze", 80, Face.Front)
                                        {
                                            At = p,
                                        }
                                ),
                            ],
                        },
                    }
                )
                .Steps.Single(s => s.Target == "cooler")
                .Advice;
        Assert.Contains("at the left edge", At(new Point2(90, 60))[0], StringComparison.Ordinal);
        Assert.Contains("at the right edge", At(new Point2(30, 60))[0], StringComparison.Ordinal);
        Assert.Contains("at the lower edge", At(new Point2(65, 90))[0], StringComparison.Ordinal);
        Assert.Contains("at the upper edge", At(new Point2(65, 10))[0], StringComparison.Ordinal);
        // of several leads the mean counts
        Assert.Contains("Lift evenly", At(new Point2(20, 50), new Point2(100, 50))[0], StringComparison.Ordinal);
        Assert.Contains("at the left edge", At(new Point2(50, 50), new Point2(110, 50))[0], StringComparison.Ordinal);
        Assert.Contains("Lift evenly", At(new Point2(60, 20), new Point2(60, 80))[0], StringComparison.Ordinal);
    }

    [Fact]
    public void Screws_of_several_groups_are_added_up_and_a_ring_without_springs_is_no_danger_to_eyes()
    {
        var plan = Plan(
            Cooler with
            {
                Fasteners =
                [
                    Group("P", "T6", Face.Back, 6, "cooler"),
                    Group("R", "T6", Face.Back, 4, "cooler") with
                    {
                        Ring = "retention",
                    },
                ],
            }
        );
        Assert.Contains("10 screws are out", Step(plan, "cooler").Why, StringComparison.Ordinal);
        Assert.DoesNotContain(Step(plan, "R").Advice, a => a.ToString().Contains("eye", StringComparison.Ordinal));
    }

    [Fact]
    public void A_lead_hidden_by_a_lead_names_it()
    {
        var plan = Plan(
            Cooler with
            {
                Fasteners = [Group("P", "T6", Face.Back, 6, "cooler") with { HiddenBy = "W" }],
                Leads = [new("W", "fan", ["cooler", "board"], "squeeze", 80, Face.Front)],
            }
        );
        Assert.Contains("Now reachable: the fan lead hid them.", Step(plan, "P").Why, StringComparison.Ordinal);
        // nothing to heed, no caution
        var board = Sample.Board() with
        {
            Assembly = Cooler with { Fasteners = [Group("P", "T6", Face.Front, 2, "cooler")] },
        };
        Assert.Null(
            TeardownStation.TakeApart(WorkOrder.Plain(board)).Sheet.Steps.Single(s => s.Id.Target == "P").Caution
        );
        Assert.Null(
            TeardownStation.TakeApart(WorkOrder.Plain(board)).Sheet.Steps.Single(s => s.Kind == StepKind.Lift).Counted
        );
    }
}
