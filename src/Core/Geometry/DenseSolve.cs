namespace FaithfulBracket.Core.Geometry;

/// <summary>Dense algebra for up to a few hundred unknowns.</summary>
public static class DenseSolve
{
    /// <summary>Solves A·x = b by Gaussian elimination with row exchange; null when singular.</summary>
    public static double[]? Solve(double[,] matrix, double[] right)
    {
        var n = right.Length;
        var (a, b) = ((double[,])matrix.Clone(), (double[])right.Clone());
        for (var k = 0; k < n; k++)
        {
            var pivot = k;
            for (var i = k + 1; i < n; i++)
                if (Math.Abs(a[i, k]) > Math.Abs(a[pivot, k]))
                    pivot = i;
            if (!(Math.Abs(a[pivot, k]) > 1e-300))
                return null;
            if (pivot != k)
            {
                for (var j = 0; j < n; j++)
                    (a[k, j], a[pivot, j]) = (a[pivot, j], a[k, j]);
                (b[k], b[pivot]) = (b[pivot], b[k]);
            }
            for (var i = k + 1; i < n; i++)
            {
                var f = a[i, k] / a[k, k];
                if (f == 0)
                    continue;
                for (var j = k; j < n; j++)
                    a[i, j] -= f * a[k, j];
                b[i] -= f * b[k];
            }
        }
        for (var k = n - 1; k >= 0; k--)
        {
            for (var j = k + 1; j < n; j++)
                b[k] -= a[k, j] * b[j];
            b[k] /= a[k, k];
        }
        return b;
    }

    /// <summary>The inverse; null when singular.</summary>
    public static double[,]? Inverse(double[,] a)
    {
        var n = a.GetLength(0);
        var inverse = new double[n, n];
        for (var c = 0; c < n; c++)
        {
            var e = new double[n];
            e[c] = 1;
            if (Solve(a, e) is not { } x)
                return null;
            for (var r = 0; r < n; r++)
                inverse[r, c] = x[r];
        }
        return inverse;
    }

    /// <summary>Eigenvector of the smallest eigenvalue of a symmetric matrix, by cyclic rotations (Jacobi 1846).</summary>
    public static double[] SmallestEigenvector(double[,] symmetric)
    {
        var n = symmetric.GetLength(0);
        var a = (double[,])symmetric.Clone();
        var v = new double[n, n];
        for (var i = 0; i < n; i++)
            v[i, i] = 1;
        for (var sweep = 0; sweep < 60; sweep++)
        {
            double off = 0,
                all = 0;
            for (var p = 0; p < n; p++)
            for (var q = 0; q < n; q++)
            {
                all += a[p, q] * a[p, q];
                if (p != q)
                    off += a[p, q] * a[p, q];
            }
            if (off <= 1e-30 * all)
                break;
            for (var p = 0; p < n; p++)
            {
                for (var q = p + 1; q < n; q++)
                {
                    if (a[p, q] == 0)
                        continue;
                    var theta = (a[q, q] - a[p, p]) / (2 * a[p, q]);
                    var t = (theta >= 0 ? 1 : -1) / (Math.Abs(theta) + Math.Sqrt(theta * theta + 1));
                    var c = 1 / Math.Sqrt(t * t + 1);
                    var s = t * c;
                    for (var k = 0; k < n; k++)
                        (a[k, p], a[k, q]) = (c * a[k, p] - s * a[k, q], s * a[k, p] + c * a[k, q]);
                    for (var k = 0; k < n; k++)
                        (a[p, k], a[q, k]) = (c * a[p, k] - s * a[q, k], s * a[p, k] + c * a[q, k]);
                    for (var k = 0; k < n; k++)
                        (v[k, p], v[k, q]) = (c * v[k, p] - s * v[k, q], s * v[k, p] + c * v[k, q]);
                }
            }
        }
        var least = 0;
        for (var i = 1; i < n; i++)
            if (a[i, i] < a[least, least])
                least = i;
        return [.. Enumerable.Range(0, n).Select(k => v[k, least])];
    }
}
