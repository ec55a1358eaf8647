using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Paste;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Paste in the hand's terms, by hand figures: one volume told as dot, line, cross, plunger and grams.</summary>
public class PasteMeasureTests
{
    /// <summary>With exponent 1 the film is c·τy/P: 131 µm · 110 Pa / P.</summary>
    private static readonly PasteMaterial Linear = new("linear", 110, 180, 2.6, M: 1);

    private static readonly PasteMaterial Metal = new("metal", 8, 0.1, 6.4) { LiquidMetal = true };

    [Fact]
    public void The_film_follows_the_pressure_and_the_volume_the_film()
    {
        // 300 N on 600 mm² are 0.5 MPa; a film of 131 · 110e-6 / 0.5 µm, a fifth more
        var a = PasteAmount.For(600, Linear, 300, 0.2, 8);
        Assert.Equal(0.5, a.PressureMPa, 12);
        Assert.Equal(131 * 110e-6 / 0.5, a.BondLineUm, 12);
        var mm3 = 600 * a.BondLineUm / 1000 * 1.2;
        Assert.Equal(mm3 / 1000, a.VolumeMl, 12);
        Assert.Equal(mm3 / 1000 * 2.6, a.MassG, 12);
        Assert.Equal((600, 0.2, 1.5), (a.AreaMm2, a.Margin, a.BeadMm));
    }

    [Theory]
    [InlineData(1.5, 8)]
    [InlineData(2.5, 12)]
    public void Dot_line_cross_and_plunger_are_the_same_volume(double bead, double bore)
    {
        var a = PasteAmount.For(530, Sample.Grey, 200, 0.1, bore, bead);
        var mm3 = a.VolumeMl * 1000;
        // half a sphere: π·d³/12
        Assert.Equal(mm3, Math.PI * Math.Pow(a.DotDiameterMm, 3) / 12, 9);
        Assert.Equal(mm3, a.LineLengthMm * Math.PI * bead * bead / 4, 9);
        Assert.Equal(a.LineLengthMm, 2 * a.CrossArmMm, 9);
        Assert.Equal(mm3, a.PlungerMm * Math.PI * bore * bore / 4, 9);
        Assert.Equal(bead, a.BeadMm);
    }

    [Fact]
    public void A_crown_is_filled_with_half_its_height()
    {
        var flat = PasteAmount.For(900, Sample.Grey, 300, 0.2, 8);
        var crowned = PasteAmount.For(900, Sample.Grey, 300, 0.2, 8, crownMm: 0.06);
        Assert.Equal(900 * 0.03 * 1.2, (crowned.VolumeMl - flat.VolumeMl) * 1000, 9);
        Assert.Equal(flat.BondLineUm, crowned.BondLineUm, 12);
    }

    [Fact]
    public void Liquid_metal_is_a_film_on_each_face_whatever_presses_it()
    {
        var a = PasteAmount.For(500, Metal, 10, 0.5, 5);
        var b = PasteAmount.For(500, Metal, 900, 0.5, 5, crownMm: 0.1);
        Assert.Equal(2 * 500 * 0.03 / 1000, a.VolumeMl, 12);
        Assert.Equal(a.VolumeMl, b.VolumeMl, 12);
        Assert.Equal(0, a.Margin);
        Assert.Equal(30, a.BondLineUm);
        Assert.Equal(2 * 500 * 0.03 / (Math.PI * 25 / 4), a.PlungerMm, 12);
    }

    [Fact]
    public void Film_and_pressure_are_one_law_read_both_ways()
    {
        foreach (var mpa in new[] { 0.05, 0.3, 2 })
            Assert.Equal(mpa, Sample.Grey.PressureMPa(Sample.Grey.BondLineUm(mpa)), 9);
        // at a pressure of its own yield the film is c
        Assert.Equal(131, Sample.Grey.BondLineUm(110e-6), 9);
    }

    [Theory]
    [InlineData(1, 0)]
    [InlineData(0.5, 1)]
    [InlineData(0.25, 3)]
    public void A_bare_part_costs_what_the_film_on_the_rest_carries_more(double coverage, double times)
    {
        // 25 µm at 5 W/(m·K) over 500 mm² is 0.01 K/W; 200 W: 2 K over the whole face
        var paste = new PasteMaterial("p", 110, 180, 2.6, ConductivityWPerMK: 5);
        Assert.Equal(2 * times, BareCost.Kelvin(500, coverage, 25, paste, 200), 9);
    }

    [Fact]
    public void A_face_with_no_paste_at_all_is_beyond_any_figure()
    {
        Assert.Equal(double.PositiveInfinity, BareCost.Kelvin(500, 0, 25, Sample.Grey, 200));
        Assert.Equal(double.PositiveInfinity, BareCost.Kelvin(500, -0.1, 25, Sample.Grey, 200));
    }

    // ---- patterns

    private static readonly PasteAmount Amount = PasteAmount.For(600, Sample.Grey, 300, 0.2, 8);

