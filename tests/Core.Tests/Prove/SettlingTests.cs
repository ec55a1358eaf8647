using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Prove;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What stands behind "settled": fits and their errors by hand, from tables and by numeric derivatives.</summary>
public class SettlingTests
{
    private static List<LogSample> Log(
        double steady,
        double left,
        double tau,
        int n,
        double stepS,
        Func<int, double>? off = null,
        double fromS = 0
    ) =>
        [
            .. Enumerable
                .Range(0, n)
                .Select(i => new LogSample(
                    fromS + i * stepS,
                    steady + left * Math.Exp(-i * stepS / tau) + (off?.Invoke(i) ?? 0)
                )),
        ];

    [Theory]
    [InlineData(0.95, 1, 12.706)]
    [InlineData(0.95, 10, 2.2281)]
    [InlineData(0.9, 5, 2.0150)]
    [InlineData(0.99, 30, 2.7500)]
    [InlineData(0.95, 0.2, 12.706)]
    public void Intervals_reach_as_far_as_the_table_says(double share, double freedom, double times) =>
        Assert.Equal(times, Student.Times(share, freedom), 3);

    [Fact]
    public void With_errors_known_beforehand_they_reach_as_far_as_the_normals()
    {
        Assert.Equal(1.959964, Student.Normal(0.95), 5);
        Assert.Equal(1.644854, Student.Normal(0.9), 5);
    }

    [Theory]
    [InlineData(60, -38, 80, 40, 5, 0)]
    [InlineData(35, 12, 300, 60, 7, 1000)]
    [InlineData(50, -20, 15, 30, 2, 50)]
    public void A_clean_exponential_gives_its_own_figures_back(
        double steady,
        double left,
        double tau,
        int n,
        double stepS,
        double fromS
    )
    {
        var fit = Exponential.Fit(Log(steady, left, tau, n, stepS, fromS: fromS));
        Assert.Equal(steady, fit.SteadyC, 0.01);
        Assert.Equal(left, fit.LeftC, 0.01);
        Assert.Equal(tau, fit.TauS, 0.01 * tau);
        Assert.Equal(fromS, fit.FromS);
        Assert.True(fit.Squares < 1e-6);
        Assert.Equal(steady + left * Math.Exp(-40 / tau), fit.At(fromS + 40), 0.01);
    }

    [Fact]
    public void No_other_time_constant_leaves_less()
    {
        var random = new Random(5);
        var log = Log(60, -30, 70, 60, 4, _ => random.NextDouble() - 0.5);
        var fit = Exponential.Fit(log);
        foreach (var tau in new[] { 0.5, 0.9, 0.99, 1.01, 1.1, 2 }.Select(f => f * fit.TauS))
        {
            // the rest is linear: two normal equations
            var a = new double[2, 2];
            var b = new double[2];
            foreach (var s in log)
            {
                double[] g = [1, Math.Exp(-s.TS / tau)];
                for (var i = 0; i < 2; i++)
                {
                    b[i] += g[i] * s.C;
                    for (var j = 0; j < 2; j++)
                        a[i, j] += g[i] * g[j];
                }
            }
            var x = DenseSolve.Solve(a, b)!;
            Assert.True(log.Sum(s => Math.Pow(s.C - x[0] - x[1] * Math.Exp(-s.TS / tau), 2)) >= fit.Squares);
        }
        Assert.Equal(fit.Squares, log.Sum(s => Math.Pow(s.C - fit.At(s.TS), 2)), 9);
    }

    [Fact]
    public void The_error_of_the_steady_value_is_that_of_numeric_derivatives()
    {
        var log = Log(60, -30, 70, 50, 5, i => i % 2 == 0 ? 0.2 : -0.2, fromS: 100);
        var fit = Exponential.Fit(log);
        double At(double[] p, double t) => p[0] + p[1] * Math.Exp(-(t - 100) / p[2]);
        double[] best = [fit.SteadyC, fit.LeftC, fit.TauS];
        var normal = new double[3, 3];
        foreach (var s in log)
        {
            var g = new double[3];
            for (var i = 0; i < 3; i++)
            {
                double h = 1e-4 * Math.Abs(best[i]);
                double[] up = [.. best],
                    down = [.. best];
                up[i] += h;
                down[i] -= h;
                g[i] = (At(up, s.TS) - At(down, s.TS)) / (2 * h);
            }
            for (var i = 0; i < 3; i++)
            for (var j = 0; j < 3; j++)
                normal[i, j] += g[i] * g[j];
        }
        var variance = log.Sum(s => Math.Pow(s.C - fit.At(s.TS), 2)) / (50 - 3);
        var (error, freedom) = fit.SteadyError(log);
        Assert.Equal(Math.Sqrt(variance * DenseSolve.Solve(normal, [1, 0, 0])![0]), error, 1e-5);
        Assert.Equal(47, freedom);
    }

