using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Paste;

/// <summary>Drawn strokes by the squares they pass, so that a point is held only against those near it.</summary>
internal sealed class StrokeBins
{
    private const int Across = 48;

    private readonly double _reach,
        _size;
    private readonly Point2 _from;
    private readonly Dictionary<(int, int), List<(Point2 A, Point2 B)>> _bins = [];

    public StrokeBins(IReadOnlyList<IReadOnlyList<Point2>> strokes, double reachMm)
    {
        _reach = reachMm;
        var all = strokes.SelectMany(s => s).ToList();
        if (all.Count == 0)
            return;
        var b = Bounds.From(all);
        _from = new(b.MinX, b.MinY);
        _size = Math.Max(Math.Max(b.Width, b.Height) / Across, reachMm);
        foreach (var s in strokes)
            for (var k = 0; k < s.Count; k++)
                if (k > 0 || s.Count == 1)
                    Put(s[Math.Max(0, k - 1)], s[k]);
    }

    private void Put(Point2 a, Point2 b)
    {
        var (x0, y0) = Bin(new Point2(Math.Min(a.X, b.X), Math.Min(a.Y, b.Y)) - new Point2(_reach, _reach));
        var (x1, y1) = Bin(new Point2(Math.Max(a.X, b.X), Math.Max(a.Y, b.Y)) + new Point2(_reach, _reach));
        for (var x = x0; x <= x1; x++)
        for (var y = y0; y <= y1; y++)
        {
            if (!_bins.TryGetValue((x, y), out var list))
                _bins[(x, y)] = list = [];
            list.Add((a, b));
        }
    }

    private (int, int) Bin(Point2 p) =>
        ((int)Math.Floor((p.X - _from.X) / _size), (int)Math.Floor((p.Y - _from.Y) / _size));

    /// <summary>Whether a point lies under one of the strokes.</summary>
    public bool Covers(Point2 p)
    {
        if (_size == 0 || !_bins.TryGetValue(Bin(p), out var near))
            return false;
        foreach (var (a, b) in near)
            if ((a == b ? (p - a).Length : Polygon.DistanceToSegment(p, a, b)) <= _reach)
                return true;
        return false;
    }
}
