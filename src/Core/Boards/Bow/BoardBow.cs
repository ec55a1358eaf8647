using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Boards.Bow;

public enum EdgeHold
{
    Free,
    SimplySupported,
    Clamped,
}

public enum SupportKind
{
    Pinned,
    Clamped,
}

/// <param name="DiameterMm">Disc it holds over: washer or standoff, mm.</param>
public sealed record BowSupport(double X, double Y, SupportKind Kind, double DiameterMm);

/// <summary>A force spread over a rectangle; + along +z. A rectangle without size is a point.</summary>
public sealed record BowLoad(double X, double Y, double WidthMm, double DepthMm, double ForceN);

public sealed record BowReaction(double X, double Y, double ForceN);

/// <param name="PeakMm">Signed deflection of largest size anywhere on the board, mm, + along +z.</param>
/// <param name="StrainMicro">Largest principal surface strain, millionths.</param>
/// <param name="WatchedStrainMicro">The same within the watched areas; null when none are watched.</param>
/// <param name="Map">Deflections on a grid for the drawing: rows from −y to +y, null off the board.</param>
public sealed record BowResult(
    double PeakMm,
    IReadOnlyList<double> AtMm,
    IReadOnlyList<double> ProbesMm,
    double StrainMicro,
    IReadOnlyList<BowReaction> Reactions,
    int ElementsUsed,
    BowMap Map,
    double? WatchedStrainMicro = null
);

public sealed record BowMap(
    double MinX,
    double MinY,
    double StepX,
    double StepY,
    int Columns,
    int Rows,
    IReadOnlyList<double?> Mm
);

/// <summary>What a bow is reckoned from. E in MPa.</summary>
public sealed record BowProblem(Polygon Outline, double ThicknessMm, double EMPa, double Nu)
{
    public EdgeHold Edges { get; init; }
    public IReadOnlyList<BowSupport> Supports { get; init; } = [];
    public IReadOnlyList<BowLoad> Loads { get; init; } = [];
    public double PressureMPa { get; init; }
    public IReadOnlyList<Point2> Probes { get; init; } = [];
    public int Elements { get; init; } = 2500;

    /// <summary>Where strain matters apart from the whole board: under parts with many joints.</summary>
    public IReadOnlyList<Polygon> Watched { get; init; } = [];

    /// <summary>Areas stiffened by what is fixed to them, by a factor on the plate's rigidity.</summary>
    public IReadOnlyList<(Polygon Area, double Factor)> Stiffeners { get; init; } = [];
}

/// <summary>
/// Bending of a board as a thin (Kirchhoff) plate, finite elements on a regular grid over the outline; cells cut by the
/// outline count by their share. Discs are held by Lagrange multipliers over a very soft bed that keeps the free plate regular.
/// </summary>
public sealed class BoardBow
{
    /// <summary>Bed stiffness as a share of the plate's own, small enough not to be seen.</summary>
    private const double BedShare = 1e-12;

    private readonly BowProblem _p;
    private readonly PlateElement _element;
    private readonly double[] _share,
        _stiffness;
    private readonly int _nx,
        _ny;
    private readonly double _x0,
        _y0;
    private readonly bool _columnsFirst;
    private readonly bool[] _node;
    private int Freedoms => 3 * (_nx + 1) * (_ny + 1);

    private BoardBow(BowProblem p)
    {
        _p = p;
        var b = p.Outline.Bounds;
        var side = Math.Sqrt(b.Width * b.Height / Math.Clamp(p.Elements, 16, 40_000));
        _nx = Even(b.Width / side);
        _ny = Even(b.Height / side);
        (_x0, _y0) = (b.MinX, b.MinY);
        var rigidity = p.EMPa * Math.Pow(p.ThicknessMm, 3) / (12 * (1 - p.Nu * p.Nu));
        _element = new(b.Width / _nx, b.Height / _ny, rigidity, p.Nu);
        _columnsFirst = _ny < _nx;
        _share = new double[_nx * _ny];
        _stiffness = new double[_nx * _ny];
        _node = new bool[(_nx + 1) * (_ny + 1)];
        for (var i = 0; i < _nx; i++)
        {
            for (var j = 0; j < _ny; j++)
            {
                var cell = Polygon.Rectangle(
                    new(_x0 + (i + 0.5) * _element.A, _y0 + (j + 0.5) * _element.B),
                    _element.A,
                    _element.B
                );
                var share = PolygonOverlap.Area(p.Outline, cell) / (_element.A * _element.B);
                if (share < 0.02)
                    continue;
                _share[i * _ny + j] = share > 0.999999 ? 1 : share;
                var centre = new Point2(_x0 + (i + 0.5) * _element.A, _y0 + (j + 0.5) * _element.B);
                _stiffness[i * _ny + j] =
                    _share[i * _ny + j]
                    * p.Stiffeners.Where(s => s.Area.Contains(centre))
                        .Select(s => s.Factor)
                        .DefaultIfEmpty(1)
                        .Aggregate((a, b) => a * b);
                _node[Node(i, j)] = _node[Node(i + 1, j)] = _node[Node(i + 1, j + 1)] = _node[Node(i, j + 1)] = true;
            }
        }
    }

