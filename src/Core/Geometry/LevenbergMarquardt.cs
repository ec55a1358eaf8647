namespace FaithfulBracket.Core.Geometry;

/// <summary>Least squares of several misses by several unknowns (Marquardt 1963), with numeric derivatives.</summary>
internal static class LevenbergMarquardt
{
    private const int MaxRounds = 60,
        MaxAttempts = 12;
    private const double FirstDamping = 1e-4,
        MinDamping = 1e-12;

    /// <summary>It has ended where a step gains no more than this share.</summary>
    private const double MinGain = 1e-14;

    /// <param name="Normal">JᵀJ before the last step; its inverse times the variance of a miss is the unknowns' covariance.</param>
    public sealed record Rest(double[] At, double Squares, double[,] Normal);

    /// <param name="function">Writes the misses at some unknowns.</param>
    public static Rest From(double[] start, int misses, Action<ReadOnlySpan<double>, double[]> function)
    {
        var at = start;
        var n = at.Length;
        var r = new double[misses];
        function(at, r);
        var least = Squares(r);
        var damping = FirstDamping;
        var normal = new double[n, n];
        for (var round = 0; round < MaxRounds; round++)
        {
            var j = NumericJacobian.Compute(at, misses, function);
            var g = new double[n];
            Array.Clear(normal);
            for (var i = 0; i < misses; i++)
            for (var a = 0; a < n; a++)
            {
                g[a] -= j[i, a] * r[i];
                for (var b = 0; b < n; b++)
                    normal[a, b] += j[i, a] * j[i, b];
            }
            var better = false;
            for (var attempt = 0; attempt < MaxAttempts && !better; attempt++)
            {
                var damped = (double[,])normal.Clone();
                for (var a = 0; a < n; a++)
                    damped[a, a] *= 1 + damping;
                if (DenseSolve.Solve(damped, g) is { } step)
                {
                    double[] trial = [.. at.Zip(step, (t, s) => t + s)];
                    var rest = new double[misses];
                    function(trial, rest);
                    if (Squares(rest) is var squares && squares <= least)
                    {
                        better = least - squares > MinGain * (least + 1e-12);
                        (at, least, r) = (trial, squares, rest);
                        damping = Math.Max(MinDamping, damping / 10);
                        break;
                    }
                }
                damping *= 10;
            }
            if (!better)
                break;
        }
        return new(at, least, normal);
    }

    private static double Squares(double[] misses) => misses.Sum(x => x * x);
}
