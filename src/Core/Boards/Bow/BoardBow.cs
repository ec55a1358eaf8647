using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Boards.Bow;

namespace FaithfulBracket.Core.Boards.Bow;

/// <summary>
/// Bending of a board as a thin (Kirchhoff) plate, finite elements on lines over the outline; cells cut by the outline
/// count by their share. Clamped discs hold the nodes under them; pinned ones are held in their mean by Lagrange
/// multipliers over a very soft bed that keeps the free plate regular.
/// </summary>
public sealed class BoardBow
{
    /// <summary>Bed stiffness as a share of the plate's own, small enough not to be seen.</summary>
    private const double BedShare = 1e-12;

    private readonly BowProblem _p;
    private readonly PlateGrid _grid;
    private readonly double _rigidity;
    private int Freedoms => 3 * _grid.Nodes;

    private BoardBow(BowProblem p)
    {
        BowLimits.Check(p);
        _p = p;
        _rigidity = BowLayer.Rigidity(p.EMPa, p.Nu, p.ThicknessMm);
        _layers = [.. p.Layers.Select(l => (l, l.Adds(p.EMPa, p.Nu, p.ThicknessMm)))];
        _grid = new(
            p.Outline,
            Math.Max(p.Elements, BowLimits.MinElements),
            [
                .. p
                    .Supports.Where(s => s.Kind == SupportKind.Clamped)
                    .Select(s => (new Point2(s.X, s.Y), s.DiameterMm / 2)),
            ]
        );
    }

    /// <exception cref="InputException">The board is not held, or a load or probe lies off it.</exception>
    /// <exception cref="OperationCanceledException">Stopped.</exception>
    public static BowResult Solve(BowProblem problem, CancellationToken cancel = default) =>
        new BoardBow(problem).Run(cancel);

    /// <summary>
    /// Deflection at each point for a unit force on each patch, mm/N, held at three points so that nothing but bending
    /// counts: meant for forces that balance among themselves.
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
        var nodes = bow.Places();
        var held = near.Select(p => nodes.MinBy(n => (n.At - p).Length).Node).Distinct().ToArray();
        if (held.Length < 3)
            throw new InputException("board/outline", BoardBowWords.OutlineIsTooNarrowToBend);
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

    private List<(int Node, Point2 At)> Places()
    {
        var places = new List<(int, Point2)>(_grid.Nodes);
        for (var i = 0; i <= _grid.Columns; i++)
        for (var j = 0; j <= _grid.Rows; j++)
            if (_grid.Node(i, j) is >= 0 and var n)
                places.Add((n, new(_grid.X[i], _grid.Y[j])));
        return places;
    }

    private Dictionary<int, double> WeightsOf(BowLoad patch, int index)
    {
        var weights = new Dictionary<int, double>();
        Spread(patch with { ForceN = 1 }, index, (f, w) => weights[f] = weights.GetValueOrDefault(f) + w);
        return weights;
    }

    private BowResult Run(CancellationToken cancel)
    {
        if (_p.Edges == EdgeHold.Free && _p.Supports.Count == 0)
            throw new InputException("supports", BoardBowWords.BoardIsNotHeld);
        if (BowHold.Check(_p) == Validity.Outside)
            throw new InputException("supports", BoardBowWords.SupportsLieInLine);
        var load = new double[Freedoms];
        var held = new bool[Freedoms];
        HoldEdges(held);
        var clamped = Clamp(held);
        var pins = _p
            .Supports.Select((s, k) => (Support: k, s))
            .Where(x => x.s.Kind == SupportKind.Pinned)
            .Select(x => (x.Support, Weights: Mean(x.s, x.Support)))
            .ToList();
        foreach (var (l, k) in _p.Loads.Select((l, k) => (l, k)))
            Spread(l, k, (f, w) => load[f] += w);
        var matrix = Assemble(load, held);
        var applied = (double[])load.Clone();
        for (var f = 0; f < Freedoms; f++)
            if (held[f])
                load[f] = 0;
        matrix.Factor(cancel);
        matrix.Solve(load);
        var reactions = Hold(matrix, pins, held, load, cancel);
        Press(clamped, applied, load, reactions);
        return new BowReport(_p, _grid, load).Compute(reactions);
    }

