using System.Globalization;
using System.Text;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Layouts;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Drawings and board profiles as outside programs write them.</summary>
public class DrawingDialectTests
{
    private static LayoutResult Read(string text) => LayoutReader.Read([new("drawing", Encoding.UTF8.GetBytes(text))]);

    private static string Dxf(string entities, string blocks = "", string unit = "4") =>
        $"0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n{unit}\n0\nENDSEC\n0\nSECTION\n2\nBLOCKS\n{blocks}0\nENDSEC\n"
        + $"0\nSECTION\n2\nENTITIES\n{entities}0\nENDSEC\n0\nEOF\n";

    private static string G(params object[] groups) =>
        string.Concat(groups.Select(g => string.Create(CultureInfo.InvariantCulture, $"{g}\n")));

    /// <summary>$INSUNITS of the DXF reference: a hole of 3.2 mm is one in any unit.</summary>
    [Theory]
    [InlineData("1", 25.4)]
    [InlineData("2", 304.8)]
    [InlineData("4", 1)]
    [InlineData("5", 10)]
    [InlineData("6", 1000)]
    [InlineData("8", 25.4e-6)]
    [InlineData("9", 0.0254)]
    [InlineData("10", 914.4)]
    [InlineData("13", 0.001)]
    [InlineData("14", 100)]
    public void Stated_units_are_honoured(string unit, double mm)
    {
        var hole = Read(Dxf(G(0, "CIRCLE", 10, 12.5 / mm, 20, -4 / mm, 40, 1.6 / mm), unit: unit)).Holes.Single();
        Assert.Equal((12.5, -4, 3.2), (hole.X, hole.Y, hole.DiameterMm!.Value));
    }

    [Theory]
    [InlineData("3", "unit 3 ($INSUNITS)")]
    [InlineData("7", "unit 7 ($INSUNITS)")]
    public void A_unit_that_no_board_is_drawn_in_is_refused_by_name(string unit, string says) =>
        Assert.Contains(
            says,
            Assert.Throws<InputException>(() => Read(Dxf(G(0, "POINT"), unit: unit))).Message,
            StringComparison.Ordinal
        );

    /// <summary>A block with one hole at (3, 1) from its base, turned, scaled, mirrored and set in rows.</summary>
    [Fact]
    public void Blocks_lie_where_they_are_inserted()
    {
        var hole = G(0, "CIRCLE", 10, 4, 20, 3, 40, 0.5) + G(0, "ENDBLK");
        var blocks =
            G(0, "BLOCK", 2, "H", 10, 1, 20, 2)
            + hole
            + G(0, "BLOCK", 2, "PAIR")
            + G(0, "INSERT", 2, "H", 10, 0, 20, 0)
            + G(0, "INSERT", 2, "H", 10, 10, 20, 0, 41, -1)
            + G(0, "ENDBLK");
        var holes = Read(
            Dxf(
                G(0, "INSERT", 2, "H", 10, 100, 20, 50, 50, 90, 41, 2, 42, 2)
                    + G(0, "INSERT", 2, "H", 10, 0, 20, 0, 70, 3, 71, 2, 44, 20, 45, 30)
                    + G(0, "INSERT", 2, "PAIR", 10, 0, 20, 200, 50, 180)
                    + G(0, "INSERT", 2, "H", 10, 0, 20, 0, 41, 2),
                blocks
            )
        );
        // turned a quarter left, twice as large: (3, 1) becomes (-2, 6)
        Assert.Equal((98, 56, 2), (holes.Holes[0].X, holes.Holes[0].Y, holes.Holes[0].DiameterMm!.Value));
        Assert.Equal(
            [(3, 1), (23, 1), (43, 1), (3, 31), (23, 31), (43, 31)],
            holes.Holes.Skip(1).Take(6).Select(h => (h.X, h.Y))
        );
        Assert.Equal([(-3, 199), (-7, 199)], holes.Holes.Skip(7).Select(h => (h.X, h.Y)));
        Assert.Contains(holes.Warnings, w => w.Text.Contains("stretched", StringComparison.Ordinal));
    }

    [Fact]
    public void A_block_inside_itself_or_a_million_copies_is_refused()
    {
        var own = G(0, "BLOCK", 2, "A") + G(0, "INSERT", 2, "A", 10, 0, 20, 0) + G(0, "ENDBLK");
        foreach (var insert in (string[])[G(70, 1), G(70, 1000, 71, 1000)])
            Assert.Throws<InputException>(() => Read(Dxf(G(0, "INSERT", 2, "A", 10, 0, 20, 0) + insert, own)));
    }

