using FaithfulBracket.Core.Prove;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Readings: what can be read, which two may be compared, and what the comparison is called.</summary>
public class ReadingTests
{
    private static Reading Read(
        Phase phase,
        double die,
        double room = 20,
        double power = 200,
        double? coolant = null,
        double? flow = null
    ) => new(phase, room, coolant, die, null, null, power, flow, null);

    private static Reading Before(double die = 80, double room = 20, double power = 200) =>
        Read(Phase.Before, die, room, power);

    private static Reading After(
        double die = 50,
        double room = 20,
        double power = 200,
        double? coolant = null,
        double? flow = null
    ) => Read(Phase.After, die, room, power, coolant, flow);

    public static TheoryData<string, Reading> Impossible() =>
        new()
        {
            { "roomC", Before() with { RoomC = -21, DieC = 60 } },
            { "roomC", Before() with { RoomC = 61 } },
            { "coolantC", After() with { CoolantC = 101 } },
            { "coolantC", After() with { CoolantC = -21 } },
            { "dieC", Before() with { DieC = 151 } },
            { "hotspotC", Before() with { HotspotC = 151 } },
            { "memoryC", Before() with { MemoryC = -20.5 } },
            { "powerStageC", Before() with { PowerStageC = 171 } },
            { "powerW", Before() with { PowerW = 0.5 } },
            { "powerW", Before() with { PowerW = 3001 } },
            { "powerW", Before() with { PowerW = double.NaN } },
            { "flowLMin", After() with { FlowLMin = 0 } },
            { "flowLMin", After() with { FlowLMin = 101 } },
            { "dieC", Before() with { DieC = 20 } },
            { "note", Before() with { Note = new('x', 501) } },
        };

    [Theory]
    [MemberData(nameof(Impossible))]
    public void A_reading_that_can_not_be_is_refused_at_its_field(string field, Reading reading) =>
        Assert.Equal(field, Assert.Single(ReadingRules.Check(reading)).Field);

    [Fact]
    public void Readings_at_the_bounds_can_be()
    {
        var cold = new Reading(Phase.After, -20, -20, -19.9, -20, -20, 1, 0.01, new('x', 500)) { PowerStageC = -20 };
        var hot = new Reading(Phase.After, 60, 100, 150, 150, 150, 3000, 100, null) { PowerStageC = 170 };
        Assert.Empty(ReadingRules.Check(cold));
        Assert.Empty(ReadingRules.Check(hot));
    }

    [Fact]
    public void Before_a_block_is_on_only_the_stock_cooler_is_told()
    {
        Assert.Equal(("no readings yet", false), Judged());
        Assert.Equal(("before: 60 K over room", false), Judged(Before()));
        Assert.Equal(("after: 30 K over room", false), Judged(After()));
    }

    private static (string, bool) Judged(params Reading[] readings) =>
        Comparison.Create(readings) is var c ? (c.Verdict, c.Trouble) : default;

    [Fact]
    public void Cooler_than_stock_is_told_and_warmer_is_trouble_beyond_what_sensors_tell()
    {
        Assert.Equal(("30 K cooler", false), Judged(Before(), After()));
        Assert.Equal(("15 K warmer than stock", true), Judged(Before(), After(95)));
        // 2 K warmer is within the sensors' own
        Assert.False(Judged(Before(), After(82)).Item2);
        // the last of several counts
        Assert.Equal(("30 K cooler", false), Judged(Before(99), Before(), After(90), After()));
    }

    [Fact]
    public void Die_to_coolant_is_over_the_mean_of_the_coolant_where_its_flow_is_known()
    {
        var known = Comparison.Create([After(50, coolant: 30, flow: 3)]);
        // 20 K over the inlet at 200 W, and half the rise of 200 W in 3 L/min off
        Assert.Equal((20 - known.CoolantRiseK!.Value / 2) / 200, known.AfterToCoolant!.Value.KPerW, 12);
        Assert.InRange(known.CoolantRiseK.Value, 0.9, 1.0);
        var inlet = Comparison.Create([After(50, coolant: 30)]);
        Assert.Equal(0.1, inlet.AfterToCoolant!.Value.KPerW, 12);
        Assert.Null(inlet.CoolantRiseK);
        Assert.Null(inlet.ExpectedToCoolantKPerW);
        Assert.Null(Comparison.Create([After()]).AfterToCoolant);
    }

    [Theory]
    [InlineData(120, 20, null)]
    [InlineData(119, 20, "unlike loads")]
    [InlineData(281, 20, "unlike loads")]
    [InlineData(200, 35, null)]
    [InlineData(200, 36, "too far apart")]
    [InlineData(200, 4, "too far apart")]
    public void Unlike_loads_and_rooms_are_not_compared(double power, double room, string? says)
    {
        var c = Comparison.Create([Before(), After(60, room, power)]);
        Assert.Equal(says is null, c.GainK is not null);
        if (says is not null)
            Assert.Contains(c.Why, w => w.ToString().Contains(says, StringComparison.Ordinal));
    }

    [Theory]
    [InlineData(49, true)]
    [InlineData(51, false)]
    public void Loops_whose_inlets_stand_otherwise_over_their_rooms_are_unlike(double inlet, bool alike)
    {
        SteadyReading At(double coolant) => new(70, 20, coolant, 3, 200, new());
        var told = BeforeAfter.Compute(At(30), At(inlet));
        Assert.Equal(alike, told.Comparable);
        Assert.Equal(alike, told.GainK is not null);
    }

