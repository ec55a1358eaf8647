using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Boards.Bow;

/// <summary>
/// The twelve-freedom rectangle for thin plates (Adini and Clough 1961; Melosh 1963): at each corner the deflection w and its
/// slopes ∂w/∂x and ∂w/∂y, over a cubic with x³y and xy³. Corners (0,0), (a,0), (a,b), (0,b). The integrals are taken once on the
/// unit square; a cell of any size is that square stretched.
/// </summary>
public readonly record struct PlateElement(double AMm, double BMm)
{
    public const int Freedoms = 12;

    /// <summary>Orders of the derivatives in x and y that a shape can be asked for.</summary>
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

    private static readonly double[,] Inverse = OfCorners();
    private static readonly double[] UnitLoad = new double[Freedoms];

    /// <summary>∫ of xx·xx, yy·yy, xx·yy + yy·xx and xy·xy over the unit square.</summary>
    private static readonly double[][] Unit = Integrals();

    /// <summary>Adds the cell's stiffness, row by row, to what is given.</summary>
    /// <param name="rigidityNmm">Flexural rigidity E·t³/(12(1 − ν²)), N·mm.</param>
    /// <param name="nu">Poisson's ratio.</param>
    public void Stiffness(double rigidityNmm, double nu, Span<double> k)
    {
        double xx = rigidityNmm * BMm / (AMm * AMm * AMm),
            yy = rigidityNmm * AMm / (BMm * BMm * BMm),
            both = rigidityNmm * nu / (AMm * BMm),
            twist = rigidityNmm * 2 * (1 - nu) / (AMm * BMm);
        for (var r = 0; r < Freedoms; r++)
        for (var c = 0; c < Freedoms; c++)
        {
            var i = r * Freedoms + c;
            k[i] =
                Stretch(r) * Stretch(c) * (xx * Unit[0][i] + yy * Unit[1][i] + both * Unit[2][i] + twist * Unit[3][i]);
        }
    }

    /// <summary>Consistent load of a unit pressure on freedom r.</summary>
    public double PressureLoad(int r) => AMm * BMm * UnitLoad[r] * Stretch(r);

    /// <summary>Shape functions, or their derivatives of order dx in x and dy in y, at a point of the cell.</summary>
    /// <param name="x">From the cell's lower left corner, mm.</param>
    /// <param name="y">From the cell's lower left corner, mm.</param>
    public void Shape(double x, double y, int dx, int dy, Span<double> n)
    {
        UnitShape(x / AMm, y / BMm, dx, dy, n);
        var scale = 1.0;
        for (var k = 0; k < dx; k++)
            scale /= AMm;
        for (var k = 0; k < dy; k++)
            scale /= BMm;
        for (var r = 0; r < Freedoms; r++)
            n[r] *= scale * Stretch(r);
    }

    /// <summary>Slopes are told per millimetre, on the unit square per side.</summary>
    private double Stretch(int freedom) =>
        (freedom % 3) switch
        {
            0 => 1,
            1 => AMm,
            _ => BMm,
        };

    private static void UnitShape(double x, double y, int dx, int dy, Span<double> n)
    {
        n.Clear();
        for (var k = 0; k < Freedoms; k++)
        {
            var t = Power(x, Powers[k].X, dx) * Power(y, Powers[k].Y, dy);
            if (t == 0)
                continue;
            for (var r = 0; r < Freedoms; r++)
                n[r] += t * Inverse[k, r];
        }
    }

    private static double[][] Integrals()
    {
        double[][] sums = [new double[144], new double[144], new double[144], new double[144]];
        var (nodes, weights) = Quadrature.GaussLegendre(4);
        double[] xx = new double[12],
            yy = new double[12],
            xy = new double[12],
            n = new double[12];
        for (var i = 0; i < 4; i++)
        for (var j = 0; j < 4; j++)
        {
            double x = (nodes[i] + 1) / 2,
                y = (nodes[j] + 1) / 2,
                w = weights[i] * weights[j] / 4;
            UnitShape(x, y, 2, 0, xx);
            UnitShape(x, y, 0, 2, yy);
            UnitShape(x, y, 1, 1, xy);
            UnitShape(x, y, 0, 0, n);
            for (var r = 0; r < Freedoms; r++)
            {
                UnitLoad[r] += w * n[r];
                for (var c = 0; c < Freedoms; c++)
                {
                    var at = r * Freedoms + c;
                    sums[0][at] += w * xx[r] * xx[c];
                    sums[1][at] += w * yy[r] * yy[c];
                    sums[2][at] += w * (xx[r] * yy[c] + yy[r] * xx[c]);
                    sums[3][at] += w * xy[r] * xy[c];
                }
            }
        }
        return sums;
    }

    /// <summary>The d-th derivative of v^n.</summary>
    private static double Power(double v, int n, int d)
    {
        double value = 1;
        for (var k = 0; k < n; k++)
            value *= k < d ? n - k : v;
        return d > n ? 0 : value;
    }

    /// <summary>From values and slopes at the unit square's corners to the cubic's coefficients.</summary>
    private static double[,] OfCorners()
    {
        var corners = new double[12, 12];
        (double X, double Y)[] at = [(0, 0), (1, 0), (1, 1), (0, 1)];
        for (var c = 0; c < 4; c++)
        for (var k = 0; k < 3; k++)
        for (var j = 0; j < 12; j++)
            corners[3 * c + k, j] =
                Power(at[c].X, Powers[j].X, k == 1 ? 1 : 0) * Power(at[c].Y, Powers[j].Y, k == 2 ? 1 : 0);
        var inverse = new double[12, 12];
        for (var j = 0; j < 12; j++)
        {
            var unit = new double[12];
            unit[j] = 1;
            var column = DenseSolve.Solve(corners, unit)!;
            for (var k = 0; k < 12; k++)
                inverse[k, j] = column[k];
        }
        return inverse;
    }
}