    /// <summary>A circle of radius 40 as a rational spline of nine control points (The NURBS Book, example 7.1).</summary>
    private static string Nurbs()
    {
        var w = Math.Sqrt(0.5);
        (int X, int Y)[] control = [(1, 0), (1, 1), (0, 1), (-1, 1), (-1, 0), (-1, -1), (0, -1), (1, -1), (1, 0)];
        var text = new StringBuilder(G(0, "SPLINE", 70, 5, 71, 2, 72, 12, 73, 9));
        foreach (var knot in (double[])[0, 0, 0, 1, 1, 2, 2, 3, 3, 4, 4, 4])
            text.Append(G(40, knot));
        for (var i = 0; i < 9; i++)
            text.Append(G(41, i % 2 == 0 ? 1 : w));
        foreach (var (x, y) in control)
            text.Append(G(10, 40 * x, 20, 40 * y));
        return text.ToString();
    }

    private static string Through()
    {
        var text = new StringBuilder(G(0, "SPLINE", 70, 0, 71, 3, 74, 25));
        for (var i = 0; i <= 24; i++)
            text.Append(G(11, 40 * Math.Cos(i * Math.PI / 12), 21, 40 * Math.Sin(i * Math.PI / 12)));
        return text.ToString();
    }

    public static TheoryData<string, double> Circles() =>
        new()
        {
            { Nurbs(), 0.002 },
            { Through(), 0.02 },
            { G(0, "ELLIPSE", 10, 0, 20, 0, 11, 0, 21, 40, 40, 1), 0.011 },
            {
                G(0, "ARC", 10, 0, 20, 0, 40, 40, 50, 0, 51, 200) + G(0, "ARC", 10, 0, 20, 0, 40, 40, 50, 200, 51, 360),
                0.011
            },
            { G(0, "LWPOLYLINE", 70, 1, 10, 40, 20, 0, 42, 1, 10, -40, 20, 0, 42, 1), 0.011 },
        };

    [Theory]
    [MemberData(nameof(Circles))]
    public void Closed_curves_are_outlines(string entities, double within)
    {
        var outline = Read(Dxf(entities)).Outline!;
        Assert.All(outline.Points, p => Assert.InRange(p.Length, 40 - within, 40 + within));
        Assert.InRange(outline.Area, Math.PI * 1600 * 0.999, Math.PI * 1600 * 1.0005);
    }

    private static string Gerber(string body, string head = "%FSLAX34Y34*%\n%MOMM*%\nG75*\n") =>
        $"{head}%ADD10C,0.2*%\nD10*\n{body}M02*\n";

    private static readonly string Rounded =
        "X50000Y0D02*\nG01X950000D01*\nG03X1000000Y50000I0J50000D01*\nG01Y450000D01*\nG03X950000Y500000I-50000J0D01*\n"
        + "G01X50000D01*\nG03X0Y450000I0J-50000D01*\nG01Y50000D01*\nG03X50000Y0I50000J0D01*\n";

    public static TheoryData<string> Profiles() =>
        new()
        {
            Gerber(Rounded),
            // one word a line is no rule; arcs of one quadrant have distances without a sign
            Gerber(
                Rounded.Replace("\n", "", StringComparison.Ordinal).Replace("-", "", StringComparison.Ordinal),
                "%FSLAX34Y34*%%MOMM*%G74*"
            ),
            // trailing zeros left out
            Gerber(
                "X005Y0D02*\nG01X095D01*\nG03X1Y005I0J005D01*\nG01Y045D01*\nG03X095Y05I-005J0D01*\n"
                    + "G01X005D01*\nG03X0Y045I0J-005D01*\nG01Y005D01*\nG03X005Y0I005J0D01*\n",
                "%FSTAX34Y34*%\n%MOMM*%\nG75*\n"
            ),
            // as a filled region, and in an unstated layer function that says profile
            Gerber("%TF.FileFunction,Profile,NP*%\nG36*\n" + Rounded + "G37*\n"),
        };

    /// <summary>A rectangle with quarter arcs of radius 5 at its corners.</summary>
    [Theory]
    [MemberData(nameof(Profiles))]
    public void A_profile_in_Gerber_is_an_outline(string text)
    {
        var outline = Read(text).Outline!;
        const double exact = 100 * 50 - (4 - Math.PI) * 5 * 5;
        Assert.Equal(0, outline.Bounds.MinX, 6);
        Assert.InRange(outline.Area, exact - 0.4, exact);
        Assert.Equal(100, outline.Bounds.Width, 6);
        Assert.Equal(50, outline.Bounds.Height, 6);
    }

    [Theory]
    [InlineData("X0Y0D02*\nX100000D01*\nX200000D03*\n", "copper or mask layer")]
    [InlineData("X0Y0D02*\nX100000D01*\n", "no closed line")]
    [InlineData("%TF.FileFunction,Copper,L1,Top*%\nX0Y0D02*\n", "copper or mask layer")]
    [InlineData("%SRX2Y2I50.0J50.0*%\nX0Y0D02*\n", "panel")]
    [InlineData("X0Y0D02*\nX10", "cut off")]
    public void Other_layers_are_refused(string body, string says)
    {
        var text = Gerber(body);
        if (says == "cut off")
            text = text[..text.IndexOf("M02", StringComparison.Ordinal)];
        Assert.Contains(says, Assert.Throws<InputException>(() => Read(text)).Message, StringComparison.Ordinal);
    }

