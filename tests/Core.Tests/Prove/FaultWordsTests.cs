using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Prove.Faults;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Which look comes first, what an imprint means, and when a lift is worth its pads.</summary>
public class FaultWordsTests
{
    private static FaultHypothesis Guess(FaultKind kind, double chance, double k = 20, params string[] parts) =>
        new(
            kind,
            parts.Length == 0 ? ["M1"] : parts,
            null,
            0,
            "",
            chance,
            [new(["M1"], k)],
            FaultChecks.Describe(kind, ["M1"], null)
        );

    private static string Between(params FaultHypothesis[] ranked) => FaultChecks.Between(ranked);

    [Fact]
    public void What_costs_nothing_is_done_before_what_costs_a_look_and_that_before_a_lift()
    {
        string Check(FaultKind kind) => FaultChecks.Describe(kind, ["M1"], null);
        Assert.Equal(Check(FaultKind.None), Between());
        Assert.Equal(Check(FaultKind.FilmLeft), Between(Guess(FaultKind.FilmLeft, 1)));
        // a second that is hardly likely is no matter
        Assert.Equal(
            Check(FaultKind.PasteVoid),
            Between(Guess(FaultKind.PasteVoid, 0.96), Guess(FaultKind.LowFlow, 0.04))
        );
        Assert.Equal(
            Check(FaultKind.LowFlow),
            Between(Guess(FaultKind.PasteVoid, 0.9), Guess(FaultKind.LowFlow, 0.06))
        );
        Assert.Equal(Check(FaultKind.LowFlow), Between(Guess(FaultKind.LowFlow, 0.6), Guess(FaultKind.PasteVoid, 0.4)));
        Assert.Equal(Check(FaultKind.Air), Between(Guess(FaultKind.Air, 0.5), Guess(FaultKind.LowFlow, 0.5)));
        Assert.Equal(Check(FaultKind.PadThin), Between(Guess(FaultKind.PumpOut, 0.6), Guess(FaultKind.PadThin, 0.4)));
        // nothing wrong is never looked for while something else is
        Assert.Equal(Check(FaultKind.PumpOut), Between(Guess(FaultKind.None, 0.6), Guess(FaultKind.PumpOut, 0.4)));
        Assert.Equal(Check(FaultKind.PumpOut), Between(Guess(FaultKind.PumpOut, 0.6), Guess(FaultKind.None, 0.4)));
    }