    [Fact]
    public void Where_nothing_settles_the_error_is_that_of_a_mean()
    {
        var log = Log(60, 0, 1, 40, 5, i => i % 2 == 0 ? 0.2 : -0.2);
        var (error, freedom) = new Exponential(60, 0, 30, 0, 40 * 0.04).SteadyError(log);
        Assert.Equal(Math.Sqrt(40 * 0.04 / 37 / 40), error, 9);
        Assert.Equal(37, freedom);
        Assert.Equal(1, new Exponential(60, 0, 30, 0, 1).SteadyError(log[..3]).Freedom);
    }

    [Fact]
    public void A_line_passes_through_the_means()
    {
        var line = StraightLine.Through([1, 2, 4, 5], [3, 4, 8, 9]);
        // Σxy = 16, Σxx = 10
        Assert.Equal((3, 6, 10, 1.6), (line.MeanX, line.AtMean, line.SumXX, Math.Round(line.Slope, 12)));
        Assert.Equal([0.2, -0.4, 0.4, -0.2], line.Residuals.Select(r => Math.Round(r, 12)));
        // √(0.4/2/10)
        var (error, freedom) = line.SlopeError();
        Assert.Equal(Math.Sqrt(0.4 / 2 / 10), error, 12);
        Assert.Equal(2, freedom);
        var level = StraightLine.Through([3, 3], [1, 2]);
        Assert.Equal((0, double.PositiveInfinity), (level.Slope, level.SlopeError().Error));
        Assert.Equal(double.PositiveInfinity, StraightLine.Through([1, 2], [1, 2]).SlopeError().Error);
        Assert.Equal(0, StraightLine.Through([1, 2, 3], [1, 2, 3]).SlopeError().Error, 12);
    }

    [Fact]
    public void Residuals_that_hang_together_tell_less()
    {
        // by fours up and down: their slope and mean are not quite nothing, so the residuals are taken as they are left
        double[] x = [.. Enumerable.Range(0, 24).Select(i => (double)i)],
            y = [.. x.Select(v => 3 + 0.5 * v + ((int)v / 4 % 2 == 0 ? 1 : -1))];
        var line = StraightLine.Through(x, y);
        var r = line.Residuals;
        var squares = r.Sum(v => v * v);
        var rho = r.Zip(r.Skip(1), (a, b) => a * b).Sum() / squares;
        Assert.InRange(rho, 0.4, 0.7);
        // Kendall's correction, then Bartlett's widening
        rho += (1 + 4 * rho) / 24;
        var (error, freedom) = line.SlopeError();
        Assert.Equal(Math.Sqrt(squares / 22 / line.SumXX * (1 + rho) / (1 - rho)), error, 9);
        Assert.Equal(22 * (1 - rho) / (1 + rho), freedom, 9);
        // up and down at once: no less than so many of their own
        double[] z = [.. x.Select(v => 3 + 0.5 * v + (v % 2 == 0 ? 1 : -1))];
        line = StraightLine.Through(x, z);
        (error, freedom) = line.SlopeError();
        Assert.Equal(Math.Sqrt(line.Residuals.Sum(v => v * v) / 22 / line.SumXX), error, 9);
        Assert.Equal(22, freedom, 9);
        // of eight or fewer nothing is said of how they hang together
        line = StraightLine.Through(x[..8], y[..8]);
        Assert.Equal(6, line.SlopeError().Freedom, 9);
        Assert.True(StraightLine.Through(x[..9], y[..9]).SlopeError().Freedom < 7);
    }

