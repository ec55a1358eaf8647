using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;

namespace FaithfulBracket.Formats.Spreadsheets;

/// <summary>One line of a table cut into its cells, quotes honoured (RFC 4180).</summary>
internal static class CsvLine
{
    public static string[] Cells(string line, char separator)
    {
        using var parser = new CsvParser(
            new StringReader(line),
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                Delimiter = separator.ToString(),
                HasHeaderRecord = false,
                TrimOptions = TrimOptions.Trim,
                BadDataFound = null,
            }
        );
        return parser.Read() ? parser.Record! : [];
    }
}
