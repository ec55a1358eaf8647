using System.Globalization;
using System.Text;
using FaithfulBracket.Core.Pads.Cutting;

namespace FaithfulBracket.Formats.Records;

/// <summary>A cutting sheet for a cutter: DXF R12 in millimetres, cuts on their own layer in order, pieces and letters beside it.</summary>
public static class CuttingDxf
{
    public static string Draw(CutSheet sheet)
    {
        var s = new StringBuilder(
            "0\nSECTION\n2\nHEADER\n9\n$ACADVER\n1\nAC1009\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n"
        );
        static string N(double v) => v.ToString("0.######", CultureInfo.InvariantCulture);
        void Rectangle(string layer, double x, double y, double w, double h)
        {
            s.Append(CultureInfo.InvariantCulture, $"0\nPOLYLINE\n8\n{layer}\n66\n1\n10\n0\n20\n0\n30\n0\n70\n1\n");
            foreach (var (px, py) in (ReadOnlySpan<(double, double)>)[(x, y), (x + w, y), (x + w, y + h), (x, y + h)])
                s.Append(CultureInfo.InvariantCulture, $"0\nVERTEX\n8\n{layer}\n10\n{N(px)}\n20\n{N(py)}\n30\n0\n");
            s.Append("0\nSEQEND\n");
        }
        Rectangle("SHEET", 0, 0, sheet.WidthMm, sheet.DepthMm);
        foreach (var p in sheet.Placements)
        {
            Rectangle("PIECES", p.XMm, p.YMm, p.WidthMm, p.DepthMm);
            s.Append(
                CultureInfo.InvariantCulture,
                $"0\nTEXT\n8\nLETTERS\n10\n{N(p.XMm + p.WidthMm / 2)}\n20\n{N(p.YMm + p.DepthMm / 2)}\n40\n2.5\n1\n{p.PieceId}\n"
            );
        }
        foreach (var c in sheet.Cuts)
        {
            var (x1, y1, x2, y2) =
                c.Axis == 'x' ? (c.AtMm, c.FromMm, c.AtMm, c.ToMm) : (c.FromMm, c.AtMm, c.ToMm, c.AtMm);
            s.Append(
                CultureInfo.InvariantCulture,
                $"0\nLINE\n8\nCUTS\n10\n{N(x1)}\n20\n{N(y1)}\n30\n0\n11\n{N(x2)}\n21\n{N(y2)}\n31\n0\n"
            );
        }
        return s.Append("0\nENDSEC\n0\nEOF\n").ToString();
    }
}
