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
