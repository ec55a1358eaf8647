using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class MountedBowTests
{
    private static readonly LaidPad[] Pads = [new("M1", 1, "soft"), new("M2", 1, "soft")];

    private static MountedBowResult Bow(double stiffness)
    {
        var block = Sample.Block() with
        {
            BackPlate = new()
            {
                Id = "back",
                UsesHoles = ["S1", "S2", "S3", "S4"],
                StiffnessFactor = stiffness,
            },
        };
        return MountedBow.Compute(
            LaidBlock.Create(Sample.Board(), block),
            Compute.Seat(Sample.Board(), block, Pads, Sample.Materials, Sample.Grey)
        );
    }

    private static double Middle(BowResult r) => r.Map.Mm[r.Map.Rows / 2 * r.Map.Columns + r.Map.Columns / 2]!.Value;

    [Fact]
    public void Die_and_pads_press_the_board_away_between_its_screws_and_a_back_plate_holds_it()
    {
        var bow = Bow(4);
        Assert.True(Middle(bow.Without!) < -0.01);
        Assert.True(Math.Abs(Middle(bow.With!)) < 0.7 * Math.Abs(Middle(bow.Without!)));
        // what the screws hold is what die and pads press
        var seated = Compute.Seat(Sample.Board(), Sample.Block(), Pads, Sample.Materials, Sample.Grey);
        Assert.Equal(
            seated.Dies.Sum(d => d.LoadN) + seated.Pads.Sum(p => p.LoadN),
            bow.Without!.Reactions.Sum(r => r.ForceN),
            0.01
        );
    }

    [Fact]
    public void A_back_plate_that_stiffens_nothing_changes_nothing() => Assert.Null(Bow(1).With);

    [Fact]
    public void Compliance_is_symmetric_and_gives_the_bending_of_balanced_forces()
    {
        var problem = new BowProblem(Sample.Rect(0, 0, 120, 100), 1.6, 22_000, 0.15) { Elements = 900 };
        BowLoad[] at =
        [
            new(-30, -30, 4, 4, 1),
            new(30, -30, 4, 4, 1),
            new(30, 30, 4, 4, 1),
            new(-30, 30, 4, 4, 1),
            new(0, 0, 20, 20, 1),
        ];
        var c = BoardBow.Compliance(problem, at, [new Point2(0, 0)]);
        for (var i = 0; i < 5; i++)
        for (var j = 0; j < i; j++)
            Assert.Equal(c[i, j], c[j, i], 1e-7);
        // the same board on four pins under the middle load: the middle against the corners
        double[] force = [25, 25, 25, 25, -100];
        double Of(int i) => Enumerable.Range(0, 5).Sum(j => c[i, j] * force[j]);
        var pinned = BoardBow.Solve(
            problem with
            {
                Loads = [at[4] with { ForceN = -100 }],
                Supports = [.. at.Take(4).Select(l => new BowSupport(l.X, l.Y, SupportKind.Pinned, 4.5))],
                Probes = [new(0, 0)],
            }
        );
        Assert.Equal(pinned.ProbesMm[0], Of(5) - Of(0), 0.02 * Math.Abs(pinned.ProbesMm[0]));
    }

    /// <summary>Loads as they are, without a solver.</summary>
    private static MountedBowResult Pressed(
        double dieN,
        double[]? screws = null,
        Board? board = null,
        Block? block = null,
        params PadContact[] pads
    )
    {
        var loads = screws ?? [dieN / 4, dieN / 4, dieN / 4, dieN / 4];
        return MountedBow.Compute(
            LaidBlock.Create(board ?? Sample.Board(), block ?? Sample.Block()),
            new(
                [new("U1", [10, 10, 10, 10], dieN, 1, null, null)],
                [0, 0],
                pads,
                [.. loads.Select((n, i) => new ScrewLoad($"S{i + 1}", n))],
                false,
                2.1,
                $""
            )
        );
    }

    [Fact]
    public void Two_screws_of_a_small_block_are_told_a_figure()
    {
        // the two others bear nothing: the board hangs on a diagonal
        var two = Pressed(100, [50, 0, 50, 0]);
        Assert.NotEqual(Validity.Outside, two.Validity);
        Assert.NotNull(two.Without);
        Assert.NotEqual(StrainLevel.Unknown, two.Level);
    }

    [Fact]
    public void Further_than_twice_its_thickness_is_told_in_words()
    {
        var one = Pressed(100);
        // a plate's bending grows as its load: how much brings it to twice 1.6 mm
        var most = 100 * 3.2 / Math.Abs(one.Without!.PeakMm);
        Assert.Equal(Validity.Ok, Pressed(0.99 * most).Validity);
        var far = Pressed(1.01 * most);
        Assert.Equal(Validity.Outside, far.Validity);
        Assert.Null(far.Without);
        Assert.StartsWith("The board would bow more than 2 times its thickness", far.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void Strain_is_watched_from_half_of_what_joints_take_and_a_risk_past_it()
    {
        // the quoted form by hand: √(2.35/1.6)·(1900 − 300·log₁₀ 100)
        Assert.Equal(1575.5, JointStrain.LimitMicro(1.6), 0.1);
        Assert.Equal(Math.Sqrt(2.35) * 1000, JointStrain.LimitMicro(1, 1000), 1e-9);
        var one = Pressed(100);
        var most = 100 * one.LimitMicro / one.Without!.RimMicro!.Value;
        Assert.Equal(StrainLevel.Fine, Pressed(0.49 * most).Level);
        Assert.Equal(StrainLevel.Watch, Pressed(0.51 * most).Level);
        Assert.Equal(StrainLevel.Watch, Pressed(0.99 * most).Level);
        Assert.Equal(StrainLevel.Risk, Pressed(1.01 * most).Level);
        Assert.InRange(one.Without.RimMicro!.Value, one.RangeMicro[0], one.RangeMicro[1]);
        Assert.Equal(StrainLevel.Fine, JointStrain.Level(790, 1000, new() { StrainWatchShare = 0.8 }));
        Assert.Equal(StrainLevel.Risk, JointStrain.Level(790, 1000, new() { StrainRiskShare = 0.7 }));
        // figures end where joints have cracked
        Assert.Equal("over 3151 µε", Pressed(2.02 * most).WithoutStrain);
    }

    [Fact]
    public void A_package_takes_the_load_over_its_outline_and_strain_is_judged_beside_it()
    {
        var board = Sample.Board();
        var without = board with { Parts = [.. board.Parts.Select(p => p with { NoSubstrate = true })] };
        var bare = Pressed(100, board: without);
        Assert.Equal(StrainLevel.Unknown, bare.Level);
        Assert.True(Math.Abs(Pressed(100).Without!.PeakMm) < Math.Abs(bare.Without!.PeakMm));
    }

    [Theory]
    [InlineData(0)]
    [InlineData(0.5)]
    [InlineData(1)]
    public void A_strip_with_a_stiff_middle_bends_as_beams_do(double joined)
    {
        const double length = 190,
            width = 20,
            middle = 60,
            load = 2,
            e = 22_000,
            t = 1.6,
            e2 = 26_000,
            t2 = 1.2;
        // nothing crosswise (ν = 0): a plate is a beam
        var told = BoardBow
            .Solve(
                new(Sample.Rect(0, 0, length, width), t, e, 0)
                {
                    Supports =
                    [
                        .. new[] { -1, 1 }.SelectMany(x =>
                            new[] { -9.9, -5, 0, 5, 9.9 }.Select(y => new BowSupport(
                                x * (length / 2 - 0.01),
                                y,
                                SupportKind.Pinned,
                                0
                            ))
                        ),
                    ],
                    Loads = [new(0, 0, 0.5, width, load)],
                    Layers = [new(Sample.Rect(0, 0, middle, width), t2, e2, 0, joined)],
                    Probes = [new(0, 0)],
                    Elements = 3000,
                }
            )
            .ProbesMm[0];
        double one = e * width * t * t * t / 12,
            ea1 = e * width * t,
            ea2 = e2 * width * t2,
            arm = (t + t2) / 2,
            two = one + e2 * width * t2 * t2 * t2 / 12 + joined * ea1 * ea2 / (ea1 + ea2) * arm * arm,
            a = (length - middle) / 2;
        var w = load / 6 * (a * a * a / one + (Math.Pow(length / 2, 3) - a * a * a) / two);
        Assert.Equal(w, told, 0.03 * w);
    }

    [Fact]
    public void A_layer_of_the_same_stuff_glued_on_is_one_thicker_plate()
    {
        BowProblem Of(double t) =>
            new(Sample.Rect(0, 0, 120, 100), t, 22_000, 0.15)
            {
                Supports = [.. Sample.Corners(45).Select(p => new BowSupport(p.X, p.Y, SupportKind.Pinned, 5))],
                Loads = [new(0, 0, 24, 22, -50)],
            };
        var thick = BoardBow.Solve(Of(2.8)).PeakMm;
        var glued = BoardBow
            .Solve(Of(1.6) with { Layers = [new(Sample.Rect(0, 0, 120, 100), 1.2, 22_000, 0.15, 1)] })
            .PeakMm;
        Assert.Equal(thick, glued, 0.01 * Math.Abs(thick));
    }

    [Fact]
    public void A_pad_behind_presses_the_other_way()
    {
        var pad = Sample.Part("V9", PartKind.Memory, 0, 0, 14, 12, 1.2, Cooling.Must);
        var board = Sample.Board(more: pad with { Face = Face.Back });
        var front = Middle(Pressed(100, board: board).Without!);
        Assert.True(front < 0);
        Assert.True(Middle(Pressed(0.001, [9, 9, 9, 9], board, null, new PadContact("V9", 0.2, 100)).Without!) > 0);
        // what presses from both sides bends less
        var both = Middle(Pressed(100, null, board, null, new PadContact("V9", 0.2, 100)).Without!);
        Assert.True(Math.Abs(both) < 0.3 * Math.Abs(front));
    }

    [Fact]
    public void A_plate_that_stays_behind_the_socket_stiffens_it_and_what_lies_in_a_socket_is_not_soldered()
    {
        var plain = Pressed(100).Without!;
        var held = Sample.Board() with
        {
            Backing = new(Sample.Rect(0, 0, 70, 70), 3, 200_000),
            SocketFrame = Sample.Rect(0, 0, 40, 40),
        };
        var backed = Pressed(100, board: held).Without!;
        Assert.True(Math.Abs(backed.PeakMm) < 0.5 * Math.Abs(plain.PeakMm));
        Assert.True(backed.RimMicro < plain.RimMicro);
    }

    [Fact]
    public void A_back_plate_reaches_over_its_own_holes_and_the_die_ring()
    {
        var block = Sample.Block();
        Block Backed(HoleRole role, params string[] uses) =>
            block with
            {
                BackPlate = new()
                {
                    Id = "back",
                    UsesHoles = uses,
                    StiffnessFactor = 4,
                },
                Plates =
                [
                    block.Plates[0] with
                    {
                        Holes = [.. block.Plates[0].Holes.Select(h => h with { Role = role })],
                    },
                ],
            };
        Assert.NotNull(Pressed(100, block: Backed(HoleRole.Retention)).With);
        Assert.NotNull(Pressed(100, block: Backed(HoleRole.Perimeter, "S1", "S2", "S3", "S4")).With);
        Assert.Null(Pressed(100, block: Backed(HoleRole.Perimeter)).With);
    }
}
