using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Least squares whose answers are known, by the normal equations or by hand.</summary>
public class LevenbergMarquardtTests
{
    [Fact]
    public void A_straight_line_is_what_the_normal_equations_say()
    {
        var d = new NormalDraws(4);
        double[] x = [.. Enumerable.Range(0, 30).Select(i => 0.3 * i - 2)],
            y = [.. x.Select(v => 4 - 1.5 * v + d.Next())];
        var rest = LevenbergMarquardt.From(
            [0, 0],
            30,
            (at, into) =>
            {
                for (var i = 0; i < 30; i++)
                    into[i] = at[0] + at[1] * x[i] - y[i];
            }
        );
        double[,] normal =
        {
            { 30, x.Sum() },
            { x.Sum(), x.Sum(v => v * v) },
        };
        var exact = DenseSolve.Solve((double[,])normal.Clone(), [y.Sum(), x.Zip(y, (a, b) => a * b).Sum()])!;
        Assert.Equal(exact[0], rest.At[0], 7);
        Assert.Equal(exact[1], rest.At[1], 7);
        Assert.Equal(x.Zip(y, (a, b) => Math.Pow(exact[0] + exact[1] * a - b, 2)).Sum(), rest.Squares, 9);
        for (var a = 0; a < 2; a++)
        for (var b = 0; b < 2; b++)
            Assert.Equal(normal[a, b], rest.Normal[a, b], 1e-5 * normal[a, b]);
    }

    [Fact]
    public void The_bent_valley_is_walked_to_its_end()
    {
        // Rosenbrock 1960: 10·(y − x²) and 1 − x
        var rest = LevenbergMarquardt.From(
            [-1.2, 1],
            2,
            (at, into) => (into[0], into[1]) = (10 * (at[1] - at[0] * at[0]), 1 - at[0])
        );
        Assert.Equal(1, rest.At[0], 6);
        Assert.Equal(1, rest.At[1], 6);
        Assert.True(rest.Squares < 1e-14);
    }

    [Fact]
    public void A_step_too_far_is_taken_back()
    {
        // by Gauss's rule alone from 3 the arc's tangent leads away from its zero
        var rest = LevenbergMarquardt.From([3], 1, (at, into) => into[0] = Math.Atan(at[0] - 0.5));
        Assert.Equal(0.5, rest.At[0], 6);
    }

    [Fact]
    public void Where_nothing_is_gained_it_stays()
    {
        var flat = LevenbergMarquardt.From([2, 7], 1, (_, into) => into[0] = 3);
        Assert.Equal([2, 7], flat.At);
        Assert.Equal(9, flat.Squares);
        // an unknown that moves nothing makes the equations singular
        var one = LevenbergMarquardt.From([2, 7], 1, (at, into) => into[0] = at[0] - 1);
        Assert.Equal([2, 7], one.At);
        Assert.Equal(1, one.Squares);
    }
}
