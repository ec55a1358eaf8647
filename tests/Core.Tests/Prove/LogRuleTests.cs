using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Prove.Logs;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What a log's rules let pass by a second, a kelvin or a share.</summary>
public class LogRuleTests
{
    private static BenchLog Steady(
        int n,
        double everyS = 1,
        Func<int, double>? die = null,
        Func<int, double>? clock = null,
        Func<int, double>? hotspot = null,
        double[]? times = null
    )
    {
        times ??= [.. Enumerable.Range(0, n).Select(i => i * everyS)];
        var series = new List<LogSeries>
        {
            new(Channel.Die, [.. times.Select((_, i) => die?.Invoke(i) ?? 60)]),
            new(Channel.Clock, [.. times.Select((_, i) => clock?.Invoke(i) ?? 2000)]),
        };
        if (hotspot is not null)
            series.Add(new(Channel.Hotspot, [.. times.Select((_, i) => hotspot(i))]));
        return new(times, series);
    }

    [Theory]
    // from 100 on, so many samples a second apart at 80 %
    [InlineData(3, false)]
    [InlineData(4, true)]
    public void A_dip_of_three_seconds_is_throttling(int samples, bool told) =>
        Assert.Equal(
            told,
            LogReading.Judge(Steady(300, clock: i => i >= 100 && i < 100 + samples ? 1600 : 2000), 61).Throttled.Count
                == 1
        );

    [Theory]
    [InlineData(1890, 62, true)]
    [InlineData(1910, 62, false)]
    [InlineData(1600, 62, true)]
    [InlineData(1600, 62.1, false)]
    public void A_clock_under_95_percent_within_two_kelvin_of_the_limit_is_throttled(
        double mhz,
        double limit,
        bool told
    )
    {
        var spans = LogReading.Judge(Steady(300, clock: i => i is >= 100 and < 120 ? mhz : 2000), limit).Throttled;
        Assert.Equal(told, spans.Count == 1);
        if (told)
            Assert.Equal(new Throttled(100, 119, mhz / 2000), spans[0]);
    }

