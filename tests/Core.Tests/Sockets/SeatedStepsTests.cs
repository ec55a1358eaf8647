using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Back;
using FaithfulBracket.Core.Plans.Walk;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What is picked out of the bag for a socket, and how package, plates and nuts go on: the steps' figures and words.</summary>
public partial class SeatedJobTests
{
    private static WorkStep Step(JobPlan plan, Station station, string target) =>
        plan.Find(new(station, null, target))!;

    private static JobPlan Bare() => Plan(Order(Cooler(frameNm: 0.35), bare: true, processor: Cooled()), "q");

    [Fact]
    public void Posts_jet_plate_insert_and_plate_are_picked_by_what_tells_them_apart()
    {
        var plan = Plan(Order(Cooler()));
        Assert.Equal(["posts", "jet-plate", "insert", "back-plate"], Targets(plan, Station.Kit).Skip(1).Take(4));
        var posts = Step(plan, Station.Kit, "posts");
        Assert.Equal((4, CountOf.Posts, "4 posts"), (posts.Count!.Value, posts.Counted!.Value, posts.Done));
        Assert.Equal("Pick 4 posts for socket Gull: for a back plate, with a shoulder", posts.Title);
        var jet = Step(plan, Station.Kit, "jet-plate");
        Assert.Equal("Find jet plate J2 at the caliper: 0.80 mm", jet.Title);
        Assert.Equal("Jet plates carry no mark: their thickness tells them apart. J3 is 1.00 mm.", jet.Detail);
        Assert.Equal([new Fact("0.80 mm", "thick")], jet.Facts);
        Assert.Equal("It crowns the block's face by 0.04 mm over this lid.", Step(plan, Station.Kit, "insert").Detail);
        Assert.StartsWith(
            "Lay out the back plate and its rubber gasket",
            Step(plan, Station.Kit, "back-plate").Title,
            StringComparison.Ordinal
        );
        Assert.DoesNotContain("upgrade", Targets(plan, Station.Kit));
        Assert.DoesNotContain("shims", Targets(plan, Station.Kit));
    }

    [Fact]
    public void A_jet_plate_that_nobody_measured_is_found_by_its_name_alone()
    {
        var block = Cooler();
        block = block with
        {
            Sockets =
            [
                block.Sockets[0] with
                {
                    JetPlateMm = null,
                    InsertBowMm = null,
                },
                block.Sockets[1] with
                {
                    JetPlateMm = null,
                },
            ],
        };
        var plan = Plan(Order(block));
        var jet = Step(plan, Station.Kit, "jet-plate");
        Assert.Equal(("Find jet plate J2", 0), (jet.Title, jet.Facts.Count));
        Assert.EndsWith("tells them apart.", jet.Detail, StringComparison.Ordinal);
        Assert.Null(Step(plan, Station.Kit, "insert").Detail);
    }

    [Fact]
    public void An_upgrade_kit_is_opened_first_and_asked_of_the_drawer()
    {
        var block = Cooler();
        block = block with { Sockets = [block.Sockets[0] with { Kit = "kit for Gull" }, block.Sockets[1]] };
        var plan = Plan(Order(block));
        Assert.Equal("Open kit for Gull and lay it beside the block", Step(plan, Station.Kit, "upgrade").Title);
        var line = plan.Kit.Lines.Single(l => l.Group == "kits");
        Assert.Equal(("kit for Gull", 1.0, 1.0), (line.Name, line.Need, line.Short));
    }

