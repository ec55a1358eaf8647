using CsCheck;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class MinimaxPlacementTests
{
    [Fact]
    public void A_moved_and_turned_pattern_is_found_exactly()
    {
        var truth = new Placement(3.7, -1.2, 1.5);
        HolePair[] pairs =
        [
            .. Sample.Corners(29).Append(new(40, 5)).Select(p => new HolePair(p, truth.Apply(p), 0.15)),
        ];
        var (found, ratio) = MinimaxPlacement.Solve(pairs, 0);
        Assert.Equal(truth.XMm, found.XMm, 7);
        Assert.Equal(truth.YMm, found.YMm, 7);
        Assert.Equal(truth.RotationDeg, found.RotationDeg, 7);
        Assert.True(ratio < 1e-6);
    }

    [Fact]
    public void The_smallest_largest_miss_fits_where_least_squares_would_refuse()
    {
        // three holes in a row, the last 0.4 mm further out: the best shift is half the error, 0.2 mm; least squares leaves 0.267
        HolePair[] pairs =
        [
            new(new(-20, 0), new(-20, 0), 0.22),
            new(new(0, 0), new(0, 0), 0.22),
            new(new(20, 0), new(20.4, 0), 0.22),
        ];
        var squares = MinimaxPlacement.Ratio(pairs, LeastSquaresPlacement.Fit(pairs, 0));
        var (_, ratio) = MinimaxPlacement.Solve(pairs, 0);
        Assert.Equal(0.4 * 2 / 3 / 0.22, squares, 6);
        Assert.Equal(0.2 / 0.22, ratio, 6);
        Assert.True(squares > 1 && ratio < 1);
    }

    [Fact]
    public void Slack_weighs_the_misses()
    {
        // two holes pull apart by 0.6 mm; slacks 0.1 and 0.2 share it one to two
        HolePair[] pairs = [new(new(-10, 0), new(-10.3, 0), 0.1), new(new(10, 0), new(10.3, 0), 0.2)];
        var (at, ratio) = MinimaxPlacement.Solve(pairs, 0);
        Assert.Equal(2, ratio, 6);
        Assert.Equal(-0.1, at.XMm, 6);
    }

    [Fact]
    public void A_slot_forgives_along_its_length_only()
    {
        HolePair[] along =
        [
            new(new(-10, 0), new(-10, 0), 0.15),
            new(new(10, 0), new(11, 0), 0.15, SlotHalfMm: 2, SlotRadians: 0),
        ];
        HolePair[] across =
        [
            new(new(-10, 0), new(-10, 0), 0.15),
            new(new(10, 0), new(11, 0), 0.15, SlotHalfMm: 2, SlotRadians: Math.PI / 2),
        ];
        Assert.True(MinimaxPlacement.Solve(along, 0).Ratio < 1e-6);
        Assert.True(MinimaxPlacement.Solve(across, 0).Ratio > 1);
    }

    [Fact]
    public void No_nearby_placement_is_better() =>
        Gen.Select(Gen.Double[-0.3, 0.3].Array[12], Gen.Double[0.05, 0.3].Array[6])
            .Sample(
                (noise, slack) =>
                {
                    Point2[] pattern = [.. Sample.Corners(29), new(48, 40), new(-44, 10)];
                    HolePair[] pairs =
                    [
                        .. pattern.Select(
                            (p, i) => new HolePair(p, p + new Point2(noise[2 * i], noise[2 * i + 1]), slack[i])
                        ),
                    ];
                    var (at, ratio) = MinimaxPlacement.Solve(pairs, 0);
                    Assert.True(ratio <= MinimaxPlacement.Ratio(pairs, LeastSquaresPlacement.Fit(pairs, 0)) + 1e-9);
                    var draws = new NormalDraws(3);
                    for (var k = 0; k < 60; k++)
                    {
                        var step = Math.Pow(10, -1 - k % 5);
                        var near = new Placement(
                            at.XMm + step * draws.Next(),
                            at.YMm + step * draws.Next(),
                            at.RotationDeg + step * draws.Next()
                        );
                        Assert.True(
                            MinimaxPlacement.Ratio(pairs, near) >= ratio - 2e-6,
                            $"better by {ratio - MinimaxPlacement.Ratio(pairs, near)} at step {step}"
                        );
                    }
                },
                iter: 200
            );
}
