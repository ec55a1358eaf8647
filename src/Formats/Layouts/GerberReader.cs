using System.Globalization;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>
/// A board's profile drawn as an extended Gerber layer (RS-274X): the largest closed line is the outline, by the middle
/// of the drawn stroke. A layer that holds anything else is refused.
/// </summary>
internal sealed class GerberReader
{
    private const int MaxPoints = 200_000;
    private const string NoProfile = GerberReaderWords.ThisIsCopperOrMaskLayer;

    private readonly TextFile _file;
    private readonly List<(Point2 A, Point2 B)> _strokes = [];
    private readonly List<List<Point2>> _regions = [];
    private List<Point2>? _contour;
    private double _unitMm = 1;
    private LengthUnit _unit = LengthUnit.Mm;
    private int _integers = 2,
        _decimals = 4;
    private bool _stated,
        _trailingOmitted,
        _incremental,
        _manyQuadrants,
        _region;
    private int _curve = 1,
        _operation = 2,
        _flashes;
    private Point2 _at;

    private GerberReader(TextFile file) => _file = file;

    public static bool IsGerber(IReadOnlyList<string> lines) =>
        lines.Any(l => l.Contains("%FS", StringComparison.Ordinal) || l.StartsWith("%MO", StringComparison.Ordinal))
        || lines.Any(l => l.StartsWith("%ADD", StringComparison.Ordinal));

    public static void Read(TextFile file, LayoutOptions options, LayoutDraft draft) =>
        new GerberReader(file).Run(options, draft);

    private void Run(LayoutOptions options, LayoutDraft draft)
    {
        foreach (var (line, word, extended) in Words())
        {
            if (extended)
                Extended(line, word);
            else if (!Plain(line, word))
                break;
        }
        EndContour();
        if (_flashes > 0)
            throw _file.Refuse(1, NoProfile);
        if (!_stated && options.Units is null)
            draft.Assume(LayoutUnitWords.NoUnitIsStated(_file.Name));
        var scale = options.Units is { } forced ? forced.ToMm() / _unitMm : 1;
        if (options.Units is { } asked)
            draft.Assume(LayoutUnitWords.UnitsTakenAsAsAsked(_file.Name, asked.ToString().ToLowerInvariant()));
        var loops = LoopChain.Loops([.. _strokes.Select(s => (s.A * scale, s.B * scale))]);
        loops.AddRange(_regions.Select(r => r.ConvertAll(p => p * scale)));
        loops.RemoveAll(l => Math.Abs(Polygon.Shoelace(l)) <= 1);
        if (loops.MaxBy(l => Math.Abs(Polygon.Shoelace(l))) is not { } outer)
            throw _file.Refuse(1, GerberReaderWords.NoClosedLineIsDrawnHere(NoProfile));
        draft.Units ??= options.Units ?? _unit;
        draft.SetOutline(_file, new(outer.ConvertAll(p => new Point2(Math.Round(p.X, 6), Math.Round(p.Y, 6)))));
        if (_regions.Count == 0)
            draft.Assume(GerberReaderWords.BoardEndsAtMiddleOfDrawn(_file.Name));
        if (loops.Count > 1)
            draft.Warn(
                _file,
                1,
                GerberReaderWords.InsideOutlineTakenAsCutOuts(
                    Core.HowMany.Count(loops.Count - 1, "closed line", "closed lines"),
                    loops.Count == 2 ? "is" : "are"
                )
            );
    }

    /// <summary>Words up to their asterisks; those between percent signs are extended ones.</summary>
    private IEnumerable<(int Line, string Word, bool Extended)> Words()
    {
        var extended = false;
        var word = new System.Text.StringBuilder();
        for (var i = 0; i < _file.Lines.Count; i++)
            foreach (var c in _file.Lines[i])
                switch (c)
                {
                    case '%':
                        extended = !extended;
                        word.Clear();
                        break;
                    case '*':
                        yield return (i + 1, word.ToString().Trim(), extended);
                        word.Clear();
                        break;
                    default:
                        word.Append(c);
                        break;
                }
        if (word.ToString().Trim().Length > 0)
            throw _file.Refuse(_file.Lines.Count, GerberReaderWords.LastWordHasNoAsterisk);
    }

