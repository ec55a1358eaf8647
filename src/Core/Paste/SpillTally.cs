namespace FaithfulBracket.Core.Paste;

/// <summary>Paste pressed over the edge, by the side it went over.</summary>
internal sealed class SpillTally(FilmGrid film)
{
    private const double MinMl = 1e-7;

    /// <summary>In the order of <see cref="FilmGrid.Neighbours"/>, then what runs into a hole or past a corner of the outline.</summary>
    private static readonly string[] Names = ["left edge", "right edge", "lower edge", "upper edge", "notch"];

    private readonly double[] _mm3 = new double[Names.Length];

    public double TotalMm3 { get; private set; }

    /// <param name="side">Number of the neighbour it went towards.</param>
    public void Add(double mm3, int cell, int side)
    {
        TotalMm3 += mm3;
        int x = cell % film.Columns,
            y = cell / film.Columns;
        var atBounds = side switch
        {
            0 => x == 0,
            1 => x == film.Columns - 1,
            2 => y == 0,
            _ => y == film.Rows - 1,
        };
        _mm3[atBounds ? side : Names.Length - 1] += mm3;
    }

    public IReadOnlyList<SpillEdge> Edges =>
        [
            .. Names
                .Select((n, k) => new SpillEdge(n, _mm3[k] / 1000))
                .Where(e => e.Ml > MinMl)
                .OrderByDescending(e => e.Ml),
        ];
}
