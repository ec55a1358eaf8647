using System.Text.RegularExpressions;
using FaithfulBracket.Formats.Spreadsheets;

namespace FaithfulBracket.Formats.Logs;

/// <summary>The header of a log: what parts its cells, the columns' names with their units, where its rows begin.</summary>
/// <param name="Row">Index of the line of the first row of figures.</param>
internal sealed partial record LogHead(int Row, char Separator, IReadOnlyList<string> Names)
{
    private const int MaxBefore = 30,
        LongestLine = 8000;

    [GeneratedRegex(
        @"^(?:[\[(].{1,12}[\])]|°?[CF]|deg ?[CF]|m?s|sec|min|k?W|A|V|%|rpm|[MG]Hz|[Ll]/(?:min|h)|lp[mh])?$"
    )]
    private static partial Regex UnitPattern();

    /// <summary>The last line in front of the first one that is made of figures, with the separator that cuts both alike.</summary>
    public static LogHead? Find(IReadOnlyList<string> lines)
    {
        for (var i = 0; i + 1 < Math.Min(lines.Count, MaxBefore); i++)
        {
            // no header is this long, and nobody cuts such a line into cells to find out
            if (lines[i].Length + lines[i + 1].Length > LongestLine)
                continue;
            foreach (var separator in (ReadOnlySpan<char>)['\t', ';', ','])
            {
                var names = Cells(lines[i], separator);
                if (names.Length < 2 || names.Count(n => n.Any(char.IsLetter)) < 2)
                    continue;
                var cells = Cells(lines[i + 1], separator);
                if (cells.Length < names.Length - 1)
                    continue;
                var figures = cells.Count(LooksLikeFigure);
                if (figures >= 1 && figures * 2 >= cells.Count(c => c.Length > 0))
                    return new(i + 1, separator, WithUnits(lines, i, separator, names));
            }
        }
        return null;
    }

    /// <summary>A row of units below the row of names: each name takes its unit.</summary>
    private static string[] WithUnits(IReadOnlyList<string> lines, int at, char separator, string[] names)
    {
        if (at == 0 || lines[at - 1].Length > LongestLine || !names.All(n => UnitPattern().IsMatch(n)))
            return names;
        var above = Cells(lines[at - 1], separator);
        if (above.Length != names.Length || above.Count(n => n.Any(char.IsLetter)) < 2)
            return names;
        return
        [
            .. above.Zip(names, (name, unit) => unit.Length == 0 ? name : $"{name} [{unit.Trim('[', ']', '(', ')')}]"),
        ];
    }

    private static string[] Cells(string line, char separator) =>
        [.. CsvLine.Cells(line, separator).Select(c => c.Trim().Trim('"').Trim())];

    private static bool LooksLikeFigure(string cell) =>
        cell.Length > 0
        && cell.Any(char.IsAsciiDigit)
        && cell.All(c => char.IsAsciiDigit(c) || "+-.,eE:/ TZ".Contains(c, StringComparison.Ordinal));
}
