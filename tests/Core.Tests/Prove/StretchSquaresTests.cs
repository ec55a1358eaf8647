using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Prove;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What exponentials leave on stretches, against normal equations solved for each by itself.</summary>
public class StretchSquaresTests
{
    private static List<LogSample> Log(int n, ulong seed)
    {
        var d = new NormalDraws(seed);
        var log = new List<LogSample>();
        for (var (i, t) = (0, 100.0); i < n; i++, t += 0.5 + 2 * d.Uniform())
            log.Add(new(t, 70 - 25 * Math.Exp(-(t - 100) / 15) + (i > n / 2 ? 8 : 0) + 0.3 * d.Next()));
        return log;
    }

    /// <summary>The best of the same time constants, each by elimination.</summary>
    private static double Plain(List<LogSample> log, int from, int to)
    {
        var so = log[^1].TS - log[0].TS;
        double low = so / (log.Count - 1) / 3,
            high = 5 * so;
        return Enumerable
            .Range(0, 48)
            .Min(k =>
            {
                var tau = low * Math.Pow(high / low, k / 47.0);
                var own = log[from..to].ConvertAll(s => (E: Math.Exp(-(s.TS - log[from].TS) / tau), s.C));
                var a = new double[2, 2];
                var b = new double[2];
                foreach (var (e, c) in own)
                {
                    double[] g = [1, e];
                    for (var i = 0; i < 2; i++)
                    {
                        b[i] += g[i] * (c - 60);
                        for (var j = 0; j < 2; j++)
                            a[i, j] += g[i] * g[j];
                    }
                }
                return DenseSolve.Solve(a, b) is { } x
                    ? own.Sum(o => Math.Pow(o.C - 60 - x[0] - x[1] * o.E, 2))
                    : double.PositiveInfinity;
            });
    }

    [Fact]
    public void Every_stretch_is_fitted_as_by_itself()
    {
        var log = Log(60, 5);
        var told = StretchSquares.Compute(log);
        for (var from = 0; from < 60; from += 7)
        for (var to = from + 4; to <= 60; to += 5)
            Assert.Equal(Plain(log, from, to), told[from, to], 1e-4 + 1e-3 * told[from, to]);
        // two samples lie on a curve, one on itself
        Assert.Equal(0, told[10, 12], 1e-9);
        Assert.Equal(0, told[59, 60], 1e-9);
    }

    [Fact]
    public void None_is_below_the_exact_fit_and_few_are_far_above()
    {
        var log = Log(90, 6);
        var told = StretchSquares.Compute(log);
        for (var from = 0; from < 70; from += 9)
        {
            var exact = Exponential.Fit(log[from..(from + 20)]).Squares;
            // the exact one is held between a two-hundredth and five times its own length
            Assert.InRange(told[from, from + 20], 0.7 * exact, 1.2 * exact + 0.2);
        }
    }
}
