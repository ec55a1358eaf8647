using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Sockets;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class DieStampTests
{
    private static readonly (string, Polygon)[] Two =
    [
        ("A", Sample.Rect(-8, 0, 10, 8)),
        ("B", Sample.Rect(9, 1, 12, 9)),
    ];

    [Fact]
    public void One_rectangle_off_centre_is_the_textbook_kern()
    {
        // p = F/A·(1 ± 6e/b): at e = b/6 the far edge is just free
        (string, Polygon)[] one = [("D", Sample.Rect(0, 0, 12, 10))];
        var even = DieStamp.Compute(one, 240, default).Dies[0];
        Assert.Equal((2, 2), (Math.Round(even.PeakMPa, 9), Math.Round(even.MinMPa, 9)));
        var kern = DieStamp.Compute(one, 240, new(2, 0)).Dies[0];
        Assert.Equal(4, kern.PeakMPa, 6);
        Assert.Equal(0, kern.MinMPa, 6);
        // outside it nothing pulls: a triangle of pressure 3·(b/2 − e) long, 2F/(3·d·(b/2 − e)) high
        var beyond = DieStamp.Compute(one, 240, new(4, 0)).Dies[0];
        Assert.True(beyond.Lifts);
        Assert.Equal(2 * 240 / (3.0 * 10 * (6 - 4)), beyond.PeakMPa, 4);
        Assert.Equal(240, beyond.LoadN, 4);
    }

    [Fact]
    public void Several_dies_balance_as_a_fine_grid_says()
    {
        var draws = new NormalDraws(41);
        for (var k = 0; k < 40; k++)
        {
            var at = new Point2(-8 + 17 * draws.Uniform(), -2 + 4 * draws.Uniform());
            var stamp = DieStamp.Compute(Two, 300, at);
            if (!stamp.Balanced)
                continue;
            var grid = Grid(Two, 300, at);
            for (var d = 0; d < 2; d++)
            {
                Assert.Equal(grid[d].Load, stamp.Dies[d].LoadN, 0.02 * 300);
                Assert.Equal(grid[d].Peak, stamp.Dies[d].PeakMPa, 0.05 * Math.Max(1, grid[d].Peak));
            }
            Assert.Equal(300, stamp.Dies.Sum(d => d.LoadN), 1e-3);
        }
    }

    [Fact]
    public void A_load_outside_all_dies_tips_the_block_over()
    {
        Assert.False(DieStamp.Compute(Two, 300, new(30, 0)).Balanced);
        // between the dies nothing stands, yet it balances
        Assert.True(DieStamp.Compute(Two, 300, new(0, 0)).Balanced);
    }

    /// <summary>Small squares on springs that do not pull: those that press are found by trying again.</summary>
    private static (double Load, double Peak)[] Grid((string, Polygon)[] dies, double force, Point2 at)
    {
        const double step = 0.1;
        var cells = dies.SelectMany(
                (d, i) =>
                {
                    var b = d.Item2.Bounds;
                    return from x in Enumerable.Range(0, (int)Math.Round(b.Width / step))
                        from y in Enumerable.Range(0, (int)Math.Round(b.Height / step))
                        select (Die: i, At: new Point2(b.MinX + (x + 0.5) * step, b.MinY + (y + 0.5) * step));
                }
            )
            .ToList();
        double[] plane = [1, 0, 0];
        double P(Point2 p) => plane[0] + plane[1] * p.X + plane[2] * p.Y;
        for (var round = 0; round < 200; round++)
        {
            double n = 0,
                x = 0,
                y = 0,
                xx = 0,
                xy = 0,
                yy = 0;
            foreach (var (_, c) in cells)
            {
                if (P(c) <= 0)
                    continue;
                n++;
                x += c.X;
                y += c.Y;
                xx += c.X * c.X;
                xy += c.X * c.Y;
                yy += c.Y * c.Y;
            }
            double[,] m =
            {
                { n, x, y },
                { x, xx, xy },
                { y, xy, yy },
            };
            var next = DenseSolve.Solve(m, [.. new[] { 1, at.X, at.Y }.Select(v => force * v / (step * step))])!;
            // half steps settle where whole ones would swing
            plane = [.. plane.Zip(next, (a, b) => (a + b) / 2)];
        }
        return
        [
            .. dies.Select(
                (_, i) =>
                {
                    var mine = cells.Where(c => c.Die == i).Select(c => Math.Max(0, P(c.At))).ToList();
                    return (mine.Sum() * step * step, dies[i].Item2.Points.Max(P));
                }
            ),
        ];
    }
}

