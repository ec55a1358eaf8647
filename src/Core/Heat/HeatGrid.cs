using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Heat;

namespace FaithfulBracket.Core.Heat;

/// <summary>A plate cut into cells that fit its bounds; cells at a slanted edge count by the share that is metal.</summary>
public sealed class HeatGrid
{
    /// <summary>Cells with less metal than this are left out.</summary>
    private const double MinShare = 0.02;

    /// <summary>Cells laid over an outline's bounds, metal or not.</summary>
    private const double MaxBuilt = 2.0 * HeatPlate.MaxCells;

    private readonly int[,] _index;
    private readonly double[,] _metal;

    /// <exception cref="InputException">Too many cells.</exception>
    public HeatGrid(Polygon outline, double cellMm)
    {
        var b = outline.Bounds;
        (MinX, MinY) = (b.MinX, b.MinY);
        Columns = Math.Max(2, (int)Math.Round(b.Width / cellMm));
        Rows = Math.Max(2, (int)Math.Round(b.Height / cellMm));
        // a sliver has at least two rows: what is counted is what would be built
        if ((double)Columns * Rows > MaxBuilt)
            throw new InputException("cellMm", HeatGridWords.PlateIsTooLargeForCells);
        (Dx, Dy) = (b.Width / Columns, b.Height / Rows);
        _metal = CellShares.Compute(outline, MinX, MinY, Dx, Dy, Columns, Rows);
        _index = new int[Columns, Rows];
        // numbered along the short side, so that neighbours lie near one another
        Along = Columns >= Rows;
        for (var u = 0; u < (Along ? Columns : Rows); u++)
        for (var v = 0; v < (Along ? Rows : Columns); v++)
        {
            var (i, j) = Along ? (u, v) : (v, u);
            _index[i, j] = _metal[i, j] < MinShare ? -1 : Count++;
        }
    }

    public double MinX { get; }
    public double MinY { get; }
    public double Dx { get; }
    public double Dy { get; }
    public int Columns { get; }
    public int Rows { get; }
    public int Count { get; }

    /// <summary>Whether columns follow one another in the numbering.</summary>
    public bool Along { get; }

    public int Index(int i, int j) => i < 0 || j < 0 || i >= Columns || j >= Rows ? -1 : _index[i, j];

    public double Metal(int i, int j) => _metal[i, j];

    public double CellMm2 => Dx * Dy;

    public Point2 Centre(int i, int j) => new(MinX + (i + 0.5) * Dx, MinY + (j + 0.5) * Dy);

    /// <summary>Metal of each numbered cell under an outline, mm².</summary>
    public double[] Under(Polygon outline)
    {
        var shares = CellShares.Compute(outline, MinX, MinY, Dx, Dy, Columns, Rows);
        var areas = new double[Count];
        Each((n, i, j) => areas[n] = Math.Min(shares[i, j], _metal[i, j]) * CellMm2);
        return areas;
    }

    public void Each(Action<int, int, int> take)
    {
        for (var i = 0; i < Columns; i++)
        for (var j = 0; j < Rows; j++)
            if (_index[i, j] is >= 0 and var n)
                take(n, i, j);
    }
}
