using System.Globalization;
using System.Text.RegularExpressions;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Spreadsheets;
using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>Tables with a header row: pick-and-place lists, lists of holes, and our own CSV of a board.</summary>
internal sealed partial class TableReader
{
    /// <summary>Names by which columns go, letters and digits only.</summary>
    private static readonly (Column Column, string[] Names)[] Names =
    [
        (Column.What, ["what", "recordtype"]),
        (
            Column.Id,
            [
                "id",
                "designator",
                "ref",
                "refdes",
                "reference",
                "refdesignator",
                "referencedesignator",
                "component",
                "name",
                "partref",
                "partreference",
                "compname",
                "item",
                "part",
                "partid",
            ]
        ),
        (Column.X, Axis('x')),
        (Column.Y, Axis('y')),
        (
            Column.Rotation,
            [
                "rotationdeg",
                "rotation",
                "rot",
                "angle",
                "orientation",
                "rotate",
                "theta",
                "symrotate",
                "rotationangle",
                "rotangle",
                "angledeg",
                "rotdeg",
                "orient",
                "degrees",
                "deg",
                "rotationcw",
                "rotationccw",
                "rotationclockwise",
                "anglecw",
            ]
        ),
        (
            Column.Face,
            [
                "face",
                "side",
                "layer",
                "tb",
                "topbottom",
                "topbot",
                "bottomtop",
                "mountside",
                "boardside",
                "boardlayer",
                "placeside",
                "layername",
                "componentside",
                "mirror",
                "symmirror",
            ]
        ),
        (Column.Height, ["height", "heightmm", "partheight", "heightin", "heightmil"]),
        (
            Column.Diameter,
            ["diameter", "diametermm", "dia", "hole", "holesize", "drill", "drillsize", "drilldiameter", "size"]
        ),
        (Column.Width, ["width", "widthmm"]),
        (Column.Depth, ["depth", "depthmm", "length", "lengthmm"]),
        (Column.Kind, ["kind"]),
        (Column.Slot, ["slot", "slotmm"]),
        (Column.SlotAngle, ["slotdeg"]),
        (Column.Plated, ["plated", "plating"]),
        (Column.Package, ["package", "footprint", "pattern", "cell", "value", "symname"]),
    ];

    /// <summary>Names of one axis: of the middle before those of a reference or a pad.</summary>
    private static string[] Axis(char axis)
    {
        string[] words =
        [
            "mid",
            "center",
            "centre",
            "centroid",
            "loc",
            "location",
            "pos",
            "position",
            "coord",
            "coordinate",
            "place",
            "body",
            "sym",
            "part",
            "comp",
            "ref",
            "pad",
        ];
        string[] units = ["", "mm", "in", "inch", "mil", "mils"];
        return
        [
            .. units.Select(u => $"{axis}{u}"),
            .. words.SelectMany(w => units.SelectMany(u => new[] { $"{w}{axis}{u}", $"{axis}{w}{u}" })),
        ];
    }

    private readonly TextFile _file;
    private readonly LayoutDraft _draft;
    private LengthUnit? _unit;
    private bool _forced,
        _decimalComma,
        _clockwise,
        _sizedByName;

    /// <summary>The side as numbers: 1 and 2, or 0 and 1.</summary>
    private bool _sideFromZero;

