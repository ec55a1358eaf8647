using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Core.Paste;

/// <summary>One moment of a squeeze.</summary>
/// <param name="Coverage">Share of the face that is wet, 0 to 1.</param>
public sealed record SqueezeMoment(double TimeS, double GapUm, double Coverage);

/// <param name="Bare">Places of the face without paste, named by where they lie, with their share of the face.</param>
/// <param name="SpillMl">Paste pressed over the edge.</param>
/// <param name="SpillEdges">Over which sides it went.</param>
/// <param name="Film">The face as rows from −y to +y, one sign a cell: # wet, + partly, . bare, space off the face.</param>
/// <param name="Frames">The film on its way, coarser.</param>
public sealed record SqueezeResult(
    double Coverage,
    double FinalGapUm,
    double TimeS,
    double SpillMl,
    double VolumeErrorShare,
    IReadOnlyList<BareSpot> Bare,
    IReadOnlyList<SpillEdge> SpillEdges,
    IReadOnlyList<SqueezeMoment> History,
    IReadOnlyList<string> Film,
    IReadOnlyList<FilmFrame> Frames
)
{
    /// <summary>Whether the work ended before the film did: the true film is thinner and covers more.</summary>
    public bool CutShort { get; init; }
}

/// <param name="Where">left, right, lower or upper edge, or notch.</param>
public sealed record SpillEdge(string Where, double Ml);

/// <summary>The film at one moment, rows as in <see cref="SqueezeResult.Film"/>.</summary>
public sealed record FilmFrame(double TimeS, double GapUm, double Coverage, IReadOnlyList<string> Rows);

public sealed record BareSpot(string Where, double ShareOfFace);

/// <param name="Cells">Cells along the longer side of the face.</param>
/// <param name="TiltMmPerMm">Rise of the plate along x and y.</param>
/// <param name="WithYield">False for a Newtonian paste.</param>
/// <param name="MaxTimeS">Stops then, flowing or not.</param>
public sealed record SqueezeSettings(
    int Cells = 96,
    Point2 TiltMmPerMm = default,
    bool WithYield = true,
    double MaxTimeS = 600,
    double? StopGapUm = null
)
{
    /// <summary>
    /// Crowns of face and plate together, mm: the room grows as a round paraboloid to this at the radius of a disc as
    /// large as the face.
    /// </summary>
    public double CrownMm { get; init; }
}

/// <summary>
/// Paste pressed out between a face and a plate: thin-film (Hele-Shaw) pressure on the wet cells, zero at the paste's rim, each
/// cell's volume kept. The plate sinks as the clamp load allows; it stops at the bond-line law or where the yield stress
/// carries the load, F = ∫ (2τ/h)·d dA with d the distance to the rim (Covey and Stanmore 1981 for the disc).
/// </summary>
public sealed class SqueezeFlow
{
    private readonly int _nx,
        _ny;
    private readonly double _d;
    private readonly bool[] _face;
    private readonly double[] _volume,
        _rise,
        _pressure;
    private readonly double _forceN;
    private readonly PasteMaterial _paste;
    private readonly SqueezeSettings _settings;
    private static readonly string[] SpillNames = ["left edge", "right edge", "lower edge", "upper edge", "notch"];
    private readonly double[] _spilt = new double[5];
    private double _gap,
        _spill,
        _pressureGap;

