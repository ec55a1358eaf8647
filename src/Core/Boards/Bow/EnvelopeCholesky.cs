using System.Numerics;
using System.Runtime.CompilerServices;
using FaithfulBracket.Core.Words.Boards.Bow;

namespace FaithfulBracket.Core.Boards.Bow;

/// <summary>
/// A symmetric positive definite matrix kept row by row from its first entry to the diagonal, factored as L·Lᵀ (George and Liu
/// 1981, chapter 4). Four columns are taken together, so that a row is read once for four products.
/// </summary>
public sealed class EnvelopeCholesky
{
    /// <summary>Compiled well at the first call: a factoring is one call, long over before the runtime would take it up again.</summary>
    private const MethodImplOptions Hot = MethodImplOptions.AggressiveOptimization;

    private readonly int[] _first;
    private readonly long[] _start;
    private readonly double[] _values;
    private bool _factored;

    /// <param name="first">The first column of each row that may hold an entry; at most the row's own number.</param>
    public EnvelopeCholesky(IReadOnlyList<int> first)
    {
        _first = [.. first];
        _start = new long[_first.Length + 1];
        for (var i = 0; i < _first.Length; i++)
            _start[i + 1] = _start[i] + i - _first[i] + 1;
        _values = new double[_start[^1]];
    }

    /// <summary>A full matrix.</summary>
    public static EnvelopeCholesky Full(int n) => new(new int[n]);

    /// <summary>Multiplications of a factoring, halved: Σ width² over the rows.</summary>
    public static double Work(IReadOnlyList<int> first) => first.Select((f, i) => (double)(i - f) * (i - f)).Sum();

    /// <summary>Adds to entry (i, j); only the lower triangle is kept.</summary>
    public void Add(int i, int j, double value)
    {
        if (j <= i)
            _values[_start[i] + j - _first[i]] += value;
    }

    private Span<double> Row(int i) => _values.AsSpan((int)_start[i], (int)(_start[i + 1] - _start[i]));

    /// <exception cref="InputException">The matrix is singular: the plate is not held.</exception>
    /// <exception cref="OperationCanceledException">Stopped.</exception>
    [MethodImpl(Hot)]
    public void Factor(CancellationToken cancel = default)
    {
        Span<double> sums = stackalloc double[4];
        for (var i = 0; i < _first.Length; i++)
        {
            if ((i & 63) == 0)
                cancel.ThrowIfCancellationRequested();
            var row = Row(i);
            var first = _first[i];
            var j = first;
            for (; j + 4 <= i; j += 4)
            {
                Products(row, first, j, sums);
                for (var k = 0; k < 4; k++)
                {
                    var other = Row(j + k);
                    var sum = row[j + k - first] - sums[k];
                    // what the four have in common among themselves
                    for (var m = Math.Max(first, Math.Max(j, _first[j + k])); m < j + k; m++)
                        sum -= row[m - first] * other[m - _first[j + k]];
                    row[j + k - first] = sum / other[^1];
                }
            }
            for (; j <= i; j++)
            {
                var other = Row(j);
                var from = Math.Max(first, _first[j]);
                var sum =
                    row[j - first]
                    - (from < j ? Dot(row[(from - first)..(j - first)], other[(from - _first[j])..^1]) : 0);
                if (j < i)
                    row[j - first] = sum / other[^1];
                else if (sum > 0)
                    row[^1] = Math.Sqrt(sum);
                else
                    throw new InputException("supports", EnvelopeCholeskyWords.BoardIsNotHeld);
            }
        }
        _factored = true;
    }

    /// <summary>Products of row i with rows j to j + 3, over the columns before j.</summary>
    [MethodImpl(Hot)]
    private void Products(Span<double> row, int first, int j, Span<double> sums)
    {
        var from = first;
        for (var k = 0; k < 4; k++)
            from = Math.Max(from, _first[j + k]);
        for (var k = 0; k < 4; k++)
        {
            // the few columns that not all four reach
            sums[k] = 0;
            for (var m = Math.Max(first, _first[j + k]); m < Math.Min(from, j); m++)
                sums[k] += row[m - first] * Row(j + k)[m - _first[j + k]];
        }
        if (from >= j)
            return;
        var n = j - from;
        var a = row.Slice(from - first, n);
        ReadOnlySpan<double> b0 = Row(j).Slice(from - _first[j], n),
            b1 = Row(j + 1).Slice(from - _first[j + 1], n),
            b2 = Row(j + 2).Slice(from - _first[j + 2], n),
            b3 = Row(j + 3).Slice(from - _first[j + 3], n);
        Vector<double> s0 = default,
            s1 = default,
            s2 = default,
            s3 = default;
        var c = 0;
        for (; c <= n - Vector<double>.Count; c += Vector<double>.Count)
        {
            var v = new Vector<double>(a[c..]);
            s0 += v * new Vector<double>(b0[c..]);
            s1 += v * new Vector<double>(b1[c..]);
            s2 += v * new Vector<double>(b2[c..]);
            s3 += v * new Vector<double>(b3[c..]);
        }
        sums[0] += Vector.Sum(s0);
        sums[1] += Vector.Sum(s1);
        sums[2] += Vector.Sum(s2);
        sums[3] += Vector.Sum(s3);
        for (; c < n; c++)
        {
            sums[0] += a[c] * b0[c];
            sums[1] += a[c] * b1[c];
            sums[2] += a[c] * b2[c];
            sums[3] += a[c] * b3[c];
        }
    }

    [MethodImpl(Hot)]
    private static double Dot(ReadOnlySpan<double> a, ReadOnlySpan<double> b)
    {
        var sum = Vector<double>.Zero;
        var k = 0;
        for (; k <= a.Length - Vector<double>.Count; k += Vector<double>.Count)
            sum += new Vector<double>(a[k..]) * new Vector<double>(b[k..]);
        var total = Vector.Sum(sum);
        for (; k < a.Length; k++)
            total += a[k] * b[k];
        return total;
    }

    /// <summary>Solves for one right side in place.</summary>
    [MethodImpl(Hot)]
    public void Solve(Span<double> x)
    {
        if (!_factored)
            Factor();
        for (var i = 0; i < _first.Length; i++)
        {
            var row = Row(i);
            x[i] = (x[i] - Dot(row[..^1], x[_first[i]..i])) / row[^1];
        }
        for (var i = _first.Length - 1; i >= 0; i--)
        {
            var row = Row(i);
            x[i] /= row[^1];
            var value = x[i];
            var above = x[_first[i]..i];
            for (var k = 0; k < above.Length; k++)
                above[k] -= row[k] * value;
        }
    }
}
