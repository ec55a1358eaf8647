namespace FaithfulBracket.Core.Match.Trace;

/// <summary>Where a camera of known focal length stood when it saw a plane so.</summary>
/// <param name="X">Of its centre in the plane's frame and unit; Z above the plane.</param>
/// <param name="TiltDeg">Between the line of sight and the plane's normal.</param>
internal readonly record struct CameraPose(double X, double Y, double Z, double TiltDeg)
{
    /// <param name="h">The homography's first eight numbers, its ninth one.</param>
    public static CameraPose From(ReadOnlySpan<double> h, double focal)
    {
        // the columns of K⁻¹H are scale·(r1, r2, t); the centre is −Rᵀt
        double[] r1 = [h[0] / focal, h[3] / focal, h[6]],
            r2 = [h[1] / focal, h[4] / focal, h[7]],
            t = [h[2] / focal, h[5] / focal, 1];
        double scale = (Length(r1) + Length(r2)) / 2,
            squared = scale * scale;
        double[] r3 =
        [
            (r1[1] * r2[2] - r1[2] * r2[1]) / squared,
            (r1[2] * r2[0] - r1[0] * r2[2]) / squared,
            (r1[0] * r2[1] - r1[1] * r2[0]) / squared,
        ];
        double Back(double[] r, double by) => -(r[0] * t[0] + r[1] * t[1] + r[2] * t[2]) / by;
        var cosine = Math.Abs(r1[0] * r2[1] - r1[1] * r2[0]) / (Length(r1) * Length(r2));
        return new(
            Back(r1, squared),
            Back(r2, squared),
            Math.Abs(Back(r3, scale)),
            Math.Acos(Math.Clamp(cosine, 0, 1)) * 180 / Math.PI
        );
    }

    private static double Length(double[] v) => Math.Sqrt(v[0] * v[0] + v[1] * v[1] + v[2] * v[2]);
}