    private SqueezeFlow(
        Polygon face,
        PasteMaterial paste,
        double volumeMm3,
        Func<Point2, bool> mask,
        double forceN,
        SqueezeSettings settings
    )
    {
        (_paste, _forceN, _settings) = (paste, forceN, settings);
        var b = face.Bounds;
        _d = Math.Max(b.Width, b.Height) / settings.Cells;
        _nx = Math.Max(4, (int)Math.Round(b.Width / _d));
        _ny = Math.Max(4, (int)Math.Round(b.Height / _d));
        int n = _nx * _ny;
        (_face, _volume, _rise, _pressure) = (new bool[n], new double[n], new double[n], new double[n]);
        var centre = new Point2((b.MinX + b.MaxX) / 2, (b.MinY + b.MaxY) / 2);
        double laid = 0;
        var share = new double[n];
        for (var i = 0; i < n; i++)
        {
            var p = At(i, b);
            _face[i] = face.Contains(p);
            _rise[i] =
                settings.TiltMmPerMm.Dot(p - centre)
                + settings.CrownMm * (p - centre).Dot(p - centre) / (face.Area / Math.PI);
            if (!_face[i])
                continue;
            // sixteen points a cell say how much of it the pattern takes
            for (var k = 0; k < 16; k++)
                if (mask(p - centre + new Point2((k % 4 - 1.5) * _d / 4, (k / 4 - 1.5) * _d / 4)))
                    share[i] += 1 / 16.0;
            laid += share[i] * _d * _d;
        }
        if (laid <= 0)
            throw new InputException("pattern", "The pattern lays no paste on the face.");
        var lowest = _rise.Min();
        for (var i = 0; i < n; i++)
            _rise[i] -= lowest;
        _gap = volumeMm3 / laid;
        for (var i = 0; i < n; i++)
            _volume[i] = share[i] * _gap * _d * _d;
    }

    /// <param name="face">Outline of the face, mm.</param>
    /// <param name="volumeMm3">Paste laid.</param>
    /// <param name="mask">Where it is laid, from the face's centre.</param>
    /// <param name="forceN">Clamp load.</param>
    /// <param name="progress">Told the share done, 0 to 1.</param>
    /// <exception cref="InputException">The pattern misses the face.</exception>
    /// <exception cref="OperationCanceledException">Stopped.</exception>
    public static SqueezeResult Run(
        Polygon face,
        PasteMaterial paste,
        double volumeMm3,
        Func<Point2, bool> mask,
        double forceN,
        SqueezeSettings? settings = null,
        IProgress<double>? progress = null,
        CancellationToken cancel = default
    ) => new SqueezeFlow(face, paste, volumeMm3, mask, forceN, settings ?? new()).Run(volumeMm3, progress, cancel);

    private Point2 At(int i, Bounds b) =>
        new(b.MinX + (i % _nx + 0.5) * b.Width / _nx, b.MinY + (i / _nx + 0.5) * b.Height / _ny);

    private double Capacity(int i) => (_gap + _rise[i]) * _d * _d;

    /// <summary>A cell this full takes part in the pressure; what it lacks is within the solver's tolerance.</summary>
    private const double FullShare = 0.97;

    private bool Full(int i) => _face[i] && _volume[i] >= Capacity(i) * FullShare;

    /// <summary>
    /// Cells times rounds of the pressure's solver, over the whole squeeze; an ordinary one takes less even on the
    /// finest grid.
    /// </summary>
    private const long MostWork = 150_000_000;

    private long _work;

    private SqueezeResult Run(double volumeMm3, IProgress<double>? progress, CancellationToken cancel)
    {
        double time = 0,
            start = _gap,
            lastSlowness = 0,
            lastSink = 0;
        List<SqueezeMoment> history = [new(0, _gap * 1000, Coverage())];
        List<FilmFrame> frames = [Frame(0)];
        for (var step = 0; step < 2000; step++)
        {
            cancel.ThrowIfCancellationRequested();
            var stop = StopGap();
            if (_gap <= stop * 1.0005 || time >= _settings.MaxTimeS || _work > MostWork)
                break;
            var sink = Math.Min(_gap - stop, LargestStep * _gap);
            var resistance = SolvePressure(sink);
            var carried = _settings.WithYield ? YieldForce() : 0;
            var driving = _forceN - carried;
            if (driving <= 1e-3 * _forceN)
                break;
            // for a disc the yield force grows as h^−5/2: never sink past where it carries the whole load
            if (carried > 0)
                sink = Math.Min(sink, _gap * (1 - Math.Pow(carried / _forceN, 0.4)) + 1e-5 * _gap);
            // pressure was solved for one mm/s of sinking; the load sets the true speed
            var slowness = resistance / driving;
            // the last step was timed by its start alone; now its end is known too (trapezium)
            time += lastSink * (slowness - lastSlowness) / 2;
            if (slowness > 0 && time + sink * slowness > _settings.MaxTimeS)
                sink = Math.Max(0, (_settings.MaxTimeS - time) / slowness);
            Move(sink);
            time += sink * slowness;
            (lastSlowness, lastSink) = (slowness, sink);
            history.Add(new(time, _gap * 1000, Coverage()));
            if (_gap < frames[^1].GapUm / 1000 * FrameStep)
                frames.Add(Frame(time));
            progress?.Report(Math.Min(1, Math.Log(start / _gap) / Math.Log(start / Math.Max(stop, 1e-4))));
        }
        var kept = _volume.Sum() + _spill;
        frames.Add(Frame(time));
        List<SpillEdge> edges =
        [
            .. SpillNames
                .Select((n, k) => new SpillEdge(n, _spilt[k] / 1000))
                .Where(e => e.Ml > 1e-7)
                .OrderByDescending(e => e.Ml),
        ];
        return new(
            Coverage(),
            _gap * 1000,
            time,
            _spill / 1000,
            Math.Abs(kept - volumeMm3) / volumeMm3,
            Bare(),
            edges,
            Thin(history),
            Film(1),
            frames
        )
        {
            CutShort = _work > MostWork,
        };
    }

