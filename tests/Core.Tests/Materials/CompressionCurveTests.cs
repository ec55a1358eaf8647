using CsCheck;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Materials;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Stress over squash: through its points, never falling, with the slope that belongs to it.</summary>
public class CompressionCurveTests
{
    /// <summary>Rising points from one to six, squash up to 0.9.</summary>
    private static readonly Gen<List<Point2>> Rising = Gen.Select(Gen.Double[0.02, 0.15], Gen.Double[0.01, 0.5])
        .List[1, 6]
        .Select(steps =>
        {
            var at = new Point2(0, 0);
            return steps.Select(s => at = new Point2(at.X + s.Item1, at.Y + s.Item2)).ToList();
        });

    [Fact]
    public void Points_on_a_line_give_the_line_and_beyond_them_it_goes_on()
    {
        var curve = new CompressionCurve([new(0.2, 0.1), new(0.5, 0.25)]);
        foreach (var squash in new[] { 0.05, 0.2, 0.33, 0.5, 0.8 })
        {
            Assert.Equal(0.5 * squash, curve.At(squash).StressMPa, 12);
            Assert.Equal(0.5, curve.At(squash).SlopeMPa, 12);
        }
    }

    [Theory]
    [InlineData(0)]
    [InlineData(-0.3)]
    public void A_pad_that_is_not_pressed_pushes_nothing(double squash) =>
        Assert.Equal((0, 0), new CompressionCurve([new(0.5, 0.5)]).At(squash));

    [Fact]
    public void The_origin_is_added_once()
    {
        var with = new CompressionCurve([new(0, 0), new(0.3, 0.1), new(0.6, 0.5)]);
        var without = new CompressionCurve([new(0.3, 0.1), new(0.6, 0.5)]);
        foreach (var squash in new[] { 0.1, 0.3, 0.45, 0.7 })
            Assert.Equal(with.At(squash), without.At(squash));
    }

    [Fact]
    public void It_goes_through_every_point() =>
        Rising.Sample(points =>
        {
            var curve = new CompressionCurve(points);
            foreach (var p in points)
                Assert.Equal(p.Y, curve.At(p.X).StressMPa, 1e-9);
        });

    [Fact]
    public void It_never_falls_and_stays_between_the_points_on_both_sides() =>
        Rising.Sample(points =>
        {
            var curve = new CompressionCurve(points);
            List<Point2> all = [new(0, 0), .. points];
            foreach (var (a, b) in all.Zip(all.Skip(1)))
            {
                var last = a.Y;
                for (var k = 1; k <= 20; k++)
                {
                    var (stress, slope) = curve.At(a.X + (b.X - a.X) * k / 20);
                    Assert.True(stress >= last - 1e-12, $"{last} then {stress}");
                    Assert.InRange(stress, a.Y - 1e-12, b.Y + 1e-12);
                    Assert.True(slope >= -1e-9);
                    last = stress;
                }
            }
        });

    [Fact]
    public void The_slope_is_the_slope() =>
        Gen.Select(Rising, Gen.Double[0.001, 1.2])
            .Sample(
                (points, squash) =>
                {
                    var curve = new CompressionCurve(points);
                    const double h = 1e-7;
                    // not across a point: there the second derivative jumps
                    if (points.Exists(p => Math.Abs(p.X - squash) < 10 * h))
                        return;
                    var steep = (curve.At(squash + h).StressMPa - curve.At(squash - h).StressMPa) / (2 * h);
                    Assert.Equal(steep, curve.At(squash).SlopeMPa, 1e-4 * Math.Max(1, Math.Abs(steep)));
                }
            );

    [Fact]
    public void Between_two_secants_the_slope_is_their_weighted_harmonic_mean()
    {
        // secants 1 over 0.2 and 3 over 0.1: weights 2·0.1+0.2 and 0.1+2·0.2
        var curve = new CompressionCurve([new(0.2, 0.2), new(0.3, 0.5)]);
        Assert.Equal((0.4 + 0.5) / (0.4 / 1 + 0.5 / 3), curve.At(0.2).SlopeMPa, 9);
        // at the ends the secants themselves
        Assert.Equal(3, curve.At(0.3).SlopeMPa, 9);
        Assert.Equal(0.5 + 3 * 0.2, curve.At(0.5).StressMPa, 9);
    }

    [Fact]
    public void Where_it_stops_rising_the_slope_is_none()
    {
        var curve = new CompressionCurve([new(0.2, 0.2), new(0.4, 0.2), new(0.6, 0.4)]);
        Assert.Equal(0, curve.At(0.2).SlopeMPa, 12);
        Assert.Equal(0.2, curve.At(0.3).StressMPa, 12);
    }
}