    [Fact]
    public void A_dip_goes_on_through_a_sample_without_a_clock_and_to_the_logs_end()
    {
        double Clock(int i) =>
            i == 105 ? double.NaN
            : i is >= 100 and < 120 or >= 290 ? 1600
            : 2000;
        var verdict = LogReading.Judge(Steady(300, clock: Clock), 61);
        Assert.Equal([new(100, 119, 0.8), new Throttled(290, 299, 0.8)], verdict.Throttled);
        Assert.Contains("Throttled for 28 s, down to 80 % of its clock", verdict.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void The_hotspot_tells_of_the_limit_where_it_is_logged()
    {
        double Clock(int i) => i is >= 100 and < 120 ? 1600 : 2000;
        Assert.Empty(LogReading.Judge(Steady(300, clock: Clock), 90).Throttled);
        Assert.Single(LogReading.Judge(Steady(300, clock: Clock, hotspot: _ => 89), 90).Throttled);
        Assert.Empty(LogReading.Judge(Steady(300, clock: _ => double.NaN), 60).Throttled);
    }

    [Theory]
    // five usual intervals, and three seconds at least
    [InlineData(0.5, 3.0, false)]
    [InlineData(0.5, 3.1, true)]
    [InlineData(2, 10.0, false)]
    [InlineData(2, 10.1, true)]
    public void A_pause_of_five_intervals_and_three_seconds_is_a_gap(double every, double pause, bool told)
    {
        double[] times = [.. Enumerable.Range(0, 200).Select(i => i * every + (i >= 100 ? pause - every : 0))];
        var verdict = LogReading.Judge(Steady(0, times: times), null);
        Assert.Equal(told, verdict.Gaps.Count == 1);
        if (!told)
            return;
        Assert.Equal(times[99], verdict.Gaps[0].FromS);
        Assert.Equal(times[100], verdict.Gaps[0].ToS);
        Assert.Contains(
            FormattableString.Invariant($"1 gap, {pause:0} s without samples."),
            verdict.Text,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Two_samples_have_no_usual_interval_and_three_have() =>
        Assert.Equal(
            (0, 1),
            (
                LogReading.Judge(Steady(0, times: [0, 100]), null).Gaps.Count,
                LogReading.Judge(Steady(0, times: [0, 1, 2, 100]), null).Gaps.Count
            )
        );

    [Fact]
    public void Means_are_of_the_steady_part_and_leave_out_what_is_missing()
    {
        // 30 K fall with 40 s: within half a kelvin after 40·ln 60 = 164 s
        var verdict = LogReading.Judge(
            Steady(
                600,
                die: i => i == 300 ? double.NaN : 60 - 30 * Math.Exp(-i / 40.0),
                clock: i => i % 2 == 0 ? 1990 : 2010
            ),
            null
        );
        Assert.Equal(40 * Math.Log(60), verdict.SteadyFromS!.Value, 2.0);
        var clock = verdict.Means.Single(m => m.Channel == Channel.Clock);
        Assert.Equal((2000, 10), (Math.Round(clock.Mean), Math.Round(clock.Spread)));
        Assert.Equal(("clock", "MHz"), (clock.Name, clock.Unit));
        Assert.Equal(60, verdict.Means.Single(m => m.Channel == Channel.Die).Mean, 0.1);
        Assert.Equal(599, verdict.DurationS);
        Assert.Equal("Steady: die 60.0 ± 0.1 °C.", verdict.Text);
    }

    [Fact]
    public void A_mean_needs_a_quarter_of_its_stretch()
    {
        // settled to within half a kelvin only at the end: what counts begins at three quarters
        var verdict = LogReading.Judge(Steady(200, die: i => 60 - 30 * Math.Exp(-i / 48.0)), null);
        Assert.True(verdict.Steady!.Settled);
        Assert.Equal(0.75 * 199, verdict.SteadyFromS!.Value, 1.0);
    }

    [Fact]
    public void A_log_without_a_die_or_too_short_tells_nothing()
    {
        Assert.Equal("Too short to tell anything.", LogReading.Judge(Steady(3), null).Text);
        Assert.Equal("Too short to tell anything.", LogReading.Judge(Steady(100, die: _ => double.NaN), null).Text);
        var blind = new BenchLog([0, 1, 2, 3, 4], [new(Channel.Clock, [1, 1, 1, 1, 1])]);
        Assert.Null(LogReading.Judge(blind, 90).Steady);
        Assert.Empty(LogReading.Judge(blind, 90).Means);
    }

    [Fact]
    public void How_long_to_wait_is_told_in_fives_of_seconds_then_in_minutes()
    {
        string Wait(double tau, int n) =>
            LogReading.Judge(Steady(n, die: i => 60 - 30 * Math.Exp(-i / tau)), null).Text;
        // 40·ln(30·e^(−120/40)/0.5) = 43.8 s and the second that is looked at
        Assert.Equal("Wait 45 s more.", Wait(40, 121));
        // 200·ln(30·e^(−300/200)/0.5) = 519 s
        Assert.Equal("Wait 9 min more.", Wait(200, 301));
        var drifting = LogReading.Judge(Steady(400, die: i => 40 + 0.01 * i + (i % 2 == 0 ? 0.3 : -0.3)), null).Text;
        Assert.Equal("Not settling: something still changes. Look at pump, fans and load.", drifting);
    }

    [Fact]
    public void Changes_of_load_are_counted()
    {
        var once = LogReading.Judge(Steady(600, die: i => i < 300 ? 50 : 60), null);
        Assert.Contains("changed 1 time: only the last stretch counts.", once.Text, StringComparison.Ordinal);
        var twice = LogReading.Judge(
            Steady(
                900,
                die: i =>
                    i < 300 ? 50
                    : i < 600 ? 60
                    : 45
            ),
            null
        );
        Assert.Contains("changed 2 times: only", twice.Text, StringComparison.Ordinal);
        Assert.Equal(45, twice.Means.Single(m => m.Channel == Channel.Die).Mean, 0.1);
    }

    [Fact]
    public void Thinned_each_stretch_keeps_its_least_and_greatest_in_their_order()
    {
        var log = new BenchLog(
            [0, 1, 2, 3, 4, 5, 6, 7],
            [
                new(Channel.Die, [5, 9, 1, 3, double.NaN, 2, 8, 8]),
                new(Channel.Room, [.. Enumerable.Repeat(double.NaN, 8)]),
            ]
        );
        var thin = LogThinning.Thin(log, 4);
        Assert.Equal([0, 1.5, 4, 5.5], thin.TimesS);
        Assert.Equal([9, 1, 2, 8], thin.Series[0].Values);
        Assert.All(thin.Series[1].Values, v => Assert.True(double.IsNaN(v)));
        Assert.Same(log, LogThinning.Thin(log, 8));
        Assert.NotSame(log, LogThinning.Thin(log, 7));
        Assert.Equal(2, LogThinning.Thin(log, 1).TimesS.Count);
    }

    [Fact]
    public void Channels_have_their_names_and_units()
    {
        Assert.Equal(
            ["die", "hotspot", "memory", "power stages", "coolant in", "coolant out", "room", "flow", "power", "clock"],
            Enum.GetValues<Channel>().Select(c => c.Name())
        );
        Assert.Equal(
            ["L/min", "W", "MHz"],
            Enum.GetValues<Channel>().Where(c => !c.IsTemperature()).Select(c => c.Unit())
        );
        Assert.All(Enum.GetValues<Channel>().Where(c => c.IsTemperature()), c => Assert.Equal("°C", c.Unit()));
    }
}
