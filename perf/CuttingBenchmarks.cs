using System.Globalization;
using BenchmarkDotNet.Attributes;
using FaithfulBracket.Core.Pads.Cutting;

namespace FaithfulBracket.Perf;

[GroupBenchmarksBy(BenchmarkDotNet.Configs.BenchmarkLogicalGroupRule.ByCategory)]
public class CuttingBenchmarks
{
    private static readonly CutStock[] Sheets = [new("sheet", 100, 100, 1, null, 40, false)];

    private static CutPiece[] Pieces(int seed)
    {
        var r = new Random(seed);
        return
        [
            .. Enumerable
                .Range(0, 60)
                .Select(i => new CutPiece(
                    $"p{i}",
                    Math.Round(14 + 34 * r.NextDouble(), 1),
                    Math.Round(10 + 26 * r.NextDouble(), 1),
                    1,
                    null,
                    1
                )),
        ];
    }

    [Benchmark, BenchmarkCategory("cut plan, 60 pieces"), Note("goal < 1 s; plain: first-fit shelves, tallest first")]
    public int Plan() => CutPlanner.Plan(Pieces(1), Sheets).NewSheets;

    [Benchmark(Baseline = true), BenchmarkCategory("cut plan, 60 pieces")]
    public int Shelves() => Shelf(Pieces(1));

    /// <summary>First-fit decreasing height on shelves (Coffman et al. 1980).</summary>
    private static int Shelf(CutPiece[] pieces)
    {
        var sheets = new List<(double Top, List<(double Height, double Used)> Shelves)>();
        foreach (
            var p in pieces
                .Select(p => (W: Math.Max(p.WidthMm, p.DepthMm), H: Math.Min(p.WidthMm, p.DepthMm)))
                .OrderByDescending(p => p.H)
        )
        {
            var placed = false;
            for (var s = 0; s < sheets.Count && !placed; s++)
            {
                var (top, shelves) = sheets[s];
                for (var k = 0; k < shelves.Count && !placed; k++)
                    if (shelves[k].Used + p.W <= 100 && p.H <= shelves[k].Height)
                    {
                        shelves[k] = (shelves[k].Height, shelves[k].Used + p.W);
                        placed = true;
                    }
                if (!placed && top + p.H <= 100)
                {
                    shelves.Add((p.H, p.W));
                    sheets[s] = (top + p.H, shelves);
                    placed = true;
                }
            }
            if (!placed)
                sheets.Add((p.H, [(p.H, p.W)]));
        }
        return sheets.Count;
    }

    public static string Waste()
    {
        int ours = 0,
            shelves = 0,
            bound = 0,
            optimal = 0;
        for (var seed = 1; seed <= 40; seed++)
        {
            var pieces = Pieces(seed);
            var plan = CutPlanner.Plan(pieces, Sheets).NewSheets;
            var least = (int)Math.Ceiling(pieces.Sum(p => p.WidthMm * p.DepthMm) / 1e4);
            ours += plan;
            shelves += Shelf(pieces);
            bound += least;
            if (plan == least)
                optimal++;
        }
        return string.Create(
            CultureInfo.InvariantCulture,
            $"Cutting: 40 orders of 60 pieces take {ours} sheets, first-fit shelves {shelves}, the "
                + $"area alone {bound}; {optimal} of 40 plans meet the area bound and so are proven least."
        );
    }
}