    [Fact]
    public void Every_suspicion_has_its_name_and_its_own_look()
    {
        var kinds = Enum.GetValues<FaultKind>();
        Assert.Equal(kinds.Length, kinds.Select(FaultChecks.Name).Distinct().Count());
        Assert.Equal(kinds.Length, kinds.Select(k => FaultChecks.Describe(k, ["M1"], "upper left")).Distinct().Count());
        Assert.Contains("upper left", FaultChecks.Describe(FaultKind.Tilt, [], "upper left"), StringComparison.Ordinal);
        Assert.Contains(
            "M1 or M2",
            FaultChecks.Describe(FaultKind.PadMissing, ["M1", "M2"], null),
            StringComparison.Ordinal
        );
        Assert.Contains(
            "power at the plug",
            FaultChecks.Describe(FaultKind.Misread, [], null),
            StringComparison.Ordinal
        );
        Assert.Contains(
            "second sensor",
            FaultChecks.Describe(FaultKind.Misread, ["U1"], null),
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData(ImprintMark.Film, FaultKind.FilmLeft, false)]
    [InlineData(ImprintMark.NoPad, FaultKind.PadMissing, false)]
    [InlineData(ImprintMark.NoMark, FaultKind.PadThin, false)]
    [InlineData(ImprintMark.Faint, FaultKind.Floats, false)]
    [InlineData(ImprintMark.Even, FaultKind.None, false)]
    [InlineData(ImprintMark.BareCorner, FaultKind.PasteVoid, true)]
    [InlineData(ImprintMark.OneSide, FaultKind.Tilt, true)]
    [InlineData(ImprintMark.ThickAllOver, FaultKind.Floats, true)]
    [InlineData(ImprintMark.PumpedOut, FaultKind.PumpOut, true)]
    public void Each_mark_speaks_for_the_fault_that_leaves_it(ImprintMark mark, FaultKind fault, bool die)
    {
        Assert.Contains(mark, ImprintOdds.For(die));
        var told = ImprintOdds.Chance(fault, here: true, mark);
        Assert.All(
            Enum.GetValues<FaultKind>().Where(k => k != fault && ImprintOdds.Chance(k, true, ImprintMark.Even) < 0.9),
            other => Assert.True(told > ImprintOdds.Chance(other, true, mark), $"{mark}: {other} explains it as well")
        );
    }

    [Fact]
    public void A_fault_elsewhere_leaves_no_mark_here_and_no_mark_is_ever_impossible()
    {
        foreach (var kind in Enum.GetValues<FaultKind>())
        foreach (var mark in Enum.GetValues<ImprintMark>())
        {
            Assert.InRange(ImprintOdds.Chance(kind, true, mark), 0.004, 0.99);
            if (kind is FaultKind.FilmLeft or FaultKind.PadMissing or FaultKind.PadThin or FaultKind.PasteVoid)
                Assert.Equal(ImprintOdds.Chance(FaultKind.None, false, mark), ImprintOdds.Chance(kind, false, mark));
        }
    }

    private static LiftAdvice Advice(
        double chance,
        double effectK,
        double? limitC,
        bool die = false,
        FaultKind kind = FaultKind.PadThin
    )
    {
        var found = new FaultResult([], [Guess(kind, chance, effectK), Guess(FaultKind.LowFlow, 1 - chance)], "");
        var expected = new ExpectResult(1, 30, [new("M1", 60, 40, 20, limitC)], []);
        return LiftOrNot.Compute(
            found,
            expected,
            die ? new HashSet<string> { "M1" } : new HashSet<string>(),
            5,
            40,
            0.2,
            new(PadCm2: 0.1, PasteGram: 2, Currency: "EUR")
        );
    }

    [Theory]
    // expected 60 °C and 20 K more: 10 K under a limit of 90 is near no more
    [InlineData(89.9, true)]
    [InlineData(90.1, false)]
    [InlineData(75.0, true)]
    [InlineData(null, false)]
    public void A_part_near_its_limit_is_worth_a_lift(double? limit, bool lift) =>
        Assert.Equal(lift, Advice(0.9, 20, limit).Lift);

    [Theory]
    [InlineData(5, true)]
    [InlineData(4.9, false)]
    public void A_die_five_kelvin_too_warm_is_worth_a_lift(double effect, bool lift) =>
        Assert.Equal(lift, Advice(0.9, effect, null, die: true).Lift);

    [Theory]
    [InlineData(0.5, FaultKind.PadThin, true)]
    [InlineData(0.49, FaultKind.PadThin, false)]
    [InlineData(0.9, FaultKind.Air, false)]
    [InlineData(0.9, FaultKind.Misread, false)]
    public void Only_what_lies_under_the_block_is_lifted_for(double chance, FaultKind kind, bool lift)
    {
        var advice = Advice(chance, 30, 80, kind: kind);
        Assert.Equal(lift, advice.Lift);
        Assert.Equal(kind == FaultKind.PadThin ? chance : 0, advice.Chance, 9);
    }

    [Fact]
    public void The_advice_says_what_it_rests_on_and_what_a_lift_costs()
    {
        Assert.Equal(
            "Lift: 90 % that something is wrong under the block, 20 K at M1, 5 K over its limit. "
                + "Lifting costs 5 fresh pads, 0.2 g of paste (4 EUR) and one more strip-down.",
            Advice(0.9, 20, 75).Text
        );
        Assert.Contains("still 30 K under its limit", Advice(0.9, 20, 110).Text, StringComparison.Ordinal);
        Assert.Equal((4.4, "EUR"), (Advice(0.9, 20, 75).Money, Advice(0.9, 20, 75).Currency));
        Assert.StartsWith("Leave it down: 30 % that anything", Advice(0.3, 20, 75).Text, StringComparison.Ordinal);
    }
}
