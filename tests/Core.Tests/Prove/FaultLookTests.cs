using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Prove.Faults;
using FaithfulBracket.Core.Prove.Logs;
using FaithfulBracket.Instruments;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Looks as evidence, whether to lift, the simulated bench and the trainer.</summary>
public class FaultLookTests
{
    private static readonly FaultBench Bench = FaultTests.Whole;

    private static List<SensorReading> Readings(HiddenFault fault) =>
        [.. Bench.Parts.Select(p => new SensorReading([p.Id], SensorKind.Mean, fault.C(Bench, p), 0.5))];

    private static string[] Chips => [.. Bench.Parts.Where(p => !p.IsDie && p.Watts > 0).Select(p => p.Id)];

    [Fact]
    public void A_film_that_was_seen_settles_it_and_an_even_pad_clears_it()
    {
        var chip = Chips[0];
        var fault = new HiddenFault(FaultKind.PadThin, chip, 0, 0.25);
        var plain = FaultFinder.Find(Bench, Readings(fault));
        double Chance(FaultResult r, FaultKind kind) =>
            r.Hypotheses.Where(h => h.Kind == kind && h.Parts.Contains(chip)).Sum(h => h.Probability);
        var film = FaultFinder.Find(Bench, Readings(fault), looks: [new(chip, ImprintMark.Film)]);
        Assert.True(Chance(film, FaultKind.FilmLeft) > Chance(plain, FaultKind.FilmLeft));
        var none = FaultFinder.Find(Bench, Readings(fault), looks: [new(chip, ImprintMark.NoMark)]);
        Assert.True(Chance(none, FaultKind.PadThin) > Chance(plain, FaultKind.PadThin));
        var sound = FaultFinder.Find(
            Bench,
            Readings(HiddenFault.None),
            looks: [.. Chips.Select(c => new ImprintLook(c, ImprintMark.Even))]
        );
        var unseen = FaultFinder.Find(Bench, Readings(HiddenFault.None));
        Assert.True(sound.Hypotheses[0].Kind == FaultKind.None);
        // a suspicion that is likelier than not is told as a doubt, and nothing wrong never is
        Assert.False(sound.Doubt);
        var sure = FaultFinder.Find(
            Bench,
            Readings(new(FaultKind.FilmLeft, chip, 0, 0.1)),
            looks: [new(chip, ImprintMark.Film)]
        );
        Assert.True(sure.Doubt);
        Assert.True(sound.Hypotheses[0].Probability > unseen.Hypotheses[0].Probability);
    }

    [Fact]
    public void The_odds_are_weighed_by_bayes_and_the_last_look_at_a_part_counts()
    {
        var chip = Chips[0];
        var readings = Readings(HiddenFault.None);
        var plain = FaultFinder.Find(Bench, readings);
        var looked = FaultFinder.Find(
            Bench,
            readings,
            looks: [new(chip, ImprintMark.Film), new(chip, ImprintMark.Even)]
        );
        double Of(FaultResult r, FaultKind kind, string part) =>
            r.Hypotheses.Where(h => h.Kind == kind && h.Parts.SequenceEqual([part])).Sum(h => h.Probability);
        // posterior odds of film against nothing change by the ratio of the two rows of the table
        var ratio =
            Of(looked, FaultKind.FilmLeft, chip)
            / looked.Hypotheses.First(h => h.Kind == FaultKind.None).Probability
            / (Of(plain, FaultKind.FilmLeft, chip) / plain.Hypotheses.First(h => h.Kind == FaultKind.None).Probability);
        Assert.Equal(
            ImprintOdds.Chance(FaultKind.FilmLeft, true, ImprintMark.Even)
                / ImprintOdds.Chance(FaultKind.None, false, ImprintMark.Even),
            ratio,
            1e-9
        );
    }

