using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>
/// Drawing exchange files as text: circles are holes, the largest closed line is the outline, other closed lines are
/// parts. Blocks are read where they are inserted.
/// </summary>
internal sealed class DxfReader
{
    private const int DeepestInsert = 16,
        MostEntities = 200_000;

    private readonly TextFile _file;
    private readonly DxfFile _drawing;
    private readonly LayoutDraft _draft;
    private readonly List<(string Layer, List<Point2> Points)> _closed = [];
    private readonly List<(Point2 A, Point2 B)> _loose = [];
    private readonly List<(Point2 At, string Text)> _labels = [];
    private readonly SortedDictionary<string, (int Count, int Line)> _skipped = new(StringComparer.Ordinal);
    private int _entities;

    private DxfReader(TextFile file, LayoutDraft draft) => (_file, _drawing, _draft) = (file, new(file), draft);

    public static void Read(TextFile file, LayoutOptions options, LayoutDraft draft) =>
        new DxfReader(file, draft).Run(options);

    private void Run(LayoutOptions options)
    {
        var unit = DxfUnits.Of(_file, _drawing, options, _draft);
        _draft.Units ??= unit;
        Walk(_drawing.Entities, DxfFrame.Scaled(unit.ToMm()), null, 0);
        _closed.AddRange(LoopChain.Loops(_loose).Select(l => ("0", l)));
        _closed.RemoveAll(c => Math.Abs(Polygon.Shoelace(c.Points)) < 0.01);
        foreach (var (what, (count, line)) in _skipped)
            _draft.Warn(_file, line, $"{count} × {what} is not understood and left out.");
        if (_closed.Count > 0)
            Outline();
        if (_draft.Outline is null && _draft.Holes.Count == 0)
            _draft.Warn(_file, 1, "No circle and no closed line in this drawing.");
    }

    private void Outline()
    {
        var outer = _closed.MaxBy(c => Math.Abs(Polygon.Shoelace(c.Points)));
        if (Math.Abs(Polygon.Shoelace(outer.Points)) > 1)
            _draft.SetOutline(_file, new(outer.Points.ConvertAll(Rounded)));
        foreach (var c in _closed.Where(c => c != outer))
            AddPart(c.Layer, c.Points);
        if (_closed.Count > 1)
            _draft.Assume(
                $"{_file.Name}: the largest closed line is the outline, the other {_closed.Count - 1} are tops of parts."
            );
    }

    private static Point2 Rounded(Point2 p) => new(Math.Round(p.X, 6), Math.Round(p.Y, 6));

    private void Walk(IEnumerable<DxfEntity> entities, DxfFrame frame, string? layer, int depth)
    {
        foreach (var e in entities)
        {
            if (++_entities > MostEntities)
                throw _file.Refuse(e.Line, $"more than {MostEntities} entities, inserted blocks counted.");
            // drawn on the sheet, not on the board
            if (e.Text(67) == "1")
                continue;
            One(e, frame, e.Layer == "0" ? layer ?? "0" : e.Layer, depth);
        }
    }

    private void One(DxfEntity e, DxfFrame world, string layer, int depth)
    {
        var frame = e.Type is "LINE" or "SPLINE" or "ELLIPSE" ? world : world.For(e);
        var mm = frame.Scale;
        Point2 P(int x, int y) => new(e.Number(x), e.Number(y));
        switch (e.Type)
        {
            case "CIRCLE" when mm is { } scale:
                var centre = Rounded(frame.At(P(10, 20)));
                _draft.Holes.Add(new(centre.X, centre.Y, Math.Round(2 * e.Number(40) * scale, 6)));
                break;
            case "CIRCLE":
                Skip("CIRCLE in a block that is stretched", e);
                break;
            case "LINE":
                _loose.Add((frame.At(P(10, 20)), frame.At(P(11, 21))));
                break;
            case "ARC":
                var (from, sweep) = (e.Number(50), (e.Number(51) - e.Number(50) + 720) % 360);
                if (sweep == 0)
                    sweep = 360;
                var start = P(10, 20) + new Point2(e.Number(40), 0).Turned(from * Math.PI / 180);
                Add(layer, DrawnCurves.Arc(P(10, 20), start, sweep * Math.PI / 180, mm ?? 1), false, frame);
                break;
            case "ELLIPSE":
                Add(
                    layer,
                    DrawnCurves.Ellipse(
                        P(10, 20),
                        P(11, 21),
                        e.Number(40),
                        e.Number(41, 0),
                        e.Number(42, 2 * Math.PI),
                        mm ?? 1
                    ),
                    false,
                    frame
                );
                break;
            case "SPLINE":
                Add(layer, Spline(e), (e.Flags & 1) == 1, frame);
                break;
            case "LWPOLYLINE" or "POLYLINE":
                var (points, closed) = Polyline(e, mm ?? 1);
                Add(layer, points, closed, frame);
                break;
            case "TEXT" or "ATTRIB":
                _labels.Add((frame.At(e.Text(11) is null ? P(10, 20) : P(11, 21)), e.Text(1) ?? ""));
                break;
            case "INSERT":
                Insert(e, world, layer, depth);
                break;
            case "VERTEX" or "POINT" or "ATTDEF":
                break;
            default:
                Skip(e.Type, e);
                break;
        }
    }

