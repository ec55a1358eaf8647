using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class SeatingTests
{
    private static readonly LaidPad[] Pads = [new("M1", 1, "soft"), new("M2", 1, "soft")];

    private static SeatingResult Solve(Block? block = null, LaidPad[]? pads = null) =>
        Compute.Seat(Sample.Board(), block ?? Sample.Block(), pads ?? Pads, Sample.Materials, Sample.Grey);

    [Fact]
    public void Symmetric_seating_equals_the_closed_form()
    {
        // 4·k·(travel + h) = A·τ·(c/h)^(1/m) + 2·a·E·(t − gap)/t with gap = 0.67 + h, by bisection on the film h in mm
        double Balance(double h) =>
            4 * 75 * (1.2 + h)
            - 24 * 22 * Sample.Grey.PressureMPa(h * 1000)
            - 2 * 14 * 12 * (1 - (2.1 - 0.23 - 1.2 + h)) / 1;
        double low = 0.001,
            high = 0.5;
        for (var i = 0; i < 100; i++)
        {
            var mid = (low + high) / 2;
            if (Balance(mid) < 0)
                low = mid;
            else
                high = mid;
        }
        var seated = Solve();
        Assert.All(seated.Dies[0].BondLinesUm, b => Assert.Equal(low * 1000, b, 4));
        Assert.Equal(0, seated.TiltDeg[0], 6);
        Assert.Equal(0, seated.TiltDeg[1], 6);
        Assert.False(seated.Floats);
    }

    [Fact]
    public void Forces_balance() =>
        Assert.Equal(
            Solve().Screws.Sum(s => s.LoadN),
            Solve().Dies.Sum(d => d.LoadN) + Solve().Pads.Sum(p => p.LoadN),
            1e-6
        );

    [Fact]
    public void A_very_stiff_laminate_seats_as_a_rigid_board()
    {
        var (rigid, elastic) = (Solve(), Bent(new(EMPa: 2.2e9)));
        for (var k = 0; k < 4; k++)
            Assert.Equal(rigid.Dies[0].BondLinesUm[k], elastic.Dies[0].BondLinesUm[k], 0.01);
        Assert.Equal(rigid.Dies[0].LoadN, elastic.Dies[0].LoadN, 0.05);
    }

    [Fact]
    public void On_a_bending_board_forces_balance_and_the_screws_relax()
    {
        var (rigid, bent) = (Solve(), Bent(new()));
        Assert.Equal(bent.Screws.Sum(s => s.LoadN), bent.Dies.Sum(d => d.LoadN) + bent.Pads.Sum(p => p.LoadN), 1e-3);
        // the screws lift the board towards the plate, so their springs are squeezed less
        Assert.True(bent.Screws.Sum(s => s.LoadN) < rigid.Screws.Sum(s => s.LoadN));
        Assert.Equal(bent.Dies[0].BondLinesUm[0], bent.Dies[0].BondLinesUm[2], 0.05);
    }

    [Fact]
    public void A_softer_laminate_relaxes_more() =>
        Assert.True(Bent(new(EMPa: 8000)).Dies[0].LoadN < Bent(new()).Dies[0].LoadN);

    private static SeatingResult Bent(BoardStiffness stiffness) =>
        Compute.Seat(Sample.Board(), Sample.Block(), Pads, Sample.Materials, Sample.Grey, elastic: stiffness);

    [Fact]
    public void Too_thick_pads_float_the_block_off_the_die()
    {
        var stiff = Sample.Soft with { Id = "stiff", Curve = [new(0, 0), new(0.5, 2)] };
        var seated = Compute.Seat(
            Sample.Board(),
            Sample.Block(),
            [new("M1", 1.5, "stiff"), new("M2", 1.5, "stiff")],
            new Dictionary<string, PadMaterial> { ["stiff"] = stiff },
            Sample.Grey
        );
        Assert.True(seated.Floats);
        Assert.Contains("floats", seated.Why, StringComparison.Ordinal);
    }

    [Fact]
    public void Where_stops_lie_below_the_die_words_are_told_instead_of_tons()
    {
        var block = Sample.Block();
        var stopped = block with
        {
            Plates =
            [
                block.Plates[0] with
                {
                    Holes = [.. block.Plates[0].Holes.Select(h => h with { Spring = null, StopMm = 2.01 })],
                },
            ],
        };
        var clamped = Solve(stopped);
        // four M2.5 of 1,967 N each
        Assert.True(clamped.Dies[0].LoadN > 8000);
        Assert.Equal("over 7867 N: screws strip", clamped.Dies[0].LoadText);
        Assert.Equal("over 3 times the limit: the edge chips", clamped.Dies[0].EdgeText);
        Assert.True(clamped.ScrewsStrip);
        Assert.Equal(
            "4 screws would have to pull over 1967 N and strip first: check the heights of stops and die.",
            clamped.Why
        );
        var sound = Solve();
        Assert.False(sound.ScrewsStrip);
        Assert.Equal(FormattableString.Invariant($"{sound.Dies[0].LoadN:0} N"), sound.Dies[0].LoadText);
        Assert.Equal(FormattableString.Invariant($"{sound.Dies[0].PeakMPa:0.0} MPa"), sound.Dies[0].EdgeText);
        // and so are the turns that lead there
        var turns = Compute.Tighten(Sample.Board(), stopped, Pads, Sample.Materials, Sample.Grey);
        var last = turns.Moves[^1];
        Assert.True(last.Strips);
        Assert.EndsWith(
            " turns. 4 screws would have to pull over 1967 N and strip first: check the heights of stops and die.",
            turns.Summary,
            StringComparison.Ordinal
        );
        Assert.Equal("over 1967 N: screws strip", last.LoadText);
        // 0.2 · 2.5 mm · 1,967 N
        Assert.Equal("over 98.3 N·cm", last.TorqueText);
        Assert.False(turns.Moves[0].Strips);
        Assert.Equal(FormattableString.Invariant($"{turns.Moves[0].LoadN:0} N"), turns.Moves[0].LoadText);
        Assert.Equal(
            FormattableString.Invariant($"{100 * turns.Moves[0].TorqueNm:0.0} N·cm"),
            turns.Moves[0].TorqueText
        );
    }

    [Fact]
    public void One_thick_pad_tilts_the_plate_away_from_it()
    {
        var seated = Solve(pads: [new("M1", 1.5, "soft"), new("M2", 1, "soft")]);
        // M1 lies at +y: the plate rises there, a right-handed turn about +x
        Assert.True(seated.TiltDeg[0] > 0.01);
        Assert.True(seated.Dies[0].BondLinesUm[2] > seated.Dies[0].BondLinesUm[0]);
    }

    [Fact]
    public void An_eccentric_load_on_a_linear_foundation_tilts_by_M_over_kI()
    {
        // foundation: one pad 40 × 20, stress E·squash, so k = E/t per area; load F at x = 3
        const double e = 0.8,
            t = 2,
            f = 50,
            x = 3;
        var pad = new SqueezedPad([.. Quadrature.Rectangle(default, 40, 20, 0, 3)], 0, t, new([new(0, 0), new(1, e)]));
        var pose = PlateBalance.Solve([pad, new Pull(new(x, 0), f)], new(t - 0.2, 0, 0));
        double k = e / t,
            inertia = 20 * Math.Pow(40, 3) / 12;
        Assert.Equal(-f * x / (k * inertia), pose.SlopeX, 9);
        Assert.Equal(t - f / (k * 800), pose.ZMm, 9);
    }

    [Fact]
    public void The_start_does_not_matter()
    {
        var model = Compute.Models(
            Sample.Board(),
            Sample.Block(),
            [new("M1", 1.5, "soft"), new("M2", 1, "soft")],
            Sample.Materials,
            Sample.Grey
        )[0];
        List<Contact> contacts =
        [
            .. model.Films.Select(f => f.Film),
            .. model.Pads.Select(p => p.Contact),
            .. model.Screws().Select(s => s.Contact),
        ];
        PlatePose[] ends =
        [
            .. new PlatePose[] { new(2.11, 0, 0), new(5, 0.02, -0.03), new(1, -0.05, 0.05), new(2.2, 0.004, 0) }.Select(
                s => PlateBalance.Solve(contacts, s)
            ),
        ];
        Assert.All(
            ends,
            p =>
            {
                Assert.Equal(ends[0].ZMm, p.ZMm, 9);
                Assert.Equal(ends[0].SlopeX, p.SlopeX, 9);
                Assert.Equal(ends[0].SlopeY, p.SlopeY, 9);
            }
        );
    }

    [Fact]
    public void Nothing_that_pulls_is_refused_with_a_reason()
    {
        var block = Sample.Block();
        var loose = block with { Plates = [block.Plates[0] with { Holes = [] }] };
        Assert.Throws<InputException>(() => Solve(loose));
    }

    [Fact]
    public void A_pad_where_no_land_is_is_refused() =>
        Assert.Equal(
            "pads/0/part",
            Assert.Throws<InputException>(() => Solve(pads: [new("U1", 1, "soft")])).Faults[0].Field
        );

    [Fact]
    public void Yield_stress_is_brought_to_megapascal() =>
        // h = 131·(110e-6/0.5)^0.166 µm
        Assert.Equal(131 * Math.Pow(110e-6 / 0.5, 0.166), Sample.Grey.BondLineUm(0.5), 9);

    private sealed class Pull(Point2 at, double n) : Contact([new(at.X, at.Y, 1)])
    {
        public override (double Force, double Slope) At(double heightMm) => (-n, 0);
    }
}
