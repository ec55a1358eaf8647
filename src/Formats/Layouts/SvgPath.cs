using System.Globalization;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>The lines of a path element as chains of points (SVG 1.1, chapter 8; arcs by appendix F.6).</summary>
internal sealed class SvgPath
{
    private readonly string _d;
    private readonly double _mm;
    private readonly int _most;
    private readonly Func<string, InputException> _refuse;
    private readonly List<(List<Point2> Points, bool Closed)> _chains = [];
    private List<Point2> _chain = [];
    private Point2 _at,
        _start,
        _lastControl;
    private char _before;
    private int _i,
        _points;

    private SvgPath(string d, double mm, int most, Func<string, InputException> refuse) =>
        (_d, _mm, _most, _refuse) = (d, mm, most, refuse);

    /// <param name="mm">Millimetres in one unit where the drawing is stretched most.</param>
    /// <param name="most">Points at most.</param>
    /// <exception cref="InputException">It can't be read.</exception>
    public static List<(List<Point2> Points, bool Closed)> Read(
        string d,
        double mm,
        int most,
        Func<string, InputException> refuse
    )
    {
        var path = new SvgPath(d, mm, most, refuse);
        path.Run();
        return path._chains;
    }

    public static List<Point2> Points(string text) =>
        [.. SvgUnits.Numbers(text).Chunk(2).Where(p => p.Length == 2).Select(p => new Point2(p[0], p[1]))];

    private void Run()
    {
        while (Letter() is { } command)
        {
            if (char.ToUpperInvariant(command) == 'Z')
            {
                End(true);
                (_at, _before) = (_start, 'Z');
                continue;
            }
            do One(command);
            while (HasNumber());
        }
        End(false);
    }

    private void One(char command)
    {
        var from = char.IsLower(command) ? _at : default;
        Point2 Place() => from + new Point2(Value(), Value());
        var kind = char.ToUpperInvariant(command);
        if (kind == 'M' && _before != 'm')
        {
            End(false);
            _at = _start = Place();
            Add(_at);
            // more places after the first are lines
            _before = 'm';
            return;
        }
        if (_chain.Count == 0)
            Add(_start = _at);
        var here = _at;
        switch (kind)
        {
            case 'M' or 'L':
                Add(_at = Place());
                break;
            case 'H':
                Add(_at = new(from.X + Value(), _at.Y));
                break;
            case 'V':
                Add(_at = new(_at.X, from.Y + Value()));
                break;
            case 'C' or 'S':
                var c1 =
                    kind == 'C' ? Place()
                    : _before is 'C' or 'S' ? here * 2 - _lastControl
                    : here;
                var c2 = Place();
                Curve(here, c1, c2, _at = Place());
                _lastControl = c2;
                break;
            case 'Q' or 'T':
                var q =
                    kind == 'Q' ? Place()
                    : _before is 'Q' or 'T' ? here * 2 - _lastControl
                    : here;
                _at = Place();
                // the cubic of the same curve
                Curve(here, here + (q - here) * (2 / 3.0), _at + (q - _at) * (2 / 3.0), _at);
                _lastControl = q;
                break;
            case 'A':
                var r = new Point2(Math.Abs(Value()), Math.Abs(Value()));
                var turn = Value() * Math.PI / 180;
                var (large, sweep) = (Flag(), Flag());
                Arc(here, _at = Place(), r, turn, large, sweep);
                break;
            default:
                throw _refuse(SvgPathWords.PathCommandIsNotUnderstood(command));
        }
        _before = kind == 'M' ? 'm' : kind;
    }

    private void Curve(Point2 a, Point2 b, Point2 c, Point2 d)
    {
        // the larger its second differences, the more it bends: the sag of n chords is below max(|Δ²|)·3/(4·n²)
        var bend = Math.Max((a - b * 2 + c).Length, (b - c * 2 + d).Length) * _mm;
        var steps = (int)Math.Clamp(Math.Ceiling(Math.Sqrt(0.75 * bend / DrawnCurves.SagMm)), 2, 500);
        for (var k = 1; k <= steps; k++)
        {
            var t = (double)k / steps;
            var u = 1 - t;
            Add(a * (u * u * u) + b * (3 * u * u * t) + c * (3 * u * t * t) + d * (t * t * t));
        }
    }

