using System.Globalization;
using System.Text;
using FaithfulBracket.Core.Schedule;
using FaithfulBracket.Formats.Spreadsheets;

namespace FaithfulBracket.Formats.Records;

/// <summary>What has to be ordered, as a table (RFC 4180).</summary>
public static class OrderCsv
{
    private const string Header = "group,name,needed,in_drawer,short,unit,order,runs_out_at,jobs";

    public static string Write(IEnumerable<OrderLine> lines)
    {
        var text = new StringBuilder().Append(Header).Append("\r\n");
        foreach (var l in lines)
            text.AppendJoin(
                    ',',
                    new[]
                    {
                        l.Group,
                        l.Name,
                        Number(l.Need),
                        Number(l.Stock),
                        Number(l.Short),
                        l.Unit,
                        l.Buy,
                        l.RunsOutAt?.ToString("yyyy-MM-dd'T'HH:mm", CultureInfo.InvariantCulture) ?? "",
                        string.Join("; ", l.Jobs),
                    }.Select(Quoted)
                )
                .Append("\r\n");
        return text.ToString();
    }

    private static string Number(double v) => v.ToString("0.##", CultureInfo.InvariantCulture);

    private static string Quoted(string field)
    {
        var safe = SpreadsheetText.Escape(field);
        return safe.AsSpan().IndexOfAny(",\"\r\n") < 0
            ? safe
            : $"\"{safe.Replace("\"", "\"\"", StringComparison.Ordinal)}\"";
    }
}
