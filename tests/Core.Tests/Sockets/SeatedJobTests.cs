using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Kit;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Sockets;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>A processor in its socket, planned from match to care: one composed board, and what every station says of it.</summary>
public partial class SeatedJobTests
{
    private static readonly PasteMaterial Metal = new("quick", 1, 0.02, 6.4, ConductivityWPerMK: 73)
    {
        LiquidMetal = true,
    };

    private static readonly Drawer Full = new()
    {
        Materials = [Sample.Soft],
        Pastes = [new("g", Sample.Grey, 10, 24), new("q", Metal, 2, 24)],
    };

    private static Socket Gull(Posts posts = Posts.BackPlate) =>
        SocketTests.Gull() with
        {
            ContactMaxN = 800,
            Posts = posts,
            Gasket = posts == Posts.BackPlate,
            CornerMark = new(-1, 1),
            Levers = 1,
            Holes = [.. Sample.Corners(38).Select((c, i) => new SocketHole($"P{i + 1}", c.X, c.Y, 4.3))],
        };

    /// <summary>170 W under a lid of 36 × 34, two dies, four capacitors beside them.</summary>
    private static Board Processor()
    {
        var plain = SocketTests.Processor();
        return plain with
        {
            Id = "cpu",
            Parts =
            [
                .. plain.Parts.Select(p =>
                    p.Kind == PartKind.Lid
                        ? p with
                        {
                            Cool = Cooling.Must,
                            DissipationW = 170,
                            LimitC = 90,
                            MaxLoadN = 800,
                            MaxPressureMPa = 0.8,
                            BondMm = 0.15,
                        }
                        : p with
                        {
                            Under = "LID",
                            MaxPressureMPa = 6,
                        }
                ),
                .. new[] { -9, -3, 3, 9 }.Select(
                    (x, i) =>
                        SocketTests.Part($"C{i + 1}", PartKind.Capacitor, x, -10, 1, 0.6, 0.5) with
                        {
                            Under = "LID",
                        }
                ),
            ],
        };
    }

    private static Block Cooler(double slitDeg = 0, double? frameNm = null) =>
        SocketTests.Cooler() is var c
            ? c with
            {
                ColdPlate = c.ColdPlate! with { SlitDirectionDeg = slitDeg },
                Flow = new(0.02, 0.03, 0.8, "L/min", []),
                Sockets =
                [
                    c.Sockets[0] with
                    {
                        JetPlateMm = 0.8,
                        InsertBowMm = 0.04,
                        FrameN = frameNm is null ? null : 240,
                        FrameNm = frameNm,
                        BestRotationDeg = 180,
                    },
                    new("plover", "upgrade kit", "captive", "J3", "I2", null, null) { JetPlateMm = 1 },
                ],
                Plates = [c.Plates[0] with { Lands = [Land("L-lid", PartKind.Lid), Land("L-die", PartKind.Die)] }],
            }
            : null!;

    private static Land Land(string id, PartKind kind) =>
        new()
        {
            Id = id,
            Outline = Sample.Rect(0, 0, 42, 42),
            For = kind,
            Through = Through.Paste,
        };

    private static Board Mainboard(params Part[] parts) =>
        Sample.Board() with
        {
            Id = "main",
            Kind = BoardKind.Mainboard,
            Socket = "gull",
            Outline = Sample.Rect(0, 0, 200, 200),
            Holes = [],
            Parts = parts,
        };

    /// <summary>The processor under the cooler that it ran with.</summary>
    private static Board Cooled() =>
        Processor() with
        {
            Assembly = new()
            {
                Pieces = [new("cooler", "air cooler", Face.Front)],
                Fasteners =
                [
                    new()
                    {
                        Id = "F1",
                        Driver = "PH2",
                        Count = 4,
                        Face = Face.Front,
                        Joins = ["cooler", Assembly.BoardId],
                    },
                ],
                Bonds = [new("B1", ["cooler", Assembly.BoardId], BondKind.Clips, null, ["LID"], false)],
            },
        };

    private static WorkOrder Order(
        Block block,
        bool bare = false,
        double? turn = null,
        Board? mainboard = null,
        Socket? socket = null,
        Board? processor = null
    )
    {
        var board = mainboard ?? Mainboard();
        return SeatedOrder.Compose(
            new()
            {
                Pieces =
                [
                    new("A", board) { Seated = new(socket ?? Gull(), processor ?? Processor(), board, bare, turn) },
                ],
                Pairs = [new("P", block)],
            }
        );
    }

