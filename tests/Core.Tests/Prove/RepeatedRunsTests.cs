using FaithfulBracket.Core.Prove;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Runs repeated, and runs at several powers.</summary>
public class RepeatedRunsTests
{
    private static Reading Run(double watts, double overK, double flow = 3, int day = 1) =>
        new(Phase.After, 21, 30, 30 + overK, null, null, watts, flow, null) { On = new DateOnly(2026, 3, day) };

    [Fact]
    public void Alike_runs_are_told_by_their_mean_and_their_own_spread()
    {
        // 20, 20.4 and 19.6 K at 200 W: 100 K/kW, ±2 between them
        var spread = RepeatedRuns.Fit([Run(200, 20), Run(200, 20.4), Run(200, 19.6)]).Spread!;
        Assert.Equal(
            (3, 0.1, 0.002),
            (spread.Runs, Math.Round(spread.MeanKPerW, 9), Math.Round(spread.SpreadKPerW, 9))
        );
        Assert.True(spread.Repeatable);
        Assert.False(RepeatedRuns.Fit([Run(200, 20), Run(200, 30)]).Spread!.Repeatable);
    }

    [Fact]
    public void A_sweep_is_a_slope_and_passes_zero_unless_a_sensor_is_off()
    {
        double[] powers = [80, 140, 200, 260];
        var sound = RepeatedRuns.Fit([.. powers.Select(p => Run(p, 0.1 * p))]).Sweep!;
        Assert.Equal((0.1, 0), (Math.Round(sound.KPerW, 9), Math.Round(sound.InterceptK, 9)));
        Assert.True(sound.ThroughZero);
        var off = RepeatedRuns.Fit([.. powers.Select(p => Run(p, 0.1 * p + 6))]).Sweep!;
        Assert.Equal((0.1, 6), (Math.Round(off.KPerW, 9), Math.Round(off.InterceptK, 9)));
        Assert.False(off.ThroughZero);
        Assert.Contains("does not pass 0", off.Text, StringComparison.Ordinal);
        Assert.Null(RepeatedRuns.Fit([Run(200, 20), Run(205, 20), Run(210, 21)]).Sweep);
    }

    [Fact]
    public void Another_day_another_flow_and_a_reading_from_before_are_no_repeat()
    {
        Assert.Null(RepeatedRuns.Fit([Run(200, 20, day: 1), Run(200, 20, day: 2)]).Spread);
        Assert.Null(RepeatedRuns.Fit([Run(200, 20, flow: 1), Run(200, 20)]).Spread);
        Assert.Null(RepeatedRuns.Fit([Run(200, 20) with { Phase = Phase.Before }, Run(200, 20)]).Spread);
    }
}
