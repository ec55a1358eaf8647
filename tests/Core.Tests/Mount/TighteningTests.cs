using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Screw after screw to home: what each turn does, what the order keeps, and how it is said.</summary>
public class TighteningTests
{
    private static readonly LaidPad[] Pads = [new("M1", 1, "soft"), new("M2", 1, "soft")];

    private static TighteningResult Simulate(double? turns = null, string[]? order = null) =>
        Compute.Tighten(Sample.Board(), Sample.Block(), Pads, Sample.Materials, Sample.Grey, turns, order);

    [Fact]
    public void The_die_ring_goes_in_a_cross()
    {
        var order = Simulate().Order;
        // S1 (−,−) is opposite S3 (+,+), S2 opposite S4
        Assert.Equal(new HashSet<string> { "S1", "S3" }, order.Take(2).ToHashSet());
        Assert.Equal(new HashSet<string> { "S2", "S4" }, order.Skip(2).ToHashSet());
    }

    [Fact]
    public void It_ends_where_the_seating_says()
    {
        var seated = Compute.Seat(Sample.Board(), Sample.Block(), Pads, Sample.Materials, Sample.Grey);
        var last = Simulate(0.25).Moves[^1];
        // the block's own weight rests on it too, five newtons of some hundred
        Assert.Equal(seated.Screws[0].LoadN, last.LoadN, 0.5);
        Assert.Equal(0, last.TiltDeg, 0.002);
    }

    [Fact]
    public void One_corner_home_first_presses_the_die_harder_than_the_cross()
    {
        var t = Simulate(0.25);
        Assert.True(t.OneCornerFirst!.PeakMPa > 2 * t.Worst.PeakMPa);
        Assert.True(t.OneCornerFirst.TiltDeg > t.Worst.TiltDeg);
    }

    [Fact]
    public void The_recommended_step_keeps_the_bounds_and_the_next_larger_does_not()
    {
        var t = Simulate();
        Assert.True(t.Worst.TiltDeg <= t.TiltLimitDeg && t.Worst.PeakMPa <= t.PeakLimitMPa);
        Assert.True(t.Within);
        double[] steps = [0.125, 0.25, 0.5, 0.75, 1, 1.5, 2];
        var larger = steps.FirstOrDefault(s => s > t.RecommendedTurns);
        if (larger > 0)
        {
            var worse = Simulate(larger);
            Assert.True(worse.Worst.TiltDeg > t.TiltLimitDeg || worse.Worst.PeakMPa > t.PeakLimitMPa);
            Assert.False(worse.Within);
        }
    }

    [Fact]
    public void Every_screw_is_turned_home_exactly()
    {
        foreach (var screw in Simulate(0.5).Moves.GroupBy(m => m.Hole))
            // travel 1.2 mm and the height of the first touch, in turns of 0.45 mm
            Assert.True(screw.Sum(m => m.Turns) * 0.45 >= 1.2);
        Assert.Throws<InputException>(() => Simulate(0.5, ["S1", "S1", "S2", "S3"]));
        Assert.Throws<InputException>(() => Simulate(0.5, ["S1", "S9", "S2", "S3"]));
    }

    [Fact]
    public void Torque_is_K_times_diameter_times_load()
    {
        var move = Simulate().Moves[^1];
        Assert.Equal(0.2 * 0.0025 * move.LoadN, move.TorqueNm, 9);
    }

    [Fact]
    public void A_move_says_what_it_did()
    {
        var t = Simulate(0.5);
        foreach (var m in t.Moves)
        {
            // pitch of M2.5
            Assert.Equal(0.45 * m.Turns, m.AdvanceMm, 9);
            Assert.InRange(m.Turns, 1e-9, 0.5 + 1e-9);
            Assert.Equal("main", m.Plate);
            Assert.True(m.FilmUm[0] <= m.FilmUm[1]);
            // one die alone needs no list of its own
            Assert.Empty(m.Dies);
        }
        Assert.Contains(t.Moves, m => m.FilmUm[0] < m.FilmUm[1] - 1);
        Assert.Equal(0.5, t.TakenTurns);
        Assert.Equal(t.Moves.Max(m => m.Pass), t.Passes);
        Assert.Equal(t.Moves.Max(m => m.TiltDeg), t.Worst.TiltDeg, 12);
        Assert.Equal(t.Moves.Max(m => m.PeakMPa), t.Worst.PeakMPa, 12);
        // each pass turns each screw that is not home, in the order
        foreach (var pass in t.Moves.GroupBy(m => m.Pass))
            Assert.Equal(t.Order.Where(h => pass.Any(m => m.Hole == h)), pass.Select(m => m.Hole));
        Assert.All(t.Moves.GroupBy(m => m.Hole), g => Assert.Equal(g.Last(), g.Single(m => m.Home)));
        Assert.Equal(3, t.PeakLimitMPa);
        Assert.True(t.PressesDie);
    }