    /// <exception cref="InputException">The board is not held, or a load or probe lies off it.</exception>
    /// <exception cref="OperationCanceledException">Stopped.</exception>
    public static BowResult Solve(BowProblem problem, CancellationToken cancel = default) =>
        new BoardBow(problem).Run(cancel);

    /// <summary>
    /// Deflection at each point for a unit force on each patch, mm/N, held at three points so that nothing but bending counts:
    /// meant for forces that balance among themselves.
    /// </summary>
    /// <param name="patches">Where unit forces act and mean deflections are taken.</param>
    /// <param name="probes">Further points whose deflection is asked.</param>
    /// <returns>Rows: patches, then probes; columns: patches.</returns>
    public static double[,] Compliance(
        BowProblem problem,
        IReadOnlyList<BowLoad> patches,
        IReadOnlyList<Point2> probes,
        CancellationToken cancel = default
    )
    {
        var b = problem.Outline.Bounds;
        // three supports anywhere off one line carry nothing when the forces balance
        Point2[] near = [new(b.MinX, b.MinY), new(b.MaxX, b.MinY), new(b.MinX, b.MaxY)];
        var bow = new BoardBow(problem with { Edges = EdgeHold.Free, Loads = [], Supports = [] });
        var nodes = Enumerable.Range(0, bow._node.Length).Where(n => bow._node[n]).ToList();
        var held = near.Select(p => nodes.MinBy(n => (bow.PlaceOf(n) - p).Length)).Distinct().ToArray();
        if (held.Length < 3)
            throw new InputException("/board/outline", "The outline is too narrow to bend.");
        var fixedFreedoms = new bool[bow.Freedoms];
        foreach (var n in held)
            fixedFreedoms[3 * n] = true;
        var matrix = bow.Assemble(new double[bow.Freedoms], fixedFreedoms);
        matrix.Factor(cancel);
        var rows = patches
            .Select((p, k) => bow.WeightsOf(p, k))
            .Concat(probes.Select((p, k) => bow.WeightsOf(new(p.X, p.Y, 0, 0, 1), k)))
            .ToList();
        var c = new double[rows.Count, patches.Count];
        var u = new double[bow.Freedoms];
        for (var j = 0; j < patches.Count; j++)
        {
            cancel.ThrowIfCancellationRequested();
            Array.Clear(u);
            foreach (var (f, w) in rows[j])
                if (!fixedFreedoms[f])
                    u[f] = w;
            matrix.Solve(u);
            for (var i = 0; i < rows.Count; i++)
                c[i, j] = rows[i].Sum(r => r.Value * u[r.Key]);
        }
        return c;
    }

    private Point2 PlaceOf(int node)
    {
        var (i, j) = _columnsFirst ? (node / (_ny + 1), node % (_ny + 1)) : (node % (_nx + 1), node / (_nx + 1));
        return new(_x0 + i * _element.A, _y0 + j * _element.B);
    }

    private Dictionary<int, double> WeightsOf(BowLoad patch, int index)
    {
        var weights = new Dictionary<int, double>();
        Spread(patch with { ForceN = 1 }, index, (f, w) => weights[f] = weights.GetValueOrDefault(f) + w);
        return weights;
    }

    private static int Even(double n) => Math.Max(4, 2 * (int)Math.Round(n / 2));

    /// <summary>Nodes are numbered along the shorter side so that the band is narrow.</summary>
    private int Node(int i, int j) => _columnsFirst ? i * (_ny + 1) + j : j * (_nx + 1) + i;

