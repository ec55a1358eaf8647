using CsCheck;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match.Identify;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Turn and shift between paired points, against its defining properties.</summary>
public class RigidFitTests
{
    private static readonly Gen<Point2> Places = Gen.Select(
        Gen.Double[-80, 80],
        Gen.Double[-80, 80],
        (x, y) => new Point2(x, y)
    );

    [Fact]
    public void The_rigid_fit_undoes_any_turn_and_shift() =>
        Gen.Select(Gen.Double[-179, 179], Places, Places.Array[3, 12])
            .Sample(
                (turn, shift, points) =>
                {
                    var pose = new Placement(shift.X, shift.Y, turn);
                    var found = RigidFit.Fit([.. points.Select(p => (p, pose.Apply(p)))]);
                    // points all in one place fix no turn
                    if (points.Max(p => (p - points[0]).Length) < 1e-3)
                        return;
                    foreach (var p in points)
                        Assert.True((found.Apply(p) - pose.Apply(p)).Length < 1e-6);
                }
            );

    [Fact]
    public void No_other_pose_near_the_rigid_fit_misses_less() =>
        Gen.Select(Places.Array[4, 9], Gen.Double[-0.3, 0.3].Array[18])
            .Sample(
                (points, noise) =>
                {
                    var pairs = points.Select((p, i) => (p, p + new Point2(noise[2 * i], noise[2 * i + 1]))).ToList();
                    if (points.Max(p => (p - points[0]).Length) < 1)
                        return;
                    double Misses(Placement q) => pairs.Sum(x => Math.Pow((q.Apply(x.p) - x.Item2).Length, 2));
                    var best = RigidFit.Fit(pairs);
                    foreach (
                        var (dx, dy, turn) in ((double, double, double)[])
                            [(0.01, 0, 0), (-0.01, 0, 0), (0, 0.01, 0), (0, -0.01, 0), (0, 0, 0.01), (0, 0, -0.01)]
                    )
                        Assert.True(
                            Misses(best) <= Misses(new(best.XMm + dx, best.YMm + dy, best.RotationDeg + turn)) + 1e-9
                        );
                }
            );

    [Fact]
    public void Far_from_the_origin_two_points_give_their_turn()
    {
        // 400 mm away, turned by a quarter about their own middle
        var fit = RigidFit.Fit([(new(400, 300), new(401, 301)), (new(402, 300), new(401, 303))]);
        Assert.Equal(90, fit.RotationDeg, 9);
        var middle = fit.Apply(new Point2(401, 300));
        Assert.Equal(401, middle.X, 9);
        Assert.Equal(302, middle.Y, 9);
        // a tenth too long is shared by both ends
        var stretched = RigidFit.Fit([(new(400, 300), new(-100.1, 50)), (new(402, 300), new(-97.9, 50))]);
        Assert.Equal(0, stretched.RotationDeg, 9);
        Assert.Equal(-100, stretched.Apply(new Point2(400, 300)).X, 9);
    }

    [Fact]
    public void One_pair_gives_a_shift()
    {
        var fit = RigidFit.Fit([(new(3, 4), new(10, -2))]);
        Assert.Equal(new Placement(7, -6, 0), fit);
    }
}
