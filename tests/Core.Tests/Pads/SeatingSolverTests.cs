using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>
/// What stiffens a board under a block and what does not, plates without a die, and the sentence at the end.
/// </summary>
public class SeatingSolverTests
{
    private static readonly LaidPad[] Pads = [new("M1", 1, "soft"), new("M2", 1, "soft")];

    /// <summary>A coarse plate: what is compared is calculated on the same one.</summary>
    private static readonly BoardStiffness Coarse = new(Elements: 150);

    private static SeatingResult Of(
        Board? board = null,
        Block? block = null,
        BoardStiffness? stiffness = null,
        LaidPad[]? pads = null
    ) => Rest(board, block, pads, stiffness ?? Coarse);

    private static SeatingResult Rest(
        Board? board,
        Block? block,
        LaidPad[]? pads,
        BoardStiffness? stiffness,
        double most = SeatingSolver.DefaultMaxBondLineUm
    ) =>
        Compute.Seat(
            board ?? Sample.Board(),
            block ?? Sample.Block(),
            pads ?? Pads,
            Sample.Materials,
            Sample.Grey,
            most,
            stiffness
        );

    private static void Same(SeatingResult a, SeatingResult b)
    {
        Assert.Equal(a.Dies[0].LoadN, b.Dies[0].LoadN, 1e-6);
        Assert.Equal(a.PlaneMm, b.PlaneMm, 1e-9);
    }

    private static Board Hot(Func<Part, Part> change) =>
        Sample.Board() with
        {
            Parts = [.. Sample.Board().Parts.Select(p => p.Id == "U1" ? change(p) : p)],
        };

    private static readonly SeatingResult Plain = Of();

    [Fact]
    public void What_lies_behind_or_is_no_package_stiffens_nothing() =>
        Same(
            Plain,
            Of(
                Sample.Board(
                    more:
                    [
                        Sample.Part("X1", PartKind.Connector, 25, 0, 20, 30, 0.5),
                        Sample.Part("D9", PartKind.Die, -20, 0, 20, 30, 0.5) with
                        {
                            Face = Face.Back,
                            NoSubstrate = true,
                        },
                    ]
                )
            )
        );

    [Fact]
    public void A_package_stiffens_as_its_size_thickness_and_solder_say()
    {
        double Load(Substrate? package, BoardStiffness? on = null) =>
            Of(Hot(p => p with { Substrate = package, NoSubstrate = package is null }), stiffness: on).Dies[0].LoadN;
        // a die's usual package reaches 10 mm past it on every side, 1.2 mm thick
        var usual = new Substrate(44, 42, 1.2);
        Assert.Equal(Plain.Dies[0].LoadN, Load(usual), 1e-6);
        Assert.True(Load(usual with { WidthMm = 60, DepthMm = 60 }) > Load(usual) + 0.1);
        Assert.True(Load(usual with { ThicknessMm = 2 }) > Load(usual) + 0.1);
        Assert.True(Load(null) < Load(usual) - 0.1);
        // solder that joins less leaves it softer, unless the package states its own
        Assert.True(Of(stiffness: Coarse with { Joined = 0 }).Dies[0].LoadN < Load(usual) - 0.1);
        Assert.Equal(Load(usual), Load(usual, Coarse with { Joined = 0 }), 0.002 * Load(usual));
        // a lid on a card lies on a package of its own
        var lid = Hot(p => p with { Kind = PartKind.Lid });
        Assert.Equal(28, Substrate.From(lid.FindPart("U1")!, lid)!.WidthMm);
    }

    [Fact]
    public void Over_a_socket_its_frame_and_the_plate_behind_stiffen_and_the_package_does_not()
    {
        var board = Sample.Board() with { SocketFrame = Sample.Rect(0, 0, 50, 50) };
        Board Held(double mm) => board with { Backing = new(Sample.Rect(0, 0, 70, 70), mm, 200_000) };
        var thick = Hot(p => p with { Substrate = new(60, 60, 3) });
        Same(Of(Held(3)), Of(Held(3) with { Parts = thick.Parts }));
        Assert.True(Of(Held(3)).Dies[0].LoadN > Of(Held(1)).Dies[0].LoadN + 0.1);
        Assert.True(Of(Held(1)).Dies[0].LoadN > Of(board).Dies[0].LoadN + 0.01);
        // what presses on the package comes through the frame
        Assert.Equal(50, BoardLayers.Under(board.FindPart("U1")!, board).Bounds.Width);
    }

