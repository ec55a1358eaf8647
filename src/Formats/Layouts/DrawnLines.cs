using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>
/// What a drawing holds, mm: circles are holes, the largest closed line is the outline, other closed lines are parts.
/// </summary>
internal sealed class DrawnLines(TextFile file, LayoutDraft draft)
{
    private const double MinAreaMm2 = 0.01,
        MinOutlineMm2 = 1;

    private readonly List<(string Layer, List<Point2> Points)> _closed = [];
    private readonly List<(Point2 A, Point2 B)> _loose = [];
    private readonly List<(Point2 At, string Text)> _labels = [];
    private readonly SortedDictionary<string, (int Count, int Line)> _skipped = new(StringComparer.Ordinal);

    public void Circle(Point2 centre, double diameterMm)
    {
        var at = Rounded(centre);
        draft.Holes.Add(new(at.X, at.Y, Math.Round(diameterMm, 6)));
    }

    public void Line(Point2 a, Point2 b) => _loose.Add((a, b));

    /// <summary>Names the part that it lies in.</summary>
    public void Label(Point2 at, string text) => _labels.Add((at, text));

    /// <summary>Told once for each kind.</summary>
    public void Skip(string what, int line) =>
        _skipped[what] = _skipped.TryGetValue(what, out var s) ? (s.Count + 1, s.Line) : (1, line);

    /// <summary>A chain of points; closed where told or where its ends meet.</summary>
    public void Chain(string layer, List<Point2> points, bool closed)
    {
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

    /// <summary>Joins what is loose and gives everything to the draft.</summary>
    public void Finish()
    {
        _closed.AddRange(LoopChain.Loops(_loose).Select(l => ("0", l)));
        _closed.RemoveAll(c => Math.Abs(Polygon.Shoelace(c.Points)) < MinAreaMm2);
        foreach (var (what, (count, line)) in _skipped)
            draft.Warn(file, line, DrawnLinesWords.IsNotUnderstoodAndLeftOut(count, what));
        if (_closed.Count > 0)
            Outline();
        if (draft.Outline is null && draft.Holes.Count == 0)
            draft.Warn(file, 1, DrawnLinesWords.NoCircleAndNoClosedLine);
    }

    private void Outline()
    {
        var outer = _closed.MaxBy(c => Math.Abs(Polygon.Shoelace(c.Points)));
        if (Math.Abs(Polygon.Shoelace(outer.Points)) > MinOutlineMm2)
            draft.SetOutline(file, new(outer.Points.ConvertAll(Rounded)));
        foreach (var c in _closed.Where(c => c != outer))
            AddPart(c.Layer, c.Points);
        if (_closed.Count > 1)
            draft.Assume(DrawnLinesWords.LargestClosedLineIsOutlineOther(file.Name, _closed.Count - 1));
    }

    private static Point2 Rounded(Point2 p) => new(Math.Round(p.X, 6), Math.Round(p.Y, 6));

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
        draft.Parts.Add(
            new(
                label ?? $"P{draft.Parts.Count + 1}",
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
