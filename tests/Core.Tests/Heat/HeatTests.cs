using CsCheck;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Heat;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>A cold plate against the fin equation, its own balance, and itself on finer cells.</summary>
public class HeatTests
{
    private static PlateHeatAsk Strip(double cellMm, double lengthMm = 80, double stripMm = 20) =>
        new(
            Polygon.Rectangle(new(lengthMm / 2, 10), lengthMm, 20),
            3,
            390,
            8000,
            [],
            [new(stripMm / 2, 10, stripMm, 20, 60)],
            30,
            [new(0, 10), new(10, 10), new(40, 10), new(lengthMm, 10)],
            cellMm
        );

    [Fact]
    public void A_strip_over_the_full_width_follows_the_fin_equation()
    {
        // θ = q/h·(1 − C·cosh mx) under the source, which lies against the insulated end; a mirrored plate of twice the length
        const double length = 80,
            strip = 20,
            h = 8000,
            k = 390,
            t = 0.003;
        var m = Math.Sqrt(h / (k * t));
        double l = length / 1000,
            s = strip / 1000;
        var q = 60 / (s * 0.02);
        var c = Math.Sinh(m * (l - s)) / Math.Sinh(m * l);
        double Under(double x) => q / h * (1 - c * Math.Cosh(m * x));
        double Beside(double x) => q / h * Math.Sinh(m * s) / Math.Sinh(m * l) * Math.Cosh(m * (l - x));
        var r = PlateHeat.Compute(Strip(0.5));
        Assert.Equal(Under(0), r.ProbesC[0] - 30, 0.005 * Under(0));
        Assert.Equal(Under(0.010), r.ProbesC[1] - 30, 0.005 * Under(0.010));
        Assert.Equal(Beside(0.040), r.ProbesC[2] - 30, 0.005 * Under(0));
        Assert.Equal(Beside(0.080), r.ProbesC[3] - 30, 0.005 * Under(0));
        Assert.Equal(r.MaxC, r.ProbesC[0], 0.01);
    }

    [Fact]
    public void As_much_goes_out_as_in_on_any_plate()
    {
        var number = Gen.Double[0.2, 1];
        Gen.Select(number, number, number, number, Gen.Double[1, 300])
            .Sample(
                (a, b, c, d, watts) =>
                {
                    // an L of any arms, cooled over one of them
                    var outline = new Polygon([
                        new(0, 0),
                        new(60 * a + 20, 0),
                        new(60 * a + 20, 20 * b + 5),
                        new(20, 20 * b + 5),
                        new(20, 50 * c + 30),
                        new(0, 50 * c + 30),
                    ]);
                    var r = PlateHeat.Compute(
                        new(
                            outline,
                            2 + d,
                            390,
                            null,
                            [new(Polygon.Rectangle(new(10, 15), 16, 20), 20_000 * d)],
                            [new(10, 10, 8, 6, watts), new(14, 4, 5, 5, watts / 3)],
                            25,
                            [],
                            1
                        )
                    );
                    Assert.Equal(watts * 4 / 3, r.HeatOutW, watts * 1e-6);
                    Assert.True(r.MaxC > r.MeanC && r.MeanC > 25);
                },
                iter: 60
            );
    }

    [Fact]
    public void Halving_the_cells_changes_no_temperature_by_a_percent()
    {
        var outline = new Polygon([new(0, 0), new(90, 0), new(90, 30), new(50, 55), new(0, 55)]);
        PlateHeatResult At(double cell) =>
            PlateHeat.Compute(
                new(
                    outline,
                    3,
                    390,
                    null,
                    [
                        new(Polygon.Rectangle(new(30, 25), 40, 30), 15_000),
                        new(Polygon.Rectangle(new(70, 20), 30, 20), 2_000),
                    ],
                    [new(30, 25, 24, 20, 220), new(70, 14, 12, 10, 8), new(15, 46, 6, 5, 5)],
                    32,
                    [new(30, 25), new(70, 14), new(15, 46), new(85, 5), new(60, 46)],
                    cell
                )
            );
        var (coarse, fine) = (At(1), At(0.5));
        Assert.All(
            coarse.ProbesC.Zip(fine.ProbesC),
            p => Assert.Equal(p.Second - 32, p.First - 32, 0.01 * (fine.MaxC - 32))
        );
        Assert.Equal(fine.MaxC - 32, coarse.MaxC - 32, 0.01 * (fine.MaxC - 32));
        Assert.InRange(fine.Cells, 3.8 * coarse.Cells, 4.2 * coarse.Cells);
    }

