using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Every judgement of a fit: its weight, its figures, and what the verdict is called.</summary>
public class FitReasonTests
{
    private static Block Change(Func<Plate, Plate> change)
    {
        var block = Sample.Block();
        return block with { Plates = [change(block.Plates[0])] };
    }

    private static Block Hole(string id, Func<BlockHole, BlockHole> change) =>
        Change(p => p with { Holes = [.. p.Holes.Select(h => h.Id == id ? change(h) : h)] });

    private static Reason Reason(FitResult fit, string code) => fit.Reasons.Single(r => r.Code == code);

    [Fact]
    public void All_screws_pass_and_the_worst_is_told_with_its_slack()
    {
        var fit = Fit.Judge(Sample.Board(), Sample.Block());
        var told = Reason(fit, "screws-pass");
        Assert.Equal(Weight.Note, told.Weight);
        // 2.8 mm hole, 2.5 mm screw: 0.15 mm to each side
        Assert.Contains("All 4 screws pass", told.Text, StringComparison.Ordinal);
        Assert.Contains("0.00 of 0.15 mm slack used", told.Text, StringComparison.Ordinal);
        Assert.Equal(("seats, all screws pass", Verdict.Seats), (fit.Summary, fit.Verdict));
    }

    [Fact]
    public void A_screw_too_wide_for_its_hole_can_not_pass()
    {
        var fit = Fit.Judge(Sample.Board(), Hole("S1", h => h with { ScrewMm = 3 }));
        var told = Reason(fit, "screw-too-wide");
        Assert.Equal(Weight.Clash, told.Weight);
        Assert.Equal("Screw S1 is 0.20 mm too wide for hole H1.", told.Text);
        Assert.Equal(["S1", "H1"], told.Refs);
        Assert.Equal(("screws do not line up", Verdict.Clashes), (fit.Summary, fit.Verdict));
        var spare = Fit.Judge(Sample.Board(), Hole("S1", h => h with { ScrewMm = 3, Required = false }));
        Assert.Equal(Weight.Note, Reason(spare, "screw-too-wide").Weight);
        Assert.EndsWith(
            "it is optional and stays out.",
            Reason(spare, "screw-too-wide").Text,
            StringComparison.Ordinal
        );
        Assert.DoesNotContain(spare.Reasons, r => r.Code == "screws-pass");
    }

    [Fact]
    public void A_screw_beside_its_hole_says_by_how_much()
    {
        var fit = Fit.Judge(Sample.Board(), Hole("S1", h => h with { X = h.X + 0.8, Required = false }));
        var told = Reason(fit, "screw-misses");
        Assert.Contains(
            "Screw S1 misses H1 by 0.80 mm, slack 0.15 mm; it is optional",
            told.Text,
            StringComparison.Ordinal
        );
        Assert.Equal(Verdict.Seats, fit.Verdict);
        var lost = Fit.Judge(Sample.Board(), Hole("S1", h => h with { X = h.X - 20, Required = false }));
        Assert.StartsWith(
            "Screw S1 finds no hole in the board within",
            Reason(lost, "hole-missing").Text,
            StringComparison.Ordinal
        );
        Assert.Equal(["S1"], Reason(lost, "hole-missing").Refs);
    }

    [Fact]
    public void Without_paste_over_a_die_nothing_fixes_the_height()
    {
        var fit = Fit.Judge(Sample.Board(), Change(p => p with { Lands = [.. p.Lands.Skip(1)] }));
        Assert.Equal(Weight.Clash, Reason(fit, "no-plane").Weight);
        Assert.Null(fit.PlaneMm);
        Assert.Equal("the block misses the die", fit.Summary);
        var held = Fit.Judge(
            Sample.Board(),
            Change(p => p with { Lands = [.. p.Lands.Skip(1)], Seat = Seat.Standoff, StandoffMm = 2.2 })
        );
        Assert.DoesNotContain(held.Reasons, r => r.Code == "no-plane");
    }

