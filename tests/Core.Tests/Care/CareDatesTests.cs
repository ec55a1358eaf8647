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
        var dates = CareDates.Of([Proof(0, 0.1)], null, 30, First.AddDays(-3));
        Assert.Equal(First.AddMonths(30), dates.Repaste);
        Assert.Equal([First.AddMonths(12), First.AddMonths(24)], dates.Inspections);
        Assert.Null(dates.Drift);
        Assert.Equal(First.AddDays(-3).AddMonths(24), CareDates.Of([], null, 24, First.AddDays(-3)).Repaste);
    }

    [Fact]
    public void A_straight_rise_is_due_on_the_day_it_passes_fifteen_per_cent()
    {
        // 0.1 K/W that grows by 15 % in 400 days
        var dates = CareDates.Of(
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
        var dates = CareDates.Of(
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
        Assert.Null(CareDates.Of([Proof(0, 0.1), before, dry], null, 24, First).Drift);
    }
}
