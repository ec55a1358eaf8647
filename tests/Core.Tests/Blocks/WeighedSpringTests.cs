using FaithfulBracket.Core.Blocks;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>A spring's rate from its lengths under loads.</summary>
public class WeighedSpringTests
{
    /// <summary>Free 12 mm, 4 N/mm: the line is found whatever lies on it.</summary>
    [Fact]
    public void A_spring_that_is_true_gives_its_rate_its_free_length_and_its_travel()
    {
        SpringReading At(double mm) => new((12 - mm) * 4, mm);
        foreach (
            var lengths in (double[][])
                [
                    [10, 7],
                    [12, 8],
                    [11, 9.5, 7, 6],
                ]
        )
        {
            var s = WeighedSpring.Fit([.. lengths.Reverse().Select(At)], 8.5);
            Assert.Equal((4, 12, 3.5), (s.RateNPerMm, s.FreeMm, s.TravelMm!.Value));
        }
        Assert.Null(WeighedSpring.Fit([At(10), At(7)]).TravelMm);
        Assert.Equal(9.80665, WeighedSpring.Newton(1000), 6);
    }

    /// <summary>Lengths read with a caliper, loads with a scale: the stated ± holds in about 95 of 100.</summary>
    [Fact]
    public void The_stated_error_holds_as_often_as_it_says()
    {
        var random = new Random(4127);
        double Normal() =>
            Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        var held = 0;
        const int tries = 2000;
        for (var n = 0; n < tries; n++)
        {
            var rate = 1 + 9 * random.NextDouble();
            var s = WeighedSpring.Fit([
                .. new[] { 0.0, 2 + random.NextDouble(), 4.0 }
                    .Take(2 + n % 2)
                    .Select(x => new SpringReading(Math.Max(0, x * rate + Normal() * 0.01), 12 - x + Normal() * 0.025)),
            ]);
            if (Math.Abs(s.RateNPerMm - rate) <= s.RateTolNPerMm + 0.0005)
                held++;
        }
        Assert.InRange(held / (double)tries, 0.93, 0.97);
    }

    [Fact]
    public void Readings_that_tell_no_rate_are_refused_at_their_place()
    {
        string Fault(params SpringReading[] r) =>
            Assert.Throws<InputException>(() => WeighedSpring.Fit(r)).Faults[0].Field;
        Assert.Equal("/readings", Fault(new SpringReading(5, 10)));
        Assert.Equal("/readings/0/lengthMm", Fault(new(9, 11), new(5, 10)));
        Assert.Equal("/readings", Fault(new(5, 10), new(5.05, 9.99)));
    }
}