    [Fact]
    public void A_place_where_nothing_fixes_the_height_is_no_way_out_of_a_clash()
    {
        // drawn off the board, the block can go over the die, where a capacitor is too tall, or 140 mm beside it
        // over nothing but hot memory
        var board = Sample.Board(
            more:
            [
                Sample.Part("C9", PartKind.Capacitor, 25, 10, 2, 2, 9),
                Sample.Part("M8", PartKind.Memory, 125, 33, 14, 12, 1.2, Cooling.Must) with
                {
                    DissipationW = 900,
                },
            ]
        ) with
        {
            Outline = Sample.Rect(70, 0, 260, 100),
        };
        board = board with
        {
            Holes = [.. board.Holes, .. board.Holes.Select(h => h with { Id = h.Id + "b", X = h.X + 140 })],
        };
        var block = Change(p =>
            p with
            {
                Outline = Moved(p.Outline),
                Lands = [.. p.Lands.Select(l => l with { Outline = Moved(l.Outline) })],
                Holes = [.. p.Holes.Select(h => h with { Y = h.Y + 500 })],
            }
        );
        var fit = Fit.Judge(board, block);
        Assert.NotNull(fit.PlaneMm);
        Assert.Equal(["C9"], Reason(fit, "clash").Refs);
        static Polygon Moved(Polygon p) => new Placement(0, 500, 0).Apply(p);
    }

    [Theory]
    // plane 2.13 mm, underside 0.9 mm further: 3.03 mm of room
    [InlineData(3.2, "clash", Weight.Clash, "C9 (capacitor) meets the block's underside: 0.17 mm too tall.")]
    [InlineData(
        2.9,
        "tight",
        Weight.Work,
        "C9 clears the underside by only 0.13 mm, less than 0.3: measure it before mounting."
    )]
    [InlineData(2.5, "tightest", Weight.Note, "Of 1 part under the plate the tightest is C9, 0.53 mm clear.")]
    public void Room_over_a_part_is_told_to_a_hundredth(double height, string code, Weight weight, string text)
    {
        var board = Sample.Board(more: Sample.Part("C9", PartKind.Capacitor, 25, 10, 2, 2, height));
        var fit = Fit.Judge(board, Sample.Block());
        Assert.Equal((weight, text), (Reason(fit, code).Weight, Reason(fit, code).Text));
        Assert.Equal(["C9"], Reason(fit, code).Refs);
        Assert.Equal(
            height switch
            {
                3.2 => "C9 clashes by 0.17 mm",
                2.9 => "seats, C9 tight 0.13 mm",
                _ => "seats, tightest 0.53 mm",
            },
            fit.Summary
        );
    }

    [Fact]
    public void A_land_that_meets_its_own_part_floats_the_block()
    {
        // the memory's land lies 0.23 mm nearer than the die's: 1.9 mm over the board
        var board = Sample.Board();
        var tall = board with { Parts = [.. board.Parts.Select(p => p.Id == "M1" ? p with { HeightMm = 2.0 } : p)] };
        var told = Reason(Fit.Judge(tall, Sample.Block()), "land-meets-part");
        Assert.Equal(
            "M1 stands 0.10 mm higher than its land: the block would rest on it and float off the die.",
            told.Text
        );
        Assert.Equal(Weight.Clash, told.Weight);
    }

    [Theory]
    // a gap of 0.70 mm under the land of the memory
    [InlineData(0.695, true)]
    [InlineData(0.69, true)]
    [InlineData(0.705, false)]
    public void A_supplied_pad_that_does_not_touch_is_work(double pad, bool thin)
    {
        var block = Change(p =>
            p with
            {
                Lands = [.. p.Lands.Select(l => l.Id == "L-m1" ? l with { PadMm = pad, StepTolMm = 0 } : l)],
            }
        );
        var told = Fit.Judge(Sample.Board(), block).Reasons.SingleOrDefault(r => r.Code == "pad-too-thin");
        Assert.Equal(thin, told is not null);
        if (told is not null)
            Assert.Equal((Weight.Work, "M1", "L-m1"), (told.Weight, told.Refs[0], told.Refs[1]));
    }