    private static JobPlan Plan(WorkOrder order, string? paste = null, params (string, string)[] ways) =>
        JobPlanner.Plan(
            new()
            {
                Order = order,
                Drawer = Full,
                PasteId = paste,
                Ways = ways.ToDictionary(w => w.Item1, w => w.Item2),
            }
        );

    private static IReadOnlyList<string> Targets(JobPlan plan, Station station) =>
        [.. plan.Stations.First(s => s.Station == station).Steps.Select(s => s.Id.Target)];

    [Fact]
    public void The_lid_stands_where_the_height_chain_says_and_the_springs_press_as_it_says()
    {
        var plan = Plan(Order(Cooler()));
        Assert.Empty(plan.Troubles);
        // 1.9 seat + 1.2 substrate + 3.4 lid
        Assert.Equal(6.5, plan.Match.Laid().Single().On.Laid.Board.FindPart("LID")!.HeightMm, 9);
        var seat = Assert.Single(plan.Seats);
        // the films differ: 30 µm stated in one, the paste's own under this load in the other
        var seated = plan.Pads.Pairs.Single().Seating!;
        var film = seated.Dies.Single().BondLinesUm.Average() / 1000;
        Assert.Equal(4 * 40 * (2 + film), seated.Dies.Single().LoadN, 1);
        Assert.Equal(4 * 40 * (2 + 0.03), seat.Match.LoadN, 6);
    }

    [Fact]
    public void The_springs_of_a_contact_that_lies_higher_than_designed_press_as_much_more()
    {
        var higher = Plan(Order(SeatedAt(5.7)));
        var film = higher.Pads.Pairs.Single().Seating!.Dies.Single().BondLinesUm.Average() / 1000;
        Assert.Equal(4 * 40 * (2 + 0.8 + film), higher.Pads.Pairs.Single().Seating!.Dies.Single().LoadN, 1);
        // made for a contact higher than it is: washers, one under each spring, give back the two millimetres
        var lower = Plan(Order(SeatedAt(7.0)));
        Assert.Contains("shims", Targets(lower, Station.Kit));
        Assert.Contains("a washer under each spring", lower.Find(new(Station.Mount, null, "start"))!.Title);
        var thin = lower.Pads.Pairs.Single().Seating!.Dies.Single();
        Assert.Equal(4 * 40 * (2 + thin.BondLinesUm.Average() / 1000), thin.LoadN, 1);

        static Block SeatedAt(double design)
        {
            var block = Cooler();
            return block with { Sockets = [block.Sockets[0] with { DesignHeightMm = design }, block.Sockets[1]] };
        }
    }

    [Fact]
    public void A_mainboards_own_stand_in_for_a_processor_gives_way_and_names_do_not_collide()
    {
        var board = Mainboard(
            Sample.Part("IHS", PartKind.Lid, 0, 0, 30, 30, 7),
            Sample.Part("C1", PartKind.Capacitor, 60, 60, 2, 2, 5)
        );
        var composed = Order(Cooler(), mainboard: board).First.Board;
        Assert.Null(composed.FindPart("IHS"));
        Assert.Equal(5, composed.FindPart("C1")!.HeightMm);
        Assert.Equal(1.9 + 1.2 + 0.5, composed.FindPart("U-C1")!.HeightMm, 9);
        Assert.Equal(composed.Parts.Count, composed.Parts.Select(p => p.Id).Distinct().Count());
        Assert.Equal(4, composed.Holes.Count(h => h.Role == HoleRole.Retention));
    }

    [Fact]
    public void The_turn_is_the_makers_unless_it_meets_something_or_somebody_chose()
    {
        Assert.Equal(180, Plan(Order(Cooler())).Seats[0].TurnDeg);
        Assert.Equal(90, Plan(Order(Cooler(), turn: 90)).Seats[0].TurnDeg);
        // chosen for a block that turns otherwise: this one has no such turn
        var other = Plan(Order(Cooler(), turn: 45));
        Assert.Equal(180, other.Seats[0].TurnDeg);
        Assert.Equal(180, other.Match.Laid().Single().On.Fit.Placement.RotationDeg, 6);
        // half a turn brings the long side of this plate over a tall part
        var block = Cooler();
        var lopsided = block with { Plates = [block.Plates[0] with { Outline = Sample.Rect(10, 0, 60, 40) }] };
        var tall = Mainboard(Sample.Part("M1", PartKind.Connector, -38, 0, 6, 10, 25));
        var seat = Plan(Order(lopsided, mainboard: tall)).Seats[0];
        Assert.NotEqual(180, seat.TurnDeg);
        Assert.Empty(seat.Way!.Clashes);
        Assert.Equal("M1", seat.Match.Orientations.Single(o => o.RotationDeg == 180).Clashes.Single().Part);
    }