    [Theory]
    [InlineData(1, 1)]
    [InlineData(2, 2)]
    [InlineData(3, 1.5)]
    public void A_small_source_is_as_warm_as_on_the_finest_grid(double width, double depth)
    {
        // wherever it lies between the cells
        foreach (var (x, y) in new[] { (0.0, 0.0), (0.3, 0.7), (-7.45, 3.2) })
        {
            double Rise(double? cell) =>
                PlateHeat
                    .Compute(
                        new(
                            Polygon.Rectangle(new(0, 0), 40, 30),
                            3,
                            390,
                            12_000,
                            [],
                            [new(x, y, width, depth, 10)],
                            0,
                            [new(x, y)],
                            cell
                        )
                    )
                    .ProbesC[0];
            var fine = Rise(0.15);
            Assert.Equal(fine, Rise(null), 0.02 * fine);
        }
    }

    [Fact]
    public void Sources_add_up_and_answer_each_other_alike()
    {
        // linear, and reciprocal: a watt at A warms B as a watt at B warms A
        PlateHeatResult With(params HeatSource[] sources) =>
            PlateHeat.Compute(
                new(Polygon.Rectangle(new(0, 0), 60, 40), 2, 200, 3000, [], sources, 0, [new(-20, 10), new(18, -9)], 1)
            );
        HeatSource a = new(-20, 10, 1, 1, 10),
            b = new(18, -9, 1, 1, 10);
        var (one, two, both) = (With(a), With(b), With(a, b));
        Assert.Equal(one.ProbesC[0] + two.ProbesC[0], both.ProbesC[0], 9);
        Assert.Equal(one.ProbesC[1], two.ProbesC[0], 6);
    }

    [Fact]
    public void What_can_not_be_calculated_is_refused_with_its_place()
    {
        var plate = Strip(1);
        string Field(PlateHeatAsk ask) => Assert.Throws<InputException>(() => PlateHeat.Compute(ask)).Faults[0].Field!;
        Assert.Equal("sources/0", Field(plate with { Sources = [new(200, 10, 5, 5, 3)] }));
        Assert.Equal("probes/0", Field(plate with { Probes = [new(200, 10)] }));
        Assert.Equal("hWPerM2K", Field(plate with { HWPerM2K = 0 }));
        Assert.Equal("cellMm", Field(plate with { CellMm = 0.02 }));
        // a sliver of a hundred metres
        Assert.Equal(
            "cellMm",
            Field(
                plate with
                {
                    Outline = Polygon.Rectangle(new(50_000, 0.0005), 100_000, 0.001),
                    Probes = [],
                    Sources = [],
                }
            )
        );
    }

    [Theory]
    [InlineData(0.7, 3.1)]
    [InlineData(1, 0.9)]
    public void Shares_of_cells_add_up_to_the_outline(double dx, double dy)
    {
        var outline = new Polygon([new(0.3, 0.2), new(17, 1), new(9, 6), new(15, 12), new(2, 11)]);
        var shares = CellShares.Compute(outline, 0, 0, dx, dy, (int)(18 / dx) + 1, (int)(13 / dy) + 1);
        Assert.Equal(outline.Area, shares.Cast<double>().Sum() * dx * dy, 9);
    }
}
