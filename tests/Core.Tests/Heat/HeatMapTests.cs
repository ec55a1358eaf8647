using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>The plate as it is drawn, and what scales without a new plate.</summary>
public sealed class HeatMapTests
{
    private static readonly LaidBlock Laid = LaidBlock.Create(Sample.Board(), ExpectTests.Block());

    [Fact]
    public void Twice_the_watts_is_twice_the_rise_everywhere_without_a_new_plate()
    {
        var stated = BlockHeat.Compute(Laid, null, 3);
        var twice = stated.At(2 * stated.Laid.Board.Parts.Sum(p => p.DissipationW));
        var afresh = BlockHeat.Compute(Laid, 2 * stated.Laid.Board.Parts.Sum(p => p.DissipationW), 3);
        Assert.Equal(2 * stated.Watts, twice.Watts, 6);
        Assert.All(Enumerable.Range(0, stated.Rise.Count), n => Assert.Equal(afresh.Rise[n], twice.Rise[n], 4));
    }

    [Fact]
    public void A_cone_has_circles_for_isolines()
    {
        const int n = 81;
        var value = new double[n, n];
        for (var i = 0; i < n; i++)
        for (var j = 0; j < n; j++)
            value[i, j] = 60 - new Point2(i - 40.37, j - 39.81).Length;
        var segments = Isolines.Through(value, (x, y) => new(x - 40.37, y - 39.81), 40).ToList();
        Assert.NotEmpty(segments);
        // every end lies on the circle of radius 20, and the pieces together are as long as it
        Assert.All(segments, s => Assert.InRange(s.A.Length, 19.97, 20.03));
        Assert.Equal(2 * Math.PI * 20, segments.Sum(s => (s.A - s.B).Length), 0.2);
        // closed: every end is the end of exactly two pieces
        var ends = segments.SelectMany(s => new[] { s.A, s.B }).GroupBy(p => (Math.Round(p.X, 6), Math.Round(p.Y, 6)));
        Assert.All(ends, g => Assert.Equal(2, g.Count()));
    }

    [Theory]
    [InlineData(30, 47.5, 7, "35 40 45")]
    [InlineData(0, 1, 7, "0.2 0.4 0.6 0.8")]
    [InlineData(20, 90, 7, "30 40 50 60 70 80")]
    public void Levels_are_round_figures_inside_the_range(double least, double most, int about, string expected)
    {
        var levels = Isolines.Levels(least, most, about);
        Assert.Equal(
            expected,
            string.Join(' ', levels.Select(l => l.ToString("0.##", System.Globalization.CultureInfo.InvariantCulture)))
        );
    }

    [Fact]
    public void The_map_lies_between_the_coolest_and_the_warmest_and_keeps_the_mean()
    {
        var heat = BlockHeat.Compute(Laid, null, 3);
        var map = HeatMap.From(heat, 30);
        var cells = map.C.OfType<double>().ToList();
        Assert.Equal(map.Columns * map.Rows, map.C.Count);
        Assert.All(cells, c => Assert.InRange(c, map.LeastC - 0.01, map.MostC + 0.01));
        Assert.True(map.LeastC >= 30);
        // the die's land is the warmest place: the map says so where the die is
        var die = Sample.Board().Parts.First(p => p.Kind == Boards.PartKind.Die);
        var at = die.At - new Point2(map.MinX, map.MinY);
        var (i, j) = ((int)(at.X / map.StepXMm), (int)(at.Y / map.StepYMm));
        Assert.True(map.C[j * map.Columns + i] > (map.LeastC + map.MostC) / 2);
    }

    [Fact]
    public void A_better_paste_costs_fewer_kelvin_and_the_chosen_one_costs_none_against_itself()
    {
        var heat = BlockHeat.Compute(Laid, null, 3);
        PasteStock Tube(string id, double k) => new(id, Sample.Grey with { Id = id, ConductivityWPerMK = k }, 5, 24);
        var chosen = Tube("middling", 4);
        var costs = PasteCosts.Compute(
            heat,
            new(Laid, [], Sample.Materials, chosen.Material),
            [Tube("poor", 2), chosen, Tube("good", 8)],
            new(null, 30, 3)
        );
        Assert.Equal(["good", "middling", "poor"], costs.Select(c => c.Id));
        Assert.Equal(0, costs[1].AgainstK, 9);
        // the film's part goes with one over the conductivity
        Assert.Equal(costs[1].ThroughK * 2, costs[2].ThroughK, 6);
        Assert.Equal(costs[1].ThroughK / 2, costs[0].ThroughK, 6);
    }
}
