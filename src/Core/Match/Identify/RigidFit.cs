using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match.Identify;

/// <summary>Least-squares turn and shift between paired points.</summary>
public static class RigidFit
{
    /// <summary>Maps the first of each pair to the second (Umeyama 1991, in the plane, without scale).</summary>
    /// <param name="pairs">At least one; one pair gives a shift only.</param>
    public static Placement Fit(IReadOnlyList<(Point2 From, Point2 To)> pairs)
    {
        double fx = 0,
            fy = 0,
            tx = 0,
            ty = 0;
        foreach (var (f, t) in pairs)
        {
            fx += f.X;
            fy += f.Y;
            tx += t.X;
            ty += t.Y;
        }
        var n = pairs.Count;
        Point2 from = new(fx / n, fy / n),
            to = new(tx / n, ty / n);
        double dot = 0,
            cross = 0;
        foreach (var (f, t) in pairs)
        {
            dot += (f - from).Dot(t - to);
            cross += (f - from).Cross(t - to);
        }
        var angle = Math.Atan2(cross, dot);
        var shift = to - from.Turned(angle);
        return new(shift.X, shift.Y, angle * 180 / Math.PI);
    }
}
