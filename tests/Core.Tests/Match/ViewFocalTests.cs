using FaithfulBracket.Core.Match.Trace;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>The focal length that a view tells, and how much of it is only what is typical.</summary>
public class ViewFocalTests
{
    private const double Typical = 2.2,
        SpreadShare = 0.35;

    private static double[,] Sure(double variance)
    {
        var c = new double[8, 8];
        for (var i = 0; i < 8; i++)
            c[i, i] = variance;
        return c;
    }

    [Fact]
    public void At_the_true_focal_length_both_conditions_hold()
    {
        foreach (var view in ViewOfPlane.Some())
        {
            var (a1, b1, a2, b2) = ViewFocal.Conditions(view.Theta());
            var w = 1 / (view.Focal * view.Focal);
            Assert.Equal(b1, a1 * w, 12);
            Assert.Equal(b2, a2 * w, 12);
        }
    }

    [Fact]
    public void A_sure_slanted_view_tells_it_whatever_is_typical()
    {
        foreach (var view in ViewOfPlane.Some().Where(v => v.TiltDeg > 0))
        {
            var focal = ViewFocal.Compute(view.Theta(), Sure(1e-14), 1, Typical);
            Assert.Equal(view.Focal, focal.At(view.Theta()), 1e-4);
            Assert.InRange(focal.LogVariance, 0, 1e-8);
        }
    }

    [Fact]
    public void Straight_down_it_is_what_is_typical_with_all_of_its_spread()
    {
        foreach (var view in ViewOfPlane.Some().Where(v => v.TiltDeg == 0))
        {
            var focal = ViewFocal.Compute(view.Theta(), Sure(1e-6), 1, Typical);
            Assert.Equal(Typical, focal.At(view.Theta()), 3);
            Assert.Equal(SpreadShare * SpreadShare, focal.LogVariance, 3);
        }
    }

    [Theory]
    [InlineData(1e-4, 1)]
    [InlineData(1e-6, 3)]
    [InlineData(4e-6, 0.5)]
    public void Between_them_each_counts_by_its_variance(double variance, double sigma)
    {
        // tilted about the picture's u only: the first condition is empty, the second −t7² = (l1 − l2)·w
        var theta = new ViewOfPlane(1.8, 0, 0.4, 4, 30, 0, 0).Theta();
        Assert.Equal(0, theta[1] * theta[0] + theta[3] * theta[4], 12);
        Assert.Equal(0, theta[6], 12);
        var covariance = new double[8, 8];
        covariance[7, 7] = variance;
        double l1 = theta[0] * theta[0],
            l2 = theta[4] * theta[4],
            scale = (l1 + l2) / 2,
            a = (l1 - l2) / scale,
            b = theta[7] * theta[7] / scale,
            ofB = Math.Pow(2 * theta[7] / scale, 2) * variance * sigma * sigma,
            typical = 1 / (Typical * Typical),
            ofTypical = Math.Pow(2 * SpreadShare * typical, 2),
            weight = a * a / ofB + 1 / ofTypical,
            w = (a * b / ofB + typical / ofTypical) / weight;
        var focal = ViewFocal.Compute(theta, covariance, sigma, Typical);
        Assert.Equal(1 / Math.Sqrt(w), focal.At(theta), 1e-6);
        // d log f = −dw / 2w, and of w only what the typical one's own variance makes
        var expected = Math.Pow(1 / ofTypical / weight, 2) * ofTypical / (4 * w * w);
        Assert.Equal(expected, focal.LogVariance, 1e-6 * expected);
    }

    [Fact]
    public void A_view_that_can_not_be_ends_at_five_times_what_is_typical()
    {
        // columns that ask for a negative 1/f²
        double[] theta = [1, 0, 0, 0, 2, 0, 0.0, 0.9];
        var near = ViewFocal.Compute(theta, Sure(1e-14), 1, Typical);
        Assert.Equal(5 * Typical, near.At(theta), 9);
        double[] steep = [2, 0, 0, 0, 1, 0, 0.0, 5];
        var far = ViewFocal.Compute(steep, Sure(1e-14), 1, Typical);
        Assert.Equal(Typical / 5, far.At(steep), 9);
    }
}
