using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match.Identify;

/// <summary>Lays a constellation on boards: poses from agreeing triangles, judged by how many points then meet.</summary>
internal sealed class PoseFinder
{
    private const double PoseStepMm = 2,
        PoseStepDeg = 4;
    private const int PosesTried = 4,
        RefineRounds = 8;

    private readonly float[] _x,
        _y;
    private readonly bool[] _hole;
    private readonly int[] _head,
        _next;
    private readonly double _cell,
        _minX,
        _minY;
    private readonly int _columns,
        _rows;
    private readonly Point2 _centre;
    private readonly Dictionary<uint, List<int>> _byHash = [];

    public PoseFinder(Constellation seen, double reachMm)
    {
        ReachMm = reachMm;
        _centre = new(seen.Points.Average(p => p.X), seen.Points.Average(p => p.Y));
        _x = [.. seen.Points.Select(p => (float)p.X)];
        _y = [.. seen.Points.Select(p => (float)p.Y)];
        _hole = [.. seen.Points.Select(p => p.IsHole)];
        TwinIndex.TrianglesAsked(_x, _y, _hole, Asked);
        Tolerance = (float)Math.Clamp(reachMm * 0.6, 0.05, 0.45);
        Span<uint> probes = stackalloc uint[64];
        for (var k = 0; k < Asked.Count; k++)
        {
            var n = Triangles.Probes(Asked[k], Tolerance, probes);
            for (var i = 0; i < n; i++)
            {
                if (!_byHash.TryGetValue(probes[i], out var list))
                    _byHash[probes[i]] = list = [];
                list.Add(k);
            }
        }
        _minX = _x.Min() - reachMm;
        _minY = _y.Min() - reachMm;
        double width = _x.Max() + reachMm - _minX,
            height = _y.Max() + reachMm - _minY;
        _cell = Math.Max(Math.Max(2 * reachMm, 1), Math.Max(width, height) / 400);
        _columns = (int)(width / _cell) + 1;
        _rows = (int)(height / _cell) + 1;
        _head = new int[_columns * _rows];
        Array.Fill(_head, -1);
        _next = new int[_x.Length];
        for (var i = 0; i < _x.Length; i++)
        {
            var c = (int)((_y[i] - _minY) / _cell) * _columns + (int)((_x[i] - _minX) / _cell);
            (_next[i], _head[c]) = (_head[c], i);
        }
        AreaMm2 = (width + 10) * (height + 10);
    }

    /// <summary>Whether no part was seen: then only holes can agree.</summary>
    public bool HolesOnly => !_hole.Contains(false);

    public List<Triangle> Asked { get; } = [];
    public float Tolerance { get; }

    /// <summary>Points closer than this meet, mm.</summary>
    public double ReachMm { get; }
    public double AreaMm2 { get; }

    /// <summary>How many holes and parts of the board meet a seen point of their sort under a pose, and their squared misses.</summary>
    public (int Holes, int Parts, double Squares) Meet(
        in Placement pose,
        ReadOnlySpan<float> x,
        ReadOnlySpan<float> y,
        ReadOnlySpan<bool> hole
    )
    {
        var (s, c) = Math.SinCos(pose.Radians);
        int holes = 0,
            parts = 0;
        double squares = 0;
        for (var i = 0; i < x.Length; i++)
        {
            double dx = x[i] - pose.XMm,
                dy = y[i] - pose.YMm;
            var j = Nearest(c * dx + s * dy, -s * dx + c * dy, hole[i], out var d2);
            if (j < 0)
                continue;
            squares += d2;
            if (hole[i])
                holes++;
            else
                parts++;
        }
        return (holes, parts, squares);
    }

    private int Nearest(double x, double y, bool hole, out double best)
    {
        best = ReachMm * ReachMm;
        var found = -1;
        int i0 = (int)Math.Floor((x - ReachMm - _minX) / _cell),
            i1 = (int)Math.Floor((x + ReachMm - _minX) / _cell),
            j0 = (int)Math.Floor((y - ReachMm - _minY) / _cell),
            j1 = (int)Math.Floor((y + ReachMm - _minY) / _cell);
        for (var j = Math.Max(0, j0); j <= j1 && j < _rows; j++)
        {
            for (var i = Math.Max(0, i0); i <= i1 && i < _columns; i++)
            {
                for (var k = _head[j * _columns + i]; k >= 0; k = _next[k])
                {
                    double dx = _x[k] - x,
                        dy = _y[k] - y,
                        d = dx * dx + dy * dy;
                    if (d <= best && _hole[k] == hole)
                        (best, found) = (d, k);
                }
            }
        }
        return found;
    }