    private void HoldEdges(bool[] held)
    {
        if (_p.Edges == EdgeHold.Free)
            return;
        bool Solid(int i, int j) => _grid.Share(i, j) > 0;
        for (var i = 0; i <= _grid.Columns; i++)
        {
            for (var j = 0; j <= _grid.Rows; j++)
            {
                bool sideX = !Solid(i - 1, j - 1) && !Solid(i - 1, j) || !Solid(i, j - 1) && !Solid(i, j),
                    sideY = !Solid(i - 1, j - 1) && !Solid(i, j - 1) || !Solid(i - 1, j) && !Solid(i, j);
                if (!sideX && !sideY || _grid.Node(i, j) < 0)
                    continue;
                var f = 3 * _grid.Node(i, j);
                held[f] = true;
                // along an edge the slope along it is zero too; across it only when clamped
                if (_p.Edges == EdgeHold.Clamped || sideY)
                    held[f + 1] = true;
                if (_p.Edges == EdgeHold.Clamped || sideX)
                    held[f + 2] = true;
            }
        }
    }

    /// <summary>
    /// Holds the nodes under each clamped disc: those nearest its middle whose hull is as large as the disc.
    /// </summary>
    /// <returns>Which support holds a node.</returns>
    private Dictionary<int, int> Clamp(bool[] held)
    {
        var by = new Dictionary<int, int>();
        List<(int Node, Point2 At)>? places = null;
        foreach (var (s, k) in _p.Supports.Select((s, k) => (s, k)))
        {
            if (s.Kind != SupportKind.Clamped)
                continue;
            places ??= Places();
            var (at, r) = (new Point2(s.X, s.Y), s.DiameterMm / 2);
            if (_grid.Locate(at) is null && !places.Any(p => (p.At - at).Length <= r))
                throw OffBoard($"supports/{k}", "support", s.X, s.Y);
            foreach (var n in Under(places, at, r))
            {
                by.TryAdd(n, k);
                held[3 * n] = held[3 * n + 1] = held[3 * n + 2] = true;
            }
        }
        return by;
    }

    private static IEnumerable<int> Under(List<(int Node, Point2 At)> places, Point2 at, double r)
    {
        var near = places
            .Select(p => (p.Node, p.At, Far: Math.Round((p.At - at).Length, 6)))
            .Where(p => p.Far <= 1.4 * r)
            .GroupBy(p => p.Far)
            .OrderBy(g => g.Key)
            .ToList();
        if (near.Count == 0)
            return [places.MinBy(p => (p.At - at).Length).Node];
        var (best, miss) = (1, double.PositiveInfinity);
        var within = new List<Point2>();
        for (var n = 0; n < near.Count; n++)
        {
            within.AddRange(near[n].Select(p => p.At));
            var off = Math.Abs((ConvexHull.Create(within)?.Area ?? 0) - Math.PI * r * r);
            if (off < miss)
                (best, miss) = (n + 1, off);
        }
        return near.Take(best).SelectMany(g => g.Select(p => p.Node));
    }

    /// <summary>
    /// Mean of the deflection over a disc, as weights on freedoms; points off the board do not count.
    /// </summary>
    private Dictionary<int, double> Mean(BowSupport s, int index)
    {
        var weights = new Dictionary<int, double>();
        var points = new List<Point2>();
        const int rings = 4;
        for (var k = 0; k < rings; k++)
        {
            // rings of equal area
            var radius = s.DiameterMm / 2 * Math.Sqrt((k + 0.5) / rings);
            for (var a = 0; a < 12; a++)
                points.Add(
                    new(
                        s.X + radius * Math.Cos((a + 0.5 * (k % 2)) * Math.PI / 6),
                        s.Y + radius * Math.Sin((a + 0.5 * (k % 2)) * Math.PI / 6)
                    )
                );
        }
        var on = points.Where(p => _grid.Locate(p) is not null).ToList();
        if (on.Count == 0)
            throw OffBoard($"supports/{index}", "support", s.X, s.Y);
        foreach (var p in on)
            Spread(p, 1.0 / on.Count, (f, w) => weights[f] = weights.GetValueOrDefault(f) + w);
        return weights;
    }