    [Fact]
    public void The_plan_and_the_call_give_one_verdict_of_a_slit_along_the_fins()
    {
        var plan = Plan(Order(Cooler(slitDeg: 90)));
        var asked = SocketMatch.Compute(Mainboard(), Gull(), Processor(), Cooler(slitDeg: 90));
        Assert.Equal(asked.Verdict, plan.Match.Order!.Verdict);
        Assert.Equal("slit to be turned", plan.Match.Sheet.Summary);
        var jet = plan.Find(new(Station.Prep, null, "jet"))!;
        Assert.EndsWith("rotate it a quarter turn)", jet.Title, StringComparison.Ordinal);
        Assert.Equal(StepPicture.Slit, jet.Picture);
        Assert.DoesNotContain("quarter", Plan(Order(Cooler())).Find(new(Station.Prep, null, "jet"))!.Title);
    }

    [Fact]
    public void A_block_without_a_kit_for_the_socket_clashes_and_says_so_first()
    {
        var strange = Gull() with { Id = "gannet", Name = "Gannet" };
        var plan = Plan(Order(Cooler(), socket: strange));
        Assert.Equal(Verdict.Clashes, plan.Match.Order!.Verdict);
        Assert.Contains(plan.Match.Order.Reasons, r => r.Code == "wrong-socket");
        // the rest is planned all the same
        Assert.NotEmpty(plan.Steps);
    }

    [Fact]
    public void Posts_go_into_a_plate_from_behind_or_straight_into_the_frame()
    {
        Assert.Equal(
            ["gasket", "plate", "posts"],
            Targets(Plan(Order(Cooler())), Station.Prep).Where(t => t is "gasket" or "plate" or "posts")
        );
        var captive = Order(Cooler(), socket: Gull(Posts.Captive));
        Assert.Equal(["posts"], Targets(Plan(captive), Station.Prep).Where(t => t is "gasket" or "plate" or "posts"));
        Assert.Contains("threaded all the way down", Plan(captive).Find(new(Station.Kit, null, "posts"))!.Title);
    }

    [Theory]
    [InlineData(0.83, "J2", true)]
    [InlineData(1.02, "J3", false)]
    [InlineData(0.9, null, false)]
    public void Jet_plates_are_told_by_their_thickness(double mm, string? name, bool right)
    {
        var told = JetPlates.Tell(Cooler(), "gull", mm);
        Assert.Equal(name, told.Name);
        Assert.Equal(right, told.Right);
    }

    [Fact]
    public void Bare_goes_through_jig_soak_and_coat_in_their_order_and_metal_waits_for_the_coat()
    {
        var plan = Plan(Order(Cooler(frameNm: 0.35), bare: true, processor: Cooled()), "q");
        Assert.Equal(
            ["clamp", "jig", "warm", "shear", "glue", "solder", "swab", "clean-die", "coat", "processor", "frame"],
            Targets(plan, Station.Prep).Take(11)
        );
        Assert.Equal(1200, plan.Find(new(Station.Prep, null, "solder"))!.TimerS);
        Assert.Contains("0.35 N·m", plan.Find(new(Station.Prep, null, "frame"))!.Title);
        var metal = plan.Paste.Sheet.Steps;
        Assert.Equal(["D1", "D2"], metal.Select(s => s.Id.Target).Order());
        StepId coat = new(Station.Prep, null, "coat");
        Assert.All(metal, s => Assert.Contains(coat, s.Locks));
        // the capacitors are coated by then: nothing is refused any more
        Assert.All(plan.Paste.Faces, f => Assert.Empty(f.Refusals));
        Assert.Contains("coat-note", Targets(plan, Station.Care));
        // paste needs no coat
        Assert.All(
            Plan(Order(Cooler(frameNm: 0.35), bare: true), "g").Paste.Sheet.Steps,
            s => Assert.DoesNotContain(coat, s.Locks)
        );
    }

