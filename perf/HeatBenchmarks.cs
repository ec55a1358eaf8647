using BenchmarkDotNet.Attributes;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Heat;

namespace FaithfulBracket.Perf;

/// <summary>A card-sized cold plate in cells of a millimetre.</summary>
[GroupBenchmarksBy(BenchmarkDotNet.Configs.BenchmarkLogicalGroupRule.ByCategory)]
public class HeatBenchmarks
{
    private const double Close = 1e-6;
    private static readonly Polygon Outline = Polygon.Rectangle(new(0, 0), 158, 98);
    private readonly HeatGrid _grid = new(Outline, 1);
    private double[] _h = [];
    private double[] _watts = [];
    private HeatPlate? _plate;

    [GlobalSetup]
    public void Setup()
    {
        var fins = _grid.Under(Polygon.Rectangle(new(-30, 0), 40, 40));
        _h = [.. fins.Select(a => 2000 + 12_000 * a)];
        _plate = Factor();
        _watts = _plate.Spread(Polygon.Rectangle(new(-30, 0), 24, 22), 240)!;
    }

    private HeatPlate Factor() => new(_grid, 3, 390, _h);

    [
        Benchmark,
        BenchmarkCategory("heat of a plate, 158 × 98 cells, from nothing"),
        Note("goal < 300 ms; plain: Gauss–Seidel sweeps until none changes by a millionth of a kelvin")
    ]
    public double FromNothing() => Factor().Rise(_watts)[0];

    [Benchmark(Baseline = true), BenchmarkCategory("heat of a plate, 158 × 98 cells, from nothing")]
    public double Sweeps()
    {
        var rise = new double[_grid.Count];
        var g = 390.0 / 1000 * 3;
        for (var change = 1.0; change > Close; )
        {
            change = 0;
            _grid.Each(
                (n, i, j) =>
                {
                    double sum = _watts[n],
                        all = _plate!.Cooling[n];
                    foreach (
                        var m in (ReadOnlySpan<int>)
                            [_grid.Index(i - 1, j), _grid.Index(i + 1, j), _grid.Index(i, j - 1), _grid.Index(i, j + 1)]
                    )
                        if (m >= 0)
                            (sum, all) = (sum + g * rise[m], all + g);
                    var next = sum / all;
                    change = Math.Max(change, Math.Abs(next - rise[n]));
                    rise[n] = next;
                }
            );
        }
        return rise[0];
    }

    [Benchmark, BenchmarkCategory("heat of a plate, other watts"), Note("goal < 30 ms; plain: factored again")]
    public double Again() => _plate!.Rise(_watts)[0];

    [Benchmark(Baseline = true), BenchmarkCategory("heat of a plate, other watts")]
    public double Afresh() => Factor().Rise(_watts)[0];
}