/// <summary>The spreading formula against the exact series for a round source on a round plate.</summary>
public class SpreadingTests
{
    /// <summary>Mean source temperature over the plate's mean: eigenfunctions J₀ on a disc cooled from behind (Yovanovich 1976).</summary>
    private static double Exact(double aM, double bM, double tM, double k, double h)
    {
        double sum = 0;
        for (var n = 1; n <= 400; n++)
        {
            var d = Zero(n);
            var (eps, tau, bi) = (aM / bM, tM / bM, h * bM / k);
            var tanh = Math.Tanh(d * tau);
            var phi = (tanh + d / bi) / (1 + d / bi * tanh);
            var j1 = J(1, d * eps);
            var j0 = J(0, d);
            sum += phi * j1 * j1 / (d * d * d * j0 * j0);
        }
        return 4 * sum / (Math.PI * k * aM * (aM / bM));
    }

    /// <summary>Zeros of J₁: McMahon's expansion, bettered by Newton.</summary>
    private static double Zero(int n)
    {
        var b = (n + 0.25) * Math.PI;
        var x = b - 3 / (8 * b);
        for (var k = 0; k < 4; k++)
            x -= J(1, x) / (J(0, x) - J(1, x) / x);
        return x;
    }

    /// <summary>Bessel's integral by the trapezium rule, exact for a periodic integrand once the steps outnumber the argument.</summary>
    private static double J(int n, double x)
    {
        var steps = 64 + 2 * (int)Math.Abs(x);
        double sum = 0;
        for (var k = 0; k < steps; k++)
        {
            var t = Math.PI * (k + 0.5) / steps;
            sum += Math.Cos(n * t - x * Math.Sin(t));
        }
        return sum / steps;
    }

    [Theory]
    [InlineData(6, 20, 2.5, 390, 5_000)]
    [InlineData(4, 22, 3, 390, 20_000)]
    [InlineData(8, 16, 2, 200, 60_000)]
    [InlineData(3, 30, 5, 390, 2_000)]
    [InlineData(10, 18, 1.5, 390, 30_000)]
    public void It_misses_the_series_by_no_more_than_it_says(double aMm, double bMm, double tMm, double k, double h)
    {
        double Area(double r) => Math.PI * r * r;
        var told = Spreading.Term(Area(aMm), Area(bMm), tMm, k, h);
        var share = told / Exact(aMm / 1000, bMm / 1000, tMm / 1000, k, h) - 1;
        Assert.InRange(share, Spreading.LowShare - 0.005, Spreading.HighShare + 0.005);
    }

    [Fact]
    public void A_source_as_large_as_its_plate_does_not_spread()
    {
        Assert.Equal(0, Spreading.Term(100, 100, 3, 390, 1000));
        Assert.Equal(0.003 / (390 * 100e-6), Spreading.Layer(100, 100, 3, 390, 1000), 12);
    }

    [Fact]
    public void A_crowned_film_is_the_integral_of_its_rings()
    {
        const double least = 0.02,
            crowns = 0.06,
            area = 900,
            k = 4;
        var radius = Math.Sqrt(area / Math.PI);
        double conductance = 0;
        const int rings = 20_000;
        for (var i = 0; i < rings; i++)
        {
            var r = (i + 0.5) * radius / rings;
            var h = least + crowns * r * r / (radius * radius);
            conductance += k * 2 * Math.PI * r * (radius / rings) / h / 1000;
        }
        Assert.Equal(1, Spreading.CrownedFilm(least, crowns, area, k) * conductance, 1e-6);
        Assert.Equal(least / (k * area) * 1000, Spreading.CrownedFilm(least, 0, area, k), 12);
    }
}

public class DirectDieTests
{
    private static DirectDieAsk Ask() =>
        new(SocketTests.Gull(), SocketTests.Processor(), SocketTests.Cooler(), 200, 0.03, 8, new(15, 70));

    [Fact]
    public void The_gain_is_what_the_layers_add_up_to_by_hand()
    {
        var r = DirectDie.Compute(Ask());
        // D1, 0.6 of the power on 120 mm²; lid 36 × 34; fins 36 × 36
        double s = 0.6,
            area = 120,
            lid = 36 * 34,
            fins = 36 * 36,
            h = 1 / (0.03 * fins * 1e-6);
        double Layer(double from, double to, double t, double behind) => Spreading.Layer(from, to, t, 390, behind);
        var paste = 30e-6 / (8 * s * lid * 1e-6);
        var under = Layer(s * lid, s * fins, 3, h);
        var behind = 1 / ((paste + under + 0.03 / s) * s * lid * 1e-6);
        var with = s * (0.15e-3 / (80 * area * 1e-6) + Layer(area, s * lid, 2.5, behind) + paste + under);
        var without = s * (15e-6 / (70 * area * 1e-6) + Layer(area, s * fins, 3, h));
        Assert.Equal("D1", r.Hottest);
        Assert.Equal(with, r.LiddedKPerW, 9);
        Assert.Equal(without, r.DirectKPerW, 9);
        Assert.Equal(200 * (with - without), r.GainK, 9);
        Assert.InRange(r.GainK, r.GainLowK, r.GainHighK);
        Assert.InRange(r.GainK, 1, 40);
        // at the same temperature: P'·(direct + block) = P·(lidded + block)
        Assert.Equal(200 * (with + 0.03) / (without + 0.03) - 200, r.MoreW!.Value, 9);
    }

