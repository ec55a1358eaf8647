using BenchmarkDotNet.Attributes;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Pads.Seating;

namespace FaithfulBracket.Perf;

[GroupBenchmarksBy(BenchmarkDotNet.Configs.BenchmarkLogicalGroupRule.ByCategory)]
public class SeatingBenchmarks
{
    private const int Rounds = 200;
    private Contact[] _contacts = [];
    private PlatePose _start;

    [GlobalSetup]
    public void Setup()
    {
        var (board, block, pads) = Demo.Large(40, 14);
        var model = PlateModel.For(new(LaidBlock.Create(board, block), pads, Demo.Materials, Demo.Grey))[0];
        _contacts =
        [
            .. model.Films.Select(f => (Contact)f.Film),
            .. model.Pads.Select(p => p.Contact),
            .. model.Screws().Select(s => s.Contact),
        ];
        _start = new(model.HomeMm + 0.05, 0, 0);
    }

    [
        Benchmark(OperationsPerInvoke = Rounds),
        BenchmarkCategory("seating equilibrium, 40 pads, 14 screws"),
        Note("goal < 1 ms; plain: gradient descent with halving to 0.1 N")
    ]
    public double Newton()
    {
        double z = 0;
        for (var i = 0; i < Rounds; i++)
            z = PlateBalance.Solve(_contacts, _start).ZMm;
        return z;
    }

    [Benchmark(Baseline = true), BenchmarkCategory("seating equilibrium, 40 pads, 14 screws")]
    public double GradientDescent()
    {
        double z = _start.ZMm,
            a = 0,
            b = 0,
            step = 1e-6;
        for (var k = 0; k < 200_000; k++)
        {
            var (f, mx, my) = Force(z, a, b);
            if (Math.Abs(f) < 0.1 && Math.Abs(mx) < 10 && Math.Abs(my) < 10)
                break;
            double nz = z + step * f,
                na = a + step * mx / 1e4,
                nb = b + step * my / 1e4;
            var (g, gx, gy) = Force(nz, na, nb);
            // overshoot: the force turned round
            if (
                double.IsNaN(g)
                || Math.Sign(g) != Math.Sign(f) && Math.Abs(g) > Math.Abs(f)
                || Math.Abs(gx) > 2 * Math.Abs(mx) + 10
                || Math.Abs(gy) > 2 * Math.Abs(my) + 10
            )
            {
                step /= 2;
                continue;
            }
            (z, a, b) = (nz, na, nb);
            step *= 1.05;
        }
        return z;
    }

    private (double, double, double) Force(double z, double a, double b)
    {
        double f = 0,
            mx = 0,
            my = 0;
        foreach (var c in _contacts)
        {
            foreach (var q in c.Points)
            {
                var h = z + a * q.X + b * q.Y;
                if (h <= c.FloorMm)
                    return (double.NaN, 0, 0);
                var v = c.At(h).Force * q.WeightMm2;
                f += v;
                mx += v * q.X;
                my += v * q.Y;
            }
        }
        return (f, mx, my);
    }

    [
        Benchmark,
        BenchmarkCategory("a full tightening, 14 screws"),
        Note("goal < 50 ms for 8 passes; every step size is tried to recommend one")
    ]
    public int Tighten()
    {
        var (board, block, pads) = Demo.Large(40, 14);
        return Tightening
            .Simulate(
                new StackUp(LaidBlock.Create(board, block), pads, Demo.Materials, Demo.Grey).WhileMounting(
                    screwsIn: true
                ),
                0.5
            )
            .Moves.Count;
    }
}
