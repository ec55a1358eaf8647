using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Prove;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>
/// Where a log is cut, and how long is left to wait, against plain search and against waiting itself.
/// </summary>
public class SteadyStateTests
{
    private static List<LogSample> Log(int n, Func<int, double> c, double stepS = 1) =>
        [.. Enumerable.Range(0, n).Select(i => new LogSample(i * stepS, c(i)))];

    /// <summary>The best of all cuts, and whether it is worth its four figures: BIC twice over.</summary>
    private static int? Plain(List<LogSample> log)
    {
        var n = log.Count;
        var floor = Math.Pow(LogNoise.Compute(log), 2) * n;
        var whole = Exponential.Fit(log).Squares;
        if (whole / n * n < floor + Math.Pow(LogNoise.Compute(log), 2) * 6 * Math.Sqrt(2.0 * n))
            return null;
        var (squares, at) = Enumerable
            .Range(8, n - 15)
            .Select(cut => (Exponential.Fit(log[..cut]).Squares + Exponential.Fit(log[(cut + 1)..]).Squares, cut))
            .MinBy(x => x.Item1);
        return Math.Pow((whole + floor) / (squares + floor), n) > Math.Pow(n, 8) ? at : null;
    }

    [Fact]
    public void A_small_step_is_cut_just_where_and_when_a_plain_search_over_all_cuts_does()
    {
        int cut = 0,
            whole = 0;
        for (var seed = 0; seed < 60; seed++)
        {
            var random = new NormalDraws((ulong)seed);
            var (at, step) = (6 + (int)(38 * random.Uniform()), 0.12 + 0.9 * random.Uniform());
            var log = Log(50, i => (i < at ? 50 : 50 + step) + 0.1 * random.Next());
            var expected = Plain(log);
            var told = SteadyState.Compute(log);
            if (expected is { } place)
            {
                cut++;
                var first = place;
                // the sample left out there goes to the side it fits
                double Whole(int c) => Exponential.Fit(log[..c]).Squares + Exponential.Fit(log[c..]).Squares;
                for (var moved = -1; moved != first; )
                    (moved, first) = (
                        first,
                        Enumerable.Range(first - 1, 3).Where(c => c is >= 8 and <= 42).MinBy(Whole)
                    );
                Assert.Equal(log[first].TS, told.Regimes[1].FromS);
                Assert.Equal(log[first - 1].TS, told.Regimes[0].ToS);
            }
            else
            {
                whole++;
                Assert.Single(told.Regimes);
            }
        }
        // both are met
        Assert.True(cut > 15 && whole > 15, $"{cut} cut, {whole} not");
    }

    [Theory]
    [InlineData(100, 37)]
    [InlineData(300, 137)]
    [InlineData(400, 8)]
    [InlineData(400, 392)]
    [InlineData(400, 201)]
    public void A_step_in_a_long_log_is_found_to_the_sample(int n, int at)
    {
        var told = SteadyState.Compute(Log(n, i => i < at ? 40 : 60));
        Assert.Equal([new Regime(0, at - 1), new Regime(at, n - 1)], told.Regimes);
        Assert.Equal(60, told.SteadyC, 0.01);
    }

    [Fact]
    public void Each_step_of_a_sweep_is_a_stretch_and_the_last_one_counts()
    {
        var random = new NormalDraws(2);
        foreach (var steps in new[] { 3, 5, 8, 10, 16 })
        {
            var n = 40 * steps <= 400 ? 40 * steps : 25 * steps;
            var told = SteadyState.Compute(Log(n, i => 20 + 4 * (i / (n / steps)) + 0.05 * random.Next()));
            Assert.Equal(steps, told.Regimes.Count);
            // to the sample, or one before: the first of a stretch may be taken for its settling
            foreach (var (regime, k) in told.Regimes.Select((r, k) => (r, k)))
                Assert.InRange(regime.FromS, n / steps * k - 1, n / steps * k);
            Assert.InRange(told.SteadyC - (16 + 4 * steps), -told.PlusMinusC - 0.01, told.PlusMinusC + 0.01);
        }
    }

    [Theory]
    [InlineData(3)]
    [InlineData(8)]
    [InlineData(14)]
    [InlineData(20)]
    public void Each_load_with_its_settling_is_told_however_many_there_are(int loads)
    {
        var random = new NormalDraws(1);
        var each = 20_000 / loads;
        var told = SteadyState.Compute(
            Log(
                each * loads,
                i => 60 + i / each % 7 * 3 - 10 * Math.Exp(-(i % each) / (0.13 * each)) + 0.2 * random.Next()
            )
        );
        // to the averaged sample
        Assert.Equal(loads, told.Regimes.Count);
        foreach (var (regime, k) in told.Regimes.Select((r, k) => (r, k)))
            Assert.Equal(each * k, regime.FromS, 100.0);
        Assert.InRange(told.SteadyC - (60 + (loads - 1) % 7 * 3), -told.PlusMinusC - 0.01, told.PlusMinusC + 0.01);
    }