    private int[] CellFreedoms(int i, int j)
    {
        int[] nodes = [Node(i, j), Node(i + 1, j), Node(i + 1, j + 1), Node(i, j + 1)];
        return [.. nodes.SelectMany(n => new[] { 3 * n, 3 * n + 1, 3 * n + 2 })];
    }

    private BowResult Run(CancellationToken cancel)
    {
        var load = new double[Freedoms];
        var held = new bool[Freedoms];
        HoldEdges(held);
        var discs = _p.Supports.Select((s, k) => Disc(s, k, held)).ToList();
        if (_p.Edges == EdgeHold.Free && discs.Count == 0)
            throw new InputException("/supports", "The board is not held: give edges or supports.");
        if (BowHold.Of(_p) == Validity.Outside)
            throw new InputException(
                "/supports",
                "The supports lie in a line: the board can turn about it. Give one off the line, or a clamped one."
            );
        foreach (var (l, k) in _p.Loads.Select((l, k) => (l, k)))
            Apply(l, k, load);
        var matrix = Assemble(load, held);
        for (var f = 0; f < Freedoms; f++)
            if (held[f])
                load[f] = 0;
        matrix.Factor(cancel);
        var u = (double[])load.Clone();
        matrix.Solve(u);
        var reactions = Hold(matrix, discs, u);
        return Describe(u, reactions);
    }

    private void HoldEdges(bool[] held)
    {
        if (_p.Edges == EdgeHold.Free)
            return;
        for (var i = 0; i <= _nx; i++)
        {
            for (var j = 0; j <= _ny; j++)
            {
                bool sideX = !Solid(i - 1, j - 1) && !Solid(i - 1, j) || !Solid(i, j - 1) && !Solid(i, j),
                    sideY = !Solid(i - 1, j - 1) && !Solid(i, j - 1) || !Solid(i - 1, j) && !Solid(i, j);
                if (!sideX && !sideY || !_node[Node(i, j)])
                    continue;
                var f = 3 * Node(i, j);
                held[f] = true;
                // along an edge the slope along it is zero too; across it only when clamped
                if (_p.Edges == EdgeHold.Clamped || sideY)
                    held[f + 1] = true;
                if (_p.Edges == EdgeHold.Clamped || sideX)
                    held[f + 2] = true;
            }
        }
    }

    private bool Solid(int i, int j) => i >= 0 && j >= 0 && i < _nx && j < _ny && _share[i * _ny + j] > 0;

    /// <summary>One row of a constraint: weights on freedoms whose sum has to vanish.</summary>
    private sealed record Row(int Support, bool IsDeflection, Dictionary<int, double> Weights);

    private List<Row> Disc(BowSupport s, int index, bool[] held)
    {
        var r = s.DiameterMm / 2;
        var rows = new List<Row> { new(index, true, Mean(s, r, 0, 0, index)) };
        if (s.Kind == SupportKind.Pinned)
            return rows;
        var inside = 0;
        for (var i = 0; i <= _nx; i++)
        {
            for (var j = 0; j <= _ny; j++)
            {
                double dx = _x0 + i * _element.A - s.X,
                    dy = _y0 + j * _element.B - s.Y;
                if (dx * dx + dy * dy > r * r || !_node[Node(i, j)])
                    continue;
                inside++;
                var f = 3 * Node(i, j);
                rows.Add(new(index, true, new() { [f] = 1 }));
                rows.Add(new(index, false, new() { [f + 1] = 1 }));
                rows.Add(new(index, false, new() { [f + 2] = 1 }));
            }
        }
        if (inside > 0)
            rows.RemoveAt(0);
        else
        {
            rows.Add(new(index, false, Mean(s, r, 1, 0, index)));
            rows.Add(new(index, false, Mean(s, r, 0, 1, index)));
        }
        return rows;
    }

    /// <summary>Mean of w or of a slope over a disc, as weights on freedoms; points off the board do not count.</summary>
    private Dictionary<int, double> Mean(BowSupport s, double r, int dx, int dy, int index)
    {
        var weights = new Dictionary<int, double>();
        var points = new List<Point2>();
        const int rings = 4;
        for (var k = 0; k < rings; k++)
        {
            // rings of equal area
            var radius = r * Math.Sqrt((k + 0.5) / rings);
            for (var a = 0; a < 12; a++)
                points.Add(
                    new(
                        s.X + radius * Math.Cos((a + 0.5 * (k % 2)) * Math.PI / 6),
                        s.Y + radius * Math.Sin((a + 0.5 * (k % 2)) * Math.PI / 6)
                    )
                );
        }
        var on = points.Where(p => Locate(p) is not null).ToList();
        if (on.Count == 0)
            throw new InputException(
                $"/supports/{index}",
                FormattableString.Invariant($"The support at {s.X:0.##}, {s.Y:0.##} lies off the board.")
            );
        foreach (var p in on)
            Spread(p, 1.0 / on.Count, dx, dy, (f, w) => weights[f] = weights.GetValueOrDefault(f) + w);
        return weights;
    }