    /// <summary>A frame is kept each time the gap has shrunk by this.</summary>
    private const double FrameStep = 0.88;

    private const int FrameCells = 48;

    private FilmFrame Frame(double time) =>
        new(time, _gap * 1000, Coverage(), Film(Math.Max(1, (Math.Max(_nx, _ny) + FrameCells - 1) / FrameCells)));

    private void Spill(double volume, int cell, int direction)
    {
        _spill += volume;
        int x = cell % _nx,
            y = cell / _nx;
        var atBounds = direction switch
        {
            0 => x == 0,
            1 => x == _nx - 1,
            2 => y == 0,
            _ => y == _ny - 1,
        };
        _spilt[atBounds ? direction : 4] += volume;
    }

    /// <summary>Share of the gap by which the plate sinks in one step.</summary>
    private const double LargestStep = 0.04;

    private double StopGap()
    {
        if (_settings.StopGapUm is { } um)
            return um / 1000;
        var wet = 0;
        for (var i = 0; i < _face.Length; i++)
            if (Full(i))
                wet++;
        return wet == 0 ? 0 : _paste.BondLineUm(_forceN / (wet * _d * _d)) / 1000;
    }

    /// <summary>Load that the paste carries without flowing, N.</summary>
    private double YieldForce()
    {
        var distance = RimDistance();
        double sum = 0;
        for (var i = 0; i < distance.Length; i++)
            if (distance[i] > 0)
                sum += distance[i] / (_gap + _rise[i]);
        return 2 * _paste.YieldPa * 1e-6 * sum * _d * _d;
    }

    /// <summary>Distance of each full cell to the rim, two sweeps of a chamfer (Borgefors 1986).</summary>
    private double[] RimDistance()
    {
        var r = new double[_face.Length];
        for (var i = 0; i < r.Length; i++)
            r[i] = Full(i) ? double.MaxValue / 4 : 0;
        const double straight = 0.95509,
            diagonal = 1.36930;
        double Neighbour(int x, int y) => x < 0 || y < 0 || x >= _nx || y >= _ny ? 0 : r[y * _nx + x];
        for (var pass = 0; pass < 2; pass++)
        {
            for (var k = 0; k < r.Length; k++)
            {
                var i = pass == 0 ? k : r.Length - 1 - k;
                if (r[i] == 0)
                    continue;
                int x = i % _nx,
                    y = i / _nx,
                    s = pass == 0 ? -1 : 1;
                var near = Math.Min(
                    Math.Min(Neighbour(x + s, y), Neighbour(x, y + s)) + straight,
                    Math.Min(Neighbour(x + s, y + s), Neighbour(x - s, y + s)) + diagonal
                );
                r[i] = Math.Min(r[i], Math.Min(near, Math.Min(Neighbour(x - s, y), Neighbour(x, y - s)) + straight));
            }
        }
        for (var i = 0; i < r.Length; i++)
            r[i] *= _d;
        return r;
    }

