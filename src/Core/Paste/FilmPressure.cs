namespace FaithfulBracket.Core.Paste;

/// <summary>Thin-film (Hele-Shaw) pressure in the cells that are full, zero at the paste's rim.</summary>
internal sealed class FilmPressure(FilmGrid film, double viscosityPaS)
{
    private const int MaxRounds = 3000;

    /// <summary>How far past a cell the rim is looked for, cells.</summary>
    private const int MaxBeyond = 3;

    private double _gapThen;

    /// <summary>MPa for a sinking speed of 1 mm/s.</summary>
    public double[] MPa { get; } = new double[film.Count];

    /// <summary>Cells times rounds of the solver so far.</summary>
    public long Work { get; private set; }

    /// <summary>12·µ with µ in Pa·s, lengths in mm, pressure in MPa.</summary>
    public double Resistance => 12 * viscosityPaS * 1e-6;

    /// <summary>How much a full cell and what lies beside it conduct: the rim stands where the neighbour's paste ends.</summary>
    public double Conductance(int i, int j, out bool open)
    {
        var gap = film.GapAt(i);
        open = true;
        if (j < 0 || !film.Face[j])
            return Cube(gap) / 0.5;
        if (film.Full(j))
        {
            open = false;
            return Cube((gap + film.GapAt(j)) / 2);
        }
        return Cube(gap) / (0.5 + RimBeyond(i, j));
    }

    /// <summary>
    /// How far the paste reaches past cell i in the direction of j, in cells: the fills of the row added up (height
    /// function, Cummins et al. 2005).
    /// </summary>
    private double RimBeyond(int i, int j)
    {
        double reach = 0;
        var step = j - i;
        var columns = film.Columns;
        for (var k = 0; k < MaxBeyond; k++, j += step)
        {
            if (j < 0 || j >= film.Count || Math.Abs(step) == 1 && j / columns != i / columns)
                break;
            if (!film.Face[j] || film.Full(j) || film.Volume[j] <= 0)
                break;
            reach += film.Wet(j);
        }
        return reach;
    }

    private static double Cube(double v) => v * v * v;

    /// <summary>Solves for a sinking speed of 1 mm/s, started from the last answer.</summary>
    /// <param name="sink">The step it is solved for, mm: what a cell holds over or under its room is evened out within it.</param>
    /// <param name="mostWork">Ends in the middle where <see cref="Work"/> passes this.</param>
    /// <returns>The load it carries, N.</returns>
    public double Solve(double sink, long mostWork)
    {
        var (cells, index) = Numbered();
        var n = cells.Count;
        if (n == 0)
            return 0;
        // the same flow through a narrower gap takes the cube more pressure: a nearer start than the last answer itself
        var grown = _gapThen > 0 ? Cube(_gapThen / film.GapMm) : 1;
        _gapThen = film.GapMm;
        var system = new FivePointSystem(n);
        var x = new double[n + 1];
        var area = film.CellMm * film.CellMm;
        var source = Resistance * area;
        Span<int> near = stackalloc int[4];
        for (var k = 0; k < n; k++)
        {
            var i = cells[k];
            film.Neighbours(i, near);
            for (var m = 0; m < 4; m++)
            {
                var c = Conductance(i, near[m], out var open);
                system.Diagonal[k] += c;
                system.Links[4 * k + m] = open ? n : index[near[m]];
                system.Weights[4 * k + m] = open ? 0 : c;
            }
            x[k] = MPa[i] * grown;
            system.RightSide[k] = source * Math.Clamp(1 + (film.Volume[i] - film.Capacity(i)) / (area * sink), -1, 3);
        }
        var left = (mostWork - Work) / n + 1;
        Work += (long)n * system.Solve(x, 1e-7 * source * source * n, (int)Math.Min(MaxRounds, left));
        double load = 0;
        for (var k = 0; k < n; k++)
        {
            MPa[cells[k]] = x[k];
            load += x[k] * area;
        }
        return load;
    }

    /// <summary>The full cells by rows, and each cell's number among them; what is not full has no pressure.</summary>
    private (List<int> Cells, int[] Index) Numbered()
    {
        var cells = new List<int>();
        var index = new int[film.Count];
        for (var i = 0; i < film.Count; i++)
            if (film.Full(i))
            {
                index[i] = cells.Count;
                cells.Add(i);
            }
            else
                (index[i], MPa[i]) = (-1, 0);
        return (cells, index);
    }
}
