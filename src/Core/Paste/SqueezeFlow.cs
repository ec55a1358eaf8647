using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Core.Paste;

/// <summary>
/// Paste pressed out between a face and a plate: thin-film pressure on the wet cells, each cell's volume kept. The plate sinks as the
/// clamp load allows; it stops at the bond-line law or where the yield stress carries the load, F = ∫ (2τ/h)·d dA with d the distance
/// to the rim (Covey and Stanmore 1981 for the disc).
/// </summary>
public sealed class SqueezeFlow
{
    /// <summary>
    /// Cells times rounds of the pressure's solver, over the whole squeeze; an ordinary one takes less even on the
    /// finest grid.
    /// </summary>
    private const long MaxWork = 150_000_000;

    private const int MaxSteps = 2000,
        MaxMoments = 80;

    /// <summary>Share of the gap by which the plate sinks in one step.</summary>
    private const double LargestStep = 0.04;

    /// <summary>A frame is kept each time the gap has shrunk by this.</summary>
    private const double FrameStep = 0.88;

    private readonly FilmGrid _film;
    private readonly FilmPressure _pressure;
    private readonly SpillTally _spill;
    private readonly double _forceN;
    private readonly PasteMaterial _paste;
    private readonly SqueezeSettings _settings;

    private SqueezeFlow(FilmGrid film, PasteMaterial paste, double forceN, SqueezeSettings settings)
    {
        (_film, _paste, _forceN, _settings) = (film, paste, forceN, settings);
        (_pressure, _spill) = (new(film, paste.ViscosityPaS), new(film));
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
    )
    {
        settings ??= new();
        var film = new FilmGrid(face, volumeMm3, mask, settings);
        return new SqueezeFlow(film, paste, forceN, settings).Run(volumeMm3, progress, cancel);
    }

    private SqueezeResult Run(double volumeMm3, IProgress<double>? progress, CancellationToken cancel)
    {
        double time = 0,
            start = _film.GapMm,
            lastSlowness = 0,
            lastSink = 0;
        List<SqueezeMoment> history = [Moment(0)];
        List<FilmFrame> frames = [FilmLook.Frame(_film, 0)];
        for (var step = 0; step < MaxSteps; step++)
        {
            cancel.ThrowIfCancellationRequested();
            var (gap, stop) = (_film.GapMm, StopGap());
            if (gap <= stop * 1.0005 || time >= _settings.MaxTimeS || _pressure.Work > MaxWork)
                break;
            var sink = Math.Min(gap - stop, LargestStep * gap);
            var resistance = _pressure.Solve(sink, MaxWork);
            var carried = _settings.WithYield ? YieldForce() : 0;
            var driving = _forceN - carried;
            if (driving <= 1e-3 * _forceN)
                break;
            // for a disc the yield force grows as h^−5/2: never sink past where it carries the whole load
            if (carried > 0)
                sink = Math.Min(sink, gap * (1 - Math.Pow(carried / _forceN, 0.4)) + 1e-5 * gap);
            // pressure was solved for one mm/s of sinking; the load sets the true speed
            var slowness = resistance / driving;
            // the last step was timed by its start alone; now its end is known too (trapezium)
            time += lastSink * (slowness - lastSlowness) / 2;
            if (slowness > 0 && time + sink * slowness > _settings.MaxTimeS)
                sink = Math.Max(0, (_settings.MaxTimeS - time) / slowness);
            Move(sink);
            time += sink * slowness;
            (lastSlowness, lastSink) = (slowness, sink);
            history.Add(Moment(time));
            if (_film.GapMm < frames[^1].GapUm / 1000 * FrameStep)
                frames.Add(FilmLook.Frame(_film, time));
            progress?.Report(Math.Min(1, Math.Log(start / _film.GapMm) / Math.Log(start / Math.Max(stop, 1e-4))));
        }
        var kept = _film.Volume.Sum() + _spill.TotalMm3;
        frames.Add(FilmLook.Frame(_film, time));
        return new(
            _film.Coverage(),
            _film.GapMm * 1000,
            time,
            _spill.TotalMm3 / 1000,
            Math.Abs(kept - volumeMm3) / volumeMm3,
            FilmLook.Bare(_film),
            _spill.Edges,
            Thin(history),
            FilmLook.Rows(_film),
            frames
        )
        {
            CutShort = _pressure.Work > MaxWork,
        };
    }