    /// <summary>How much a full cell and what lies beside it conduct: the rim stands where the neighbour's paste ends.</summary>
    private double Conductance(int i, int j, out bool open)
    {
        var gap = _gap + _rise[i];
        open = true;
        if (j < 0 || !_face[j])
            return Cube(gap) / 0.5;
        if (Full(j))
        {
            open = false;
            return Cube((gap + _gap + _rise[j]) / 2);
        }
        return Cube(gap) / (0.5 + RimBeyond(i, j));
    }

    /// <summary>
    /// How far the paste reaches past cell i in the direction of j, in cells: the fills of the row added up (height
    /// function, Cummins et al. 2005).
    /// </summary>
    private double RimBeyond(int i, int j)
    {
        double reach = 0;
        var step = j - i;
        for (var k = 0; k < 3; k++, j += step)
        {
            if (j < 0 || j >= _face.Length || Math.Abs(step) == 1 && j / _nx != i / _nx || !_face[j] || Full(j))
                break;
            var fill = Math.Min(1, _volume[j] / Capacity(j));
            reach += fill;
            if (fill <= 0)
                break;
        }
        return reach;
    }

    private static double Cube(double v) => v * v * v;

    private void Neighbours(int i, Span<int> n)
    {
        int x = i % _nx,
            y = i / _nx;
        n[0] = x > 0 ? i - 1 : -1;
        n[1] = x < _nx - 1 ? i + 1 : -1;
        n[2] = y > 0 ? i - _nx : -1;
        n[3] = y < _ny - 1 ? i + _nx : -1;
    }

    /// <summary>
    /// Pressure in MPa for a sinking speed of 1 mm/s, and the load it carries, N. Conjugate gradients, started from
    /// the last answer.
    /// </summary>
    /// <param name="sink">The step it is solved for, mm: what a cell holds over or under its room is evened out within it.</param>
    private double SolvePressure(double sink)
    {
        var cells = new List<int>();
        var index = new int[_face.Length];
        for (var i = 0; i < _face.Length; i++)
        {
            index[i] = -1;
            if (Full(i))
            {
                index[i] = cells.Count;
                cells.Add(i);
            }
            else
                _pressure[i] = 0;
        }
        var n = cells.Count;
        if (n == 0)
            return 0;
        // the same flow through a narrower gap takes the cube more pressure: a nearer start than the last answer itself
        var grown = _pressureGap > 0 ? Cube(_pressureGap / _gap) : 1;
        _pressureGap = _gap;
        // one place more than there are cells: what lies past the rim reads as nothing
        double[] diagonal = new double[n],
            rhs = new double[n],
            x = new double[n + 1],
            r = new double[n + 1],
            p = new double[n + 1],
            q = new double[n + 1];
        var links = new int[4 * n];
        var weights = new double[4 * n];
        Span<int> near = stackalloc int[4];
        // 12·µ·ḣ·d² with µ in Pa·s, lengths in mm, pressure in MPa
        var source = 12 * _paste.ViscosityPaS * 1e-6 * _d * _d;
        for (var k = 0; k < n; k++)
        {
            Neighbours(cells[k], near);
            for (var m = 0; m < 4; m++)
            {
                var c = Conductance(cells[k], near[m], out var open);
                diagonal[k] += c;
                links[4 * k + m] = open ? n : index[near[m]];
                weights[4 * k + m] = open ? 0 : c;
            }
            x[k] = _pressure[cells[k]] * grown;
            rhs[k] = source * Math.Clamp(1 + (_volume[cells[k]] - Capacity(cells[k])) / (_d * _d * sink), -1, 3);
        }
        var pre = ModifiedCholesky(n, diagonal, links, weights);
        // what the forward sweep takes from the left and from below
        var taken = new double[2 * n];
        for (var k = 0; k < n; k++)
        {
            taken[2 * k] = weights[4 * k] * pre[links[4 * k]];
            taken[2 * k + 1] = weights[4 * k + 2] * pre[links[4 * k + 2]];
        }
        var z = new double[n + 1];
        Multiply(diagonal, links, weights, x, q);
        double rho = 0;
        for (var k = 0; k < n; k++)
            r[k] = rhs[k] - q[k];
        Precondition(n, pre, taken, links, weights, r, z);
        for (var k = 0; k < n; k++)
        {
            p[k] = z[k];
            rho += r[k] * z[k];
        }
        var goal = 1e-7 * source * source * n;
        for (var iteration = 0; iteration < 3000; iteration++)
        {
            double norm = 0;
            for (var k = 0; k < n; k++)
                norm += r[k] * r[k];
            _work += n;
            if (norm < goal || _work > MostWork)
                break;
            Multiply(diagonal, links, weights, p, q);
            double pq = 0;
            for (var k = 0; k < n; k++)
                pq += p[k] * q[k];
            var alpha = rho / pq;
            double next = 0;
            for (var k = 0; k < n; k++)
            {
                x[k] += alpha * p[k];
                r[k] -= alpha * q[k];
            }
            Precondition(n, pre, taken, links, weights, r, z);
            for (var k = 0; k < n; k++)
                next += r[k] * z[k];
            var beta = next / rho;
            for (var k = 0; k < n; k++)
                p[k] = z[k] + beta * p[k];
            rho = next;
        }
        double load = 0;
        for (var k = 0; k < n; k++)
        {
            _pressure[cells[k]] = x[k];
            load += x[k] * _d * _d;
        }
        return load;
    }

