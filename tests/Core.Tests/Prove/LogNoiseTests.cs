using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Prove;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>The flicker of a log, told without the settling and the steps in it.</summary>
public class LogNoiseTests
{
    /// <param name="uneven">Pauses between 1 and this many seconds.</param>
    private static double Of(double sigma, int n, Func<double, double> c, double uneven = 1)
    {
        var random = new NormalDraws(11);
        var log = new List<LogSample>();
        for (var (i, t) = (0, 0.0); i < n; i++, t += 1 + (uneven - 1) * random.Uniform())
            log.Add(new(t, c(t) + sigma * random.Next()));
        return LogNoise.Compute(log);
    }

    [Theory]
    [InlineData(0.2, 1)]
    [InlineData(1.5, 1)]
    [InlineData(1.5, 12)]
    public void It_is_the_standard_deviation_of_a_sample(double sigma, double uneven)
    {
        // its own error over 6,000 samples is 2 in a hundred
        Assert.Equal(sigma, Of(sigma, 6000, _ => 60, uneven), 0.06 * sigma);
        Assert.Equal(sigma, Of(sigma, 6000, t => 60 + 3e-4 * t, uneven), 0.06 * sigma);
        Assert.Equal(sigma, Of(sigma, 6000, t => t % 20_000 < 10_000 ? 40 : 70, uneven), 0.06 * sigma);
    }

    [Fact]
    public void What_lies_in_a_line_or_is_too_short_flickers_by_what_a_sensor_resolves()
    {
        Assert.Equal(LogNoise.ResolutionK, Of(0, 300, t => 20 + 0.7 * t, 9));
        Assert.Equal(LogNoise.ResolutionK, LogNoise.Compute([new(0, 20), new(1, 60)]));
        Assert.Equal(LogNoise.ResolutionK, LogNoise.Compute([new(5, 20), new(5, 20), new(5, 20)]));
    }

    [Fact]
    public void Of_three_the_middle_one_is_held_against_the_line_through_its_neighbours()
    {
        // a quarter of the way: the line is at 22.5, the sample at 24.5; weights 1, 3/4, 1/4
        LogSample[] three = [new(10, 20), new(11, 24.5), new(14, 30)];
        Assert.Equal(2 / Math.Sqrt(1 + 0.0625 + 0.5625) / 0.6745, LogNoise.Compute(three), 9);
    }
}
