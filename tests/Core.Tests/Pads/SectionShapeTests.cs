using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Pads.Section;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Every shape and gap of a cut through the sample card, by hand.</summary>
public class SectionShapeTests
{
    private const double Plane = 2.13;

    private static Plate Main => Sample.Block().Plates[0];

    private static SectionResult Cut(
        Point2 from,
        Point2 to,
        Board? board = null,
        Plate? plate = null,
        SeatingResult? seating = null,
        double? planeMm = Plane,
        params PlacedPad[] pads
    )
    {
        board ??= Sample.Board();
        var block = Sample.Block() with { Plates = [plate ?? Main] };
        return SectionCut.Compute(board, LaidBlock.Create(Sample.Board(), block), planeMm, seating, pads, from, to);
    }

    private static PlacedPad Pad(string part, double mm, Face face = Face.Front) =>
        new("A", part, "L", PartKind.Memory, face, mm, "soft", 14, 12, null, false, false) { Pair = "P", Board = "A" };

    private static (double, double)[] Points(SectionResult cut, SectionLayer layer, string id = "") =>
        [
            .. cut
                .Shapes.First(s => s.Layer == layer && s.Id == id)
                .Points.Select(p => (Math.Round(p.X, 6), Math.Round(p.Y, 6))),
        ];

    [Fact]
    public void Board_and_parts_are_boxes_from_the_front_of_the_board()
    {
        var behind = Sample.Part("B1", PartKind.Memory, 15, 33, 10, 10, 0.8) with { Face = Face.Back };
        var empty = Sample.Part("E1", PartKind.Empty, 40, 33, 10, 10, 0.8);
        var cut = Cut(new(-70, 33), new(70, 33), Sample.Board(more: [behind, empty]));
        Assert.Equal(140, cut.LengthMm);
        Assert.Equal([(10, -1.6), (130, -1.6), (130, 0), (10, 0)], Points(cut, SectionLayer.Board));
        Assert.Equal([(48, 0), (62, 0), (62, 1.2), (48, 1.2)], Points(cut, SectionLayer.Part, "M1"));
        Assert.Equal([(80, -2.4), (90, -2.4), (90, -1.6), (80, -1.6)], Points(cut, SectionLayer.Part, "B1"));
        Assert.DoesNotContain(cut.Shapes, s => s.Id == "E1");
        // what lies behind has no gap to the plate in front
        Assert.Equal(["M1"], cut.Gaps.Select(g => g.Part));
    }

    [Fact]
    public void Without_a_block_or_its_height_only_board_and_parts_are_drawn()
    {
        var bare = SectionCut.Compute(Sample.Board(), null, null, null, [], new(-60, 33), new(60, 33));
        Assert.Equal([SectionLayer.Board, SectionLayer.Part], bare.Shapes.Select(s => s.Layer));
        Assert.Empty(bare.Gaps);
        Assert.Equal(2, Cut(new(-60, 33), new(60, 33), planeMm: null).Shapes.Count);
        Assert.Throws<InputException>(() => Cut(new(0, 0), new(0.9, 0)));
        Assert.Equal(1, Cut(new(0, 0), new(1, 0)).LengthMm);
    }

    [Fact]
    public void A_line_that_only_grazes_a_part_does_not_cut_it()
    {
        // M1 ends at 39; its corner is cut by 0.04 mm, then by 0.06
        Point2 Corner(double off) => new(-8 - off, 39);
        Assert.DoesNotContain(
            Cut(Corner(0.028), Corner(0.028) + new Point2(40, -40)).Shapes,
            s => s.Layer == SectionLayer.Part && s.Id == "M1"
        );
        Assert.Contains(
            Cut(Corner(0.043), Corner(0.043) + new Point2(40, -40)).Shapes,
            s => s.Layer == SectionLayer.Part && s.Id == "M1"
        );
    }

    [Fact]
    public void The_plate_goes_down_at_lands_and_up_in_pockets_and_as_high_as_its_deepest()
    {
        var plate = Main with
        {
            Pockets =
            [
                new(Sample.Rect(20, 33, 10, 10), 2.5),
                // a land in a pocket counts, and of two pockets the shallower
                new(Sample.Rect(-15, 33, 20, 20), 3),
                new(Sample.Rect(23, 33, 8, 10), 1.5),
            ],
        };
        var cut = Cut(new(-60, 33), new(60, 33), plate: plate);
        var steps = cut.Shapes.Where(s => s.Layer == SectionLayer.Plate).ToList();
        Assert.Equal(
            [
                (15, 35, 0.9),
                (35, 37.5, 3),
                (37.5, 52.5, -0.23),
                (52.5, 55, 3),
                (55, 75, 0.9),
                (75, 79, 2.5),
                (79, 85, 1.5),
                (85, 87, 1.5),
                (87, 105, 0.9),
            ],
            steps.Select(s =>
                (Math.Round(s.Points[0].X, 6), Math.Round(s.Points[1].X, 6), Math.Round(s.Points[0].Y - Plane, 6))
            )
        );
        // its top: the deepest pocket and a millimetre and a half
        Assert.All(steps, s => Assert.Equal(Plane + 3 + 1.5, s.Points[2].Y, 9));
        Assert.All(steps, s => Assert.Equal(Plane + 3 + 1.5, s.Points[3].Y, 9));
        // without pockets the base
        Assert.All(
            Cut(new(-60, 33), new(60, 33)).Shapes.Where(s => s.Layer == SectionLayer.Plate),
            s => Assert.Equal(Plane + 0.9 + 1.5, s.Points[2].Y, 9)
        );
    }

