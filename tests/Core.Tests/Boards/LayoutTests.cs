using System.Text;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Layouts;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class LayoutTests
{
    private static LayoutResult Read(string text, string name = "a.txt", LayoutOptions? options = null) =>
        LayoutReader.Read([new(name, Encoding.UTF8.GetBytes(text))], options);

    private static string Refusal(string text) => Assert.Throws<InputException>(() => Read(text)).Faults[0].Message;

    [Theory]
    [InlineData("M48\nMETRIC,LZ,000.000\nT1C3.2\n%\nT1\nX0125Y-003\nM30\n", 12.5, -3)]
    [InlineData("M48\nMETRIC,TZ\nT1C3.2\n%\nT1\nX12500Y-3000\nM30\n", 12.5, -3)]
    [InlineData("M48\nINCH,TZ\nT1C0.125\n%\nT1\nX5000Y-1181\nM30\n", 12.7, -2.99974)]
    [InlineData("M48\r\nINCH,LZ\r\nT01C.1260F200S65\r\n%\r\nT01\r\nX005Y-0025\r\nM30\r\n", 12.7, -6.35)]
    [InlineData("M48\n;FILE_FORMAT=4:4\nMETRIC,TZ\nT1C3.200\n%\nT1\nX125000Y-30000\nM30\n", 12.5, -3)]
    [InlineData("M48\nM71\nT1C3.2\n%\nG90\nG05\nT1\nX12.5Y-3.0\nT0\nM30\n", 12.5, -3)]
    public void Drill_files_of_every_number_format_give_mm(string text, double x, double y)
    {
        var hole = Assert.Single(Read(text).Holes);
        Assert.Equal(x, hole.X, 6);
        Assert.Equal(y, hole.Y, 6);
        Assert.Equal(3.2, hole.DiameterMm!.Value, 1);
    }

    [Fact]
    public void Coordinates_are_modal_slots_and_repeats_are_kept_and_tools_told_apart()
    {
        var r = Read(
            "M48\n;TYPE=NON_PLATED\nMETRIC\nT1C2.8\nT2C1.0\n%\nT1\nX10.0Y10.0\nX20.0\nY30.0\nR2X5.0\nT2\nX0.0Y0.0G85X4.0Y3.0\nG00X50.0Y50.0\nM15\nG01X50.0Y54.0\nM16\nG05\nM30\n"
        );
        Assert.Equal(
            [(10, 10), (20, 10), (20, 30), (25, 30), (30, 30), (2, 1.5), (50, 52)],
            r.Holes.Select(h => (h.X, h.Y))
        );
        Assert.All(r.Holes.Take(5), h => Assert.Equal(2.8, h.DiameterMm));
        Assert.Equal(5, r.Holes[5].SlotMm!.Value, 6);
        Assert.Equal(36.8699, r.Holes[5].SlotDeg!.Value, 4);
        Assert.Equal((4, 90), (r.Holes[6].SlotMm, r.Holes[6].SlotDeg));
        Assert.All(r.Holes, h => Assert.False(h.Plated));
    }

    [Fact]
    public void What_a_drill_file_leaves_open_is_named_and_can_be_overridden()
    {
        const string open = "T1C0.125\n%\nT1\nX5000Y2500\nM30\n";
        var assumed = Read(open);
        Assert.Equal(12.7, assumed.Holes[0].X, 6);
        Assert.Contains(assumed.Assumptions, a => a.Contains("no unit", StringComparison.Ordinal));
        Assert.Contains(assumed.Assumptions, a => a.Contains("2.4", StringComparison.Ordinal));
        Assert.Equal(5, Read(open, options: new(LengthUnit.Mm, 3, 3)).Holes[0].X, 6);
    }

    [Fact]
    public void Tool_tables_in_remarks_are_read()
    {
        var r = Read(
            "; Holesize 1. = 126.0 Tolerance = +0.0/-0.0 PLATED MILS Quantity = 1\n%\nG90\nT1\nX5000Y0\nM30\n",
            options: new(LengthUnit.Inch, 2, 4)
        );
        Assert.Equal(3.2004, r.Holes[0].DiameterMm!.Value, 6);
        Assert.True(r.Holes[0].Plated);
    }

    private const string Emn = """
        .HEADER
        BOARD_FILE 3.0 "a layout program 1.0" 2026/01/02.10:20:30 1
        made_board THOU
        .END_HEADER
        .BOARD_OUTLINE ECAD
        62.0
        0 0.0 0.0 0.0
        0 4000.0 0.0 0.0
        0 4000.0 2000.0 0.0
        0 0.0 2000.0 90.0
        0 0.0 0.0 0.0
        .END_BOARD_OUTLINE
        # a remark
        .DRILLED_HOLES
        125.0 200.0 300.0 NPTH BOARD MTG ECAD
        .END_DRILLED_HOLES
        .PLACEMENT
        "cap 8x10" "pn-1" C12
        1000.0 500.0 0.0 90.0 TOP PLACED
        ic8 pn-2 U7
        1500.0 800.0 0.0 0.0 BOTTOM ECAD
        .END_PLACEMENT
        """;

    private const string Emp = """
        .HEADER
        LIBRARY_FILE 3.0 "a layout program 1.0" 2026/01/02.10:20:30 1
        .END_HEADER
        .ELECTRICAL
        "cap 8x10" "pn-1" MM 10.5
        0 -4 -4 0
        0 4 -4 0
        0 4 4 0
        0 -4 4 0
        0 -4 -4 0
        .END_ELECTRICAL
        """;

    [Fact]
    public void A_board_and_its_library_give_places_heights_and_sizes()
    {
        var r = LayoutReader.Read([
            new("b.emp", Encoding.UTF8.GetBytes(Emp)),
            new("b.emn", Encoding.UTF8.GetPreamble().Concat(Encoding.UTF8.GetBytes(Emn)).ToArray()),
        ]);
        Assert.Equal(1.5748, r.ThicknessMm!.Value, 6);
        Assert.Equal(
            (5.08, 7.62, 3.175, false),
            (r.Holes[0].X, r.Holes[0].Y, r.Holes[0].DiameterMm, r.Holes[0].Plated)
        );
        var c = r.Parts[0];
        Assert.Equal(
            ("C12", 25.4, 12.7, 90.0, Face.Front, 10.5, PartKind.Capacitor, 8.0),
            (c.Id, c.X, c.Y, c.RotationDeg, c.Face, c.HeightMm!.Value, c.Kind!.Value, c.WidthMm!.Value)
        );
        Assert.Equal(Face.Back, r.Parts[1].Face);
        Assert.Equal(LengthUnit.Mil, r.Units);
        // the arc of a quarter turn on the left bulges out of the rectangle or into it by the same sagitta
        Assert.NotEqual(101.6 * 50.8, r.Outline!.Area, 1);
    }

    [Theory]
    [InlineData(
        ".HEADER\nBOARD_FILE 3.0 x 2026 1\nb MM\n.END_HEADER\n.DRILLED_HOLES\n3.2 oops 3 NPTH\n.END_DRILLED_HOLES\n",
        "line 6: x: expected a number, found \"oops\""
    )]
    [InlineData(".HEADER\nBOARD_FILE 3.0 x 2026 1\nb CM\n.END_HEADER\n", "units: expected MM or THOU, found \"CM\"")]
    [InlineData(".HEADER\nBOARD_FILE 2.0 x 2026 1\nb MM\n.END_HEADER\n", "version: expected 3.0")]
    [InlineData(
        ".HEADER\nBOARD_FILE 3.0 x 2026 1\nb MM\n.END_HEADER\n.PLACEMENT\na b C1\n1 2 0 0 LEFT PLACED\n.END_PLACEMENT\n",
        "side: expected TOP or BOTTOM"
    )]
    [InlineData(".HEADER\nBOARD_FILE 3.0 x 2026 1\nb MM\n.END_HEADER\n.DRILLED_HOLES\n", "not ended")]
    [InlineData(
        "0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n10\nfar\n20\n0\n40\n1\n0\nENDSEC\n0\nEOF\n",
        "line 8: group 10: expected a number"
    )]
    [InlineData("designator,x,y,side\nC1,1,2,middle\n", "line 2: side: expected top or bottom")]
    [InlineData("designator,x,y\nC1,1,two\n", "line 2: y: expected a length")]
    [InlineData("%FSLAX36Y36*%\n%MOMM*%\n", "Gerber")]
    [InlineData("M48\nMETRIC\nT99999999999C1.0\n%\nT1\nX1.0Y1.0\nM30\n", "can't be read")]
    [InlineData("M48\nMETRIC\nT1C1.2.3\n%\nT1\nX1.0Y1.0\nM30\n", "can't be read")]
    [InlineData("hello\nworld\n", "no header names the columns")]
    [InlineData("", "empty")]
    public void Refusals_name_line_field_and_fix(string text, string expected) =>
        Assert.Contains(expected, Refusal(text), StringComparison.Ordinal);

    [Theory]
    [InlineData(
        "Designator,Comment,Layer,Footprint,Center-X(mm),Center-Y(mm),Rotation\n"
            + "\"C12\",\"10u, 25V\",\"TopLayer\",\"cap\",\"25.4000\",\"12.7\",\"90\"\n"
    )]
    [InlineData(
        "### Module positions ###\n## Unit = inches, Angle = deg.\n# Ref     Val   Package   PosX   PosY   Rot   Side\n"
            + "C12  10u  cap  1.0000  0.5000  90.0  top\n## End\n"
    )]
    [InlineData("Designator;Mid X;Mid Y;Rotation;Layer\r\nC12;25,4mm;12,7mm;90,00;T\r\n")]
    [InlineData("RefDes\tX (mil)\tY (mil)\tRotation\tSide\nC12\t1000\t500\t90\tTop\n")]
    [InlineData(
        "\"Ref\",\"Val\",\"Package\",\"PosX\",\"PosY\",\"Rot\",\"Side\"\n\"C12\",\"10u\",\"cap\",25.400000,12.700000,90.000000,top\n"
    )]
    public void Placement_lists_of_many_dialects_agree(string text)
    {
        var p = Assert.Single(Read(text).Parts);
        Assert.Equal(("C12", 25.4, 12.7, 90.0, Face.Front), (p.Id, p.X, p.Y, p.RotationDeg, p.Face));
    }

    [Fact]
    public void A_drawing_gives_holes_outline_and_tops()
    {
        const string dxf =
            "0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n1\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n8\nH\n10\n1\n20\n2\n40\n0.0625\n0\nLWPOLYLINE\n8\nOUTLINE\n90\n4\n70\n1\n10\n0\n20\n0\n10\n4\n20\n0\n10\n4\n20\n2\n10\n0\n20\n2\n0\nLINE\n8\nP\n10\n1\n20\n1\n11\n1.5\n21\n1\n0\nLINE\n8\nP\n10\n1.5\n20\n1\n11\n1.5\n21\n1.5\n0\nLINE\n8\nP\n10\n1.5\n20\n1.5\n11\n1\n21\n1\n0\nENDSEC\n0\nEOF\n";
        var r = Read(dxf);
        Assert.Equal((25.4, 50.8, 3.175), (r.Holes[0].X, r.Holes[0].Y, r.Holes[0].DiameterMm!.Value));
        Assert.Equal(101.6 * 50.8, r.Outline!.Area, 3);
        Assert.Single(r.Parts);
    }

    [Fact]
    public void Our_own_table_holds_holes_parts_and_outline()
    {
        var r = Read(
            "what,id,face,x,y,diameterMm,widthMm,depthMm,rotationDeg,heightMm,kind\nhole,H1,,1,2,2.8,,,,,\npart,U1,front,0,0,,24,22,0,2.1,die\noutline,,,0,0,,,,,,\noutline,,,10,0,,,,,,\noutline,,,10,10,,,,,,\n"
        );
        Assert.Equal(2.8, r.Holes[0].DiameterMm);
        Assert.Equal(
            (PartKind.Die, 24.0, 22.0, 2.1),
            (r.Parts[0].Kind!.Value, r.Parts[0].WidthMm!.Value, r.Parts[0].DepthMm!.Value, r.Parts[0].HeightMm!.Value)
        );
        Assert.Equal(50, r.Outline!.Area, 9);
    }
}

