using System.Globalization;
using System.Net;
using System.Text;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Choosing;
using FaithfulBracket.Formats.Layouts;

namespace FaithfulBracket.Formats.Records;

/// <summary>One sheet to send to a maker, on its own: the question, the drawing to scale, the heights, what differs from a twin.</summary>
public static class QuestionSheet
{
    private const string Style = """
        body { font: 14px/1.45 sans-serif; color: #1d2a2e; max-width: 180mm; margin: 12mm auto }
        h1 { font-size: 21px; margin: 0 0 4px }
        h2 { font-size: 15px; margin: 14px 0 4px }
        .ask { font-size: 18px; border-left: 4px solid #a8562a; padding: 6px 12px; margin: 12px 0 }
        .soft { color: #5b6668 }
        table { border-collapse: collapse; width: 100% }
        th, td { text-align: left; border-bottom: 1px solid #ccc; padding: 3px 8px 3px 0 }
        td.n, th:nth-child(n+3) { text-align: right }
        svg { max-width: 100%; height: auto }
        @page { margin: 14mm }
        """;

    public static string Html(Board board, Block block, MakerQuestion q, DateOnly day)
    {
        var html = new StringBuilder();
        var (mine, theirs) = (
            $"{board.Maker} {board.Model}, {BoardLabel.Format(board)}",
            $"{block.Maker} {block.Model}"
        );
        var revision = block.ManualRevision is { } m ? $", manual revision {m}" : "";
        html.Append("<!doctype html><html lang=\"en\"><head><meta charset=\"utf-8\">")
            .Append("<meta name=\"viewport\" content=\"width=device-width\">")
            .Append($"<title>{E($"{theirs} on {mine}")}</title><style>{Style}</style></head><body>")
            .Append($"<h1>{E($"{theirs} on {mine}")}</h1>")
            .Append($"<p class=\"soft\">Asked on {day:yyyy-MM-dd}{E(revision)}</p>")
            .Append($"<p class=\"ask\">{E(q.Question)}</p>");
        if (q.Why.Count > 0)
            html.Append("<h2>What stands open here</h2>").Append(List(q.Why));
        if (q.Heights.Count > 0)
            Heights(html, q.Heights);
        if (q.Twin is { } twin)
            html.Append($"<h2>The nearest board we know: {E(twin.Name)}")
                .Append(twin.Declared ? ", which you state to fit</h2>" : "</h2>")
                .Append(
                    twin.Differences.Count == 0
                        ? "<p>Nothing that we have seen differs.</p>"
                        : List(twin.Differences.Take(MaxDifferences).Select(d => d.Text))
                );
        html.Append("<h2>The board as we know it, drawn to scale, mm</h2>").Append(DrawingWriter.Svg(board));
        return html.Append("</body></html>").ToString();
    }

    private const int MaxDifferences = 10;

    private static void Heights(StringBuilder html, IReadOnlyList<AskedHeight> heights)
    {
        html.Append("<h2>Heights that it rests on</h2><table><tr><th>part</th><th>kind</th>")
            .Append("<th>height, mm</th><th>±</th><th>room left, mm</th></tr>");
        foreach (var h in heights)
            html.Append($"<tr><td>{E(h.Part)}</td><td>{E(h.Kind)}</td>")
                .Append($"<td class=\"n\">{(h.HeightMm is { } v ? N(v) : "not known")}</td>")
                .Append($"<td class=\"n\">{(h.HeightMm is null ? "" : N(h.TolMm))}</td>")
                .Append($"<td class=\"n\">{(h.MarginMm is { } room ? N(room) : "")}</td></tr>");
        html.Append("</table>");
    }

    private static string List(IEnumerable<object> texts) =>
        $"<ul>{string.Concat(texts.Select(t => $"<li>{E($"{t}")}</li>"))}</ul>";

    private static string E(string text) => WebUtility.HtmlEncode(text);

    private static string N(double v) => v.ToString("0.00", CultureInfo.InvariantCulture);
}