    [Fact]
    public void Schools_change_the_steps_they_speak_of()
    {
        var order = Order(Cooler(frameNm: 0.35), bare: true);
        Assert.DoesNotContain("warm", Targets(Plan(order, "q", ("warm-lid", "cold")), Station.Prep));
        Assert.Contains("polish", Targets(Plan(order, "q", ("polish", "yes")), Station.Prep));
        var lidded = Order(Cooler());
        Assert.DoesNotContain("tray", Targets(Plan(lidded), Station.Mount));
        Assert.Equal(["tray", "memory"], Targets(Plan(lidded, null, ("closing", "tray")), Station.Mount).TakeLast(2));
        Assert.Null(Plan(lidded).Mount.Sheet.Steps.First(s => s.Kind == StepKind.Turn).Driver);
        Assert.NotNull(
            Plan(lidded, null, ("nuts-by", "driver")).Mount.Sheet.Steps.First(s => s.Kind == StepKind.Turn).Driver
        );
    }

    [Fact]
    public void A_glued_lid_needs_no_warming_and_no_alloy()
    {
        var glued = Processor();
        glued = glued with
        {
            Parts = [.. glued.Parts.Select(p => p.Kind == PartKind.Die ? p with { BondKWPerMK = 4 } : p)],
        };
        var steps = Targets(Plan(Order(Cooler(frameNm: 0.35), bare: true, processor: glued), "q"), Station.Prep);
        Assert.DoesNotContain("warm", steps);
        Assert.DoesNotContain("solder", steps);
        Assert.Contains("glue", steps);
    }

    [Fact]
    public void On_bare_dies_the_inlet_goes_over_the_hotter_one()
    {
        // nine tenths of the power in the die on the left; the inlet stands on the right of the block
        Board Shared(double left, double right) =>
            Processor() with
            {
                Parts =
                [
                    .. Processor()
                        .Parts.Select(p =>
                            p.Id == "D1" ? p with { X = -7, PowerShare = left }
                            : p.Id == "D2" ? p with { X = 7, PowerShare = right }
                            : p
                        ),
                ],
            };
        Assert.Equal(180, InletTurn.Find(Shared(0.9, 0.1), Cooler()));
        Assert.Equal(
            180,
            Plan(Order(Cooler(frameNm: 0.35), bare: true, processor: Shared(0.9, 0.1)), "q").Seats[0].TurnDeg
        );
        // as much on both sides of the middle: no turn does more than another
        Assert.Null(InletTurn.Find(Shared(0.5, 0.5), Cooler()));
    }

    [Fact]
    public void One_corner_too_far_is_told_of_each_die()
    {
        var plan = Plan(Order(Cooler(frameNm: 0.35), bare: true), "q");
        var stack = plan.Pads.Pairs.Single().Stack!;
        var one = Mount.Tightening.Practise(stack, [("S1", 100)]).Moves.Single();
        Assert.Equal(["D1", "D2"], one.Dies.Select(d => d.Part).Order());
        var even = Mount.Tightening.Simulate(stack).Moves[^1];
        // at home each carries its share of area of all springs
        Assert.Equal(4 * 40 * 2, even.Dies.Sum(d => d.LoadN), 4 * 40 * 0.1);
        Assert.True(one.Dies.Max(d => d.LoadN) > 2 * one.Dies.Min(d => d.LoadN));
    }

    [Fact]
    public void Warming_through_takes_the_time_of_one_heat_store()
    {
        // 30 g of 0.4 J/(g·K) at 0.12 W/K: 100 s; from 22 to within 2 K of 65 °C: ln(43/2) of them
        var w = Warming.Compute(Processor(), 65, 22, massG: 30);
        Assert.Equal(100 * Math.Log(43 / 2.0) / 60, w.Minutes, 9);
        Assert.Equal(0, Warming.Compute(Processor(), 24, 22).Minutes);
    }

    [Fact]
    public void A_crowned_insert_takes_as_much_more_paste_as_its_crown_holds()
    {
        var crowned = Plan(Order(Cooler())).Paste.Faces.Single();
        var flat = Cooler();
        flat = flat with { Sockets = [flat.Sockets[0] with { InsertBowMm = null }, flat.Sockets[1]] };
        var even = Plan(Order(flat)).Paste.Faces.Single();
        // half the crown is its mean over a round face
        Assert.Equal(
            36 * 34 * 0.04 / 2 * (1 + crowned.Amount.Margin) / 1000,
            crowned.Amount.VolumeMl - even.Amount.VolumeMl,
            9
        );
    }

    [Fact]
    public void A_finished_squeeze_under_a_crown_leaves_the_crowns_volume_in_the_film()
    {
        // a disc-like face filled to the rim: film volume = area × (least gap + half the crown), what is more is spilt
        var face = Regular(15, 60);
        var flow = Paste.SqueezeFlow.Run(
            face,
            Sample.Grey,
            face.Area * 0.25,
            _ => true,
            300,
            new(Cells: 48, WithYield: false, StopGapUm: 40) { CrownMm = 0.1 }
        );
        var kept = face.Area * 0.25 - flow.SpillMl * 1000;
        Assert.Equal(face.Area * (flow.FinalGapUm / 1000 + 0.05), kept, face.Area * 0.006);
        Assert.Equal(1, flow.Coverage, 2);
    }

