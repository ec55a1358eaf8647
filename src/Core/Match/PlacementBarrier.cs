using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match;

/// <summary>
/// The least largest ratio as a second-order cone programme in x, y and a small turn, by a logarithmic barrier
/// (Boyd and Vandenberghe 2004, section 11.3).
/// </summary>
internal static class PlacementBarrier
{
    /// <summary>The least largest ratio near a placement, as long as the turn counts as straight.</summary>
    /// <param name="gap">How far from the least it may end, as a share of the ratio it began with.</param>
    public static Placement Better(ReadOnlySpan<HolePair> pairs, in Placement at, double gap)
    {
        var n = pairs.Length;
        var lever = 1.0;
        foreach (var pair in pairs)
            lever = Math.Max(lever, pair.Block.Length);
        Span<PlacementRow> rows = n <= 64 ? stackalloc PlacementRow[n] : new PlacementRow[n];
        var start = 0.0;
        for (var i = 0; i < n; i++)
        {
            rows[i] = PlacementRow.Create(pairs[i], at, lever);
            start = Math.Max(start, rows[i].Norm(0, 0, 0));
        }
        if (start < 1e-9)
            return at;
        double x = 0,
            y = 0,
            w = 0,
            z = start * 1.25;
        for (var weight = 2.0 * n / start; ; weight *= 12)
        {
            for (var step = 0; step < 30; step++)
                if (!NewtonStep(rows, weight, n >= 2, ref x, ref y, ref w, ref z))
                    break;
            if (2.0 * n / weight < gap * Math.Max(1, start))
                break;
        }
        return new(at.XMm + x, at.YMm + y, at.RotationDeg + w / lever * 180 / Math.PI);
    }

    /// <summary>One damped Newton step on weight·z − Σ log(z² − |r|²); false when it has converged.</summary>
    private static bool NewtonStep(
        ReadOnlySpan<PlacementRow> rows,
        double weight,
        bool turns,
        ref double x,
        ref double y,
        ref double w,
        ref double z
    )
    {
        Span<double> g = stackalloc double[4];
        Span<double> h = stackalloc double[16];
        Derivatives(rows, weight, x, y, w, z, g, h);
        if (!turns)
        {
            h[8] = h[9] = h[14] = 0;
            h[10] = 1;
            g[2] = 0;
        }
        var ridge = 1e-13 * (h[0] + h[5] + h[10] + h[15]);
        for (var i = 0; i < 4; i++)
            h[i * 5] += ridge;
        Span<double> p = stackalloc double[4];
        if (!Cholesky4.Solve(h, g, p))
            return false;
        var decrement = 0.0;
        for (var i = 0; i < 4; i++)
        {
            p[i] = -p[i];
            decrement -= g[i] * p[i];
        }
        if (!(decrement > 1e-9))
            return false;
        var before = Value(rows, weight, x, y, w, z);
        for (var t = 1.0; t > 1e-9; t /= 2)
        {
            double nx = x + t * p[0],
                ny = y + t * p[1],
                nw = w + t * p[2],
                nz = z + t * p[3];
            if (!(Value(rows, weight, nx, ny, nw, nz) <= before - 0.1 * t * decrement))
                continue;
            (x, y, w, z) = (nx, ny, nw, nz);
            return true;
        }
        return false;
    }

    /// <summary>Gradient and the lower half of the second derivatives of <see cref="Value"/>, by rows.</summary>
    internal static void Derivatives(
        ReadOnlySpan<PlacementRow> rows,
        double weight,
        double x,
        double y,
        double w,
        double z,
        Span<double> g,
        Span<double> h
    )
    {
        g.Clear();
        h.Clear();
        g[3] = weight;
        Span<double> d = stackalloc double[4];
        foreach (ref readonly var row in rows)
        {
            var (u, v) = row.At(x, y, w);
            var s = z * z - u * u - v * v;
            // half the gradient of s, over s
            d[0] = -(row.Ux * u + row.Vx * v);
            d[1] = -(row.Uy * u + row.Vy * v);
            d[2] = -(row.Uw * u + row.Vw * v);
            d[3] = z;
            var k = 2 / s;
            for (var i = 0; i < 4; i++)
            {
                g[i] -= k * d[i];
                for (var j = 0; j <= i; j++)
                    h[i * 4 + j] += k * k * d[i] * d[j];
            }
            h[0] += k * (row.Ux * row.Ux + row.Vx * row.Vx);
            h[4] += k * (row.Uy * row.Ux + row.Vy * row.Vx);
            h[5] += k * (row.Uy * row.Uy + row.Vy * row.Vy);
            h[8] += k * (row.Uw * row.Ux + row.Vw * row.Vx);
            h[9] += k * (row.Uw * row.Uy + row.Vw * row.Vy);
            h[10] += k * (row.Uw * row.Uw + row.Vw * row.Vw);
            h[15] -= k;
        }
    }

    /// <summary>weight·z − Σ log(z² − |r|²); without bound where a miss is not under z.</summary>
    internal static double Value(ReadOnlySpan<PlacementRow> rows, double weight, double x, double y, double w, double z)
    {
        if (z <= 0)
            return double.PositiveInfinity;
        double sum = weight * z,
            product = 1;
        foreach (ref readonly var row in rows)
        {
            var (u, v) = row.At(x, y, w);
            var s = z * z - u * u - v * v;
            if (s <= 0)
                return double.PositiveInfinity;
            product *= s;
            if (product is < 1e-200 or > 1e200)
            {
                sum -= Math.Log(product);
                product = 1;
            }
        }
        return sum - Math.Log(product);
    }
}
