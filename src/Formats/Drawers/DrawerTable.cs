using System.Globalization;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using CsvHelper;
using CsvHelper.Configuration;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Layouts;
using FaithfulBracket.Formats.Spreadsheets;
using FaithfulBracket.Formats.Words.Drawers;

namespace FaithfulBracket.Formats.Drawers;

/// <summary>One row of a drawer's table: which item, and the fields that the row states.</summary>
/// <param name="Line">In the file, from 1.</param>
/// <param name="Kind">Null where the row leaves it to the item that has this id.</param>
/// <param name="Id">Null where the row leaves it open.</param>
public sealed record DrawerRowRead(int Line, string? Kind, string? Id, JsonObject Fields);

/// <summary>
/// What the drawer holds as one table (RFC 4180), an item a row: out to be counted, and back in. A row that comes in needs
/// no more than its id and what changes.
/// </summary>
public static class DrawerTable
{
    public const int MaxRows = 5000;

    public static readonly string InWords = $"Limits: 16 MiB, {MaxRows} rows. {SpreadsheetFile.InWords}";

    public static readonly IReadOnlyList<string> Kinds = ["material", "pad", "paste", "screw", "tool", "consumable"];

    private enum Sort
    {
        Words,
        Figure,
        Whole,
        Flag,
    }

    private static readonly (string Name, Sort Sort)[] Columns =
    [
        ("kind", Sort.Words),
        ("id", Sort.Words),
        ("name", Sort.Words),
        ("material", Sort.Words),
        ("thread", Sort.Words),
        ("lengthMm", Sort.Figure),
        ("thicknessMm", Sort.Figure),
        ("widthMm", Sort.Figure),
        ("depthMm", Sort.Figure),
        ("offcut", Sort.Flag),
        ("count", Sort.Whole),
        ("gramsLeft", Sort.Figure),
        ("monthsToRepaste", Sort.Whole),
        ("openedOn", Sort.Words),
        ("shelfMonths", Sort.Whole),
        ("amount", Sort.Figure),
        ("unit", Sort.Words),
        ("lowAt", Sort.Figure),
        ("waitS", Sort.Whole),
    ];

    public static string Write(Drawer d)
    {
        var text = new StringWriter(CultureInfo.InvariantCulture);
        using var csv = new CsvWriter(text, new CsvConfiguration(CultureInfo.InvariantCulture) { NewLine = "\r\n" });
        foreach (var (name, _) in Columns)
            csv.WriteField(name);
        csv.NextRecord();
        foreach (var (kind, item) in Items(d))
        {
            var fields = JsonSerializer.SerializeToNode(item, item.GetType(), DocumentJson.Options)!.AsObject();
            foreach (var (name, _) in Columns)
                csv.WriteField(
                    name == "kind" ? kind
                    : fields[name] is JsonValue v ? SpreadsheetText.Escape(v.ToString())
                    : name == "material" && fields[name] is JsonObject m ? m["id"]?.ToString() ?? ""
                    : ""
                );
            csv.NextRecord();
        }
        csv.Flush();
        return text.ToString();
    }

    /// <exception cref="InputException">Cells that do not read, each with its line and column; or no such table.</exception>
    public static IReadOnlyList<DrawerRowRead> Read(ReadOnlyMemory<byte> content, string? sheet)
    {
        var file = new TextFile("table", content, "", sheet);
        if (Header(file) is not var (at, separator, columns))
            throw new InputException("", DrawerTableWords.NoHeaderWithColumnsId(file.Elsewhere));
        var faults = new List<InputFault>();
        var rows = new List<DrawerRowRead>();
        for (var i = at + 1; i < file.Lines.Count; i++)
        {
            var cells = CsvLine.Cells(file.Lines[i], separator);
            if (cells.All(c => c.Length == 0))
                continue;
            if (rows.Count >= MaxRows)
                throw new InputException("", $"More than {MaxRows} rows.");
            rows.Add(Row(cells, columns, separator != ',', i + 1, faults));
        }
        return faults.Count > 0 ? throw new InputException(faults)
            : rows.Count == 0 ? throw new InputException("", DrawerTableWords.TableHasNoRows)
            : rows;
    }