    [Fact]
    public void Taking_the_lid_off_drops_the_contact_by_lid_and_bond()
    {
        var r = DirectDie.Compute(Ask());
        Assert.Equal(3.4 - 0.75, r.Lidded.ContactMm - r.Direct.ContactMm, 9);
        // 40·4·max(0, 2 + home − 6.5): the springs have run out of travel
        Assert.Equal(0, r.Direct.LoadN);
        Assert.Equal(6.5 - 3.85 - 0.015, r.Direct.ShimMm, 9);
    }

    [Fact]
    public void Power_and_area_have_their_centres()
    {
        var r = DirectDie.Compute(Ask());
        Assert.Equal(0.6 * -6 + 0.4 * 8, r.PowerCentre.X, 9);
        Assert.Equal((120 * -6 + 80 * 8) / 200.0, r.AreaCentre.X, 9);
        Assert.Equal(0, r.LoadCentre.X, 9);
    }

    [Fact]
    public void Shares_that_do_not_quite_sum_to_one_are_divided_and_a_wrong_socket_clashes()
    {
        var processor = SocketTests.Processor();
        var rounded = processor with
        {
            Parts = [.. processor.Parts.Select(p => p.Id == "D1" ? p with { PowerShare = 0.595 } : p)],
        };
        var r = DirectDie.Compute(Ask() with { Processor = rounded });
        Assert.Equal((0.595 * -6 + 0.4 * 8) / 0.995, r.PowerCentre.X, 9);
        var wrong = DirectDie.Compute(Ask() with { Processor = processor with { Socket = "plover" } });
        Assert.Equal(Verdict.Clashes, wrong.Verdict);
        Assert.Contains(wrong.Warnings, w => w.Code == "wrong-socket");
    }

    [Fact]
    public void Aluminium_and_bare_parts_refuse_the_metal_and_bare_copper_warns()
    {
        var processor = SocketTests.Processor();
        var ask = Ask() with
        {
            Block = SocketTests.Cooler() with { ColdPlate = new("aluminium", 3, 90, 0) },
            Processor = processor with
            {
                Parts = [.. processor.Parts, SocketTests.Part("C1", PartKind.Capacitor, 2, 8, 1, 0.5, 0.5)],
            },
        };
        Assert.Equal(["aluminium", "bare-parts"], DirectDie.Compute(ask).Refusals.Select(x => x.Code));
        var copper = Ask() with { Block = SocketTests.Cooler() with { ColdPlate = new("copper", 3, 90, 0) } };
        Assert.Contains(DirectDie.Compute(copper).Warnings, w => w.Code == "bare-copper");
        Assert.Empty(DirectDie.Compute(copper).Refusals);
    }

    [Fact]
    public void A_load_far_off_the_dies_is_a_clash_in_words()
    {
        var block = SocketTests.Cooler(design: 3.85);
        // only the right posts pull
        var right = block.Plates[0].Holes.Where(h => h.X > 0).ToList();
        var r = DirectDie.Compute(
            Ask() with
            {
                Block = block with { Plates = [block.Plates[0] with { Holes = right }] },
            }
        );
        Assert.Equal(Verdict.Clashes, r.Verdict);
        Assert.Contains(r.Warnings, w => w.Code == "overturns");
    }

    [Fact]
    public void What_the_lid_kept_clear_of_may_be_met_when_it_is_off()
    {
        // 5 mm tall under the block's edge: clear at 6.53 mm, met at 3.865
        var board = Sample.Board() with
        {
            Parts = [SocketTests.Part("C9", PartKind.Capacitor, 25, 0, 4, 60, 5)],
        };
        var ask = Ask() with { Block = SocketTests.Cooler() with { Rotations = [0] } };
        Assert.DoesNotContain(DirectDie.Compute(ask).Warnings, w => w.Code == "keep-out");
        var r = DirectDie.Compute(ask with { Board = board });
        Assert.Equal(Verdict.Clashes, r.Verdict);
        Assert.Contains(
            r.Warnings,
            w => w.Code == "keep-out" && w.Text.ToString().Contains("C9 by 1.1", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void Without_a_die_or_a_lid_there_is_nothing_to_decide()
    {
        Assert.Throws<InputException>(() =>
            DirectDie.Compute(Ask() with { Processor = SocketTests.Processor(lid: false) })
        );
        Assert.Throws<InputException>(() =>
            DirectDie.Compute(
                Ask() with
                {
                    Processor = SocketTests.Processor() with { Parts = [SocketTests.Processor().Parts[0]] },
                }
            )
        );
    }
}
