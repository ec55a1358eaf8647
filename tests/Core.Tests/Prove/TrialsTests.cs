using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Prove;
using MathNet.Numerics.Distributions;
using MathNet.Numerics.LinearAlgebra;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Series of runs as one fit, against least squares by matrices, and intervals that hold.</summary>
public class TrialsTests
{
    private static TrialRun Run(Phase phase, double order, double dieC, double powerW = 200) =>
        new(phase, order, dieC, 30, 22, null, powerW);

    private static TrialRun[] Series(params (Phase Phase, double DieC)[] runs) =>
        [.. runs.Select((r, i) => Run(r.Phase, i, r.DieC))];

    /// <summary>The same by normal equations: columns before, after and, where asked, order.</summary>
    private static (double Gain, double Half, double Drift) Matrices(
        IReadOnlyList<TrialRun> runs,
        double powerW,
        bool drift
    )
    {
        var x = Columns(runs, drift);
        var y = Vector<double>.Build.Dense([.. runs.Select(r => (r.DieC - r.CoolantInC!.Value) / r.PowerW)]);
        var b = (x.Transpose() * x).Inverse() * x.Transpose() * y;
        var s = (y - x * b).L2Norm() / Math.Sqrt(runs.Count - x.ColumnCount);
        return ((b[0] - b[1]) * powerW, (drift ? Width(runs) : 0) * s * powerW, drift ? b[2] * powerW : 0);
    }

    private static Matrix<double> Columns(IReadOnlyList<TrialRun> runs, bool drift) =>
        Matrix<double>.Build.Dense(
            runs.Count,
            drift ? 3 : 2,
            (i, j) =>
                j == 2 ? runs[i].Order
                : (runs[i].Phase == Phase.Before) == (j == 0) ? 1
                : 0
        );

    /// <summary>Half of the gain's interval for a residual deviation of 1.</summary>
    private static double Width(IReadOnlyList<TrialRun> runs)
    {
        var x = Columns(runs, true);
        var c = Vector<double>.Build.Dense([1, -1, 0]);
        return StudentT.InvCDF(0, 1, runs.Count - 3, 0.975) * Math.Sqrt(c * (x.Transpose() * x).Inverse() * c);
    }

    [Fact]
    public void It_is_least_squares_as_matrices_do_it()
    {
        var random = new Random(6);
        for (var i = 0; i < 300; i++)
        {
            var n = random.Next(4, 12);
            List<TrialRun> runs =
            [
                .. Enumerable
                    .Range(0, n)
                    .Select(k =>
                        Run(
                            k == 0 || k != 1 && random.NextDouble() < 0.5 ? Phase.Before : Phase.After,
                            k + random.NextDouble(),
                            60 + 20 * random.NextDouble(),
                            150 + 100 * random.NextDouble()
                        )
                    ),
            ];
            var told = Trials.Compute(runs, 220);
            var (gain, half, drift) = Matrices(runs, 220, true);
            Assert.Equal(gain, told.GainK, 9);
            Assert.Equal(gain - half, told.LowK, 7);
            Assert.Equal(drift, told.DriftKPerRun, 9);
            // one run more of either phase, after all others
            double With(Phase phase) => Width([.. runs, Run(phase, runs.Max(r => r.Order) + 1, 60)]);
            var (before, after) = (With(Phase.Before), With(Phase.After));
            if (Math.Abs(before - after) > 1e-9)
                Assert.Equal(before < after ? Phase.Before : Phase.After, told.Next);
        }
    }

    [Fact]
    public void Few_runs_or_one_order_in_each_phase_tell_no_drift()
    {
        var three = Trials.Compute(Series((Phase.Before, 80), (Phase.Before, 81), (Phase.After, 60)), 200);
        Assert.Equal((0, 0, 0), (three.DriftKPerRun, three.DriftLowK, three.DriftHighK));
        Assert.Equal(20.5, three.GainK, 9);
        TrialRun[] blocks =
        [
            Run(Phase.Before, 0, 80),
            Run(Phase.Before, 0, 81),
            Run(Phase.After, 1, 60),
            Run(Phase.After, 1, 62),
        ];
        Assert.Equal(Matrices(blocks, 200, false).Gain, Trials.Compute(blocks, 200).GainK, 9);
        Assert.Equal(0, Trials.Compute(blocks, 200).DriftKPerRun);
    }