    private void Insert(DxfEntity e, DxfFrame world, string layer, int depth)
    {
        var name = e.Text(2) ?? throw _file.Refuse(e.Line, "INSERT names no block (group 2).");
        if (!_drawing.Blocks.TryGetValue(name, out var block))
        {
            Skip($"INSERT of block \"{LayoutReader.Short(name)}\", which the drawing does not hold,", e);
            return;
        }
        if (depth >= DeepestInsert)
            throw _file.Refuse(e.Line, $"blocks lie in each other more than {DeepestInsert} deep, or in themselves.");
        var columns = (int)Math.Clamp(e.Number(70, 1), 1, MostEntities);
        var rows = (int)Math.Clamp(e.Number(71, 1), 1, MostEntities);
        if ((long)columns * rows * Math.Max(1, block.Inner.Count) > MostEntities)
            throw _file.Refuse(e.Line, $"more than {MostEntities} entities, inserted blocks counted.");
        var basePoint = new Point2(block.Number(10, 0), block.Number(20, 0));
        for (var row = 0; row < rows; row++)
        for (var column = 0; column < columns; column++)
        {
            var step = new Point2(column * e.Number(44, 0), row * e.Number(45, 0));
            Walk(block.Inner, world.Insert(e, basePoint, step), layer, depth + 1);
        }
    }

    private void Skip(string what, DxfEntity e) =>
        _skipped[what] = _skipped.TryGetValue(what, out var s) ? (s.Count + 1, s.Line) : (1, e.Line);

    /// <summary>A chain of points in the entity's own coordinates; closed where told or where its ends meet.</summary>
    private void Add(string layer, List<Point2> own, bool closed, DxfFrame frame)
    {
        var points = own.ConvertAll(frame.At);
        if (points.Count > 2 && (points[0] - points[^1]).Length < LoopChain.JointMm)
        {
            points.RemoveAt(points.Count - 1);
            closed = true;
        }
        if (closed && points.Count >= 3)
            _closed.Add((layer, points));
        else
            _loose.AddRange(points.Zip(points.Skip(1)));
    }

    private List<Point2> Spline(DxfEntity e)
    {
        List<Point2> Points(int x, int y) => [.. e.Numbers(x).Zip(e.Numbers(y), (a, b) => new Point2(a, b))];
        var control = Points(10, 20);
        if (control.Count == 0)
        {
            var fit = Points(11, 21);
            if (fit.Count < 2)
                throw _file.Refuse(e.Line, "SPLINE has neither control points nor points to run through.");
            return DrawnCurves.Through(fit, (e.Flags & 1) == 1);
        }
        var degree = (int)e.Number(71, 3);
        var knots = e.Numbers(40).ToList();
        var weights = e.Numbers(41).ToList();
        if (weights.Count == 0)
            weights = [.. control.Select(_ => 1.0)];
        if (degree is < 1 or > 15 || control.Count <= degree || knots.Count != control.Count + degree + 1)
            throw _file.Refuse(
                e.Line,
                $"SPLINE of degree {degree} with {control.Count} control points needs {control.Count + degree + 1} knots, found {knots.Count}."
            );
        if (weights.Count != control.Count || weights.Exists(w => w <= 0))
            throw _file.Refuse(e.Line, "SPLINE needs a weight above 0 for each control point.");
        if (knots.Zip(knots.Skip(1)).Any(k => k.Second < k.First))
            throw _file.Refuse(e.Line, "SPLINE: its knots do not rise.");
        return DrawnCurves.Spline(degree, knots, control, weights);
    }

    private static (List<Point2>, bool Closed) Polyline(DxfEntity e, double mm)
    {
        var vertices = new List<(Point2 At, double Bulge)>();
        foreach (var groups in e.Type == "LWPOLYLINE" ? [e.Groups] : e.Inner.Select(v => v.Groups))
        {
            double? x = null;
            foreach (var g in groups)
                if (g.Code == 10)
                    x = e.Number(g);
                else if (g.Code == 20 && x is { } left)
                {
                    vertices.Add((new(left, e.Number(g)), 0));
                    x = null;
                }
                else if (g.Code == 42 && vertices.Count > 0)
                    vertices[^1] = vertices[^1] with { Bulge = e.Number(g) };
        }
        var closed = (e.Flags & 1) == 1;
        var points = new List<Point2>();
        for (var k = 0; k < vertices.Count; k++)
        {
            points.Add(vertices[k].At);
            if (vertices[k].Bulge == 0 || k == vertices.Count - 1 && !closed)
                continue;
            points.AddRange(
                DrawnCurves.Bulge(vertices[k].At, vertices[(k + 1) % vertices.Count].At, vertices[k].Bulge, mm)
            );
        }
        return (points, closed);
    }

    private void AddPart(string layer, List<Point2> points)
    {
        var polygon = new Polygon(points);
        var centre = polygon.Centroid;
        var label = _labels.Where(l => polygon.Contains(l.At)).Select(l => l.Text).FirstOrDefault();
        double angle = 0,
            width = polygon.Bounds.Width,
            depth = polygon.Bounds.Height;
        if (points.Count == 4)
        {
            var side = points[1] - points[0];
            angle = Math.Atan2(side.Y, side.X) * 180 / Math.PI;
            (width, depth) = (side.Length, (points[2] - points[1]).Length);
        }
        var back =
            layer.Contains("BACK", StringComparison.OrdinalIgnoreCase)
            || layer.Contains("BOTTOM", StringComparison.OrdinalIgnoreCase);
        _draft.Parts.Add(
            new(
                label ?? $"P{_draft.Parts.Count + 1}",
                Math.Round(centre.X, 6),
                Math.Round(centre.Y, 6),
                Math.Round(angle, 6),
                back ? Face.Back : Face.Front,
                null,
                label is null ? null : PartKinds.FromDesignator(label),
                Math.Round(width, 6),
                Math.Round(depth, 6)
            )
            {
                Outline = new(points.ConvertAll(Rounded)),
            }
        );
    }
}
