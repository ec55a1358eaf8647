using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Geometry;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Small clamped discs, whatever the number of cells and the outline.</summary>
public class ClampedDiscTests
{
    private const double T = 1.6,
        E = 22_000,
        Nu = 0.3,
        Q = 0.001;
    private static readonly double D = E * T * T * T / (12 * (1 - Nu * Nu));

    /// <summary>A ring under even pressure, held within radius a, free at radius b: Timoshenko and Woinowsky-Krieger, section 17.</summary>
    private static double Rim(double a, double b)
    {
        // w = q·r⁴/64D + c1 + c2·ln r + c3·r² + c4·r²·ln r, no shear at b gives c4
        var c4 = -Q * b * b / (8 * D);
        // slope at a and moment at b vanish
        double SlopeKnown(double r) => Q * r * r * r / (16 * D) + c4 * (2 * r * Math.Log(r) + r);
        double BendKnown(double r) => 3 * Q * r * r / (16 * D) + c4 * (2 * Math.Log(r) + 3);
        var x = DenseSolve.Solve(
            new double[,]
            {
                { 1 / a, 2 * a },
                { (Nu - 1) / (b * b), 2 * (1 + Nu) },
            },
            [-SlopeKnown(a), -(BendKnown(b) + Nu / b * SlopeKnown(b))]
        )!;
        double W(double r) =>
            Q * Math.Pow(r, 4) / (64 * D) + x[0] * Math.Log(r) + x[1] * r * r + c4 * r * r * Math.Log(r);
        return W(b) - W(a);
    }

    [Theory]
    [InlineData(1000)]
    [InlineData(5000)]
    [InlineData(20_000)]
    public void A_ring_round_a_small_disc_bends_as_theory_says(int elements)
    {
        const double a = 3,
            b = 40;
        var outline = new Polygon([
            .. Enumerable.Range(0, 240).Select(k => new Point2(b, 0).Turned(k * Math.PI / 120)),
        ]);
        var bow = BoardBow.Solve(
            new(outline, T, E, Nu)
            {
                Supports = [new(0, 0, SupportKind.Clamped, 2 * a)],
                PressureMPa = Q,
                Elements = elements,
                Probes = [new(b - 0.01, 0), new(0, b - 0.01)],
            }
        );
        Assert.Equal(1, bow.ProbesMm[0] / Rim(a, b), 0.02);
        Assert.Equal(1, bow.ProbesMm[1] / Rim(a, b), 0.02);
        Assert.Equal(1, -bow.Reactions[0].ForceN / (Q * outline.Area), 0.005);
    }

    private static BowResult Angle(int elements) =>
        BoardBow.Solve(
            new(new([new(0, 0), new(120, 0), new(120, 45), new(45, 45), new(45, 120), new(0, 120)]), T, E, Nu)
            {
                Supports = [.. Places.Select(p => new BowSupport(p.X, p.Y, SupportKind.Clamped, 6))],
                PressureMPa = Q,
                Elements = elements,
                Probes = [new(118, 43), new(43, 118), new(60, 22)],
            }
        );

    private static readonly Point2[] Places = [new(10, 10), new(104, 12), new(11, 106)];

    [Fact]
    public void An_angle_on_three_discs_is_the_same_however_fine_it_is_cut()
    {
        var fine = Angle(20_000);
        foreach (var elements in (int[])[1000, 2500, 5000])
        {
            var coarse = Angle(elements);
            for (var k = 0; k < 3; k++)
                Assert.Equal(1, coarse.ProbesMm[k] / fine.ProbesMm[k], 0.02);
        }
        Assert.Equal(Q * (120 * 45 + 45 * 75), -fine.Reactions.Sum(r => r.ForceN), 0.05);
    }

    [Fact]
    public void Discs_that_hold_more_than_the_board_are_told_apart_from_those_beside_it()
    {
        var square = new BowProblem(Sample.Rect(0, 0, 60, 60), T, E, Nu) { PressureMPa = Q };
        Assert.Throws<InputException>(() =>
            BoardBow.Solve(square with { Supports = [new(40, 0, SupportKind.Clamped, 6)] })
        );
        // a disc over the corner holds what lies under it
        var corner = BoardBow.Solve(square with { Supports = [new(30, 30, SupportKind.Clamped, 12)] });
        Assert.InRange(Math.Abs(corner.PeakMm), 0.01, 100);
    }

    [Fact]
    public void What_would_take_minutes_is_refused_with_its_limit()
    {
        var square = new BowProblem(Sample.Rect(0, 0, 60, 60), T, E, Nu) { Edges = EdgeHold.Clamped, PressureMPa = Q };
        string Refused(BowProblem p) => Assert.Throws<InputException>(() => BoardBow.Solve(p)).Faults[0].Field;
        Assert.Equal("elements", Refused(square with { Elements = 40_000 }));
        Assert.Equal("outline", Refused(square with { Outline = Sample.Rect(0, 0, 100_000, 0.001) }));
        Assert.Equal(
            "supports",
            Refused(
                square with
                {
                    Supports = [.. Enumerable.Repeat(new BowSupport(0, 0, SupportKind.Clamped, 3), 400)],
                }
            )
        );
        Assert.Equal(
            "outline",
            Refused(
                square with
                {
                    Outline = new([
                        .. Enumerable.Range(0, 19_000).Select(k => new Point2(30, 0).Turned(k * Math.PI / 9500)),
                    ]),
                }
            )
        );
    }
}
