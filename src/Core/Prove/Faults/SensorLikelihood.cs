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
    public const int MostShared = 16;

    /// <summary>Of a part's own way half the variance is its stuff's, half what its contact adds.</summary>
    private static readonly double Half = Math.Sqrt(0.5);

    /// <summary>All that are read, as <see cref="Of(ReadOnlySpan{PartHeat}, int, double)"/> takes their heat.</summary>
    public IReadOnlyList<FaultPart> Parts { get; }

    private readonly IReadOnlyList<SensorReading> _readings;

    /// <summary>Of each sensor, as places in the list of parts.</summary>
    private readonly int[][] _parts;

    /// <summary>Of each part: its stuff's column, and its own where several sensors read it, else −1.</summary>
    private readonly int[] _stuff;
    private readonly int[] _shared;
    private readonly int _columns;

    /// <summary>Parts in the order in which the sensors first name them.</summary>
    public static SensorLikelihood Of(IReadOnlyList<FaultSensor> sensors)
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
        var stuffs = parts.Select(p => p.Material ?? "").Distinct().ToList();
        _stuff = [.. parts.Select(p => 1 + stuffs.IndexOf(p.Material ?? ""))];
        _columns = 1 + stuffs.Count;
        _shared = [.. parts.Select(_ => -1)];
        foreach (
            var part in of.SelectMany(p => p.Distinct())
                .GroupBy(p => p)
                .Where(g => g.Count() > 1)
                .Select(g => g.Key)
                .Take(MostShared)
        )
            _shared[part] = _columns++;
    }

    /// <param name="heat">Of every part, in the order of the parts.</param>
    /// <param name="off">The sensor that is read wrong; −1 for none.</param>
    /// <param name="offK">By how much.</param>
    public (double Log, double Chi2) Of(ReadOnlySpan<PartHeat> heat, int off = -1, double offK = 0)
    {
        var k = _columns;
        Span<double> inner = stackalloc double[k * k],
            cross = stackalloc double[k],
            row = stackalloc double[k];
        inner.Clear();
        cross.Clear();
        for (var i = 0; i < k; i++)
            inner[i * k + i] = 1;
        double chi = 0,
            logs = 0;
        for (var s = 0; s < _readings.Count; s++)
        {
            row.Clear();
            var (mean, variance) = Sensed(s, heat, row);
            var d = variance + _readings[s].SigmaK * _readings[s].SigmaK;
            var r = _readings[s].C - mean - (s == off ? offK : 0);
            chi += r * r / d;
            logs += Math.Log(2 * Math.PI * d);
            for (var i = 0; i < k; i++)
            {
                cross[i] += row[i] * r / d;
                for (var j = 0; j <= i; j++)
                    inner[i * k + j] += row[i] * row[j] / d;
            }
        }
        for (var i = 0; i < k; i++)
        {
            for (var j = 0; j <= i; j++)
            {
                var sum = inner[i * k + j];
                for (var m = 0; m < j; m++)
                    sum -= inner[i * k + m] * inner[j * k + m];
                inner[i * k + j] = i == j ? Math.Sqrt(sum) : sum / inner[j * k + j];
            }
            for (var m = 0; m < i; m++)
                cross[i] -= inner[i * k + m] * cross[m];
            cross[i] /= inner[i * k + i];
            chi -= cross[i] * cross[i];
            logs += 2 * Math.Log(inner[i * k + i]);
        }
        return (-0.5 * (chi + logs), chi);
    }

    /// <summary>What the last sensors will show once the first have been read: mean and covariance.</summary>
    /// <param name="known">How many have been read.</param>
    /// <param name="off">See <see cref="Of(ReadOnlySpan{PartHeat}, int, double)"/>; among the first.</param>
    public (Vector<double> Mean, Matrix<double> Covariance) Next(
        ReadOnlySpan<PartHeat> heat,
        int known,
        int off,
        double offK
    )
    {
        var inner = Matrix<double>.Build.DenseIdentity(_columns);
        var cross = Vector<double>.Build.Dense(_columns);
        var later = _readings.Count - known;
        var mean = Vector<double>.Build.Dense(later);
        var own = Vector<double>.Build.Dense(later);
        var rows = Matrix<double>.Build.Dense(later, _columns);
        for (var s = 0; s < _readings.Count; s++)
        {
            var row = new double[_columns];
            var (c, variance) = Sensed(s, heat, row);
            var d = variance + _readings[s].SigmaK * _readings[s].SigmaK;
            if (s >= known)
            {
                (mean[s - known], own[s - known]) = (c, d);
                rows.SetRow(s - known, row);
                continue;
            }
            var r = Vector<double>.Build.Dense(row);
            inner += r.OuterProduct(r) / d;
            cross += r * ((_readings[s].C - c - (s == off ? offK : 0)) / d);
        }
        var told = inner.Cholesky();
        return (
            mean + rows * told.Solve(cross),
            Matrix<double>.Build.DenseOfDiagonalVector(own) + rows * told.Solve(rows.Transpose())
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
                variance += Own(heat[p]) * share * share;
            }
        }
        for (var i = 0; i < of.Length; i++)
        {
            var p = of[i];
            row[0] += weights[i] * HeatError.Curve * heat[p].LandK;
            row[_stuff[p]] += weights[i] * HeatError.Own * Half * heat[p].OwnK;
            if (_shared[p] < 0)
                continue;
            var own = weights[i] * Math.Sqrt(Own(heat[p]));
            row[_shared[p]] += own;
            variance -= own * own;
        }
        return (mean, Math.Max(0, variance));
    }

    /// <summary>Variance of a part by what is its own.</summary>
    private static double Own(PartHeat p) => Square(HeatError.Own * Half * p.OwnK) + Square(HeatError.Land * p.LandK);

    private static double Square(double v) => v * v;

    private static (double Mean, double Variance) Hottest(int[] of, ReadOnlySpan<PartHeat> heat, Span<double> weights)
    {
        var (mean, variance) = (heat[of[0]].C, Own(heat[of[0]]));
        weights.Clear();
        weights[0] = 1;
        for (var i = 1; i < of.Length; i++)
        {
            var (c, v) = (heat[of[i]].C, Own(heat[of[i]]));
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
