using FaithfulBracket.Core.Heat;
using MathNet.Numerics.Distributions;
using MathNet.Numerics.LinearAlgebra;

namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>What one part of a bench runs at: its temperature, its land's rise over the coolant, its own way.</summary>
internal readonly record struct PartHeat(double C, double LandK, double OwnK);

/// <summary>
/// How likely all readings are together when each part runs at what is given. Errors in common are common: the block's curve is off
/// for all lands, the paste for all dies, a pad's material for all its parts, and a part that several sensors read is one part.
/// </summary>
/// <remarks>
/// Sources: Σ = D + F·Fᵀ by Woodbury's identity and the determinant lemma; the hottest of several by C. E. Clark, "The greatest of a
/// finite set of random variables", 1961: its mean, its variance and each part's chance to be it, as if normal.
/// </remarks>
internal sealed class SensorLikelihood
{
    /// <summary>Parts that several sensors read beyond so many are taken for parts of their own.</summary>
    public const int MaxShared = 16;

    /// <summary>Of a part's own way half the variance is its stuff's, half what its contact adds.</summary>
    private static readonly double Half = Math.Sqrt(0.5);

    /// <summary>All that are read, as <see cref="Create(ReadOnlySpan{PartHeat})"/> takes their heat.</summary>
    public IReadOnlyList<FaultPart> Parts { get; }

    private readonly IReadOnlyList<SensorReading> _readings;

    /// <summary>Of each sensor, as places in the list of parts.</summary>
    private readonly int[][] _parts;

    /// <summary>Kinds of pad beyond so many are taken to err each part for itself.</summary>
    public const int MaxStuffs = 16;

    /// <summary>
    /// Of each part: the column of what it lies under, else −1 where nothing else does, and its own where several sensors read it,
    /// else −1.
    /// </summary>
    private readonly int[] _stuff;
    private readonly int[] _shared;
    private readonly int _columns;

    /// <summary>Parts in the order in which the sensors first name them.</summary>
    public static SensorLikelihood Create(IReadOnlyList<FaultSensor> sensors)
    {
        List<FaultPart> read = [.. sensors.SelectMany(s => s.Parts).Distinct()];
        return new(
            read,
            [.. sensors.Select(s => s.Reading)],
            [.. sensors.Select(s => s.Parts.Select(p => read.IndexOf(p)).ToArray())]
        );
    }

    /// <param name="parts">All that are read.</param>
    /// <param name="of">Places of each sensor's parts.</param>
    private SensorLikelihood(
        IReadOnlyList<FaultPart> parts,
        IReadOnlyList<SensorReading> readings,
        IReadOnlyList<int[]> of
    )
    {
        (Parts, _readings, _parts) = (parts, readings, [.. of]);
        var stuffs = parts
            .GroupBy(p => p.Material ?? "")
            .Where(g => g.Count() > 1)
            .OrderByDescending(g => g.Count())
            .Take(MaxStuffs)
            .Select(g => g.Key)
            .ToList();
        _stuff = [.. parts.Select(p => stuffs.IndexOf(p.Material ?? "") is var at && at < 0 ? -1 : 1 + at)];
        _columns = 1 + stuffs.Count;
        _shared = [.. parts.Select(_ => -1)];
        foreach (
            var part in of.SelectMany(p => p.Distinct())
                .GroupBy(p => p)
                .Where(g => g.Count() > 1)
                .Select(g => g.Key)
                .Take(MaxShared)
        )
            _shared[part] = _columns++;
    }

    /// <summary>All readings against one state of the parts.</summary>
    /// <param name="heat">Of every part, in the order of the parts.</param>
    public SensorFit Create(ReadOnlySpan<PartHeat> heat) => Create(heat, _readings.Count);

    private SensorFit Create(ReadOnlySpan<PartHeat> heat, int known)
    {
        var fit = new SensorFit(known, _columns);
        for (var s = 0; s < known; s++)
        {
            var (mean, variance) = Sensed(s, heat, fit.Row(s));
            fit.Take(s, _readings[s].C - mean, variance + _readings[s].SigmaK * _readings[s].SigmaK);
        }
        fit.Factor();
        return fit;
    }

