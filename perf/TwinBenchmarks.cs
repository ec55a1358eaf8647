using System.Globalization;
using BenchmarkDotNet.Attributes;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match.Identify;

namespace FaithfulBracket.Perf;

[GroupBenchmarksBy(BenchmarkDotNet.Configs.BenchmarkLogicalGroupRule.ByCategory)]
public class TwinBenchmarks
{
    private const int Asked = 20,
        Scanned = 100;
    private static readonly BoardFamilies Families = new(5000, 5, 4, 1);
    private static readonly Lazy<(Board[] Boards, TwinIndex Index)> Library = new(() =>
    {
        Board[] boards = [.. Enumerable.Range(0, Families.Count).AsParallel().AsOrdered().Select(Families.Make)];
        return (boards, TwinIndex.Build([.. boards.Select(b => (b.Id, Constellation.From(b)))]));
    });

    private Constellation[] _seen = [];

    [GlobalSetup]
    public void Setup() => _seen = [.. Enumerable.Range(0, Asked).Select(k => Measured(k).Seen)];

    private static (int Truth, Constellation Seen) Measured(int k)
    {
        var r = new Random(k);
        var truth = r.Next(Families.Count);
        return (truth, BoardFamilies.Measure(Library.Value.Boards[truth], 0.1, 0.3, 0.3, r));
    }

    private static IdentifyResult Search(Constellation seen) =>
        TwinSearch.Run(
            seen,
            0.1,
            [Library.Value.Index],
            id => Library.Value.Boards[BoardFamilies.NumberOf(id)],
            _ => []
        );

    [
        Benchmark(OperationsPerInvoke = Asked),
        BenchmarkCategory("a constellation among 100 000 boards"),
        Note("goal < 50 ms and ≥ 500×; plain: aligns every board, 100 boards measured and scaled to 100 000")
    ]
    public int Index()
    {
        foreach (var s in _seen)
            Search(s);
        return 0;
    }

    /// <summary>
    /// Every pair of seen holes on every pair of the board's holes of the same distance, points met counted, on a
    /// sample of the boards.
    /// </summary>
    [Benchmark(Baseline = true), BenchmarkCategory("a constellation among 100 000 boards"), Scale(100_000 / Scanned)]
    public int PlainScan()
    {
        var best = 0;
        for (var b = 0; b < Scanned; b++)
            best = Math.Max(best, Align(_seen[0].Points, Constellation.From(Library.Value.Boards[b * 997]).Points));
        return best;
    }

    private static int Align(IReadOnlyList<SeenPoint> seen, IReadOnlyList<SeenPoint> kept)
    {
        const double reach = 0.35;
        var (a, b) = (seen.Where(p => p.IsHole).ToList(), kept.Where(p => p.IsHole).ToList());
        var best = 0;
        foreach (var p in a)
        foreach (var q in a)
        {
            if (ReferenceEquals(p, q))
                continue;
            var d = (p.At - q.At).Length;
            foreach (var r in b)
            foreach (var s in b)
            {
                if (ReferenceEquals(r, s) || Math.Abs((r.At - s.At).Length - d) > 2 * reach)
                    continue;
                var pose = RigidFit.Fit([(p.At, r.At), (q.At, s.At)]);
                var met = 0;
                foreach (var x in seen)
                {
                    var at = pose.Apply(x.At);
                    foreach (var y in kept)
                        if (x.IsHole == y.IsHole && Math.Abs(at.X - y.X) < reach && Math.Abs(at.Y - y.Y) < reach)
                        {
                            met++;
                            break;
                        }
                }
                best = Math.Max(best, met);
            }
        }
        return best;
    }

    public static string Accuracy()
    {
        const int asked = 1000;
        var right = 0;
        for (var k = 0; k < asked; k++)
        {
            var (truth, seen) = Measured(10_000 + k);
            var found = Search(seen).Candidates;
            if (
                found.Count > 0
                && Families.ClassOf(BoardFamilies.NumberOf(found[0].BoardId)) == Families.ClassOf(truth)
            )
                right++;
        }
        return string.Create(
            CultureInfo.InvariantCulture,
            $"Twins: {right} of {asked} constellations with 30 % of their points missing and 30 % strangers find the right class first among 100 000 boards; the index takes {Library.Value.Index.Bytes / 1048576.0:0} MB (goals ≥ 99 %, < 300 MB)."
        );
    }
}
