namespace FaithfulBracket.Core.Geometry;

/// <summary>Four equations, symmetric and positive definite, without allocation: for loops that solve thousands.</summary>
internal static class Cholesky4
{
    /// <param name="h">By rows, its lower half; its factor afterwards.</param>
    /// <returns>False where the matrix is not positive definite.</returns>
    public static bool Solve(Span<double> h, ReadOnlySpan<double> g, Span<double> x)
    {
        for (var i = 0; i < 4; i++)
        {
            for (var j = 0; j <= i; j++)
            {
                var sum = h[i * 4 + j];
                for (var k = 0; k < j; k++)
                    sum -= h[i * 4 + k] * h[j * 4 + k];
                if (i == j)
                {
                    if (!(sum > 0))
                        return false;
                    h[i * 5] = Math.Sqrt(sum);
                }
                else
                    h[i * 4 + j] = sum / h[j * 5];
            }
        }
        for (var i = 0; i < 4; i++)
        {
            var sum = g[i];
            for (var k = 0; k < i; k++)
                sum -= h[i * 4 + k] * x[k];
            x[i] = sum / h[i * 5];
        }
        for (var i = 3; i >= 0; i--)
        {
            var sum = x[i];
            for (var k = i + 1; k < 4; k++)
                sum -= h[k * 4 + i] * x[k];
            x[i] = sum / h[i * 5];
        }
        return true;
    }
}
