using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Care;
using FaithfulBracket.Core.Prove;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>When a card is due, by its drift and by its paste's kind.</summary>
public class CareDatesTests
{
    private static readonly DateOnly First = new(2026, 1, 10);

    /// <summary>A proof whose die lies so many kelvin per watt over the inlet.</summary>
    private static Reading Proof(int day, double kPerW, double flow = 3, double coolant = 30, double power = 200) =>
        new(Phase.After, 21, coolant, coolant + kPerW * power, null, null, power, flow, null)
        {
            On = First.AddDays(day),
        };

    [Fact]
    public void One_proof_is_due_by_the_pastes_kind_with_a_look_every_year()
    {
        var dates = CareDates.Compute([Proof(0, 0.1)], null, 30, First.AddDays(-3));
        Assert.Equal(First.AddMonths(30), dates.Repaste);
        Assert.Equal([First.AddMonths(12), First.AddMonths(24)], dates.Inspections);
        Assert.Null(dates.Drift);
        Assert.Equal(First.AddDays(-3).AddMonths(24), CareDates.Compute([], null, 24, First.AddDays(-3)).Repaste);
    }

    [Fact]
    public void A_straight_rise_is_due_on_the_day_it_passes_fifteen_per_cent()
    {
        // 0.1 K/W that grows by 15 % in 400 days
        var dates = CareDates.Compute(
            [.. new[] { 0, 90, 180, 270, 360 }.Select(d => Proof(d, 0.1 * (1 + 0.15 * d / 400)))],
            null,
            36,
            First
        );
        Assert.Equal(First.AddDays(400), dates.Repaste);
        Assert.True(dates.Drift!.DueLow <= dates.Drift.Due && dates.Drift.Due <= dates.Drift.DueHigh);
        Assert.Equal(0.115, dates.Drift.LimitKPerW, 6);
        Assert.False(dates.Drift.Line.Capped);
    }

    [Fact]
    public void Another_flow_is_no_drift_when_the_blocks_curve_explains_it()
    {
        var curve = new FlowCurve(0.03, 0.06, 0.8, "L/min", []);
        double At(double flow) => 0.04 + curve.AKPerW + curve.BKPerW * Math.Pow(flow, -curve.N);
        var dates = CareDates.Compute(
            [Proof(0, At(3), 3), Proof(100, At(1.5), 1.5), Proof(200, At(2), 2), Proof(300, At(4), 4)],
            curve,
            24,
            First
        );
        Assert.Equal(0, dates.Drift!.Line.SlopePerDay, 9);
        Assert.Equal(First.AddMonths(24), dates.Repaste);
    }

    [Fact]
    public void Readings_without_a_coolant_and_those_from_before_do_not_count()
    {
        var before = Proof(50, 0.3) with { Phase = Phase.Before };
        var dry = Proof(70, 0.3) with { CoolantC = null };
        Assert.Null(CareDates.Compute([Proof(0, 0.1), before, dry], null, 24, First).Drift);
    }

    [Fact]
    public void Two_proofs_of_different_days_make_a_line_and_two_of_one_day_do_not()
    {
        Assert.NotNull(CareDates.Compute([Proof(0, 0.1), Proof(100, 0.101)], null, 24, First).Drift);
        Assert.Null(CareDates.Compute([Proof(0, 0.1), Proof(0, 0.101)], null, 24, First).Drift);
    }

    [Fact]
    public void A_date_is_never_before_the_proof_it_rests_on()
    {
        // 30 % in 400 days: past the limit of 15 % half way, and told at the last proof
        var late = CareDates.Compute(
            [.. new[] { 0, 100, 200, 300, 400 }.Select(d => Proof(d, 0.1 * (1 + 0.3 * d / 400)))],
            null,
            36,
            First
        );
        Assert.Equal(First.AddDays(400), late.Repaste);
        Assert.EndsWith("due since the last of them, 14 Feb 2027. Repaste now.", late.Text, StringComparison.Ordinal);
        // proved again after its paste's kind was due
        Assert.Equal(First.AddDays(900), CareDates.Compute([Proof(0, 0.1), Proof(900, 0.1)], null, 24, First).Repaste);
    }

    [Fact]
    public void Where_no_face_took_paste_only_the_loop_is_looked_at()
    {
        var dates = CareDates.Compute([Proof(0, 0.1), Proof(100, 0.12)], null, null, First);
        Assert.Null(dates.Repaste);
        Assert.Null(dates.Drift);
        Assert.Equal([First.AddMonths(12), First.AddMonths(24)], dates.Inspections);
    }

    [Fact]
    public void The_day_of_the_new_paste_needs_no_look_of_its_own() =>
        Assert.Equal([First.AddMonths(12)], CareDates.Compute([Proof(0, 0.1)], null, 24, First).Inspections);

    [Fact]
    public void The_sentence_says_the_yearly_rise_the_day_and_how_sure_it_is()
    {
        // 15 % in 400 days are 13.7 % a year
        var dates = CareDates.Compute(
            [.. new[] { 0, 90, 180, 270, 360 }.Select(d => Proof(d, 0.1 * (1 + 0.15 * d / 400)))],
            null,
            36,
            First
        );
        Assert.StartsWith(
            "5 proofs, 14 % a year more: repaste on 14 Feb 2027, between ",
            dates.Text,
            StringComparison.Ordinal
        );
        Assert.EndsWith(" with 90 %.", dates.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void A_film_that_gets_better_is_due_by_its_pastes_kind()
    {
        var dates = CareDates.Compute(
            [.. new[] { 0, 100, 200, 365 }.Select(d => Proof(d, 0.1 * (1 - 0.04 * d / 365.25)))],
            null,
            24,
            First
        );
        Assert.Equal(
            "4 proofs, 4 % a year less: the line does not reach its limit first. Repaste on 10 Jan 2028, by the paste's kind.",
            dates.Text
        );
    }
}