    [Fact]
    public void A_sprung_screw_goes_its_travel_and_what_the_plate_stands_higher_at_first()
    {
        // soft pads that give by 0.45 at most begin to squeeze at the height of their thickness: 1 mm over parts of
        // 1.2 mm
        var t = Simulate(0.5);
        var seated = Compute.Seat(Sample.Board(), Sample.Block(), Pads, Sample.Materials, Sample.Grey);
        var turns = t.Moves.Where(m => m.Hole == "S1").Sum(m => m.Turns);
        // memory 1.2 + pad 1 + step 0.23 over the die land at 2.1: the first touch lies 0.33 mm up, home at no film
        Assert.Equal((1.2 + 0.33) / 0.45, turns, 2);
        Assert.True(seated.PlaneMm < 2.43);
    }

    [Fact]
    public void Screws_that_are_named_go_in_that_order_and_each_has_to_be_named()
    {
        var t = Simulate(0.5, ["S4", "S2", "S1", "S3"]);
        Assert.Equal(["S4", "S2", "S1", "S3"], t.Order);
        Assert.Equal(["S4", "S2", "S1", "S3"], t.Moves.Take(4).Select(m => m.Hole));
        Assert.Equal(
            "order/0",
            Assert.Throws<InputException>(() => Simulate(0.5, ["S9", "S1", "S2", "S3"])).Faults[0].Field
        );
        Assert.Equal("order", Assert.Throws<InputException>(() => Simulate(0.5, ["S1", "S2", "S3"])).Faults[0].Field);
        Assert.Equal(
            "order/1",
            Assert.Throws<InputException>(() => Simulate(0.5, ["S1", "S9", "S2", "S3"])).Faults[0].Field
        );
    }

    [Fact]
    public void A_step_that_asks_for_too_many_moves_is_refused()
    {
        // 3.4 turns each: a step of a thousandth asks for 13,600 moves
        Assert.Equal("turnsPerMove", Assert.Throws<InputException>(() => Simulate(0.001)).Faults[0].Field);
        Assert.True(Simulate(0.02).Moves.Count is > 500 and < Tightening.MaxMoves);
    }

    [Fact]
    public void Sixty_four_screws_are_turned_and_one_more_is_not()
    {
        static Block Many(int n)
        {
            var block = Sample.Block();
            var ring = Enumerable
                .Range(0, n)
                .Select(i =>
                    block.Plates[0].Holes[0] with
                    {
                        Id = $"R{i}",
                        X = 40 * Math.Cos(2 * Math.PI * i / n),
                        Y = 40 * Math.Sin(2 * Math.PI * i / n),
                        Spring = new(4, 1.2),
                    }
                );
            return block with { Plates = [block.Plates[0] with { Holes = [.. ring] }] };
        }
        TighteningResult Of(int n) => Compute.Tighten(Sample.Board(), Many(n), [], Sample.Materials, Sample.Grey, 100);
        Assert.Equal(Tightening.MaxScrews, Of(Tightening.MaxScrews).Moves.Count);
        Assert.Equal("block/plates", Assert.Throws<InputException>(() => Of(Tightening.MaxScrews + 1)).Faults[0].Field);
    }

    private static TighteningResult Said(Worst worst, Worst? corner, double? limit = 3, double taken = 0.5) =>
        new(["S1", "S2"], [], worst, 0.5, 1, 0.3, limit, corner) { TakenTurns = taken, PressesDie = true };

    [Fact]
    public void What_the_turns_keep_is_said_in_a_sentence()
    {
        var t = Said(new(0.1, 1), new(0.4, 2.5));
        Assert.Equal(
            "2 screws in 1 pass, 0 turns. The largest even step that keeps tilt under 0.3° and the die's edge under 3 MPa.",
            t.Summary
        );
        Assert.Equal(
            "2 screws in 1 pass, 0 turns. Recommended is half a turn, the largest even step that keeps tilt under 0.3°.",
            (t with { TakenTurns = 0.25, PressesDie = false }).Summary
        );
        Assert.Equal(
            "2 screws in 1 pass, 0 turns. No even step keeps tilt under 0.3° and the die's edge under 3 MPa: this one reaches "
                + "0.10°. Turn in the smallest steps and hold the block level by hand until all screws grip.",
            (t with { RecommendedKeepsBounds = false }).Summary
        );
        Assert.Equal("half a turn", t.TakenWords);
        Assert.Equal("a quarter turn", (t with { RecommendedTurns = 0.25 }).RecommendedWords);
    }

