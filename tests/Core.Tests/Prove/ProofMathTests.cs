using FaithfulBracket.Core.Prove;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Logs, leaks, resistances and drift: closed forms, and how often the stated intervals hold.</summary>
public class ProofMathTests
{
    private static double Normal(Random random)
    {
        double u = 1 - random.NextDouble(),
            v = random.NextDouble();
        return Math.Sqrt(-2 * Math.Log(u)) * Math.Cos(2 * Math.PI * v);
    }

    private static List<LogSample> Settling(
        double steady,
        double start,
        double tau,
        double toS,
        double stepS,
        double sigma = 0,
        int seed = 1,
        double fromS = 0
    )
    {
        var random = new Random(seed);
        return
        [
            .. Enumerable
                .Range(0, (int)(toS / stepS) + 1)
                .Select(i => i * stepS)
                .Select(t => new LogSample(
                    fromS + t,
                    steady - (steady - start) * Math.Exp(-t / tau) + sigma * Normal(random)
                )),
        ];
    }

    [Fact]
    public void A_clean_settling_gives_its_own_figures_back()
    {
        var r = SteadyState.Compute(Settling(61.5, 34, 95, 300, 2));
        Assert.Equal(61.5, r.SteadyC, 2);
        Assert.Equal(95, r.TauS, 0.1);
        Assert.Single(r.Regimes);
        // 27.5·e^(−300/95) = 1.17 K are left: not settled, and so long until half a kelvin is
        Assert.False(r.Settled);
        Assert.Equal(95 * Math.Log(27.5 * Math.Exp(-300.0 / 95) / 0.5), r.MoreS, 1.0);
        var later = SteadyState.Compute(Settling(61.5, 34, 95, 500, 2));
        Assert.True(later.Settled);
        Assert.Equal(0, later.MoreS);
    }

    [Fact]
    public void A_load_step_cuts_the_log_and_the_last_stretch_is_told()
    {
        List<LogSample> log =
        [
            .. Settling(55, 30, 60, 400, 2, 0.15),
            .. Settling(68, 55, 60, 400, 2, 0.15, seed: 2, fromS: 402),
        ];
        var r = SteadyState.Compute(log);
        Assert.Equal(2, r.Regimes.Count);
        Assert.Equal(402, r.Regimes[1].FromS, 12.0);
        Assert.Equal(68, r.SteadyC, 0.3);
        Assert.Equal(0, r.Regimes[0].FromS);
        Assert.Equal(802, r.Regimes[1].ToS);
        Assert.True(r.Regimes[0].ToS < r.Regimes[1].FromS);
    }

    [Fact]
    public void Noise_alone_is_one_regime_and_the_steady_value_lies_within_its_95_percent()
    {
        int held = 0,
            single = 0;
        const int cases = 400;
        for (var seed = 0; seed < cases; seed++)
        {
            var r = SteadyState.Compute(Settling(60, 35, 80, 360, 3, 0.3, seed));
            if (Math.Abs(r.SteadyC - 60) <= r.PlusMinusC)
                held++;
            if (r.Regimes.Count == 1)
                single++;
        }
        Assert.InRange(held, 0.92 * cases, 0.98 * cases);
        Assert.True(single >= 0.98 * cases, $"{single} of {cases} in one piece");
    }

    private static List<PressureSample> Hold(
        double leakMlPerMin,
        double volumeMl,
        double sigmaKPa,
        int seed,
        double minutes = 15,
        double rho = 0,
        double driftC = 0
    )
    {
        var random = new Random(seed);
        var list = new List<PressureSample>();
        double last = 0;
        for (var t = 0.0; t <= minutes * 60; t += 10)
        {
            last = rho * last + Math.Sqrt(1 - rho * rho) * sigmaKPa * Normal(random);
            var absolute = 101.3 + 40 - leakMlPerMin * 101.3 / volumeMl / 60 * t;
            var temp = 22 + driftC * t / (minutes * 60);
            // a warmer loop shows more pressure for the same air
            var warm = absolute * (temp + 273.15) / (22 + 273.15);
            list.Add(new(t, warm + last - 101.3, temp));
        }
        return list;
    }

