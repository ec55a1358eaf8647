namespace FaithfulBracket.Core.Geometry;

/// <summary>Derivatives of several values by several unknowns, by central differences.</summary>
internal static class NumericJacobian
{
    /// <summary>Steps are this share of an unknown, and of a hundredth where it is smaller.</summary>
    private const double Share = 1e-6,
        Least = 1e-2;

    /// <param name="function">Writes its values at some unknowns.</param>
    /// <returns>By value and unknown.</returns>
    public static double[,] Compute(
        ReadOnlySpan<double> at,
        int values,
        Action<ReadOnlySpan<double>, double[]> function
    )
    {
        var j = new double[values, at.Length];
        double[] up = new double[values],
            down = new double[values];
        for (var a = 0; a < at.Length; a++)
        {
            var step = Share * Math.Max(Least, Math.Abs(at[a]));
            var moved = at.ToArray();
            moved[a] = at[a] + step;
            function(moved, up);
            moved[a] = at[a] - step;
            function(moved, down);
            for (var i = 0; i < values; i++)
                j[i, a] = (up[i] - down[i]) / (2 * step);
        }
        return j;
    }
}
