using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Pads.Seating;

/// <summary>The plane nearest to heights at points.</summary>
public static class LeastSquaresPlane
{
    /// <param name="heights">At least three points off one line; else the mean height, level.</param>
    public static PlatePose Fit(IReadOnlyList<(Point2 At, double Mm)> heights)
    {
        var a = new double[3, 3];
        var b = new double[3];
        foreach (var (p, mm) in heights)
        {
            double[] arm = [1, p.X, p.Y];
            for (var i = 0; i < 3; i++)
            {
                b[i] += arm[i] * mm;
                for (var j = 0; j < 3; j++)
                    a[i, j] += arm[i] * arm[j];
            }
        }
        return DenseSolve.Solve(a, b) is { } x && x.All(double.IsFinite)
            ? new(x[0], x[1], x[2])
            : new(heights.Average(h => h.Mm), 0, 0);
    }
}
