using FaithfulBracket.Core.Prove;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>A stated interval holds as often as it says, over a thousand seeded cases each.</summary>
public class IntervalTests
{
    private const int Cases = 1000;

    private static double Gauss(Random r) =>
        Math.Sqrt(-2 * Math.Log(1 - r.NextDouble())) * Math.Cos(2 * Math.PI * r.NextDouble());

    /// <summary>How many of the cases hold.</summary>
    private static int Held(Func<Random, bool> holds) =>
        Enumerable.Range(1, Cases).Count(seed => holds(new Random(seed)));

    [Fact]
    public void What_a_loop_loses_lies_in_its_95_per_cent_interval()
    {
        var held = Held(r =>
        {
            var leak = r.NextDouble() * 0.5;
            var perSecond = -leak * 101.325 / (250 * 60);
            PressureSample[] samples =
            [
                .. Enumerable
                    .Range(0, 120)
                    .Select(i => new PressureSample(i * 10, 50 + perSecond * i * 10 + 0.02 * Gauss(r), 22)),
            ];
            var told = LeakTest.Compute(250, 101.325, samples);
            return told.LowMlPerMin <= leak && leak <= told.HighMlPerMin;
        });
        Assert.InRange(held, 930, 970);
    }

    [Fact]
    public void Where_a_log_settles_lies_in_its_95_per_cent_interval()
    {
        var held = Held(r =>
        {
            var (end, tau) = (45 + 30 * r.NextDouble(), 30 + 60 * r.NextDouble());
            LogSample[] samples =
            [
                .. Enumerable
                    .Range(0, 300)
                    .Select(i => new LogSample(i * 2, end - 25 * Math.Exp(-i * 2 / tau) + 0.15 * Gauss(r))),
            ];
            var told = SteadyState.Compute(samples);
            return Math.Abs(told.SteadyC - end) <= told.PlusMinusC;
        });
        Assert.InRange(held, 930, 970);
    }

    [Fact]
    public void The_gain_lies_within_twice_its_standard_uncertainty_as_often_as_a_normal_error_does()
    {
        var sigma = new SensorSigma();
        var held = Held(r =>
        {
            double powerBefore = 180 + 120 * r.NextDouble(),
                powerAfter = powerBefore * (0.95 + 0.1 * r.NextDouble()),
                room = 20 + 4 * r.NextDouble(),
                before = 0.28,
                after = 0.1;
            SteadyReading Read(double kPerW, double watts) =>
                new(
                    room + kPerW * watts + sigma.DieC * Gauss(r),
                    room + sigma.RoomC * Gauss(r),
                    null,
                    null,
                    watts * (1 + sigma.PowerShare * Gauss(r)),
                    sigma
                );
            var told = BeforeAfter.Compute(Read(before, powerBefore), Read(after, powerAfter));
            return Math.Abs(told.GainK!.Value - (before - after) * powerBefore) <= 1.96 * told.GainPlusMinusK!.Value;
        });
        Assert.InRange(held, 930, 970);
    }

    [Fact]
    public void The_day_a_paste_is_due_lies_in_its_90_per_cent_interval()
    {
        var held = Held(r =>
        {
            double start = 0.09 + 0.02 * r.NextDouble(),
                slope = start * (0.15 + 0.1 * r.NextDouble()) / 400,
                due = 0.15 * start / slope;
            DriftPoint[] points =
            [
                .. Enumerable
                    .Range(0, 7)
                    .Select(i => new DriftPoint(i * 50, start + slope * i * 50 + 0.002 * Gauss(r), 0.002)),
            ];
            var told = Drift.Compute(points, capDays: 1e5);
            return told.DueLowDay <= due && due <= told.DueHighDay;
        });
        Assert.InRange(held, 880, 920);
    }
}
