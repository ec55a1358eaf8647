using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>
/// Drawing exchange files as text: circles are holes, the largest closed line is the outline, other closed lines are
/// parts. Blocks are read where they are inserted.
/// </summary>
internal sealed class DxfReader
{
    private const int DeepestInsert = 16,
        MaxEntities = 200_000;

    private readonly TextFile _file;
    private readonly DxfFile _drawing;
    private readonly LayoutDraft _draft;
    private readonly DrawnLines _lines;
    private int _entities;

    private DxfReader(TextFile file, LayoutDraft draft) =>
        (_file, _drawing, _draft, _lines) = (file, new(file), draft, new(file, draft));

    public static void Read(TextFile file, LayoutOptions options, LayoutDraft draft) =>
        new DxfReader(file, draft).Run(options);

    private void Run(LayoutOptions options)
    {
        var unit = DxfUnits.Read(_file, _drawing, options, _draft);
        _draft.Units ??= unit;
        Walk(_drawing.Entities, DrawnFrame.Scaled(unit.ToMm()), null, 0);
        _lines.Finish();
    }

    private void Walk(IEnumerable<DxfEntity> entities, DrawnFrame frame, string? layer, int depth)
    {
        foreach (var e in entities)
        {
            if (++_entities > MaxEntities)
                throw _file.Refuse(e.Line, DxfReaderWords.MoreThanEntitiesInsertedBlocksCounted(MaxEntities));
            // drawn on the sheet, not on the board
            if (e.Text(67) == "1")
                continue;
            One(e, frame, e.Layer == "0" ? layer ?? "0" : e.Layer, depth);
        }
    }

    private void One(DxfEntity e, DrawnFrame world, string layer, int depth)
    {
        var frame = e.Type is "LINE" or "SPLINE" or "ELLIPSE" ? world : world.For(e);
        var mm = frame.Scale;
        Point2 P(int x, int y) => new(e.Number(x), e.Number(y));
        switch (e.Type)
        {
            case "CIRCLE" when mm is { } scale:
                _lines.Circle(frame.At(P(10, 20)), 2 * e.Number(40) * scale);
                break;
            case "CIRCLE":
                Skip(DxfReaderWords.CIRCLEInBlockThatIsStretched, e);
                break;
            case "LINE":
                _lines.Line(frame.At(P(10, 20)), frame.At(P(11, 21)));
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
                _lines.Label(frame.At(e.Text(11) is null ? P(10, 20) : P(11, 21)), e.Text(1) ?? "");
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

    private void Insert(DxfEntity e, DrawnFrame world, string layer, int depth)
    {
        var name = e.Text(2) ?? throw _file.Refuse(e.Line, DxfReaderWords.InsertNamesNoBlock);
        if (!_drawing.Blocks.TryGetValue(name, out var block))
        {
            Skip(DxfReaderWords.InsertOfUnknownBlock(LayoutReader.Short(name)), e);
            return;
        }
        if (depth >= DeepestInsert)
            throw _file.Refuse(e.Line, DxfReaderWords.BlocksLieInEachOtherMore(DeepestInsert));
        var columns = (int)Math.Clamp(e.Number(70, 1), 1, MaxEntities);
        var rows = (int)Math.Clamp(e.Number(71, 1), 1, MaxEntities);
        if ((long)columns * rows * Math.Max(1, block.Inner.Count) > MaxEntities)
            throw _file.Refuse(e.Line, DxfReaderWords.MoreThanEntitiesInsertedBlocksCounted(MaxEntities));
        var basePoint = new Point2(block.Number(10, 0), block.Number(20, 0));
        for (var row = 0; row < rows; row++)
        for (var column = 0; column < columns; column++)
        {
            var step = new Point2(column * e.Number(44, 0), row * e.Number(45, 0));
            Walk(block.Inner, world.Insert(e, basePoint, step), layer, depth + 1);
        }
    }

    private void Skip(string what, DxfEntity e) => _lines.Skip(what, e.Line);

    /// <summary>A chain of points in the entity's own coordinates; closed where told or where its ends meet.</summary>
    private void Add(string layer, List<Point2> own, bool closed, DrawnFrame frame) =>
        _lines.Chain(layer, own.ConvertAll(frame.At), closed);

    private List<Point2> Spline(DxfEntity e)
    {
        List<Point2> Points(int x, int y) => [.. e.Numbers(x).Zip(e.Numbers(y), (a, b) => new Point2(a, b))];
        var control = Points(10, 20);
        if (control.Count == 0)
        {
            var fit = Points(11, 21);
            if (fit.Count < 2)
                throw _file.Refuse(e.Line, DxfReaderWords.SPLINEHasNeitherControlPoints);
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
                DxfReaderWords.SPLINEOfDegreeWithControlPoints(
                    degree,
                    control.Count,
                    control.Count + degree + 1,
                    knots.Count
                )
            );
        if (weights.Count != control.Count || weights.Exists(w => w <= 0))
            throw _file.Refuse(e.Line, DxfReaderWords.SPLINENeedsWeightAboveForEach);
        if (knots.Zip(knots.Skip(1)).Any(k => k.Second < k.First))
            throw _file.Refuse(e.Line, DxfReaderWords.SPLINEKnotsDoNotRise);
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
}
