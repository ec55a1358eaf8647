using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Perf;

/// <summary>
/// The squeeze of a Newtonian paste on a square face written plainly: Gauss–Seidel sweeps for the pressure, every
/// step from nothing.
/// </summary>
internal static class PlainSqueeze
{
    private const double FullShare = 0.97,
        StepShare = 0.05,
        Tolerance = 1e-4;

    public static double Coverage(
        double sideMm,
        int cells,
        PasteMaterial paste,
        double volumeMm3,
        Func<Point2, bool> mask,
        double forceN
    )
    {
        int n = cells * cells;
        double d = sideMm / cells,
            area = d * d,
            mu = paste.ViscosityPaS * 1e-6;
        var volume = new double[n];
        Point2 At(int i) => new((i % cells + 0.5) * d - sideMm / 2, (i / cells + 0.5) * d - sideMm / 2);
        var wet = Enumerable.Range(0, n).Where(i => mask(At(i))).ToList();
        var h = volumeMm3 / (wet.Count * area);
        foreach (var i in wet)
            volume[i] = h * area;
        var stop = paste.BondLineUm(forceN / (sideMm * sideMm)) / 1000;
        var p = new double[n];
        while (h > stop * 1.0005)
        {
            var full = volume.Select(v => v >= h * area * FullShare).ToArray();
            Array.Clear(p);
            var k = h * h * h / (12 * mu);
            for (var sweep = 0; sweep < 20_000; sweep++)
            {
                double change = 0,
                    largest = 0;
                for (var i = 0; i < n; i++)
                {
                    if (!full[i])
                        continue;
                    double sum = 0;
                    foreach (var j in Neighbours(i, cells))
                        if (j >= 0 && full[j])
                            sum += p[j];
                    var next = (sum + area / k) / 4;
                    change = Math.Max(change, Math.Abs(next - p[i]));
                    largest = Math.Max(largest, next);
                    p[i] = next;
                }
                if (change < Tolerance * largest)
                    break;
            }
            var resistance = p.Sum() * area;
            if (resistance <= 0)
                break;
            var sink = Math.Min(h - stop, StepShare * h);
            // moved while the plate sinks by that much, at any speed
            var moved = new double[n];
            for (var i = 0; i < n; i++)
            {
                if (!full[i])
                    continue;
                foreach (var j in Neighbours(i, cells))
                {
                    var flow = k * (p[i] - (j >= 0 && full[j] ? p[j] : 0)) * sink;
                    if (j >= 0 && !full[j])
                        moved[j] += flow;
                }
            }
            for (var i = 0; i < n; i++)
                if (full[i])
                    volume[i] = (h - sink) * area;
                else
                    volume[i] += moved[i];
            h -= sink;
        }
        return volume.Count(v => v >= h * area * 0.5) / (double)n;
    }

    private static int[] Neighbours(int i, int cells)
    {
        int x = i % cells,
            y = i / cells;
        return [x > 0 ? i - 1 : -1, x < cells - 1 ? i + 1 : -1, y > 0 ? i - cells : -1, y < cells - 1 ? i + cells : -1];
    }
}