    private static DrawerRowRead Row(
        string[] cells,
        IReadOnlyDictionary<string, int> columns,
        bool decimalComma,
        int line,
        List<InputFault> faults
    )
    {
        string? Cell(string name) =>
            columns.TryGetValue(name, out var c) && c < cells.Length && cells[c].Length > 0
                ? SpreadsheetText.Unescape(cells[c])
                : null;
        var fields = new JsonObject();
        foreach (var (name, sort) in Columns)
            if (name is not ("kind" or "id") && Cell(name) is { } text)
                if (Value(text, sort, decimalComma) is { } value)
                    fields[name] = value;
                else
                    faults.Add(
                        new(
                            $"/{line}/{name}",
                            $"Line {line}, {name}: expected {Expected(sort)}, found \"{LayoutReader.Short(text)}\"."
                        )
                    );
        var kind = Cell("kind")?.ToLowerInvariant();
        if (kind is not null && !Kinds.Contains(kind))
            faults.Add(
                new(
                    $"/{line}/kind",
                    DrawerTableWords.LineKindExpectedFound(line, string.Join(", ", Kinds), LayoutReader.Short(kind))
                )
            );
        return new(line, kind, Cell("id"), fields);
    }

    private static JsonNode? Value(string text, Sort sort, bool decimalComma)
    {
        var plain = decimalComma ? text.Replace(',', '.') : text;
        return sort switch
        {
            Sort.Words => JsonValue.Create(text),
            Sort.Flag => text.ToLowerInvariant() switch
            {
                "true" or "yes" or "y" or "1" or "offcut" => JsonValue.Create(true),
                "false" or "no" or "n" or "0" or "sheet" => JsonValue.Create(false),
                _ => null,
            },
            Sort.Whole => double.TryParse(plain, NumberStyles.Float, CultureInfo.InvariantCulture, out var n)
            && n == Math.Floor(n)
            && Math.Abs(n) < 1e9
                ? JsonValue.Create((long)n)
                : null,
            _ => double.TryParse(plain, NumberStyles.Float, CultureInfo.InvariantCulture, out var v)
            && double.IsFinite(v)
                ? JsonValue.Create(v)
                : null,
        };
    }

    private static string Expected(Sort sort) =>
        sort switch
        {
            Sort.Flag => "yes or no",
            Sort.Whole => "a whole number",
            _ => "a number",
        };

    private static (int Line, char Separator, IReadOnlyDictionary<string, int> Columns)? Header(TextFile file)
    {
        const int mostBefore = 30;
        for (var i = 0; i < Math.Min(mostBefore, file.Lines.Count); i++)
            foreach (var separator in (ReadOnlySpan<char>)['\t', ';', ','])
            {
                var names = CsvLine.Cells(file.Lines[i], separator);
                var columns = new Dictionary<string, int>(StringComparer.Ordinal);
                for (var c = 0; c < names.Length; c++)
                    if (Named(names[c]) is { } name)
                        columns.TryAdd(name, c);
                if (columns.Count >= 2 && columns.Keys.Any(k => k is "id" or "name" or "thread" or "material"))
                    return (i, separator, columns);
            }
        return null;
    }

    private static string? Named(string cell)
    {
        var plain = string.Concat(cell.Where(char.IsLetterOrDigit)).ToLowerInvariant();
        return Columns
            .Select(c => c.Name)
            .FirstOrDefault(n =>
                n.Equals(plain, StringComparison.OrdinalIgnoreCase)
                || n.Equals($"{plain}mm", StringComparison.OrdinalIgnoreCase)
            );
    }

    private static IEnumerable<(string Kind, object Item)> Items(Drawer d) =>
        d
            .Pads.Select(p => ("pad", (object)p))
            .Concat(d.Pastes.Select(p => ("paste", (object)p)))
            .Concat(d.Screws.Select(s => ("screw", (object)s)))
            .Concat(d.Consumables.Select(c => ("consumable", (object)c)))
            .Concat(d.Tools.Select(t => ("tool", (object)t)));
}
