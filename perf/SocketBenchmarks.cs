using BenchmarkDotNet.Attributes;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Formats.Documents;

namespace FaithfulBracket.Perf;

/// <summary>A block on a socket, and several bare dies under one stamp.</summary>
[GroupBenchmarksBy(BenchmarkDotNet.Configs.BenchmarkLogicalGroupRule.ByCategory)]
public class SocketBenchmarks
{
    private const int PlainCells = 200,
        Rounds = 100;
    private Socket _socket = null!;
    private Board _processor = null!,
        _mainboard = null!;
    private Block _block = null!;
    private (string, Polygon)[] _dies = [];

    private static byte[] File(string name) => System.IO.File.ReadAllBytes(Path.Combine(Demo.Folder, name));

    [GlobalSetup]
    public void Setup()
    {
        _socket = SocketReader.Read(File("sockets/avocet.socket.json"));
        _processor = BoardReader.Read(File("boards/orrery-a12.board.json"));
        _mainboard = BoardReader.Read(File("boards/meltemi-m6-r1.board.json"));
        _block = BlockReader.Read(File("blocks/lathe-loch-jet-p.block.json"));
        _dies = [.. HeightChain.Dies(_processor).Select(d => (d.Id, d.Top()))];
    }

    [Benchmark(OperationsPerInvoke = Rounds), BenchmarkCategory("a block on a socket, four turns"), Note("goal < 1 ms")]
    public double Match()
    {
        double load = 0;
        for (var i = 0; i < Rounds; i++)
            load = SocketMatch.Compute(_mainboard, _socket, _processor, _block).LoadN;
        return load;
    }

    [
        Benchmark(OperationsPerInvoke = Rounds),
        BenchmarkCategory("lid on or lid off, gain with its range"),
        Note("over the corners of the films' spread and the formula's error; goal < 5 ms")
    ]
    public double Decide()
    {
        double gain = 0;
        for (var i = 0; i < Rounds; i++)
            gain = DirectDie
                .Compute(new(_socket, _processor, _block, 260, 0.02, 4, new(30, 73), Board: _mainboard))
                .GainK;
        return gain;
    }

    /// <summary>Far enough off that part of a die lifts.</summary>
    private static readonly Point2 Off = new(5, 4);

    [
        Benchmark(OperationsPerInvoke = Rounds),
        BenchmarkCategory("three dies under one stamp, one lifting"),
        Note("plain: the same balance on a grid of 200 × 200 cells, cells in tension dropped until none is")
    ]
    public double Stamp()
    {
        double load = 0;
        for (var i = 0; i < Rounds; i++)
            load = DieStamp.Compute(_dies, 300, Off).Dies[0].LoadN;
        return load;
    }

    [Benchmark(Baseline = true), BenchmarkCategory("three dies under one stamp, one lifting")]
    public double Grid()
    {
        var all = _dies.SelectMany(d => d.Item2.Points).ToList();
        double x0 = all.Min(p => p.X),
            y0 = all.Min(p => p.Y),
            w = (all.Max(p => p.X) - x0) / PlainCells,
            h = (all.Max(p => p.Y) - y0) / PlainCells;
        var cells = new List<Point2>();
        for (var i = 0; i < PlainCells * PlainCells; i++)
        {
            var p = new Point2(x0 + (i % PlainCells + 0.5) * w, y0 + (i / PlainCells + 0.5) * h);
            if (_dies.Any(d => d.Item2.Contains(p)))
                cells.Add(p);
        }
        double a = 0,
            b = 0,
            c = 0;
        for (var pressed = cells; ; )
        {
            var m = new double[3, 4];
            foreach (var p in pressed)
            {
                double[] v = [1, p.X, p.Y];
                for (var i = 0; i < 3; i++)
                for (var j = 0; j < 3; j++)
                    m[i, j] += v[i] * v[j] * w * h;
            }
            (m[0, 3], m[1, 3], m[2, 3]) = (300, 300 * Off.X, 300 * Off.Y);
            (a, b, c) = Solve(m);
            var next = cells.Where(p => a + b * p.X + c * p.Y > 0).ToList();
            if (next.Count == pressed.Count)
                return a;
            pressed = next;
        }
    }

    private static (double, double, double) Solve(double[,] m)
    {
        for (var i = 0; i < 3; i++)
        for (var k = 0; k < 3; k++)
        {
            if (k == i)
                continue;
            var f = m[k, i] / m[i, i];
            for (var j = i; j < 4; j++)
                m[k, j] -= f * m[i, j];
        }
        return (m[0, 3] / m[0, 0], m[1, 3] / m[1, 1], m[2, 3] / m[2, 2]);
    }
}