    private static InputException OffBoard(string field, string what, double x, double y) =>
        new(field, BoardBowWords.AtLiesOffBoard(what, x, y));

    private void Spread(Point2 p, double weight, Action<int, double> add)
    {
        if (_grid.Locate(p) is not { } cell)
            return;
        Span<double> n = stackalloc double[PlateElement.Freedoms];
        Span<int> freedoms = stackalloc int[PlateElement.Freedoms];
        _grid.Element(cell.I, cell.J).Shape(p.X - _grid.X[cell.I], p.Y - _grid.Y[cell.J], 0, 0, n);
        _grid.Freedoms(cell.I, cell.J, freedoms);
        for (var k = 0; k < PlateElement.Freedoms; k++)
            add(freedoms[k], weight * n[k]);
    }

    private void Spread(BowLoad l, int index, Action<int, double> add)
    {
        var points =
            l.WidthMm <= 0 || l.DepthMm <= 0
                ? [new QuadraturePoint(l.X, l.Y, 1)]
                : Quadrature.Rectangle(new(l.X, l.Y), l.WidthMm, l.DepthMm, 0, 10).ToList();
        var on = points.Where(q => _grid.Locate(new(q.X, q.Y)) is not null).ToList();
        if (on.Count == 0)
            throw OffBoard($"loads/{index}", "load", l.X, l.Y);
        var total = on.Sum(q => q.WeightMm2);
        foreach (var q in on)
            Spread(new(q.X, q.Y), l.ForceN * q.WeightMm2 / total, add);
    }

    /// <summary>A cell's stiffness: its share of board, and what is fixed to it.</summary>
    private double RigidityAt(int i, int j) => (_rigidity + LayersAt(i, j).Adds) * _grid.Share(i, j);

    /// <summary>
    /// What layers add to a cell, by the share of it that they cover, and Poisson's ratio weighted by rigidity.
    /// </summary>
    private (double Adds, double Nu) LayersAt(int i, int j)
    {
        if (_layers.Count == 0)
            return (0, _p.Nu);
        if (_known.TryGetValue((i, j), out var known))
            return known;
        var (width, height) = (_grid.X[i + 1] - _grid.X[i], _grid.Y[j + 1] - _grid.Y[j]);
        Polygon? cell = null;
        double adds = 0,
            nu = _rigidity * _p.Nu;
        foreach (var (layer, rigidity) in _layers)
        {
            var b = layer.Outline.Bounds;
            if (b.MinX >= _grid.X[i + 1] || b.MaxX <= _grid.X[i] || b.MinY >= _grid.Y[j + 1] || b.MaxY <= _grid.Y[j])
                continue;
            cell ??= Polygon.Rectangle(new(_grid.X[i] + width / 2, _grid.Y[j] + height / 2), width, height);
            var share = rigidity * PolygonOverlap.Area(layer.Outline, cell) / (width * height);
            adds += share;
            nu += share * layer.Nu;
        }
        return _known[(i, j)] = (adds, nu / (_rigidity + adds));
    }

    private readonly List<(BowLayer Layer, double Adds)> _layers;
    private readonly Dictionary<(int, int), (double Adds, double Nu)> _known = [];

