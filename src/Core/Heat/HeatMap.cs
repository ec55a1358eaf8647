using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Heat;

/// <param name="Lines">Each two points on the board, mm.</param>
public sealed record Isoline(double C, IReadOnlyList<IReadOnlyList<Point2>> Lines);

/// <summary>Temperature of a cold plate as it is drawn: a thinned grid in the block's frame, and lines on the board.</summary>
/// <param name="MinX">Left edge of the first column, block frame, mm.</param>
/// <param name="C">Row by row from the lowest, °C; null where there is no metal.</param>
public sealed record HeatMap(
    double MinX,
    double MinY,
    double StepXMm,
    double StepYMm,
    int Columns,
    int Rows,
    IReadOnlyList<double?> C,
    double LeastC,
    double MostC,
    IReadOnlyList<Isoline> Isolines,
    IReadOnlyList<Point2> Outline
)
{
    /// <summary>Columns and rows together are thinned to this many points.</summary>
    private const int MaxPoints = 2600;

    private const int Levels = 7;

    /// <summary>A plate flatter than this is drawn without lines, K.</summary>
    private const double MinSpanK = 0.5;

    /// <param name="coolantMeanC">What the plate's rise counts from.</param>
    public static HeatMap From(BlockHeat heat, double coolantMeanC)
    {
        var grid = heat.Plate.Grid;
        var every = Math.Max(1, (int)Math.Ceiling(Math.Sqrt((double)grid.Columns * grid.Rows / MaxPoints)));
        int columns = (grid.Columns + every - 1) / every,
            rows = (grid.Rows + every - 1) / every;
        var (sum, metal) = (new double[columns, rows], new double[columns, rows]);
        grid.Each(
            (n, i, j) =>
            {
                var m = grid.Metal(i, j);
                sum[i / every, j / every] += m * (coolantMeanC + heat.Rise[n]);
                metal[i / every, j / every] += m;
            }
        );
        var value = new double[columns, rows];
        var cells = new List<double?>(columns * rows);
        for (var j = 0; j < rows; j++)
        for (var i = 0; i < columns; i++)
        {
            value[i, j] = metal[i, j] > 0 ? sum[i, j] / metal[i, j] : double.NaN;
            cells.Add(metal[i, j] > 0 ? Math.Round(value[i, j], 2) : null);
        }
        double least = cells.Min(c => c ?? double.PositiveInfinity),
            most = cells.Max(c => c ?? double.NegativeInfinity);
        double stepX = grid.Dx * every,
            stepY = grid.Dy * every;
        var placement = heat.Laid.Placement;
        Point2 At(double i, double j) =>
            placement.Apply(new Point2(grid.MinX + (i + 0.5) * stepX, grid.MinY + (j + 0.5) * stepY));
        var plate = heat.BlockPlate;
        return new(
            grid.MinX,
            grid.MinY,
            stepX,
            stepY,
            columns,
            rows,
            cells,
            least,
            most,
            most - least < MinSpanK
                ? []
                :
                [
                    .. Heat
                        .Isolines.Levels(least, most, Levels)
                        .Select(c => new Isoline(
                            c,
                            [.. Heat.Isolines.Through(value, At, c).Select(s => (IReadOnlyList<Point2>)[s.A, s.B])]
                        )),
                ],
            [.. plate.Outline.Points.Select(p => placement.Apply(p))]
        );
    }
}
