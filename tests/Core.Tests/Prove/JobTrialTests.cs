using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Prove;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>A job's runs before and after as one fit: which runs count, what is told, and what is still to be run.</summary>
public class JobTrialTests
{
    private static readonly DateOnly Day = new(2026, 3, 2);

    private static Reading Run(Phase phase, double die, int day = 0, double? coolant = null, double power = 240) =>
        new(phase, 21, coolant, die, null, null, power, coolant is null ? null : 3, null) { On = Day.AddDays(day) };

    private static JobTrial? Of(params Reading[] runs) => JobTrial.Compute(runs, [], "die");

    [Fact]
    public void Every_run_of_the_work_counts_and_none_of_a_later_year()
    {
        var trial = Of(
            Run(Phase.Before, 92),
            Run(Phase.Before, 91),
            Run(Phase.After, 46, 2),
            Run(Phase.After, 45, 2),
            Run(Phase.After, 60, 300)
        )!;
        Assert.Equal([71, 70, 25, 24], trial.Runs.Select(r => r.OverK));
        var own = Trials.Compute(
            [
                new(Phase.Before, 1, 92, null, 21, null, 240),
                new(Phase.Before, 2, 91, null, 21, null, 240),
                new(Phase.After, 3, 46, null, 21, null, 240),
                new(Phase.After, 4, 45, null, 21, null, 240),
            ],
            240
        );
        Assert.Equal((own.GainK, own.LowK, own.HighK), (trial.GainK, trial.LowK, trial.HighK));
        Assert.EndsWith(
            "measured over the room, from 2 runs before and 2 after.",
            trial.Sentence,
            StringComparison.Ordinal
        );
        // several runs are one fit, and the verdict is the fit's
        Assert.Equal(own.GainK, Comparison.Create([Run(Phase.Before, 92), Run(Phase.After, 46)], trial: trial).GainK);
        // a year later the gain is still the work's
        Assert.Equal(
            46,
            Comparison
                .Create(
                    [Run(Phase.Before, 92), Run(Phase.After, 46), Run(Phase.After, 60, 300)],
                    trial: Of(Run(Phase.Before, 92), Run(Phase.After, 46), Run(Phase.After, 60, 300))
                )
                .GainK!.Value,
            9
        );
        Assert.Null(Of(Run(Phase.Before, 92)));
        Assert.Null(Of(Run(Phase.Before, 92), Run(Phase.After, 46, power: 40)));
    }

    [Fact]
    public void What_is_expected_is_told_over_the_same_reference_at_the_same_power()
    {
        // 12 K over the inlet at 120 W are 24 at 240 W; the coolant stood 6 K over the room
        var sensor = new SensorProof(PartKind.Die, "die", "U1", 39, 2, 39, 1.5, SensorState.AsExpected, 1, null)
        {
            At = new(120, 27, 3),
        };
        var runs = new[]
        {
            Run(Phase.Before, 92),
            Run(Phase.After, 51, coolant: 27),
            Run(Phase.After, 39, coolant: 27, power: 120),
        };
        var expected = JobTrial.Compute(runs, [sensor], "die")!.Expected!;
        Assert.Equal(24 + (6 + 12) / 2.0, expected.OverK, 9);
        Assert.Equal(3, expected.PlusMinusK, 9);
    }

    [Fact]
    public void It_is_told_over_the_most_exact_reference_that_all_runs_have()
    {
        Assert.Equal(
            TrialReference.CoolantMean,
            Of(Run(Phase.Before, 60, coolant: 30), Run(Phase.After, 45, coolant: 28))!.Reference
        );
        Assert.Equal(TrialReference.Room, Of(Run(Phase.Before, 92), Run(Phase.After, 45, coolant: 28))!.Reference);
    }

    [Fact]
    public void More_runs_after_are_asked_for_until_the_gain_is_told_well_enough()
    {
        var one = Of(Run(Phase.Before, 92), Run(Phase.After, 46))!;
        Assert.Equal(0, one.MoreRuns);
        // runs before that are 8 K apart cannot be made up for after
        var wild = Of(Run(Phase.Before, 92), Run(Phase.Before, 84), Run(Phase.After, 46))!;
        Assert.True(wild.MoreRuns is null or > 0);
        Assert.True(wild.HighK - wild.LowK > one.HighK - one.LowK);
    }
}
