using BenchmarkDotNet.Attributes;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;

namespace FaithfulBracket.Perf;

[GroupBenchmarksBy(BenchmarkDotNet.Configs.BenchmarkLogicalGroupRule.ByCategory)]
public class FitBenchmarks
{
    private const int Rounds = 50,
        Crowd = 20_000,
        PlainCrowd = 500;
    private readonly Board _measured = Demo.Board with { PositionSigmaMm = 0.1 };
    private readonly Block[] _crowd = BlockCrowd.Make(Demo.Block, Crowd, 1);
    private HolePair[] _pairs = [];

    [GlobalSetup]
    public void Setup() =>
        _pairs = [
            .. HoleAlignment
                .Align(Demo.Board, Demo.Block.Plates[0].Holes, 0)
                .RequiredPairs.Select(
                    (p, i) => p with { Board = p.Board + new Point2(0.1 * Math.Sin(i), 0.1 * Math.Cos(3 * i)) }
                ),
        ];

    [
        Benchmark(OperationsPerInvoke = Rounds),
        BenchmarkCategory("fit of one board and block, exact positions"),
        Note("goal < 1 ms")
    ]
    public int Exact()
    {
        for (var i = 0; i < Rounds; i++)
            Fit.Judge(Demo.Board, Demo.Block);
        return 0;
    }

    [
        Benchmark(OperationsPerInvoke = 5),
        BenchmarkCategory("fit with uncertain positions, 2 000 draws"),
        Note("goal < 20 ms")
    ]
    public int Measured()
    {
        for (var i = 0; i < 5; i++)
            Fit.Judge(_measured, Demo.Block);
        return 0;
    }

    [
        Benchmark(OperationsPerInvoke = Rounds),
        BenchmarkCategory("least largest miss/slack"),
        Note("plain: nested grid in x, y and turn down to 1 µm")
    ]
    public double Minimax()
    {
        double r = 0;
        for (var i = 0; i < Rounds; i++)
            r = MinimaxPlacement.Solve(_pairs, 0).Ratio;
        return r;
    }

    [Benchmark(Baseline = true), BenchmarkCategory("least largest miss/slack")]
    public double PlainMinimax()
    {
        double x = 0,
            y = 0,
            turn = 0,
            best = double.MaxValue;
        for (double step = 0.2, angle = 0.3; step > 5e-7; step /= 2, angle /= 2)
        {
            var (cx, cy, ct) = (x, y, turn);
            for (var i = -3; i <= 3; i++)
            for (var j = -3; j <= 3; j++)
            for (var k = -3; k <= 3; k++)
            {
                var p = new Placement(cx + i * step, cy + j * step, ct + k * angle);
                var r = MinimaxPlacement.Ratio(_pairs, p);
                if (r < best)
                    (best, x, y, turn) = (r, p.XMm, p.YMm, p.RotationDeg);
            }
        }
        return best;
    }

    [
        Benchmark(OperationsPerInvoke = Crowd),
        BenchmarkCategory("one board against a crowd of 20 000 blocks, per block"),
        Note("goal 15 µs a block (300 ms in all); plain: every pair judged in full, 500 of them")
    ]
    public int Scan() => FitScan.Run(Demo.Board, _crowd).Length;

    [
        Benchmark(Baseline = true, OperationsPerInvoke = PlainCrowd),
        BenchmarkCategory("one board against a crowd of 20 000 blocks, per block")
    ]
    public int PlainScan()
    {
        for (var i = 0; i < PlainCrowd; i++)
            Fit.Judge(Demo.Board, _crowd[i]);
        return 0;
    }
}