    [Theory]
    [InlineData(3)]
    [InlineData(30)]
    [InlineData(-10)]
    public void A_sensors_slip_is_no_change_of_load(double slip)
    {
        foreach (var n in new[] { 60, 300, 20_000 })
        {
            var random = new NormalDraws(3);
            var told = SteadyState.Compute(Log(n, i => 60 + 0.2 * random.Next() + (i == n / 2 ? slip : 0)));
            Assert.Single(told.Regimes);
            Assert.Equal(60, told.SteadyC, 0.2);
        }
        // eleven samples are
        var spell = SteadyState.Compute(Log(300, i => 60 + (i is > 148 and < 160 ? slip : 0)));
        Assert.Equal([0, 149, 160], spell.Regimes.Select(r => r.FromS));
    }

    [Fact]
    public void Loads_that_come_and_go_with_their_settling_are_told_each()
    {
        // up and down by 30 K with 12 s, each for 60 s
        double C(int i) => 40 + (i / 60 % 2 == 0 ? -30 : 30) * (Math.Exp(-(i % 60) / 12.0) - 0.5);
        var told = SteadyState.Compute(Log(360, C));
        Assert.Equal([0, 60, 120, 180, 240, 300], told.Regimes.Select(r => r.FromS));
        Assert.Equal(25, told.SteadyC, 0.1);
        Assert.Equal(12, told.TauS, 0.2);
    }

    [Fact]
    public void After_as_long_as_was_said_the_figure_is_as_sure_as_was_asked()
    {
        // settled long ago, and coarse: the more samples the surer
        foreach (var within in new[] { 0.1, 0.15 })
        {
            var random = new NormalDraws(4);
            double[] off = [.. Enumerable.Range(0, 4000).Select(_ => random.Next())];
            double C(int i) => 60 - 20 * Math.Exp(-i / 8.0) + 0.6 * off[i];
            var now = SteadyState.Compute(Log(60, C), within);
            Assert.True(now.PlusMinusC > within);
            var more = (int)Math.Ceiling(now.MoreS);
            Assert.InRange(more, 2, 3000);
            // the wait is bounded by two time constants as fitted; asked again it goes on from there
            var total = 60 + more;
            for (var again = 0; again < 12 && !SteadyState.Compute(Log(total, C), within).Settled; again++)
                total += (int)Math.Ceiling(SteadyState.Compute(Log(total, C), within).MoreS);
            Assert.True(SteadyState.Compute(Log(total, C), within).Settled);
        }
    }

    [Fact]
    public void A_settling_log_is_settled_when_it_was_said_it_would_be()
    {
        double C(int i) => 60 - 30 * Math.Exp(-i / 90.0);
        foreach (var (n, within) in new[] { (120, 0.5), (200, 0.25), (260, 1.0) })
        {
            var now = SteadyState.Compute(Log(n, C), within);
            Assert.False(now.Settled);
            var until = n + now.MoreS;
            Assert.True(SteadyState.Compute(Log((int)until + 6, C), within).Settled);
            Assert.False(SteadyState.Compute(Log((int)until - 6, C), within).Settled);
        }
        Assert.Equal(0, SteadyState.Compute(Log(1200, C)).MoreS);
    }

    [Fact]
    public void A_log_of_thousands_is_told_by_its_means_to_the_same_figures()
    {
        var random = new NormalDraws(9);
        var long4 = Log(
            4000,
            i => (i < 1500 ? 70 : 60) - 20 * Math.Exp(-(i < 1500 ? i : i - 1500) / 200.0) + 0.3 * random.Next()
        );
        var told = SteadyState.Compute(long4);
        Assert.Equal(2, told.Regimes.Count);
        Assert.Equal(1500, told.Regimes[1].FromS, 10.0);
        // the last stretch alone, fitted whole
        var last = long4[(int)told.Regimes[1].FromS..];
        var fit = Exponential.Fit(last);
        Assert.Equal(fit.SteadyC, told.SteadyC, 0.03);
        Assert.Equal(fit.TauS, told.TauS, 0.05 * fit.TauS);
        var (error, freedom) = fit.SteadyError(last);
        Assert.Equal(error * Student.Times(0.95, freedom), told.PlusMinusC, 0.15 * told.PlusMinusC);
        Assert.Equal(long4[^1].TS, told.Regimes[1].ToS);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(1_790_000_000)]
    public void A_sensor_of_whole_degrees_is_one_stretch_that_settles_within_its_step(double fromS)
    {
        foreach (var steady in (double[])[61.5, 61.9, 62.2])
        {
            List<LogSample> log =
            [
                .. Enumerable
                    .Range(0, 400)
                    .Select(i => new LogSample(fromS + 2 * i, Math.Round(steady - 27 * Math.Exp(-2 * i / 60.0)))),
            ];
            var told = SteadyState.Compute(log);
            Assert.Single(told.Regimes);
            Assert.Equal(steady, told.SteadyC, 0.6);
        }
    }

    [Fact]
    public void A_flat_noisy_log_has_settled_at_its_mean()
    {
        for (var seed = 0; seed < 20; seed++)
        {
            var random = new NormalDraws((ulong)seed);
            var told = SteadyState.Compute(Log(300, _ => 60 + 0.5 * random.Next()));
            Assert.True(told.Settled, $"seed {seed}");
            Assert.Equal(60, told.SteadyC, 0.2);
        }
    }
}
