using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Prove;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What is a sensor's slip and what is not.</summary>
public class LogSlipsTests
{
    private static double[] Of(params double[] c) =>
        [.. LogSlips.Without([.. c.Select((v, i) => new LogSample(i, v))]).Select(s => s.C)];

    /// <summary>The same with ten quiet samples on both sides, which are left off again.</summary>
    private static double[] Within(params double[] c) =>
        Of([.. Enumerable.Repeat(c[0], 10), .. c, .. Enumerable.Repeat(c[^1], 10)])[10..^10];

    [Fact]
    public void A_lone_sample_more_than_two_kelvin_off_is_taken_as_its_neighbours_mean()
    {
        Assert.Equal([60, 60, 60, 60.5, 61, 61], Within(60, 60, 60, 90, 61, 61));
        Assert.Equal([60, 60, 60, 60, 60, 60], Within(60, 60, 60, 57.9, 60, 60));
        // as far as coarse sensors flicker it stays
        Assert.Equal([60, 60, 60, 62, 60, 60], Within(60, 60, 60, 62, 60, 60));
    }

    [Fact]
    public void A_step_a_fall_two_in_a_row_and_the_ends_stay()
    {
        foreach (
            var log in new double[][] { [40, 40, 40, 60, 60, 60], [90, 70, 55, 45, 40, 38], [60, 60, 80, 80, 60, 60] }
        )
            Assert.Equal(log, Within(log));
        double[] ends = [80, .. Enumerable.Repeat(60.0, 20), 80];
        Assert.Equal(ends, Of(ends));
        // beside a step a slip cannot be told from its middle
        Assert.Equal([40, 40, 75, 60, 60, 60], Within(40, 40, 75, 60, 60, 60));
    }

    [Fact]
    public void In_a_log_that_flickers_it_has_to_be_six_deviations_off()
    {
        var random = new NormalDraws(5);
        double[] log = [.. Enumerable.Range(0, 4000).Select(_ => 60 + 1.5 * random.Next())];
        Assert.Equal(log, Of(log));
        log[2000] = 60 + 20;
        Assert.InRange(Of(log)[2000], 50, 70);
    }
}
