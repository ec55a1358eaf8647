using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Prove.Faults;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>The trainer: what can be looked for, what each look says, how many looks the likeliest first takes.</summary>
public class FaultTrainerTests
{
    private static readonly FaultBench Bench = FaultTests.Whole;

    private static readonly Dictionary<string, PartKind> Kinds = Bench.Parts.ToDictionary(
        p => p.Id,
        p => p.IsDie ? PartKind.Die : PartKind.Memory
    );

    private static TrainingBench Of(
        int seed,
        FaultBench? bench = null,
        bool giveUp = false,
        params TrainingCheck[] checks
    ) => FaultTrainer.Create(bench ?? Bench, Kinds, seed, checks, giveUp);

    [Fact]
    public void Pads_dies_and_the_whole_are_looked_at_for_what_they_can_have()
    {
        string[] pads = ["M1", "M2", "M3", "M4", "M6"];
        var choices = Of(1, FaultTests.Bench(3, "M5")).Choices;
        Assert.Equal(
            [
                (FaultKind.FilmLeft, string.Join(",", pads)),
                (FaultKind.PadMissing, string.Join(",", pads)),
                (FaultKind.PadThin, string.Join(",", pads)),
                (FaultKind.PasteVoid, "U1"),
                (FaultKind.Tilt, ""),
                (FaultKind.Floats, ""),
                (FaultKind.LowFlow, ""),
                (FaultKind.Air, ""),
                (FaultKind.PumpOut, "U1"),
            ],
            choices.Select(c => (c.Kind, string.Join(",", c.Parts)))
        );
        Assert.All(choices, c => Assert.Equal(FaultChecks.Name(c.Kind), c.Name));
    }

    [Fact]
    public void What_gives_no_heat_is_not_read() =>
        Assert.Equal(
            ["U1", "M1", "M2", "M3", "M4", "M6"],
            Of(1, FaultTests.Bench(3, "M5")).Readings.Select(r => r.Name)
        );

    [Theory]
    [InlineData(FaultKind.Misread, null)]
    [InlineData(FaultKind.None, null)]
    [InlineData(FaultKind.Tilt, "U1")]
    [InlineData(FaultKind.FilmLeft, null)]
    [InlineData(FaultKind.FilmLeft, "U1")]
    [InlineData(FaultKind.PumpOut, "M1")]
    public void What_can_not_be_there_is_refused_with_its_place(FaultKind kind, string? part)
    {
        var e = Assert.Throws<InputException>(() => Of(1, null, false, new(FaultKind.Air, null), new(kind, part)));
        Assert.Equal("checks/1", e.Faults[0].Field);
    }

    private static BenchRun Run(int seed) =>
        new(Bench, [HiddenFault.Draw(Bench, seed, certain: true)], new(null, 30, 3));

    [Fact]
    public void Readings_scatter_by_half_a_kelvin_about_what_the_fault_makes()
    {
        var off = new List<double>();
        for (var seed = 0; seed < 700; seed++)
        {
            // a card that stands at its limit has less of its power, and less is expected
            var run = Run(seed);
            foreach (var r in Of(seed).Readings)
            {
                var p = Bench.Parts.Single(p => p.Id == r.Name);
                off.Add(r.C - run.C(p));
                Assert.True(r.C < (p.LimitC ?? 200) + 3);
                Assert.Equal(Math.Round(r.C, 1), r.C);
                Assert.Equal(run.ExpectedC(p), r.ExpectedC, 0.05 + 1e-9);
                Assert.Equal([r.Name], r.Parts);
            }
        }
        var mean = off.Average();
        var sigma = Math.Sqrt(off.Average(o => (o - mean) * (o - mean)));
        // 4,900 draws: their mean is known to 0.007 K, their spread to 0.005 K
        Assert.Equal(0, mean, 0.03);
        Assert.Equal(0.5, sigma, 0.02);
        // as a normal's: two thirds within one, a twentieth beyond two
        Assert.Equal(0.683, off.Count(o => Math.Abs(o) < 0.5) / (double)off.Count, 0.03);
        Assert.Equal(0.0455, off.Count(o => Math.Abs(o) > 1) / (double)off.Count, 0.012);
    }

    [Fact]
    public void The_likeliest_first_looks_nowhere_twice_and_at_four_corners_at_once()
    {
        for (var seed = 0; seed < 80; seed++)
        {
            var fault = HiddenFault.Draw(Bench, seed, certain: true);
            var told = Of(seed);
            var found = FaultFinder.Find(
                Bench.With(Run(seed).Share),
                [.. told.Readings.Select(r => new SensorReading(r.Parts, SensorKind.Mean, r.C, 0.5))]
            );
            List<TrainingCheck> order =
            [
                .. found
                    .Hypotheses.SelectMany(h =>
                        h.Kind is FaultKind.None or FaultKind.Misread ? []
                        : h.Parts.Count == 0 ? [new TrainingCheck(h.Kind, null)]
                        : h.Parts.Select(p => new TrainingCheck(h.Kind, p))
                    )
                    .Distinct(),
            ];
            Assert.Equal(1 + order.IndexOf(new(fault.Kind, fault.Part)), told.BestLooks);
            // and going that way finds it at its last look
            var looked = Of(seed, null, false, [.. order.Take(told.BestLooks)]);
            Assert.All(looked.Answers.SkipLast(1), a => Assert.False(a.Found));
            Assert.True(looked.Answers[^1].Found);
            Assert.Equal(
                $"Found in {HowMany.Count(told.BestLooks, "look")}; the likeliest first takes {HowMany.Count(told.BestLooks, "look")}.",
                looked.Text
            );
        }
    }

    [Fact]
    public void Each_look_and_the_end_are_told_in_words()
    {
        // a seed whose fault sits at a chip
        var seed = Enumerable.Range(0, 100).First(s => HiddenFault.Draw(Bench, s, true).Kind == FaultKind.FilmLeft);
        var fault = HiddenFault.Draw(Bench, seed, true);
        var other = fault.Part == "M1" ? "M2" : "M1";
        var looks = Of(
            seed,
            null,
            false,
            new(FaultKind.FilmLeft, other),
            new(FaultKind.PadMissing, fault.Part),
            new(FaultKind.Air, null)
        );
        Assert.Equal(
            [
                $"{other}: no film left on a pad there.",
                $"{fault.Part}: no pad missing there.",
                "Not that: no air in the fins.",
            ],
            looks.Answers.Select(a => a.Text.ToString())
        );
        Assert.Equal((false, null), (looks.Solved, looks.Truth));
        Assert.StartsWith("Something is wrong with this bench.", looks.Text, StringComparison.Ordinal);
        var up = Of(seed, null, true);
        Assert.Equal((false, $"film left on a pad, {fault.Part}"), (up.Solved, up.Truth));
        Assert.StartsWith(
            $"It was: film left on a pad, {fault.Part}. The likeliest first takes ",
            up.Text,
            StringComparison.Ordinal
        );
        var solved = Of(seed, null, false, new(FaultKind.Air, null), new(FaultKind.FilmLeft, fault.Part));
        Assert.Equal($"Yes: film left on a pad, {fault.Part}.", solved.Answers[1].Text);
        Assert.StartsWith("Found in 2 looks;", solved.Text, StringComparison.Ordinal);
    }
}