    [Fact]
    public void A_long_log_is_averaged_and_still_told_from_its_first_to_its_last_second()
    {
        var r = SteadyState.Compute(Log(60, -30, 70, 4001, 0.25));
        Assert.Equal(60, r.SteadyC, 0.01);
        Assert.Equal(70, r.TauS, 0.5);
        Assert.Equal(new Regime(0, 1000), Assert.Single(r.Regimes));
        Assert.True(r.Settled);
    }

    [Fact]
    public void Of_many_stretches_the_last_is_the_one_that_counts()
    {
        var log = new List<LogSample>();
        for (var k = 0; k < 8; k++)
            log.AddRange(Log(50 + 10 * (k % 2), k % 2 == 0 ? 10 : -10, 20, 40, 5, fromS: k * 200));
        foreach (var stretches in new[] { 2, 4, 8 })
        {
            var r = SteadyState.Compute(log[..(40 * stretches)]);
            Assert.Equal(stretches, r.Regimes.Count);
            Assert.Equal(200 * (stretches - 1), r.Regimes[^1].FromS);
            Assert.Equal(200 * stretches - 5, r.Regimes[^1].ToS);
            Assert.Equal(60, r.SteadyC, 0.1);
            foreach (var (a, b) in r.Regimes.Zip(r.Regimes.Skip(1)))
                Assert.True(a.ToS == b.FromS - 5 && a.ToS > a.FromS);
        }
    }

    [Fact]
    public void A_log_too_short_to_cut_is_one_stretch()
    {
        // a step between the eighth and the ninth of sixteen, and one of fifteen
        List<LogSample> Step(int n) => [.. Enumerable.Range(0, n).Select(i => new LogSample(i, i < 8 ? 40 : 60))];
        Assert.Equal(2, SteadyState.Compute(Step(16)).Regimes.Count);
        Assert.Single(SteadyState.Compute(Step(15)).Regimes);
    }

    [Fact]
    public void What_is_left_to_wait_is_what_the_exponential_and_its_error_say()
    {
        // clean: only the settling counts
        var clean = SteadyState.Compute(Log(60, -30, 70, 40, 5), 0.1);
        var away = Math.Abs(30 * Math.Exp(-195 / 70.0));
        Assert.False(clean.Settled);
        Assert.Equal(70 * Math.Log(away / 0.1), clean.MoreS, 3.0);
        // settled but coarse: the ± has to fall, with time to the power of two thirds
        var random = new Random(3);
        var coarse = SteadyState.Compute(Log(60, -30, 20, 60, 5, _ => 4 * (random.NextDouble() - 0.5)), 0.15);
        Assert.True(coarse.PlusMinusC > 0.15);
        Assert.False(coarse.Settled);
        Assert.Equal(
            Math.Min(2 * coarse.TauS, 295 * (Math.Pow(coarse.PlusMinusC / 0.15, 2.0 / 3) - 1)),
            coarse.MoreS,
            1e-6
        );
        Assert.True(SteadyState.Compute(Log(60, -30, 20, 60, 5, _ => 4 * (random.NextDouble() - 0.5)), 2).Settled);
    }

    [Fact]
    public void The_leaks_interval_is_the_lines()
    {
        // a reading that flickers by 0.2 kPa about a fall of 0.001 kPa a second
        List<PressureSample> hold =
        [
            .. Enumerable
                .Range(0, 40)
                .Select(i => new PressureSample(10 * i, 40 - 0.01 * i + (i % 2 == 0 ? 0.2 : -0.2), 22)),
        ];
        var r = LeakTest.Compute(600, 101.3, hold, 0.3);
        var line = StraightLine.Through([.. hold.Select(s => s.TS)], [.. hold.Select(s => s.GaugeKPa + 101.3)]);
        var per = 600 * 60 / 101.3;
        Assert.Equal(-per * line.Slope, r.LeakMlPerMin, 9);
        var half = per * line.SlopeError().Error * Student.Times(0.95, 38);
        Assert.Equal(r.LeakMlPerMin - half, r.LowMlPerMin, 9);
        Assert.Equal(r.LeakMlPerMin + half, r.HighMlPerMin, 9);
        Assert.Equal(LeakVerdict.Wait, r.Verdict);
        // the error falls with time to the power of 3/2
        Assert.Equal(390 * (Math.Pow(half / Math.Abs(0.3 - r.LeakMlPerMin), 2.0 / 3) - 1), r.MoreS, 6);
        Assert.Equal(
            (LeakVerdict.Pass, 0),
            (LeakTest.Compute(600, 101.3, hold, 5).Verdict, LeakTest.Compute(600, 101.3, hold, 5).MoreS)
        );
        Assert.Equal(LeakVerdict.Fail, LeakTest.Compute(600, 101.3, hold, -5).Verdict);
    }