    [Fact]
    public void A_back_plate_stiffens_what_lies_within_its_screws()
    {
        Block Backed(double factor, double? mm = null, params string[] holes) =>
            Sample.Block() with
            {
                Plates =
                [
                    Sample.Block().Plates[0] with
                    {
                        Holes = [.. Sample.Block().Plates[0].Holes.Select(h => h with { Role = HoleRole.Standoff })],
                    },
                ],
                BackPlate = new()
                {
                    Id = "back",
                    UsesHoles = holes,
                    StiffnessFactor = factor,
                    ThicknessMm = mm,
                },
            };
        string[] four = ["S1", "S2", "S3", "S4"];
        Same(Plain, Of(block: Backed(1, null, four)));
        Same(Plain, Of(block: Backed(4, null, "S1", "S2")));
        var all = Of(block: Backed(4, null, four));
        Assert.True(all.Dies[0].LoadN > Plain.Dies[0].LoadN + 0.1);
        Assert.True(Of(block: Backed(4, null, "S1", "S2", "S3")).Dies[0].LoadN < all.Dies[0].LoadN - 0.01);
        // by hand: 3·22,000·1.6³/(1 − 0.15²) = 70,000·t³/(1 − 0.3²), and the thickness outranks the factor
        var mm = Math.Cbrt(3 * 22_000 * Math.Pow(1.6, 3) / (1 - 0.15 * 0.15) * (1 - 0.3 * 0.3) / 70_000);
        Assert.Equal(all.Dies[0].LoadN, Of(block: Backed(50, mm, four)).Dies[0].LoadN, 0.01 * all.Dies[0].LoadN);
    }

    [Fact]
    public void On_a_bending_board_too_the_edge_is_pressed_by_its_thinnest_film()
    {
        foreach (var seated in new[] { Of(pads: [new("M1", 1.4, "soft"), new("M2", 1, "soft")]), Of() })
        {
            var die = seated.Dies[0];
            Assert.Equal(Sample.Grey.PressureMPa(die.BondLinesUm.Min()), die.PeakMPa, 1e-9);
            Assert.Equal((450, 3), (die.MaxLoadN!.Value, die.MaxPressureMPa!.Value));
            Assert.Equal(4 * 1966.7, die.HoldsN!.Value, 1.0);
            Assert.Equal(["S1", "S2", "S3", "S4"], seated.Screws.Select(s => s.Hole));
            Assert.All(seated.Screws, s => Assert.Equal(1966.7, s.HoldsN!.Value, 0.5));
        }
    }

    [Fact]
    public void The_same_block_turned_a_quarter_seats_the_same()
    {
        // a bow has no direction of its own: board and block turned together
        var quarter = new Placement(0, 0, 90);
        Board Turn(Board b) =>
            b with
            {
                Outline = quarter.Apply(b.Outline),
                Holes = [.. b.Holes.Select(h => h with { X = -h.Y, Y = h.X })],
                Parts = [.. b.Parts.Select(p => p with { X = -p.Y, Y = p.X, RotationDeg = p.RotationDeg + 90 })],
            };
        var block = Sample.Block();
        block = block with
        {
            Plates =
            [
                block.Plates[0] with
                {
                    Outline = quarter.Apply(block.Plates[0].Outline),
                    Lands = [.. block.Plates[0].Lands.Select(l => l with { Outline = quarter.Apply(l.Outline) })],
                    Holes = [.. block.Plates[0].Holes.Select(h => h with { X = -h.Y, Y = h.X })],
                },
            ],
        };
        LaidPad[] uneven = [new("M1", 1.3, "soft"), new("M2", 1, "soft")];
        var (straight, turned) = (Of(pads: uneven), Of(Turn(Sample.Board()), block, pads: uneven));
        Assert.Equal(straight.Dies[0].LoadN, turned.Dies[0].LoadN, 0.01 * straight.Dies[0].LoadN);
        Assert.Equal(straight.TiltDeg[0], turned.TiltDeg[1], 0.003);
        Assert.Equal(straight.Dies[0].BondLinesUm.Min(), turned.Dies[0].BondLinesUm.Min(), 0.5);
        Assert.Equal(straight.Dies[0].BondLinesUm.Max(), turned.Dies[0].BondLinesUm.Max(), 0.5);
    }

    private static SeatingResult Stiff(
        Board? board = null,
        Block? block = null,
        LaidPad[]? pads = null,
        double most = SeatingSolver.DefaultMaxBondLineUm
    ) => Rest(board, block, pads, null, most);

