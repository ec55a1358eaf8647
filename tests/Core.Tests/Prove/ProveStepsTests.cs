using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Paste;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Prove;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Paste and proof as steps: amounts in the hand's terms, the leak hold, the imprint, the reading.</summary>
public class ProveStepsTests
{
    private static JobPlan Plan(Func<JobContext, JobContext>? with = null, Dictionary<string, string>? ways = null)
    {
        var job = new JobContext
        {
            Order = WorkOrder.Plain(Sample.Board(), Sample.Block()),
            Drawer = new() { Materials = [Sample.Soft], Pastes = [new("t", Sample.Grey, 5, 24)] },
            Ways = ways ?? [],
        };
        return JobPlanner.Plan(with?.Invoke(job) ?? job);
    }

    private static WorkStep Prove(JobPlan plan, string target) =>
        plan.Prove.Sheet.Steps.Single(s => s.Id.Target == target);

    [Fact]
    public void A_card_is_looked_at_tested_for_leaks_booted_and_measured()
    {
        var plan = Plan();
        Assert.Equal(
            ["edges", "leak", "water-out", "fill", "boot", "after"],
            plan.Prove.Sheet.Steps.Select(s => s.Id.Target)
        );
        // coolant before current
        Assert.Equal([Prove(plan, "fill").Id], Prove(plan, "boot").Locks);
        Assert.Equal(900, Prove(plan, "leak").TimerS);
        Assert.Equal([new Fact("15 min", "hold"), new Fact("0.5 bar", "at most")], Prove(plan, "leak").Facts);
        Assert.Equal(["U1"], Prove(plan, "after").Targets);
        Assert.Equal(("no readings yet", false), (plan.Prove.Sheet.Summary, plan.Prove.Sheet.Trouble));
        Assert.StartsWith("Coolant, room and flow noted", Prove(plan, "after").Detail, StringComparison.Ordinal);
        Assert.Contains("unless the proof is poor", Prove(plan, "edges").Detail, StringComparison.Ordinal);
    }

    [Fact]
    public void The_hold_is_as_long_as_the_shop_holds()
    {
        var leak = Prove(Plan(j => j with { Shop = j.Shop with { LeakHoldS = 20 } }), "leak");
        Assert.Equal((20, "1 min"), (leak.TimerS!.Value, leak.Facts[0].Value));
    }