    private static bool Lies(PastePattern pattern, double x, double y, double bead = 2) =>
        pattern.Mask(Amount, bead)(new(x, y));

    [Fact]
    public void A_spread_lies_everywhere()
    {
        Assert.True(Lies(new(PatternKind.Spread), 0, 0));
        Assert.True(Lies(new(PatternKind.Spread), 99, -99));
    }

    [Fact]
    public void A_dot_is_as_wide_as_told_or_as_the_volume_makes_it()
    {
        var told = new PastePattern(PatternKind.Dot, DiameterMm: 6, At: new(1, 0));
        Assert.True(Lies(told, 3.99, 0));
        Assert.False(Lies(told, 4.01, 0));
        Assert.False(Lies(told, -2.01, 0));
        var r = Amount.DotDiameterMm / 2;
        Assert.True(Lies(new(PatternKind.Dot), 0, r - 0.01));
        Assert.False(Lies(new(PatternKind.Dot), 0, r + 0.01));
    }

    [Fact]
    public void A_line_lies_along_its_angle_with_round_ends()
    {
        var line = new PastePattern(PatternKind.Line, LengthMm: 10);
        Assert.True(Lies(line, 5.9, 0));
        Assert.False(Lies(line, 6.1, 0));
        Assert.True(Lies(line, 0, 0.99));
        Assert.False(Lies(line, 0, 1.01));
        var upright = line with { AngleDeg = 90, At = new(2, 3) };
        Assert.True(Lies(upright, 2, 8.9));
        Assert.False(Lies(upright, 2, 9.1));
        Assert.False(Lies(upright, 3.1, 3));
        var own = Amount.LineLengthMm / 2;
        Assert.True(Lies(new(PatternKind.Line), own, 0));
        Assert.False(Lies(new(PatternKind.Line), own + 1.1, 0));
    }

    [Fact]
    public void A_cross_has_two_arms_on_the_diagonals()
    {
        var cross = new PastePattern(PatternKind.Cross, LengthMm: 20);
        foreach (var (x, y) in new[] { (7.0, 7.0), (7, -7), (-7, 7), (-7, -7) })
            Assert.True(Lies(cross, x, y));
        Assert.False(Lies(cross, 7, 0));
        Assert.False(Lies(cross, 0, 7));
        // turned by an eighth it lies along the axes
        Assert.True(Lies(cross with { AngleDeg = 45 }, 0, 9));
        Assert.True(Lies(cross with { AngleDeg = 45 }, 9, 0));
        Assert.False(Lies(cross with { AngleDeg = 45 }, 7, 7));
        var own = Amount.CrossArmMm / 2 / Math.Sqrt(2);
        Assert.True(Lies(new(PatternKind.Cross), own, own));
        Assert.False(Lies(new(PatternKind.Cross), own + 1, own + 1));
    }

    [Fact]
    public void Drawn_strokes_cover_what_lies_within_half_a_bead()
    {
        var strokes = new PastePattern(
            PatternKind.Strokes,
            Strokes:
            [
                [new(0, 0), new(10, 0), new(10, 10)],
                [new(-5, -5)],
            ]
        );
        Assert.True(Lies(strokes, 5, 0.99));
        Assert.False(Lies(strokes, 5, 1.01));
        Assert.True(Lies(strokes, 10.9, 5));
        // a stroke of one point is a dab
        Assert.True(Lies(strokes, -5, -4.01));
        Assert.False(Lies(strokes, -5, -3.9));
        // two strokes are not joined
        Assert.False(Lies(strokes, 2.5, 5));
        Assert.False(Lies(new(PatternKind.Strokes, Strokes: []), 0, 0));
        Assert.False(Lies(new(PatternKind.Strokes), 0, 0));
    }

    [Fact]
    public void Strokes_held_by_squares_cover_the_same_as_looked_at_one_by_one()
    {
        var draw = new Random(7);
        Point2 Any(double most) => new(most * (draw.NextDouble() - 0.5), most * (draw.NextDouble() - 0.5));
        for (var round = 0; round < 40; round++)
        {
            var bead = 0.5 + 4 * draw.NextDouble();
            List<List<Point2>> strokes =
            [
                .. Enumerable
                    .Range(0, 1 + draw.Next(5))
                    .Select(_ => Enumerable.Range(0, 1 + draw.Next(6)).Select(_ => Any(40)).ToList()),
            ];
            var mask = new PastePattern(PatternKind.Strokes, Strokes: strokes).Mask(Amount, bead);
            for (var i = 0; i < 200; i++)
            {
                var p = Any(60);
                var near = strokes.Min(s =>
                    s.Count == 1
                        ? (p - s[0]).Length
                        : s.Zip(s.Skip(1)).Min(z => Polygon.DistanceToSegment(p, z.First, z.Second))
                );
                Assert.Equal(near <= bead / 2, mask(p));
            }
        }
    }
}
