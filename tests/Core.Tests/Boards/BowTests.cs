using FaithfulBracket.Core.Boards.Bow;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Known answers for square plates: Timoshenko and Woinowsky-Krieger, tables 8, 23 and 35.</summary>
public class BowTests
{
    private const double A = 100,
        T = 1.6,
        E = 22_000,
        Nu = 0.3;
    private static readonly double D = E * T * T * T / (12 * (1 - Nu * Nu));

    private static BowProblem Square(EdgeHold edges) =>
        new(Sample.Rect(0, 0, A, A), T, E, Nu) { Edges = edges, Probes = [new(0, 0)] };

    [Theory]
    [InlineData(EdgeHold.SimplySupported, 0.004062)]
    [InlineData(EdgeHold.Clamped, 0.001265)]
    public void Uniform_pressure_on_a_square_plate(EdgeHold edges, double coefficient)
    {
        var bow = BoardBow.Solve(Square(edges) with { PressureMPa = 0.001 });
        Assert.Equal(1, bow.ProbesMm[0] / (coefficient * 0.001 * Math.Pow(A, 4) / D), 0.01);
        Assert.Equal(bow.ProbesMm[0], bow.PeakMm, 9);
    }

    [Theory]
    [InlineData(EdgeHold.SimplySupported, 0.01160)]
    [InlineData(EdgeHold.Clamped, 0.00561)]
    public void A_point_load_in_the_middle(EdgeHold edges, double coefficient)
    {
        var bow = BoardBow.Solve(Square(edges) with { Loads = [new(0, 0, 0, 0, -20)] });
        Assert.Equal(1, bow.ProbesMm[0] / (coefficient * -20 * A * A / D), 0.01);
    }

    [Fact]
    public void Refinement_converges()
    {
        double Centre(int n) =>
            BoardBow.Solve(Square(EdgeHold.SimplySupported) with { PressureMPa = 0.001, Elements = n }).ProbesMm[0];
        double c1 = Centre(100),
            c2 = Centre(400),
            c3 = Centre(1600);
        Assert.True(Math.Abs(c3 - c2) < 0.5 * Math.Abs(c2 - c1));
    }

    [Fact]
    public void Reactions_carry_the_load_and_follow_the_lever()
    {
        BowSupport[] pins =
        [
            new(-40, -40, SupportKind.Pinned, 5),
            new(40, -40, SupportKind.Pinned, 5),
            new(0, 40, SupportKind.Pinned, 5),
        ];
        var bow = BoardBow.Solve(Square(EdgeHold.Free) with { Supports = pins, Loads = [new(0, 0, 10, 10, -30)] });
        Assert.Equal(30, bow.Reactions.Sum(r => r.ForceN), 1e-3);
        // three pins: statics alone; the load half way between the pair and the single one
        Assert.Equal(15, bow.Reactions[2].ForceN, 1e-2);
        Assert.Equal(7.5, bow.Reactions[0].ForceN, 1e-2);
    }

    [Fact]
    public void Clamped_discs_are_stiffer_than_pinned_ones()
    {
        BowSupport[] Four(SupportKind kind) => [.. Sample.Corners(40).Select(c => new BowSupport(c.X, c.Y, kind, 6))];
        double Peak(SupportKind kind) =>
            Math.Abs(
                BoardBow
                    .Solve(Square(EdgeHold.Free) with { Supports = Four(kind), Loads = [new(0, 0, 20, 20, -50)] })
                    .ProbesMm[0]
            );
        Assert.True(Peak(SupportKind.Clamped) < 0.9 * Peak(SupportKind.Pinned));
    }

    [Fact]
    public void A_strip_bends_like_a_beam()
    {
        // 100 × 10 on two pinned ends with ν = 0: F·L³/(48·E·I), I = b·t³/12
        var strip = new BowProblem(Sample.Rect(0, 0, 104, 10), T, E, 0)
        {
            Supports =
            [
                new(-50, 0, SupportKind.Pinned, 0.5),
                new(50, 3, SupportKind.Pinned, 0.5),
                new(50, -3, SupportKind.Pinned, 0.5),
            ],
            Loads = [new(0, 0, 1, 10, -5)],
            Probes = [new(0, 0)],
            Elements = 3000,
        };
        var expected = -5 * Math.Pow(100, 3) / (48 * E * 10 * T * T * T / 12);
        Assert.Equal(1, BoardBow.Solve(strip).ProbesMm[0] / expected, 0.02);
    }

    [Fact]
    public void A_board_that_nothing_holds_is_refused() =>
        Assert.Throws<InputException>(() => BoardBow.Solve(Square(EdgeHold.Free) with { PressureMPa = 1 }));
}
