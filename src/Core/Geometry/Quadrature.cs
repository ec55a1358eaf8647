namespace FaithfulBracket.Core.Geometry;

/// <summary>A point of a surface integral with its share of the area, mm and mm².</summary>
public readonly record struct QuadraturePoint(double X, double Y, double WeightMm2);

/// <summary>Points and weights that integrate over a face: Gauss–Legendre on rectangles, clipped cells on other shapes.</summary>
public static class Quadrature
{
    /// <summary>n × n Gauss–Legendre points on a turned rectangle; exact for polynomials up to degree 2n − 1 in each direction.</summary>
    public static IEnumerable<QuadraturePoint> Rectangle(
        Point2 centre,
        double widthMm,
        double depthMm,
        double rotationDeg,
        int n
    )
    {
        var (nodes, weights) = GaussLegendre(n);
        var turn = rotationDeg * Math.PI / 180;
        for (var i = 0; i < n; i++)
        {
            for (var j = 0; j < n; j++)
            {
                var p = centre + new Point2(nodes[i] * widthMm / 2, nodes[j] * depthMm / 2).Turned(turn);
                yield return new(p.X, p.Y, weights[i] * weights[j] / 4 * widthMm * depthMm);
            }
        }
    }

    /// <summary>Cells of an n × n grid over the subject clipped to it and to a window; each stands for its area at its centroid.</summary>
    public static IEnumerable<QuadraturePoint> Clipped(Polygon subject, Polygon window, int n)
    {
        var b = subject.Bounds;
        double dx = b.Width / n,
            dy = b.Height / n;
        for (var i = 0; i < n; i++)
        {
            for (var j = 0; j < n; j++)
            {
                var cell = Polygon.Rectangle(new(b.MinX + (i + 0.5) * dx, b.MinY + (j + 0.5) * dy), dx, dy);
                var inSubject = PolygonOverlap.Clip(subject, cell);
                if (inSubject.Count < 3)
                    continue;
                var piece = new Polygon(inSubject);
                var area = PolygonOverlap.Area(window, piece);
                if (area <= PolygonOverlap.TouchMm2)
                    continue;
                var c = piece.Centroid;
                yield return new(c.X, c.Y, area);
            }
        }
    }

    /// <summary>Nodes and weights on [−1, 1] by Newton's method on the Legendre polynomial.</summary>
    public static (double[] Nodes, double[] Weights) GaussLegendre(int n)
    {
        double[] nodes = new double[n],
            weights = new double[n];
        for (var i = 0; i < n; i++)
        {
            var x = Math.Cos(Math.PI * (i + 0.75) / (n + 0.5));
            double derivative;
            while (true)
            {
                double p0 = 1,
                    p1 = x;
                for (var k = 2; k <= n; k++)
                    (p0, p1) = (p1, ((2 * k - 1) * x * p1 - (k - 1) * p0) / k);
                derivative = n * (x * p1 - p0) / (x * x - 1);
                var step = p1 / derivative;
                x -= step;
                if (Math.Abs(step) < 1e-15)
                    break;
            }
            nodes[i] = x;
            weights[i] = 2 / ((1 - x * x) * derivative * derivative);
        }
        return (nodes, weights);
    }
}