    [Fact]
    public void Where_the_imprint_is_read_the_lift_stands_with_what_it_costs()
    {
        var plan = Plan(ways: new() { ["imprint"] = "lift" });
        Assert.Equal(["edges", "imprint"], plan.Prove.Sheet.Steps.Take(2).Select(s => s.Id.Target));
        Assert.Null(Prove(plan, "edges").Detail);
        Assert.StartsWith(
            FormattableString.Invariant($"Costs 2 fresh pads and {plan.Paste.MassG:0.00} g of paste."),
            Prove(plan, "imprint").Detail,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void What_was_measured_is_told_where_it_is_measured()
    {
        var plan = Plan(j =>
            j with
            {
                Readings =
                [
                    new(Phase.Before, 20, null, 80, null, null, 200, null, null),
                    new(Phase.After, 20, 30, 50, null, null, 200, 3, null),
                ],
            }
        );
        Assert.Equal("30 K cooler", plan.Prove.Sheet.Summary);
        Assert.StartsWith(
            "Before: die 60.0 K over the room at 200 W",
            Prove(plan, "after").Detail,
            StringComparison.Ordinal
        );
        Assert.NotNull(plan.Prove.First!.GainK);
    }

    [Fact]
    public void A_reading_of_another_board_says_nothing_of_this_one()
    {
        var plan = Plan(j =>
            j with
            {
                Readings = [new Reading(Phase.Before, 20, null, 80, null, null, 200, null, null) { Board = "B" }],
            }
        );
        Assert.Equal("no readings yet", plan.Prove.Sheet.Summary);
    }

    [Fact]
    public void The_paste_step_says_grams_plunger_and_bead()
    {
        var plan = Plan();
        var face = Assert.Single(plan.Paste.Faces);
        var step = Assert.Single(plan.Paste.Sheet.Steps);
        Assert.Equal(
            [
                FormattableString.Invariant($"{face.Amount.MassG:0.00} g"),
                FormattableString.Invariant($"{face.Amount.PlungerMm:0.0} mm"),
                FormattableString.Invariant($"{face.Amount.LineLengthMm:0} mm"),
            ],
            step.Facts.Select(f => f.Value)
        );
        Assert.Equal("of 1.5 mm bead", step.Facts[2].Label);
        Assert.Contains("no bare silicon may be visible", step.Caution, StringComparison.Ordinal);
        Assert.Equal(["U1"], step.Targets);
        Assert.Equal((int)Math.Floor(5 / face.Amount.MassG), face.Applications);
        Assert.Equal(FormattableString.Invariant($"{face.Amount.MassG:0.00} g spread"), plan.Paste.Sheet.Summary);
    }

    [Fact]
    public void A_tube_that_does_not_reach_is_told_unless_the_kit_brings_paste()
    {
        JobPlan With(double grams, double kit) =>
            Plan(j =>
                j with
                {
                    Order = WorkOrder.Plain(
                        Sample.Board(),
                        Sample.Block() with
                        {
                            Kit = Sample.Block().Kit! with { PasteG = kit },
                        }
                    ),
                    Drawer = j.Drawer with { Pastes = [new("t", Sample.Grey, grams, 24)] },
                }
            );
        Assert.EndsWith(", tube is short", With(0.01, 0).Paste.Sheet.Summary, StringComparison.Ordinal);
        Assert.True(With(0.01, 0).Paste.Sheet.Trouble);
        Assert.False(With(0.01, 2).Paste.Sheet.Trouble);
        Assert.Equal(
            "no paste in the drawer",
            Plan(j => j with { Drawer = j.Drawer with { Pastes = [] } }).Paste.Sheet.Summary
        );
    }

    [Fact]
    public void Lids_and_plates_and_bare_dies_are_faces_of_their_own()
    {
        PasteSurface Of(PartKind kind, double w, double d = 20) =>
            PasteMethods.SurfaceOf(Sample.Part("x", kind, 0, 0, w, d, 2));
        Assert.Equal(PasteSurface.BareDie, Of(PartKind.Die, 60));
        Assert.Equal(PasteSurface.Lid, Of(PartKind.Lid, 45));
        Assert.Equal(PasteSurface.LargePlate, Of(PartKind.Lid, 46));
        Assert.Equal(PasteSurface.LargePlate, Of(PartKind.Lid, 20, 46));
        Assert.Equal(PasteSurface.BridgeChip, Of(PartKind.BridgeChip, 9));
        var lid = Sample.Part("x", PartKind.Lid, 0, 0, 36, 34, 2);
        Assert.Contains(
            "36 × 34 mm: a line along",
            PasteMethods.Why(PasteSurface.Lid, PasteWay.Line, lid),
            StringComparison.Ordinal
        );
        var reasons =
            from s in Enum.GetValues<PasteSurface>()
            from w in new[] { PasteWay.Spread, PasteWay.Dot }
            select PasteMethods.Why(s, w, lid);
        // a lid takes either for the same reason; every other face has one for each
        Assert.Equal(7, reasons.Distinct().Count());
    }

    [Fact]
    public void A_bare_part_of_a_face_costs_what_the_rest_has_to_carry()
    {
        // 20 µm over 5 cm² at 4 W/(m·K): 0.01 K/W; half covered doubles it
        var paste = Sample.Grey with
        {
            ConductivityWPerMK = 4,
        };
        Assert.Equal(2, BareCost.Kelvin(500, 0.5, 20, paste, 200), 9);
        Assert.Equal(0, BareCost.Kelvin(500, 1, 20, paste, 200), 9);
        Assert.Equal(double.PositiveInfinity, BareCost.Kelvin(500, 0, 20, paste, 200));
    }

    [Fact]
    public void A_point_is_under_a_stroke_just_where_the_nearest_stroke_is_near_enough()
    {
        var random = new Random(7);
        Point2 At() => new(40 * random.NextDouble() - 20, 30 * random.NextDouble() - 15);
        for (var run = 0; run < 40; run++)
        {
            List<IReadOnlyList<Point2>> strokes =
            [
                .. Enumerable
                    .Range(0, 1 + random.Next(5))
                    .Select(_ => (IReadOnlyList<Point2>)[.. Enumerable.Range(0, 1 + random.Next(4)).Select(_ => At())]),
            ];
            var reach = 0.3 + 2 * random.NextDouble();
            var bins = new StrokeBins(strokes, reach);
            for (var k = 0; k < 200; k++)
            {
                var p = At();
                var nearest = strokes.Min(s =>
                    s.Count == 1
                        ? (p - s[0]).Length
                        : s.Zip(s.Skip(1))
                            .Min(x =>
                                x.First == x.Second
                                    ? (p - x.First).Length
                                    : Polygon.DistanceToSegment(p, x.First, x.Second)
                            )
                );
                Assert.Equal(nearest <= reach, bins.Covers(p));
            }
        }
        Assert.False(new StrokeBins([], 1).Covers(new(0, 0)));
    }
}
