using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match.Trace;

/// <summary>
/// The focal length that a view of a plane tells: both conditions are linear in w = 1/f², for the columns of K⁻¹H are orthogonal and
/// equally long (Zhang 2000); what is typical of a camera counts by its own spread beside them.
/// </summary>
/// <param name="W1">Weight of the first condition, W2 of the second, W0 of what is typical.</param>
/// <param name="Typical">1/f² of a typical camera.</param>
/// <param name="LogVariance">Variance of log f that the typical focal length still decides.</param>
internal sealed record ViewFocal(double W1, double W2, double W0, double Typical, double LogVariance)
{
    /// <summary>Standard deviation of a typical camera's focal length, as a share.</summary>
    private const double Spread = 0.35;

    /// <summary>No camera's w is so many times what is typical, nor so small a part of it.</summary>
    private const double Farthest = 25;

    private const double MinVariance = 1e-18;

    /// <param name="theta">The homography's first eight numbers, its ninth one; more are left alone.</param>
    /// <param name="covariance">Of theta, for misses of one.</param>
    /// <param name="sigma">Of a miss.</param>
    /// <param name="typicalFocal">Of a camera nobody knows, in the view's own unit.</param>
    public static ViewFocal Compute(double[] theta, double[,] covariance, double sigma, double typicalFocal)
    {
        var typical = 1 / (typicalFocal * typicalFocal);
        var spread = 2 * Spread * typical;
        // variance of each condition at the typical focal length, from the fit's covariance
        var j = NumericJacobian.Compute(
            theta,
            2,
            (v, into) =>
            {
                var (a1, b1, a2, b2) = Conditions(v);
                (into[0], into[1]) = (a1 * typical - b1, a2 * typical - b2);
            }
        );
        Span<double> variance = stackalloc double[2];
        for (var r = 0; r < 2; r++)
        for (var a = 0; a < theta.Length; a++)
        for (var b = 0; b < theta.Length; b++)
            variance[r] += j[r, a] * j[r, b] * covariance[a, b] * sigma * sigma;
        var (c1, _, c2, _) = Conditions(theta);
        double w1 = 1 / Math.Max(MinVariance, variance[0]),
            w2 = 1 / Math.Max(MinVariance, variance[1]),
            w0 = 1 / (spread * spread);
        var view = new ViewFocal(w1, w2, w0, typical, 0);
        var w = view.Solve(theta);
        // what the typical focal length still decides: its share of the weight
        var total = w0 + w1 * c1 * c1 + w2 * c2 * c2;
        return view with { LogVariance = w0 / (total * total) / (w * w) / 4 };
    }

    public double At(ReadOnlySpan<double> theta) => 1 / Math.Sqrt(Solve(theta));

    private double Solve(ReadOnlySpan<double> theta)
    {
        var (a1, b1, a2, b2) = Conditions(theta);
        // the sign: h1ᵀωh2 = w·(h0h1 + h3h4) + h6h7 = 0
        var w = (W1 * a1 * b1 + W2 * a2 * b2 + W0 * Typical) / (W1 * a1 * a1 + W2 * a2 * a2 + W0);
        return Math.Clamp(w, Typical / Farthest, Typical * Farthest);
    }

    /// <summary>a·w = b, each in its columns' own length.</summary>
    internal static (double A1, double B1, double A2, double B2) Conditions(ReadOnlySpan<double> t)
    {
        double l1 = t[0] * t[0] + t[3] * t[3],
            l2 = t[1] * t[1] + t[4] * t[4],
            scale = (l1 + l2) / 2;
        return (
            (t[0] * t[1] + t[3] * t[4]) / scale,
            -t[6] * t[7] / scale,
            (l1 - l2) / scale,
            -(t[6] * t[6] - t[7] * t[7]) / scale
        );
    }
}