public class LayoutRoundTripTests
{
    private static Board Board() =>
        Sample.Board(
            0,
            Sample.Part("C1", PartKind.Capacitor, 35.1234, -0.0071, 5, 5.25, 2.6) with
            {
                RotationDeg = 90,
            },
            Sample.Part("B1", PartKind.Other, 10, 10, 3, 2, 1) with
            {
                Face = Face.Back,
            }
        );

    private static void Same(Board board, LayoutResult read, bool heights)
    {
        const double micron = 1e-3;
        Assert.Equal(board.Holes.Count, read.Holes.Count);
        foreach (var (h, r) in board.Holes.Zip(read.Holes))
        {
            Assert.Equal(h.X, r.X, micron);
            Assert.Equal(h.Y, r.Y, micron);
            Assert.Equal(h.DiameterMm, r.DiameterMm!.Value, micron);
        }
        Assert.Equal(board.Parts.Count, read.Parts.Count);
        foreach (var p in board.Parts)
        {
            var r = read.Parts.Single(x => x.Id == p.Id);
            Assert.Equal(
                (p.Face, Math.Round(p.WidthMm, 3), Math.Round(p.DepthMm, 3)),
                (r.Face, Math.Round(r.WidthMm!.Value, 3), Math.Round(r.DepthMm!.Value, 3))
            );
            Assert.Equal(p.X, r.X, micron);
            Assert.Equal(p.Y, r.Y, micron);
            Assert.Equal(p.RotationDeg, r.RotationDeg, 1e-6);
            if (heights)
                Assert.Equal(p.HeightMm, r.HeightMm!.Value, micron);
        }
        Assert.Equal(board.Outline.Points.Count, read.Outline!.Points.Count);
        foreach (var (a, b) in board.Outline.Points.Zip(read.Outline.Points))
            Assert.True((a - b).Length < micron);
    }