    [Fact]
    public void Another_power_is_brought_to_the_power_of_before()
    {
        // 60 K at 200 W, and 33 K at 220 W, which is 30 K at 200 W
        var told = BeforeAfter.Compute(new(80, 20, null, null, 200, new()), new(53, 20, null, null, 220, new()));
        Assert.Equal(30, told.GainK!.Value, 9);
        Assert.Contains("both are given at 200 W", Assert.Single(told.Reasons), StringComparison.Ordinal);
        // within 5 % nothing is said of it
        Assert.Empty(
            BeforeAfter.Compute(new(80, 20, null, null, 200, new()), new(53, 20, null, null, 210, new())).Reasons
        );
        // √(σ² + (200/220·σ)² + (33·200/220·√2·0.03)²), σ² = 1 + 0.09
        var expected = Math.Sqrt(1.09 + 1.09 / 1.21 + 2 * Math.Pow(30 * 0.03, 2));
        Assert.Equal(expected, told.GainPlusMinusK!.Value, 9);
    }

    [Fact]
    public void What_sensors_can_not_tell_is_said()
    {
        var told = BeforeAfter.Compute(new(60, 20, null, null, 200, new()), new(59, 20, null, null, 200, new()));
        Assert.Equal("The difference is within what the sensors can tell.", Assert.Single(told.Reasons));
        Assert.Equal("Nothing was read yet.", Assert.Single(BeforeAfter.Compute(null, null).Reasons));
        Assert.Contains(
            "from before",
            Assert.Single(BeforeAfter.Compute(null, new(59, 20, null, null, 200, new())).Reasons)
        );
        Assert.Contains(
            "afterwards",
            Assert.Single(BeforeAfter.Compute(new(59, 20, null, null, 200, new()), null).Reasons)
        );
        // without an after the rise is that of before
        Assert.NotNull(BeforeAfter.Compute(new(59, 20, 30, 3, 200, new()), null).CoolantRiseK);
        Assert.Null(BeforeAfter.Compute(new(59, 20, 30, 0, 200, new()), null).CoolantRiseK);
    }

    private static Reading Run(double power, double die, double flow = 3, int day = 1, Phase phase = Phase.After) =>
        Read(phase, die, 20, power, 30, flow) with
        {
            On = new(2026, 3, day),
        };

    [Fact]
    public void Alike_runs_of_a_day_say_how_far_they_repeat()
    {
        // 100, 102 and 98 K/kW over the inlet
        var spread = RepeatedRuns.Fit([Run(200, 50), Run(200, 50.4), Run(200, 49.6)]).Spread!;
        Assert.Equal((3, true), (spread.Runs, spread.Repeatable));
        Assert.Equal(0.1, spread.MeanKPerW, 12);
        Assert.Equal(0.002, spread.SpreadKPerW, 12);
        Assert.Equal("3 alike runs: 100 K/kW, ± 2.0 between them, ± 6.0 by the sensors of one.", spread.Text);
        var wide = RepeatedRuns.Fit([Run(200, 45), Run(200, 50), Run(200, 55)]).Spread!;
        Assert.False(wide.Repeatable);
        Assert.EndsWith("load, pump or room moved.", wide.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void Runs_of_another_day_flow_or_power_are_not_alike()
    {
        Assert.Null(RepeatedRuns.Fit([Run(200, 50)]).Spread);
        Assert.Null(RepeatedRuns.Fit([Run(200, 50, day: 2), Run(200, 50)]).Spread);
        Assert.Null(RepeatedRuns.Fit([Run(200, 50, flow: 2.8), Run(200, 50)]).Spread);
        Assert.Null(RepeatedRuns.Fit([Run(187, 50), Run(200, 50)]).Spread);
        Assert.Null(RepeatedRuns.Fit([Run(200, 50, phase: Phase.Before), Run(200, 50)]).Spread);
        Assert.Equal(2, RepeatedRuns.Fit([Run(189, 50, flow: 2.83), Run(200, 50)]).Spread!.Runs);
    }

    [Fact]
    public void A_sweep_over_power_is_a_line_through_nothing_or_a_sensor_is_off()
    {
        var straight = RepeatedRuns.Fit([Run(100, 40), Run(200, 50), Run(300, 60)]).Sweep!;
        Assert.Equal(0.1, straight.KPerW, 12);
        Assert.Equal(0, straight.InterceptK, 9);
        Assert.True(straight.ThroughZero);
        // one sensor 6 K off leaves the slope and lifts the line
        var off = RepeatedRuns.Fit([Run(100, 46), Run(200, 56), Run(300, 66)]).Sweep!;
        Assert.Equal(0.1, off.KPerW, 12);
        Assert.Equal(6, off.InterceptK, 9);
        Assert.False(off.ThroughZero);
        // 1.96·√(1 + 0.09 + (0.03·200·0.1)²)/√20000
        Assert.Equal(1.96 * Math.Sqrt(1.09 + 0.36) / Math.Sqrt(20_000), off.PlusMinus, 9);
        Assert.Equal(1.96 * Math.Sqrt(1.09 + 0.36) * Math.Sqrt(1.0 / 3 + 2), off.InterceptPlusMinusK, 9);
        // powers too near each other, or too few, tell no line
        Assert.Null(RepeatedRuns.Fit([Run(200, 50), Run(220, 52), Run(255, 55)]).Sweep);
        Assert.NotNull(RepeatedRuns.Fit([Run(200, 50), Run(220, 52), Run(260, 56)]).Sweep);
        Assert.Null(RepeatedRuns.Fit([Run(100, 40), Run(300, 60)]).Sweep);
    }
}