    [Fact]
    public void Hot_parts_that_no_land_covers_are_named_up_to_six()
    {
        Board Hot(int count) =>
            Sample.Board(
                more:
                [
                    .. Enumerable
                        .Range(1, count)
                        .Select(i =>
                            Sample.Part($"Q{i}", PartKind.PowerStage, -50, 6 * i - 30, 4, 4, 0.8, Cooling.Must)
                        ),
                ]
            );
        var one = Fit.Judge(Hot(1), Sample.Block());
        Assert.Equal("No land covers Q1: it needs passive sinks and airflow.", Reason(one, "uncovered").Text);
        Assert.Equal("seats, 1 part needs a sink", one.Summary);
        Assert.Equal(
            "No land covers Q1, Q2, Q3, Q4, Q5, Q6: they need passive sinks and airflow.",
            Reason(Fit.Judge(Hot(6), Sample.Block()), "uncovered").Text
        );
        Assert.StartsWith(
            "No land covers Q1, Q2, Q3, Q4, Q5 and 3 more: they",
            Reason(Fit.Judge(Hot(8), Sample.Block()), "uncovered").Text,
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData(EvidenceGrade.B, "Grade B: no statement for HT-1 R1")]
    [InlineData(EvidenceGrade.C, "Grade C: judged from a board traced")]
    [InlineData(EvidenceGrade.D, "Grade D: judged from a twin")]
    [InlineData(EvidenceGrade.E, "Grade E: the maker's opinion")]
    public void The_grade_says_what_the_verdict_rests_on(EvidenceGrade grade, string text)
    {
        var fit = Fit.Judge(Sample.Board() with { Evidence = grade }, Sample.Block() with { DeclaredFor = [] });
        Assert.Equal(grade, fit.Grade);
        Assert.StartsWith(text, Reason(fit, "evidence").Text, StringComparison.Ordinal);
    }

    [Fact]
    public void A_statement_is_of_its_board_code_and_revision()
    {
        EvidenceGrade Grade(params Declaration[] stated) =>
            Fit.Grade(Sample.Board(), Sample.Block() with { DeclaredFor = stated });
        Assert.Equal(EvidenceGrade.A, Grade(new Declaration("Harrow & Tull", "HT-1", ["R0", "R1"])));
        Assert.Equal(EvidenceGrade.A, Grade(new Declaration("Harrow & Tull", "HT-1", [])));
        Assert.Equal(EvidenceGrade.B, Grade(new Declaration("Harrow & Tull", "HT-1", ["R2"])));
        Assert.Equal(EvidenceGrade.B, Grade(new Declaration("Harrow & Tull", "HT-2", [])));
        Assert.Equal(EvidenceGrade.B, Grade(new Declaration("Another", "HT-1", [])));
        Assert.Equal(EvidenceGrade.C, Fit.Grade(Sample.Board(0.1), Sample.Block() with { DeclaredFor = [] }));
    }

    [Fact]
    public void The_reason_that_decides_stands_first()
    {
        var board = Sample.Board(more: Sample.Part("C9", PartKind.Capacitor, 25, 10, 2, 2, 2.9));
        var block = Hole("S1", h => h with { ScrewMm = 3 });
        Assert.Equal("screw-too-wide", Fit.Judge(board, block).Reasons[0].Code);
        Assert.Equal("tight", Fit.Judge(board, Sample.Block()).Reasons[0].Code);
    }

    private static IReadOnlyList<PassiveSink> Sinks(Board board, params KitSink[] kit) =>
        PassiveSinks.For(
            board,
            Sample.Block() with
            {
                Kit = new() { Sinks = kit },
            },
            [.. board.Parts.Select(p => p.Id)],
            40
        );

    [Fact]
    public void The_hottest_part_gets_the_sink_that_suits_it_and_each_is_used_once()
    {
        static Part Hot(string id, double watts, double x) =>
            Sample.Part(id, PartKind.PowerStage, x, 0, 6, 6, 1) with
            {
                DissipationW = watts,
                LimitC = 105,
            };
        var board = Sample.Board() with { Parts = [Hot("a", 1, 0), Hot("b", 3, 30), Hot("c", 2, 60)] };
        var small = new KitSink(9, 9, 5, 20, 1);
        var large = new KitSink(14, 14, 6, 10, 1);
        var placed = Sinks(board, large, small);
        // 9 mm reaches over a part of 6 mm by no more than 2 mm to each side; 14 mm does, and comes second
        Assert.Equal(["b", "c"], placed.Select(p => p.Part));
        Assert.Equal((9, 40 + 3 * 20.0, 105.0), (placed[0].WidthMm, placed[0].TemperatureC, placed[0].LimitC!.Value));
        Assert.Equal((14, 40 + 2 * 10.0), (placed[1].WidthMm, placed[1].TemperatureC));
        // of two that suit, the better one
        Assert.Equal(40 + 3 * 12.0, Sinks(board, small, small with { RKPerW = 12 })[0].TemperatureC);
        Assert.Empty(Sinks(board));
        Assert.Equal(3, Sinks(board, small with { Count = 5 }).Count);
    }

    [Fact]
    public void A_sink_meets_no_neighbour_and_as_many_parts_as_can_be_get_one()
    {
        static Part Chip(string id, double watts, double x, double size, double height) =>
            Sample.Part(id, PartKind.Memory, x, 0, size, size, height) with
            {
                DissipationW = watts,
            };
        // between taller neighbours only the narrow one has room; the hot chip with a choice leaves it to it
        var board = Sample.Board() with
        {
            Parts = [Chip("free", 3, 60, 10, 1), Chip("tight", 1, 0, 8, 1), Chip("wall", 0, 9, 6, 4)],
        };
        var (narrow, wide) = (new KitSink(8, 8, 8, 14, 1), new KitSink(14, 14, 10, 18, 1));
        var placed = PassiveSinks.For(
            board,
            Sample.Block() with
            {
                Kit = new() { Sinks = [narrow, wide] },
            },
            ["free", "tight"],
            40
        );
        Assert.Equal([("free", 14.0), ("tight", 8.0)], placed.Select(p => (p.Part, p.WidthMm)));
        // and none of the demo's meets another
        var fit = Fit.Judge(Demo.Board("skua-380-r1"), Demo.Block("lathe-loch-core-u"));
        var skua = Demo.Board("skua-380-r1");
        var outlines = fit.Sinks.Select(s =>
            Polygon.Rectangle(
                skua.FindPart(s.Part)!.At,
                s.Turned ? s.DepthMm : s.WidthMm,
                s.Turned ? s.WidthMm : s.DepthMm
            )
        );
        Assert.Equal(fit.Uncovered.Order(), fit.Sinks.Select(s => s.Part).Order());
        List<Polygon> all = [.. outlines];
        for (var i = 0; i < all.Count; i++)
        for (var k = 0; k < i; k++)
            Assert.InRange(PolygonOverlap.Area(all[i], all[k]), 0, 1e-6);
    }

    [Fact]
    public void With_the_lid_on_a_block_meets_the_lid_and_bare_it_meets_the_dies()
    {
        Part Make(string id, PartKind kind, string? under = null, Face face = Face.Front) =>
            Sample.Part(id, kind, 0, 0, 9, 9, 2) with
            {
                Under = under,
                Face = face,
            };
        var board = Sample.Board() with
        {
            Parts =
            [
                Make("LID", PartKind.Lid),
                Make("D1", PartKind.Die, "LID"),
                Make("C1", PartKind.Capacitor, "LID"),
                Make("C2", PartKind.Capacitor, "gone"),
                Make("E1", PartKind.Empty),
                Make("B1", PartKind.Memory, face: Face.Back),
            ],
        };
        IEnumerable<string> Met(BlockKind kind, Face face) =>
            ExposedParts.For(board, Sample.Block() with { Kind = kind }, face).Select(p => p.Id);
        Assert.Equal(["LID", "C2"], Met(BlockKind.FullCover, Face.Front));
        Assert.Equal(["D1", "C1", "C2"], Met(BlockKind.DirectDie, Face.Front));
        Assert.Equal(["B1"], Met(BlockKind.FullCover, Face.Back));
    }

    [Fact]
    public void One_screw_is_the_one_screw()
    {
        var fit = Fit.Judge(Sample.Board(), Change(p => p with { Holes = [p.Holes[0]] }));
        Assert.StartsWith("The one screw passes: S1, ", Reason(fit, "screws-pass").Text, StringComparison.Ordinal);
    }
}