    private static LayoutFile File(string name, string text) => new(name, System.Text.Encoding.UTF8.GetBytes(text));

    [Fact]
    public void Our_table_comes_back_to_a_micron() =>
        Same(Board(), LayoutReader.Read([File("b.csv", TableWriter.Write(Board()))]), heights: true);

    [Fact]
    public void Idf_comes_back_to_a_micron()
    {
        var read = LayoutReader.Read([
            File("b.emn", IdfWriter.Board(Board())),
            File("b.emp", IdfWriter.Library(Board())),
        ]);
        Same(Board(), read, heights: true);
        Assert.Equal(1.6, read.ThicknessMm);
    }

    [Fact]
    public void A_drawing_comes_back_to_a_micron() =>
        Same(Board(), LayoutReader.Read([File("b.dxf", DrawingWriter.Dxf(Board()))]), heights: false);

    [Fact]
    public void The_svg_is_in_true_millimetres()
    {
        var svg = System.Xml.Linq.XDocument.Parse(DrawingWriter.Svg(Board()));
        Assert.Equal("124mm", svg.Root!.Attribute("width")!.Value);
        Assert.Equal(4, svg.Descendants().Count(e => e.Name.LocalName == "circle"));
    }

    [Fact]
    public void A_board_out_of_a_layout_has_its_die_at_the_origin_and_can_be_kept()
    {
        var layout = LayoutReader.Read([File("b.csv", TableWriter.Write(Board()))]);
        var moved = layout with
        {
            Parts = [.. layout.Parts.Select(p => p with { X = p.X + 50 })],
            Holes = [.. layout.Holes.Select(h => h with { X = h.X + 50 })],
        };
        var board = LayoutBoard.From(moved, new("x", "m", "Model", "C", "R1", "U1"));
        Assert.Equal((0.0, 0.0), (board.FindPart("U1")!.X, board.FindPart("U1")!.Y));
        Assert.Equal(
            board.Holes.Count,
            Formats.Documents.BoardReader.Read(Formats.Documents.DocumentWriter.Write(board)).Holes.Count
        );
    }

    [Fact]
    public void What_a_board_takes_for_granted_is_told_by_name()
    {
        var layout = LayoutReader.Read([
            File("p.csv", "Ref,X,Y,Rot,Side\nC1,1,2,0,top\nU1,5,5,0,top\n"),
            File("h.drl", "M48\nMETRIC\nT1C2.8\n%\nT1\nX0.0Y0.0\nT2\nX9.0Y9.0\nM30\n"),
        ]);
        var told = LayoutBoard.TakenForGranted(layout).ToList();
        Assert.Contains(told, t => t.StartsWith("No height is stated for C1, U1:", StringComparison.Ordinal));
        Assert.Contains(told, t => t.StartsWith("1 hole without a diameter", StringComparison.Ordinal));
        Assert.Contains(told, t => t.Contains("thickness", StringComparison.Ordinal));
        Assert.Empty(
            LayoutBoard.TakenForGranted(
                LayoutReader.Read([File("b.emn", IdfWriter.Board(Board())), File("b.emp", IdfWriter.Library(Board()))])
            )
        );
    }
}
