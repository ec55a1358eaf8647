namespace FaithfulBracket.Core.Match.Identify;

/// <summary>
/// How well a board explains what was seen: points as a Poisson process, each hole and part seen with an unknown
/// share (beta prior, integrated out).
/// </summary>
internal static class Likelihood
{
    private static readonly double[] LogFactorial = Table();

    /// <summary>All seen points are strangers.</summary>
    public static double None(int seen, double areaMm2) => Strangers(seen, areaMm2);

    /// <summary>Rows of memory and power stages look alike on many boards: a twin has to meet about half of what was seen.</summary>
    private const double MinShareMet = 0.5,
        ShareWeight = 300;

    /// <param name="sigmaMm">Standard deviation of a miss per axis.</param>
    public static double Compute(
        int holesOfBoard,
        int holesMet,
        int partsOfBoard,
        int partsMet,
        double squares,
        double sigmaMm,
        int seen,
        double areaMm2
    )
    {
        var met = holesMet + partsMet;
        var variance = sigmaMm * sigmaMm;
        return -met * Math.Log(2 * Math.PI * variance)
            - squares / (2 * variance)
            + Share(holesOfBoard, holesMet)
            + Share(partsOfBoard, partsMet)
            + Strangers(seen - met, areaMm2)
            - PoseFreedom(areaMm2, variance, Math.Max(1, met))
            - ShareWeight * Math.Max(0, MinShareMet - (double)met / seen);
    }

    private static double Strangers(int n, double areaMm2) => n <= 0 ? 0 : n * Math.Log(n / areaMm2) - n;

    /// <summary>ln ∫ p^m (1 − p)^(n − m) dp.</summary>
    private static double Share(int n, int m) => LogFact(m) + LogFact(n - m) - LogFact(n + 1);

    /// <summary>What the freedom to choose the pose is worth (Laplace's approximation).</summary>
    private static double PoseFreedom(double areaMm2, double variance, int met)
    {
        var arm = Math.Sqrt(areaMm2) / 3;
        return Math.Log(areaMm2 * met / (2 * Math.PI * variance))
            + Math.Log(Math.Sqrt(2 * Math.PI * met) * arm / Math.Sqrt(variance));
    }

    private static double LogFact(int n) =>
        n < LogFactorial.Length ? LogFactorial[n] : n * Math.Log(n) - n + 0.5 * Math.Log(2 * Math.PI * n);

    private static double[] Table()
    {
        var t = new double[2000];
        for (var i = 1; i < t.Length; i++)
            t[i] = t[i - 1] + Math.Log(i);
        return t;
    }
}