    private SqueezeMoment Moment(double time) => new(time, _film.GapMm * 1000, _film.Coverage());

    private static List<SqueezeMoment> Thin(List<SqueezeMoment> history) =>
        history.Count <= MaxMoments
            ? history
            : [.. Enumerable.Range(0, MaxMoments).Select(k => history[k * (history.Count - 1) / (MaxMoments - 1)])];

    private double StopGap()
    {
        if (_settings.StopGapUm is { } um)
            return um / 1000;
        var wet = _film.FullMm2();
        return wet == 0 ? 0 : _paste.BondLineUm(_forceN / wet) / 1000;
    }

    /// <summary>Load that the paste carries without flowing, N.</summary>
    private double YieldForce()
    {
        var distance = RimDistance.Compute(_film);
        double sum = 0;
        for (var i = 0; i < distance.Length; i++)
            if (distance[i] > 0)
                sum += distance[i] / _film.GapAt(i);
        return 2 * _paste.YieldPa * 1e-6 * sum * _film.CellMm * _film.CellMm;
    }

    /// <summary>Lets the plate sink: full cells press what no longer fits through their sides, in proportion to the flow there.</summary>
    private void Move(double sink)
    {
        var scale = sink / _pressure.Resistance;
        var (film, pressure) = (_film, _pressure.MPa);
        var change = new double[film.Count];
        Span<int> near = stackalloc int[4];
        for (var i = 0; i < film.Count; i++)
        {
            if (!film.Full(i))
                continue;
            film.Neighbours(i, near);
            for (var m = 0; m < 4; m++)
            {
                var j = near[m];
                var c = _pressure.Conductance(i, j, out var open);
                if (open)
                {
                    var flow = c * pressure[i] * scale;
                    change[i] -= flow;
                    if (j < 0 || !film.Face[j])
                        _spill.Add(flow, i, m);
                    else
                        change[j] += flow;
                }
                else
                    change[i] -= c * (pressure[i] - pressure[j]) * scale;
            }
        }
        film.GapMm -= sink;
        for (var i = 0; i < film.Count; i++)
            film.Volume[i] += change[i];
        PushOn();
    }

    /// <summary>What a cell holds over its room goes on to neighbours with room, downhill; over the edge it is spilt.</summary>
    private void PushOn()
    {
        var film = _film;
        Span<int> near = stackalloc int[4];
        for (var sweep = 0; sweep < 8; sweep++)
        {
            var moved = false;
            for (var i = 0; i < film.Count; i++)
            {
                if (!film.Face[i])
                    continue;
                var excess = film.Volume[i] - film.Capacity(i);
                if (excess <= 1e-12)
                    continue;
                film.Neighbours(i, near);
                int free = 0;
                foreach (var j in near)
                    if (HasRoom(j))
                        free++;
                if (free == 0)
                    continue;
                moved = true;
                for (var m = 0; m < 4; m++)
                {
                    var j = near[m];
                    if (!HasRoom(j))
                        continue;
                    if (j < 0 || !film.Face[j])
                        _spill.Add(excess / free, i, m);
                    else
                        film.Volume[j] += excess / free;
                }
                film.Volume[i] -= excess;
            }
            if (!moved)
                return;
        }
    }

    /// <summary>Off the face there is always room.</summary>
    private bool HasRoom(int j) => j < 0 || !_film.Face[j] || _film.Volume[j] < _film.Capacity(j);
}
