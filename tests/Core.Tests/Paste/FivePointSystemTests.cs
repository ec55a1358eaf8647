using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Paste;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>The solver of a film's pressure against elimination, and how few rounds it takes.</summary>
public class FivePointSystemTests
{
    /// <summary>Cells of a grid with holes, links of random strength, the rim fixed.</summary>
    private static FivePointSystem Drawn(int seed, int columns, int rows, double holes, double spread)
    {
        var random = new Random(seed);
        var index = new int[columns * rows];
        var n = 0;
        for (var i = 0; i < index.Length; i++)
            index[i] = random.NextDouble() < holes ? -1 : n++;
        double Strength() => Math.Exp(spread * (random.NextDouble() - 0.5));
        var right = Enumerable.Range(0, index.Length).Select(_ => Strength()).ToArray();
        var above = Enumerable.Range(0, index.Length).Select(_ => Strength()).ToArray();
        var system = new FivePointSystem(n);
        for (var i = 0; i < index.Length; i++)
        {
            if (index[i] < 0)
                continue;
            int x = i % columns,
                y = i / columns,
                k = index[i];
            void Link(int side, bool inside, int to, double strength)
            {
                var other = inside ? index[to] : -1;
                system.Diagonal[k] += strength;
                system.Links[4 * k + side] = other < 0 ? n : other;
                system.Weights[4 * k + side] = other < 0 ? 0 : strength;
            }
            Link(0, x > 0, i - 1, x > 0 ? right[i - 1] : 1);
            Link(1, x < columns - 1, i + 1, right[i]);
            Link(2, y > 0, i - columns, y > 0 ? above[i - columns] : 1);
            Link(3, y < rows - 1, i + columns, above[i]);
            system.RightSide[k] = random.NextDouble() - 0.2;
        }
        return system;
    }

    private static double[,] Dense(FivePointSystem s)
    {
        var n = s.Diagonal.Length;
        var a = new double[n, n];
        for (var k = 0; k < n; k++)
        {
            a[k, k] = s.Diagonal[k];
            for (var m = 0; m < 4; m++)
                if (s.Links[4 * k + m] < n)
                    a[k, s.Links[4 * k + m]] -= s.Weights[4 * k + m];
        }
        return a;
    }

    [Theory]
    [InlineData(0)]
    [InlineData(0.2)]
    [InlineData(0.5)]
    public void It_solves_what_elimination_solves(double holes)
    {
        for (var seed = 0; seed < 12; seed++)
        {
            var system = Drawn(seed, 9, 7, holes, 2);
            var n = system.Diagonal.Length;
            var x = new double[n + 1];
            system.Solve(x, 1e-24, 500);
            var expected = DenseSolve.Solve(Dense(system), [.. system.RightSide])!;
            for (var k = 0; k < n; k++)
                Assert.Equal(expected[k], x[k], 1e-9);
            Assert.Equal(0, x[n]);
        }
    }

    /// <summary>Conjugate gradients with nothing before them.</summary>
    private static int PlainRounds(FivePointSystem s, double goal)
    {
        var n = s.Diagonal.Length;
        double[] Times(double[] v) =>
            [
                .. Enumerable
                    .Range(0, n)
                    .Select(k =>
                        s.Diagonal[k] * v[k]
                        - Enumerable.Range(4 * k, 4).Sum(m => s.Links[m] < n ? s.Weights[m] * v[s.Links[m]] : 0)
                    ),
            ];
        double[] x = new double[n],
            r = [.. s.RightSide],
            p = [.. r];
        var rho = r.Sum(v => v * v);
        for (var round = 1; ; round++)
        {
            if (rho < goal)
                return round;
            var q = Times(p);
            var alpha = rho / p.Zip(q).Sum(v => v.First * v.Second);
            for (var k = 0; k < n; k++)
            {
                x[k] += alpha * p[k];
                r[k] -= alpha * q[k];
            }
            var next = r.Sum(v => v * v);
            for (var k = 0; k < n; k++)
                p[k] = r[k] + next / rho * p[k];
            rho = next;
        }
    }

    [Theory]
    [InlineData(0, 0)]
    [InlineData(0, 2)]
    [InlineData(0.1, 2)]
    public void It_takes_a_third_of_the_rounds_that_it_takes_plainly(double holes, double spread)
    {
        var system = Drawn(3, 40, 40, holes, spread);
        var goal = 1e-7 * system.RightSide.Sum(v => v * v);
        var rounds = system.Solve(new double[system.Diagonal.Length + 1], goal, 1000);
        var plain = PlainRounds(system, goal);
        Assert.True(3 * rounds <= plain, $"{rounds} rounds against {plain}");
    }

    [Fact]
    public void It_begins_at_what_it_is_given_and_ends_when_told()
    {
        var system = Drawn(1, 12, 12, 0.1, 1);
        var x = new double[system.Diagonal.Length + 1];
        Assert.Equal(5, system.Solve(x, 0, 5));
        system.Solve(x, 1e-20, 500);
        Assert.Equal(1, system.Solve(x, 1e-12, 500));
    }
}
