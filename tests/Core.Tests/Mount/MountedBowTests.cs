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
        return MountedBow.Of(
            LaidBlock.Of(Sample.Board(), block),
            Reckon.Seat(Sample.Board(), block, Pads, Sample.Materials, Sample.Grey)
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
        var seated = Reckon.Seat(Sample.Board(), Sample.Block(), Pads, Sample.Materials, Sample.Grey);
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
        return MountedBow.Of(
            LaidBlock.Of(board ?? Sample.Board(), block ?? Sample.Block()),
            new(
                [new("U1", [10, 10, 10, 10], dieN, 1, null, null)],
                [0, 0],
                pads,
                [.. loads.Select((n, i) => new ScrewLoad($"S{i + 1}", n))],
                false,
                2.1,
                ""
            )
        );
    }

    [Fact]
    public void Screws_in_a_line_hold_nothing_and_no_figure_is_told()
    {
        // the third bears no load worth its name
        var two = Pressed(100, [50, 0.1, 50, 0.05]);
        Assert.Equal(Validity.Outside, two.Validity);
        Assert.Null(two.Without);
        Assert.StartsWith("The screws that carry load lie in a line", two.Text, StringComparison.Ordinal);
        Assert.Equal(Validity.Ok, Pressed(100, [50, 0.11, 50, 0]).Validity);
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
    public void Joints_take_five_hundred_millionths()
    {
        var one = Pressed(100);
        var most = 100 * JointStrain.LimitMicro / one.Without!.WatchedStrainMicro!.Value;
        Assert.EndsWith(
            "millionths, under the 500 that joints take.",
            Pressed(0.98 * most).Text,
            StringComparison.Ordinal
        );
        Assert.EndsWith(
            "past the 500 that joints take: a stiffer back plate or thinner pads ease it.",
            Pressed(1.02 * most).Text,
            StringComparison.Ordinal
        );
        Assert.Contains(
            FormattableString.Invariant($"bows {Math.Abs(one.Without.PeakMm):0.00} mm"),
            one.Text,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Far_past_what_joints_take_no_figure_is_told()
    {
        var one = Pressed(1);
        var most = JointStrain.MostTimes * JointStrain.LimitMicro / one.Without!.WatchedStrainMicro!.Value;
        var near = Pressed(0.98 * most);
        Assert.Contains("reaches 1960 millionths, past the 500", near.Text, StringComparison.Ordinal);
        Assert.Equal("1960 millionths", near.WithoutStrain);
        var far = Pressed(1.02 * most);
        Assert.Contains("reaches over 2000 millionths, where joints crack", far.Text, StringComparison.Ordinal);
        Assert.Equal("over 2000 millionths, where joints crack", far.WithoutStrain);
        Assert.True(near.PastLimit);
        Assert.False(one.PastLimit);
        // and the bow itself is still inside the model
        Assert.Equal(Validity.Ok, far.Validity);
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
        var backed = Pressed(100, board: Sample.Board() with { Backing = new(Sample.Rect(0, 0, 70, 70), 40) }).Without!;
        Assert.True(Math.Abs(backed.PeakMm) < 0.5 * Math.Abs(plain.PeakMm));
        Assert.True(backed.WatchedStrainMicro < plain.WatchedStrainMicro);
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

    /// <summary>The same loads given to the plate by hand; <paramref name="stiff"/> and <paramref name="watched"/> as they are to lie.</summary>
    private static BowResult ByHand((Polygon, double)[] stiff, Polygon[] watched) =>
        BoardBow.Solve(
            new(Sample.Rect(0, 0, 120, 100), 1.6, 22_000, 0.15)
            {
                Supports = [.. Sample.Corners(29).Select(p => new BowSupport(p.X, p.Y, SupportKind.Pinned, 5))],
                Loads = [new(0, 0, 24, 22, -100), new(-15, 33, 14, 12, -8), new(0, -35, 16, 10, 6)],
                Elements = 1200,
                Stiffeners = stiff,
                Watched = watched,
            }
        );

    private static void Same(BowResult expected, BowResult told)
    {
        Assert.Equal(expected.PeakMm, told.PeakMm, 1e-6 * Math.Abs(expected.PeakMm));
        Assert.Equal(expected.StrainMicro, told.StrainMicro, 1e-6 * expected.StrainMicro);
        Assert.Equal(expected.WatchedStrainMicro!.Value, told.WatchedStrainMicro!.Value, 1e-6 * expected.StrainMicro);
    }

    /// <summary>A coil and a can in the middle of the board bend most, and are not watched.</summary>
    private static Board Crowded(PartKind hot, Backing? backing = null)
    {
        var board = Sample.Board(
            more:
            [
                Sample.Part("V9", PartKind.Memory, 0, -35, 16, 10, 1.2, Cooling.Must) with
                {
                    Face = Face.Back,
                },
                Sample.Part("L9", PartKind.Inductor, 29, 0, 10, 10, 4, Cooling.Must),
                Sample.Part("C9", PartKind.Capacitor, -29, -25, 6, 6, 4, Cooling.Must),
                Sample.Part("X9", PartKind.Connector, -29, 0, 10, 30, 4),
                Sample.Part("D9", PartKind.Die, -40, 0, 10, 10, 1) with
                {
                    Face = Face.Back,
                },
            ]
        );
        return board with
        {
            Backing = backing,
            Parts = [.. board.Parts.Select(p => p.Id == "U1" ? p with { Kind = hot } : p)],
        };
    }

    private static readonly PadContact[] Crowd = [new("M1", 0.2, 8), new("V9", 0.2, 6), new("M2", 0.2, 0)];
    private static readonly Polygon[] Memories =
    [
        Sample.Rect(-15, 33, 14, 12),
        Sample.Rect(15, -33, 14, 12),
        Sample.Rect(0, -35, 16, 10),
    ];

    [Theory]
    [InlineData(PartKind.Die)]
    [InlineData(PartKind.Lid)]
    public void The_hot_package_stiffens_the_board_by_its_rim_and_strain_is_looked_for_under_soldered_chips(
        PartKind hot
    ) =>
        Same(
            ByHand(
                [(Sample.Rect(0, 0, 24, 22), 300), (Sample.Rect(0, 0, 34, 32), 6)],
                [Sample.Rect(0, 0, 34, 32), .. Memories]
            ),
            Pressed(100, board: Crowded(hot), pads: Crowd).Without!
        );

    [Theory]
    [InlineData(PartKind.Die)]
    [InlineData(PartKind.Lid)]
    public void Over_a_socket_the_plate_behind_stiffens_and_the_package_is_not_soldered(PartKind hot) =>
        Same(
            ByHand([(Sample.Rect(0, 0, 70, 70), 40)], Memories),
            Pressed(100, board: Crowded(hot, new(Sample.Rect(0, 0, 70, 70), 40)), pads: Crowd).Without!
        );

    [Fact]
    public void The_back_plate_lies_over_the_hull_of_its_holes_and_both_strains_are_told()
    {
        var told = Pressed(
            100,
            board: Crowded(PartKind.Die),
            block: Sample.Block() with
            {
                BackPlate = new()
                {
                    Id = "back",
                    UsesHoles = [],
                    StiffnessFactor = 5,
                },
            },
            pads: Crowd
        );
        var backed = ByHand(
            [(Sample.Rect(0, 0, 24, 22), 300), (Sample.Rect(0, 0, 34, 32), 6), (Sample.Rect(0, 0, 58, 58), 5)],
            [Sample.Rect(0, 0, 34, 32), .. Memories]
        );
        Same(backed, told.With!);
        Assert.Equal(JointStrain.InWords(backed.WatchedStrainMicro!.Value), told.WithStrain);
        Assert.Equal(JointStrain.InWords(told.Without!.WatchedStrainMicro!.Value), told.WithoutStrain);
        Assert.Contains($"reaches {told.WithStrain},", told.Text, StringComparison.Ordinal);
        Assert.Null(Pressed(100).WithStrain);
    }

    [Fact]
    public void Screws_nearly_in_a_line_give_a_rough_figure_and_it_says_so()
    {
        static double Near(double y) => Math.Sign(y) * 2;
        var board = Sample.Board();
        board = board with { Holes = [.. board.Holes.Select(h => h with { Y = Near(h.Y) })] };
        var block = Sample.Block();
        block = block with
        {
            Plates =
            [
                block.Plates[0] with
                {
                    Holes = [.. block.Plates[0].Holes.Select(h => h with { Y = Near(h.Y) })],
                },
            ],
        };
        var weak = Pressed(4, board: board, block: block);
        Assert.Equal(Validity.Weak, weak.Validity);
        Assert.EndsWith("take this as a rough figure.", weak.Text, StringComparison.Ordinal);
        Assert.EndsWith("joints take.", Pressed(4).Text, StringComparison.Ordinal);
    }
}