    [Fact]
    public void Two_looks_at_a_gauge_tell_a_leak_as_far_as_gauge_and_thermometer_are_good_for()
    {
        LeakResult Of(double end, double minutes, double? endC = 21, bool vacuum = false) =>
            LeakByTwo.Compute(
                250,
                101.325,
                vacuum ? -60 : 40,
                end,
                minutes,
                endC is null ? null : 21,
                endC,
                0.1,
                vacuum
            );
        // 8 kPa of 250 mL in 20 minutes: 250·8/101.325/20 = 0.987 mL a minute
        Assert.Equal(0.987, Of(32, 20).LeakMlPerMin, 0.001);
        Assert.Equal(LeakVerdict.Fail, Of(32, 20).Verdict);
        // by hand, 95 %: √2·√(0.2² + (141.3·0.3/294.15)²) kPa, twice 1.96·250/(20·101.325)
        var sigma = Math.Sqrt(2 * (0.04 + Math.Pow(141.325 * 0.3 / 294.15, 2)));
        Assert.Equal(1.96 * 250 / (20 * 101.325) * sigma, Of(32, 20).HighMlPerMin - 0.987, 0.002);
        // air that warms by 5 K at the same amount stands 141.325·5/294.15 kPa higher and lost nothing
        Assert.Equal(0, Of(40 + 141.325 * 5 / 294.15, 60, 26).LeakMlPerMin, 0.001);
        // what nobody read the temperature of is known less well
        Assert.True(Of(39.9, 30, null).HighMlPerMin > Of(39.9, 30).HighMlPerMin + 0.05);
        // into a vacuum air comes in: it rises
        Assert.Equal(0.987, Of(-52, 20, vacuum: true).LeakMlPerMin, 0.001);
        // ten minutes do not tell; as long as is asked for, they do
        var early = Of(39.9, 10);
        Assert.Equal(LeakVerdict.Wait, early.Verdict);
        var minutes = 10 + early.MoreS / 60 + 0.1;
        Assert.Equal(LeakVerdict.Pass, Of(40 - 0.1 * minutes / 10, minutes).Verdict);
    }

    [Fact]
    public void A_leak_without_noise_is_told_to_the_last_digit_also_while_the_loop_warms()
    {
        var r = LeakTest.Compute(500, 101.3, Hold(0.8, 500, 0, 1, driftC: 1.5));
        Assert.Equal(0.8, r.LeakMlPerMin, 6);
        Assert.Equal(LeakVerdict.Fail, r.Verdict);
        var tight = LeakTest.Compute(500, 101.3, Hold(0, 500, 0, 1, driftC: -2));
        Assert.Equal(LeakVerdict.Pass, tight.Verdict);
        Assert.Equal(0, tight.LeakMlPerMin, 6);
    }

    [Fact]
    public void Weather_read_with_each_sample_is_taken_off()
    {
        // the air outside falls by 0.1 kPa: the gauge shows as much more, and nothing leaks
        var still = Hold(0, 500, 0, 1)
            .ConvertAll(s => new PressureSample(
                s.TS,
                s.GaugeKPa + 0.1 * s.TS / 900,
                s.TempC,
                101.3 - 0.1 * s.TS / 900
            ));
        Assert.Equal(0, LeakTest.Compute(500, 101.3, still).LeakMlPerMin, 6);
        var blind = still.ConvertAll(s => s with { AmbientKPa = null });
        Assert.True(LeakTest.Compute(500, 101.3, blind).LeakMlPerMin < -0.02);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(0.6)]
    public void The_leaks_interval_holds_as_often_as_it_says(double rho)
    {
        var held = 0;
        const int cases = 1000;
        for (var seed = 0; seed < cases; seed++)
        {
            var r = LeakTest.Compute(400, 101.3, Hold(0.12, 400, 0.03, seed, rho: rho));
            if (r.LowMlPerMin <= 0.12 && 0.12 <= r.HighMlPerMin)
                held++;
        }
        Assert.InRange(held, 0.92 * cases, 0.98 * cases);
    }

    [Fact]
    public void A_hold_too_short_waits_and_after_that_long_tells()
    {
        // a reading that flickers between two values: its spread is known, and the line through it is the truth
        List<PressureSample> Flickering(double minutes) =>
            [
                .. Hold(0.02, 800, 0, 1, minutes)
                    .Select((s, i) => s with { GaugeKPa = s.GaugeKPa + (i % 2 == 0 ? 0.25 : -0.25) }),
            ];
        var early = LeakTest.Compute(800, 101.3, Flickering(3));
        Assert.Equal(LeakVerdict.Wait, early.Verdict);
        Assert.True(early.MoreS > 60);
        Assert.Equal(LeakVerdict.Wait, LeakTest.Compute(800, 101.3, Flickering(3 + 0.5 * early.MoreS / 60)).Verdict);
        Assert.Equal(LeakVerdict.Pass, LeakTest.Compute(800, 101.3, Flickering(3 + 1.2 * early.MoreS / 60)).Verdict);
    }