    private (int I, int J)? Locate(Point2 p)
    {
        var b = _p.Outline.Bounds;
        if (p.X < b.MinX - 1e-9 || p.X > b.MaxX + 1e-9 || p.Y < b.MinY - 1e-9 || p.Y > b.MaxY + 1e-9)
            return null;
        int i = Math.Clamp((int)((p.X - _x0) / _element.A), 0, _nx - 1),
            j = Math.Clamp((int)((p.Y - _y0) / _element.B), 0, _ny - 1);
        return _share[i * _ny + j] > 0 ? (i, j) : null;
    }

    private bool Spread(Point2 p, double weight, int dx, int dy, Action<int, double> add)
    {
        if (Locate(p) is not { } cell)
            return false;
        var n = _element.Shape(p.X - _x0 - cell.I * _element.A, p.Y - _y0 - cell.J * _element.B, dx, dy);
        var freedoms = CellFreedoms(cell.I, cell.J);
        for (var k = 0; k < 12; k++)
            add(freedoms[k], weight * n[k]);
        return true;
    }

    private void Apply(BowLoad l, int index, double[] load) => Spread(l, index, (f, w) => load[f] += w);

    private void Spread(BowLoad l, int index, Action<int, double> add)
    {
        var points =
            l.WidthMm <= 0 || l.DepthMm <= 0
                ? [new QuadraturePoint(l.X, l.Y, 1)]
                : Quadrature.Rectangle(new(l.X, l.Y), l.WidthMm, l.DepthMm, 0, 10).ToList();
        var on = points.Where(q => Locate(new(q.X, q.Y)) is not null).ToList();
        if (on.Count == 0)
            throw new InputException(
                $"/loads/{index}",
                FormattableString.Invariant($"The load at {l.X:0.##}, {l.Y:0.##} lies off the board.")
            );
        var total = on.Sum(q => q.WeightMm2);
        foreach (var q in on)
            Spread(new(q.X, q.Y), l.ForceN * q.WeightMm2 / total, 0, 0, add);
    }

    private BandedCholesky Assemble(double[] load, bool[] held)
    {
        var stride = _columnsFirst ? _ny + 1 : _nx + 1;
        var matrix = new BandedCholesky(Freedoms, 3 * (stride + 2));
        double largest = 0;
        for (var k = 0; k < 12; k++)
            largest = Math.Max(largest, _element.Stiffness[k, k]);
        for (var i = 0; i < _nx; i++)
        {
            for (var j = 0; j < _ny; j++)
            {
                var share = _share[i * _ny + j];
                if (share == 0)
                    continue;
                var f = CellFreedoms(i, j);
                for (var r = 0; r < 12; r++)
                {
                    load[f[r]] += _p.PressureMPa * share * _element.PressureLoad[r];
                    if (held[f[r]])
                        continue;
                    for (var c = 0; c < 12; c++)
                        if (!held[f[c]])
                            matrix.Add(f[r], f[c], _stiffness[i * _ny + j] * _element.Stiffness[r, c]);
                }
            }
        }
        var bed = BedShare * _element.Stiffness[0, 0];
        for (var f = 0; f < Freedoms; f++)
        {
            if (held[f] || !_node[f / 3])
                matrix.Add(f, f, largest);
            else
                matrix.Add(f, f, f % 3 == 0 ? bed : bed * _element.A * _element.B);
        }
        return matrix;
    }

