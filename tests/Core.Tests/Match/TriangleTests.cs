using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Identify;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Triangles of near neighbours against plain enumeration.</summary>
public class TriangleTests
{
    private readonly record struct Points(float[] X, float[] Y, bool[] Hole)
    {
        public double Side(int a, int b) => Math.Sqrt(Math.Pow(X[a] - X[b], 2) + Math.Pow(Y[a] - Y[b], 2));
    }

    private static Points Drawn(ulong seed, int n, double holes, double span)
    {
        var d = new NormalDraws(seed);
        return new(
            [.. Enumerable.Range(0, n).Select(_ => (float)(span * d.Uniform()))],
            [.. Enumerable.Range(0, n).Select(_ => (float)(span * d.Uniform()))],
            [.. Enumerable.Range(0, n).Select(_ => d.Uniform() < holes)]
        );
    }

    /// <summary>Each point with every two of its nearest, sides of 1 to 150 mm, told by their sorted corners.</summary>
    private static HashSet<(int, int, int)> Plain(Points p, int neighbours, bool holesOnly)
    {
        List<int> all = [.. Enumerable.Range(0, p.X.Length).Where(i => !holesOnly || p.Hole[i])];
        var found = new HashSet<(int, int, int)>();
        foreach (var i in all)
        {
            List<int> near = [.. all.Where(j => j != i).OrderBy(j => p.Side(i, j)).Take(neighbours)];
            for (var a = 0; a < near.Count; a++)
            for (var b = a + 1; b < near.Count; b++)
            {
                int[] t = [i, near[a], near[b]];
                Array.Sort(t);
                double[] sides = [p.Side(t[0], t[1]), p.Side(t[1], t[2]), p.Side(t[0], t[2])];
                if (sides.Min() >= 1 && sides.Max() <= 150)
                    found.Add((t[0], t[1], t[2]));
            }
        }
        return found;
    }

    private static List<(int, int, int)> Corners(List<Triangle> list) =>
        list.ConvertAll(t =>
        {
            int[] c = [t.A, t.B, t.C];
            Array.Sort(c);
            return (c[0], c[1], c[2]);
        });

    [Theory]
    // far apart some are too long, close together some too short
    [InlineData(60)]
    [InlineData(400)]
    [InlineData(8)]
    public void Every_triangle_of_near_neighbours_stands_once(double span)
    {
        for (ulong seed = 0; seed < 20; seed++)
        {
            var p = Drawn(seed, 4 + (int)seed, 0.4, span);
            var list = new List<Triangle> { default };
            Triangles.Collect(p.X, p.Y, p.Hole, 4, 6, list);
            var plain = Plain(p, 4, holesOnly: false);
            if (!p.Hole.Contains(false))
                plain.Clear();
            plain.UnionWith(Plain(p, 6, holesOnly: true));
            Assert.Equal(plain.Order(), Corners(list).Order());
            foreach (var t in list)
            {
                // A lies opposite the shortest side
                Assert.Equal(p.Side(t.B, t.C), t.Short, 1e-4);
                Assert.Equal(p.Side(t.A, t.C), t.Middle, 1e-4);
                Assert.Equal(p.Side(t.A, t.B), t.Long, 1e-4);
                Assert.True(t.Short <= t.Middle && t.Middle <= t.Long);
                Assert.Equal(new[] { t.A, t.B, t.C }.Count(i => p.Hole[i]), t.Holes);
            }
            Triangles.OfHoles(p.X, p.Y, p.Hole, 6, list);
            Assert.Equal(Plain(p, 6, holesOnly: true).Order(), Corners(list).Order());
        }
    }

    [Fact]
    public void Holes_alone_are_taken_with_their_own_neighbours()
    {
        var p = Drawn(3, 12, 1, 60);
        var list = new List<Triangle>();
        Triangles.Collect(p.X, p.Y, p.Hole, 3, 6, list);
        Assert.Equal(Plain(p, 6, holesOnly: true).Order(), Corners(list).Order());
    }

    [Fact]
    public void A_side_is_stepped_by_six_tenths_and_the_longest_steps_are_one()
    {
        Assert.Equal((0, 0, 1, 16, 255, 255), (Step(0), Step(0.59f), Step(0.61f), Step(10), Step(153.1f), Step(900)));
        static int Step(float side) => Triangles.Step(side);
    }

    [Fact]
    public void Where_a_measured_triangle_is_looked_for_the_true_one_stands()
    {
        var d = new NormalDraws(9);
        Span<uint> probes = stackalloc uint[64];
        for (var k = 0; k < 2000; k++)
        {
            float[] sides =
            [
                (float)(1 + 60 * d.Uniform()),
                (float)(1 + 60 * d.Uniform()),
                (float)(1 + 60 * d.Uniform()),
            ];
            Array.Sort(sides);
            const float off = 0.4f;
            float Measured(float side) => side + off * (float)(2 * d.Uniform() - 1);
            float[] seen = [Measured(sides[0]), Measured(sides[1]), Measured(sides[2])];
            Array.Sort(seen);
            var n = Triangles.Probes(new(0, 1, 2, seen[0], seen[1], seen[2], 2), off, probes);
            Assert.InRange(n, 1, 27);
            Assert.Contains(
                Triangles.Hash(Triangles.Step(sides[0]), Triangles.Step(sides[1]), Triangles.Step(sides[2]), 2),
                probes[..n].ToArray()
            );
            // each place is looked at once
            Assert.Equal(n, probes[..n].ToArray().Distinct().Count());
        }
        // no more than there is room for
        Assert.Equal(3, Triangles.Probes(new(0, 1, 2, 10, 20, 30, 0), 1, probes[..3]));
    }
}