    [Theory]
    [InlineData(1, 2.5, "Tightening one corner first presses the die's edge 2.5 times as hard.")]
    [InlineData(1, 1.5, "Tightening one corner first presses the die's edge 1.5 times as hard.")]
    [InlineData(1, 1.4, "so that all corners come down evenly.")]
    [InlineData(0, 2.5, "so that all corners come down evenly.")]
    [InlineData(2, 2.5, "so that all corners come down evenly.")]
    [InlineData(2, 5, "Tightening one corner first presses the die's edge 2.5 times as hard.")]
    [InlineData(1, 9.1, "Tightening one corner first chips the die's edge.")]
    public void Why_the_cross_is_said_by_what_one_corner_first_does(double cross, double corner, string ends) =>
        Assert.EndsWith(ends, Said(new(0.1, cross), new(0.4, corner)).WhyThisOrder, StringComparison.Ordinal);

    [Fact]
    public void Without_a_die_the_tilt_alone_is_the_reason_and_no_pressure_is_told()
    {
        var none = Said(new(0.1, 0), new(0.42, 0)) with { PressesDie = false };
        Assert.EndsWith("One screw home first tilts it 0.42°.", none.WhyThisOrder, StringComparison.Ordinal);
        Assert.Null(none.WorstEdge);
        Assert.Null(none.CornerEdge);
        var die = Said(new(0.1, 1), new(0.4, 2.5));
        Assert.Equal(("1.0 MPa", "2.5 MPa"), (die.WorstEdge, die.CornerEdge));
        Assert.Null((die with { OneCornerFirst = null }).CornerEdge);
    }

    [Fact]
    public void Each_of_two_dies_is_told_by_itself()
    {
        var two = Sample.Board(
            more: Sample.Part("U2", PartKind.Die, 30, 0, 6, 6, 2.1, Cooling.Must) with
            {
                MaxPressureMPa = 0.01,
            }
        );
        var block = Sample.Block();
        var wide = block with
        {
            Plates =
            [
                block.Plates[0] with
                {
                    Lands =
                    [
                        .. block.Plates[0].Lands,
                        new()
                        {
                            Id = "L-2",
                            Outline = Sample.Rect(30, 0, 8, 8),
                            Part = "U2",
                            Through = Through.Paste,
                        },
                    ],
                },
            ],
        };
        var last = Compute.Tighten(two, wide, Pads, Sample.Materials, Sample.Grey, 0.5).Moves[^1];
        Assert.Equal(["U1", "U2"], last.Dies.Select(d => d.Part).Order());
        // the more delicate of the two sets the limit
        Assert.Equal(0.01, Compute.Tighten(two, wide, Pads, Sample.Materials, Sample.Grey, 0.5).PeakLimitMPa);
        var small = last.Dies.Single(d => d.Part == "U2");
        Assert.True(small.LoadN > 0);
        Assert.True(small.Over);
        Assert.Equal("over 3 times the limit: the edge chips", small.Edge);
        Assert.False(last.Dies.Single(d => d.Part == "U1").Over);
    }

    private static double TravelMm(params LaidPad[] pads) =>
        Compute
            .Tighten(Sample.Board(), Sample.Block(), pads, Sample.Materials, Sample.Grey, 0.5)
            .Moves.Where(m => m.Hole == "S1")
            .Sum(m => m.AdvanceMm);

    [Fact]
    public void It_begins_on_the_paste_as_laid_or_on_the_thickest_pad()
    {
        // springs of 1.2 mm; paste 0.2 mm high; pads stand over 2.1 by their thickness less 0.67
        Assert.Equal(1.2 + 0.2, TravelMm(), 9);
        Assert.Equal(1.2 + 0.33, TravelMm(new("M1", 1, "soft"), new("M2", 1, "soft")), 9);
        Assert.Equal(1.2 + 0.53, TravelMm(new("M1", 1, "soft"), new("M2", 1.2, "soft")), 9);
        Assert.Equal(1.2 + 0.53, TravelMm(new("M1", 1.2, "soft"), new("M2", 1, "soft")), 9);
    }

    [Fact]
    public void The_load_told_is_that_of_the_screw_that_was_turned()
    {
        var t = Simulate(0.5, ["S3", "S1", "S2", "S4"]);
        // nobody else pulls yet: half a turn of 0.45 mm on a spring of 75 N/mm, but for what the plate gives
        Assert.InRange(t.Moves[0].LoadN, 1, 75 * 0.225);
        Assert.InRange(t.OneCornerFirst!.TiltDeg, 0.05, 5);
    }

    [Fact]
    public void Where_no_step_keeps_the_bounds_the_least_is_taken_and_told()
    {
        TighteningResult Of(double limit) =>
            Tightening.Simulate(
                Compute
                    .Stack(Sample.Board(), Sample.Block(), Pads, Sample.Materials, Sample.Grey)
                    .WhileMounting(screwsIn: true),
                tiltLimitDeg: limit
            );
        var hopeless = Of(1e-4);
        Assert.Equal((0.125, false), (hopeless.RecommendedTurns, hopeless.RecommendedKeepsBounds));
        Assert.True(Of(0.3).RecommendedKeepsBounds);
    }

