using System.Globalization;
using System.Text.RegularExpressions;
using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>Drill files in the Excellon language, with the header dialects that layout programs write.</summary>
internal sealed partial class ExcellonReader
{
    private readonly TextFile _file;
    private readonly LayoutOptions _options;
    private readonly LayoutDraft _draft;
    private readonly Dictionary<int, double> _tools = [];
    private readonly List<(int Tool, double Value, int Line)> _toolTexts = [];
    private LengthUnit? _unit;
    private int? _integers,
        _decimals;
    private bool? _leadingKept;
    private bool? _plated;
    private bool _incremental,
        _routing,
        _down,
        _header = true,
        _assumedFormat;
    private int _tool = -1,
        _line;
    private double _x,
        _y,
        _offsetX,
        _offsetY;
    private (double X, double Y)? _routeStart;

    [GeneratedRegex(@"^(G0?[0-3]|G05)?\s*[XY][-+]?[\d.,]+")]
    private static partial Regex CoordinatePattern();

    [GeneratedRegex(@"^T(\d+)(?:[A-BD-Z][-+\d.]*)*C([\d.]+)", RegexOptions.IgnoreCase)]
    private static partial Regex ToolPattern();

    [GeneratedRegex(@"^T(\d+)")]
    private static partial Regex SelectPattern();

    [GeneratedRegex(@"([XYAIJ])([-+]?[\d.]+)")]
    private static partial Regex WordPattern();

    [GeneratedRegex(@"(\d)\s*[:.]\s*(\d)")]
    private static partial Regex DigitsPattern();

