using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Prove.Faults;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>The fault finder on cases worked by hand, in words and figures.</summary>
public class FaultTests
{
    private static readonly PadMaterial Soft = Sample.Soft with { ConductivityWPerMK = 3 };
    private static readonly PasteMaterial Paste = Sample.Grey with { ConductivityWPerMK = 4 };
    private static readonly string[] Chips = ["M1", "M2", "M3", "M4", "M5", "M6"];

    /// <summary>240 W on the die, six memory chips of 3 W round it.</summary>
    /// <param name="dark">Chips that give no heat.</param>
    internal static FaultBench Bench(double flow = 3, params string[] dark)
    {
        var stack = Stack(3, dark);
        return FaultBench.Create(stack.Laid, stack.Pads, stack.Materials, stack.Paste, new(null, 30, flow));
    }

    [Fact]
    public void A_part_under_two_plates_is_one_part()
    {
        var stack = Stack(3);
        var block = stack.Laid.Block;
        var main = block.Plates[0];
        var beside = main with
        {
            Id = "beside",
            Seat = Seat.Standoff,
            StandoffMm = 2.1,
            Lands = [main.Lands.First(l => l.For == PartKind.Memory)],
            Holes = [],
        };
        var laid = LaidBlock.Create(stack.Laid.Board, block with { Plates = [main, beside] });
        var bench = FaultBench.Create(laid, null, stack.Materials, stack.Paste, new(null, 30, 3));
        Assert.Equal(["U1", .. Chips], bench.Parts.Select(p => p.Id));
    }

    /// <summary>The bench that the simulator runs: a plate of twice as many cells and another base than the drawing says.</summary>
    internal static readonly FaultBench Simulator = FaultBench.Create(
        BlockHeat.Compute(Stack(3.3).Laid, null, 3, 24_000, default),
        Stack(3.3),
        new(null, 30, 3)
    );

    private static StackUp Stack(double baseMm, params string[] dark)
    {
        var board = Sample.Board();
        (double X, double Y)[] at = [(-9, 33), (9, 33), (30, 6), (30, -9), (9, -33), (-9, -33)];
        var sample = board.Parts.First(p => p.Kind == PartKind.Memory);
        board = board with
        {
            Parts =
            [
                .. board.Parts.Where(p => p.Kind != PartKind.Memory),
                .. at.Select(
                    (a, i) =>
                        sample with
                        {
                            Id = Chips[i],
                            X = a.X,
                            Y = a.Y,
                            DissipationW = dark.Contains(Chips[i]) ? 0 : 3,
                            LimitC = 95,
                        }
                ),
            ],
        };
        var block = Sample.Block();
        var main = block.Plates[0];
        var land = main.Lands.First(l => l.For == PartKind.Memory);
        block = block with
        {
            Flow = new(0.03, 0.06, 0.8, "L/min", []),
            ColdPlate = new("copper", baseMm, 90, 0)
            {
                FinArea = Sample.Rect(0, 0, 34, 30),
                FlowArea = Sample.Rect(0, 0, 80, 60),
            },
            Plates =
            [
                main with
                {
                    Lands =
                    [
                        .. main.Lands.Where(l => l.For != PartKind.Memory),
                        .. at.Select(
                            (a, i) => land with { Id = $"L{i}", Outline = Sample.Rect(a.X, a.Y, 16, 16), Part = null }
                        ),
                    ],
                },
            ],
        };
        return new(
            LaidBlock.Create(board, block),
            [.. Chips.Select(c => new LaidPad(c, 1, "soft"))],
            new Dictionary<string, PadMaterial> { [Soft.Id] = Soft },
            Paste
        );
    }

    internal static readonly FaultBench Whole = Bench();

    private static double Expected(string part) => Whole.ExpectedC(Whole.Parts.Single(p => p.Id == part));

    /// <summary>Every part read by a sensor of its own, so much over what is expected.</summary>
    private static List<SensorReading> Each(Func<string, double> over, double sigma = 0.5) =>
        [.. Whole.Parts.Select(p => new SensorReading([p.Id], SensorKind.Mean, Expected(p.Id) + over(p.Id), sigma))];

    [Fact]
    public void Readings_as_expected_say_nothing_is_wrong_and_chances_add_up()
    {
        var r = FaultFinder.Find(Whole, Each(_ => 0));
        Assert.Equal(FaultKind.None, r.Hypotheses[0].Kind);
        Assert.True(r.Hypotheses[0].Probability > 0.5);
        Assert.Equal(1, r.Hypotheses.Sum(h => h.Probability), 9);
        Assert.Equal(7, r.Expected.Count);
        Assert.All(r.Hypotheses, h => Assert.Equal(7, h.EffectK.Count));
    }

