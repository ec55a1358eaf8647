using FaithfulBracket.Core.Geometry;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Against derivatives written down.</summary>
public class NumericJacobianTests
{
    [Theory]
    [InlineData(0.3, 2)]
    [InlineData(-40, 0.001)]
    [InlineData(0, 0)]
    [InlineData(3000, -7)]
    public void It_is_the_derivative_whatever_the_unknowns_size(double x, double y)
    {
        var j = NumericJacobian.Compute(
            [x, y],
            3,
            (at, into) => (into[0], into[1], into[2]) = (at[0] * at[0] + 3 * at[1], Math.Sin(at[1]), at[0] * at[1] - 5)
        );
        double[,] exact =
        {
            { 2 * x, 3 },
            { 0, Math.Cos(y) },
            { y, x },
        };
        Assert.Equal((3, 2), (j.GetLength(0), j.GetLength(1)));
        for (var i = 0; i < 3; i++)
        for (var a = 0; a < 2; a++)
            Assert.Equal(exact[i, a], j[i, a], 1e-6 * Math.Max(1, Math.Abs(x)));
    }

    [Fact]
    public void The_unknowns_are_left_as_they_were()
    {
        double[] at = [1, 2];
        NumericJacobian.Compute(at, 1, (v, into) => into[0] = v[0]);
        Assert.Equal([1, 2], at);
    }
}