    /// <summary>Tool tables some programs write as remarks: "Holesize 2. = 31.5 …" and the like.</summary>
    [GeneratedRegex(
        @"^;\s*(?:T|Tool\s*|Holesize\s+)(\d+)\.?\s*[=:]?\s*(?:C|D|dia\w*\s*[=:]?)?\s*([\d.]+)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex RemarkToolPattern();

    private ExcellonReader(TextFile file, LayoutOptions options, LayoutDraft draft) =>
        (_file, _options, _draft) = (file, options, draft);

    public static bool IsCoordinate(string line) => CoordinatePattern().IsMatch(line);

    public static bool IsTool(string line) => SelectPattern().IsMatch(line);

    public static void Read(TextFile file, LayoutOptions options, LayoutDraft draft) =>
        new ExcellonReader(file, options, draft).Run();

    /// <summary>Reads numbers as a given layout says, without remarking on it.</summary>
    public static void Read(TextFile file, LayoutOptions options, LayoutDraft draft, DrillDigits digits)
    {
        var reader = new ExcellonReader(file, options, draft) { _assumedFormat = true };
        reader.Run(digits);
    }

    /// <summary>The unit of a file whose numbers may be read in several ways; null when the file settles it.</summary>
    public static LengthUnit? Unsettled(TextFile file, LayoutOptions options)
    {
        if (options.DecimalDigits is not null || !file.Lines.Any(l => IsCoordinate(l.Trim()) && !l.Contains('.')))
            return null;
        var reader = new ExcellonReader(file, options, new());
        reader.Survey();
        return reader._decimals is null || reader._leadingKept is null ? reader._unit : null;
    }

    /// <summary>The layouts worth trying, the usual one first; what the file does say stands.</summary>
    public static IEnumerable<DrillDigits> Layouts(TextFile file, LayoutOptions options, LengthUnit unit)
    {
        var reader = new ExcellonReader(file, options, new());
        reader.Survey();
        (int, int)[] usual =
            unit == LengthUnit.Mm
                ? [(3, 3), (4, 2), (3, 2), (4, 4), (3, 4), (4, 3)]
                : [(2, 4), (2, 3), (2, 5), (3, 4), (3, 3)];
        foreach (var kept in reader._leadingKept is { } told ? (bool[])[told] : [false, true])
        foreach (var (i, d) in reader._decimals is { } own ? [(reader._integers ?? usual[0].Item1, own)] : usual)
            yield return new(i, d, kept);
    }

    private void Run(DrillDigits? digits = null)
    {
        _header = _file.Lines.Any(l => l.Trim() == "M48");
        Survey();
        if (digits is { } d)
            (_integers, _decimals, _leadingKept) = (d.Integers, d.Decimals, d.LeadingKept);
        var before = _draft.Holes.Count;
        for (_line = 1; _line <= _file.Lines.Count; _line++)
        {
            var text = _file.Lines[_line - 1].Trim();
            if (text.Length == 0)
                continue;
            if (text.StartsWith(';'))
                continue;
            if (text is "M30" or "M00")
                break;
            Command(text.ToUpperInvariant());
        }
        if (_draft.Holes.Count == before)
            _draft.Warn(_file, 1, ExcellonReaderWords.NoHoleIsDrilled);
    }

    /// <summary>Units, number format and tool sizes are settled before any hole is read; some programs write them late.</summary>
    private void Survey()
    {
        for (var i = 0; i < _file.Lines.Count; i++)
        {
            var text = _file.Lines[i].Trim();
            var upper = text.ToUpperInvariant();
            if (text.StartsWith(';'))
                Remark(text, upper, i + 1);
            else if (
                upper.StartsWith("METRIC", StringComparison.Ordinal)
                || upper.StartsWith("INCH", StringComparison.Ordinal)
            )
                UnitLine(upper);
            else if (upper is "M71")
                _unit ??= LengthUnit.Mm;
            else if (upper is "M72")
                _unit ??= LengthUnit.Inch;
            else if (ToolPattern().Match(upper) is { Success: true } t)
                _toolTexts.Add(
                    (
                        int.Parse(t.Groups[1].Value, CultureInfo.InvariantCulture),
                        double.Parse(t.Groups[2].Value, CultureInfo.InvariantCulture),
                        i + 1
                    )
                );
        }
        if (_options.Units is { } forced)
        {
            _unit = forced;
            _draft.Assume(LayoutUnitWords.UnitsTakenAsAsAsked(_file.Name, Name(forced)));
        }
        else if (_unit is null)
        {
            // a drill of more than half an inch is not likely: sizes tell the unit when nothing else does
            _unit = _toolTexts.Count > 0 && _toolTexts.Min(t => t.Value) >= 0.15 ? LengthUnit.Mm : LengthUnit.Inch;
            _draft.Assume(ExcellonReaderWords.NoUnitIsStated(_file.Name, Name(_unit.Value)));
        }
        if (_options.DecimalDigits is { } d)
        {
            (_integers, _decimals) = (_options.IntegerDigits, d);
            _draft.Assume(ExcellonReaderWords.NumbersWithoutPointRead(_file.Name, _integers, _decimals));
        }
        _draft.Units ??= _unit;
        foreach (var (tool, value, _) in _toolTexts)
            _tools[tool] = value * _unit.Value.ToMm();
    }

    private static string Name(LengthUnit u) =>
        u switch
        {
            LengthUnit.Mm => "mm",
            LengthUnit.Inch => "inches",
            _ => "mil",
        };

    private void Remark(string text, string upper, int line)
    {
        if (upper.Contains("FORMAT", StringComparison.Ordinal))
        {
            if (DigitsPattern().Match(upper) is { Success: true } m)
                (_integers, _decimals) = (m.Groups[1].Value[0] - '0', m.Groups[2].Value[0] - '0');
            if (upper.Contains("METRIC", StringComparison.Ordinal))
                _unit ??= LengthUnit.Mm;
            else if (upper.Contains("INCH", StringComparison.Ordinal))
                _unit ??= LengthUnit.Inch;
            if (upper.Contains("SUPPRESS LEADING", StringComparison.Ordinal))
                _leadingKept ??= false;
            if (
                upper.Contains("SUPPRESS TRAILING", StringComparison.Ordinal)
                || upper.Contains("KEEP ZEROS", StringComparison.Ordinal)
            )
                _leadingKept ??= true;
        }
        if (
            upper.Contains("NON_PLATED", StringComparison.Ordinal)
            || upper.Contains("NONPLATED", StringComparison.Ordinal)
            || upper.Contains("NON-PLATED", StringComparison.Ordinal)
        )
            _plated = false;
        else if (upper.Contains("MIXEDPLATING", StringComparison.Ordinal))
            _plated = null;
        else if (upper.Contains("PLATED", StringComparison.Ordinal))
            _plated = true;
        if (
            RemarkToolPattern().Match(text) is { Success: true } t
            && !_toolTexts.Any(x => x.Tool == int.Parse(t.Groups[1].Value, CultureInfo.InvariantCulture))
        )
        {
            var value = double.Parse(t.Groups[2].Value, CultureInfo.InvariantCulture);
            if (upper.Contains("MILS", StringComparison.Ordinal))
                value *= (_unit ?? LengthUnit.Inch) == LengthUnit.Mm ? 0.0254 : 0.001;
            _toolTexts.Add((int.Parse(t.Groups[1].Value, CultureInfo.InvariantCulture), value, line));
        }
    }

    private void UnitLine(string upper)
    {
        _unit ??= upper.StartsWith('M') ? LengthUnit.Mm : LengthUnit.Inch;
        foreach (var word in upper.Split(',').Skip(1))
        {
            if (word.Trim() == "LZ")
                _leadingKept ??= true;
            else if (word.Trim() == "TZ")
                _leadingKept ??= false;
            else if (word.Contains('.') && word.All(c => c is '0' or '.'))
                (_integers, _decimals) = (
                    word.IndexOf('.', StringComparison.Ordinal),
                    word.Length - word.IndexOf('.', StringComparison.Ordinal) - 1
                );
        }
    }

    private void Command(string text)
    {
        if (text == "M48")
            return;
        if (text is "%" or "M95")
        {
            _header = false;
            return;
        }
        if (text.StartsWith("ICI", StringComparison.Ordinal))
        {
            _incremental = text.Contains("ON", StringComparison.Ordinal);
            return;
        }
        // some programs never end the header: the first bare tool or hole does
        if (
            _header
            && (
                IsCoordinate(text)
                || SelectPattern().Match(text) is { Success: true } bare && bare.Length == text.Length
            )
        )
            _header = false;
        if (_header || ToolPattern().IsMatch(text))
        {
            if (!_header && SelectPattern().Match(text) is { Success: true } own)
                Select(int.Parse(own.Groups[1].Value, CultureInfo.InvariantCulture));
            return;
        }
        if (text is "G90")
        {
            _incremental = false;
            return;
        }
        if (text is "G91")
        {
            _incremental = true;
            return;
        }
        if (text is "G05" or "G81")
        {
            _routing = _down = false;
            return;
        }
        if (text is "M15")
        {
            _down = true;
            _routeStart = (_x, _y);
            return;
        }
        if (text is "M16" or "M17")
        {
            _down = false;
            return;
        }
        if (text.StartsWith("G93", StringComparison.Ordinal))
        {
            var (ox, oy) = Words(text[3..], 0, 0, false);
            (_offsetX, _offsetY) = (ox, oy);
            return;
        }
        if (SelectPattern().Match(text) is { Success: true } select)
        {
            Select(int.Parse(select.Groups[1].Value, CultureInfo.InvariantCulture));
            var rest = text[select.Length..];
            if (!IsCoordinate(rest))
                return;
            text = rest;
        }
        if (text.StartsWith('R') && text.Length > 1 && char.IsDigit(text[1]))
        {
            Repeat(text);
            return;
        }
        if (text.StartsWith("G00", StringComparison.Ordinal) || text.StartsWith("G0X", StringComparison.Ordinal))
        {
            _routing = true;
            _down = false;
            Go(text[(text[2] == '0' ? 3 : 2)..]);
            return;
        }
        if (text.StartsWith("G01", StringComparison.Ordinal) || text.StartsWith("G1X", StringComparison.Ordinal))
        {
            Rout(text[(text[2] == '1' ? 3 : 2)..]);
            return;
        }
        if (text.StartsWith("G02", StringComparison.Ordinal) || text.StartsWith("G03", StringComparison.Ordinal))
        {
            _draft.Warn(_file, _line, ExcellonReaderWords.RoutedArcIsLeftOut);
            Go(text[3..]);
            return;
        }
        if (text.IndexOf("G85", StringComparison.Ordinal) is > 0 and var at)
        {
            Slot(text[..at], text[(at + 3)..]);
            return;
        }
        if (IsCoordinate(text))
        {
            if (_routing && _down)
            {
                Rout(text);
                return;
            }
            Go(text);
            if (!_routing)
                Drill();
            return;
        }
        if (text is "M01" or "M02" or "M25" || text.StartsWith("M02X", StringComparison.Ordinal))
        {
            _draft.Warn(_file, _line, ExcellonReaderWords.RepeatedPatternIsLeftOut);
            return;
        }
        if (KnownAndIdle(text))
            return;
        _draft.Warn(_file, _line, ExcellonReaderWords.IsNotUnderstoodAndLeftOut(LayoutReader.Short(text)));
    }

    private static bool KnownAndIdle(string text) =>
        text.StartsWith("FMAT", StringComparison.Ordinal)
        || text.StartsWith("VER", StringComparison.Ordinal)
        || text.StartsWith("M47", StringComparison.Ordinal)
        || text.StartsWith("M97", StringComparison.Ordinal)
        || text.StartsWith("METRIC", StringComparison.Ordinal)
        || text.StartsWith("INCH", StringComparison.Ordinal)
        || text
            is "M71"
                or "M72"
                or "G40"
                or "G41"
                or "G42"
                or "M06"
                or "M08"
                or "M09"
                or "ATC,ON"
                or "ATC,OFF"
                or "DETECT,ON"
                or "DETECT,OFF";

    private void Select(int tool)
    {
        _tool = tool;
        if (tool > 0 && !_tools.ContainsKey(tool))
            _draft.Warn(_file, _line, ExcellonReaderWords.ToolTHasNoSize(tool));
    }

    private double? Diameter => _tools.TryGetValue(_tool, out var d) ? d : null;

    private void Go(string words) => (_x, _y) = Words(words, _x, _y, _incremental);

    private void Drill() => Add(new(_x + _offsetX, _y + _offsetY, Diameter, _plated));

    private void Add(LayoutHole hole)
    {
        if (_draft.Holes.Count > LayoutDraft.MaxItems)
            throw _file.Refuse(_line, $"more than {LayoutDraft.MaxItems} holes.");
        _draft.Holes.Add(hole with { X = Math.Round(hole.X, 6), Y = Math.Round(hole.Y, 6) });
    }

    private void Slot(string from, string to)
    {
        Go(from);
        var (x0, y0) = (_x, _y);
        Go(to);
        AddSlot(x0, y0, _x, _y);
    }

    private void AddSlot(double x0, double y0, double x1, double y1)
    {
        var length = Math.Sqrt((x1 - x0) * (x1 - x0) + (y1 - y0) * (y1 - y0));
        var angle = Math.Atan2(y1 - y0, x1 - x0) * 180 / Math.PI;
        Add(
            length < 1e-6
                ? new(x0 + _offsetX, y0 + _offsetY, Diameter, _plated)
                : new(
                    (x0 + x1) / 2 + _offsetX,
                    (y0 + y1) / 2 + _offsetY,
                    Diameter,
                    _plated,
                    Math.Round(length, 6),
                    Math.Round((angle + 180) % 180, 6)
                )
        );
    }

    private void Rout(string words)
    {
        var (x0, y0) = (_x, _y);
        Go(words);
        if (_down || _routeStart is null)
            AddSlot(x0, y0, _x, _y);
    }

    private void Repeat(string text)
    {
        var count = new string([.. text.Skip(1).TakeWhile(char.IsDigit)]);
        var n = int.Parse(count, CultureInfo.InvariantCulture);
        if (n > 10_000)
            throw _file.Refuse(_line, ExcellonReaderWords.RepeatsAreMore(n));
        var (dx, dy) = Words(text[(1 + count.Length)..], 0, 0, false);
        for (var k = 0; k < n; k++)
        {
            _x += dx;
            _y += dy;
            Drill();
        }
    }

    private (double X, double Y) Words(string text, double x, double y, bool incremental)
    {
        var any = false;
        foreach (Match m in WordPattern().Matches(text))
        {
            var value = Length(m.Groups[2].Value);
            if (m.Groups[1].Value == "X")
                (x, any) = (incremental ? x + value : value, true);
            else if (m.Groups[1].Value == "Y")
                (y, any) = (incremental ? y + value : value, true);
        }
        if (!any)
            throw _file.Refuse(_line, ExcellonReaderWords.ExpectedXOrYWithNumber(LayoutReader.Short(text)));
        return (x, y);
    }

    private double Length(string number)
    {
        var unit = _unit!.Value;
        if (number.Contains('.'))
        {
            if (!double.TryParse(number, NumberStyles.Float, CultureInfo.InvariantCulture, out var v))
                throw _file.Refuse(_line, $"\"{number}\" is not a number.");
            return v * unit.ToMm();
        }
        var (integers, decimals) = Format(unit);
        var digits = number.TrimStart('+', '-');
        if (digits.Length == 0 || digits.Length > 15)
            throw _file.Refuse(_line, $"\"{number}\" is not a number.");
        if (_leadingKept == true && digits.Length < integers + decimals)
            digits = digits.PadRight(integers + decimals, '0');
        var value = long.Parse(digits, CultureInfo.InvariantCulture) / Math.Pow(10, decimals);
        return (number[0] == '-' ? -value : value) * unit.ToMm();
    }

    private (int Integers, int Decimals) Format(LengthUnit unit)
    {
        var format =
            _decimals is { } d ? (_integers ?? (unit == LengthUnit.Mm ? 3 : 2), d)
            : unit == LengthUnit.Mm ? (3, 3)
            : unit == LengthUnit.Inch ? (2, 4)
            : (5, 1);
        if (_assumedFormat)
            return format;
        _assumedFormat = true;
        if (_decimals is null)
            _draft.Assume(
                ExcellonReaderWords.NumbersHaveNoDecimalPoint(_file.Name, format.Item1, format.Item2, Name(unit))
            );
        if (_leadingKept is null)
        {
            _draft.Assume(ExcellonReaderWords.WhichZerosAreLeftOut(_file.Name));
        }
        return format;
    }
}
