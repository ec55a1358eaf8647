using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>The quick answers about a placement against the exact one, and both against each other's proof.</summary>
public class PlacementBoundTests
{
    private static HolePair[] Draw(NormalDraws d, int n, double noiseMm)
    {
        var truth = new Placement(4 * d.Next(), 4 * d.Next(), 3 * d.Next());
        return
        [
            .. Enumerable
                .Range(0, n)
                .Select(_ => new Point2(80 * d.Uniform() - 40, 80 * d.Uniform() - 40))
                .Select(p => new HolePair(
                    p,
                    truth.Apply(p) + new Point2(noiseMm * d.Next(), noiseMm * d.Next()),
                    0.05 + 0.25 * d.Uniform()
                )),
        ];
    }

    [Fact]
    public void Whether_a_ratio_of_one_can_be_reached_is_what_the_exact_answer_says()
    {
        var d = new NormalDraws(5);
        int yes = 0,
            no = 0;
        for (var k = 0; k < 600; k++)
        {
            var pairs = Draw(d, 2 + k % 7, 0.02 + 0.3 * d.Uniform());
            var (_, ratio) = MinimaxPlacement.Solve(pairs, 0);
            if (Math.Abs(ratio - 1) < 1e-6)
                continue;
            Assert.Equal(ratio < 1, PlacementBound.CanReachOne(pairs, 0));
            _ = ratio < 1 ? yes++ : no++;
        }
        Assert.True(yes > 100 && no > 100, $"{yes} yes, {no} no");
    }

    [Fact]
    public void The_bound_lies_below_the_best_ratio_and_comes_near_it()
    {
        var d = new NormalDraws(6);
        for (var k = 0; k < 150; k++)
        {
            var pairs = Draw(d, 3 + k % 6, 0.2);
            var (_, ratio) = MinimaxPlacement.Solve(pairs, 0);
            double last = 0;
            foreach (var rounds in new[] { 1, 2, 4, 8, 400 })
            {
                var bound = PlacementBound.LowerBound(pairs, 0, rounds);
                Assert.True(bound <= ratio * (1 + 1e-6), $"{bound} over {ratio}");
                Assert.True(bound >= last);
                last = bound;
            }
            // two methods that know nothing of each other close in on one figure
            Assert.True(last >= 0.97 * ratio, $"{last} of {ratio}");
        }
    }

    [Fact]
    public void No_bound_is_told_for_slots_tight_holes_or_one_screw()
    {
        HolePair[] far = [new(new(0, 0), new(0, 0), 0.1), new(new(10, 0), new(12, 0), 0.1)];
        Assert.Equal(1 / 0.1, PlacementBound.LowerBound(far, 0, 1), 9);
        Assert.Equal(0, PlacementBound.LowerBound([far[0], far[1] with { SlotHalfMm = 0.1 }], 0, 8));
        Assert.Equal(0, PlacementBound.LowerBound([far[0], far[1] with { SlackMm = 0 }], 0, 8));
        Assert.Equal(0, PlacementBound.LowerBound([far[1]], 0, 8));
    }

    [Fact]
    public void Slots_tight_holes_and_no_screws_are_answered_too()
    {
        Assert.True(PlacementBound.CanReachOne([], 0));
        HolePair[] tight = [new(new(0, 0), new(3, 0), 0), new(new(10, 0), new(13, 0), 0)];
        Assert.True(PlacementBound.CanReachOne(tight, 0));
        Assert.False(PlacementBound.CanReachOne([tight[0], tight[1] with { Board = new(13.01, 0) }], 0));
        HolePair[] slotted = [new(new(0, 0), new(0, 0), 0.1), new(new(10, 0), new(11.6, 0), 0.1, 1.5)];
        Assert.True(PlacementBound.CanReachOne(slotted, 0));
        Assert.False(PlacementBound.CanReachOne([slotted[0], slotted[1] with { SlotHalfMm = 1.3 }], 0));
        // more holes than are kept on the stack
        HolePair[] many = [.. Enumerable.Range(0, 70).Select(i => new HolePair(new(i, 0), new(i, 0.001 * i), 0.1))];
        Assert.True(PlacementBound.CanReachOne(many, 0));
        Assert.True(PlacementBound.LowerBound(many, 0, 3) < 1e-3);
    }

