using FaithfulBracket.Core.Match.Identify;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class LikelihoodTests
{
    /// <summary>ln ∫ p^m (1 − p)^(n − m) dp over 0 to 1, by Simpson's rule.</summary>
    private static double Share(int n, int m)
    {
        const int steps = 2000;
        double At(double p) => Math.Pow(p, m) * Math.Pow(1 - p, n - m);
        var sum = At(0) + At(1);
        for (var i = 1; i < steps; i++)
            sum += (i % 2 == 1 ? 4 : 2) * At((double)i / steps);
        return Math.Log(sum / 3 / steps);
    }

    [Theory]
    [InlineData(6, 5, 20, 12, 25, 0.4)]
    [InlineData(4, 4, 0, 0, 5, 0.01)]
    [InlineData(18, 3, 30, 2, 40, 0.2)]
    [InlineData(3, 0, 3, 0, 10, 0)]
    public void A_board_is_weighed_by_its_misses_its_shares_its_strangers_and_its_freedom(
        int holes,
        int holesMet,
        int parts,
        int partsMet,
        int seen,
        double squares
    )
    {
        const double sigma = 0.12,
            area = 9000;
        var met = holesMet + partsMet;
        var strangers = seen - met;
        // a normal miss in the plane for each that met
        var expected = -met * Math.Log(2 * Math.PI * sigma * sigma) - squares / (2 * sigma * sigma);
        expected += Share(holes, holesMet) + Share(parts, partsMet);
        // a Poisson process as dense as it was seen
        expected += strangers == 0 ? 0 : strangers * Math.Log(strangers / area) - strangers;
        // Laplace: two shifts and a turn, known to σ/√met and σ/(√met·arm)
        var one = Math.Max(1, met);
        var arm = Math.Sqrt(area) / 3;
        expected -=
            Math.Log(area)
            - Math.Log(2 * Math.PI * sigma * sigma / one)
            + Math.Log(arm / (sigma / Math.Sqrt(2 * Math.PI * one)));
        // fewer than half met tells of rows that look alike
        expected -= 300 * Math.Max(0, 0.5 - (double)met / seen);
        Assert.Equal(
            expected,
            Likelihood.Compute(holes, holesMet, parts, partsMet, squares, sigma, seen, area),
            1e-6 * Math.Abs(expected)
        );
    }

    [Fact]
    public void Strangers_alone_are_as_likely_as_they_are_dense()
    {
        Assert.Equal(10 * Math.Log(10 / 500.0) - 10, Likelihood.None(10, 500), 12);
        Assert.Equal(0, Likelihood.None(0, 500));
    }

    [Fact]
    public void Thousands_of_parts_go_on_where_the_table_ends()
    {
        // ln B(m + 1, n − m + 1) by sums
        double Fact(int n) => Enumerable.Range(1, n).Sum(i => Math.Log(i));
        double Of(int parts) => Likelihood.Compute(0, 0, parts, 10, 0, 0.1, 12, 5000);
        double Share(int n) => Fact(10) + Fact(n - 10) - Fact(n + 1);
        foreach (var parts in new[] { 1998, 1999, 2000, 2009, 2010, 3000 })
            Assert.Equal(Share(parts) - Share(100), Of(parts) - Of(100), 1e-3);
    }
}