    [Fact]
    public void A_plate_behind_is_not_in_this_cut() =>
        Assert.DoesNotContain(
            Cut(new(-60, 33), new(60, 33), plate: Main with { Face = Face.Back }).Shapes,
            s => s.Layer == SectionLayer.Plate
        );

    [Theory]
    // a gap of 0.7 under the land: squashed, just not, and never
    [InlineData(1, "M1: gap 0.70 mm, 1.0 mm pad squashed 30 %.", 1.9)]
    [InlineData(0.6, "M1: gap 0.70 mm, the 0.6 mm pad leaves 0.10 mm of air.", 1.8)]
    public void A_pad_is_as_thick_as_the_gap_lets_it(double mm, string says, double top)
    {
        var cut = Cut(new(-60, 33), new(60, 33), pads: Pad("M1", mm));
        var gap = cut.Gaps.Single(g => g.Part == "M1");
        Assert.Equal((says, mm), (gap.Text.ToString(), gap.PadMm));
        Assert.Equal(45, gap.AtMm, 9);
        Assert.Equal(0.7, gap.GapMm, 9);
        Assert.Equal((mm - 0.7) / mm, gap.Squash!.Value, 9);
        Assert.Equal([(38, 1.2), (52, 1.2), (52, top), (38, top)], Points(cut, SectionLayer.Pad, "M1"));
    }

    [Fact]
    public void A_pad_behind_does_not_fill_a_gap_in_front() =>
        Assert.Equal(
            "M1: 0.70 mm of air.",
            Cut(new(-60, 33), new(60, 33), pads: Pad("M1", 1, Face.Back)).Gaps.Single().Text
        );

    [Fact]
    public void Paste_is_drawn_where_a_die_is_near_and_air_where_it_is_not()
    {
        Point2 from = new(-60, 0),
            to = new(60, 0);
        var cut = Cut(from, to);
        Assert.Equal([(48, 2.1), (72, 2.1), (72, 2.13), (48, 2.13)], Points(cut, SectionLayer.Paste, "U1"));
        Assert.Equal("U1: 30 µm of paste.", cut.Gaps.Single().Text);
        Assert.Null(cut.Gaps.Single().PadMm);
        var far = Cut(from, to, planeMm: 2.61);
        Assert.DoesNotContain(far.Shapes, s => s.Layer == SectionLayer.Paste);
        Assert.Equal("U1: 0.51 mm of air.", far.Gaps.Single().Text);
        Assert.Contains(Cut(from, to, planeMm: 2.59).Shapes, s => s.Layer == SectionLayer.Paste);
        Assert.Equal("U1 meets the plate: 0.10 mm too tall.", Cut(from, to, planeMm: 2).Gaps.Single().Text);
        // a part that is no die has no paste, however near
        var coil = Sample.Part("C1", PartKind.Inductor, 30, 0, 6, 6, 3);
        var near = Cut(from, to, Sample.Board(more: coil));
        Assert.Equal("C1: 0.03 mm of air.", near.Gaps.Single(g => g.Part == "C1").Text);
        Assert.DoesNotContain(near.Shapes, s => s.Layer == SectionLayer.Paste && s.Id == "C1");
        // a pad pressed by a part too tall is told as what it is
        Assert.Equal(
            "M1 meets the plate: 0.33 mm too tall.",
            Cut(new(-60, 33), new(60, 33), planeMm: 1.1, pads: Pad("M1", 1)).Gaps.Single().Text
        );
    }

    [Fact]
    public void A_part_under_two_steps_is_told_at_its_narrowest()
    {
        // half under the land, half under the base beside it
        var odd = Sample.Part("X1", PartKind.Capacitor, -7.5, 33, 6, 6, 1);
        var cut = Cut(new(-60, 33), new(60, 33), Sample.Board(more: odd) with { Parts = [odd] });
        var gap = cut.Gaps.Single();
        Assert.Equal(Plane - 0.23 - 1, gap.GapMm, 9);
        Assert.Equal((49.5 + 52.5) / 2, gap.AtMm, 9);
    }

    [Fact]
    public void As_it_rests_the_plate_leans_as_seated()
    {
        // right-handed turns about x and y: rising along +y and falling along +x
        double about = Math.Atan(0.01) * 180 / Math.PI;
        SeatingResult Seated(double x, double y) => new([], [x, y], [], [], false, 2.2, $"");
        var alongX = Cut(new(-60, 33), new(60, 33), seating: Seated(0, about));
        var land = Points(alongX, SectionLayer.Plate, "main");
        Assert.Equal(2.2 + 0.45 + 0.9, land[0].Item2, 6);
        Assert.Equal(2.2 + 0.225 + 0.9, land[1].Item2, 6);
        Assert.Equal(2.2 + 0.15 - 0.23 - 1.2, alongX.Gaps.Single().GapMm, 6);
        var alongY = Cut(new(-15, -50), new(-15, 50), seating: Seated(about, 0));
        Assert.Equal(2.2 + 0.33 - 0.23 - 1.2, alongY.Gaps.Single(g => g.Part == "M1").GapMm, 6);
        // the top stays level over each stretch, and the pad follows the lean
        var pad = Points(
            Cut(new(-60, 33), new(60, 33), seating: Seated(0, about), pads: Pad("M1", 1.2)),
            SectionLayer.Pad,
            "M1"
        );
        Assert.Equal(2.2 + 0.22 - 0.23, pad[3].Item2, 6);
        Assert.Equal(2.2 + 0.08 - 0.23, pad[2].Item2, 6);
    }
}
