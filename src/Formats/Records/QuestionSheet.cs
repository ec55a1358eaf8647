using System.Globalization;
using System.Net;
using System.Text;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Choosing;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Formats.Layouts;

namespace FaithfulBracket.Formats.Records;

/// <summary>One sheet to send to a maker, on its own: the question, the drawing to scale, the heights, what differs from a twin.</summary>
public static class QuestionSheet
{
    private const string Style = """
        body{font:14px/1.45 sans-serif;color:#1d2a2e;max-width:180mm;margin:12mm auto}
        h1{font-size:21px;margin:0 0 4px} h2{font-size:15px;margin:14px 0 4px} .ask{font-size:18px;border-left:4px solid #a8562a;padding:6px 12px;margin:12px 0}
        table{border-collapse:collapse;width:100%} th,td{text-align:left;border-bottom:1px solid #ccc;padding:3px 8px 3px 0} td.n,th:nth-child(n+3){text-align:right}
        svg{max-width:100%;height:auto} .soft{color:#5b6668} @page{margin:14mm}
        """;

    public static string Html(Board board, Block block, MakerQuestion q, string shop, DateOnly day)
    {
        static string E(string text) => WebUtility.HtmlEncode(text);
        static string N(double? v) => v?.ToString("0.00", CultureInfo.InvariantCulture) ?? "not known";
        var html = new StringBuilder();
        html.Append(
            CultureInfo.InvariantCulture,
            $"<!doctype html><html lang=\"en\"><head><meta charset=\"utf-8\"><meta name=\"viewport\" content=\"width=device-width\"><title>{E($"{block.Model} on {board.Model}")}</title><style>{Style}</style></head><body>"
        );
        html.Append(
            CultureInfo.InvariantCulture,
            $"<h1>{E($"{block.Maker} {block.Model}")} on {E($"{board.Maker} {board.Model}, {BoardLabel.Of(board)}")}</h1><p class=\"soft\">{E(shop)} {day:yyyy-MM-dd}{(block.ManualRevision is { } m ? $", manual revision {E(m)}" : "")}</p><p class=\"ask\">{E(q.Question)}</p>"
        );
        if (q.Why.Count > 0)
            html.Append(
                CultureInfo.InvariantCulture,
                $"<h2>What stands open here</h2><ul>{string.Concat(q.Why.Select(w => $"<li>{E(w)}</li>"))}</ul>"
            );
        if (q.Heights.Count > 0)
        {
            html.Append(
                "<h2>Heights that it rests on</h2><table><tr><th>part</th><th>kind</th><th>height, mm</th><th>±</th><th>room left, mm</th></tr>"
            );
            foreach (var h in q.Heights)
                html.Append(
                    CultureInfo.InvariantCulture,
                    $"<tr><td>{E(h.Part)}</td><td>{E(h.Kind)}</td><td class=\"n\">{N(h.HeightMm)}</td><td class=\"n\">{(h.HeightMm is null ? "" : N(h.TolMm))}</td><td class=\"n\">{(h.MarginMm is null ? "" : N(h.MarginMm))}</td></tr>"
                );
            html.Append("</table>");
        }
        if (q.Twin is { } twin)
        {
            html.Append(
                CultureInfo.InvariantCulture,
                $"<h2>The nearest board we know: {E(twin.Name)}{(twin.Declared ? ", which you state to fit" : "")}</h2>"
            );
            html.Append(
                twin.Differences.Count == 0
                    ? "<p>Nothing that we have seen differs.</p>"
                    : $"<ul>{string.Concat(twin.Differences.Take(10).Select(d => $"<li>{E(d.Text)}</li>"))}</ul>"
            );
        }
        html.Append("<h2>The board as we know it, drawn to scale, mm</h2>");
        html.Append(DrawingWriter.Svg(board));
        return html.Append("</body></html>").ToString();
    }
}