    [Fact]
    public void A_look_at_what_is_not_there_is_refused_with_its_place()
    {
        var part = Assert.Throws<InputException>(() =>
            FaultFinder.Find(Bench, Readings(HiddenFault.None), looks: [new("Z9", ImprintMark.Even)])
        );
        Assert.Equal("looks/0/part", part.Faults[0].Field);
        var mark = Assert.Throws<InputException>(() =>
            FaultFinder.Find(Bench, Readings(HiddenFault.None), looks: [new(Chips[0], ImprintMark.PumpedOut)])
        );
        Assert.Equal("looks/0/mark", mark.Faults[0].Field);
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void It_is_lifted_for_a_chip_near_its_limit_and_left_for_one_far_under_it(bool near)
    {
        var chip = Chips[0];
        var fault = new HiddenFault(FaultKind.FilmLeft, chip, 0, 0.1);
        var found = FaultFinder.Find(Bench, Readings(fault));
        var effect =
            fault.C(Bench, Bench.Parts.First(p => p.Id == chip))
            - Bench.ExpectedC(Bench.Parts.First(p => p.Id == chip));
        var expected = new ExpectResult(
            1,
            30,
            [
                .. Bench.Parts.Select(p => new ExpectedPart(
                    p.Id,
                    Bench.ExpectedC(p),
                    0,
                    p.OwnK,
                    Bench.ExpectedC(p) + effect + (near ? 4 : 40)
                )),
            ],
            []
        );
        var advice = LiftOrNot.Compute(
            found,
            expected,
            Bench.Parts.Where(p => p.IsDie).Select(p => p.Id).ToHashSet(),
            7,
            20,
            0.1,
            new(PadCm2: 0.1, PasteGram: 2)
        );
        Assert.Equal(near, advice.Lift);
        Assert.Equal(2.2, advice.Money, 9);
        Assert.True(advice.Chance > 0.5);
        Assert.StartsWith(near ? "Lift:" : "Leave it down:", advice.Text, StringComparison.Ordinal);
    }

    private static readonly Dictionary<string, PartKind> Kinds = Bench.Parts.ToDictionary(
        p => p.Id,
        p => p.IsDie ? PartKind.Die : PartKind.Memory
    );

    [Fact]
    public void The_simulated_bench_settles_where_the_physics_and_its_fault_say()
    {
        var fault = new HiddenFault(FaultKind.FilmLeft, Chips[0], 0, 0.1);
        var at = new HeatConditions(null, 30, 3);
        SimulatedBench Of(params HiddenFault[] f) => new(new(Bench, f, at, Kinds, 21.5, 20, 3), TimeProvider.System);
        var verdict = LogReading.Judge(Of(fault).Log(900), 95);
        Assert.NotNull(verdict.SteadyFromS);
        double Mean(Channel c) => verdict.Means.First(m => m.Channel == c).Mean;
        var hottest = Bench.Parts.Where(p => !p.IsDie && p.Watts > 0).Max(p => fault.C(Bench, p));
        Assert.Equal(hottest, Mean(Channel.Memory), 0.2);
        Assert.Equal(Bench.Parts.Where(p => p.IsDie).Average(p => fault.C(Bench, p)), Mean(Channel.Die), 0.2);
        Assert.Equal(30, Mean(Channel.CoolantIn), 0.05);
        Assert.Equal(30 + Coolant.RiseK(Bench.Parts.Sum(p => p.Watts), 3), Mean(Channel.CoolantOut), 0.15);
        var low = LogReading.Judge(Of(new HiddenFault(FaultKind.LowFlow, null, 0, 0.5)).Log(900), 95);
        Assert.Equal(1.5, low.Means.First(m => m.Channel == Channel.Flow).Mean, 0.01);
        // two at once are both in the log
        var both = LogReading.Judge(Of(fault, new HiddenFault(FaultKind.LowFlow, null, 0, 0.5)).Log(900), 95);
        Assert.Equal(1.5, both.Means.First(m => m.Channel == Channel.Flow).Mean, 0.01);
        Assert.True(both.Means.First(m => m.Channel == Channel.Memory).Mean > hottest + 1);
    }

    [Fact]
    public void A_card_protects_itself_it_throttles_at_its_limit_and_switches_off_where_it_can_not_hold_it()
    {
        var at = new HeatConditions(null, 30, 3);
        var chip = Bench.Parts.First(p => p.Id == Chips[0]);
        var missing = new HiddenFault(FaultKind.PadMissing, chip.Id, 0, 0);
        // a limit half way up what it would reach: half the power holds it there
        var full = new BenchRun(Bench, [missing], at).FullC(chip);
        FaultBench Limited(double c) =>
            Bench.With(1, p => p.Id == chip.Id ? p with { LimitC = c } : p with { LimitC = null });
        var half = new BenchRun(Limited((30 + full) / 2), [missing], at);
        Assert.Equal((0.5, chip.Id), (Math.Round(half.Share, 9), half.Held!.Id));
        Assert.Equal((30 + full) / 2, half.C(chip), 9);
        Assert.Contains("throttles", half.Words, StringComparison.Ordinal);
        Assert.All(Bench.Parts, p => Assert.True(half.C(p) <= full));

        var log = new SimulatedBench(
            new(Limited((30 + full) / 2), [missing], at, Kinds, 21.5, 20, 3),
            TimeProvider.System
        ).Log(900);
        Assert.True(log.Compute(Channel.Memory)!.Max() < (30 + full) / 2 + 2);
        Assert.Equal(2310 * Math.Cbrt(0.5), log.Compute(Channel.Clock)![^1], 1.0);

        var off = new SimulatedBench(
            new(Limited(30 + 0.1 * (full - 30)), [missing], at, Kinds, 21.5, 20, 3),
            TimeProvider.System
        ).Log(900);
        Assert.Equal(0, off.Compute(Channel.Power)![^1], 1.0);
        Assert.Equal(21.5, off.Compute(Channel.Die)![^1], 1.0);
    }

    [Fact]
    public void Two_things_wrong_at_once_are_both_read_and_both_to_be_found()
    {
        for (var seed = 0; seed < 30; seed++)
        {
            var two = HiddenFault.Several(Bench, seed, two: true);
            Assert.NotEqual(two[0].Kind, two[1].Kind);
            TrainingBench Looked(params HiddenFault[] found) =>
                FaultTrainer.Create(
                    Bench,
                    Kinds,
                    seed,
                    [.. found.Select(f => new TrainingCheck(f.Kind, f.Part))],
                    false,
                    null,
                    true
                );
            Assert.False(Looked(two[0]).Solved);
            Assert.False(Looked(two[1]).Solved);
            Assert.Equal($"{two[0].Words} and {two[1].Words}", Looked(two[1], two[0]).Truth);
        }
        // each where it sits: what one does is not lost to the other
        var (film, flow) = (
            new HiddenFault(FaultKind.FilmLeft, Chips[0], 0, 0.1),
            new HiddenFault(FaultKind.LowFlow, null, 0, 0.4)
        );
        var chip = Bench.Parts.First(p => p.Id == Chips[0]);
        double C(params HiddenFault[] faults) => new BenchRun(Bench, faults, new(null, 30, 3)).FullC(chip);
        Assert.Equal(C(film) + C(flow) - C(), C(film, flow), 6);
        Assert.Equal(C(flow, film), C(film, flow), 6);
    }

    [Fact]
    public void The_same_number_hides_the_same_fault_and_a_sure_one_is_never_nothing()
    {
        for (var seed = 0; seed < 300; seed++)
        {
            var fault = HiddenFault.Draw(Bench, seed, certain: true);
            Assert.Equal(fault, HiddenFault.Draw(Bench, seed, certain: true));
            Assert.NotEqual(FaultKind.None, fault.Kind);
            Assert.NotEqual(FaultKind.Misread, fault.Kind);
            var prior = FaultPriors.Default.First(p => p.Kind == fault.Kind);
            Assert.InRange(fault.Size, prior.Least, prior.Most);
        }
    }

    [Fact]
    public void Every_training_bench_can_be_solved_and_the_finders_order_solves_it()
    {
        for (var seed = 0; seed < 60; seed++)
        {
            var open = FaultTrainer.Create(Bench, Kinds, seed, [], false);
            Assert.False(open.Solved);
            Assert.Null(open.Truth);
            var fault = HiddenFault.Draw(Bench, seed, certain: true);
            var solved = FaultTrainer.Create(Bench, Kinds, seed, [new(fault.Kind, fault.Part)], false);
            Assert.True(solved.Solved);
            Assert.Equal(fault.Words, solved.Truth);
            Assert.InRange(solved.BestLooks, 1, 40);
            Assert.Equal(fault.Words, FaultTrainer.Create(Bench, Kinds, seed, [], true).Truth);
        }
        Assert.Throws<InputException>(() =>
            FaultTrainer.Create(Bench, Kinds, 1, [new(FaultKind.FilmLeft, "U1")], false)
        );
    }
}