    [Fact]
    public void The_sentence_says_what_pushes_what_is_left_and_the_film()
    {
        var even = Stiff();
        double push = even.Pads.Sum(p => p.LoadN),
            keeps = even.Dies[0].LoadN;
        Assert.Equal(
            FormattableString.Invariant(
                $"The pads push back {push:0} N, the die keeps {keeps:0} N of 450 allowed. Its film is {even.Dies[0].BondLinesUm[0]:0} µm: it does not float."
            ),
            even.Why
        );
        var tilted = Stiff(pads: [new("M1", 1.3, "soft"), new("M2", 1, "soft")]);
        double least = tilted.Dies[0].BondLinesUm.Min(),
            most = tilted.Dies[0].BondLinesUm.Max();
        Assert.True(most - least > 1);
        Assert.Contains(
            FormattableString.Invariant($"Its film is {least:0}–{most:0} µm: it"),
            tilted.Why,
            StringComparison.Ordinal
        );
        // at its thickest corner it floats, just past it no more
        Assert.False(Stiff(pads: [new("M1", 1.3, "soft"), new("M2", 1, "soft")], most: most).Floats);
        var floats = Stiff(pads: [new("M1", 1.3, "soft"), new("M2", 1, "soft")], most: most - 0.01);
        Assert.True(floats.Floats);
        Assert.EndsWith(
            FormattableString.Invariant($" µm, more than {most:0}: the block floats."),
            floats.Why,
            StringComparison.Ordinal
        );
        Assert.Contains("keeps", Stiff(Hot(p => p with { MaxLoadN = null })).Why, StringComparison.Ordinal);
        Assert.DoesNotContain("allowed", Stiff(Hot(p => p with { MaxLoadN = null })).Why, StringComparison.Ordinal);
    }

    [Fact]
    public void Of_two_dies_the_sentence_adds_the_loads_and_gives_the_range_of_both_films()
    {
        var board = Sample.Board(more: Sample.Part("U2", PartKind.Die, 0, 33, 10, 8, 2.08, Cooling.Must));
        var block = Sample.Block();
        block = block with
        {
            Plates =
            [
                block.Plates[0] with
                {
                    Lands =
                    [
                        .. block.Plates[0].Lands,
                        block.Plates[0].Lands[0] with
                        {
                            Id = "L-u2",
                            Outline = Sample.Rect(0, 33, 12, 10),
                        },
                    ],
                },
            ],
        };
        var seated = Stiff(board, block);
        Assert.Equal(["U1", "U2"], seated.Dies.Select(d => d.Part));
        var films = seated.Dies.SelectMany(d => d.BondLinesUm).ToList();
        Assert.EndsWith(
            FormattableString.Invariant(
                $"the die keeps {seated.Dies.Sum(d => d.LoadN):0} N. Its film is {films.Min():0}–{films.Max():0} µm: it does not float."
            ),
            seated.Why,
            StringComparison.Ordinal
        );
        Assert.Equal(
            seated.Screws.Sum(s => s.LoadN),
            seated.Dies.Sum(d => d.LoadN) + seated.Pads.Sum(p => p.LoadN),
            1e-6
        );
    }

    private static Block Plate(Func<Plate, Plate> change) =>
        Sample.Block() with
        {
            Plates = [change(Sample.Block().Plates[0])],
        };

    private static Block Unsprung(double? stop) =>
        Plate(p => p with { Holes = [.. p.Holes.Select(h => h with { Spring = null, StopMm = stop })] });

    [Fact]
    public void Without_spring_and_stop_screws_hold_the_usual_bond_line()
    {
        // a film of 30 µm and nothing else asks for 53 kN/mm of give at most
        var seated = Stiff(block: Unsprung(null), pads: []);
        Assert.All(seated.Dies[0].BondLinesUm, b => Assert.InRange(b, 30, 42));
        Assert.Equal(2.1 + seated.Dies[0].BondLinesUm[0] / 1000, seated.PlaneMm, 1e-9);
        // a stop of its own counts before it
        Assert.True(Stiff(block: Unsprung(2.2), pads: []).PlaneMm > 2.19);
    }

    [Fact]
    public void A_plate_on_standoffs_stands_on_them()
    {
        var block = Plate(p =>
            p with
            {
                Seat = Seat.Standoff,
                StandoffMm = 2.4,
                Lands = [.. p.Lands.Skip(1)],
                Holes = [.. p.Holes.Select(h => h with { Spring = null })],
            }
        );
        var seated = Stiff(block: block);
        // 2.4 − 0.23 − 1.2 = 0.97: three hundredths of squash
        Assert.Equal(2.4, seated.PlaneMm, 3);
        Assert.All(seated.Pads, p => Assert.Equal(0.03, p.Squash, 3));
        Assert.Empty(seated.Dies);
        Assert.Equal("No die is under paste: the plate stands on its standoffs.", seated.Why);
        // without the standoffs' stop the pads alone would carry the springs
        Assert.Equal(
            2.4,
            Stiff(
                block: Plate(p => p with { Seat = Seat.Standoff, StandoffMm = 2.4, Lands = [.. p.Lands.Skip(1)] })
            ).PlaneMm,
            0.002
        );
    }