    /// <summary>The pose most triangles agree on, from the seen frame to the board's, or null.</summary>
    public Placement? FromTriangles(
        ReadOnlySpan<float> x,
        ReadOnlySpan<float> y,
        ReadOnlySpan<bool> hole,
        List<Triangle> scratch
    )
    {
        TwinIndex.TrianglesKept(x, y, hole, HolesOnly, scratch);
        // of the triangles that agree the longest tells the turn best
        var votes = new Dictionary<(int, int, int), (int Count, float Long, Placement Pose)>();
        foreach (var t in scratch)
        {
            if (
                !_byHash.TryGetValue(
                    Triangles.Hash(Triangles.Step(t.Short), Triangles.Step(t.Middle), Triangles.Step(t.Long), t.Holes),
                    out var list
                )
            )
                continue;
            foreach (var k in list)
            {
                if (Rigid(Asked[k], t, x, y) is not { } pose)
                    continue;
                var at = pose.Apply(_centre);
                var key = (
                    (int)Math.Round(at.X / PoseStepMm),
                    (int)Math.Round(at.Y / PoseStepMm),
                    (int)Math.Round(pose.RotationDeg / PoseStepDeg)
                );
                votes[key] =
                    !votes.TryGetValue(key, out var v) ? (1, t.Long, pose)
                    : t.Long > v.Long ? (v.Count + 1, t.Long, pose)
                    : v with { Count = v.Count + 1 };
            }
        }
        Placement? best = null;
        var most = 0;
        foreach (
            var (_, _, first) in votes
                .Values.OrderByDescending(v => v.Count)
                .ThenByDescending(v => v.Long)
                .Take(PosesTried)
        )
        {
            var pose = first;
            // points far out come within reach only as the turn gets better
            for (var (round, met) = (0, 0); round < RefineRounds; round++)
            {
                pose = Refine(pose, x, y, hole) ?? pose;
                var (h, p, _) = Meet(pose, x, y, hole);
                if (h + p <= met)
                    break;
                met = h + p;
            }
            var (holes, parts, _) = Meet(pose, x, y, hole);
            if (holes + parts > most)
                (most, best) = (holes + parts, pose);
        }
        return best;
    }

    /// <summary>The least-squares pose of the points that meet under a pose (Umeyama 1991, without scale).</summary>
    public Placement? Refine(in Placement pose, ReadOnlySpan<float> x, ReadOnlySpan<float> y, ReadOnlySpan<bool> hole)
    {
        var (s, c) = Math.SinCos(pose.Radians);
        List<(Point2 From, Point2 To)> pairs = [];
        for (var i = 0; i < x.Length; i++)
        {
            double dx = x[i] - pose.XMm,
                dy = y[i] - pose.YMm;
            var j = Nearest(c * dx + s * dy, -s * dx + c * dy, hole[i], out _);
            if (j >= 0)
                pairs.Add((new(_x[j], _y[j]), new(x[i], y[i])));
        }
        return pairs.Count < 2 ? null : RigidFit.Fit(pairs);
    }

    private Placement? Rigid(in Triangle seen, in Triangle kept, ReadOnlySpan<float> x, ReadOnlySpan<float> y)
    {
        Point2 From(int i) => new(_x[i], _y[i]);
        Point2 a = new(x[kept.A], y[kept.A]),
            b = new(x[kept.B], y[kept.B]),
            c = new(x[kept.C], y[kept.C]);
        Point2 p = From(seen.A),
            q = From(seen.B),
            r = From(seen.C);
        // a mirrored triangle has the same sides
        if ((b - a).Cross(c - a) * (q - p).Cross(r - p) < 0 && Math.Abs((q - p).Cross(r - p)) > 1)
            return null;
        var pose = RigidFit.Fit([(p, a), (q, b), (r, c)]);
        var worst = Math.Max(
            (pose.Apply(p) - a).Length,
            Math.Max((pose.Apply(q) - b).Length, (pose.Apply(r) - c).Length)
        );
        return worst > 1.5 * ReachMm ? null : pose;
    }
}
