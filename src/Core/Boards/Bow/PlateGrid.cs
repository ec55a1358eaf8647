using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Boards.Bow;

/// <summary>
/// The cells a board is calculated on: lines along both sides, closer where a disc is clamped so that it is as round whatever the
/// number of cells, and the share of each cell that is board. Nodes off the board have no number.
/// </summary>
internal sealed class PlateGrid
{
    /// <summary>A cell with less board than this is none.</summary>
    private const double MinShare = 0.02;

    /// <summary>How fast cells may grow away from a disc, per mm.</summary>
    private const double Growth = 0.35;

    /// <summary>Cells across a disc's radius, from the finest wish to none.</summary>
    private static readonly double[] AcrossRadius = [3, 2, 1.5, 1, 0];

    private readonly double[] _share;
    private readonly int[] _number;

    public PlateGrid(Polygon outline, int elements, IReadOnlyList<(Point2 At, double RadiusMm)> discs)
    {
        var b = outline.Bounds;
        var side = Math.Sqrt(b.Width * b.Height / elements);
        foreach (var across in AcrossRadius)
        {
            X = Lines(b.MinX, b.MaxX, side, [.. discs.Select(d => (d.At.X, d.RadiusMm))], across);
            Y = Lines(b.MinY, b.MaxY, side, [.. discs.Select(d => (d.At.Y, d.RadiusMm))], across);
            if ((X.Length - 1) * (Y.Length - 1) <= 3 * elements + 1000)
                break;
        }
        _share = Shares(outline);
        _number = new int[X.Length * Y.Length];
        Array.Fill(_number, -1);
        for (var i = 0; i < Columns; i++)
        for (var j = 0; j < Rows; j++)
            if (Share(i, j) > 0)
                foreach (var at in (int[])[At(i, j), At(i + 1, j), At(i + 1, j + 1), At(i, j + 1)])
                    _number[at] = 0;
        // numbered along the shorter side, so that a row of the matrix is short
        var along = Columns >= Rows;
        for (var k = 0; k < _number.Length; k++)
        {
            var at = along ? k : k % X.Length * Y.Length + k / X.Length;
            if (_number[at] >= 0)
                _number[at] = Nodes++;
        }
    }

    public double[] X { get; } = [];
    public double[] Y { get; } = [];
    public int Columns => X.Length - 1;
    public int Rows => Y.Length - 1;

    /// <summary>Nodes on the board.</summary>
    public int Nodes { get; }

    public int Cells => _share.Count(s => s > 0);

    public double Share(int i, int j) => i < 0 || j < 0 || i >= Columns || j >= Rows ? 0 : _share[i * Rows + j];

    public PlateElement Element(int i, int j) => new(X[i + 1] - X[i], Y[j + 1] - Y[j]);

    /// <summary>The number of the node where two lines cross; −1 off the board.</summary>
    public int Node(int i, int j) => _number[At(i, j)];

    private int At(int i, int j) => i * Y.Length + j;

    /// <summary>The freedoms of a cell's corners.</summary>
    public void Freedoms(int i, int j, Span<int> f)
    {
        for (var c = 0; c < 4; c++)
        {
            var n = c switch
            {
                0 => Node(i, j),
                1 => Node(i + 1, j),
                2 => Node(i + 1, j + 1),
                _ => Node(i, j + 1),
            };
            (f[3 * c], f[3 * c + 1], f[3 * c + 2]) = (3 * n, 3 * n + 1, 3 * n + 2);
        }
    }

    /// <summary>The cell a point lies in, or null off the board.</summary>
    public (int I, int J)? Locate(Point2 p)
    {
        const double e = 1e-9;
        if (!(p.X >= X[0] - e && p.X <= X[^1] + e && p.Y >= Y[0] - e && p.Y <= Y[^1] + e))
            return null;
        var (i, j) = (Cell(X, p.X), Cell(Y, p.Y));
        return Share(i, j) > 0 ? (i, j) : null;
    }

    private static int Cell(double[] lines, double v)
    {
        var k = Array.BinarySearch(lines, v);
        return Math.Clamp(k >= 0 ? k : ~k - 1, 0, lines.Length - 2);
    }

