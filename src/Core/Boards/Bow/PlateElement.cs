namespace FaithfulBracket.Core.Boards.Bow;

/// <summary>
/// The twelve-freedom rectangle for thin plates (Adini and Clough 1961; Melosh 1963): at each corner the deflection w and its
/// slopes ∂w/∂x and ∂w/∂y, over a cubic with x³y and xy³. Corners (0,0), (a,0), (a,b), (0,b).
/// </summary>
public sealed class PlateElement
{
    public const int Freedoms = 12;

    private readonly double[,] _inverse;

    /// <param name="aMm">Width of the cell, mm.</param>
    /// <param name="bMm">Depth of the cell, mm.</param>
    /// <param name="rigidityNmm">Flexural rigidity E·t³/(12(1 − ν²)), N·mm.</param>
    /// <param name="nu">Poisson's ratio.</param>
    public PlateElement(double aMm, double bMm, double rigidityNmm, double nu)
    {
        (A, B) = (aMm, bMm);
        var corners = new double[12, 12];
        (double X, double Y)[] at = [(0, 0), (aMm, 0), (aMm, bMm), (0, bMm)];
        for (var c = 0; c < 4; c++)
        {
            for (var k = 0; k < 3; k++)
            {
                var row = Terms(at[c].X, at[c].Y, k == 1 ? 1 : 0, k == 2 ? 1 : 0);
                for (var j = 0; j < 12; j++)
                    corners[3 * c + k, j] = row[j];
            }
        }
        _inverse = Inverse(corners);
        Stiffness = new double[12, 12];
        var (nodes, weights) = Geometry.Quadrature.GaussLegendre(4);
        for (var i = 0; i < 4; i++)
        {
            for (var j = 0; j < 4; j++)
            {
                double x = (nodes[i] + 1) / 2 * aMm,
                    y = (nodes[j] + 1) / 2 * bMm,
                    w = weights[i] * weights[j] / 4 * aMm * bMm * rigidityNmm;
                double[] xx = Shape(x, y, 2, 0),
                    yy = Shape(x, y, 0, 2),
                    xy = Shape(x, y, 1, 1);
                for (var r = 0; r < 12; r++)
                for (var s = 0; s < 12; s++)
                    Stiffness[r, s] +=
                        w
                        * (
                            xx[r] * xx[s]
                            + yy[r] * yy[s]
                            + nu * (xx[r] * yy[s] + yy[r] * xx[s])
                            + 2 * (1 - nu) * xy[r] * xy[s]
                        );
                var n = Shape(x, y, 0, 0);
                for (var r = 0; r < 12; r++)
                    PressureLoad[r] += weights[i] * weights[j] / 4 * aMm * bMm * n[r];
            }
        }
    }

    public double A { get; }

    public double B { get; }

    public double[,] Stiffness { get; }

    /// <summary>Consistent load of a unit pressure.</summary>
    public double[] PressureLoad { get; } = new double[12];

    /// <summary>Shape functions, or their derivatives of order dx in x and dy in y, at a point of the cell.</summary>
    public double[] Shape(double x, double y, int dx, int dy)
    {
        var terms = Terms(x, y, dx, dy);
        var n = new double[12];
        for (var k = 0; k < 12; k++)
        {
            if (terms[k] == 0)
                continue;
            for (var r = 0; r < 12; r++)
                n[r] += terms[k] * _inverse[k, r];
        }
        return n;
    }

    private static readonly (int X, int Y)[] Powers =
    [
        (0, 0),
        (1, 0),
        (0, 1),
        (2, 0),
        (1, 1),
        (0, 2),
        (3, 0),
        (2, 1),
        (1, 2),
        (0, 3),
        (3, 1),
        (1, 3),
    ];

    private static double[] Terms(double x, double y, int dx, int dy)
    {
        var t = new double[12];
        for (var k = 0; k < 12; k++)
            t[k] = Power(x, Powers[k].X, dx) * Power(y, Powers[k].Y, dy);
        return t;
    }

    /// <summary>The d-th derivative of v^n.</summary>
    private static double Power(double v, int n, int d)
    {
        double factor = 1;
        for (var k = 0; k < d; k++)
            factor *= n - k;
        return factor == 0 ? 0 : factor * Math.Pow(v, n - d);
    }

    /// <summary>Gauss–Jordan with row exchange.</summary>
    private static double[,] Inverse(double[,] m)
    {
        var n = m.GetLength(0);
        var a = (double[,])m.Clone();
        var inv = new double[n, n];
        for (var i = 0; i < n; i++)
            inv[i, i] = 1;
        for (var c = 0; c < n; c++)
        {
            var p = c;
            for (var r = c + 1; r < n; r++)
                if (Math.Abs(a[r, c]) > Math.Abs(a[p, c]))
                    p = r;
            for (var k = 0; k < n; k++)
            {
                (a[c, k], a[p, k]) = (a[p, k], a[c, k]);
                (inv[c, k], inv[p, k]) = (inv[p, k], inv[c, k]);
            }
            var d = a[c, c];
            for (var k = 0; k < n; k++)
            {
                a[c, k] /= d;
                inv[c, k] /= d;
            }
            for (var r = 0; r < n; r++)
            {
                if (r == c || a[r, c] == 0)
                    continue;
                var f = a[r, c];
                for (var k = 0; k < n; k++)
                {
                    a[r, k] -= f * a[c, k];
                    inv[r, k] -= f * inv[c, k];
                }
            }
        }
        return inv;
    }
}
