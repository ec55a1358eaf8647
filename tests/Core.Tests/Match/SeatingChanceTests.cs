using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using MathNet.Numerics.Distributions;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Chances of seating against the normal distribution.</summary>
public class SeatingChanceTests
{
    private const double Slack = 0.15;

    /// <summary>Two screws 100 mm apart over their holes.</summary>
    private static Alignment Two(bool secondFound = true, bool secondRequired = true) =>
        new(
            Placement.Identity,
            0,
            [new("S1", "H1", 0, Slack, true), new("S2", secondFound ? "H2" : null, 0, Slack, secondRequired)],
            [new(new(-50, 0), new(-50, 0), Slack), new(new(50, 0), new(50, 0), Slack)]
        );

    private static Board Board(double sigma) =>
        Sample.Board(sigma) with
        {
            Holes = [new("H1", -50, 0, 2.8, HoleRole.Retention), new("H2", 50, 0, 2.8, HoleRole.Retention)],
        };

    /// <summary>Within so many standard deviations of nothing.</summary>
    private static double Within(double deviations) => 2 * Normal.CDF(0, 1, deviations) - 1;

    [Theory]
    [InlineData(0.05)]
    [InlineData(0.1)]
    [InlineData(0.2)]
    [InlineData(0.5)]
    public void Two_screws_go_through_where_both_slacks_take_up_both_errors(double sigma)
    {
        var chance = SeatingChance.Compute(Board(sigma), Two(), [], 1);
        Assert.Equal(Within(2 * Slack / (Math.Sqrt(2) * sigma)), chance, 0.025);
        // the same seed, the same chance
        Assert.Equal(chance, SeatingChance.Compute(Board(sigma), Two(), [], 1));
    }

    [Fact]
    public void A_hole_that_was_measured_moves_no_more()
    {
        Assert.Equal(Within(2 * Slack / 0.2), SeatingChance.Compute(Board(0.2), Two(), [], 1, "H1"), 0.025);
        Assert.Equal(Within(2 * Slack / 0.2), SeatingChance.Compute(Board(0.2), Two(), [], 1, "H2"), 0.025);
        Assert.Equal(
            SeatingChance.Compute(Board(0.2), Two(), [], 1),
            SeatingChance.Compute(Board(0.2), Two(), [], 1, "H9")
        );
    }

    [Fact]
    public void A_required_screw_without_a_hole_never_goes_through()
    {
        Assert.Equal(0, SeatingChance.Compute(Board(0.05), Two(secondFound: false), [], 1));
        Assert.True(SeatingChance.Compute(Board(0.05), Two(secondFound: false, secondRequired: false), [], 1) > 0.9);
    }

    [Theory]
    // a part as tall as the plate is high, so far beside its edge
    [InlineData(0.2)]
    [InlineData(0.4)]
    [InlineData(-0.1)]
    [InlineData(1.2)]
    public void A_tall_part_beside_the_plate_clears_it_as_often_as_it_drifts_away(double besideMm)
    {
        const double sigma = 0.2;
        var ceiling = new Ceiling(Sample.Block().Plates[0], Placement.Identity, 2.13);
        foreach (var turn in new[] { 0, 90, 180, 270 })
        {
            var at = new Point2(45 + 3 + besideMm, 0).Turned(turn * Math.PI / 180);
            var part = Sample.Part("C1", PartKind.Capacitor, at.X, at.Y, 6, 6, 6);
            var none = new Alignment(Placement.Identity, 0, [], []);
            var chance = SeatingChance.Compute(Board(sigma), none, [(ceiling, part)], 1);
            Assert.Equal(Normal.CDF(0, 1, besideMm / sigma), chance, 0.035);
        }
        // one that is lower than the plate is no trouble wherever it drifts
        var low = Sample.Part("C1", PartKind.Capacitor, 45, 0, 6, 6, 2);
        Assert.Equal(1, SeatingChance.Compute(Board(sigma), new(Placement.Identity, 0, [], []), [(ceiling, low)], 1));
    }

    [Fact]
    public void It_stops_when_it_is_told()
    {
        using var stop = new CancellationTokenSource();
        stop.Cancel();
        Assert.Throws<OperationCanceledException>(() =>
            SeatingChance.Compute(Board(0.1), Two(), [], 1, cancel: stop.Token)
        );
    }
}