    /// <summary>A second plate far from the first, on standoffs, with a pad land of its own.</summary>
    private static Block TwoPlates(int screws)
    {
        var block = Sample.Block();
        var first = block.Plates[0];
        return block with
        {
            Plates =
            [
                first,
                first with
                {
                    Id = "second",
                    Lands = [],
                    StandoffMm = 2.1,
                    Seat = Seat.Standoff,
                    Holes =
                    [
                        .. Enumerable
                            .Range(0, screws)
                            .Select(i =>
                                first.Holes[0] with
                                {
                                    Id = $"T{i}",
                                    X = 40 * Math.Cos(i),
                                    Y = 40 * Math.Sin(i),
                                }
                            ),
                    ],
                },
            ],
        };
    }

    [Fact]
    public void Every_plates_screws_are_turned_plate_by_plate_and_counted_together()
    {
        TighteningResult Of(int screws, string[]? order = null) =>
            Compute.Tighten(Sample.Board(), TwoPlates(screws), Pads, Sample.Materials, Sample.Grey, 100, order);
        var t = Of(3);
        Assert.Equal(7, t.Order.Count);
        Assert.Equal(Enumerable.Repeat("main", 4).Concat(Enumerable.Repeat("second", 3)), t.Moves.Select(m => m.Plate));
        var own = Of(3, ["T2", "S4", "T0", "S1", "T1", "S2", "S3"]);
        Assert.Equal(["S4", "S1", "S2", "S3", "T2", "T0", "T1"], own.Order);
        Assert.Equal("block/plates", Assert.Throws<InputException>(() => Of(61)).Faults[0].Field);
    }

    /// <summary>Passes of two, one and a half, … turns, never growing, so many that the rest comes last.</summary>
    private static IEnumerable<double[]> Chains(int passes, double whole, double largest = 2)
    {
        if (passes == 1)
        {
            if (whole <= largest + 1e-9)
                yield return [whole];
            yield break;
        }
        foreach (var a in (double[])[2, 1.5, 1, 0.75, 0.5, 0.25, 0.125, 0.0625])
            if (a <= largest && a < whole - 1e-9)
                foreach (var rest in Chains(passes - 1, whole - a, a))
                    yield return [a, .. rest];
    }

    [Theory]
    [InlineData(20, 0.5)]
    [InlineData(40, 0.3)]
    [InlineData(75, 0.22)]
    public void No_shorter_chain_of_passes_keeps_the_limits(double rate, double tiltDeg)
    {
        var block = Sample.Block();
        block = block with
        {
            Plates =
            [
                block.Plates[0] with
                {
                    Holes = [.. block.Plates[0].Holes.Select(h => h with { Spring = new(rate, 1.2) })],
                },
            ],
        };
        var stack = Compute
            .Stack(Sample.Board(), block, Pads, Sample.Materials, Sample.Grey)
            .WhileMounting(screwsIn: true);
        var fewest = Tightening.Passes(stack, tiltLimitDeg: tiltDeg);
        Assert.True(fewest is { Within: true, Home: true });
        var whole = fewest.PassList.Sum(p => p.Turns);
        var shorter = Enumerable.Range(1, Math.Min(3, fewest.Passes - 1)).SelectMany(n => Chains(n, whole)).ToList();
        Assert.True(fewest.Passes > 1);
        Assert.All(
            shorter,
            c => Assert.False(Tightening.Passes(stack, c, tiltLimitDeg: tiltDeg) is { Within: true, Home: true })
        );
        // two opposite ones at once keep it level, and that never takes more passes
        var byTwo = Tightening.Passes(stack, tiltLimitDeg: tiltDeg, byTwo: true);
        Assert.True(byTwo is { Within: true, Home: true } && byTwo.Passes <= fewest.Passes);
        Assert.Equal(fewest.Order, byTwo.Order);
        Assert.True(byTwo.Worst.TiltDeg < fewest.Worst.TiltDeg / 2);
        // the same by a step of one's own
        TighteningResult By(bool two) => Tightening.Simulate(stack, 0.25, tiltLimitDeg: tiltDeg, byTwo: two);
        Assert.True(By(two: true).Worst.TiltDeg < By(two: false).Worst.TiltDeg / 2);
        Assert.Equal(
            By(two: false).Moves.Select(m => (m.Hole, m.Pass)),
            By(two: true).Moves.Select(m => (m.Hole, m.Pass))
        );
        // amounts never grow, and the moves of a pass keep both limits
        Assert.Equal(fewest.PassList.Select(p => p.Turns).OrderDescending(), fewest.PassList.Select(p => p.Turns));
        Assert.True(fewest.Worst.TiltDeg <= tiltDeg + 1e-9);
    }
}
