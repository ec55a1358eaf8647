using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Trace;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Against trying every threshold.</summary>
public class DarkThresholdTests
{
    /// <summary>What both sides still spread, by plain sums.</summary>
    private static double Spread(byte[] pixels, double threshold)
    {
        double Of(IEnumerable<byte> side)
        {
            var own = side.Select(v => (double)v).ToList();
            return own.Count == 0 ? 0 : own.Sum(v => Math.Pow(v - own.Average(), 2));
        }
        return Of(pixels.Where(v => v < threshold)) + Of(pixels.Where(v => v > threshold));
    }

    [Fact]
    public void Both_sides_spread_the_least()
    {
        var d = new NormalDraws(31);
        for (var k = 0; k < 30; k++)
        {
            double dark = 20 + 60 * d.Uniform(),
                light = 130 + 90 * d.Uniform(),
                share = 0.1 + 0.8 * d.Uniform();
            byte[] pixels =
            [
                .. Enumerable
                    .Range(0, 300)
                    .Select(_ => (byte)Math.Clamp((d.Uniform() < share ? dark : light) + 14 * d.Next(), 0, 255)),
            ];
            var threshold = DarkThreshold.Compute(pixels);
            Assert.Equal(0.5, threshold % 1);
            var least = Enumerable.Range(0, 255).Min(t => Spread(pixels, t + 0.5));
            Assert.Equal(least, Spread(pixels, threshold), 1e-6 * least);
        }
    }

    [Fact]
    public void Of_two_levels_it_lies_just_over_the_darker_one()
    {
        Assert.Equal(40.5, DarkThreshold.Compute([40, 200, 200, 40, 200]));
        Assert.Equal(0.5, DarkThreshold.Compute([0, 255]));
        Assert.Equal(0.5, DarkThreshold.Compute([0, 0, 0, 1]));
        // three: the middle one goes with what it is nearer to
        Assert.Equal(60.5, DarkThreshold.Compute([20, 60, 200]));
        Assert.Equal(20.5, DarkThreshold.Compute([20, 160, 200]));
    }

    [Fact]
    public void Where_all_are_alike_it_is_the_middle()
    {
        Assert.Equal(128, DarkThreshold.Compute([7, 7, 7]));
        Assert.Equal(128, DarkThreshold.Compute([]));
    }
}