    private static void Multiply(double[] diagonal, int[] links, double[] weights, double[] v, double[] into)
    {
        for (var k = 0; k < diagonal.Length; k++)
        {
            var at = 4 * k;
            into[k] =
                diagonal[k] * v[k]
                - weights[at] * v[links[at]]
                - weights[at + 1] * v[links[at + 1]]
                - weights[at + 2] * v[links[at + 2]]
                - weights[at + 3] * v[links[at + 3]];
        }
    }

    /// <summary>Solves with the incomplete factor, forth and back; cells are numbered by rows, so left and lower come first.</summary>
    private static void Precondition(
        int n,
        double[] pre,
        double[] taken,
        int[] links,
        double[] weights,
        double[] from,
        double[] into
    )
    {
        for (var k = 0; k < n; k++)
            into[k] =
                (from[k] + taken[2 * k] * into[links[4 * k]] + taken[2 * k + 1] * into[links[4 * k + 2]]) * pre[k];
        for (var k = n - 1; k >= 0; k--)
            into[k] =
                (
                    into[k]
                    + pre[k]
                        * (weights[4 * k + 1] * into[links[4 * k + 1]] + weights[4 * k + 3] * into[links[4 * k + 3]])
                ) * pre[k];
    }

    /// <summary>
    /// Inverse roots of the modified incomplete Cholesky factor's diagonal, no fill-in (Gustafsson 1978; Bridson
    /// 2008, section 4.3).
    /// </summary>
    private static double[] ModifiedCholesky(int n, double[] diagonal, int[] links, double[] weights)
    {
        const double tuning = 0.97,
            safety = 0.25;
        var pre = new double[n + 1];
        ReadOnlySpan<(int Side, int Across)> before = [(0, 3), (2, 1)];
        for (var k = 0; k < n; k++)
        {
            var e = diagonal[k];
            foreach (var (side, across) in before)
            {
                var j = links[4 * k + side];
                if (j == n)
                    continue;
                double w = weights[4 * k + side] * pre[j],
                    cross = weights[4 * j + across];
                e -= w * w + tuning * w * cross * pre[j];
            }
            if (e < safety * diagonal[k])
                e = diagonal[k];
            pre[k] = 1 / Math.Sqrt(e);
        }
        return pre;
    }

