using System.Globalization;
using System.Net;
using System.Text;

namespace FaithfulBracket.Formats.Records;

/// <summary>Labels on sheets of A4 at true size, to be cut or stuck: three in a row, nine rows.</summary>
public static class LabelSheet
{
    public const int MaxLabels = 500;

    private const double WidthMm = 64,
        HeightMm = 30,
        LeftMm = 9,
        TopMm = 13.5,
        CodeMm = 24,
        PageWidthMm = 210,
        PageHeightMm = 297;
    private const int Across = 3,
        Down = 9,
        LettersInTitle = 22,
        LettersInSub = 28;

    /// <param name="scale">Of the printer: how much larger everything has to be drawn to come out true.</param>
    public static string Draw(IReadOnlyList<Label> labels, double scale)
    {
        var pages = Math.Max(1, (labels.Count + Across * Down - 1) / (Across * Down));
        var svg = new StringBuilder();
        var (width, height) = (PageWidthMm, PageHeightMm * pages);
        svg.Append("<svg xmlns=\"http://www.w3.org/2000/svg\" font-family=\"sans-serif\" ")
            .Append(
                CultureInfo.InvariantCulture,
                $"width=\"{width * scale:0.###}mm\" height=\"{height * scale:0.###}mm\" viewBox=\"0 0 {width} {height}\">"
            )
            .Append("<rect width=\"100%\" height=\"100%\" fill=\"#fff\"/>");
        for (var i = 0; i < labels.Count; i++)
        {
            var (page, place) = Math.DivRem(i, Across * Down);
            var (row, column) = Math.DivRem(place, Across);
            One(svg, labels[i], LeftMm + column * WidthMm, page * PageHeightMm + TopMm + row * HeightMm);
        }
        return svg.Append("</svg>").ToString();
    }

    private static void One(StringBuilder svg, Label label, double x, double y)
    {
        const double rim = 3;
        svg.Append("<g><rect fill=\"none\" stroke=\"#999\" stroke-width=\"0.1\" stroke-dasharray=\"1 1\" ")
            .Append(CultureInfo.InvariantCulture, $"x=\"{x}\" y=\"{y}\" width=\"{WidthMm}\" height=\"{HeightMm}\"/>")
            .Append($"<path d=\"{Modules(label.Code, x + rim, y + rim)}\"/>");
        var at = x + rim + CodeMm + 2;
        var line = y + 8;
        void Words(string text, double size, bool bold)
        {
            var weight = bold ? 700 : 400;
            svg.Append(
                    CultureInfo.InvariantCulture,
                    $"<text x=\"{at}\" y=\"{line:0.##}\" font-size=\"{size}\" font-weight=\"{weight}\">"
                )
                .Append(WebUtility.HtmlEncode(text))
                .Append("</text>");
            line += size * 1.25;
        }
        foreach (var part in Lines(label.Title, LettersInTitle, 2))
            Words(part, 3.1, true);
        foreach (var part in Lines(label.Sub, LettersInSub, 3))
            Words(part, 2.3, false);
        svg.Append("</g>");
    }

    /// <summary>Words in lines of so many letters, shortened past the last line.</summary>
    private static IEnumerable<string> Lines(string text, int letters, int most)
    {
        var lines = new List<string>();
        foreach (var word in text.Split(' ', StringSplitOptions.RemoveEmptyEntries))
            if (lines.Count > 0 && lines[^1].Length + 1 + word.Length <= letters)
                lines[^1] += $" {word}";
            else
                lines.Add(word.Length > letters ? word[..letters] : word);
        return lines.Count <= most ? lines : [.. lines.Take(most - 1), $"{lines[most - 1]} …"];
    }

    /// <summary>Dark modules as one path.</summary>
    private static string Modules(string code, double x, double y)
    {
        var rows = LabelCode.Rows(code);
        var side = CodeMm / rows.Count;
        var path = new StringBuilder();
        for (var r = 0; r < rows.Count; r++)
        for (var c = 0; c < rows.Count; c++)
        {
            var from = c;
            while (c < rows.Count && rows[r][c])
                c++;
            if (c > from)
                path.Append(
                    CultureInfo.InvariantCulture,
                    $"M{x + from * side:0.###} {y + r * side:0.###}h{(c - from) * side:0.###}v{side:0.###}h{-(c - from) * side:0.###}z"
                );
        }
        return path.ToString();
    }
}