    [Fact]
    public void Near_the_limit_the_next_sample_is_waited_for_and_at_it_a_day()
    {
        List<PressureSample> three = [new(0, 40, 22), new(10, 39.9, 22), new(20, 40, 22)];
        var r = LeakTest.Compute(500, 101.3, three, 0);
        Assert.Equal(LeakVerdict.Wait, r.Verdict);
        Assert.Equal(86_400, r.MoreS);
        // two samples at one moment tell no slope
        Assert.Equal(86_400, LeakTest.Compute(500, 101.3, [three[0], three[0], three[0]], 0.1).MoreS);
    }

    [Theory]
    [InlineData(0.004)]
    [InlineData(0.01)]
    public void The_drifts_ends_lie_where_its_error_says(double sigma)
    {
        double[] off = [1, -1, 0.5, -0.5, -1, 1, 0.3, -0.3];
        List<DriftPoint> points =
        [
            .. off.Select(
                (o, i) => new DriftPoint(200 + 20 * i, 0.1 + 4e-4 * 20 * i + 0.2 * sigma * o, sigma * (1 + i % 2))
            ),
        ];
        var r = Drift.Compute(points, 0.2, 10_000);
        // weighted normal equations by elimination, their inverse for the errors
        var a = new double[2, 2];
        var b = new double[2];
        foreach (var p in points)
        {
            double[] g = [1, p.Day - 200];
            for (var i = 0; i < 2; i++)
            {
                b[i] += g[i] * p.KPerW / p.Sigma / p.Sigma;
                for (var j = 0; j < 2; j++)
                    a[i, j] += g[i] * g[j] / p.Sigma / p.Sigma;
            }
        }
        var x = DenseSolve.Solve(a, b)!;
        double[] first = DenseSolve.Solve(a, [1, 0])!,
            second = DenseSolve.Solve(a, [0, 1])!;
        Assert.Equal(x[0], r.StartKPerW, 9);
        Assert.Equal(x[1], r.SlopePerDay, 12);
        Assert.Equal(Math.Sqrt(second[1]), r.SlopeSigma, 12);
        Assert.Equal(200 + 0.2 * x[0] / x[1], r.DueDay, 6);
        // at either end 0.2·start − slope·t is 1.645 of its own standard deviation
        foreach (var end in new[] { r.DueLowDay, r.DueHighDay })
        {
            var t = end - 200;
            var apart = 0.2 * x[0] - x[1] * t;
            var variance = 0.04 * first[0] - 2 * 0.2 * t * first[1] + t * t * second[1];
            Assert.Equal(1.644854, Math.Abs(apart) / Math.Sqrt(variance), 4);
        }
        Assert.True(r.DueLowDay < r.DueDay && r.DueDay < r.DueHighDay);
        Assert.False(r.Capped);
    }

    [Fact]
    public void A_slope_that_may_be_none_has_a_near_end_only()
    {
        List<DriftPoint> points =
        [
            .. Enumerable.Range(0, 6).Select(i => new DriftPoint(30 * i, 0.1 + 1e-5 * 30 * i, 0.002)),
        ];
        var r = Drift.Compute(points, capDays: 5000);
        Assert.Equal(5000, r.DueHighDay);
        Assert.Equal(1500, r.DueDay, 3);
        Assert.InRange(r.DueLowDay, 100, 1400);
        // at the cap it is capped
        Assert.True(Drift.Compute(points, capDays: 1400).Capped);
        Assert.False(Drift.Compute(points, capDays: 1600).Capped);
        // nothing below nothing
        var below = Drift.Compute(points.ConvertAll(p => p with { KPerW = p.KPerW - 1 }), capDays: 700);
        Assert.Equal((700, 700, 700, true), (below.DueDay, below.DueLowDay, below.DueHighDay, below.Capped));
    }
}