    /// <summary>Lets the plate sink: full cells press what no longer fits through their sides, in proportion to the flow there.</summary>
    private void Move(double sink)
    {
        var scale = sink / (12 * _paste.ViscosityPaS * 1e-6);
        var change = new double[_face.Length];
        Span<int> near = stackalloc int[4];
        for (var i = 0; i < _face.Length; i++)
        {
            if (!Full(i))
                continue;
            Neighbours(i, near);
            for (var m = 0; m < 4; m++)
            {
                var j = near[m];
                var c = Conductance(i, j, out var open);
                if (open)
                {
                    var flow = c * _pressure[i] * scale;
                    change[i] -= flow;
                    if (j < 0 || !_face[j])
                        Spill(flow, i, m);
                    else
                        change[j] += flow;
                }
                else
                    change[i] -= c * (_pressure[i] - _pressure[j]) * scale;
            }
        }
        _gap -= sink;
        for (var i = 0; i < _face.Length; i++)
            _volume[i] += change[i];
        PushOn();
    }

    /// <summary>What a cell holds over its room goes on to neighbours with room, downhill; over the edge it is spilt.</summary>
    private void PushOn()
    {
        Span<int> near = stackalloc int[4];
        for (var sweep = 0; sweep < 8; sweep++)
        {
            var moved = false;
            for (var i = 0; i < _face.Length; i++)
            {
                if (!_face[i])
                    continue;
                var excess = _volume[i] - Capacity(i);
                if (excess <= 1e-12)
                    continue;
                Neighbours(i, near);
                int free = 0;
                foreach (var j in near)
                    if (j < 0 || !_face[j] || _volume[j] < Capacity(j))
                        free++;
                if (free == 0)
                    continue;
                moved = true;
                for (var m = 0; m < 4; m++)
                {
                    var j = near[m];
                    if (j >= 0 && _face[j] && _volume[j] >= Capacity(j))
                        continue;
                    if (j < 0 || !_face[j])
                        Spill(excess / free, i, m);
                    else
                        _volume[j] += excess / free;
                }
                _volume[i] -= excess;
            }
            if (!moved)
                return;
        }
    }

    private double Coverage()
    {
        double wet = 0;
        var face = 0;
        for (var i = 0; i < _face.Length; i++)
            if (_face[i])
            {
                face++;
                wet += Math.Clamp(_volume[i] / Capacity(i), 0, 1);
            }
        return wet / face;
    }

    /// <summary>Bare ninths of the face by name.</summary>
    private List<BareSpot> Bare()
    {
        string[] names =
        [
            "lower left",
            "lower edge",
            "lower right",
            "left edge",
            "middle",
            "right edge",
            "upper left",
            "upper edge",
            "upper right",
        ];
        var bare = new double[9];
        var face = 0;
        for (var i = 0; i < _face.Length; i++)
        {
            if (!_face[i])
                continue;
            face++;
            int column = Math.Min(2, 3 * (i % _nx) / _nx),
                row = Math.Min(2, 3 * (i / _nx) / _ny);
            bare[3 * row + column] += 1 - Math.Clamp(_volume[i] / Capacity(i), 0, 1);
        }
        return
        [
            .. bare.Select((b, k) => new BareSpot(names[k], b / face))
                .Where(b => b.ShareOfFace > 0.0005)
                .OrderByDescending(b => b.ShareOfFace),
        ];
    }

    private static List<SqueezeMoment> Thin(List<SqueezeMoment> history)
    {
        const int most = 80;
        return history.Count <= most
            ? history
            : [.. Enumerable.Range(0, most).Select(k => history[k * (history.Count - 1) / (most - 1)])];
    }

    private List<string> Film(int every) =>
        [
            .. Enumerable
                .Range(0, (_ny + every - 1) / every)
                .Select(y =>
                    string.Concat(
                        Enumerable
                            .Range(0, (_nx + every - 1) / every)
                            .Select(x =>
                            {
                                var i =
                                    Math.Min(_ny - 1, y * every + every / 2) * _nx
                                    + Math.Min(_nx - 1, x * every + every / 2);
                                if (!_face[i])
                                    return ' ';
                                var fill = _volume[i] / Capacity(i);
                                return fill > 0.95 ? '#'
                                    : fill > 0.1 ? '+'
                                    : '.';
                            })
                    )
                ),
        ];
}
