namespace FaithfulBracket.Core.Paste;

/// <summary>
/// Equations of cells that each lean on their left, right, lower and upper neighbour: diagonal·x − Σ weight·x(neighbour) = right side.
/// Symmetric and positive; solved by conjugate gradients over a modified incomplete Cholesky factor without fill-in (Gustafsson 1978;
/// Bridson 2008, section 4.3). Cells are numbered by rows, so that left and lower come first.
/// </summary>
internal sealed class FivePointSystem(int n)
{
    /// <summary>How much of what the factor leaves out is put back on its diagonal, and under which share of it that is given up.</summary>
    private const double Tuning = 0.97,
        Safety = 0.25;

    public double[] Diagonal { get; } = new double[n];

    public double[] RightSide { get; } = new double[n];

    /// <summary>Four for each cell; <c>n</c> where there is none, which reads as nothing.</summary>
    public int[] Links { get; } = new int[4 * n];

    /// <summary>Four for each cell; 0 where there is no neighbour.</summary>
    public double[] Weights { get; } = new double[4 * n];

    /// <param name="x">One place more than there are cells; the start, then the answer.</param>
    /// <param name="goal">Sum of the squared residuals that is enough.</param>
    /// <returns>Rounds it took.</returns>
    public int Solve(double[] x, double goal, int mostRounds)
    {
        double[] r = new double[n + 1],
            z = new double[n + 1],
            p = new double[n + 1],
            q = new double[n + 1];
        var factor = Factor();
        // what the forward sweep takes from the left and from below
        var taken = new double[2 * n];
        for (var k = 0; k < n; k++)
        {
            taken[2 * k] = Weights[4 * k] * factor[Links[4 * k]];
            taken[2 * k + 1] = Weights[4 * k + 2] * factor[Links[4 * k + 2]];
        }
        Multiply(x, q);
        for (var k = 0; k < n; k++)
            r[k] = RightSide[k] - q[k];
        Precondition(factor, taken, r, z);
        double rho = 0;
        for (var k = 0; k < n; k++)
        {
            p[k] = z[k];
            rho += r[k] * z[k];
        }
        for (var round = 1; ; round++)
        {
            double norm = 0;
            for (var k = 0; k < n; k++)
                norm += r[k] * r[k];
            if (norm < goal || round >= mostRounds)
                return round;
            Multiply(p, q);
            double pq = 0;
            for (var k = 0; k < n; k++)
                pq += p[k] * q[k];
            var alpha = rho / pq;
            double next = 0;
            for (var k = 0; k < n; k++)
            {
                x[k] += alpha * p[k];
                r[k] -= alpha * q[k];
            }
            Precondition(factor, taken, r, z);
            for (var k = 0; k < n; k++)
                next += r[k] * z[k];
            var beta = next / rho;
            for (var k = 0; k < n; k++)
                p[k] = z[k] + beta * p[k];
            rho = next;
        }
    }

    private void Multiply(double[] v, double[] into)
    {
        var (diagonal, links, weights) = (Diagonal, Links, Weights);
        for (var k = 0; k < diagonal.Length; k++)
        {
            var at = 4 * k;
            into[k] =
                diagonal[k] * v[k]
                - weights[at] * v[links[at]]
                - weights[at + 1] * v[links[at + 1]]
                - weights[at + 2] * v[links[at + 2]]
                - weights[at + 3] * v[links[at + 3]];
        }
    }

    /// <summary>Solves with the incomplete factor, forth and back.</summary>
    private void Precondition(double[] factor, double[] taken, double[] from, double[] into)
    {
        var (links, weights) = (Links, Weights);
        for (var k = 0; k < n; k++)
            into[k] =
                (from[k] + taken[2 * k] * into[links[4 * k]] + taken[2 * k + 1] * into[links[4 * k + 2]]) * factor[k];
        for (var k = n - 1; k >= 0; k--)
        {
            var after = weights[4 * k + 1] * into[links[4 * k + 1]] + weights[4 * k + 3] * into[links[4 * k + 3]];
            into[k] = (into[k] + factor[k] * after) * factor[k];
        }
    }

    /// <summary>Inverse roots of the factor's diagonal.</summary>
    private double[] Factor()
    {
        var factor = new double[n + 1];
        ReadOnlySpan<(int Side, int Across)> before = [(0, 3), (2, 1)];
        for (var k = 0; k < n; k++)
        {
            var e = Diagonal[k];
            foreach (var (side, across) in before)
            {
                var j = Links[4 * k + side];
                if (j == n)
                    continue;
                double w = Weights[4 * k + side] * factor[j],
                    cross = Weights[4 * j + across];
                e -= w * w + Tuning * w * cross * factor[j];
            }
            if (e < Safety * Diagonal[k])
                e = Diagonal[k];
            factor[k] = 1 / Math.Sqrt(e);
        }
        return factor;
    }
}
