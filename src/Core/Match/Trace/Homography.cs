using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match.Trace;

/// <summary>A plane seen by a camera: u = (h0·x + h1·y + h2)/(h6·x + h7·y + h8), v alike. Nine numbers, any scale.</summary>
internal static class Homography
{
    public static Point2 Apply(ReadOnlySpan<double> h, Point2 p)
    {
        var w = h[6] * p.X + h[7] * p.Y + h[8];
        return new((h[0] * p.X + h[1] * p.Y + h[2]) / w, (h[3] * p.X + h[4] * p.Y + h[5]) / w);
    }

    public static double[] Inverse(ReadOnlySpan<double> h) =>
        [
            h[4] * h[8] - h[5] * h[7],
            h[2] * h[7] - h[1] * h[8],
            h[1] * h[5] - h[2] * h[4],
            h[5] * h[6] - h[3] * h[8],
            h[0] * h[8] - h[2] * h[6],
            h[2] * h[3] - h[0] * h[5],
            h[3] * h[7] - h[4] * h[6],
            h[1] * h[6] - h[0] * h[7],
            h[0] * h[4] - h[1] * h[3],
        ];

    /// <summary>Normalised direct linear transform (Hartley and Zisserman 2004, algorithm 4.2).</summary>
    /// <param name="from">At least four, no three of the first four in one line.</param>
    public static double[] Direct(IReadOnlyList<Point2> from, IReadOnlyList<Point2> to)
    {
        var (a, b) = (Normaliser(from), Normaliser(to));
        var m = new double[9, 9];
        for (var i = 0; i < from.Count; i++)
        {
            var p = (from[i] - a.Centre) * a.Scale;
            var q = (to[i] - b.Centre) * b.Scale;
            ReadOnlySpan<double> r1 = [0, 0, 0, -p.X, -p.Y, -1, q.Y * p.X, q.Y * p.Y, q.Y],
                r2 = [p.X, p.Y, 1, 0, 0, 0, -q.X * p.X, -q.X * p.Y, -q.X];
            for (var r = 0; r < 9; r++)
            for (var c = 0; c < 9; c++)
                m[r, c] += r1[r] * r1[c] + r2[r] * r2[c];
        }
        var n = DenseSolve.SmallestEigenvector(m);
        // undo: B⁻¹ · N · A
        double[] back = [1 / b.Scale, 0, b.Centre.X, 0, 1 / b.Scale, b.Centre.Y, 0, 0, 1],
            forth = [a.Scale, 0, -a.Scale * a.Centre.X, 0, a.Scale, -a.Scale * a.Centre.Y, 0, 0, 1];
        return Product(Product(back, n), forth);
    }

    public static double[] Product(ReadOnlySpan<double> a, ReadOnlySpan<double> b)
    {
        var c = new double[9];
        for (var i = 0; i < 3; i++)
        for (var j = 0; j < 3; j++)
        for (var k = 0; k < 3; k++)
            c[3 * i + j] += a[3 * i + k] * b[3 * k + j];
        return c;
    }

    private static (Point2 Centre, double Scale) Normaliser(IReadOnlyList<Point2> points)
    {
        var centre = new Point2(points.Average(p => p.X), points.Average(p => p.Y));
        var mean = points.Average(p => (p - centre).Length);
        return (centre, mean > 0 ? Math.Sqrt(2) / mean : 1);
    }
}