    [Fact]
    public void Least_squares_leaves_the_least_sum_of_squares()
    {
        var d = new NormalDraws(7);
        for (var k = 0; k < 40; k++)
        {
            var pairs = Draw(d, 2 + k % 5, 0.3);
            double Squares(Placement at) =>
                pairs.Sum(p => (at.Apply(p.Block) - p.Board).Dot(at.Apply(p.Block) - p.Board));
            var best = LeastSquaresPlacement.Fit(pairs, 0);
            var least = Squares(best);
            foreach (var step in new[] { 1e-3, -1e-3 })
            {
                Assert.True(Squares(best with { XMm = best.XMm + step }) > least);
                Assert.True(Squares(best with { YMm = best.YMm + step }) > least);
                Assert.True(Squares(best with { RotationDeg = best.RotationDeg + step }) > least);
            }
        }
    }

    [Fact]
    public void One_screw_shifts_and_does_not_turn()
    {
        HolePair[] one = [new(new(10, 0), new(3, 4), 0.1)];
        foreach (var at in new[] { LeastSquaresPlacement.Fit(one, 90), MinimaxPlacement.Solve(one, 90).Placement })
        {
            Assert.Equal(90, at.RotationDeg, 9);
            Assert.Equal(3, at.XMm, 9);
            Assert.Equal(-6, at.YMm, 9);
        }
        Assert.Equal((new Placement(0, 0, 90), 0), MinimaxPlacement.Solve([], 90));
        // screws in one place tell nothing of the turn either
        HolePair[] same = [one[0], one[0] with { Board = new(3.2, 4) }];
        Assert.Equal(180, LeastSquaresPlacement.Fit(same, 180).RotationDeg, 9);
        Assert.Equal(1, MinimaxPlacement.Solve(same, 180).Ratio, 6);
        Assert.True(PlacementBound.CanReachOne([one[0], one[0] with { Board = new(3.19, 4) }], 180));
    }

    [Fact]
    public void What_only_rounding_moves_is_told_as_it_stands()
    {
        HolePair[] home = [.. Sample.Corners(29).Select(p => new HolePair(p, p, 0.15))];
        Assert.Equal(new Placement(0, 0, 0), MinimaxPlacement.Solve(home, 0).Placement);
        HolePair[] turned = [.. home.Select(p => p with { Board = p.Board.Turned(Math.PI / 2) + new Point2(1, 2) })];
        var (at, _) = MinimaxPlacement.Solve(turned, 90);
        Assert.Equal(90, at.RotationDeg);
        Assert.Equal((1, 2), (Math.Round(at.XMm, 9), Math.Round(at.YMm, 9)));
    }

    [Theory]
    [InlineData(0, 0)]
    [InlineData(1.5, 0)]
    [InlineData(-1.5, 0)]
    [InlineData(3, 1)]
    [InlineData(-3, -1)]
    public void A_screw_in_a_slot_misses_by_what_lies_past_it_and_beside_it(double along, double past)
    {
        foreach (var deg in new[] { 0, 30, 135 })
        {
            var axis = new Point2(1, 0).Turned(deg * Math.PI / 180);
            var side = new Point2(-axis.Y, axis.X);
            var pair = new HolePair(axis * along + side * 0.4, default, 0.2, 2, deg * Math.PI / 180);
            var miss = pair.Miss(Placement.Identity);
            Assert.Equal(past, miss.Dot(axis), 9);
            Assert.Equal(0.4, miss.Dot(side), 9);
            Assert.Equal(Math.Sqrt(past * past + 0.16) / 0.2, MinimaxPlacement.Ratio([pair], Placement.Identity), 9);
        }
    }

    [Theory]
    [InlineData(0)]
    [InlineData(30)]
    [InlineData(90)]
    [InlineData(135)]
    public void Slots_side_by_side_share_what_lies_across_them(double deg)
    {
        // three in a row, the middle one 0.3 mm to the side: half of it is the best
        var turn = deg * Math.PI / 180;
        HolePair[] pairs =
        [
            .. new[] { (-10, 0.0), (0, 0.3), (10, 0.0) }.Select(p => new HolePair(
                new Point2(p.Item1, 0).Turned(turn),
                new Point2(p.Item1 + 2, p.Item2).Turned(turn),
                0.2,
                5,
                turn
            )),
        ];
        Assert.Equal(0.15 / 0.2, MinimaxPlacement.Solve(pairs, 0).Ratio, 6);
        Assert.True(PlacementBound.CanReachOne(pairs, 0));
        Assert.False(PlacementBound.CanReachOne([.. pairs.Select(p => p with { SlackMm = 0.149 })], 0));
    }
}
