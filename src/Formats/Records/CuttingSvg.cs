using System.Globalization;
using System.Text;
using FaithfulBracket.Core.Pads.Cutting;

namespace FaithfulBracket.Formats.Records;

/// <summary>A cutting sheet in true millimetres: pieces lettered, cuts numbered, a 50 mm bar to check the print.</summary>
public static class CuttingSvg
{
    private const double Margin = 12;

    /// <param name="scale">Correction for a printer that is off: 50 / measured bar.</param>
    /// <param name="now">Number of the cut to make now: it stands out, those after it stay faint; null draws all alike.</param>
    public static string Draw(CutSheet sheet, double scale = 1, int? now = null)
    {
        double width = Math.Max(sheet.WidthMm, 76) + 2 * Margin,
            height = sheet.DepthMm + 2 * Margin + 14;
        var s = new StringBuilder();
        string N(double v) => v.ToString("0.###", CultureInfo.InvariantCulture);
        double Y(double y) => Margin + sheet.DepthMm - y;
        s.Append(
            CultureInfo.InvariantCulture,
            $"""<svg xmlns="http://www.w3.org/2000/svg" width="{N(width * scale)}mm" height="{N(height * scale)}mm" viewBox="0 0 {N(width)} {N(height)}" font-family="sans-serif" fill="none" stroke="#1d2a2e" stroke-width="0.2">"""
        );
        s.Append(
            CultureInfo.InvariantCulture,
            $"""<rect x="{N(Margin)}" y="{N(Margin)}" width="{N(sheet.WidthMm)}" height="{N(sheet.DepthMm)}" stroke-width="0.4"/>"""
        );
        foreach (var p in sheet.Placements)
        {
            s.Append(
                CultureInfo.InvariantCulture,
                $"""<rect x="{N(Margin + p.XMm)}" y="{N(Y(p.YMm + p.DepthMm))}" width="{N(p.WidthMm)}" height="{N(p.DepthMm)}" fill="#efe2c8"/>"""
            );
            var size = Math.Min(5, Math.Min(p.WidthMm, p.DepthMm) * 0.6);
            s.Append(
                CultureInfo.InvariantCulture,
                $"""<text x="{N(Margin + p.XMm + p.WidthMm / 2)}" y="{N(Y(p.YMm + p.DepthMm / 2) + size * 0.35)}" font-size="{N(size)}" text-anchor="middle" fill="#1d2a2e" stroke="none">{System.Net.WebUtility.HtmlEncode(p.PieceId)}</text>"""
            );
        }
        var numbers = new StringBuilder();
        foreach (var c in sheet.Cuts)
        {
            var (x1, y1, x2, y2) =
                c.Axis == 'x' ? (c.AtMm, c.FromMm, c.AtMm, c.ToMm) : (c.FromMm, c.AtMm, c.ToMm, c.AtMm);
            var look =
                now is null || c.Order < now ? "stroke=\"#a8572b\" stroke-dasharray=\"2 1\""
                : c.Order == now ? "stroke=\"#a8572b\" stroke-width=\"1.1\""
                : "stroke=\"#c9c2b2\" stroke-dasharray=\"1 1\"";
            s.Append(
                CultureInfo.InvariantCulture,
                $"""<line x1="{N(Margin + x1)}" y1="{N(Y(y1))}" x2="{N(Margin + x2)}" y2="{N(Y(y2))}" {look}/>"""
            );
            if (c.Order > now)
                continue;
            // the number sits on its own line, on a patch of paper
            double mx = Margin + (x1 + x2) / 2,
                my = Y((y1 + y2) / 2),
                half = c.Order > 9 ? 1.5 : 0.9;
            numbers.Append(
                CultureInfo.InvariantCulture,
                $"""<rect x="{N(mx - half)}" y="{N(my - 1.15)}" width="{N(2 * half)}" height="2.3" fill="#ffffff" stroke="none"/><text x="{N(mx)}" y="{N(my + 0.8)}" font-size="2.2" text-anchor="middle" fill="#a8572b" stroke="none">{c.Order}</text>"""
            );
        }
        s.Append(numbers);
        var bar = sheet.DepthMm + 2 * Margin;
        s.Append(
            CultureInfo.InvariantCulture,
            $"""<rect x="{N(Margin)}" y="{N(bar)}" width="50" height="1.4" fill="#1d2a2e" stroke="none"/><text x="{N(Margin)}" y="{N(bar + 7)}" font-size="3.5" fill="#1d2a2e" stroke="none">50 mm</text>"""
        );
        s.Append(
            CultureInfo.InvariantCulture,
            $"""<text x="{N(Margin)}" y="{N(Margin - 4)}" font-size="3.2" fill="#1d2a2e" stroke="none">Film on both faces until laid: {sheet.Placements.Count * 2} films to peel</text>"""
        );
        return s.Append("</svg>").ToString();
    }
}