    private void Extended(int line, string word)
    {
        if (word.StartsWith("FS", StringComparison.Ordinal))
        {
            _trailingOmitted = word.Contains('T', StringComparison.Ordinal);
            _incremental = word.Contains('I', StringComparison.Ordinal);
            var x = word.IndexOf('X', StringComparison.Ordinal);
            if (x < 0 || x + 2 >= word.Length || !char.IsAsciiDigit(word[x + 1]) || !char.IsAsciiDigit(word[x + 2]))
                throw _file.Refuse(line, GerberReaderWords.FSExpectedDigitsBeforeAndAfter);
            (_integers, _decimals) = (word[x + 1] - '0', word[x + 2] - '0');
        }
        else if (word.StartsWith("MO", StringComparison.Ordinal))
            SetUnit(word.EndsWith("IN", StringComparison.Ordinal) ? LengthUnit.Inch : LengthUnit.Mm);
        else if (
            word.StartsWith("TF.FileFunction", StringComparison.Ordinal)
            && !word.Contains("Profile", StringComparison.OrdinalIgnoreCase)
            && !word.Contains("Outline", StringComparison.OrdinalIgnoreCase)
        )
            throw _file.Refuse(line, NoProfile);
        else if (word.StartsWith("SR", StringComparison.Ordinal) && word is not ("SR" or "SRX1Y1I0J0"))
            throw _file.Refuse(line, GerberReaderWords.SRPanelOfSeveralBoards);
    }

    private void SetUnit(LengthUnit unit) => (_unit, _unitMm, _stated) = (unit, unit.ToMm(), true);

    /// <returns>False at the end of the program.</returns>
    private bool Plain(int line, string word)
    {
        var rest = word.AsSpan();
        if (rest.StartsWith("G04") || rest.StartsWith("G4 "))
            return true;
        double? x = null,
            y = null,
            i = null,
            j = null;
        while (rest.Length > 0)
        {
            var letter = rest[0];
            var n = 1;
            while (n < rest.Length && (char.IsAsciiDigit(rest[n]) || rest[n] is '+' or '-' or '.'))
                n++;
            var figure = rest[1..n];
            rest = rest[n..].TrimStart();
            switch (letter)
            {
                case 'X':
                    x = Length(line, figure);
                    break;
                case 'Y':
                    y = Length(line, figure);
                    break;
                case 'I':
                    i = Length(line, figure);
                    break;
                case 'J':
                    j = Length(line, figure);
                    break;
                case 'G':
                    General(Whole(line, figure));
                    break;
                case 'D':
                    var code = Whole(line, figure);
                    if (code < 10)
                        _operation = code;
                    else
                        return true;
                    if (code == 3)
                        _flashes++;
                    break;
                case 'M':
                    return Whole(line, figure) is not (0 or 2 or 30);
                default:
                    throw _file.Refuse(line, GerberReaderWords.IsNotGerberWord(LayoutReader.Short(word)));
            }
        }
        if (x is not null || y is not null || i is not null || j is not null)
            Move(line, x, y, i ?? 0, j ?? 0);
        return true;
    }

    private void General(int code)
    {
        switch (code)
        {
            case 1 or 2 or 3:
                _curve = code;
                break;
            case 36:
                _region = true;
                break;
            case 37:
                EndContour();
                _region = false;
                break;
            case 70 or 71:
                SetUnit(code == 70 ? LengthUnit.Inch : LengthUnit.Mm);
                break;
            case 74 or 75:
                _manyQuadrants = code == 75;
                break;
            case 90 or 91:
                _incremental = code == 91;
                break;
        }
    }

