using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Placements of least squares far from the origin, alike and weighted.</summary>
public class LeastSquaresPlacementTests
{
    private static (HolePair[] Pairs, double[] Weight) Drawn(ulong seed, int n)
    {
        var d = new NormalDraws(seed);
        var pose = new Placement(120, -75, 130);
        HolePair[] pairs =
        [
            .. Enumerable
                .Range(0, n)
                .Select(_ =>
                {
                    var p = new Point2(300 + 40 * d.Next(), -200 + 40 * d.Next());
                    return new HolePair(
                        p,
                        pose.Apply(p) + new Point2(0.3 * d.Next(), 0.3 * d.Next()),
                        0.05 + 0.3 * d.Uniform()
                    );
                }),
        ];
        return (pairs, [.. pairs.Select(_ => 0.1 + d.Uniform())]);
    }

    private static Placement Weighted(HolePair[] pairs, double[] weight, double startDeg = 0)
    {
        var (sin, cos, x, y) = LeastSquaresPlacement.Weighted(pairs, weight, startDeg);
        Assert.Equal(1, sin * sin + cos * cos, 12);
        return new(x, y, Math.Atan2(sin, cos) * 180 / Math.PI);
    }

    [Theory]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(9)]
    public void Nothing_near_by_leaves_less(int n)
    {
        for (ulong seed = 1; seed <= 10; seed++)
        {
            var (pairs, weight) = Drawn(seed, n);
            double Left(Placement at, Func<int, double> w) =>
                pairs.Select((p, i) => w(i) * p.Miss(at).Dot(p.Miss(at))).Sum();
            double Own(int i) => weight[i] / (pairs[i].SlackMm * pairs[i].SlackMm);
            foreach (
                var (best, w) in ((Placement, Func<int, double>)[])
                    [(LeastSquaresPlacement.Fit(pairs, 0), _ => 1), (Weighted(pairs, weight), Own)]
            )
            {
                var least = Left(best, w);
                foreach (var step in (double[])[1e-3, -1e-3])
                {
                    Assert.True(Left(best with { XMm = best.XMm + step }, w) > least);
                    Assert.True(Left(best with { YMm = best.YMm + step }, w) > least);
                    // turned about the pairs' own middle nearly nothing else changes
                    Assert.True(Left(best with { RotationDeg = best.RotationDeg + step }, w) > least);
                }
            }
        }
    }

    [Fact]
    public void A_pair_of_great_weight_is_met_and_of_little_slack_alike()
    {
        HolePair[] pairs =
        [
            new(new(-10, 0), new(-10, 0.4), 0.1),
            new(new(10, 0), new(10, 0.4), 0.1),
            new(new(0, 10), new(0, 10), 0.1),
        ];
        Assert.Equal(0.4, Weighted(pairs, [1e6, 1e6, 1]).YMm, 4);
        Assert.Equal(0.4 * 2 / 3, Weighted(pairs, [1, 1, 1]).YMm, 9);
        Assert.Equal(0.4 * 2 / 3, LeastSquaresPlacement.Fit(pairs, 0).YMm, 9);
        HolePair[] tight = [pairs[0] with { SlackMm = 1e-4 }, pairs[1] with { SlackMm = 1e-4 }, pairs[2]];
        Assert.Equal(0.4, Weighted(tight, [1, 1, 1]).YMm, 4);
    }

    [Fact]
    public void Where_nothing_tells_the_turn_it_is_that_of_the_start()
    {
        HolePair[] one = [new(new(10, 0), new(3, 4), 0.1)];
        Assert.Equal(90, Weighted(one, [1], 90).RotationDeg, 9);
        Assert.Equal(-6, Weighted(one, [1], 90).YMm, 9);
        Assert.Equal(90, LeastSquaresPlacement.Fit(one, 90).RotationDeg, 9);
    }
}