    private void Arc(Point2 a, Point2 b, Point2 r, double turn, bool large, bool sweep)
    {
        var half = ((a - b) * 0.5).Turned(-turn);
        if (r.X == 0 || r.Y == 0 || half.Length == 0)
        {
            Add(b);
            return;
        }
        // radii that do not reach are made to
        var reach = half.X * half.X / (r.X * r.X) + half.Y * half.Y / (r.Y * r.Y);
        if (reach > 1)
            r *= Math.Sqrt(reach);
        var (rx, ry) = (r.X * r.X, r.Y * r.Y);
        var under = rx * half.Y * half.Y + ry * half.X * half.X;
        var k = Math.Sqrt(Math.Max(0, (rx * ry - under) / under)) * (large == sweep ? -1 : 1);
        var inner = new Point2(k * r.X * half.Y / r.Y, -k * r.Y * half.X / r.X);
        var centre = inner.Turned(turn) + (a + b) * 0.5;
        double Angle(Point2 p) => Math.Atan2((p.Y - inner.Y) / r.Y, (p.X - inner.X) / r.X);
        var from = Angle(half);
        var by = Angle(half * -1) - from;
        if (sweep && by < 0)
            by += 2 * Math.PI;
        else if (!sweep && by > 0)
            by -= 2 * Math.PI;
        var steps = DrawnCurves.Steps(Math.Max(r.X, r.Y), by, _mm);
        for (var n = 1; n < steps; n++)
        {
            var (sin, cos) = Math.SinCos(from + by * n / steps);
            Add(centre + new Point2(r.X * cos, r.Y * sin).Turned(turn));
        }
        Add(b);
    }

    private void Add(Point2 p)
    {
        if (++_points > _most)
            throw _refuse(SvgReader.TooMany);
        _chain.Add(p);
    }

    private void End(bool closed)
    {
        if (_chain.Count > 1)
            _chains.Add((_chain, closed));
        _chain = [];
    }

    private void Space()
    {
        while (_i < _d.Length && (char.IsWhiteSpace(_d[_i]) || _d[_i] == ','))
            _i++;
    }

    private char? Letter()
    {
        Space();
        if (_i >= _d.Length)
            return null;
        return char.IsAsciiLetter(_d[_i])
            ? _d[_i++]
            : throw _refuse(SvgPathWords.PathBreaksOff(LayoutReader.Short(_d[_i..])));
    }

    private bool HasNumber()
    {
        Space();
        return _i < _d.Length && (char.IsAsciiDigit(_d[_i]) || _d[_i] is '-' or '+' or '.');
    }

    private double Value()
    {
        Space();
        var from = _i;
        if (_i < _d.Length && _d[_i] is '-' or '+')
            _i++;
        var (dot, exponent) = (false, false);
        for (; _i < _d.Length; _i++)
            if (_d[_i] == '.' && !dot && !exponent)
                dot = true;
            else if (_d[_i] is 'e' or 'E' && !exponent && _i > from)
            {
                exponent = true;
                if (_i + 1 < _d.Length && _d[_i + 1] is '-' or '+')
                    _i++;
            }
            else if (!char.IsAsciiDigit(_d[_i]))
                break;
        return
            double.TryParse(_d.AsSpan(from, _i - from), NumberStyles.Float, CultureInfo.InvariantCulture, out var v)
            && double.IsFinite(v)
            ? v
            : throw _refuse(SvgPathWords.PathLacksNumber(LayoutReader.Short(_d[from..])));
    }

    /// <summary>One digit, with or without anything after it.</summary>
    private bool Flag()
    {
        Space();
        return _i < _d.Length && _d[_i] is '0' or '1'
            ? _d[_i++] == '1'
            : throw _refuse(SvgPathWords.ArcOfPathLacksFlag);
    }
}