    private EnvelopeCholesky Assemble(double[] load, bool[] held)
    {
        var first = _grid.FirstColumns();
        BowLimits.CheckWork(EnvelopeCholesky.Work(first));
        var matrix = new EnvelopeCholesky(first);
        double largest = 0;
        Span<int> f = stackalloc int[PlateElement.Freedoms];
        Span<double> k = stackalloc double[PlateElement.Freedoms * PlateElement.Freedoms];
        for (var i = 0; i < _grid.Columns; i++)
        {
            for (var j = 0; j < _grid.Rows; j++)
            {
                var share = _grid.Share(i, j);
                if (share == 0)
                    continue;
                var element = _grid.Element(i, j);
                element.Stiffness(RigidityAt(i, j), LayersAt(i, j).Nu, k);
                _grid.Freedoms(i, j, f);
                for (var r = 0; r < PlateElement.Freedoms; r++)
                {
                    load[f[r]] += _p.PressureMPa * share * element.PressureLoad(r);
                    largest = Math.Max(largest, k[r * 13]);
                    if (held[f[r]])
                        continue;
                    for (var c = 0; c < PlateElement.Freedoms; c++)
                        if (f[c] <= f[r] && !held[f[c]])
                            matrix.Add(f[r], f[c], k[r * PlateElement.Freedoms + c]);
                }
            }
        }
        var cellMm2 = _p.Outline.Area / _grid.Cells;
        var bed = BedShare * 12 * _rigidity / cellMm2;
        for (var n = 0; n < Freedoms; n++)
            matrix.Add(
                n,
                n,
                held[n] ? largest
                    : n % 3 == 0 ? bed
                    : bed * cellMm2
            );
        return matrix;
    }

    /// <summary>
    /// Presses every pinned disc back to zero; the forces that do it are the reactions (Benzi, Golub and Liesen 2005,
    /// section 5).
    /// </summary>
    private static Dictionary<int, double> Hold(
        EnvelopeCholesky matrix,
        List<(int Support, Dictionary<int, double> Weights)> pins,
        bool[] held,
        double[] u,
        CancellationToken cancel
    )
    {
        var reactions = new Dictionary<int, double>();
        if (pins.Count == 0)
            return reactions;
        var responses = pins.ConvertAll(r =>
        {
            cancel.ThrowIfCancellationRequested();
            var x = new double[u.Length];
            foreach (var (f, w) in r.Weights)
                if (!held[f])
                    x[f] = w;
            matrix.Solve(x);
            return x;
        });
        static double At(Dictionary<int, double> weights, double[] x) => weights.Sum(p => p.Value * x[p.Key]);
        var n = pins.Count;
        var schur = EnvelopeCholesky.Full(n);
        for (var i = 0; i < n; i++)
        for (var j = 0; j <= i; j++)
            schur.Add(i, j, At(pins[i].Weights, responses[j]));
        double[] force = [.. pins.Select(r => At(r.Weights, u))];
        schur.Solve(force);
        for (var k = 0; k < n; k++)
        {
            for (var f = 0; f < u.Length; f++)
                u[f] -= force[k] * responses[k][f];
            reactions[pins[k].Support] = -force[k];
        }
        return reactions;
    }

    /// <summary>What clamped discs carry: the plate's own forces at their nodes less what is laid on them.</summary>
    private void Press(Dictionary<int, int> clamped, double[] applied, double[] u, Dictionary<int, double> reactions)
    {
        if (clamped.Count == 0)
            return;
        foreach (var (node, support) in clamped)
            reactions[support] = reactions.GetValueOrDefault(support) - applied[3 * node];
        Span<int> f = stackalloc int[PlateElement.Freedoms];
        Span<double> k = stackalloc double[PlateElement.Freedoms * PlateElement.Freedoms];
        for (var i = 0; i < _grid.Columns; i++)
        for (var j = 0; j < _grid.Rows; j++)
        {
            if (_grid.Share(i, j) == 0)
                continue;
            _grid.Freedoms(i, j, f);
            var ready = false;
            for (var c = 0; c < PlateElement.Freedoms; c += 3)
            {
                if (!clamped.TryGetValue(f[c] / 3, out var support))
                    continue;
                if (!ready)
                    _grid.Element(i, j).Stiffness(RigidityAt(i, j), LayersAt(i, j).Nu, k);
                ready = true;
                for (var m = 0; m < PlateElement.Freedoms; m++)
                    reactions[support] += k[c * PlateElement.Freedoms + m] * u[f[m]];
            }
        }
    }
}