    [Theory]
    [InlineData(0, "Loosen the clamp's screws")]
    [InlineData(1, "Lever out and up, clamp open")]
    [InlineData(2, "Lever 1 up, then lever 2")]
    public void Levers_are_opened_and_closed_in_their_order(int levers, string words)
    {
        var plan = Plan(Order(Cooler(), socket: Gull() with { Levers = levers }));
        Assert.StartsWith(words, Step(plan, Station.Prep, "processor").Detail, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(-1, 1, "corner mark upper left")]
    [InlineData(1, 1, "corner mark upper right")]
    [InlineData(-1, -1, "corner mark lower left")]
    [InlineData(1, -1, "corner mark lower right")]
    public void The_processor_lies_mark_to_mark(double x, double y, string words)
    {
        var step = Step(
            Plan(Order(Cooler(), socket: Gull() with { CornerMark = new(x, y) })),
            Station.Prep,
            "processor"
        );
        Assert.Equal($"Lay the processor in socket Gull, {words}", step.Title);
        Assert.Single(step.Places);
        Assert.EndsWith(
            "Under its cover, which comes off by itself when the clamp closes.",
            step.Detail,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Without_a_mark_none_is_spoken_of_and_with_the_clamp_off_contacts_lie_open()
    {
        var plan = Plan(
            Order(Cooler(), socket: Gull() with { CornerMark = null }),
            null,
            ("processor-clamp", "clamp-off")
        );
        var step = Step(plan, Station.Prep, "processor");
        Assert.Equal("Lay the processor in socket Gull", step.Title);
        Assert.Empty(step.Places);
    }

    [Fact]
    public void A_frame_in_place_of_the_clamp_holds_and_says_its_torque()
    {
        var plan = Bare();
        Assert.StartsWith(
            "Lay the bare package in socket Gull",
            Step(plan, Station.Prep, "processor").Title,
            StringComparison.Ordinal
        );
        var frame = Step(plan, Station.Prep, "frame");
        Assert.Equal("Fit the frame in place of the clamp: screws loose, then to 0.35 N·m each", frame.Title);
        Assert.Equal([new Fact("0.35 N·m", "each screw"), new Fact("240 N", "it holds with")], frame.Facts);
        var plain = Step(Plan(Order(Cooler(), bare: true), "q"), Station.Prep, "frame");
        Assert.EndsWith("then just firm", plain.Title, StringComparison.Ordinal);
        Assert.Empty(plain.Facts);
    }

    [Fact]
    public void A_block_is_opened_its_slit_laid_across_and_closed_evenly()
    {
        var plan = Plan(Order(Cooler()));
        Assert.Equal(
            ["fins", "insert", "jet", "ports", "o-ring", "close", "close-home"],
            Targets(plan, Station.Prep).SkipWhile(t => t != "fins").Take(7)
        );
        // fins at 90°, the slit at 0°
        Assert.Equal([new Fact("90°", "fins"), new Fact("0°", "slit")], Step(plan, Station.Prep, "jet").Facts);
        Assert.StartsWith(
            "Across the fins coolant parts",
            Step(plan, Station.Prep, "jet").Detail,
            StringComparison.Ordinal
        );
        Assert.Equal("It crowns the face by 0.04 mm.", Step(plan, Station.Prep, "insert").Detail);
        Assert.StartsWith(
            "Hold the block as it will sit, turned 180°",
            Step(plan, Station.Prep, "ports").Title,
            StringComparison.Ordinal
        );
        // along the fins it has to be turned
        var along = Step(Plan(Order(Cooler(slitDeg: 90))), Station.Prep, "jet");
        Assert.StartsWith("As it comes the slit lies along", along.Detail, StringComparison.Ordinal);
        // no jet plate, nothing to open
        var block = Cooler();
        block = block with { Sockets = [block.Sockets[0] with { JetPlate = null }, block.Sockets[1]] };
        Assert.DoesNotContain("fins", Targets(Plan(Order(block)), Station.Prep));
    }

    [Fact]
    public void Gasket_plate_and_posts_go_on_from_behind()
    {
        var plan = Plan(Order(Cooler()));
        Assert.Equal(Face.Back, Step(plan, Station.Prep, "gasket").Face);
        Assert.Equal(Face.Back, Step(plan, Station.Prep, "plate").Face);
        var posts = Step(plan, Station.Prep, "posts");
        Assert.Equal(("Screw 4 posts into the back plate, then tighten them", 4), (posts.Title, posts.Count!.Value));
        Assert.Equal(4, posts.Places.Count);
        Assert.Equal(38, Math.Abs(posts.Places[0].X), 6);
        // the board's own plate stays: nothing is laid behind
        var own = Plan(Order(Cooler(), socket: Gull() with { StockBackPlate = true }));
        Assert.DoesNotContain("plate", Targets(own, Station.Prep));
        Assert.StartsWith(
            "The board's own plate behind the socket stays",
            Step(own, Station.Kit, "back-plate").Title,
            StringComparison.Ordinal
        );
        var noGasket = Plan(Order(Cooler(), socket: Gull() with { Gasket = false }));
        Assert.DoesNotContain("gasket", Targets(noGasket, Station.Prep));
        Assert.StartsWith(
            "Lay out the back plate, and a plastic washer",
            Step(noGasket, Station.Kit, "back-plate").Title,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Taking_the_lid_off_says_degrees_minutes_strokes_and_waits()
    {
        var plan = Bare();
        var warm = Step(plan, Station.Prep, "warm");
        Assert.StartsWith("Warm it in the jig to 65 °C, ", warm.Title, StringComparison.Ordinal);
        Assert.Equal(0, warm.TimerS % 60);
        Assert.Equal($"{warm.TimerS / 60} min", warm.Facts[1].Value);
        var shear = Step(plan, Station.Prep, "shear");
        Assert.Equal((6, CountOf.Strokes, true), (shear.Count!.Value, shear.Counted!.Value, shear.CountsOpen));
        Assert.Contains("solder gives slowly", shear.Detail, StringComparison.Ordinal);
        var solder = Step(plan, Station.Prep, "solder");
        Assert.Equal((1200, "20 min"), (solder.TimerS!.Value, solder.Facts[0].Value));
        var coat = Step(plan, Station.Prep, "coat");
        Assert.StartsWith("Coat the 4 bare parts round the dies", coat.Title, StringComparison.Ordinal);
        Assert.Equal((1800, 4), (coat.TimerS!.Value, coat.Targets.Count));
        Assert.Equal([new Fact("4", "parts"), new Fact("30 min", "dry")], coat.Facts);
        Assert.Equal(
            (2, CountOf.Rounds),
            (Step(plan, Station.Prep, "swab").Count!.Value, Step(plan, Station.Prep, "swab").Counted!.Value)
        );
    }

    /// <summary>The first act of a plan that cannot be done.</summary>
    private static Contradiction? Walk(WorkOrder order, JobPlan plan)
    {
        var scene = BenchScene.Create(order, plan);
        List<WalkStep> steps = [.. plan.Steps.Select(s => new WalkStep(s.Acts, s.Up))];
        return BenchWalk.Run(scene, BenchState.Create(scene), steps).Contradiction;
    }

    [Theory]
    [InlineData(false, false)]
    [InlineData(false, true)]
    [InlineData(true, false)]
    [InlineData(true, true)]
    public void A_processor_walks_from_its_old_cooler_or_from_its_box_to_a_closed_block(bool bare, bool cooled)
    {
        foreach (
            var socket in (ReadOnlySpan<Socket>)
                [
                    Gull(),
                    Gull(Posts.Captive),
                    Gull() with
                    {
                        StockBackPlate = true,
                    },
                    Gull() with
                    {
                        Gasket = false,
                        Levers = 0,
                    },
                ]
        )
        foreach (var clamp in (ReadOnlySpan<string>)["processor-first", "clamp-off"])
        foreach (var closing in (ReadOnlySpan<string>)["block", "tray"])
        {
            var order = Order(Cooler(frameNm: 0.35), bare, socket: socket, processor: cooled ? Cooled() : Processor());
            var plan = Plan(order, bare ? "q" : null, ("processor-clamp", clamp), ("closing", closing));
            Assert.Null(Walk(order, plan));
            Back(order, plan, bare);
            var acts = plan.Steps.SelectMany(s => s.Acts).ToList();
            // what was taken off or out of it has a fate, and a new build was never run
            Assert.All(LooseEnds.Find(plan.Steps), e => Assert.NotNull(e.Fate));
            Assert.Equal(cooled, acts.Exists(a => a.Do == Verb.PowerOff && acts.IndexOf(a) < 3));
            Assert.Equal(bare, acts.Exists(a => a is { Do: Verb.Shear, Thing.Kind: ThingKind.Lid }));
        }
    }

    /// <summary>The way back walks too; without its lid the package stays under its frame.</summary>
    private static void Back(WorkOrder order, JobPlan plan, bool bare)
    {
        var back = BackPlan.Create(order, plan, BenchScene.Create(order, plan), []);
        Assert.Null(
            BenchWalk.Run(back.Scene, back.Start, [.. back.Steps.Select(s => new WalkStep(s.Acts, s.Up))]).Contradiction
        );
        Assert.Equal(
            bare,
            back.Cannot.Any(c =>
                c is { Thing.Kind: ThingKind.Lid, Code: CannotCode.Destroyed, Instead.Kind: ThingKind.Frame }
            )
        );
        var acts = back.Steps.SelectMany(s => s.Acts).ToList();
        Assert.Contains(acts, a => a is { Do: Verb.Remove, Thing.Kind: ThingKind.Posts });
        Assert.DoesNotContain(acts, a => a is { Do: Verb.Remove, Thing.Kind: ThingKind.Frame });
        if (bare)
            Assert.DoesNotContain(acts, a => a.Do is Verb.BringBack or Verb.Run);
    }

    [Theory]
    [InlineData(Verb.Open, NeedCode.Held)]
    [InlineData(Verb.Shear, NeedCode.Covered)]
    [InlineData(Verb.Coat, NeedCode.Order)]
    [InlineData(Verb.Insert, NeedCode.Order)]
    [InlineData(Verb.Hold, NeedCode.Falls)]
    public void A_seat_without_one_kind_of_act_stops_where_it_was_needed(Verb verb, NeedCode code)
    {
        var order = Order(Cooler(frameNm: 0.35), bare: true, processor: Cooled());
        var scene = BenchScene.Create(order, Bare());
        List<WalkStep> less = [.. Bare().Steps.Select(s => new WalkStep([.. s.Acts.Where(a => a.Do != verb)]))];
        Assert.Equal(code, BenchWalk.Run(scene, BenchState.Create(scene), less).Contradiction?.Unmet.Code);
    }

    [Fact]
    public void Nuts_and_studs_say_what_is_still_to_go()
    {
        var plan = Plan(Order(Cooler()));
        Assert.Null(Walk(Order(Cooler()), plan));
        var turns = plan.Mount.Sheet.Steps.Where(s => s.Kind == StepKind.Turn).ToList();
        Assert.All(turns.SelectMany(s => s.Turns), t => Assert.Equal("nut", t.Thing));
        Assert.All(
            turns.TakeLast(1),
            s => Assert.Equal(("0.0 mm", "still to go"), (s.Facts[^1].Value, s.Facts[^1].Label))
        );
        var first = turns[0];
        var moves = plan.Mount.Pairs[0].Tightening!.Moves;
        var left = moves.Where(m => m.Pass > 1 && m.Hole == moves[0].Hole).Sum(m => m.AdvanceMm);
        Assert.Equal(FormattableString.Invariant($"{left:0.0} mm"), first.Facts[^1].Value);
        Assert.Equal(3, first.Facts.Count);
        Assert.EndsWith(
            "turned 180°. Do not slide it.",
            Step(plan, Station.Mount, "lower").Title,
            StringComparison.Ordinal
        );
        Assert.Equal("Fit the springs and nuts, 4 just gripping", Step(plan, Station.Mount, "start").Title);
        var bare = Bare();
        Assert.All(
            bare.Mount.Sheet.Steps.Where(s => s.Kind == StepKind.Turn),
            s => Assert.Equal("of tip still to come", s.Facts[^1].Label)
        );
        Assert.StartsWith(
            "Fit the springs, 4 studs just gripping",
            Step(bare, Station.Mount, "start").Title,
            StringComparison.Ordinal
        );
        Assert.Contains("4 studs", bare.Mount.Sheet.Summary, StringComparison.Ordinal);
        Assert.Contains("4 nuts", plan.Mount.Sheet.Summary, StringComparison.Ordinal);
    }

    [Fact]
    public void Memory_is_looked_at_before_anything_is_measured()
    {
        var look = Step(Plan(Order(Cooler())), Station.Prove, "memory-speed");
        Assert.Equal("250 to 800 N", look.Facts[1].Value);
        Assert.EndsWith(" N", look.Facts[0].Value, StringComparison.Ordinal);
        Assert.StartsWith(
            "Look along the edges: gap even all round, every spring",
            Step(Plan(Order(Cooler())), Station.Prove, "edges").Title,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void What_comes_out_first_and_when_contacts_are_covered_is_said()
    {
        Assert.StartsWith("The package first", Step(Bare(), Station.Prep, "clamp").Detail, StringComparison.Ordinal);
        var order = Order(Cooler(frameNm: 0.35), bare: true, processor: Cooled());
        Assert.StartsWith(
            "The clamp's screws first",
            Step(Plan(order, "q", ("processor-clamp", "clamp-off")), Station.Prep, "clamp").Detail,
            StringComparison.Ordinal
        );
        Assert.Equal(
            "Keep the cover on until the package lies over the contacts.",
            Step(Bare(), Station.Prep, "processor").Detail
        );
        Assert.EndsWith(
            "Clamp off first; nothing may touch the open contacts.",
            Step(Plan(Order(Cooler()), null, ("processor-clamp", "clamp-off")), Station.Prep, "processor").Detail,
            StringComparison.Ordinal
        );
        Assert.EndsWith("wait 20 minutes", Step(Bare(), Station.Prep, "solder").Title, StringComparison.Ordinal);
        Assert.Equal(
            "Screw 4 posts into the socket's frame, down to the shoulder, then tighten them",
            Step(Plan(Order(Cooler(), socket: Gull(Posts.Captive))), Station.Prep, "posts").Title
        );
    }

    [Fact]
    public void Lowering_starting_and_turning_speak_of_posts_or_of_studs_and_bare_silicon()
    {
        WorkStep First(JobPlan plan, StepKind kind) => plan.Mount.Sheet.Steps.First(s => s.Kind == kind);
        var (lidded, bare) = (Plan(Order(Cooler())), Bare());
        var lower = First(lidded, StepKind.Lower);
        Assert.StartsWith("It comes down level over its posts", lower.Feel, StringComparison.Ordinal);
        Assert.EndsWith("sliding smears the paste.", lower.Detail, StringComparison.Ordinal);
        Assert.DoesNotContain("silicon", lower.Caution, StringComparison.Ordinal);
        var onto = First(bare, StepKind.Lower);
        Assert.StartsWith("It comes down level over its studs", onto.Feel, StringComparison.Ordinal);
        Assert.EndsWith("sliding smears the metal.", onto.Detail, StringComparison.Ordinal);
        Assert.StartsWith("Bare silicon chips easily", onto.Caution, StringComparison.Ordinal);
        Assert.StartsWith("A washer may be stuck", First(lidded, StepKind.Start).Detail, StringComparison.Ordinal);
        Assert.DoesNotContain(
            First(lidded, StepKind.Start).Facts,
            f => f.Label.Contains("washer", StringComparison.Ordinal)
        );
        Assert.StartsWith(
            "From behind they turn the other way",
            First(bare, StepKind.Start).Detail,
            StringComparison.Ordinal
        );
        Assert.StartsWith(
            "Turn each by the same amount",
            First(lidded, StepKind.Turn).Caution,
            StringComparison.Ordinal
        );
        Assert.StartsWith("Tighten all corners evenly", First(bare, StepKind.Turn).Caution, StringComparison.Ordinal);
    }
}
