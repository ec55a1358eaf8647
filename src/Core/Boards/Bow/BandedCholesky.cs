using System.Numerics;

namespace FaithfulBracket.Core.Boards.Bow;

/// <summary>A symmetric positive definite matrix in a band, factored as L·Lᵀ (Golub and Van Loan 2013, section 4.3.5).</summary>
public sealed class BandedCholesky
{
    private readonly int _n,
        _width;
    private readonly double[] _band;
    private bool _factored;

    /// <param name="n">Unknowns.</param>
    /// <param name="halfBandwidth">Largest distance of an entry from the diagonal.</param>
    public BandedCholesky(int n, int halfBandwidth)
    {
        (_n, _width) = (n, halfBandwidth + 1);
        _band = new double[(long)n * _width];
    }

    /// <summary>Adds to entry (i, j); only the lower triangle is kept.</summary>
    public void Add(int i, int j, double value)
    {
        if (j > i)
            return;
        _band[(long)i * _width + (j - i + _width - 1)] += value;
    }

    /// <exception cref="InputException">The matrix is singular: the plate is not held.</exception>
    /// <exception cref="OperationCanceledException">Stopped.</exception>
    public void Factor(CancellationToken cancel = default)
    {
        for (var i = 0; i < _n; i++)
        {
            if ((i & 63) == 0)
                cancel.ThrowIfCancellationRequested();
            var first = Math.Max(0, i - _width + 1);
            var row = _band.AsSpan(i * _width, _width);
            for (var j = first; j <= i; j++)
            {
                var other = _band.AsSpan(j * _width, _width);
                var from = Math.Max(first, j - _width + 1);
                // row i starts at column i − width + 1, row j at column j − width + 1
                var a = row.Slice(from - i + _width - 1, j - from);
                var b = other.Slice(from - j + _width - 1, j - from);
                var sum = row[j - i + _width - 1] - Dot(a, b);
                if (i == j)
                {
                    if (!(sum > 0))
                        throw new InputException("/supports", "The board is not held: add supports or edges.");
                    row[_width - 1] = Math.Sqrt(sum);
                }
                else
                    row[j - i + _width - 1] = sum / other[_width - 1];
            }
        }
        _factored = true;
    }

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
    public void Solve(Span<double> x)
    {
        if (!_factored)
            Factor();
        for (var i = 0; i < _n; i++)
        {
            var first = Math.Max(0, i - _width + 1);
            var row = _band.AsSpan(i * _width, _width);
            var sum = x[i];
            for (var k = first; k < i; k++)
                sum -= row[k - i + _width - 1] * x[k];
            x[i] = sum / row[_width - 1];
        }
        for (var i = _n - 1; i >= 0; i--)
        {
            var row = _band.AsSpan(i * _width, _width);
            x[i] /= row[_width - 1];
            var first = Math.Max(0, i - _width + 1);
            for (var k = first; k < i; k++)
                x[k] -= row[k - i + _width - 1] * x[i];
        }
    }
}