    [Fact]
    public void One_run_each_goes_by_the_stated_error_and_of_equals_the_next_is_before()
    {
        var two = Trials.Compute(Series((Phase.Before, 80), (Phase.After, 60)), 100);
        // 20 K at 200 W are 10 K at 100 W
        Assert.Equal(10, two.GainK, 9);
        Assert.Equal(1.959963985 * 1.04 * Math.Sqrt(2) / 2, two.HighK - two.GainK, 6);
        Assert.Equal((TrialReference.Inlet, Phase.Before), (two.Reference, two.Next));
        Assert.Null(two.RunsNeeded);
    }

    [Fact]
    public void Runs_needed_are_enough_and_one_less_is_not()
    {
        var runs = Series((Phase.Before, 80), (Phase.After, 60.5), (Phase.Before, 80.9), (Phase.After, 59.9)).ToList();
        var told = Trials.Compute(runs, 200);
        Assert.Equal(0, Trials.Compute(runs, 200, (told.HighK - told.LowK) / 2 * 1.0001).RunsNeeded);
        var needed = Trials.Compute(runs, 200, 0.8).RunsNeeded!.Value;
        Assert.InRange(needed, 1, 40);
        Assert.True(Trials.Compute(runs, 200, 0.4).RunsNeeded > needed);
        Assert.Null(Trials.Compute(runs, 200, 1e-3).RunsNeeded);
    }

    [Fact]
    public void The_most_exact_reference_that_all_runs_have_is_taken()
    {
        TrialRun[] wet =
        [
            Run(Phase.Before, 0, 80) with
            {
                FlowLMin = 3,
            },
            Run(Phase.After, 1, 60) with
            {
                FlowLMin = 3,
            },
        ];
        Assert.Equal(TrialReference.CoolantMean, Trials.Compute(wet, 200).Reference);
        TrialRun[] mixed = [Run(Phase.Before, 0, 80) with { CoolantInC = null }, wet[1]];
        Assert.Equal(TrialReference.Room, Trials.Compute(mixed, 200).Reference);
        var none = mixed.Select(r => r with { RoomC = null }).ToArray();
        Assert.Throws<InputException>(() => Trials.Compute(none, 200));
        Assert.Throws<InputException>(() => Trials.Compute([wet[0]], 200));
    }

    [Fact]
    public void Stated_intervals_hold_over_drifting_series()
    {
        var random = new Random(30);
        double Normal() =>
            Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        var held = 0;
        for (var i = 0; i < 2_000; i++)
        {
            var drift = random.NextDouble() - 0.5;
            var n = random.Next(4, 9);
            TrialRun[] runs =
            [
                .. Enumerable
                    .Range(0, n)
                    .Select(k =>
                        Run(k % 2 == 0 ? Phase.Before : Phase.After, k, (k % 2 == 0 ? 80 : 65) + drift * k + Normal())
                    ),
            ];
            var told = Trials.Compute(runs, 200);
            held += told.LowK <= 15 && 15 <= told.HighK ? 1 : 0;
        }
        Assert.InRange(held / 2000.0, 0.93, 0.97);
    }

    /// <summary>
    /// As many further runs as are asked for, in the order in which they are asked for, and the truth lies within what was wanted. Two
    /// runs of each leave one degree of freedom: alone they hold in 87 of 100, since the spread they show is kept as it is.
    /// </summary>
    [Fact]
    public void As_many_runs_as_are_needed_tell_the_gain_as_closely_as_was_wanted()
    {
        var draws = new NormalDraws(31);
        int held = 0,
            asked = 0;
        for (var i = 0; i < 2_000; i++)
        {
            var drift = draws.Uniform() - 0.5;
            var wanted = 0.8 + 0.7 * draws.Uniform();
            var runs = new List<TrialRun>();
            void Add(Phase phase) =>
                runs.Add(Run(phase, runs.Count, (phase == Phase.Before ? 80 : 65) + drift * runs.Count + draws.Next()));
            for (var k = 0; k < 4 + i % 9; k++)
                Add(k % 2 == 0 ? Phase.Before : Phase.After);
            var told = Trials.Compute(runs, 200, wanted);
            if (told.RunsNeeded is not { } needed)
                continue;
            asked++;
            var next = told.Next;
            for (var k = 0; k < needed; k++)
            {
                Add(next);
                next = next == Phase.Before ? Phase.After : Phase.Before;
            }
            held += Math.Abs(Trials.Compute(runs, 200).GainK - 15) <= wanted ? 1 : 0;
        }
        Assert.True(asked > 1_900);
        Assert.True(held >= 0.9 * asked, $"{held} of {asked}");
    }
}
