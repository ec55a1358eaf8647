using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Pads.Seating;

namespace FaithfulBracket.Core.Pads.Seating;

/// <summary>A plate's pose: height z + a·x + b·y over the board, mm.</summary>
public readonly record struct PlatePose(double ZMm, double SlopeX, double SlopeY)
{
    public double At(double x, double y) => ZMm + SlopeX * x + SlopeY * y;

    public double At(Point2 p) => At(p.X, p.Y);

    /// <summary>Right-handed turns about x and y, degrees.</summary>
    public (double X, double Y) TiltDeg => (Math.Atan(SlopeY) * 180 / Math.PI, -Math.Atan(SlopeX) * 180 / Math.PI);
}

/// <summary>
/// The pose in which all contacts balance. Every contact's force falls with height, so the energy is convex and the balance
/// unique: Newton's method on its gradient, with a line search on the directional derivative (Nocedal and Wright 2006, chapter 3).
/// </summary>
public static class PlateBalance
{
    private const int MaxSteps = 400;

    /// <summary>At rest within this, N; where thousands of newtons meet, within what rounding leaves of their sum.</summary>
    private const double ForceTolN = 1e-9,
        RoundingShare = 1e-12;

    /// <param name="start">Any pose; it is raised until no film is closed.</param>
    /// <exception cref="InputException">Nothing holds the plate from one side, so that it has no resting place.</exception>
    public static PlatePose Solve(IReadOnlyList<Contact> contacts, PlatePose start)
    {
        var lever = Lever(contacts);
        var pose = Raise(contacts, start);
        Span<double> g = stackalloc double[3],
            trial = stackalloc double[3],
            p = stackalloc double[3];
        Span<double> h = stackalloc double[6];
        var gross = Gradient(contacts, pose, lever, g, h);
        for (var step = 0; step < MaxSteps; step++)
        {
            var norm = Norm(g);
            if (norm < Math.Max(ForceTolN, RoundingShare * gross))
                return pose;
            if (!Newton(h, g, p))
                throw new InputException("block/plates", PlateBalanceWords.NothingPullsPlateDownOrNothing);
            var slope = g[0] * p[0] + g[1] * p[1] + g[2] * p[2];
            double low = 0,
                high = LongestStep(contacts, pose, p, lever),
                t = Math.Min(1, high);
            PlatePose next = pose;
            for (var trialCount = 0; trialCount < 60; trialCount++)
            {
                next = new(pose.ZMm + t * p[0], pose.SlopeX + t * p[1] / lever, pose.SlopeY + t * p[2] / lever);
                gross = Gradient(contacts, next, lever, trial, h);
                var d = trial[0] * p[0] + trial[1] * p[1] + trial[2] * p[2];
                // past the minimum along the step: go back; well before it is still progress
                if (d <= 0.5 * Math.Abs(slope))
                    break;
                high = t;
                t = (low + high) / 2;
            }
            if (next == pose)
                return Settled(pose, norm);
            pose = next;
            trial.CopyTo(g);
        }
        return Settled(pose, Norm(g));
    }

    private static PlatePose Settled(PlatePose pose, double residual) =>
        residual < 1e-6
            ? pose
            : throw new InputException("block/plates", PlateBalanceWords.PlateDoesNotComeToRest(residual));

    private static double Norm(ReadOnlySpan<double> g) =>
        Math.Max(Math.Abs(g[0]), Math.Max(Math.Abs(g[1]), Math.Abs(g[2])));

    /// <summary>Moments are divided by this length so that they compare with forces, mm.</summary>
    private static double Lever(IReadOnlyList<Contact> contacts)
    {
        var lever = 1.0;
        foreach (var c in contacts)
        foreach (var q in c.Points)
            lever = Math.Max(lever, Math.Max(Math.Abs(q.X), Math.Abs(q.Y)));
        return lever;
    }

    private static PlatePose Raise(IReadOnlyList<Contact> contacts, PlatePose pose)
    {
        var lift = 0.0;
        foreach (var c in contacts)
        {
            if (double.IsNegativeInfinity(c.FloorMm))
                continue;
            foreach (var q in c.Points)
                lift = Math.Max(lift, c.FloorMm + 0.005 - pose.At(q.X, q.Y));
        }
        return lift > 0 ? pose with { ZMm = pose.ZMm + lift } : pose;
    }

    /// <summary>Longest step along p that keeps every film open.</summary>
    private static double LongestStep(
        IReadOnlyList<Contact> contacts,
        PlatePose pose,
        ReadOnlySpan<double> p,
        double lever
    )
    {
        var longest = double.MaxValue;
        foreach (var c in contacts)
        {
            if (double.IsNegativeInfinity(c.FloorMm))
                continue;
            foreach (var q in c.Points)
            {
                var fall = -(p[0] + (p[1] * q.X + p[2] * q.Y) / lever);
                if (fall > 0)
                    longest = Math.Min(longest, 0.9 * (pose.At(q.X, q.Y) - c.FloorMm) / fall);
            }
        }
        return longest;
    }

    /// <summary>Gradient of the energy (minus the forces) and its Hessian (lower triangle by rows).</summary>
    /// <returns>All forces together, whichever way they push, N.</returns>
    private static double Gradient(
        IReadOnlyList<Contact> contacts,
        PlatePose pose,
        double lever,
        Span<double> g,
        Span<double> h
    )
    {
        g.Clear();
        h.Clear();
        double gross = 0;
        for (var k = 0; k < contacts.Count; k++)
        {
            var points = contacts[k].Points;
            for (var i = 0; i < points.Count; i++)
            {
                var q = points[i];
                var (force, slope) = contacts[k].At(pose.At(q.X, q.Y));
                double f = -force * q.WeightMm2,
                    s = -slope * q.WeightMm2,
                    x = q.X / lever,
                    y = q.Y / lever;
                gross += Math.Abs(f);
                g[0] += f;
                g[1] += f * x;
                g[2] += f * y;
                h[0] += s;
                h[1] += s * x;
                h[2] += s * x * x;
                h[3] += s * y;
                h[4] += s * x * y;
                h[5] += s * y * y;
            }
        }
        return gross;
    }

    /// <summary>p = −H⁻¹g by Cholesky with a ridge for directions nothing resists yet; false when H is empty.</summary>
    private static bool Newton(ReadOnlySpan<double> h, ReadOnlySpan<double> g, Span<double> p)
    {
        if (!(h[0] > 1e-12))
            return false;
        var ridge = 1e-12 * h[0] + 1e-12;
        double l00 = Math.Sqrt(h[0] + ridge),
            l10 = h[1] / l00,
            l20 = h[3] / l00;
        double l11 = Math.Sqrt(Math.Max(ridge, h[2] + ridge - l10 * l10)),
            l21 = (h[4] - l20 * l10) / l11;
        var l22 = Math.Sqrt(Math.Max(ridge, h[5] + ridge - l20 * l20 - l21 * l21));
        double a = -g[0] / l00,
            b = (-g[1] - l10 * a) / l11,
            c = (-g[2] - l20 * a - l21 * b) / l22;
        p[2] = c / l22;
        p[1] = (b - l21 * p[2]) / l11;
        p[0] = (a - l10 * p[1] - l20 * p[2]) / l00;
        return true;
    }
}