    private static string Svg(string inner, string head = """width="100mm" height="60mm" viewBox="0 0 100 60" """) =>
        $"""<?xml version="1.0"?><!DOCTYPE svg><svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" {head}>{inner}</svg>""";

    /// <summary>The same plate of 80 × 40 mm with a hole at (15, 45) from its foot and a land of 10 × 6.</summary>
    [Theory]
    [InlineData(
        """<rect x="10" y="10" width="80" height="40"/><circle cx="15" cy="15" r="1.6"/><rect x="40" y="30" width="10" height="6"/>"""
    )]
    // lines joined end to end, a circle of two arcs without spaces, a land by relative steps
    [InlineData(
        """<path d="M10,10H90V50H10Z"/><path d="M13.4 15a1.6 1.6 0 103.2 0 1.6 1.6 0 10-3.2 0z"/><path d="m40 30h10v6h-10z"/>"""
    )]
    // turned, moved, scaled and used; a circle of four cubics
    [InlineData(
        """
            <defs><rect id="land" width="5" height="3"/></defs>
            <g transform="translate(10 10) scale(2)"><polygon points="0,0 40,0 40,20 0,20"/></g>
            <g transform="rotate(90 15 15)"><path d="M16.6 15C16.6 15.88366 15.88366 16.6 15 16.6S13.4 15.88366 13.4 15 14.11634 13.4 15 13.4 16.6 14.11634 16.6 15"/></g>
            <g transform="matrix(0,2,-2,0,50,30)"><use xlink:href="#land" transform="rotate(-90) translate(-5)"/></g>
            """
    )]
    public void A_vector_drawing_says_the_same_whatever_it_is_drawn_with(string inner)
    {
        void Holds(LayoutResult read)
        {
            Assert.Equal(new Bounds(10, 10, 90, 50), Tenths(read.Outline!.Bounds));
            var hole = read.Holes.Single();
            Assert.Equal(
                (15, 45, 3.2),
                (Math.Round(hole.X, 2), Math.Round(hole.Y, 2), Math.Round(hole.DiameterMm!.Value, 2))
            );
            Assert.Equal(new Bounds(40, 24, 50, 30), Tenths(read.Parts.Single().Outline!.Bounds));
        }
        static Bounds Tenths(Bounds b) =>
            new(Math.Round(b.MinX, 2), Math.Round(b.MinY, 2), Math.Round(b.MaxX, 2), Math.Round(b.MaxY, 2));
        Holds(Read(Svg(inner)));
        foreach (
            var (head, scale) in ((string, double)[])
                [
                    ("""width="10cm" height="6cm" viewBox="0 0 1000 600" """, 10),
                    ("""width="3.937008in" height="2.362205in" viewBox="0 0 377.95276 226.77165" """, 96 / 25.4),
                    ("""width="377.95276" height="226.77165" """, 96 / 25.4),
                ]
        )
            Holds(Read(Svg(FormattableString.Invariant($"<g transform='scale({scale})'>{inner}</g>"), head)));
    }

    [Fact]
    public void A_board_written_as_a_vector_drawing_reads_as_its_exchange_drawing()
    {
        var board = Sample.Board();
        LayoutResult Of(string text) => Read(text);
        var (svg, dxf) = (Of(DrawingWriter.Svg(board)), Of(DrawingWriter.Dxf(board)));
        Assert.Equal(dxf.Holes.Count, svg.Holes.Count);
        Assert.Equal(dxf.Parts.Count, svg.Parts.Count);
        Assert.Equal(dxf.Outline!.Area, svg.Outline!.Area, 0.5);
        var (a, b) = (dxf.Holes.OrderBy(h => h.X).ThenBy(h => h.Y), svg.Holes.OrderBy(h => h.X).ThenBy(h => h.Y));
        var shift = a.First().Y - b.First().Y;
        foreach (var (x, y) in a.Zip(b))
            Assert.True(Math.Abs(x.Y - y.Y - shift) < 0.01 && x.DiameterMm == y.DiameterMm);
    }

    [Theory]
    [InlineData("""<path d="M0 0L"/>""", "lacks a number")]
    [InlineData("""<path d="M0 0a1 1 0 2 0 1 1"/>""", "flag of 0 or 1")]
    [InlineData("""<path d="M0 0X5"/>""", "\"X\" is not understood")]
    [InlineData("""<g transform="bend(3)"/>""", "bend(3)")]
    [InlineData("""<circle r="50%"/>""", "no length of its own")]
    [InlineData("""<g id="a"><use xlink:href="#a"/></g>""", "in themselves")]
    [InlineData("<g>", "not complete XML")]
    public void A_vector_drawing_that_cannot_be_read_says_where(string inner, string says) =>
        Assert.Contains(says, Assert.Throws<InputException>(() => Read(Svg(inner))).Message, StringComparison.Ordinal);
}