    /// <summary>Presses every disc back to zero; the forces that do it are the reactions (Benzi, Golub and Liesen 2005, section 5).</summary>
    private static Dictionary<int, double> Hold(BandedCholesky matrix, List<List<Row>> discs, double[] u)
    {
        var rows = discs.SelectMany(d => d).ToList();
        var reactions = new Dictionary<int, double>();
        if (rows.Count == 0)
            return reactions;
        var responses = rows.ConvertAll(r =>
        {
            var x = new double[u.Length];
            foreach (var (f, w) in r.Weights)
                x[f] = w;
            matrix.Solve(x);
            return x;
        });
        static double At(Row r, double[] x) => r.Weights.Sum(p => p.Value * x[p.Key]);
        var n = rows.Count;
        var schur = new BandedCholesky(n, n);
        for (var i = 0; i < n; i++)
        for (var j = 0; j <= i; j++)
            schur.Add(i, j, At(rows[i], responses[j]));
        double[] force = [.. rows.Select(r => At(r, u))];
        schur.Solve(force);
        for (var k = 0; k < n; k++)
        {
            for (var f = 0; f < u.Length; f++)
                u[f] -= force[k] * responses[k][f];
            if (rows[k].IsDeflection)
                reactions[rows[k].Support] = reactions.GetValueOrDefault(rows[k].Support) - force[k];
        }
        return reactions;
    }

    private BowResult Describe(double[] u, Dictionary<int, double> reactions)
    {
        double peak = 0,
            strain = 0,
            watched = 0;
        Point2 at = default;
        for (var i = 0; i < _nx; i++)
        {
            for (var j = 0; j < _ny; j++)
            {
                if (_share[i * _ny + j] == 0)
                    continue;
                var f = CellFreedoms(i, j);
                foreach (var (sx, sy) in ((double, double)[])[(0, 0), (1, 0), (1, 1), (0, 1), (0.5, 0.5)])
                {
                    double x = sx * _element.A,
                        y = sy * _element.B;
                    var p = new Point2(_x0 + i * _element.A + x, _y0 + j * _element.B + y);
                    if (_share[i * _ny + j] < 1 && !_p.Outline.Contains(p))
                        continue;
                    var w = Value(f, u, x, y, 0, 0);
                    if (Math.Abs(w) > Math.Abs(peak))
                        (peak, at) = (w, p);
                    if (sx != 0.5)
                        continue;
                    var here = PrincipalCurvature(f, u, x, y) * _p.ThicknessMm / 2;
                    strain = Math.Max(strain, here);
                    if (here > watched && _p.Watched.Any(a => a.Contains(p)))
                        watched = here;
                }
            }
        }
        var probes = _p
            .Probes.Select(
                (p, k) =>
                    Locate(p) is { } c
                        ? Value(
                            CellFreedoms(c.I, c.J),
                            u,
                            p.X - _x0 - c.I * _element.A,
                            p.Y - _y0 - c.J * _element.B,
                            0,
                            0
                        )
                        : throw new InputException($"/probes/{k}", "The probe lies off the board.")
            )
            .ToList();
        return new(
            peak,
            [at.X, at.Y],
            probes,
            strain * 1e6,
            [.. _p.Supports.Select((s, k) => new BowReaction(s.X, s.Y, reactions.GetValueOrDefault(k)))],
            _share.Count(s => s > 0),
            Map(u),
            _p.Watched.Count > 0 ? watched * 1e6 : null
        );
    }

    private double Value(int[] f, double[] u, double x, double y, int dx, int dy)
    {
        var n = _element.Shape(x, y, dx, dy);
        double sum = 0;
        for (var k = 0; k < 12; k++)
            sum += n[k] * u[f[k]];
        return sum;
    }

    private double PrincipalCurvature(int[] f, double[] u, double x, double y)
    {
        double xx = Value(f, u, x, y, 2, 0),
            yy = Value(f, u, x, y, 0, 2),
            xy = Value(f, u, x, y, 1, 1);
        var mean = (xx + yy) / 2;
        var radius = Math.Sqrt(Math.Pow((xx - yy) / 2, 2) + xy * xy);
        return Math.Max(Math.Abs(mean + radius), Math.Abs(mean - radius));
    }

    private BowMap Map(double[] u)
    {
        int stepX = Math.Max(1, _nx / 40),
            stepY = Math.Max(1, _ny / 30);
        var values = new List<double?>();
        int columns = _nx / stepX + 1,
            rows = _ny / stepY + 1;
        for (var j = 0; j < rows; j++)
        for (var i = 0; i < columns; i++)
        {
            var n = Node(i * stepX, j * stepY);
            values.Add(_node[n] ? Math.Round(u[3 * n], 6) : null);
        }
        return new(_x0, _y0, stepX * _element.A, stepY * _element.B, columns, rows, values);
    }
}
