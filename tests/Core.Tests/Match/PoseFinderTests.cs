using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Identify;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Laying what was seen on a board, against plain search.</summary>
public class PoseFinderTests
{
    private const double Reach = 0.5;

    private static SeenPoint[] Drawn(NormalDraws d, int n, double holes = 0.4, double span = 80) =>
        [
            .. Enumerable
                .Range(0, n)
                .Select(_ => new SeenPoint(span * d.Uniform() - 20, span * d.Uniform() + 5, d.Uniform() < holes)),
        ];

    private static (float[] X, float[] Y, bool[] Hole) Kept(IEnumerable<(Point2 At, bool Hole)> points)
    {
        var list = points.ToList();
        return (
            [.. list.Select(p => (float)p.At.X)],
            [.. list.Select(p => (float)p.At.Y)],
            [.. list.Select(p => p.Hole)]
        );
    }

    [Fact]
    public void What_meets_is_what_a_look_at_every_point_finds()
    {
        var d = new NormalDraws(21);
        for (var k = 0; k < 200; k++)
        {
            var seen = Drawn(d, 3 + k % 40, 0.5, k % 3 == 0 ? 8 : 80);
            var finder = new PoseFinder(new(seen), Reach);
            var pose = new Placement(30 * d.Next(), 30 * d.Next(), 360 * d.Uniform());
            var (x, y, hole) = Kept(
                seen.Select(s =>
                    (
                        pose.Apply(s.At) + new Point2(0.4 * d.Next(), 0.4 * d.Next()),
                        d.Uniform() < 0.2 ? !s.IsHole : s.IsHole
                    )
                )
            );
            int holes = 0,
                parts = 0;
            double squares = 0;
            List<(Point2, Point2)> pairs = [];
            for (var i = 0; i < x.Length; i++)
            {
                var at = new Point2(x[i], y[i]);
                var near = seen.Where(s => s.IsHole == hole[i]).MinBy(s => (pose.Apply(s.At) - at).Length);
                if (near is null || (pose.Apply(near.At) - at).Length > Reach)
                    continue;
                squares += Math.Pow((pose.Apply(near.At) - at).Length, 2);
                _ = hole[i] ? holes++ : parts++;
                pairs.Add((near.At, at));
            }
            var met = finder.Meet(pose, x, y, hole);
            Assert.Equal((holes, parts), (met.Holes, met.Parts));
            Assert.Equal(squares, met.Squares, 1e-3);
            var refined = finder.Refine(pose, x, y, hole);
            if (pairs.Count < 2)
            {
                Assert.Null(refined);
                continue;
            }
            var expected = RigidFit.Fit(pairs);
            foreach (var s in seen)
                Assert.True((expected.Apply(s.At) - refined!.Value.Apply(s.At)).Length < 1e-3);
        }
    }

    [Theory]
    [InlineData(0.4)]
    [InlineData(1)]
    public void The_pose_that_most_triangles_agree_on_is_found_and_a_mirrored_board_is_not(double holes)
    {
        var d = new NormalDraws(22);
        for (var k = 0; k < 30; k++)
        {
            var seen = Drawn(d, 14, holes);
            var finder = new PoseFinder(new(seen), Reach);
            Assert.Equal(holes == 1, finder.HolesOnly);
            var truth = new Placement(30 * d.Next(), 30 * d.Next(), 360 * d.Uniform() - 180);
            Point2 Jitter() => new(0.05 * d.Next(), 0.05 * d.Next());
            // two not seen, three strangers
            List<(Point2, bool)> board =
            [
                .. seen.Skip(2).Select(s => (truth.Apply(s.At) + Jitter(), s.IsHole)),
                .. Drawn(d, 3, holes).Select(s => (truth.Apply(s.At), s.IsHole)),
            ];
            var (x, y, hole) = Kept(board);
            var pose = finder.FromTriangles(x, y, hole, []);
            Assert.NotNull(pose);
            foreach (var s in seen)
                Assert.True((pose.Value.Apply(s.At) - truth.Apply(s.At)).Length < 0.3, $"draw {k}");
            var mirrored = Array.ConvertAll(x, v => -v);
            var wrong = finder.FromTriangles(mirrored, y, hole, []);
            if (wrong is { } w)
            {
                var (h, p, _) = finder.Meet(w, mirrored, y, hole);
                Assert.True(h + p < 8, $"{h + p} meet");
            }
        }
    }

    [Theory]
    [InlineData(0.01, 0.05)]
    [InlineData(0.5, 0.3)]
    [InlineData(2, 0.45)]
    public void Sides_are_let_off_by_what_points_may_be(double reach, double tolerance) =>
        Assert.Equal(tolerance, new PoseFinder(new(Drawn(new(1), 5)), reach).Tolerance, 1e-6);

    [Fact]
    public void The_area_is_that_of_what_was_seen_with_a_rim()
    {
        var finder = new PoseFinder(new([new(0, 0, true), new(30, 0, true), new(0, 20, false)]), 0.5);
        Assert.Equal((30 + 1 + 10) * (20 + 1 + 10), finder.AreaMm2, 1e-3);
        Assert.Equal(0.5, finder.ReachMm);
    }
}