    private static Polygon Regular(double r, int n) =>
        new([
            .. Enumerable
                .Range(0, n)
                .Select(i => new Point2(r * Math.Cos(2 * Math.PI * i / n), r * Math.Sin(2 * Math.PI * i / n))),
        ]);

    [Fact]
    public void Every_block_for_a_socket_is_judged_as_match_would_judge_it()
    {
        var order = Order(Cooler());
        var slit = Cooler(slitDeg: 90) with { Id = "slit" };
        var bare = Cooler() with { Id = "bare", Kind = BlockKind.DirectDie };
        var list = SeatedChoice.Compute(order, "A", [Cooler(), slit, bare, Sample.Block()], Full, new());
        Assert.Equal(3, list.Count);
        Assert.Equal(Plan(Order(slit)).Match.Order!.Verdict, list.Single(b => b.BlockId == "slit").Verdict);
        Assert.Equal(Verdict.Clashes, list.Single(b => b.BlockId == "bare").Verdict);
        Assert.Equal("made for bare dies", list.Single(b => b.BlockId == "bare").Summary);
        Assert.Equal(list.Select(b => b.Verdict).Order(), list.Select(b => b.Verdict));
    }

    [Fact]
    public void The_section_stands_on_the_same_heights_as_the_chain()
    {
        var seat = Plan(Order(Cooler(frameNm: 0.35), bare: true), "q").Seats[0];
        foreach (var way in new[] { seat.Section!.Lidded, seat.Section.Direct })
        {
            Assert.Equal(way.Chain.HomeMm, way.Boxes.Single(b => b.What == SectionMatter.Block).LowMm, 9);
            Assert.Equal(way.Chain.ContactMm, way.Levels.Single(l => l.Name == "contact").Mm, 9);
            Assert.All(way.Boxes, b => Assert.True(b.HighMm > b.LowMm && b.ToMm > b.FromMm));
            var top = way.Boxes.Where(b => b.What is SectionMatter.Lid or SectionMatter.Die).Max(b => b.HighMm);
            Assert.Equal(way.Chain.ContactMm, top, 9);
        }
        var answer = seat.Decision!.Answer;
        Assert.Equal(answer.LiddedKPerW * seat.Decision.PowerW, answer.LiddedLayers.Sum(l => l.K), 9);
        Assert.Equal(answer.DirectKPerW * seat.Decision.PowerW, answer.DirectLayers.Sum(l => l.K), 9);
    }

    [Fact]
    public void A_processor_alone_is_worked_on_without_a_mainboard()
    {
        var cpu = Processor();
        var order = SeatedOrder.Compose(
            new() { Pieces = [new("A", cpu) { Seated = new(Gull(), cpu, null) }], Pairs = [new("P", Cooler())] }
        );
        var plan = Plan(order);
        Assert.True(plan.Match.Order!.Verdict <= Verdict.SeatsWithWork, plan.Match.Sheet.Summary);
        Assert.NotNull(plan.Pads.Pairs.Single().Seating);
        Assert.All(order.First.Board.Holes, h => Assert.True(order.First.Board.Outline.Contains(h.At)));
    }

    [Theory]
    [InlineData(0, false)]
    [InlineData(4, true)]
    [InlineData(9, true)]
    public void Strokes_are_counted_and_any_number_is_right(int strokes, bool granted)
    {
        var plan = Plan(Order(Cooler(frameNm: 0.35), bare: true), "q");
        StepId shear = new(Station.Prep, null, "shear");
        var before = plan.Steps.TakeWhile(s => s.Id != shear).Select(s => s.Id).ToHashSet();
        var outcome = SignOff.Sign(plan, before, shear, strokes, null);
        Assert.Equal(granted, outcome is SignOutcome.Granted);
    }

    [Fact]
    public void The_decision_is_weighed_against_what_the_processor_is_worth()
    {
        WorkStep Decide(Board processor) =>
            Plan(Order(Cooler(frameNm: 0.35), bare: true, processor: processor), "q")
                .Find(new(Station.Match, null, "decide"))!;
        Assert.Contains("410 EUR", Decide(Processor() with { Price = new(410, "EUR") }).Detail);
        Assert.Contains("the processor's price", Decide(Processor()).Detail);
    }
}
