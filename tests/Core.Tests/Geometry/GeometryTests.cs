using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using NetTopologySuite.Geometries;
using Xunit;
using Polygon = FaithfulBracket.Core.Geometry.Polygon;

namespace FaithfulBracket.Core.Tests;

public class PolygonOverlapTests
{
    [Fact]
    public void Overlap_of_turned_squares_is_the_octagon()
    {
        // two unit squares turned by 45 degrees share a regular octagon of area 2(√2 − 1)
        var area = PolygonOverlap.Area(Polygon.Rectangle(default, 1, 1), Polygon.Rectangle(default, 1, 1, 45));
        Assert.Equal(2 * (Math.Sqrt(2) - 1), area, 12);
    }

    [Fact]
    public void Touching_edges_do_not_overlap() =>
        Assert.Equal(0, PolygonOverlap.Area(Polygon.Rectangle(new(0, 0), 2, 2), Polygon.Rectangle(new(2, 0), 2, 2)));

    [Fact]
    public void Random_star_shapes_agree_with_the_topology_library()
    {
        var draws = new NormalDraws(7);
        var factory = new GeometryFactory();
        for (var i = 0; i < 300; i++)
        {
            Polygon a = Star(draws, 9),
                b = i % 2 == 0
                    ? Star(draws, 7)
                    : Polygon.Rectangle(new(draws.Next() * 3, draws.Next() * 3), 6, 4, draws.Uniform() * 90);
            var expected = Nts(a).Intersection(Nts(b)).Area;
            Assert.Equal(expected, PolygonOverlap.Area(a, b), 6);
        }

        NetTopologySuite.Geometries.Geometry Nts(Polygon p) =>
            factory.CreatePolygon([.. p.Points.Append(p.Points[0]).Select(q => new Coordinate(q.X, q.Y))]);
    }

    [Fact]
    public void Overlapping_regions_cover_an_area_once()
    {
        var subject = Polygon.Rectangle(default, 10, 10);
        var covered = PolygonOverlap.CoveredArea(
            subject,
            [Polygon.Rectangle(new(-2, 0), 4, 4), Polygon.Rectangle(new(0, 0), 4, 4)]
        );
        Assert.Equal(24, covered, 9);
    }

    private static Polygon Star(NormalDraws draws, int n) =>
        new([
            .. Enumerable
                .Range(0, n)
                .Select(k =>
                {
                    var a = 2 * Math.PI * k / n;
                    var r = 1 + 5 * draws.Uniform();
                    return new Point2(r * Math.Cos(a), r * Math.Sin(a));
                }),
        ]);
}

public class QuadratureTests
{
    [Fact]
    public void Gauss_points_integrate_a_quartic_exactly()
    {
        // ∫∫ x⁴y² over [−3,3]×[−2,2] = (2·3⁵/5)·(2·2³/3)
        var sum = Quadrature.Rectangle(default, 6, 4, 0, 3).Sum(q => Math.Pow(q.X, 4) * q.Y * q.Y * q.WeightMm2);
        Assert.Equal(2 * 243.0 / 5 * 16 / 3, sum, 9);
    }

    [Fact]
    public void Clipped_cells_add_up_to_the_common_area()
    {
        Polygon a = Polygon.Rectangle(default, 10, 6, 30),
            b = Polygon.Rectangle(new(2, 1), 7, 7);
        Assert.Equal(PolygonOverlap.Area(a, b), Quadrature.Clipped(a, b, 12).Sum(q => q.WeightMm2), 9);
    }
}

public class SelfCrossingTests
{
    [Fact]
    public void Random_closed_lines_cross_as_every_pair_of_sides_says()
    {
        var draws = new NormalDraws(12);
        var crossing = 0;
        for (var k = 0; k < 2000; k++)
        {
            var n = 4 + k % 5;
            List<Point2> p = [.. Enumerable.Range(0, n).Select(_ => new Point2(draws.Uniform(), draws.Uniform()))];
            var plain = false;
            for (var i = 0; i < n; i++)
            for (var j = i + 2; j < n; j++)
                plain |= !(i == 0 && j == n - 1) && Meet(p[i], p[(i + 1) % n], p[j], p[(j + 1) % n]);
            Assert.Equal(plain, SelfCrossing.Exists(p));
            crossing += plain ? 1 : 0;
        }
        Assert.InRange(crossing, 200, 1800);
    }

    /// <summary>By the parameters of both lines at their meeting point.</summary>
    private static bool Meet(Point2 a, Point2 b, Point2 c, Point2 d)
    {
        var x = DenseSolve.Solve(
            new[,]
            {
                { b.X - a.X, c.X - d.X },
                { b.Y - a.Y, c.Y - d.Y },
            },
            [c.X - a.X, c.Y - a.Y]
        );
        return x is [> 0 and < 1, > 0 and < 1];
    }

    [Fact]
    public void A_part_moved_or_shaped_by_a_copy_has_its_top_where_it_lies_now()
    {
        var part = Sample.Part("C1", PartKind.Capacitor, 10, 20, 4, 2, 1);
        Assert.Equal(8, part.Top().Bounds.MinX);
        Assert.Equal(28, (part with { X = 30 }).Top().Bounds.MinX);
        Assert.Equal(39, (part with { Y = 40 }).Top().Bounds.MinY);
        Assert.Equal(7, (part with { WidthMm = 6 }).Top().Bounds.MinX);
        Assert.Equal(18, (part with { DepthMm = 4 }).Top().Bounds.MinY);
        Assert.Equal(9, (part with { RotationDeg = 90 }).Top().Bounds.MinX, 9);
        Assert.Equal(9.5, (part with { Outline = Sample.Rect(0, 0, 1, 1) }).Top().Bounds.MinX, 9);
        // the height moves nothing: the same top is kept
        Assert.Same(part.Top(), (part with { HeightMm = 3 }).Top());
    }
}
