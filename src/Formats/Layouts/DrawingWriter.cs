using System.Globalization;
using System.Net;
using System.Text;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>Boards and blocks as plain drawings in millimetres: SVG at 1:1 and DXF (R12).</summary>
public static class DrawingWriter
{
    private sealed record Shape(string Layer, IReadOnlyList<Point2> Points, string? Label = null);

    private sealed record Round(string Layer, Point2 At, double RadiusMm);

    public static string Svg(Board board) => Svg(Shapes(board), Rounds(board));

    public static string Svg(Block block) => Svg(Shapes(block), Rounds(block));

    public static string Dxf(Board board) => Dxf(Shapes(board), Rounds(board));

    public static string Dxf(Block block) => Dxf(Shapes(block), Rounds(block));

    private static List<Shape> Shapes(Board b) =>
        [
            new("OUTLINE", b.Outline.Points),
            .. b.Parts.Select(p => new Shape(
                p.Face == Face.Front ? "PARTS_FRONT" : "PARTS_BACK",
                p.Top().Points,
                p.Id
            )),
        ];

    private static List<Round> Rounds(Board b) => [.. b.Holes.Select(h => new Round("HOLES", h.At, h.DiameterMm / 2))];

    private static List<Shape> Shapes(Block b) =>
        [
            .. b.Plates.SelectMany(p =>
                (IEnumerable<Shape>)
                    [
                        new("PLATE", p.Outline.Points, p.Id),
                        .. p.Lands.Select(l => new Shape("LANDS", l.Outline.Points, l.Id)),
                        .. p.Pockets.Select(k => new Shape("POCKETS", k.Outline.Points)),
                    ]
            ),
        ];

    private static List<Round> Rounds(Block b) =>
        [
            .. b.Plates.SelectMany(p => p.Holes).Select(h => new Round("SCREWS", h.At, h.ScrewMm / 2)),
            .. b.Ports.Select(p => new Round("PORTS", new(p.X, p.Y), 6.5)),
        ];

    private static string N(double v) => v.ToString("0.######", CultureInfo.InvariantCulture);

    private static string Svg(List<Shape> shapes, List<Round> rounds)
    {
        var b = Bounds
            .From([
                .. shapes.SelectMany(s => s.Points),
                .. rounds.SelectMany(r =>
                    new[] { r.At - new Point2(r.RadiusMm, r.RadiusMm), r.At + new Point2(r.RadiusMm, r.RadiusMm) }
                ),
            ])
            .Grown(2);
        var s = new StringBuilder();
        s.Append(
            CultureInfo.InvariantCulture,
            $"""<svg xmlns="http://www.w3.org/2000/svg" width="{N(b.Width)}mm" height="{N(b.Height)}mm" viewBox="{N(b.MinX)} {N(-b.MaxY)} {N(b.Width)} {N(b.Height)}" fill="none" stroke="#1d2a2e" stroke-width="0.2" font-family="sans-serif" font-size="2.5">"""
        );
        foreach (var x in shapes)
        {
            s.Append(
                CultureInfo.InvariantCulture,
                $"""<path class="{x.Layer}" d="M{string.Join("L", x.Points.Select(p => $"{N(p.X)} {N(-p.Y)}"))}Z"/>"""
            );
            if (x.Label is not { } label)
                continue;
            var centre = new Polygon(x.Points).Centroid;
            s.Append(
                CultureInfo.InvariantCulture,
                $"""<text x="{N(centre.X)}" y="{N(-centre.Y + 0.9)}" text-anchor="middle" fill="#1d2a2e" stroke="none">{WebUtility.HtmlEncode(label)}</text>"""
            );
        }
        foreach (var r in rounds)
            s.Append(
                CultureInfo.InvariantCulture,
                $"""<circle class="{r.Layer}" cx="{N(r.At.X)}" cy="{N(-r.At.Y)}" r="{N(r.RadiusMm)}"/>"""
            );
        return s.Append("</svg>").ToString();
    }

    private static string Dxf(List<Shape> shapes, List<Round> rounds)
    {
        var s = new StringBuilder(
            "0\nSECTION\n2\nHEADER\n9\n$ACADVER\n1\nAC1009\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n"
        );
        foreach (var x in shapes)
        {
            s.Append(CultureInfo.InvariantCulture, $"0\nPOLYLINE\n8\n{x.Layer}\n66\n1\n10\n0\n20\n0\n30\n0\n70\n1\n");
            foreach (var p in x.Points)
                s.Append(CultureInfo.InvariantCulture, $"0\nVERTEX\n8\n{x.Layer}\n10\n{N(p.X)}\n20\n{N(p.Y)}\n30\n0\n");
            s.Append("0\nSEQEND\n");
            if (x.Label is not { } label)
                continue;
            var c = new Polygon(x.Points).Centroid;
            s.Append(
                CultureInfo.InvariantCulture,
                $"0\nTEXT\n8\n{x.Layer}\n10\n{N(c.X)}\n20\n{N(c.Y)}\n40\n2.5\n1\n{label}\n"
            );
        }
        foreach (var r in rounds)
            s.Append(
                CultureInfo.InvariantCulture,
                $"0\nCIRCLE\n8\n{r.Layer}\n10\n{N(r.At.X)}\n20\n{N(r.At.Y)}\n30\n0\n40\n{N(r.RadiusMm)}\n"
            );
        return s.Append("0\nENDSEC\n0\nEOF\n").ToString();
    }
}