    [GeneratedRegex(
        @"units?\b\W*(?:used)?\W*(?:=|:|\s)\W*(mm|millimet\w+|inch(?:es)?|in|mils?|thou)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex UnitPattern();

    /// <summary>A remark such as "X, Y in mil." or "all dimensions are in inches".</summary>
    [GeneratedRegex(
        @"\b(?:x\s*(?:,|and|/|&)?\s*y|coordinates?|positions?|dimensions?|locations?|lengths?|values?|measurements?|everything|all)\b[^.]*?\b(?:are\s+in|in|are)\s+(mm|millimet\w+|inch(?:es)?|in|mils?|thou)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex RemarkUnitPattern();

    /// <summary>A remark that is nothing but a unit.</summary>
    [GeneratedRegex(
        @"^[#;!*\s]+\(?(mm|millimet\w+|inch(?:es)?|mils?|thou|metric|imperial|english)\)?\W*$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex BareUnitPattern();

    [GeneratedRegex(@"(?<!counter\W?)(?<!anti\W?)\b(?:clockwise|cw)\b|rotation\W?cw\b", RegexOptions.IgnoreCase)]
    private static partial Regex ClockwisePattern();

    [GeneratedRegex(@"^([-+]?[\d.]+(?:[eE][-+]?\d+)?)\s*(mm|mils?|thou|in|inch|"")?$", RegexOptions.IgnoreCase)]
    private static partial Regex LengthPattern();

    private TableReader(TextFile file, LayoutDraft draft) => (_file, _draft) = (file, draft);

    public static void Read(TextFile file, LayoutOptions options, LayoutDraft draft) =>
        new TableReader(file, draft).Run(options);

    private sealed record Row(int Line, string[] Cells);

    private void Run(LayoutOptions options)
    {
        var (header, delimiter, told) = FindHeader(options.Columns);
        var rowsToCome = Rows(delimiter, header.Line).ToList();
        var unitRow = UnitRow(rowsToCome);
        IReadOnlyDictionary<Column, int> columns = told?.Columns ?? WithSide(Map(header.Cells), header, rowsToCome);
        if (told is null)
            NameTheRest(columns, header);
        SideNumbers(columns, rowsToCome);
        TurnSense(header);
        Units(options.Units is null && told?.Units is { } u ? options with { Units = u } : options, header, unitRow);
        // a decimal comma can only stand where the comma does not part columns
        _decimalComma = delimiter != ",";
        int outlineFrom = header.Line;
        var outline = new List<Point2>();
        foreach (var row in rowsToCome)
        {
            string? Cell(Column c) =>
                columns.TryGetValue(c, out var i) && i < row.Cells.Length && row.Cells[i].Trim() is { Length: > 0 } t
                    ? SpreadsheetText.Unescape(t)
                    : null;
            if (
                Cell(Column.X) is null
                && Cell(Column.Y) is null
                && columns.Count > 2
                && row.Cells.Count(c => c.Trim().Length > 0) < 3
            )
            {
                _draft.Warn(_file, row.Line, TableReaderWords.ThisLineHasNoX);
                continue;
            }
            var at = new Point2(Length(row, Cell(Column.X), "x"), Length(row, Cell(Column.Y), "y"));
            var what =
                Cell(Column.What)?.ToLowerInvariant()
                ?? (
                    columns.ContainsKey(Column.Diameter)
                    && !columns.ContainsKey(Column.Rotation)
                    && !columns.ContainsKey(Column.Face)
                        ? "hole"
                        : "part"
                );
            switch (what)
            {
                case "hole":
                    _draft.Holes.Add(
                        new(
                            at.X,
                            at.Y,
                            Optional(row, Cell(Column.Diameter), "diameter"),
                            Plated(Cell(Column.Plated)),
                            Optional(row, Cell(Column.Slot), "slot"),
                            Cell(Column.SlotAngle) is { } a ? Number(row, a, "slotDeg") : null
                        )
                    );
                    break;
                case "outline":
                    outline.Add(at);
                    break;
                case "part":
                    Part(row, at, Cell);
                    break;
                default:
                    throw _file.Refuse(
                        row.Line,
                        TableReaderWords.WhatExpectedHolePartOrOutline(LayoutReader.Short(what))
                    );
            }
        }
        if (outline.Count is > 0 and < 3)
            throw _file.Refuse(outlineFrom, IdfReaderWords.OutlineNeedsThreePointsAtLeast);
        if (outline.Count > 0)
            _draft.Outline = new(outline);
    }

    /// <summary>The unit of a row of units right below the header, which is taken off the rows.</summary>
    private static LengthUnit? UnitRow(List<Row> rows)
    {
        if (rows.Count == 0 || rows[0].Cells.Any(c => c.Any(char.IsAsciiDigit)))
            return null;
        var units = rows[0].Cells.Select(c => LengthUnits.Parse(c.Trim('[', ']', '(', ')', ' '))).ToList();
        if (units.Count(u => u is not null) < 2)
            return null;
        rows.RemoveAt(0);
        return units.First(u => u is not null);
    }

    /// <summary>A side that no header names: the column in which nothing stands but words for top and bottom.</summary>
    private Dictionary<Column, int> WithSide(Dictionary<Column, int> columns, Row header, List<Row> rows)
    {
        if (columns.ContainsKey(Column.Face) || columns.ContainsKey(Column.What) || rows.Count == 0)
            return columns;
        for (var i = Math.Max(header.Cells.Length, rows[0].Cells.Length) - 1; i >= 0; i--)
        {
            if (columns.ContainsValue(i) || !rows.TrueForAll(r => i < r.Cells.Length && IsSideWord(r.Cells[i])))
                continue;
            columns[Column.Face] = i;
            var name = i < header.Cells.Length ? $"\"{header.Cells[i]}\"" : $"number {i + 1}";
            _draft.Assume(TableReaderWords.ColumnHoldsOnlyTopAndBottom(_file.Name, name));
            break;
        }
        return columns;
    }

    private static bool IsSideWord(string cell) =>
        cell.Trim().ToLowerInvariant()
            is "top"
                or "bottom"
                or "bot"
                or "front"
                or "back"
                or "toplayer"
                or "bottomlayer"
                or "f.cu"
                or "b.cu";

    private void NameTheRest(IReadOnlyDictionary<Column, int> columns, Row header)
    {
        var rest = header.Cells.Where((c, i) => c.Trim().Length > 0 && !columns.Values.Contains(i)).ToList();
        if (rest.Count > 0)
            _draft.Assume(
                TableReaderWords.NotUnderstoodAndLeftOut(
                    _file.Name,
                    rest.Count == 1 ? "column" : "columns",
                    string.Join(", ", rest.Select(LayoutReader.Short))
                )
            );
    }

    private void SideNumbers(IReadOnlyDictionary<Column, int> columns, List<Row> rows)
    {
        if (!columns.TryGetValue(Column.Face, out var at))
            return;
        var all = rows.Where(r => at < r.Cells.Length).Select(r => r.Cells[at].Trim()).Distinct().ToList();
        if (!all.TrueForAll(t => t is "0" or "1" or "2"))
            return;
        _sideFromZero = all.Contains("0");
        if (_sideFromZero && all.Contains("2"))
            throw _file.Refuse(rows[0].Line, TableReaderWords.SideAndStandTogether);
        if (all.Count > 0)
            _draft.Assume(
                $"{_file.Name}: sides are numbers; {(_sideFromZero ? TableReaderWords.ZeroIsTopOneIsBottom : TableReaderWords.OneIsTopTwoIsBottom)}."
            );
    }

    private void TurnSense(Row header)
    {
        _clockwise = _file.Lines.Take(header.Line).Any(l => ClockwisePattern().IsMatch(l));
        if (_clockwise)
            _draft.Assume(TableReaderWords.TurnsRunClockwiseInThisFile(_file.Name));
    }

    private void Part(Row row, Point2 at, Func<Column, string?> cell)
    {
        var id = cell(Column.Id) ?? throw _file.Refuse(row.Line, "designator: missing.");
        PartKind? kind = cell(Column.Kind) is { } k
            ? EnumNames<PartKind>.TryParse(k, out var known)
                ? known
                : throw _file.Refuse(
                    row.Line,
                    TableReaderWords.KindExpectedOneOfFound(
                        string.Join(", ", EnumNames<PartKind>.All),
                        LayoutReader.Short(k)
                    )
                )
            : PartKinds.FromDesignator(id);
        var face = Side(row, cell(Column.Face));
        if (face == Face.Back)
            _draft.Assume(TableReaderWords.PlacesOnBackAreTaken(_file.Name));
        var size = cell(Column.Package) is { } package ? PackageName.Size(package) : null;
        if (size is not null && !_sizedByName && (cell(Column.Width) is null || cell(Column.Depth) is null))
        {
            _sizedByName = true;
            _draft.Assume(TableReaderWords.SizesAreTakenFromPackagesNames(_file.Name, size.Value.Read));
        }
        _draft.Parts.Add(
            new(
                id,
                at.X,
                at.Y,
                cell(Column.Rotation) is { } r ? (_clockwise ? -1 : 1) * Number(row, r, "rotation") : 0,
                face,
                Optional(row, cell(Column.Height), "height"),
                kind,
                Optional(row, cell(Column.Width), "width") ?? size?.WidthMm,
                Optional(row, cell(Column.Depth), "depth") ?? size?.DepthMm
            )
        );
    }

    private Face Side(Row row, string? text) =>
        text?.Trim().ToLowerInvariant().Replace(" ", "", StringComparison.Ordinal) switch
        {
            "0" => Face.Front,
            "1" when _sideFromZero => Face.Back,
            null
            or "t"
            or "top"
            or "front"
            or "f.cu"
            or "toplayer"
            or "1"
            or "no"
            or "n"
            or "component"
            or "primary"
            or "top(1)" => Face.Front,
            "b"
            or "bot"
            or "bottom"
            or "back"
            or "b.cu"
            or "bottomlayer"
            or "2"
            or "yes"
            or "y"
            or "m"
            or "solder"
            or "secondary" => Face.Back,
            var other => throw _file.Refuse(
                row.Line,
                TableReaderWords.SideExpectedTopOrBottomFound(LayoutReader.Short(other))
            ),
        };

    private static bool? Plated(string? text) =>
        text?.ToLowerInvariant() switch
        {
            "pth" or "plated" or "yes" or "true" or "y" or "1" => true,
            "npth" or "non-plated" or "nonplated" or "no" or "false" or "n" or "0" => false,
            _ => null,
        };

    private void Units(LayoutOptions options, Row header, LengthUnit? unitRow)
    {
        if (options.Units is { } asked)
        {
            (_unit, _forced) = (asked, true);
            _draft.Assume(LayoutUnitWords.UnitsTakenAsAsAsked(_file.Name, Name(asked)));
        }
        else
        {
            _unit = unitRow;
            foreach (var line in _file.Lines.Take(_unit is null ? Math.Max(header.Line, 30) : 0))
                if (UnitPattern().Match(line) is { Success: true } m)
                {
                    _unit = LengthUnits.Parse(m.Groups[1].Value);
                    break;
                }
            _unit ??= RemarkUnit(header.Line);
            _unit ??= header.Cells.Select(Unit).FirstOrDefault(u => u is not null);
        }
        _draft.Units ??= _unit;
    }

    private LengthUnit? RemarkUnit(int headerLine)
    {
        foreach (var line in _file.Lines.Take(Math.Max(headerLine, 30)))
        {
            if (RemarkUnitPattern().Match(line) is { Success: true } m)
                return LengthUnits.Parse(m.Groups[1].Value);
            if (BareUnitPattern().Match(line) is { Success: true } bare)
                return LengthUnits.Parse(bare.Groups[1].Value);
        }
        return null;
    }

    private static LengthUnit? Unit(string cell)
    {
        var t = cell.ToLowerInvariant();
        return t.Contains("mm", StringComparison.Ordinal) ? LengthUnit.Mm
            : t.Contains("mil", StringComparison.Ordinal) ? LengthUnit.Mil
            : t.Contains("(in", StringComparison.Ordinal) || t.Contains("inch", StringComparison.Ordinal)
                ? LengthUnit.Inch
            : null;
    }

    private static string Name(LengthUnit u) =>
        u switch
        {
            LengthUnit.Mm => "mm",
            LengthUnit.Inch => "inches",
            _ => "mil",
        };

    private double? Optional(Row row, string? text, string field) => text is null ? null : Length(row, text, field);

    private double Length(Row row, string? text, string field)
    {
        if (text is null)
            throw _file.Refuse(row.Line, $"{field}: missing.");
        var m = LengthPattern().Match(Point(text));
        if (
            !m.Success
            || !double.TryParse(m.Groups[1].Value, NumberStyles.Float, CultureInfo.InvariantCulture, out var v)
        )
            throw _file.Refuse(row.Line, TableReaderWords.ExpectedLengthSuch(field, LayoutReader.Short(text)));
        if (m.Groups[2].Success && !_forced)
        {
            var own = LengthUnits.Parse(m.Groups[2].Value)!.Value;
            _draft.Units ??= own;
            return Math.Round(v * own.ToMm(), 6);
        }
        if (_unit is null)
        {
            _unit = LengthUnit.Mm;
            _draft.Units ??= _unit;
            _draft.Assume(LayoutUnitWords.NoUnitIsStated(_file.Name));
        }
        return Math.Round(v * _unit.Value.ToMm(), 6);
    }

    private double Number(Row row, string text, string field) =>
        double.TryParse(Point(text).TrimEnd('°'), NumberStyles.Float, CultureInfo.InvariantCulture, out var v)
        && double.IsFinite(v)
            ? v
            : throw _file.Refuse(row.Line, $"{field}: expected a number, found \"{LayoutReader.Short(text)}\".");

    private string Point(string text)
    {
        var t = text.Trim();
        // 12,5 is twelve and a half where commas do not part columns, or where the cell was quoted
        return _decimalComma && t.Contains(',')
            ? t.Contains('.')
                ? t.Replace(".", "", StringComparison.Ordinal).Replace(',', '.')
                : t.Replace(',', '.')
            : !_decimalComma && t.Count(c => c == ',') == 1 && !t.Contains('.')
                ? t.Replace(',', '.')
                : t;
    }

    /// <summary>The first line whose cells name x and y; lines before it are remarks.</summary>
    private (Row, string Delimiter, ColumnMap? Told) FindHeader(IReadOnlyDictionary<string, ColumnMap>? known)
    {
        foreach (var (row, delimiter) in Candidates(_file))
        {
            if (known?.GetValueOrDefault(Signature(row.Cells)) is { } told)
                return (row, delimiter, told);
            var map = Map(row.Cells);
            if (map.ContainsKey(Column.X) && map.ContainsKey(Column.Y))
                return (row, RowDelimiter(row, delimiter), null);
        }
        var first = _file.Lines.TakeWhile(string.IsNullOrWhiteSpace).Count();
        throw _file.Refuse(
            Math.Min(first + 1, _file.Lines.Count),
            TableReaderWords.NoHeaderNamesColumnsX + _file.Elsewhere
        );
    }

    /// <summary>
    /// What parts the rows: a header in a remark is often parted otherwise than what stands under it.
    /// </summary>
    private string RowDelimiter(Row header, string delimiter)
    {
        if (Rows(delimiter, header.Line).FirstOrDefault() is not { } first || first.Cells.Length >= header.Cells.Length)
            return delimiter;
        return Delimiters.FirstOrDefault(d =>
                Rows(d, header.Line).First().Cells.Length is var n
                && n >= header.Cells.Length - 1
                && n <= header.Cells.Length + 1
            ) ?? delimiter;
    }

    /// <summary>Two blanks and more part columns whose names have a blank in them.</summary>
    private const string WideBlanks = "  ";

    private static readonly string[] Delimiters = [",", ";", "\t", "|", WideBlanks, " "];

    private static IEnumerable<(Row Row, string Delimiter)> Candidates(TextFile file)
    {
        var limit = Math.Min(file.Lines.Count, 200);
        for (var i = 0; i < limit; i++)
        {
            var line = file.Lines[i].Trim().TrimStart('#', ';', '!', '*').Trim();
            if (line.Length == 0)
                continue;
            foreach (var delimiter in Delimiters)
                yield return (new(i + 1, Split(line, delimiter)), delimiter);
        }
    }

    private static string Signature(string[] cells) => string.Join('|', cells.Select(Plain));

    /// <summary>
    /// The table's columns as they stand, understood or not; null where there is no table of three columns and a row
    /// below.
    /// </summary>
    internal static TableLook? Look(TextFile file, IReadOnlyDictionary<string, ColumnMap>? known)
    {
        const int shownRows = 3;
        TableLook? best = null;
        foreach (var (row, delimiter) in Candidates(file))
        {
            if (row.Cells.Length < 3 || row.Cells.Count(c => c.Any(char.IsLetter)) < row.Cells.Length * 2 / 3)
                continue;
            var rows = new TableReader(file, new())
                .Rows(delimiter, row.Line)
                .Take(shownRows)
                .Select(r => r.Cells)
                .ToList();
            if (rows.Count == 0 || rows[0].Length < row.Cells.Length - 1 || rows[0].Length > row.Cells.Length + 1)
                continue;
            var told = known?.GetValueOrDefault(Signature(row.Cells));
            var look = new TableLook(
                file.Name,
                row.Line,
                Signature(row.Cells),
                row.Cells,
                rows,
                told?.Columns ?? Map(row.Cells),
                told?.Units ?? row.Cells.Select(Unit).FirstOrDefault(u => u is not null),
                told is not null
            );
            if (told is not null || look.Columns.ContainsKey(Column.X) && look.Columns.ContainsKey(Column.Y))
                return look;
            // one word parted by blanks makes columns of any remark: another mark between them is surer
            if (best is null || delimiter != " " && best.Line == row.Line)
                best ??= look;
        }
        return best;
    }

    private static Dictionary<Column, int> Map(string[] cells)
    {
        var map = new Dictionary<Column, int>();
        var taken = new HashSet<int>();
        foreach (var (column, names) in Names)
        {
            foreach (var name in names)
            {
                var at = Array.FindIndex(cells, c => Plain(c) == name);
                if (at >= 0 && taken.Add(at))
                {
                    map[column] = at;
                    break;
                }
            }
        }
        return map;
    }

    /// <summary>Letters and digits of a column's name, without a unit in brackets.</summary>
    private static string Plain(string cell)
    {
        var bracket = cell.IndexOf('(', StringComparison.Ordinal);
        return new([.. (bracket > 0 ? cell[..bracket] : cell).ToLowerInvariant().Where(char.IsLetterOrDigit)]);
    }

    private IEnumerable<Row> Rows(string delimiter, int headerLine)
    {
        for (var i = headerLine; i < _file.Lines.Count; i++)
        {
            var line = _file.Lines[i];
            if (
                string.IsNullOrWhiteSpace(line)
                || line.TrimStart() is ['#' or ';' or '*' or '!', ..]
                || line.All(c => c is '-' or '=' or '_' or '+' or '|' or ' ')
            )
                continue;
            yield return new(i + 1, Split(line, delimiter));
        }
    }

    private static string[] Split(string line, string delimiter)
    {
        if (delimiter == WideBlanks)
            return WideBlank().Split(line.Trim());
        if (delimiter == " ")
            return QuotedWords().Matches(line).Select(m => m.Groups[1].Success ? m.Groups[1].Value : m.Value).ToArray();
        var cells = CsvLine.Cells(line, delimiter[0]);
        return delimiter == "|" ? [.. cells.SkipWhile(string.IsNullOrWhiteSpace)] : cells;
    }

    [GeneratedRegex(@"\s{2,}|\t")]
    private static partial Regex WideBlank();

    [GeneratedRegex("\"([^\"]*)\"|\\S+")]
    private static partial Regex QuotedWords();
}