    [Fact]
    public void Every_fault_of_the_pads_is_told_with_its_place()
    {
        var e = Assert.Throws<InputException>(() =>
            Stiff(pads: [new("M1", 1, "gone"), new("M2", 1, "soft"), new("C7", 1, "soft"), new("M2", 1, "soft")])
        );
        Assert.Equal(["pads/0/material", "pads/2/part"], e.Faults.Select(f => f.Field));
        Assert.Contains("\"gone\" is not known", e.Faults[0].Message, StringComparison.Ordinal);
        var nothing = Assert.Throws<InputException>(() => Stiff(block: Plate(p => p with { Lands = [] }), pads: []));
        Assert.Equal("block/plates", nothing.Faults[0].Field);
    }

    [Fact]
    public void A_part_half_under_its_land_is_pressed_over_that_half()
    {
        // 14 mm wide under a land of 12: 12/14 of the force
        var clipped = Plate(p =>
            p with
            {
                Lands =
                [
                    p.Lands[0],
                    .. p
                        .Lands.Skip(1)
                        .Select(l =>
                            l with
                            {
                                Outline = Sample.Rect(l.Id == "L-m1" ? -15 : 15, l.Id == "L-m1" ? 33 : -33, 12, 13),
                            }
                        ),
                ],
            }
        );
        var (whole, part) = (Stiff(), Stiff(block: clipped));
        double PerSquash(SeatingResult s) => s.Pads[0].LoadN / s.Pads[0].Squash;
        Assert.Equal(12 / 14.0, PerSquash(part) / PerSquash(whole), 0.01);
        Assert.Equal(168, PerSquash(whole), 0.01);
    }

    [Fact]
    public void A_plate_without_screws_is_named() =>
        Assert.StartsWith(
            "Plate main has no screws",
            Assert.Throws<InputException>(() => Stiff(block: Plate(p => p with { Holes = [] }))).Faults[0].Message,
            StringComparison.Ordinal
        );

    [Fact]
    public void On_a_bending_board_each_pad_is_pressed_by_its_own_squash_and_screws_pull()
    {
        var seated = Of(pads: [new("M1", 1.3, "soft"), new("M2", 1, "soft")]);
        Assert.Equal(["M1", "M2"], seated.Pads.Select(p => p.Part));
        // one megapascal for all of it: its squash over 168 mm²
        Assert.All(seated.Pads, p => Assert.Equal(168 * p.Squash, p.LoadN, 1e-6));
        Assert.True(seated.Pads[0].Squash > seated.Pads[1].Squash + 0.02);
        Assert.All(seated.Screws, s => Assert.InRange(s.LoadN, 50, 150));
        Assert.Equal(seated.Screws.Sum(s => s.LoadN), seated.Dies[0].LoadN + seated.Pads.Sum(p => p.LoadN), 0.01);
    }

    [Fact]
    public void Tilted_on_a_stiff_board_the_edge_is_pressed_by_its_thinnest_film_and_one_floating_die_floats_the_block()
    {
        var die = Stiff(pads: [new("M1", 1.3, "soft"), new("M2", 1, "soft")]).Dies[0];
        Assert.True(die.BondLinesUm.Max() > die.BondLinesUm.Min() + 5);
        Assert.Equal(Sample.Grey.PressureMPa(die.BondLinesUm.Min()), die.PeakMPa, 1e-9);
        // a second die half a millimetre lower never meets its land
        var board = Sample.Board(more: Sample.Part("U2", PartKind.Die, 0, 33, 10, 8, 1.6, Cooling.Must));
        var block = Plate(p =>
            p with
            {
                Lands = [.. p.Lands, p.Lands[0] with { Id = "L-u2", Outline = Sample.Rect(0, 33, 12, 10) }],
            }
        );
        var seated = Stiff(board, block);
        Assert.True(seated.Dies[1].BondLinesUm.Min() > 100 && seated.Dies[0].BondLinesUm.Max() < 100);
        Assert.True(seated.Floats);
    }

    [Fact]
    public void A_screw_through_both_plates_pulls_as_hard_as_the_harder_asks()
    {
        var board = Sample.Board(
            more: Sample.Part("B1", PartKind.Memory, 0, 0, 14, 12, 0.9, Cooling.Must) with
            {
                Face = Face.Back,
            }
        );
        var block = Sample.Backed(1.6, 0, Sample.PadLand("Lb", 0, padMm: null));
        // behind the pad asks 168 · 0.3 N of all four, in front the springs ask ninety each
        var both = Stiff(board, block, [.. Pads, new("B1", 1, "soft")]);
        Assert.Equal(
            Stiff().Screws.Select(s => Math.Round(s.LoadN, 6)),
            both.Screws.Select(s => Math.Round(s.LoadN, 6))
        );
    }
}
