using CsCheck;
using FaithfulBracket.Core.Boards.Bow;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>The factoring that plates and boards rest on, against a plain elimination of the whole matrix.</summary>
public class EnvelopeCholeskyTests
{
    /// <summary>Rows with envelopes of any shape; the diagonal outweighs its row, so that it can be factored.</summary>
    private static readonly Gen<(int[] First, double[,] Matrix, double[] Right)> Systems = Gen.Select(
        Gen.Int[1, 40],
        Gen.Int[0, 1 << 20],
        (n, seed) =>
        {
            var draw = new Random(seed);
            var first = new int[n];
            var a = new double[n, n];
            for (var i = 0; i < n; i++)
            {
                first[i] = draw.Next(3) == 0 ? 0 : Math.Max(0, i - draw.Next(1 + Math.Min(i, 12)));
                for (var j = first[i]; j < i; j++)
                    a[i, j] = a[j, i] = draw.Next(4) == 0 ? 0 : 2 * draw.NextDouble() - 1;
            }
            for (var i = 0; i < n; i++)
                a[i, i] =
                    0.1 + draw.NextDouble() + Enumerable.Range(0, n).Where(j => j != i).Sum(j => Math.Abs(a[i, j]));
            return (first, a, Enumerable.Range(0, n).Select(_ => 10 * draw.NextDouble() - 5).ToArray());
        }
    );

    private static double[] Plainly(double[,] matrix, double[] right)
    {
        var n = right.Length;
        var (a, x) = ((double[,])matrix.Clone(), (double[])right.Clone());
        for (var k = 0; k < n; k++)
        for (var i = k + 1; i < n; i++)
        {
            var f = a[i, k] / a[k, k];
            for (var j = k; j < n; j++)
                a[i, j] -= f * a[k, j];
            x[i] -= f * x[k];
        }
        for (var i = n - 1; i >= 0; i--)
        {
            for (var j = i + 1; j < n; j++)
                x[i] -= a[i, j] * x[j];
            x[i] /= a[i, i];
        }
        return x;
    }

    private static EnvelopeCholesky Of(int[] first, double[,] matrix)
    {
        var own = new EnvelopeCholesky(first);
        for (var i = 0; i < first.Length; i++)
        for (var j = 0; j < first.Length; j++)
            if (j >= first[i])
                own.Add(i, j, matrix[i, j]);
        return own;
    }

    [Fact]
    public void It_solves_what_a_plain_elimination_solves() =>
        Systems.Sample(
            s =>
            {
                var x = (double[])s.Right.Clone();
                var own = Of(s.First, s.Matrix);
                own.Factor();
                own.Solve(x);
                var plain = Plainly(s.Matrix, s.Right);
                for (var i = 0; i < x.Length; i++)
                    Assert.Equal(plain[i], x[i], 1e-9 * Math.Max(1, Math.Abs(plain[i])));
            },
            iter: 400
        );

    [Fact]
    public void It_factors_itself_before_it_solves_and_once_for_many_right_sides() =>
        Systems.Sample(
            s =>
            {
                var own = Of(s.First, s.Matrix);
                for (var k = 1; k <= 3; k++)
                {
                    double[] x = [.. s.Right.Select(r => r * k)];
                    own.Solve(x);
                    var plain = Plainly(s.Matrix, [.. s.Right.Select(r => r * k)]);
                    Assert.Equal(plain[0], x[0], 1e-9 * Math.Max(1, Math.Abs(plain[0])));
                }
            },
            iter: 100
        );

    [Fact]
    public void Entries_add_up_and_those_above_the_diagonal_are_left_out()
    {
        var own = EnvelopeCholesky.Full(2);
        own.Add(0, 0, 3);
        own.Add(0, 0, 1);
        own.Add(1, 0, 2);
        own.Add(0, 1, 99);
        own.Add(1, 1, 5);
        // 4x + 2y = 8, 2x + 5y = 8
        double[] x = [8, 8];
        own.Solve(x);
        Assert.Equal(1.5, x[0], 12);
        Assert.Equal(1, x[1], 12);
    }

    [Fact]
    public void A_matrix_that_nothing_holds_is_refused()
    {
        var own = EnvelopeCholesky.Full(2);
        own.Add(0, 0, 1);
        own.Add(1, 0, 1);
        own.Add(1, 1, 1);
        Assert.Throws<InputException>(() => own.Factor());
    }

    [Fact]
    public void Work_is_the_sum_of_the_squared_widths()
    {
        Assert.Equal(0 + 1 + 4 + 1, EnvelopeCholesky.Work([0, 0, 0, 2]));
        Assert.Equal(0, EnvelopeCholesky.Work([0, 1, 2]));
    }

    [Fact]
    public void Whoever_leaves_stops_it()
    {
        using var gone = new CancellationTokenSource();
        gone.Cancel();
        var own = EnvelopeCholesky.Full(3);
        for (var i = 0; i < 3; i++)
            own.Add(i, i, 1);
        Assert.Throws<OperationCanceledException>(() => own.Factor(gone.Token));
    }
}
