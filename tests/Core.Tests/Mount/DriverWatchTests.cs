using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Instruments;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class DriverWatchTests
{
    private static readonly TurnTarget Target = new(180, 0.1, 0.4);

    private static TurnState Ends(TurnManner manner, TurnTarget? target = null)
    {
        var samples = SimulatedTorqueDriver.Samples(target ?? Target, manner).ToList();
        return DriverWatch.Judge(target ?? Target, samples).State;
    }

    [Theory]
    [InlineData(TurnManner.Right, TurnState.Met)]
    [InlineData(TurnManner.Overshoot, TurnState.Overshoot)]
    [InlineData(TurnManner.CrossThread, TurnState.CrossThread)]
    [InlineData(TurnManner.Skipped, TurnState.Skipped)]
    public void Each_manner_of_turning_is_told(TurnManner manner, TurnState state)
    {
        Assert.Equal(state, Ends(manner));
        // the first pass meets hardly any load: the angle alone decides
        if (manner is TurnManner.Right or TurnManner.CrossThread)
            Assert.Equal(state, Ends(manner, new(90, 0, 0.02)));
    }

    [Fact]
    public void A_crossed_thread_is_told_before_the_turn_is_half_done()
    {
        var samples = new List<DriverSample>();
        foreach (var s in SimulatedTorqueDriver.Samples(Target, TurnManner.CrossThread))
        {
            samples.Add(s);
            if (DriverWatch.Judge(Target, samples).State == TurnState.CrossThread)
                break;
        }
        Assert.True(samples[^1].AngleDeg < 90, $"told at {samples[^1].AngleDeg}°");
    }

    [Fact]
    public void A_turn_that_is_under_way_says_how_far_it_has_to_go_and_never_jumps_to_a_fault()
    {
        var samples = new List<DriverSample>();
        foreach (var s in SimulatedTorqueDriver.Samples(Target, TurnManner.Right))
        {
            samples.Add(s);
            Assert.Contains(DriverWatch.Judge(Target, samples).State, new[] { TurnState.Turning, TurnState.Met });
        }
        Assert.Contains("90° to go", DriverWatch.Judge(Target, [new(90, 0.2, false)]).Say, StringComparison.Ordinal);
    }

    [Fact]
    public void The_rest_of_the_turn_before_begins_no_new_one()
    {
        var turn = SimulatedTorqueDriver.Samples(Target, TurnManner.Right).ToList();
        Assert.True(DriverWatch.BeginsTurn(Target, turn[0]));
        Assert.All(
            turn.Where(s => s.AngleDeg > 0.9 * Target.AngleDeg),
            s => Assert.False(DriverWatch.BeginsTurn(Target, s))
        );
        Assert.True(DriverWatch.BeginsTurn(Target, SimulatedTorqueDriver.Samples(Target, TurnManner.Skipped).Single()));
    }

    [Fact]
    public void A_screw_that_spins_without_load_is_told() =>
        Assert.Equal(TurnState.Free, DriverWatch.Judge(Target, [new(90, 0.02, false), new(180, 0.03, true)]).State);

    private static TurnVerdict Judge(TurnTarget target, params (double Deg, double Nm)[] samples) =>
        DriverWatch.Judge(
            target,
            [.. samples.Select((s, i) => new DriverSample(s.Deg, s.Nm, i == samples.Length - 1))]
        );

    [Theory]
    [InlineData(54, true)]
    [InlineData(54.1, false)]
    public void A_turn_begins_within_three_tenths_of_its_angle(double deg, bool begins) =>
        Assert.Equal(begins, DriverWatch.BeginsTurn(Target, new(deg, 0, false)));

    [Theory]
    // a quarter over the due torque before half the angle is a crossed thread, after it a turn too far
    [InlineData(89, 0.51, TurnState.CrossThread)]
    [InlineData(90, 0.51, TurnState.Overshoot)]
    [InlineData(89, 0.5, TurnState.Turning)]
    [InlineData(225, 0.4, TurnState.Met)]
    [InlineData(226, 0.4, TurnState.Overshoot)]
    [InlineData(180, 0.5, TurnState.Met)]
    // a twelfth short is there
    [InlineData(165.7, 0.4, TurnState.Met)]
    [InlineData(165.5, 0.4, TurnState.Turning)]
    // less than three tenths of the torque holds nothing
    [InlineData(180, 0.12, TurnState.Met)]
    [InlineData(180, 0.119, TurnState.Free)]
    [InlineData(27, 0.1, TurnState.Turning)]
    [InlineData(26.9, 0.1, TurnState.Skipped)]
    public void The_bounds_are_these(double deg, double nm, TurnState state) =>
        Assert.Equal(state, Judge(Target, (deg, nm)).State);

    [Theory]
    [InlineData(10, 0.02, TurnState.Skipped)]
    [InlineData(10, 0.021, TurnState.CrossThread)]
    [InlineData(90, 0.021, TurnState.Overshoot)]
    [InlineData(90, 0, TurnState.Met)]
    public void Where_hardly_any_torque_is_due_a_hands_noise_is_none(double deg, double nm, TurnState state) =>
        Assert.Equal(state, Judge(new(90, 0, TurnTarget.MinTorqueNm), (deg, nm)).State);

    [Fact]
    public void A_stated_limit_goes_before_the_quarter()
    {
        Assert.Equal(TurnState.Met, Judge(Target with { LimitNm = 1 }, (180, 0.9)).State);
        Assert.Equal(TurnState.Overshoot, Judge(Target with { LimitNm = 0.45 }, (180, 0.46)).State);
    }

    [Fact]
    public void What_is_said_carries_its_figures()
    {
        Assert.Equal(
            "Too far: 230° and 40.0 N·cm, 180° and 40.0 N·cm were due. Turn back 50° before the next screw.",
            Judge(Target, (230, 0.4)).Say
        );
        Assert.StartsWith("Stop: 60.0 N·cm after 40° of 180°.", Judge(Target, (40, 0.6)).Say, StringComparison.Ordinal);
        Assert.StartsWith(
            "It turns without load: 5.0 N·cm, 40.0 expected.",
            Judge(Target, (180, 0.05)).Say,
            StringComparison.Ordinal
        );
        Assert.Equal("180° and 40.0 N·cm: met.", Judge(Target, (180, 0.4)).Say);
        Assert.Equal("100° of 180°: go on.", Judge(Target, (100, 0.2)).Say);
        Assert.Equal("There. Let go.", DriverWatch.Judge(Target, [new(180, 0.4, false)]).Say);
        // the furthest and the hardest of all samples count
        var told = Judge(Target, (100, 0.3), (90, 0.1));
        Assert.Equal((100, 0.3), (told.AngleDeg, told.TorqueNm));
        Assert.Equal(100.0 / 180, told.Share, 12);
    }

    [Fact]
    public void Before_the_first_sample_all_is_to_go_and_no_angle_is_met_at_once()
    {
        var none = DriverWatch.Judge(Target, []);
        Assert.Equal((TurnState.Turning, "180° to go."), (none.State, none.Say));
        Assert.Equal(1, DriverWatch.Judge(new(0, 0, 0), []).Share);
    }

    [Fact]
    public async Task A_caliper_reads_to_its_step_about_the_truth()
    {
        var caliper = new SimulatedCaliper(5);
        using var stop = new CancellationTokenSource();
        var arrived = new List<double>();
        var listening = Task.Run(async () =>
        {
            await foreach (var r in caliper.Readings(stop.Token))
            {
                arrived.Add(r.Mm);
                if (arrived.Count == 200)
                    return;
            }
        });
        // a listener counts from when it listens
        while (!listening.IsCompleted)
        {
            caliper.Press(1.2);
            await Task.Yield();
        }
        await listening;
        Assert.All(arrived, mm => Assert.Equal(Math.Round(mm * 100), mm * 100, 6));
        Assert.InRange(arrived.Average(), 1.2 - 0.004, 1.2 + 0.004);
    }
}
