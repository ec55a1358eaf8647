using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Against elimination with row exchange.</summary>
public class Cholesky4Tests
{
    [Fact]
    public void It_solves_what_elimination_solves()
    {
        var d = new NormalDraws(12);
        for (var k = 0; k < 100; k++)
        {
            // BᵀB of random numbers is positive definite
            var b = new double[6, 4];
            for (var i = 0; i < 24; i++)
                b[i / 4, i % 4] = d.Next();
            var full = new double[4, 4];
            var h = new double[16];
            for (var i = 0; i < 4; i++)
            for (var j = 0; j < 4; j++)
            for (var r = 0; r < 6; r++)
                full[i, j] += b[r, i] * b[r, j];
            for (var i = 0; i < 4; i++)
            for (var j = 0; j <= i; j++)
                h[i * 4 + j] = full[i, j];
            double[] g = [d.Next(), d.Next(), d.Next(), d.Next()];
            var x = new double[4];
            Assert.True(Cholesky4.Solve(h, g, x));
            var exact = DenseSolve.Solve(full, g)!;
            for (var i = 0; i < 4; i++)
                Assert.Equal(exact[i], x[i], 1e-8 * (1 + Math.Abs(exact[i])));
        }
    }

    [Fact]
    public void What_is_not_positive_definite_is_not_solved()
    {
        Span<double> x = stackalloc double[4];
        Span<double> zero = stackalloc double[16];
        Assert.False(Cholesky4.Solve(zero, [1, 1, 1, 1], x));
        Span<double> saddle = [1, 0, 0, 0, 2, 1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1];
        Assert.False(Cholesky4.Solve(saddle, [1, 1, 1, 1], x));
    }
}
