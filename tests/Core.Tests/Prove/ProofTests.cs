using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Paste;
using FaithfulBracket.Core.Prove;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class PasteAmountTests
{
    [Fact]
    public void The_amount_is_area_times_film_and_margin_in_the_hands_terms()
    {
        var a = PasteAmount.For(528, Sample.Grey, 264, 0.5, beadMm: 2, boreMm: 10);
        var film = 131 * Math.Pow(110e-6 / 0.5, 0.166);
        var mm3 = 528 * film / 1000 * 1.5;
        Assert.Equal(film, a.BondLineUm, 9);
        Assert.Equal(mm3 / 1000, a.VolumeMl, 12);
        Assert.Equal(mm3 / 1000 * 2.6, a.MassG, 12);
        Assert.Equal(mm3, 2.0 / 3 * Math.PI * Math.Pow(a.DotDiameterMm / 2, 3), 9);
        Assert.Equal(mm3, a.LineLengthMm * Math.PI, 9);
        Assert.Equal(mm3, a.PlungerMm * Math.PI * 25, 9);
    }
}

public class ComparisonTests
{
    private static readonly Reading Before = new(Phase.Before, 21, null, 83.5, null, null, 180, null, null);

    [Fact]
    public void Coolant_rise_at_one_litre_a_minute() =>
        // 300 W into 1 L/min of water: 300·60/4160 K, near the rule of 4.3 K
        Assert.Equal(4.33, Coolant.RiseK(300, 1), 0.02);

    [Fact]
    public void Resistances_carry_the_uncertainty_of_sensors_and_power()
    {
        // one kelvin at the die, three tenths at the room's sensor, three per cent of the power
        var r = Comparison.Create([new(Phase.Before, 21, null, 81, null, null, 200, null, null)]).BeforeToRoom!.Value;
        Assert.Equal(0.3, r.KPerW, 12);
        Assert.Equal(Math.Sqrt((1 + 0.09) / (200 * 200) + Math.Pow(0.3 * 0.03, 2)), r.UncertaintyKPerW, 12);
    }

    [Fact]
    public void The_station_and_the_call_compare_alike()
    {
        var after = new Reading(Phase.After, 25, 30, 52, null, null, 150, 3, null);
        var station = Comparison.Create([Before, after]);
        var call = BeforeAfter.Compute(new(83.5, 21, null, null, 180, new()), new(52, 25, 30, 3, 150, new()));
        Assert.Equal(call.GainK, station.GainK);
        Assert.Equal(call.GainPlusMinusK, station.GainUncertaintyK);
        Assert.Equal(call.After!.ToCoolantKPerW, station.AfterToCoolant!.Value.KPerW);
        Assert.Equal(call.CoolantRiseK, station.CoolantRiseK);
    }

    [Fact]
    public void The_gain_is_calculated_at_the_before_power_room_for_room()
    {
        var after = new Reading(Phase.After, 25, 30, 52, null, null, 150, 3, null);
        var c = Comparison.Create([Before, after]);
        Assert.Equal((62.5 / 180 - 27.0 / 150) * 180, c.GainK!.Value, 9);
        Assert.Contains(c.Why, w => w.ToString().Contains("Power differs", StringComparison.Ordinal));
    }
}