    /// <summary>What the last sensors will show once the first have been read: mean and covariance.</summary>
    /// <param name="known">How many have been read.</param>
    /// <param name="off">See <see cref="SensorFit.Weigh"/>.</param>
    public (Vector<double> Mean, Matrix<double> Covariance) Next(
        ReadOnlySpan<PartHeat> heat,
        int known,
        int off,
        double offK
    )
    {
        var fit = Create(heat, known);
        var later = _readings.Count - known;
        var mean = Vector<double>.Build.Dense(later);
        var ways = Matrix<double>.Build.Dense(_columns, later);
        var own = Vector<double>.Build.Dense(later);
        var common = Vector<double>.Build.Dense(fit.Common(off, offK));
        for (var s = 0; s < later; s++)
        {
            var row = new double[_columns];
            var (c, variance) = Sensed(known + s, heat, row);
            fit.Solve(row);
            (mean[s], own[s]) = (c, variance + _readings[known + s].SigmaK * _readings[known + s].SigmaK);
            ways.SetColumn(s, row);
        }
        return (
            mean + ways.TransposeThisAndMultiply(common),
            Matrix<double>.Build.DenseOfDiagonalVector(own) + ways.TransposeThisAndMultiply(ways)
        );
    }

    /// <summary>What a sensor shows: mean, variance of its own, and what each error in common adds to it.</summary>
    private (double Mean, double Variance) Sensed(int sensor, ReadOnlySpan<PartHeat> heat, Span<double> row)
    {
        var of = _parts[sensor];
        Span<double> weights = of.Length <= 64 ? stackalloc double[of.Length] : new double[of.Length];
        double mean,
            variance;
        if (_readings[sensor].Kind == SensorKind.Max)
            (mean, variance) = Hottest(of, heat, weights);
        else
        {
            (mean, variance) = (0, 0);
            var share = 1.0 / of.Length;
            weights.Fill(share);
            foreach (var p in of)
            {
                mean += heat[p].C * share;
                variance += Own(p, heat) * share * share;
            }
        }
        for (var i = 0; i < of.Length; i++)
        {
            var p = of[i];
            row[0] += weights[i] * HeatError.Curve * heat[p].LandK;
            if (_stuff[p] >= 0)
                row[_stuff[p]] += weights[i] * HeatError.Own * Half * heat[p].OwnK;
            if (_shared[p] < 0)
                continue;
            var own = weights[i] * Math.Sqrt(Own(p, heat));
            row[_shared[p]] += own;
            variance -= own * own;
        }
        return (mean, Math.Max(0, variance));
    }

    /// <summary>Variance of a part by what is its own.</summary>
    private double Own(int part, ReadOnlySpan<PartHeat> heat) =>
        Square(HeatError.Own * (_stuff[part] < 0 ? 1 : Half) * heat[part].OwnK)
        + Square(HeatError.Land * heat[part].LandK);

    private static double Square(double v) => v * v;

    private (double Mean, double Variance) Hottest(int[] of, ReadOnlySpan<PartHeat> heat, Span<double> weights)
    {
        var (mean, variance) = (heat[of[0]].C, Own(of[0], heat));
        weights.Clear();
        weights[0] = 1;
        for (var i = 1; i < of.Length; i++)
        {
            var (c, v) = (heat[of[i]].C, Own(of[i], heat));
            var a = Math.Sqrt(variance + v);
            var z = a > 0 ? (mean - c) / a : Math.Sign(mean - c) * double.MaxValue;
            if (z > Far)
                continue;
            if (z < -Far)
            {
                (mean, variance) = (c, v);
                weights[..i].Clear();
                weights[i] = 1;
                continue;
            }
            var (share, rate) = (Normal.CDF(0, 1, z), a * Normal.PDF(0, 1, z));
            var next = mean * share + c * (1 - share) + rate;
            var square = (mean * mean + variance) * share + (c * c + v) * (1 - share) + (mean + c) * rate;
            (mean, variance) = (next, Math.Max(0, square - next * next));
            for (var j = 0; j < i; j++)
                weights[j] *= share;
            weights[i] = 1 - share;
        }
        return (mean, variance);
    }

    /// <summary>Standard deviations apart: the other is never the hottest.</summary>
    private const double Far = 8;
}