    /// <summary>The first column that each freedom's row of the stiffness reaches.</summary>
    public int[] FirstColumns()
    {
        var first = new int[3 * Nodes];
        for (var f = 0; f < first.Length; f++)
            first[f] = f;
        Span<int> cell = stackalloc int[PlateElement.Freedoms];
        for (var i = 0; i < Columns; i++)
        for (var j = 0; j < Rows; j++)
        {
            if (Share(i, j) == 0)
                continue;
            Freedoms(i, j, cell);
            var least = Math.Min(Math.Min(cell[0], cell[3]), Math.Min(cell[6], cell[9]));
            foreach (var f in cell)
                first[f] = Math.Min(first[f], least);
        }
        return first;
    }

    private static double[] Lines(
        double from,
        double to,
        double side,
        IReadOnlyList<(double At, double RadiusMm)> discs,
        double across
    )
    {
        if (across == 0 || discs.Count == 0)
        {
            var n = Math.Max(4, 2 * (int)Math.Round((to - from) / side / 2));
            return [.. Enumerable.Range(0, n + 1).Select(k => k == n ? to : from + k * (to - from) / n)];
        }
        var finest = discs.Select(d => d.RadiusMm / across).Append(side).Where(h => h > side / 40).Min();
        double Size(double x) =>
            discs
                .Select(d =>
                    Math.Max(d.RadiusMm / across, side / 40) + Growth * Math.Max(0, Math.Abs(x - d.At) - d.RadiusMm)
                )
                .Append(side)
                .Min();
        // lines that have to be there: the ends, and every disc's middle and rim
        var fixedLines = new List<double> { from, to };
        foreach (var (at, r) in discs)
        foreach (var line in (double[])[at, at - r, at + r])
            if (fixedLines.All(l => Math.Abs(l - line) > finest / 3) && line > from && line < to)
                fixedLines.Add(line);
        fixedLines.Sort();
        var lines = new List<double> { from };
        for (var k = 1; k < fixedLines.Count; k++)
            Fill(lines, fixedLines[k - 1], fixedLines[k], Size);
        return [.. lines];
    }

    /// <summary>Lines between two fixed ones, as close as is wished at each place.</summary>
    private static void Fill(List<double> lines, double a, double b, Func<double, double> size)
    {
        const int samples = 64;
        var sums = new double[samples + 1];
        for (var k = 0; k < samples; k++)
            sums[k + 1] = sums[k] + (b - a) / samples / size(a + (k + 0.5) * (b - a) / samples);
        var n = Math.Max(1, (int)Math.Round(sums[samples]));
        for (int m = 1, k = 0; m < n; m++)
        {
            var want = sums[samples] * m / n;
            while (sums[k + 1] < want)
                k++;
            lines.Add(a + (b - a) / samples * (k + (want - sums[k]) / (sums[k + 1] - sums[k])));
        }
        lines.Add(b);
    }

    /// <summary>Only cells that the outline passes are clipped; the others are like the one beside them.</summary>
    private double[] Shares(Polygon outline)
    {
        var share = new double[Columns * Rows];
        var edge = new bool[share.Length];
        var points = outline.Points;
        for (int k = 0, last = points.Count - 1; k < points.Count; last = k++)
        {
            var (a, b) = (points[last], points[k]);
            int i0 = Cell(X, Math.Min(a.X, b.X) - 1e-9),
                i1 = Cell(X, Math.Max(a.X, b.X) + 1e-9),
                j0 = Cell(Y, Math.Min(a.Y, b.Y) - 1e-9),
                j1 = Cell(Y, Math.Max(a.Y, b.Y) + 1e-9);
            for (var i = i0; i <= i1; i++)
            for (var j = j0; j <= j1; j++)
                edge[i * Rows + j] = true;
        }
        for (var i = 0; i < Columns; i++)
        for (var j = 0; j < Rows; j++)
        {
            var at = i * Rows + j;
            var (w, d) = (X[i + 1] - X[i], Y[j + 1] - Y[j]);
            var centre = new Point2((X[i] + X[i + 1]) / 2, (Y[j] + Y[j + 1]) / 2);
            if (edge[at])
            {
                var part = PolygonOverlap.Area(outline, Polygon.Rectangle(centre, w, d)) / (w * d);
                share[at] = part switch
                {
                    < MinShare => 0,
                    > 0.999999 => 1,
                    _ => part,
                };
            }
            else if (j > 0 && !edge[at - 1])
                share[at] = share[at - 1];
            else
                share[at] = outline.Contains(centre) ? 1 : 0;
        }
        return share;
    }
}