    private void Move(int line, double? x, double? y, double i, double j)
    {
        var to = _incremental ? _at + new Point2(x ?? 0, y ?? 0) : new(x ?? _at.X, y ?? _at.Y);
        var from = _at;
        _at = to;
        if (_operation != 1)
        {
            EndContour();
            return;
        }
        List<Point2> path = _curve == 1 ? [from, to] : Arc(line, from, to, i, j);
        if (_strokes.Count + (_contour?.Count ?? 0) + path.Count > MaxPoints)
            throw _file.Refuse(line, GerberReaderWords.MoreThanLines(MaxPoints));
        if (_region)
            (_contour ??= [from]).AddRange(path.Skip(1));
        else
            _strokes.AddRange(path.Zip(path.Skip(1)));
    }

    private List<Point2> Arc(int line, Point2 from, Point2 to, double i, double j)
    {
        // in one quadrant the centre's distances have no sign: of the four the one that suits both ends
        var centre = _manyQuadrants
            ? from + new Point2(i, j)
            : ((ReadOnlySpan<int>)[1, -1])
                .ToArray()
                .SelectMany(a => new[] { 1, -1 }, (a, b) => from + new Point2(a * Math.Abs(i), b * Math.Abs(j)))
                .OrderBy(c => Sweep(c) is var s && Math.Abs(s) > Math.PI / 2 + 0.01 ? 1 : 0)
                .ThenBy(c => Math.Abs((from - c).Length - (to - c).Length))
                .First();
        var radius = (from - centre).Length;
        if (radius < 1e-9)
            throw _file.Refuse(line, GerberReaderWords.ArcWithoutIAndJ);
        var sweep = Sweep(centre);
        if (_manyQuadrants && (from - to).Length < 1e-9)
            sweep = _curve == 3 ? 2 * Math.PI : -2 * Math.PI;
        var path = DrawnCurves.Arc(centre, from, sweep, 1);
        path[^1] = to;
        return path;

        double Sweep(Point2 c)
        {
            var (a, b) = (from - c, to - c);
            var turn = Math.Atan2(a.Cross(b), a.Dot(b));
            return _curve == 3
                ? turn < 0
                    ? turn + 2 * Math.PI
                    : turn
                : turn > 0
                    ? turn - 2 * Math.PI
                    : turn;
        }
    }

    private void EndContour()
    {
        if (_contour is { Count: > 3 } contour)
        {
            if ((contour[0] - contour[^1]).Length < LoopChain.JointMm)
                contour.RemoveAt(contour.Count - 1);
            _regions.Add(contour);
        }
        _contour = null;
    }

    private double Length(int line, ReadOnlySpan<char> figure)
    {
        var negative = figure.Length > 0 && figure[0] == '-';
        var digits = figure.TrimStart("+-");
        double value;
        if (digits.Contains('.'))
        {
            if (!double.TryParse(digits, NumberStyles.Float, CultureInfo.InvariantCulture, out value))
                throw _file.Refuse(line, $"\"{figure}\" is no coordinate.");
        }
        else
        {
            if (digits.Length is 0 or > 15 || !long.TryParse(digits, CultureInfo.InvariantCulture, out var whole))
                throw _file.Refuse(line, $"\"{figure}\" is no coordinate.");
            value = _trailingOmitted
                ? whole * Math.Pow(10, _integers - digits.Length)
                : whole * Math.Pow(10, -_decimals);
        }
        return (negative ? -value : value) * _unitMm;
    }

    private int Whole(int line, ReadOnlySpan<char> figure) =>
        int.TryParse(figure, CultureInfo.InvariantCulture, out var v)
            ? v
            : throw _file.Refuse(
                line,
                GerberReaderWords.ExpectedWholeNumberFound(LayoutReader.Short(figure.ToString()))
            );
}
