using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Boards.Bow;

namespace FaithfulBracket.Core.Boards.Bow;

/// <summary>What is read off a solved plate: peak, probes, strain, reactions, map.</summary>
internal sealed class BowReport(BowProblem problem, PlateGrid grid, double[] u)
{
    /// <summary>Where a cell is looked at, as shares of its sides; strain at the corners only.</summary>
    private static readonly (double X, double Y)[] Looks = [(0, 0), (1, 0), (1, 1), (0, 1), (0.5, 0.5)];

    public BowResult Compute(Dictionary<int, double> reactions)
    {
        double peak = 0,
            strain = 0,
            watched = 0;
        Point2 at = default;
        for (var i = 0; i < grid.Columns; i++)
        {
            for (var j = 0; j < grid.Rows; j++)
            {
                if (grid.Share(i, j) == 0)
                    continue;
                var cell = grid.Element(i, j);
                foreach (var (sx, sy) in Looks)
                {
                    var (x, y) = (sx * cell.AMm, sy * cell.BMm);
                    var p = new Point2(grid.X[i] + x, grid.Y[j] + y);
                    if (grid.Share(i, j) < 1 && !problem.Outline.Contains(p))
                        continue;
                    var w = Value(i, j, x, y, 0, 0);
                    if (Math.Abs(w) > Math.Abs(peak))
                        (peak, at) = (w, p);
                    if (sx == 0.5)
                        continue;
                    var here = PrincipalCurvature(i, j, x, y) * problem.ThicknessMm / 2;
                    strain = Math.Max(strain, here);
                    if (here > watched && problem.Watched.Any(a => a.Contains(p)))
                        watched = here;
                }
            }
        }
        return new(
            peak,
            [at.X, at.Y],
            [.. problem.Probes.Select(Probe)],
            strain * 1e6,
            [.. problem.Supports.Select((s, k) => new BowReaction(s.X, s.Y, reactions.GetValueOrDefault(k)))],
            grid.Cells,
            Map(),
            problem.Watched.Count > 0 ? watched * 1e6 : null
        )
        {
            RimMicro = problem.Layers.Any(l => l.Soldered) ? Rim() * 1e6 : null,
        };
    }

    /// <summary>
    /// The largest strain where joints end in the bare board: one thickness outside each layer, off all of them, and
    /// under brittle parts beside.
    /// </summary>
    private double Rim()
    {
        var points = problem
            .Layers.Where(l => l.Soldered)
            .SelectMany(l => l.Rim(problem.ThicknessMm))
            .Concat(problem.Brittle.SelectMany(b => b.Points.Append(b.Centroid)))
            .Where(p => problem.Outline.Contains(p) && !problem.Layers.Any(l => l.Soldered && l.Outline.Contains(p)));
        var most = 0.0;
        foreach (var p in points)
            if (grid.Locate(p) is { } c)
                most = Math.Max(
                    most,
                    PrincipalCurvature(c.I, c.J, p.X - grid.X[c.I], p.Y - grid.Y[c.J]) * problem.ThicknessMm / 2
                );
        return most;
    }

    private double Probe(Point2 p, int index) =>
        grid.Locate(p) is { } c
            ? Value(c.I, c.J, p.X - grid.X[c.I], p.Y - grid.Y[c.J], 0, 0)
            : throw new InputException($"probes/{index}", BowReportWords.ProbeLiesOffBoard);

    private double Value(int i, int j, double x, double y, int dx, int dy)
    {
        Span<double> n = stackalloc double[PlateElement.Freedoms];
        Span<int> f = stackalloc int[PlateElement.Freedoms];
        grid.Element(i, j).Shape(x, y, dx, dy, n);
        grid.Freedoms(i, j, f);
        double sum = 0;
        for (var k = 0; k < PlateElement.Freedoms; k++)
            sum += n[k] * u[f[k]];
        return sum;
    }

    private double PrincipalCurvature(int i, int j, double x, double y)
    {
        double xx = Value(i, j, x, y, 2, 0),
            yy = Value(i, j, x, y, 0, 2),
            xy = Value(i, j, x, y, 1, 1);
        var mean = (xx + yy) / 2;
        var radius = Math.Sqrt(Math.Pow((xx - yy) / 2, 2) + xy * xy);
        return Math.Max(Math.Abs(mean + radius), Math.Abs(mean - radius));
    }

    /// <summary>Deflections on an even grid, whatever the cells are.</summary>
    private BowMap Map()
    {
        int columns = Math.Clamp(grid.Columns, 4, 40) + 1,
            rows = Math.Clamp(grid.Rows, 4, 30) + 1;
        double stepX = (grid.X[^1] - grid.X[0]) / (columns - 1),
            stepY = (grid.Y[^1] - grid.Y[0]) / (rows - 1);
        var values = new List<double?>();
        for (var j = 0; j < rows; j++)
        for (var i = 0; i < columns; i++)
        {
            var p = new Point2(grid.X[0] + i * stepX, grid.Y[0] + j * stepY);
            values.Add(
                grid.Locate(p) is { } c
                    ? Math.Round(Value(c.I, c.J, p.X - grid.X[c.I], p.Y - grid.Y[c.J], 0, 0), 6)
                    : null
            );
        }
        return new(grid.X[0], grid.Y[0], stepX, stepY, columns, rows, values);
    }
}
