using BenchmarkDotNet.Attributes;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Paste;

namespace FaithfulBracket.Perf;

[GroupBenchmarksBy(BenchmarkDotNet.Configs.BenchmarkLogicalGroupRule.ByCategory)]
public class PasteBenchmarks
{
    private static readonly Polygon Face = Polygon.Rectangle(default, 24, 24);

    private static double Squeeze(PasteMaterial paste, bool yield)
    {
        var amount = PasteAmount.For(Face.Area, paste, 300, 0.3, PasteStock.DefaultBoreMm);
        return SqueezeFlow
            .Run(
                Face,
                paste,
                amount.VolumeMl * 1000,
                new PastePattern(PatternKind.Cross).Mask(amount, 1.5),
                300,
                new(128, WithYield: yield)
            )
            .Coverage;
    }

    [Benchmark, BenchmarkCategory("paste coverage, 128 × 128 cells, Newtonian"), Note("goal < 1 s")]
    public double Newtonian() => Squeeze(Demo.Grey, false);

    private const int Small = 48;

    [
        Benchmark,
        BenchmarkCategory("paste coverage, 48 × 48 cells, Newtonian"),
        Note("plain: Gauss–Seidel sweeps, every step from nothing")
    ]
    public double SmallNewtonian()
    {
        var amount = PasteAmount.For(Face.Area, Demo.Grey, 300, 0.3, PasteStock.DefaultBoreMm);
        return SqueezeFlow
            .Run(
                Face,
                Demo.Grey,
                amount.VolumeMl * 1000,
                new PastePattern(PatternKind.Cross).Mask(amount, 1.5),
                300,
                new(Small, WithYield: false)
            )
            .Coverage;
    }

    [Benchmark(Baseline = true), BenchmarkCategory("paste coverage, 48 × 48 cells, Newtonian")]
    public double PlainNewtonian()
    {
        var amount = PasteAmount.For(Face.Area, Demo.Grey, 300, 0.3, PasteStock.DefaultBoreMm);
        return PlainSqueeze.Coverage(
            24,
            Small,
            Demo.Grey,
            amount.VolumeMl * 1000,
            new PastePattern(PatternKind.Cross).Mask(amount, 1.5),
            300
        );
    }

    [Benchmark, BenchmarkCategory("paste coverage, 128 × 128 cells, with yield stress"), Note("goal < 4 s")]
    public double Yield() => Squeeze(Demo.Grey, true);
}
