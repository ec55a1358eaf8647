using CsCheck;
using FaithfulBracket.Core.Geometry;
using NetTopologySuite.Geometries;
using Xunit;
using Polygon = FaithfulBracket.Core.Geometry.Polygon;

namespace FaithfulBracket.Core.Tests;

/// <summary>Small solvers against their defining properties and an independent library.</summary>
public class AlgebraTests
{
    private static readonly Gen<Point2> Places = Gen.Select(
        Gen.Double[-80, 80],
        Gen.Double[-80, 80],
        (x, y) => new Point2(x, y)
    );

    [Fact]
    public void Hulls_are_those_of_the_topology_library() =>
        Places
            .Array[3, 40]
            .Sample(points =>
            {
                var theirs = new MultiPoint([.. points.Select(p => new Point(p.X, p.Y))]).ConvexHull();
                var ours = ConvexHull.Create(points);
                Assert.Equal(theirs.Area, ours?.Area ?? 0, 1e-6 * Math.Max(1, theirs.Area));
            });

    [Fact]
    public void A_hull_holds_its_points_and_turns_one_way() =>
        Places
            .Array[4, 25]
            .Sample(points =>
            {
                if (ConvexHull.Create(points) is not { } hull || hull.Area < 1)
                    return;
                Assert.True(hull.IsConvex);
                Assert.True(hull.SignedArea > 0);
                Assert.All(
                    points,
                    p =>
                        Assert.True(
                            hull.Contains(p)
                                || hull.Points.Select(
                                        (a, i) =>
                                            Polygon.DistanceToSegment(p, a, hull.Points[(i + 1) % hull.Points.Count])
                                    )
                                    .Min() < 1e-6
                        )
                );
            });

    [Fact]
    public void Solved_systems_give_back_their_right_side() =>
        Gen.Select(Gen.Double[-5, 5].Array[36], Gen.Double[-5, 5].Array[6])
            .Sample(
                (entries, right) =>
                {
                    var a = new double[6, 6];
                    for (var i = 0; i < 36; i++)
                        a[i / 6, i % 6] = entries[i] + (i / 6 == i % 6 ? 40 : 0);
                    var x = DenseSolve.Solve(a, right)!;
                    for (var i = 0; i < 6; i++)
                        Assert.Equal(right[i], Enumerable.Range(0, 6).Sum(j => a[i, j] * x[j]), 1e-9);
                }
            );

    [Fact]
    public void A_singular_system_has_no_answer() =>
        Assert.Null(
            DenseSolve.Solve(
                new double[,]
                {
                    { 1, 2 },
                    { 2, 4 },
                },
                [1, 1]
            )
        );

    [Fact]
    public void The_least_eigenvector_of_a_known_matrix()
    {
        // eigenvalues 1 and 3, vectors (1, −1) and (1, 1)
        var v = DenseSolve.SmallestEigenvector(
            new double[,]
            {
                { 2, 1 },
                { 1, 2 },
            }
        );
        Assert.Equal(-1, v[0] / v[1], 12);
    }
}
