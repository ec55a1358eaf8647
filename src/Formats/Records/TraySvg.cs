using System.Globalization;
using System.Net;
using System.Text;
using FaithfulBracket.Core.Teardown;

namespace FaithfulBracket.Formats.Records;

/// <summary>The tray map at true size: a cell for each driver, thread and length, with the screw drawn as long as it is.</summary>
public static class TraySvg
{
    private const double CellMm = 42,
        CellHighMm = 36,
        MarginMm = 6;
    private const int Columns = 4;

    /// <param name="scale">Correction for a printer that is off: 50 / measured bar.</param>
    public static string Draw(IReadOnlyList<TrayCell> tray, double scale = 1)
    {
        static string N(double v) => v.ToString("0.###", CultureInfo.InvariantCulture);
        var rows = Math.Max(1, (tray.Count + Columns - 1) / Columns);
        double width = Columns * CellMm + 2 * MarginMm,
            height = rows * CellHighMm + 2 * MarginMm + 12;
        var s = new StringBuilder();
        s.Append(
            CultureInfo.InvariantCulture,
            $"""<svg xmlns="http://www.w3.org/2000/svg" width="{N(width * scale)}mm" height="{N(height * scale)}mm" viewBox="0 0 {N(width)} {N(height)}" font-family="sans-serif" fill="#1d2a2e">"""
        );
        for (var i = 0; i < tray.Count; i++)
        {
            var c = tray[i];
            double x = MarginMm + i % Columns * CellMm,
                y = MarginMm + i / Columns * CellHighMm;
            s.Append(
                CultureInfo.InvariantCulture,
                $"""<rect x="{N(x)}" y="{N(y)}" width="{N(CellMm)}" height="{N(CellHighMm)}" fill="none" stroke="#1d2a2e" stroke-width="0.4"/><text x="{N(x + 2.5)}" y="{N(y + 7.5)}" font-size="7" font-weight="700">{c.Cell}</text>"""
            );
            s.Append(
                CultureInfo.InvariantCulture,
                $"""<text x="{N(x + 2.5)}" y="{N(y + 13)}" font-size="4.6">{c.Count} × {Text(c.Thread ?? "")}{(c.LengthMm is { } l ? $" × {N(l)}" : "")}</text><text x="{N(x + 2.5)}" y="{N(y + CellHighMm - 2.5)}" font-size="3.4">{Text(c.Driver)}, {(c.Fasteners.Count == 1 ? "group" : "groups")} {Text(string.Join(", ", c.Fasteners))}</text>"""
            );
            // head and shank at true size: a screw laid on it tells its length
            var d = Diameter(c.Thread);
            var middle = y + CellHighMm / 2 + 4.5;
            s.Append(
                CultureInfo.InvariantCulture,
                $"""<rect x="{N(x + 4)}" y="{N(middle - d)}" width="{N(0.7 * d)}" height="{N(2 * d)}" fill="none" stroke="#1d2a2e" stroke-width="0.25"/><rect x="{N(x + 4 + 0.7 * d)}" y="{N(middle - d / 2)}" width="{N(c.LengthMm ?? 6)}" height="{N(d)}" fill="#e6ddc8" stroke="#1d2a2e" stroke-width="0.25"/>"""
            );
        }
        var bar = height - 9;
        s.Append(
            CultureInfo.InvariantCulture,
            $"""<rect x="{N(MarginMm)}" y="{N(bar)}" width="50" height="1.4"/><text x="{N(MarginMm)}" y="{N(bar + 6)}" font-size="3.5">50 mm</text>"""
        );
        return s.Append("</svg>").ToString();
    }

    private static double Diameter(string? thread) =>
        thread is ['M', .. var size]
        && double.TryParse(size, NumberStyles.Float, CultureInfo.InvariantCulture, out var d)
            ? d
            : 3;

    private static string Text(string text) => WebUtility.HtmlEncode(text);
}
