using BenchmarkDotNet.Attributes;
using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Perf;

[GroupBenchmarksBy(BenchmarkDotNet.Configs.BenchmarkLogicalGroupRule.ByCategory)]
public class BowBenchmarks
{
    private static readonly BowProblem Square = new(Polygon.Rectangle(default, 200, 200), 1.6, 22_000, 0.15)
    {
        Edges = EdgeHold.SimplySupported,
        PressureMPa = 0.001,
    };

    [Benchmark, BenchmarkCategory("board bow, 5 000 elements"), Note("goal < 1 s")]
    public double Fine() => BoardBow.Solve(Square with { Elements = 5000 }).PeakMm;

    private const int Unknowns = 1323,
        Band = 69;

    [Benchmark, BenchmarkCategory("factoring a board of 400 elements"), Note("plain: dense Cholesky of the same size")]
    public double Banded()
    {
        var m = new EnvelopeCholesky([.. Enumerable.Range(0, Unknowns).Select(i => Math.Max(0, i - Band))]);
        for (var i = 0; i < Unknowns; i++)
        for (var j = Math.Max(0, i - Band); j <= i; j++)
            m.Add(i, j, i == j ? 4.0 * Band : 1.0 / (1 + i - j));
        m.Factor();
        var x = new double[Unknowns];
        Array.Fill(x, 1);
        m.Solve(x);
        return x[0];
    }

    [Benchmark(Baseline = true), BenchmarkCategory("factoring a board of 400 elements")]
    public double Dense()
    {
        var a = new double[Unknowns, Unknowns];
        for (var i = 0; i < Unknowns; i++)
        for (var j = Math.Max(0, i - Band); j <= i; j++)
            a[i, j] = i == j ? 4.0 * Band : 1.0 / (1 + i - j);
        for (var i = 0; i < Unknowns; i++)
        {
            for (var j = 0; j <= i; j++)
            {
                var sum = a[i, j];
                for (var k = 0; k < j; k++)
                    sum -= a[i, k] * a[j, k];
                a[i, j] = i == j ? Math.Sqrt(sum) : sum / a[j, j];
            }
        }
        return a[Unknowns - 1, Unknowns - 1];
    }
}
