using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Heat;

namespace FaithfulBracket.Core.Heat;

/// <summary>
/// A cold plate as a thin sheet, −∇·(k·t·∇θ) + h·θ = q with adiabatic edges, by finite volumes (Patankar 1980). Factored once; every other
/// set of sources is a pair of back substitutions.
/// </summary>
public sealed class HeatPlate
{
    public const int MaxCells = 60_000;

    /// <summary>Multiplications of a factoring, at most.</summary>
    public const double MaxWork = 3e9;

    private readonly EnvelopeCholesky _matrix;

    /// <param name="hWPerM2K">By numbered cell, W/(m²·K), over its metal.</param>
    /// <exception cref="InputException">Too fine, or nothing cools the plate.</exception>
    /// <exception cref="OperationCanceledException">Stopped.</exception>
    public HeatPlate(
        HeatGrid grid,
        double thicknessMm,
        double kWPerMK,
        IReadOnlyList<double> hWPerM2K,
        CancellationToken cancel = default
    )
    {
        Grid = grid;
        if (grid.Count > MaxCells)
            throw new InputException("cellMm", HeatPlateWords.CellsAtMost(grid.Count, MaxCells));
        Cooling = new double[grid.Count];
        grid.Each((n, i, j) => Cooling[n] = hWPerM2K[n] * 1e-6 * grid.Metal(i, j) * grid.CellMm2);
        if (!(Cooling.Sum() > 0))
            throw new InputException("hWPerM2K", HeatPlateWords.NothingCoolsPlate);
        var first = new int[grid.Count];
        grid.Each(
            (n, i, j) =>
            {
                first[n] = n;
                foreach (var other in (ReadOnlySpan<int>)[grid.Index(i - 1, j), grid.Index(i, j - 1)])
                    if (other >= 0)
                        first[n] = Math.Min(first[n], other);
            }
        );
        if (EnvelopeCholesky.Work(first) > MaxWork)
            throw new InputException("cellMm", HeatGridWords.PlateIsTooLargeForCells);
        _matrix = new(first);
        var perSquare = kWPerMK / 1000 * thicknessMm;
        grid.Each(
            (n, i, j) =>
            {
                _matrix.Add(n, n, Cooling[n]);
                Join(n, i, j, grid.Index(i - 1, j), i - 1, j, perSquare * grid.Dy / grid.Dx);
                Join(n, i, j, grid.Index(i, j - 1), i, j - 1, perSquare * grid.Dx / grid.Dy);
            }
        );
        try
        {
            _matrix.Factor(cancel);
        }
        catch (InputException)
        {
            throw new InputException("cellMm", HeatPlateWords.AtThisCellSizePart);
        }
    }

    public HeatGrid Grid { get; }

    /// <summary>What each cell gives to the coolant, W/K.</summary>
    public double[] Cooling { get; }

    /// <summary>Through the side that two cells share, as far as both are metal there.</summary>
    private void Join(int n, int i, int j, int m, int k, int l, double whole)
    {
        if (m < 0)
            return;
        var g = whole * Math.Min(Grid.Metal(i, j), Grid.Metal(k, l));
        _matrix.Add(n, n, g);
        _matrix.Add(m, m, g);
        _matrix.Add(Math.Max(n, m), Math.Min(n, m), -g);
    }

    /// <summary>Temperature over the coolant by cell, K, for watts by cell.</summary>
    public double[] Rise(IReadOnlyList<double> watts)
    {
        double[] rise = [.. watts];
        _matrix.Solve(rise);
        return rise;
    }

    /// <summary>Watts spread evenly over an outline, by cell; null where none of it lies on the plate.</summary>
    public double[]? Spread(Polygon outline, double watts)
    {
        var areas = Grid.Under(outline);
        var whole = areas.Sum();
        return whole > 0 ? [.. areas.Select(a => watts * a / whole)] : null;
    }

    /// <summary>Mean of a field over an outline; null where none of it lies on the plate.</summary>
    public double? Mean(IReadOnlyList<double> field, Polygon outline)
    {
        var areas = Grid.Under(outline);
        var whole = areas.Sum();
        return whole > 0 ? areas.Zip(field, (a, f) => a * f).Sum() / whole : null;
    }

    /// <summary>At a point, between the cells' middles.</summary>
    public double At(IReadOnlyList<double> field, Point2 p)
    {
        double u = (p.X - Grid.MinX) / Grid.Dx - 0.5,
            v = (p.Y - Grid.MinY) / Grid.Dy - 0.5;
        int i = Math.Clamp((int)Math.Floor(u), 0, Math.Max(0, Grid.Columns - 2)),
            j = Math.Clamp((int)Math.Floor(v), 0, Math.Max(0, Grid.Rows - 2));
        double s = Math.Clamp(u - i, 0, 1),
            t = Math.Clamp(v - j, 0, 1);
        double sum = 0,
            weight = 0;
        foreach (
            var (k, l, w) in (ReadOnlySpan<(int, int, double)>)
                [(i, j, (1 - s) * (1 - t)), (i + 1, j, s * (1 - t)), (i, j + 1, (1 - s) * t), (i + 1, j + 1, s * t)]
        )
            if (Grid.Index(k, l) is >= 0 and var n)
            {
                sum += w * field[n];
                weight += w;
            }
        return weight > 1e-12 ? sum / weight : double.NaN;
    }
}
