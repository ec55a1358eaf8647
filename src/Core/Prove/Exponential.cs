using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Prove;

/// <summary>T(t) = steady + left·e^(−(t − from)/τ).</summary>
/// <param name="LeftC">T₀ − T∞ at the first sample, K.</param>
/// <param name="Squares">Σ of the squared residuals, K².</param>
internal sealed record Exponential(double SteadyC, double LeftC, double TauS, double FromS, double Squares)
{
    private const int Coarse = 24,
        Fine = 40;

    public double At(double tS) => SteadyC + LeftC * Math.Exp(-(tS - FromS) / TauS);

    /// <summary>
    /// For each time constant the rest is linear; the best time constant by a coarse look, then a golden section.
    /// </summary>
    public static Exponential Fit(IReadOnlyList<LogSample> log, CancellationToken cancel = default)
    {
        var from = log[0].TS;
        var so = Math.Max(log[^1].TS - from, 1e-9);
        double low = Math.Log(so / 200),
            high = Math.Log(so * 5);
        Exponential Best(Exponential a, Exponential b) => b.Squares < a.Squares ? b : a;
        var best = Linear(log, from, Math.Exp(low));
        for (var i = 1; i <= Coarse; i++)
        {
            cancel.ThrowIfCancellationRequested();
            best = Best(best, Linear(log, from, Math.Exp(low + (high - low) * i / Coarse)));
        }
        var step = (high - low) / Coarse;
        double a = Math.Log(best.TauS) - step,
            b = Math.Log(best.TauS) + step;
        var golden = (Math.Sqrt(5) - 1) / 2;
        double x = b - golden * (b - a),
            y = a + golden * (b - a);
        Exponential atX = Linear(log, from, Math.Exp(x)),
            atY = Linear(log, from, Math.Exp(y));
        for (var i = 0; i < Fine; i++)
        {
            if (atX.Squares < atY.Squares)
            {
                (b, y, atY) = (y, x, atX);
                x = b - golden * (b - a);
                atX = Linear(log, from, Math.Exp(x));
            }
            else
            {
                (a, x, atX) = (x, y, atY);
                y = a + golden * (b - a);
                atY = Linear(log, from, Math.Exp(y));
            }
        }
        return Best(best, Best(atX, atY));
    }

    private static Exponential Linear(IReadOnlyList<LogSample> log, double from, double tau)
    {
        var n = log.Count;
        double se = 0,
            see = 0,
            sy = 0,
            sey = 0;
        foreach (var s in log)
        {
            var e = Math.Exp(-(s.TS - from) / tau);
            se += e;
            see += e * e;
            sy += s.C;
            sey += e * s.C;
        }
        var determinant = n * see - se * se;
        var (left, steady) =
            determinant > 1e-12 * n * see
                ? ((n * sey - se * sy) / determinant, (see * sy - se * sey) / determinant)
                : (0, sy / n);
        double squares = 0;
        foreach (var s in log)
        {
            var r = s.C - steady - left * Math.Exp(-(s.TS - from) / tau);
            squares += r * r;
        }
        return new(steady, left, tau, from, squares);
    }

    /// <summary>Standard error of the steady value, all three figures free.</summary>
    /// <param name="resolutionK">What the sensor tells apart.</param>
    public (double Error, double Freedom) SteadyError(IReadOnlyList<LogSample> log, double resolutionK = 0)
    {
        var normal = new double[3, 3];
        foreach (var s in log)
        {
            var u = (s.TS - FromS) / TauS;
            var e = Math.Exp(-u);
            double[] g = [1, e, LeftC * e * u / TauS];
            for (var i = 0; i < 3; i++)
            for (var j = 0; j < 3; j++)
                normal[i, j] += g[i] * g[j];
        }
        var freedom = Math.Max(1, log.Count - 3);
        var variance = Squares / freedom + LogNoise.Rounding(resolutionK);
        // where nothing is left to settle the time constant is free, and tells nothing of the rest
        if (!(normal[2, 2] > 1e-12 * normal[0, 0]))
            return (Math.Sqrt(variance / log.Count), freedom);
        return DenseSolve.Solve(normal, [1, 0, 0]) is { } first && first[0] > 0
            ? (Math.Sqrt(variance * first[0]), freedom)
            : (Math.Sqrt(variance / log.Count), freedom);
    }
}