    private static SteadyReading Read(
        double die,
        double room,
        double watts,
        double? inlet = null,
        double? flow = null
    ) => new(die, room, inlet, flow, watts, new());

    [Fact]
    public void Resistances_and_the_gain_are_those_by_hand()
    {
        var r = BeforeAfter.Compute(Read(84, 22, 200), Read(52, 23, 205, 30, 3));
        Assert.Equal(62.0 / 200, r.Before!.ToRoomKPerW, 9);
        Assert.Equal(29.0 / 205, r.After!.ToRoomKPerW, 9);
        // P/(ρcQ) = 205/(0.997·4180·0.05) = 0.984 K
        Assert.Equal(205 / (0.997 * 4180 * 3 / 60), r.CoolantRiseK!.Value, 9);
        Assert.Equal((22 - r.CoolantRiseK.Value / 2) / 205, r.After.ToCoolantKPerW!.Value, 9);
        Assert.Equal(62 - 29.0 * 200 / 205, r.GainK!.Value, 9);
        Assert.True(r.Comparable);
    }

    [Fact]
    public void The_gains_uncertainty_is_that_of_a_thousand_repeats()
    {
        var random = new Random(4);
        var sigma = new SensorSigma();
        double Off(double at, double s) => at + s * Normal(random);
        double sum = 0,
            squares = 0;
        const int repeats = 4000;
        for (var i = 0; i < repeats; i++)
        {
            var k = BeforeAfter
                .Compute(
                    Read(Off(84, sigma.DieC), Off(22, sigma.RoomC), 200 * Off(1, sigma.PowerShare)),
                    Read(Off(52, sigma.DieC), Off(23, sigma.RoomC), 210 * Off(1, sigma.PowerShare))
                )
                .GainK!.Value;
            (sum, squares) = (sum + k, squares + k * k);
        }
        var spread = Math.Sqrt(squares / repeats - sum / repeats * (sum / repeats));
        var told = BeforeAfter.Compute(Read(84, 22, 200), Read(52, 23, 210)).GainPlusMinusK!.Value;
        Assert.Equal(told, spread, 0.05 * told);
    }

    [Fact]
    public void Unlike_tests_are_refused_in_words()
    {
        var r = BeforeAfter.Compute(Read(84, 22, 200), Read(40, 22, 90));
        Assert.False(r.Comparable);
        Assert.Null(r.GainK);
        Assert.Contains("unlike loads", r.Reasons[0]);
        Assert.False(BeforeAfter.Compute(null, Read(52, 23, 210)).Comparable);
    }

    [Fact]
    public void A_drift_without_noise_is_due_where_the_line_passes_its_limit()
    {
        // 0.1 K/W rising by 0.1/1000 a day: 15 % are reached after 150 days
        var points = Enumerable
            .Range(0, 8)
            .Select(i => new DriftPoint(100 + 30 * i, 0.1 + 1e-4 * 30 * i, 1e-4))
            .ToList();
        var r = Drift.Compute(points);
        Assert.Equal(0.1, r.StartKPerW, 9);
        Assert.Equal(1e-4, r.SlopePerDay, 12);
        Assert.Equal(250, r.DueDay, 6);
        Assert.False(r.Capped);
        Assert.True(r.DueLowDay < 250 && r.DueHighDay > 250);
        // falling: the cap alone
        var falling = Drift.Compute(points.ConvertAll(p => p with { KPerW = 0.2 - p.KPerW }), capDays: 400);
        Assert.True(falling.Capped);
        Assert.Equal(500, falling.DueDay, 9);
        Assert.Equal(500, falling.DueHighDay, 9);
    }

    [Fact]
    public void The_drifts_interval_holds_the_true_day_nine_times_in_ten()
    {
        var random = new Random(9);
        var held = 0;
        const int cases = 2000;
        for (var i = 0; i < cases; i++)
        {
            var points = Enumerable
                .Range(0, 12)
                .Select(k => new DriftPoint(30 * k, 0.1 + 6e-5 * 30 * k + 0.0012 * Normal(random), 0.0012))
                .ToList();
            var r = Drift.Compute(points, capDays: 5000);
            if (r.DueLowDay <= 250 && 250 <= r.DueHighDay)
                held++;
        }
        Assert.InRange(held, 0.88 * cases, 0.92 * cases);
    }
}