    [Fact]
    public void One_chip_warmer_by_a_films_worth_is_film_left_on_it()
    {
        // 0.07 mm of film over 14 × 12 mm at 0.2 W/(m·K), 3 W: 6.25 K
        var film = 3 * 0.07e-3 / (0.2 * 14 * 12 * 1e-6);
        Assert.Equal(6.25, film, 9);
        var first = FaultFinder.Find(Whole, Each(p => p == "M3" ? film : 0)).Hypotheses[0];
        Assert.Equal(FaultKind.FilmLeft, first.Kind);
        Assert.Equal(["M3"], first.Parts);
        Assert.InRange(first.Size, 0.05, 0.09);
        Assert.InRange(first.EffectK.Single(e => e.Parts[0] == "M3").K, 5, 7.5);
        Assert.Contains("M3", first.Check);
    }

    [Fact]
    public void A_chip_left_to_the_boards_own_path_has_no_pad_or_one_that_does_not_touch()
    {
        var own = Whole.Parts.Single(p => p.Id == "M5");
        var bare = 3 * FaultBench.BoardKPerW - own.OwnK;
        var r = FaultFinder.Find(Whole, Each(p => p == "M5" ? bare : 0));
        var two = r.Hypotheses.Take(2).ToList();
        Assert.Equal([FaultKind.PadMissing, FaultKind.PadThin], two.Select(h => h.Kind).Order());
        Assert.All(two, h => Assert.Equal(["M5"], h.Parts));
        Assert.True(two.Sum(h => h.Probability) > 0.95);
    }

    [Fact]
    public void Less_flow_than_believed_warms_everything_as_the_curve_and_the_coolant_say()
    {
        var (slow, watts) = (1.2, 240 + 6 * 3.0);
        double PerWatt(double q) => 0.03 + 0.06 * Math.Pow(q, -0.8);
        double Rise(double q) => watts / (0.997 * 4180 * q / 60) / 2;
        double Over(string id)
        {
            var land = Whole.Parts.Single(p => p.Id == id).LandK;
            return land * (PerWatt(slow) / PerWatt(3) - 1) + Rise(slow) - Rise(3);
        }
        var first = FaultFinder.Find(Whole, Each(Over)).Hypotheses[0];
        Assert.Equal(FaultKind.LowFlow, first.Kind);
        Assert.Equal(0.4, first.Size, 0.08);
        Assert.Contains("flow", first.Check);
    }

    [Fact]
    public void A_tilt_names_the_corner_that_stands_high()
    {
        double Over(string id)
        {
            var p = Whole.Parts.Single(x => x.Id == id);
            return Whole.With(p, FaultKind.Tilt, null, 2, 0.25).C - Whole.ExpectedC(p);
        }
        var first = FaultFinder.Find(Whole, Each(Over)).Hypotheses[0];
        Assert.Equal(FaultKind.Tilt, first.Kind);
        Assert.Equal("upper right", first.Corner);
    }

    [Fact]
    public void What_one_sensor_can_not_tell_apart_is_told_as_a_group()
    {
        List<SensorReading> readings =
        [
            new(["U1"], SensorKind.Mean, Expected("U1"), 0.5),
            new(Chips, SensorKind.Max, Chips.Max(Expected) + 7, 0.5),
        ];
        var r = FaultFinder.Find(Whole, readings);
        var film = r.Hypotheses.Single(h => h.Kind == FaultKind.FilmLeft);
        Assert.Equal(Chips, film.Parts.Order());
        Assert.Equal(FaultKind.FilmLeft, r.Hypotheses.First(h => h.Kind != FaultKind.None).Kind);
        // at the die alone, paste without a corner and paste pumped out look the same: both are there
        var hot = FaultFinder.Find(Whole, [new(["U1"], SensorKind.Mean, Expected("U1") + 4, 0.5)]);
        Assert.Contains(hot.Hypotheses, h => h.Kind == FaultKind.PasteVoid && h.Probability > 0.02);
        Assert.Contains(hot.Hypotheses, h => h.Kind == FaultKind.PumpOut && h.Probability > 0.02);
        // and pads nobody reads are no suspects
        Assert.DoesNotContain(hot.Hypotheses, h => h.Kind is FaultKind.FilmLeft or FaultKind.PadMissing);
    }

    [Fact]
    public void A_reading_of_a_part_the_block_does_not_cover_is_refused_with_its_place()
    {
        var e = Assert.Throws<InputException>(() => FaultFinder.Find(Whole, [new(["Z9"], SensorKind.Mean, 40, 1)]));
        Assert.Equal("readings/0/parts", e.Faults[0].Field);
    }
}
