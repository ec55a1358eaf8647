using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>The barrier by its definition, its derivatives by differences, and the least largest ratio by plain search.</summary>
public class PlacementBarrierTests
{
    private static PlacementRow[] Rows(NormalDraws d, int n) =>
        [
            .. Enumerable
                .Range(0, n)
                .Select(_ => new PlacementRow(
                    d.Next(),
                    d.Next(),
                    d.Next(),
                    d.Next(),
                    d.Next(),
                    d.Next(),
                    d.Next(),
                    d.Next()
                )),
        ];

    [Fact]
    public void Its_value_is_the_weighted_bound_less_the_logarithms()
    {
        var d = new NormalDraws(1);
        for (var k = 0; k < 30; k++)
        {
            var rows = Rows(d, 1 + k);
            var (x, y, w, weight) = (d.Next(), d.Next(), d.Next(), 1 + d.Uniform());
            var z = 1.1 * rows.Max(r => r.Norm(x, y, w));
            var expected = weight * z - rows.Sum(r => Math.Log(z * z - Math.Pow(r.Norm(x, y, w), 2)));
            Assert.Equal(expected, PlacementBarrier.Value(rows, weight, x, y, w, z), 1e-9 * (1 + Math.Abs(expected)));
            Assert.Equal(
                double.PositiveInfinity,
                PlacementBarrier.Value(rows, weight, x, y, w, rows.Max(r => r.Norm(x, y, w)) * 0.999)
            );
            Assert.Equal(double.PositiveInfinity, PlacementBarrier.Value(rows, weight, x, y, w, -10 * z));
        }
    }

    [Theory]
    [InlineData(1e-9)]
    [InlineData(1e12)]
    public void Many_very_small_or_large_ones_are_summed_all_the_same(double z)
    {
        // 40 of them times each other are past what a number holds
        var rows = new PlacementRow[40];
        Assert.Equal(2 * z - 80 * Math.Log(z), PlacementBarrier.Value(rows, 2, 0, 0, 0, z), 1e-6 * (1 + 2 * z));
    }

    [Fact]
    public void Where_a_miss_reaches_the_bound_it_is_without_bound()
    {
        PlacementRow[] rows = [new(3, 4, 1, 0, 0, 1, 0, 0)];
        Assert.Equal(double.PositiveInfinity, PlacementBarrier.Value(rows, 1, 0, 0, 0, 5));
        Assert.Equal(double.PositiveInfinity, PlacementBarrier.Value([], 1, 0, 0, 0, 0));
        Assert.Equal(5, PlacementBarrier.Value([], 1, 0, 0, 0, 5));
        Assert.Equal(6 - Math.Log(11), PlacementBarrier.Value(rows, 1, 0, 0, 0, 6), 12);
    }

    [Fact]
    public void Its_derivatives_are_those_of_its_value()
    {
        var d = new NormalDraws(3);
        for (var k = 0; k < 20; k++)
        {
            var rows = Rows(d, 1 + k % 7);
            double[] at = [0.3 * d.Next(), 0.3 * d.Next(), 0.3 * d.Next(), 0];
            at[3] = 1.4 * rows.Max(r => r.Norm(at[0], at[1], at[2]));
            var weight = 1 + 3 * d.Uniform();
            // what was there before is not added to
            double[] g = [7, 7, 7, 7],
                h = [.. Enumerable.Repeat(7.0, 16)];
            PlacementBarrier.Derivatives(rows, weight, at[0], at[1], at[2], at[3], g, h);
            var slope = NumericJacobian.Compute(
                at,
                1,
                (v, into) => into[0] = PlacementBarrier.Value(rows, weight, v[0], v[1], v[2], v[3])
            );
            var bend = NumericJacobian.Compute(
                at,
                4,
                (v, into) =>
                {
                    double[] own = new double[4],
                        rest = new double[16];
                    PlacementBarrier.Derivatives(rows, weight, v[0], v[1], v[2], v[3], own, rest);
                    own.CopyTo(into, 0);
                }
            );
            var size = 1 + Enumerable.Range(0, 16).Max(i => Math.Abs(h[i]));
            for (var i = 0; i < 4; i++)
            {
                Assert.Equal(slope[0, i], g[i], 1e-5 * size);
                for (var j = 0; j <= i; j++)
                    Assert.Equal(bend[i, j], h[i * 4 + j], 1e-5 * size);
            }
        }
    }

    private static double Worst(HolePair[] pairs, Placement at) =>
        pairs.Max(p => p.Miss(at).Length / Math.Max(p.SlackMm, HolePair.MinSlackMm));

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(4)]
    [InlineData(7)]
    [InlineData(70)]
    public void No_placement_near_by_is_better(int n)
    {
        var d = new NormalDraws((ulong)n);
        HolePair[] pairs =
        [
            .. Enumerable
                .Range(0, n)
                .Select(_ =>
                {
                    var p = new Point2(100 * d.Uniform() - 50, 100 * d.Uniform() - 50);
                    return new HolePair(p, p + new Point2(0.05 * d.Next(), 0.05 * d.Next()), 0.1 + 0.1 * d.Uniform());
                }),
        ];
        var at = Placement.Identity;
        for (var round = 0; round < 6; round++)
            at = PlacementBarrier.Better(pairs, at, 1e-7);
        var least = Worst(pairs, at);
        Assert.True(least <= Worst(pairs, Placement.Identity));
        if (n == 1)
        {
            Assert.Equal(0, least, 5);
            Assert.Equal(0, at.RotationDeg);
        }
        foreach (var step in (double[])[0.02, 0.003, 0.0005])
            for (var k = 0; k < 27; k++)
            {
                var near = new Placement(
                    at.XMm + step * (k % 3 - 1),
                    at.YMm + step * (k / 3 % 3 - 1),
                    at.RotationDeg + step * (k / 9 - 1)
                );
                Assert.True(Worst(pairs, near) >= least - 1e-5);
            }
    }

    [Fact]
    public void Where_all_is_met_nothing_moves()
    {
        HolePair[] pairs = [.. Sample.Corners(29).Select(p => new HolePair(p, p, 0.15))];
        Assert.Equal(Placement.Identity, PlacementBarrier.Better(pairs, Placement.Identity, 1e-6));
    }

    [Fact]
    public void A_rough_search_ends_within_its_gap()
    {
        // two pull apart by 0.6 mm: slacks 0.1 and 0.2 share it, a ratio of 2
        HolePair[] pairs = [new(new(-10, 0), new(-10.3, 0), 0.1), new(new(10, 0), new(10.3, 0), 0.2)];
        foreach (var gap in (double[])[0.1, 0.01, 1e-4])
        {
            var rough = Worst(pairs, PlacementBarrier.Better(pairs, Placement.Identity, gap));
            Assert.InRange(rough, 2 - 1e-9, 2 * (1 + 2 * gap) + gap);
        }
    }
}
