using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Prove.Faults;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Chances mean what they say on benches that the finder did not make, against all that could be known of them.</summary>
public class FaultCalibrationTests
{
    private const int Benches = 1000;

    [Fact]
    public void On_a_thousand_benches_of_another_kind_chances_hold_and_come_near_the_limit()
    {
        var lines = new List<(int Bench, double Told, double Limit, double Right)>();
        Parallel.For(
            0,
            Benches,
            i =>
            {
                var bench = MadeBench.Of(i + 1);
                var told = FaultFinder.Find(FaultTests.Whole, bench.Readings).Hypotheses;
                var limit = bench.Limit(told);
                lock (lines)
                    lines.AddRange(told.Select((h, k) => (i, h.Probability, limit[k], bench.Is(h) ? 1.0 : 0)));
            }
        );
        Assert.Equal(Benches, lines.Sum(l => l.Right));
        double Brier(Func<(int, double Told, double Limit, double Right), double> p) =>
            lines.Sum(l => Math.Pow(p(l) - l.Right, 2)) / Benches;
        double told = Brier(l => l.Told),
            limit = Brier(l => l.Limit);
        TestContext.Current.TestOutputHelper?.WriteLine(
            FormattableString.Invariant($"Brier {told:0.0000}, of the limit {limit:0.0000}")
        );
        Assert.InRange(told - limit, 0, 0.01);
        // what was drawn may stray by chance from what is likely: two standard errors
        foreach (var bin in lines.GroupBy(l => Math.Min(9, (int)(l.Told * 10))).OrderBy(b => b.Key))
        {
            var (said, could, right) = (bin.Average(l => l.Told), bin.Average(l => l.Limit), bin.Average(l => l.Right));
            TestContext.Current.TestOutputHelper?.WriteLine(
                FormattableString.Invariant(
                    $"{bin.Key / 10.0:0.0}: {bin.Count()} lines, said {said:0.000}, limit {could:0.000}, right {right:0.000}"
                )
            );
            var chance = 2 * Math.Sqrt(could * (1 - could) / bin.Count());
            Assert.Equal(could, said, 0.05);
            Assert.Equal(right, said, 0.05 + chance);
            Assert.Equal(right, could, 0.02 + chance);
        }
    }

    [Fact]
    public void The_reading_that_is_asked_for_makes_it_as_sure_as_was_said()
    {
        double said = 0,
            then = 0,
            before = 0;
        var asked = 0;
        for (var seed = 1; seed <= 400; seed++)
        {
            var bench = MadeBench.Of(seed);
            var told = FaultFinder.Find(FaultTests.Whole, bench.Readings);
            if (told.NextReading is not { } next)
                continue;
            Assert.Equal(told.Hypotheses[0].Probability, next.SureNow, 9);
            Assert.InRange(next.SureThen, next.SureNow + 0.05, 1);
            if (next.Of != NextReadingOf.Parts)
                continue;
            var random = new NormalDraws((ulong)seed);
            var more = FaultFinder.Find(
                FaultTests.Whole,
                [
                    .. bench.Readings,
                    .. next.Parts.Select(p => new SensorReading(
                        [p],
                        SensorKind.Mean,
                        bench.TrueC[p] + random.Next(),
                        1
                    )),
                ]
            );
            asked++;
            said += next.SureThen;
            before += next.SureNow;
            then += more.Hypotheses[0].Probability;
        }
        TestContext.Current.TestOutputHelper?.WriteLine(
            FormattableString.Invariant(
                $"{asked}: before {before / asked:0.000}, said {said / asked:0.000}, then {then / asked:0.000}"
            )
        );
        Assert.True(asked > 20);
        Assert.Equal(then / asked, said / asked, 0.05);
    }

    [Fact]
    public void Two_things_wrong_are_told_as_such_where_no_single_one_explains_them()
    {
        int one = 0,
            two = 0,
            benches = 0;
        for (var seed = 0; seed < 200; seed++)
            foreach (var both in new[] { false, true })
            {
                var faults = HiddenFault.Several(FaultTests.Whole, seed, both);
                var run = new BenchRun(FaultTests.Whole, faults, FaultTests.Whole.Conditions);
                if (run.Held is not null)
                    continue;
                benches += both ? 1 : 0;
                var told = FaultFinder.Find(
                    FaultTests.Whole,
                    [.. FaultTests.Whole.Parts.Select(p => new SensorReading([p.Id], SensorKind.Mean, run.C(p), 0.5))]
                );
                (one, two) = both
                    ? (one, two + (told.Unexplained is null ? 0 : 1))
                    : (one + (told.Unexplained is null ? 0 : 1), two);
            }
        TestContext.Current.TestOutputHelper?.WriteLine($"unexplained: one {one}, two {two} of {benches}");
        Assert.Equal(0, one);
        Assert.True(two > 8, $"{two}");
    }
}
