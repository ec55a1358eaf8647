using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Pads.Seating;

namespace FaithfulBracket.Core.Pads.Seating;

/// <summary>The board's own bending: one node a contact, its deflection in answer to all contact forces.</summary>
/// <param name="Deflection">Of the board under each contact, mm, + towards the plate.</param>
public sealed record ElasticPose(PlatePose Pose, IReadOnlyList<double> Deflection);

/// <summary>
/// Balance of a rigid plate on a board that bends: the least of Σ U(plate − w) + ½ wᵀC⁻¹w over pose and deflections. Both terms are
/// convex, so Newton's method with a line search finds the one minimum from any start.
/// </summary>
public sealed class ElasticSeating
{
    private const int MaxSteps = 300;
    private const double ForceTolN = 1e-7;

    /// <summary>Local give of laminate and solder under a contact, keeps C regular at the held points, mm/N.</summary>
    private const double LocalGiveMmPerN = 1e-8;

    private readonly IReadOnlyList<Contact> _contacts;
    private readonly double[,] _stiffness;
    private readonly int _n;
    private readonly double _lever;
    private readonly double[] _weight;
    private readonly Point2[] _at;
    private readonly double[] _pushed;

    /// <param name="contacts">Each acts on one patch of the board.</param>
    /// <param name="compliance">Deflection at each contact for a unit force on each, mm/N.</param>
    /// <param name="pushed">Deflection at each contact by what else presses on the board while no contact holds it,
    /// mm; null for nothing.</param>
    public ElasticSeating(IReadOnlyList<Contact> contacts, double[,] compliance, double[]? pushed = null)
    {
        (_contacts, _n) = (contacts, contacts.Count);
        _pushed = pushed ?? new double[_n];
        _weight = [.. contacts.Select(c => c.Points.Sum(q => q.WeightMm2))];
        _at = [.. contacts.Select(Middle)];
        var square = new double[_n, _n];
        for (var i = 0; i < _n; i++)
        for (var j = 0; j < _n; j++)
            square[i, j] = (compliance[i, j] + compliance[j, i]) / 2 + (i == j ? LocalGiveMmPerN : 0);
        _stiffness =
            DenseSolve.Inverse(square)
            ?? throw new InputException("board/outline", ElasticSeatingWords.BoardsStiffnessIsUnknown);
        _lever = _at.Max(p => Math.Max(1, Math.Max(Math.Abs(p.X), Math.Abs(p.Y))));
    }

    /// <summary>Where a contact's force acts.</summary>
    public static Point2 Middle(Contact contact)
    {
        var weight = contact.Points.Sum(q => q.WeightMm2);
        return new(
            contact.Points.Sum(q => q.X * q.WeightMm2) / weight,
            contact.Points.Sum(q => q.Y * q.WeightMm2) / weight
        );
    }

    /// <summary>A contact's patch as a rectangle of the same extent.</summary>
    public static BowLoad Patch(Contact contact, double leastMm = 4)
    {
        var b = Bounds.From([.. contact.Points.Select(q => new Point2(q.X, q.Y))]);
        var at = Middle(contact);
        return new(at.X, at.Y, Math.Max(leastMm, b.Width), Math.Max(leastMm, b.Height), 1);
    }

    /// <param name="start">The balance on a stiff board.</param>
    /// <exception cref="InputException">No balance is found.</exception>
    public ElasticPose Solve(PlatePose start)
    {
        var v = new double[_n + 3];
        (v[_n], v[_n + 1], v[_n + 2]) = (start.ZMm, start.SlopeX * _lever, start.SlopeY * _lever);
        var g = Gradient(v, out var h);
        for (var round = 0; round < MaxSteps && g.Max(Math.Abs) > ForceTolN; round++)
        {
            var p = DenseSolve.Solve(h, [.. g.Select(x => -x)]) ?? throw NoRest();
            var slope = Dot(g, p);
            double low = 0,
                high = LongestStep(v, p),
                t = Math.Min(1, high);
            double[] next = v,
                nextG = g;
            for (var trial = 0; trial < 60; trial++)
            {
                next = [.. v.Select((x, i) => x + t * p[i])];
                nextG = Gradient(next, out h);
                // past the minimum along the step: go back
                if (Dot(nextG, p) <= 0.5 * Math.Abs(slope))
                    break;
                high = t;
                t = (low + high) / 2;
            }
            var moved = next.Zip(v).Any(x => x.First != x.Second);
            (v, g) = (next, nextG);
            if (!moved)
                break;
        }
        if (g.Max(Math.Abs) > 1e-3)
            throw NoRest();
        return new(new(v[_n], v[_n + 1] / _lever, v[_n + 2] / _lever), v[.._n]);
    }

    private static double Dot(double[] a, double[] b) => a.Zip(b, (x, y) => x * y).Sum();

    private static InputException NoRest() => new("elasticBoard", ElasticSeatingWords.PlateDoesNotComeToRest);

    private double Height(double[] v, int i) => v[_n] + (v[_n + 1] * _at[i].X + v[_n + 2] * _at[i].Y) / _lever - v[i];

    private double[] Gradient(double[] v, out double[,] h)
    {
        var g = new double[_n + 3];
        h = new double[_n + 3, _n + 3];
        Span<double> arm = stackalloc double[3];
        for (var i = 0; i < _n; i++)
        {
            for (var j = 0; j < _n; j++)
            {
                g[i] += _stiffness[i, j] * (v[j] - _pushed[j]);
                h[i, j] = _stiffness[i, j];
            }
        }
        for (var i = 0; i < _n; i++)
        {
            // a patch moves as one: its force acts in its middle, on plate and board alike
            var (force, slope) = _contacts[i].At(Height(v, i));
            double f = force * _weight[i],
                s = -slope * _weight[i];
            (arm[0], arm[1], arm[2]) = (1, _at[i].X / _lever, _at[i].Y / _lever);
            g[i] += f;
            h[i, i] += s;
            for (var k = 0; k < 3; k++)
            {
                g[_n + k] -= f * arm[k];
                h[i, _n + k] -= s * arm[k];
                h[_n + k, i] -= s * arm[k];
                for (var l = 0; l < 3; l++)
                    h[_n + k, _n + l] += s * arm[k] * arm[l];
            }
        }
        for (var k = 0; k < 3; k++)
            h[_n + k, _n + k] += 1e-9;
        return g;
    }

    /// <summary>Keeps every film open.</summary>
    private double LongestStep(double[] v, double[] p)
    {
        var longest = double.MaxValue;
        for (var i = 0; i < _n; i++)
        {
            if (double.IsNegativeInfinity(_contacts[i].FloorMm))
                continue;
            var fall = -Height(p, i);
            if (fall > 0)
                longest = Math.Min(longest, 0.9 * (Height(v, i) - _contacts[i].FloorMm) / fall);
        }
        return longest;
    }
}
